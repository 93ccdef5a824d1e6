package project

import (
	"bytes"
	"encoding/json"
	"fmt"
)

// Gate is a named piece of wiring: for whom, while what holds, what is done, where one is moved.
type Gate struct {
	Roles     map[string]bool  `json:"roles,omitempty"` // absent: everyone
	While     string           `json:"while,omitempty"` // condition
	Otherwise Otherwise        `json:"otherwise,omitzero"`
	Unsaved   string           `json:"unsaved,omitempty"` // ask (default), save, keep (as a draft), drop
	Confirm   string           `json:"confirm,omitempty"` // template: the question put before
	Cases     map[string]*Case `json:"cases,omitempty"`
}

// Otherwise is what shows while the condition fails.
type Otherwise struct {
	Grey string `json:"grey,omitempty"` // the reason; empty: hidden
}

// Case is what is done when its condition is the first that holds.
type Case struct {
	ID   string             `json:"-"`
	Pos  float64            `json:"pos"`
	When string             `json:"when,omitempty"`
	Do   map[string]*Effect `json:"do,omitempty"`
	Move *Move              `json:"move,omitempty"`
}

// Position gives the place among others.
func (c *Case) Position() float64 { return c.Pos }

func (g *Gate) validate() error {
	if err := oneOf("rule for unsaved work", g.Unsaved, "", "ask", "save", "keep", "drop"); err != nil {
		return err
	}
	for id, c := range g.Cases {
		c.ID = id
		for effectID, e := range c.Do {
			e.ID = effectID
			if err := e.Spec.Validate(); err != nil {
				return fmt.Errorf("action %s: %w", effectID, err)
			}
		}
		if c.Move == nil {
			continue
		}
		if err := c.Move.validate(); err != nil {
			return err
		}
	}
	return nil
}

// Writes says whether any case changes records or the plant.
func (g *Gate) Writes() bool {
	for _, c := range g.Cases {
		if len(c.Do) > 0 {
			return true
		}
	}
	return false
}

// Effect is something a gate does before it moves. What it is stands in Spec, by kind.
type Effect struct {
	ID   string
	Kind string
	Pos  float64
	Spec EffectSpec
}

// EffectSpec is what one kind of effect holds.
type EffectSpec interface {
	// Validate refuses what cannot be read as this kind at all.
	Validate() error
}

// effectKinds is the registry of effects.
var effectKinds = map[string]func() EffectSpec{
	"save":   func() EffectSpec { return &Save{} },
	"set":    func() EffectSpec { return &Set{} },
	"write":  func() EffectSpec { return &Write{} },
	"delete": func() EffectSpec { return &Delete{} },
	"addRow": func() EffectSpec { return &AddRow{} },
}

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

// Position gives the place among others.
func (e *Effect) Position() float64 { return e.Pos }

type effectHead struct {
	Kind string  `json:"kind"`
	Pos  float64 `json:"pos"`
}

// UnmarshalJSON reads the common part and then what the kind holds.
func (e *Effect) UnmarshalJSON(data []byte) error {
	var head effectHead
	spec, err := splitKind(data, &head, []string{"kind", "pos"}, func() (EffectSpec, error) {
		make, ok := effectKinds[head.Kind]
		if !ok {
			return nil, fmt.Errorf("there is no action %q", head.Kind)
		}
		return make(), nil
	})
	if err != nil {
		return err
	}
	*e = Effect{ID: e.ID, Kind: head.Kind, Pos: head.Pos, Spec: spec}
	return nil
}

// MarshalJSON writes both parts into one object.
func (e *Effect) MarshalJSON() ([]byte, error) { return joinKind(effectHead{e.Kind, e.Pos}, e.Spec) }

// Move is where a gate leads.
type Move struct {
	Kind   string              `json:"kind"`             // screen, step, back, forward, home, up, close
	Step   string              `json:"step,omitempty"`   // of a step: first, previous, next, last
	List   string              `json:"list,omitempty"`   // of a step: a list of the screen, whose chosen row steps; empty: the screen's record
	None   string              `json:"none,omitempty"`   // of a step, at the end: grey (default), round, stay
	Reason string              `json:"reason,omitempty"` // of a step, at the end: the words
	Target string              `json:"target,omitempty"` // screen
	Bind   map[string]*Binding `json:"bind,omitempty"`   // input of the target → how it gets its value
	Mode   string              `json:"mode,omitempty"`   // view (default), edit, add
	As     string              `json:"as,omitempty"`     // full (default), dialog, drawer, replace, tab
	Set    map[string]string   `json:"set,omitempty"`    // mode add: field id → expression
	Arrive *Arrive             `json:"arrive,omitempty"` // how the target's list is narrowed and ordered at first
}

// Arrive is what is set on the target when one gets there.
type Arrive struct {
	Filters map[string]*ArriveFilter `json:"filters,omitempty"`
	Sort    map[string]*Order        `json:"sort,omitempty"`
}

// ArriveFilter is one filter of the target's list.
type ArriveFilter struct {
	Pos     float64 `json:"pos"`
	Path    string  `json:"path"`
	Compare string  `json:"compare"`
	Value   string  `json:"value,omitempty"`
}

// Position gives the place among others.
func (f *ArriveFilter) Position() float64 { return f.Pos }

// Binding says how an input of the target gets its value.
type Binding struct {
	Rule   string `json:"rule"`             // this, row, parent, point, user, value, input, expression
	Path   string `json:"path,omitempty"`   // parent: relation ids joined by dots, from the record or, with From row, the row
	From   string `json:"from,omitempty"`   // parent: record (default), row
	Value  string `json:"value,omitempty"`  // value: as the wire writes it; input: its id; expression: its text
	None   string `json:"none,omitempty"`   // what if there is none: grey (default), list, add, stay
	Screen string `json:"screen,omitempty"` // of None list: the screen opened instead
	Reason string `json:"reason,omitempty"` // of None grey and stay: the words
}

// Rules are the record rules and bindings that exist.
var Rules = []string{"this", "row", "parent", "point", "user", "value", "input", "expression"}

// Moves are the kinds of moves.
var Moves = []string{"screen", "step", "back", "forward", "home", "up", "close"}

// Steps are the ways along a list.
var Steps = []string{"first", "previous", "next", "last"}

func (m *Move) validate() error {
	if err := oneOf("move", m.Kind, Moves...); err != nil {
		return err
	}
	if err := oneOf("mode", m.Mode, "", "view", "edit", "add"); err != nil {
		return err
	}
	if err := oneOf("presentation", m.As, "", "full", "dialog", "drawer", "replace", "tab"); err != nil {
		return err
	}
	if m.Kind == "step" {
		if err := oneOf("step", m.Step, Steps...); err != nil {
			return err
		}
		if err := oneOf("policy at the end", m.None, "", "grey", "round", "stay"); err != nil {
			return err
		}
	}
	for id, b := range m.Bind {
		if b == nil {
			return fmt.Errorf("input %s: its binding is empty", id)
		}
		if err := oneOf("rule", b.Rule, Rules...); err != nil {
			return fmt.Errorf("input %s: %w", id, err)
		}
		if err := oneOf("policy", b.None, "", "grey", "list", "add", "stay"); err != nil {
			return fmt.Errorf("input %s: %w", id, err)
		}
	}
	return nil
}

func strictUnmarshal(data []byte, into any) error {
	d := json.NewDecoder(bytes.NewReader(data))
	d.DisallowUnknownFields()
	return d.Decode(into)
}
