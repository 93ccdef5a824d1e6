package place

import (
	"maps"
	"strings"

	"ambergate/core/project"
)

// A spot is a part of a screen that one is led to: an element, a tab, or a row of a list, which is
// written with its key after a slash.

// Land leads to a spot inside the target: a tab is opened, an element is gone to.
func (p *Place) Land(spot string, target *project.Screen) {
	if spot == "" {
		return
	}
	element, tab, isTab := strings.Cut(spot, ".")
	e := target.Elements[element]
	if e == nil {
		return // a finding, not an error
	}
	if isTab {
		p.Tabs = map[string]string{element: tab}
	} else if block, in, ok := strings.Cut(e.Tab, "."); ok {
		p.Tabs = map[string]string{block: in}
	}
	p.Spot = element
}

// Spotted gives a place whose list has the row chosen that one was led to, until another one is.
func (p Place) Spotted() Place {
	list, row, ok := strings.Cut(p.Spot, "/")
	if !ok || p.Look[list] != (Look{}) {
		return p
	}
	p.Look = maps.Clone(p.Look)
	if p.Look == nil {
		p.Look = map[string]Look{}
	}
	p.Look[list] = Look{Row: row}
	return p
}
