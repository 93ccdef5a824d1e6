package project

import (
	"encoding/json"
	"fmt"
)

// Element is a thing on a screen. What it is stands in Spec, by kind.
type Element struct {
	ID    string
	Kind  string
	Pos   float64
	Cell  Cell
	Shown string          // condition; empty: always
	Modes map[string]bool // view, edit, add: where it is; absent: everywhere
	Tab   string          // element id and tab id, joined by a dot: it shows while that tab is open; empty: always
	Spec  Spec
}

// Cell is the place on the screen's grid: twelve columns, rows of even height from 1.
type Cell struct {
	Row int `json:"row"`
	Col int `json:"col"`
	W   int `json:"w"`
	H   int `json:"h,omitempty"`
}

// Spec is what one kind of element holds.
type Spec interface {
	// Validate refuses what cannot be read as this kind at all.
	Validate() error
	// Gates gives the ways that start at the element, by trigger.
	Gates() map[string]*Gate
}

// elementKinds is the registry: each kind in a file of its own.
var elementKinds = map[string]func() Spec{
	"button": func() Spec { return &Button{} },
	"text":   func() Spec { return &Words{} },
	"field":  func() Spec { return &Field{} },
	"list":   func() Spec { return &List{} },
	"chart":  func() Spec { return &Chart{} },
	"gauge":  func() Spec { return &Gauge{} },
	"lamp":   func() Spec { return &Lamp{} },
	"trend":  func() Spec { return &Trend{} },
	"figure": func() Spec { return &Figure{} },
	"tabs":   func() Spec { return &Tabs{} },
	"image":  func() Spec { return &Image{} },
}

// Position gives the place among others.
func (e *Element) Position() float64 { return e.Pos }

type elementHead struct {
	Kind  string          `json:"kind"`
	Pos   float64         `json:"pos"`
	Cell  Cell            `json:"cell"`
	Shown string          `json:"shown,omitempty"`
	Modes map[string]bool `json:"modes,omitempty"`
	Tab   string          `json:"tab,omitempty"`
}

// UnmarshalJSON reads the common part and then what the kind holds, from the same object.
func (e *Element) UnmarshalJSON(data []byte) error {
	var head elementHead
	spec, err := splitKind(data, &head, []string{"kind", "pos", "cell", "shown", "modes", "tab"}, func() (Spec, error) {
		make, ok := elementKinds[head.Kind]
		if !ok {
			return nil, fmt.Errorf("there is no kind of element %q", head.Kind)
		}
		return make(), nil
	})
	if err != nil {
		return err
	}
	*e = Element{ID: e.ID, Kind: head.Kind, Pos: head.Pos, Cell: head.Cell, Shown: head.Shown, Modes: head.Modes, Tab: head.Tab, Spec: spec}
	return nil
}

// MarshalJSON writes both parts into one object.
func (e *Element) MarshalJSON() ([]byte, error) {
	return joinKind(elementHead{e.Kind, e.Pos, e.Cell, e.Shown, e.Modes, e.Tab}, e.Spec)
}

func (e *Element) validate() error {
	if e.Spec == nil {
		return fmt.Errorf("it is empty")
	}
	if e.Cell.Row < 0 || e.Cell.Col < 0 || e.Cell.W < 0 || e.Cell.W > 12 || e.Cell.H < 0 || e.Cell.Row > 500 || e.Cell.H > 100 {
		return fmt.Errorf("its cell lies off the grid")
	}
	for trigger, g := range e.Spec.Gates() {
		if g == nil {
			continue
		}
		if err := g.validate(); err != nil {
			return fmt.Errorf("gate on %s: %w", trigger, err)
		}
	}
	return e.Spec.Validate()
}

// splitKind reads an object whose common fields belong to head and whose others belong to the kind.
func splitKind[S any](data []byte, head any, common []string, spec func() (S, error)) (S, error) {
	var none S
	if err := json.Unmarshal(data, head); err != nil {
		return none, err
	}
	s, err := spec()
	if err != nil {
		return none, err
	}
	var fields map[string]json.RawMessage
	if err := json.Unmarshal(data, &fields); err != nil {
		return none, err
	}
	for _, name := range common {
		delete(fields, name)
	}
	rest, err := json.Marshal(fields)
	if err != nil {
		return none, err
	}
	return s, strictUnmarshal(rest, s)
}

func joinKind(head, spec any) ([]byte, error) {
	all := map[string]json.RawMessage{}
	for _, part := range []any{head, spec} {
		text, err := json.Marshal(part)
		if err != nil {
			return nil, err
		}
		if err := json.Unmarshal(text, &all); err != nil {
			return nil, err
		}
	}
	return json.Marshal(all)
}
