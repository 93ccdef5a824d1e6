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

// Spans are the stretches of time that records are counted by; Measures what is told of them.
var (
	Spans    = []string{"day", "week", "month", "quarter", "year"}
	Measures = []string{"count", "sum", "mean", "most", "least"}
)

// PointSource is what the points of an element, the marks of a chart, stand for.
type PointSource struct {
	Table string  `json:"table"`
	By    string  `json:"by"`                                                                               // path of the field that the points are made by
	Span  string  `json:"span,omitempty" jsonschema:"enum=day,enum=week,enum=month,enum=quarter,enum=year"` // of a date or moment
	Step  float64 `json:"step,omitempty"`                                                                   // of a number: how wide the ranges are that it is counted by
}

// PointsBy gives it.
func (p *PointSource) PointsBy() *PointSource { return p }

// PointsOf gives what the points of an element stand for; nil when it has none.
func PointsOf(e *Element) *PointSource {
	if p, ok := e.Spec.(interface{ PointsBy() *PointSource }); ok {
		return p.PointsBy()
	}
	return nil
}

// UnwiredTrigger gives what a way of an element will be set off by where it has none yet; "" for an
// element that is complete without one.
func UnwiredTrigger(e *Element) string {
	if t, ok := e.Spec.(interface{ TriggerName() string }); ok {
		return t.TriggerName()
	}
	return ""
}

// Tab is one tab of a block.
type Tab struct {
	Item
	Label  string `json:"label"`
	Opened *Gate  `json:"opened,omitempty"` // it is opened
}

// TabsOf gives the tabs of an element that is a block of them; nil when it is none.
func TabsOf(e *Element) map[string]*Tab {
	if b, ok := e.Spec.(interface{ TabList() map[string]*Tab }); ok {
		return b.TabList()
	}
	return nil
}

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
