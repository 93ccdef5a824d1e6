package project

import (
	"encoding/json"
	"fmt"
)

// Move is where a gate leads. What it is stands in Spec, by kind.
type Move struct {
	*MoveHead
	Spec MoveSpec
}

// MoveHead is what moves of several kinds have. Each kind begins with it.
type MoveHead struct {
	Kind   string `json:"kind"`
	Mode   string `json:"mode,omitempty" jsonschema:"enum=view,enum=edit,enum=add"`                          // of what opens a screen: view (default), edit, add
	As     string `json:"as,omitempty" jsonschema:"enum=full,enum=dialog,enum=drawer,enum=replace,enum=tab"` // full (default), dialog, drawer, replace, tab
	None   string `json:"none,omitempty" jsonschema:"enum=grey,enum=round,enum=stay"`                        // where there is none to go to: grey (default), stay; of steps also round
	Reason string `json:"reason,omitempty"`                                                                  // of none: the words
	Back   *Gate  `json:"back,omitempty"`                                                                    // of a dialog or drawer: what happens when it comes back with something
}

// Head gives what moves of several kinds have.
func (h *MoveHead) Head() *MoveHead { return h }

// MoveSpec is what one kind of move holds.
type MoveSpec interface {
	Head() *MoveHead
	// Validate refuses what cannot be read as this kind at all.
	Validate() error
}

// NewMove makes a move of what it holds.
func NewMove(spec MoveSpec) *Move { return &Move{spec.Head(), spec} }

// UnmarshalJSON reads the move as the kind that it names.
func (m *Move) UnmarshalJSON(data []byte) error {
	spec, err := Moves.decode(data)
	if err == nil {
		*m = *NewMove(spec)
	}
	return err
}

// MarshalJSON writes it as its kind does.
func (m *Move) MarshalJSON() ([]byte, error) { return json.Marshal(m.Spec) }

// Lead is a screen that a move leads to, and what it brings there.
type Lead struct {
	Target  string              `json:"target"`            // screen
	Bind    map[string]*Binding `json:"bind,omitempty"`    // input of the target → how it gets its value
	Carry   *Carry              `json:"carry,omitempty"`   // what is passed on by name
	Set     map[string]string   `json:"set,omitempty"`     // mode add: field id → expression
	Spot    string              `json:"spot,omitempty"`    // element of the target that one is led to, or element.tab
	SpotRow *Binding            `json:"spotRow,omitempty"` // of a spot that is a list: the row that one is led to
	Arrive  *Arrive             `json:"arrive,omitempty"`  // how the target's list is narrowed and ordered at first
}

// Validate refuses bindings that cannot be read, and a row without its list.
func (l *Lead) Validate() error {
	if l.SpotRow != nil {
		if l.Spot == "" {
			return fmt.Errorf("a row to be led to needs the list that it is in")
		}
		if err := l.SpotRow.Validate(); err != nil {
			return fmt.Errorf("the row to be led to: %w", err)
		}
	}
	return ValidateBindings(l.Bind)
}

// Carry passes on what this screen was given, to inputs of the target with the same name and type.
type Carry struct {
	All   bool            `json:"all,omitempty"`   // whatever the target takes, also inputs that it gets later
	Names map[string]bool `json:"names,omitempty"` // inputs of the target
}

// Arrive is what is set on the target when one gets there.
type Arrive struct {
	Filters map[string]*ArriveFilter `json:"filters,omitempty"`
	Sort    map[string]*Order        `json:"sort,omitempty"`
}

// ArriveFilter is one filter of the target's list.
type ArriveFilter struct {
	Item
	Path    string `json:"path"`
	Compare string `json:"compare"`
	Value   string `json:"value,omitempty"`
}

// Steps are the ways along a list.
var Steps = []string{"first", "previous", "next", "last"}

func (m *Move) validate() error {
	if err := OneOf("mode", m.Mode, "", "view", "edit", "add"); err != nil {
		return err
	}
	if err := OneOf("presentation", m.As, "", "full", "dialog", "drawer", "replace", "tab"); err != nil {
		return err
	}
	if err := m.validateBack(); err != nil {
		return err
	}
	return m.Spec.Validate()
}
