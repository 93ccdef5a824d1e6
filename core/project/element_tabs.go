package project

import "fmt"

// Tabs is a block of tabs: of the elements that name one of them, those of the open tab show.
type Tabs struct {
	Tabs map[string]*Tab `json:"tabs"`
}

// Tab is one tab of a block.
type Tab struct {
	ID    string  `json:"-"`
	Pos   float64 `json:"pos"`
	Label string  `json:"label"`
}

// Position gives the place among others.
func (t *Tab) Position() float64 { return t.Pos }

// Validate asks for a tab, and for words on each.
func (t *Tabs) Validate() error {
	if len(t.Tabs) == 0 {
		return fmt.Errorf("a block of tabs needs a tab")
	}
	for id, tab := range t.Tabs {
		if tab == nil || tab.Label == "" {
			return fmt.Errorf("tab %s needs words", id)
		}
		tab.ID = id
	}
	return nil
}

// Gates gives none: opening a tab is a place of its own, not a gate.
func (t *Tabs) Gates() map[string]*Gate { return nil }
