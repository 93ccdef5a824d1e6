package project

import (
	"encoding/json"
	"fmt"
)

// Element is a thing on a screen. What it is stands in Spec, by kind; the head is the spec's own.
type Element struct {
	*ElementHead
	Spec Spec
}

// ElementHead is what every element has. Each kind begins with it.
type ElementHead struct {
	Item
	Kind  string          `json:"kind"`
	Cell  Cell            `json:"cell"`
	Shown string          `json:"shown,omitempty"` // condition; empty: always
	Modes map[string]bool `json:"modes,omitempty"` // view, edit, add: where it is; absent: everywhere
	Tab   string          `json:"tab,omitempty"`   // element id and tab id, joined by a dot: it shows while that tab is open; empty: always
}

// Head gives what every element has.
func (h *ElementHead) Head() *ElementHead { return h }

// Cell is the place on the screen's grid: twelve columns, rows of even height from 1.
type Cell struct {
	Row int `json:"row"`
	Col int `json:"col"`
	W   int `json:"w"`
	H   int `json:"h,omitempty"`
}

// Frames says whether an element is a frame around others.
func Frames(e *Element) bool {
	_, ok := e.Spec.(interface{ Frames() })
	return ok
}

// Holds says whether a cell lies within this one of a frame: below the row of its heading.
func (c Cell) Holds(in Cell) bool {
	return in.Row > c.Row && in.Row < c.Row+max(c.H, 1) && in.Col >= c.Col && in.Col+in.W <= c.Col+c.W
}

// Spec is what one kind of element holds.
type Spec interface {
	Head() *ElementHead
	// Validate refuses what cannot be read as this kind at all.
	Validate() error
	// Gates gives the ways that start at the element, by trigger.
	Gates() map[string]*Gate
}

// NewElement makes an element of what it holds.
func NewElement(spec Spec) *Element { return &Element{spec.Head(), spec} }

// UnmarshalJSON reads the element as the kind that it names.
func (e *Element) UnmarshalJSON(data []byte) error {
	spec, err := Elements.decode(data)
	if err == nil {
		*e = *NewElement(spec)
	}
	return err
}

// MarshalJSON writes it as its kind does.
func (e *Element) MarshalJSON() ([]byte, error) { return json.Marshal(e.Spec) }

func (e *Element) validate() error {
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

// GatesOn gives one gate by its trigger; none where it is nil.
func GatesOn(trigger string, g *Gate) map[string]*Gate {
	if g == nil {
		return nil
	}
	return map[string]*Gate{trigger: g}
}
