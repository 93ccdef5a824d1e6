package project

import "fmt"

// onlyLooks is part of effects that change what is looked at and nothing else.
type onlyLooks struct{}

func (onlyLooks) looksOnly() {}

// Narrow adds a filter to the screen's list, or replaces the one on that field.
type Narrow struct {
	onlyLooks
	Path    string `json:"path"` // field ids joined by dots, of the list's table
	Compare string `json:"compare"`
	Value   string `json:"value,omitempty"` // expression
}

// Validate asks for the field and the comparison.
func (n *Narrow) Validate() error {
	if n.Path == "" {
		return fmt.Errorf("it needs the field to narrow by")
	}
	return oneOf("comparison", n.Compare, "is", "isNot", "contains", "empty", "notEmpty", "atLeast", "atMost")
}

// Widen takes filters away: that of a field, or all; with All also what the screen was opened with and what is looked for.
type Widen struct {
	onlyLooks
	Path string `json:"path,omitempty"` // empty: every filter
	All  bool   `json:"all,omitempty"`
}

// Validate accepts it as it is.
func (*Widen) Validate() error { return nil }

// Sort orders the screen's list.
type Sort struct {
	onlyLooks
	Path string `json:"path"`
	Desc bool   `json:"desc,omitempty"`
}

// Validate asks for the field.
func (s *Sort) Validate() error {
	if s.Path == "" {
		return fmt.Errorf("it needs the field to order by")
	}
	return nil
}

// Find looks for words in the screen's list.
type Find struct {
	onlyLooks
	Words string `json:"words"` // expression; empty text looks for nothing
}

// Validate asks for the words.
func (f *Find) Validate() error {
	if f.Words == "" {
		return fmt.Errorf("it needs the words to look for")
	}
	return nil
}

// ShowTab opens a tab of a block of tabs.
type ShowTab struct {
	onlyLooks
	Block string `json:"block"` // element
	Tab   string `json:"tab"`
}

// Validate asks for both.
func (s *ShowTab) Validate() error {
	if s.Block == "" || s.Tab == "" {
		return fmt.Errorf("it needs a block of tabs and one of its tabs")
	}
	return nil
}

// Refresh reads again what the screen shows.
type Refresh struct{ onlyLooks }

// Validate accepts it as it is.
func (*Refresh) Validate() error { return nil }

// Export saves a list as a file: comma-separated values, as filtered and ordered.
type Export struct {
	onlyLooks
	List string `json:"list"` // element
}

// Validate asks for the list.
func (e *Export) Validate() error {
	if e.List == "" {
		return fmt.Errorf("it needs the list to save as a file")
	}
	return nil
}

// Print puts the screen on paper.
type Print struct{ onlyLooks }

// Validate accepts it as it is.
func (*Print) Validate() error { return nil }

// SetVariable gives a variable another value, or, with an empty one, what it begins with.
type SetVariable struct {
	onlyLooks
	Variable string `json:"variable"`
	Value    string `json:"value,omitempty"` // expression; empty: what it begins with
}

// Validate asks for the variable.
func (s *SetVariable) Validate() error {
	if s.Variable == "" {
		return fmt.Errorf("it needs the variable to set")
	}
	return nil
}

// Drawer opens or closes a rail that is a drawer, or whichever of the two it is not.
type Drawer struct {
	onlyLooks
	Rail string `json:"rail"`
	How  string `json:"how"` // open, close, toggle
}

// Validate asks for the rail and what is to become of it.
func (d *Drawer) Validate() error {
	if d.Rail == "" {
		return fmt.Errorf("it needs the drawer")
	}
	return oneOf("thing to do with a drawer", d.How, "open", "close", "toggle")
}
