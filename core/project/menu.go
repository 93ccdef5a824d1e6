package project

import "fmt"

// Entry is one line of the menu of a row or a point.
type Entry struct {
	Item
	Words string `json:"words"`
	Gate  *Gate  `json:"gate"`
}

// EntryTrigger names the trigger of an entry of a menu.
func EntryTrigger(id string) string { return "menu." + id }

// ValidateMenu refuses entries without words or a gate.
func ValidateMenu(menu map[string]*Entry) error {
	for id, e := range menu {
		if e == nil || e.Words == "" || e.Gate == nil {
			return fmt.Errorf("entry %s of its menu needs words and a gate", id)
		}
		e.ID = id
	}
	return nil
}

// WithMenu adds the gates of a menu to those of an element.
func WithMenu(all map[string]*Gate, menu map[string]*Entry) map[string]*Gate {
	for id, e := range menu {
		if all == nil {
			all = map[string]*Gate{}
		}
		all[EntryTrigger(id)] = e.Gate
	}
	return all
}
