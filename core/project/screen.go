package project

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/cond"
)

// ScreenTypes are the kinds of screens.
var ScreenTypes = []string{"menu", "list", "form", "dashboard", "operator", "notice"}

// Screen is what a user sees at one address. It is a function of its inputs.
type Screen struct {
	Entity
	Type     string              `json:"type" jsonschema:"enum=menu,enum=list,enum=form,enum=dashboard,enum=operator,enum=notice"`
	Title    string              `json:"title"`             // what it is called: Cabin
	Heading  string              `json:"heading,omitempty"` // template: Cabin {record.number}
	Area     string              `json:"area,omitempty"`
	Pos      float64             `json:"pos,omitempty"` // its place in its area; those without one come behind, by title
	Slug     string              `json:"slug"`
	OldSlugs map[string]bool     `json:"oldSlugs,omitempty"`
	Record   string              `json:"record,omitempty"` // the input that is the screen's own record
	Inputs   map[string]*Input   `json:"inputs,omitempty"`
	Roles    map[string]bool     `json:"roles,omitempty"`    // who may be here at all; absent: everyone
	Guard    string              `json:"guard,omitempty"`    // condition for being here at all
	Up       string              `json:"up,omitempty"`       // screen
	Bare     bool                `json:"bare,omitempty"`     // without the strip that holds back, forward and home
	Position bool                `json:"position,omitempty"` // the heading tells where the record stands in the list come from
	Offered  bool                `json:"offered,omitempty"`  // other projects may lead here
	Elements map[string]*Element `json:"elements,omitempty"`
	Ways     map[string]*Way     `json:"ways,omitempty"` // what sets off no element: swipes, entering, time
}

// Input is one thing a screen needs to know.
type Input struct {
	Item
	Alias    string          `json:"alias"`
	Label    string          `json:"label"`
	Type     string          `json:"type"`
	Table    string          `json:"table,omitempty"` // of a record
	Required bool            `json:"required,omitempty"`
	Filter   string          `json:"filter,omitempty"`  // path that this narrows lists and charts by; several, between spaces: the first that their table has; of one table alone: t_pumps:f_state
	Compare  string          `json:"compare,omitempty"` // of Filter: is (default), atLeast, atMost, below
	Except   map[string]bool `json:"except,omitempty"`  // of Filter: elements of the screen that it does not narrow
	Several  bool            `json:"several,omitempty"` // of Filter: several values can be chosen, of which one is enough
}

// TypeOf gives the input's type in the language of conditions.
func (i *Input) TypeOf() cond.Type {
	kind, ok := cond.KindOf(i.Type)
	if !ok {
		kind = cond.Text
	}
	return cond.Type{Kind: kind, Table: i.Table, Nullable: !i.Required}
}

func (s *Screen) called(id string) {
	s.ID = id
	call(s.Inputs)
	call(s.Elements)
	call(s.Ways)
}

// RecordTable gives the table of the screen's own record, or "".
func (s *Screen) RecordTable() string {
	if in := s.Inputs[s.Record]; in != nil {
		return in.Table
	}
	return ""
}

// Alone says whether the screen can be opened without anything that it must know.
func (s *Screen) Alone() bool {
	for _, in := range s.Inputs {
		if in.Required {
			return false
		}
	}
	return true
}

func (s *Screen) validate() error {
	if !slices.Contains(ScreenTypes, s.Type) {
		return fmt.Errorf("there is no kind of screen “%s”", s.Type)
	}
	if s.Title == "" || s.Slug == "" {
		return fmt.Errorf("a screen needs a title and a slug")
	}
	for _, slug := range append(slices.Sorted(maps.Keys(s.OldSlugs)), s.Slug) {
		if err := LegalSlug("the address", slug); err != nil {
			return err
		}
	}
	for id, e := range s.Elements {
		if err := e.validate(); err != nil {
			return fmt.Errorf("element %s: %w", id, err)
		}
	}
	for id, w := range s.Ways {
		if err := w.validate(); err != nil {
			return fmt.Errorf("way %s: %w", id, err)
		}
	}
	for id, in := range s.Inputs {
		if err := OneOf("comparison", in.Compare, "", "is", "atLeast", "atMost", "below"); err != nil {
			return fmt.Errorf("input %s: %w", id, err)
		}
		if in.Several && (in.Filter == "" || in.Compare != "" && in.Compare != "is" || in.Required || id == s.Record) {
			return fmt.Errorf("input %s: several values only narrow, by being one of them, and are never needed", id)
		}
	}
	return nil
}
