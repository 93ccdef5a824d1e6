package place

import (
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// Place is a screen with its inputs, mode and view: one step of a trail, and what an address says.
type Place struct {
	Screen  string            `json:"screen"`
	Inputs  map[string]string `json:"inputs,omitempty"` // by input id, as the wire writes them
	Mode    string            `json:"mode"`             // view, edit, add
	Set     map[string]string `json:"set,omitempty"`    // mode add: fields filled in, by field id
	Filters []Filter          `json:"filters,omitempty"`
	Sort    []ask.Sort        `json:"sort,omitempty"`
	Find    string            `json:"find,omitempty"`
	Tabs    map[string]string `json:"tabs,omitempty"` // by block of tabs: which is open, when it is not the first
	Spot    string            `json:"spot,omitempty"` // element that one is led to
	Vars    map[string]string `json:"vars,omitempty"` // variables of this screen, by id; not part of the address
	From    *From             `json:"from,omitempty"` // the list come from; not part of the address
	Look    map[string]Look   `json:"look,omitempty"` // by list: how it was left; not part of the address
}

// Clone gives a place of one's own: what is changed of it is changed of no other.
func (p Place) Clone() Place {
	p.Inputs, p.Set, p.Tabs, p.Vars, p.Look = maps.Clone(p.Inputs), maps.Clone(p.Set), maps.Clone(p.Tabs), maps.Clone(p.Vars), maps.Clone(p.Look)
	p.Filters, p.Sort = slices.Clone(p.Filters), slices.Clone(p.Sort)
	if p.From != nil {
		from := *p.From
		from.Inputs, from.Filters, from.Sort = maps.Clone(from.Inputs), slices.Clone(from.Filters), slices.Clone(from.Sort)
		p.From = &from
	}
	return p
}

// Overlay is a dialog or drawer over a place. What it comes to may be given to a field below.
type Overlay struct {
	Place Place   `json:"place"`
	As    string  `json:"as"`             // dialog, drawer
	Into  string  `json:"into,omitempty"` // field of the screen below that gets the record saved here
	Back  *Return `json:"back,omitempty"` // what is pressed on the screen below when it comes back with something
}

// CloneAll gives dialogs and drawers of one's own.
func CloneAll(over []Overlay) []Overlay {
	out := slices.Clone(over)
	for i := range out {
		out[i].Place = out[i].Place.Clone()
		if back := out[i].Back; back != nil {
			own := *back
			out[i].Back = &own
		}
	}
	return out
}

// Return is the press that follows when a dialog comes back: of what opened it, through the second gate.
type Return struct {
	Element string `json:"element"`
	Trigger string `json:"trigger"`
	Row     string `json:"row,omitempty"`   // key of the row that it was opened from
	Point   string `json:"point,omitempty"` // value of the point that it was opened from
}

// From is the list that a record was opened from, as it was then: stepping goes on along it.
type From struct {
	Screen  string            `json:"screen,omitempty"` // none: all records of the table, in its own order
	Element string            `json:"element,omitempty"`
	Inputs  map[string]string `json:"inputs,omitempty"`
	Filters []Filter          `json:"filters,omitempty"`
	Sort    []ask.Sort        `json:"sort,omitempty"`
	Find    string            `json:"find,omitempty"`
	At      string            `json:"at,omitempty"`  // the record's place in the order, as it was on arrival
	Key     string            `json:"key,omitempty"` // the record that At speaks of
}

// Look is how a list was left: found again when one comes back.
type Look struct {
	Start string `json:"start,omitempty"` // cursor that the page begins after; "" for the beginning
	Row   string `json:"row,omitempty"`   // key of the chosen row
	Top   string `json:"top,omitempty"`   // key of the row that was at the top
}

// ListOf gives the list of a table that a place shows, as what records are opened from; nil if there is none.
func ListOf(of *project.Project, p Place, table string) *From {
	s := of.Screens[p.Screen]
	if s == nil || table == "" {
		return nil
	}
	e := s.MainList()
	if e == nil || project.ListOf(e).Table != table {
		e = nil
		for _, id := range slices.Sorted(maps.Keys(s.Elements)) {
			if l := project.ListOf(s.Elements[id]); l != nil && l.Table == table {
				e = s.Elements[id]
				break
			}
		}
	}
	if e == nil {
		return nil
	}
	return &From{Screen: p.Screen, Element: e.ID, Inputs: p.Inputs, Filters: p.Filters, Sort: p.Sort, Find: p.Find}
}

// WithVars gives a place with other values of its screen's own variables.
func (p Place) WithVars(set map[string]string) Place {
	if len(set) == 0 {
		return p
	}
	vars := make(map[string]string, len(p.Vars)+len(set))
	for id, wire := range p.Vars {
		vars[id] = wire
	}
	for id, wire := range set {
		vars[id] = wire
	}
	p.Vars = vars
	return p
}

// WithRows gives a place with other chosen rows, by list.
func (p Place) WithRows(chosen map[string]string) Place {
	if len(chosen) == 0 {
		return p
	}
	p.Look = maps.Clone(p.Look)
	if p.Look == nil {
		p.Look = map[string]Look{}
	}
	for list, row := range chosen {
		look := p.Look[list]
		look.Row = row
		p.Look[list] = look
	}
	return p
}

// Work names what is worked on at a place: a screen, a mode, a record; "" where nothing can be typed.
func (p Place) Work(of *project.Project) string {
	s := of.Screens[p.Screen]
	if s == nil || p.Mode != "edit" && p.Mode != "add" {
		return ""
	}
	return p.Screen + "|" + p.Mode + "|" + p.Inputs[s.Record]
}
