package press

import (
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/place"
)

// Effects that only change what one looks at: filters, order, find, tabs, and what the browser
// does itself. They write nothing; what they come to is a place like any other.

// Looked gives the place that effects of this press change, copied from the one that is open.
func (r Run) Looked() *place.Place {
	if r.Out.look == nil {
		p := r.Opening.At
		p.Inputs, p.Tabs = maps.Clone(p.Inputs), maps.Clone(p.Tabs)
		p.Filters, p.Sort, p.Look = slices.Clone(p.Filters), slices.Clone(p.Sort), nil
		r.Out.look = &p
	}
	return r.Out.look
}

// ListField refuses a field that the main list does not have, or that the user may not see.
func (r Run) ListField(path string) error {
	table := r.Opening.Plan.Screen.ListTable()
	if f, _ := r.Opening.App.Project.FieldAt(table, path); f == nil || !r.Opening.MaySee(table, path) {
		return ask.Refuse("bad-filter", "The field that this looks at is not there.", "Tell the person who builds this application.")
	}
	return nil
}
