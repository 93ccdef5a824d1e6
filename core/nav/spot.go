package nav

import (
	"context"
	"maps"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// A spot is a part of a screen that one is led to: an element, a tab, or a row of a list, which is
// written with its key after a slash.

// land leads to a spot inside the target: a tab is opened, an element is gone to.
func (p *Place) land(spot string, target *project.Screen) {
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

// landOnRow goes on to a row of the list that one is led to; to the list alone where there is none.
func (o *Opening) landOnRow(to *Place, m *Lead, w *world, at aim) {
	if m.SpotRow == nil || to.Spot == "" {
		return
	}
	l := project.ListOf(m.Target.Elements[to.Spot])
	if l == nil {
		return // a finding, not an error
	}
	x := binding{o: o, in: spotInput(l.Table), b: m.SpotRow, expr: m.Row, w: w, at: at}
	if v := x.value(); !x.later && v.Known() && v.Kind() == cond.Record {
		to.Spot += "/" + v.KeyOf()
	}
}

// spotList gives the table of the list that a move leads to a row of; "" where it is none.
func spotList(m *Lead) string {
	if e := m.Target.Elements[m.Spot]; e != nil {
		if l := project.ListOf(e); l != nil {
			return l.Table
		}
	}
	return ""
}

// spotInput stands for the row of a list that one is led to.
func spotInput(table string) *project.Input {
	return &project.Input{ID: "spot", Label: "Row", Type: "record", Table: table}
}

// spotted gives a place whose list has the row chosen that one was led to, until another one is.
func (p Place) spotted() Place {
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

// rowsAbove is how many rows stand above the one that one is led to.
const rowsAbove = 4

// startAt gives the cursor that a list begins after so that the row one is led to stands near its
// top; "" for the beginning, also where the list does not hold that row.
func (o *Opening) startAt(ctx context.Context, e *ElementPlan, src Sources) (string, error) {
	list, key, ok := strings.Cut(o.place.Spot, "/")
	if !ok || list != e.ID || o.place.Look[list].Row != key {
		return "", nil
	}
	row, err := o.rowOf(ctx, e, key, src.Records, false)
	if isRefusal(err) {
		return "", nil
	}
	if err != nil {
		return "", err
	}
	q, _, err := o.listQuery(e, row.Cursor)
	if err != nil {
		return "", err
	}
	q.Back, q.Limit = true, rowsAbove+1
	page, err := src.Records.Fetch(ctx, q)
	if err != nil || len(page.Rows) <= rowsAbove {
		return "", err
	}
	return page.Rows[0].Cursor, nil
}

func isRefusal(err error) bool {
	_, ok := err.(*Refusal)
	return ok
}
