package project

import "fmt"

// Save keeps what was typed on the form.
type Save struct{}

// Validate accepts it as it is.
func (*Save) Validate() error { return nil }

// Set gives fields of the screen's record new values, and saves them.
type Set struct {
	Fields map[string]string `json:"fields"` // field id → expression
}

// Validate asks for a field.
func (s *Set) Validate() error {
	if len(s.Fields) == 0 {
		return fmt.Errorf("it sets no field")
	}
	return nil
}

// Delete removes the screen's record, or the chosen row of one of its lists.
type Delete struct {
	List string `json:"list,omitempty"` // element; empty: the screen's record
}

// Validate accepts it as it is.
func (*Delete) Validate() error { return nil }

// AddRow begins a new row in a list that is edited in place.
type AddRow struct {
	List string `json:"list"` // element
}

// Validate asks for the list.
func (a *AddRow) Validate() error {
	if a.List == "" {
		return fmt.Errorf("it needs the list that gets a row")
	}
	return nil
}

// Write sends a value to a tag of the plant.
type Write struct {
	Tag   string `json:"tag"`   // expression: the path of a writable tag
	Value string `json:"value"` // expression
}

// Validate asks for both.
func (w *Write) Validate() error {
	if w.Tag == "" || w.Value == "" {
		return fmt.Errorf("it needs a tag and a value")
	}
	return nil
}
