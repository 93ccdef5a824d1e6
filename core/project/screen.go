package project

import (
	"encoding/json"
	"fmt"
	"slices"

	"ambergate/core/cond"
)

// ScreenTypes are the kinds of screens.
var ScreenTypes = []string{"menu", "list", "form", "dashboard", "operator"}

// Screen is what a user sees at one address. It is a function of its inputs.
type Screen struct {
	ID       string              `json:"-"`
	Type     string              `json:"type"`
	Title    string              `json:"title"`             // what it is called: Cabin
	Heading  string              `json:"heading,omitempty"` // template: Cabin {record.number}
	Area     string              `json:"area,omitempty"`
	Slug     string              `json:"slug"`
	OldSlugs map[string]bool     `json:"oldSlugs,omitempty"`
	Record   string              `json:"record,omitempty"` // the input that is the screen's own record
	Inputs   map[string]*Input   `json:"inputs,omitempty"`
	Roles    map[string]bool     `json:"roles,omitempty"`    // who may be here at all; absent: everyone
	Guard    string              `json:"guard,omitempty"`    // condition for being here at all
	Up       string              `json:"up,omitempty"`       // screen
	Bare     bool                `json:"bare,omitempty"`     // without the strip that holds back, forward and home
	Position bool                `json:"position,omitempty"` // the heading tells where the record stands in the list come from
	Elements map[string]*Element `json:"elements,omitempty"`
}

// Input is one thing a screen needs to know.
type Input struct {
	ID       string  `json:"-"`
	Pos      float64 `json:"pos"`
	Alias    string  `json:"alias"`
	Label    string  `json:"label"`
	Type     string  `json:"type"`
	Table    string  `json:"table,omitempty"` // of a record
	Required bool    `json:"required,omitempty"`
	Filter   string  `json:"filter,omitempty"` // path of the screen's list that this narrows
}

// Position gives the place among others.
func (i *Input) Position() float64 { return i.Pos }

// TypeOf gives the input's type in the language of conditions.
func (i *Input) TypeOf() cond.Type {
	kind, ok := cond.KindOf(i.Type)
	if !ok {
		kind = cond.Text
	}
	return cond.Type{Kind: kind, Table: i.Table, Nullable: !i.Required}
}

func (s *Screen) name(id string) {
	s.ID = id
	for inputID, in := range s.Inputs {
		in.ID = inputID
	}
	for elementID, e := range s.Elements {
		e.ID = elementID
	}
}

// RecordTable gives the table of the screen's own record, or "".
func (s *Screen) RecordTable() string {
	if in := s.Inputs[s.Record]; in != nil {
		return in.Table
	}
	return ""
}

func (s *Screen) validate() error {
	if !slices.Contains(ScreenTypes, s.Type) {
		return fmt.Errorf("there is no kind of screen %q", s.Type)
	}
	if s.Title == "" || s.Slug == "" {
		return fmt.Errorf("a screen needs a title and a slug")
	}
	for id, e := range s.Elements {
		if err := e.validate(); err != nil {
			return fmt.Errorf("element %s: %w", id, err)
		}
	}
	return nil
}

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
