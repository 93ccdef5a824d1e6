package nav

import (
	"context"
	"maps"
	"slices"

	"ambergate/core/project"
)

// chosenRow is the chosen row of a list and its neighbours there.
type chosenRow struct {
	row  *Row            // nil when none is chosen, or the chosen one is gone
	to   map[string]*Row // first, previous, next, last
	list string          // what the list is called
}

// neighbour gives the key of the row to choose when the chosen one is gone.
func (c *chosenRow) neighbour() string {
	for _, step := range []string{"next", "previous"} {
		if r := c.to[step]; r != nil {
			return r.Key
		}
	}
	return ""
}

// listElement gives a list of the screen by its id.
func (o *Opening) listElement(id string) *ElementPlan {
	for _, e := range o.plan.Elements {
		if e.ID == id && e.Kind == "list" {
			return e
		}
	}
	return nil
}

// fetchChosen gets the chosen rows that ways of the screen ask for, with their neighbours.
func (o *Opening) fetchChosen(ctx context.Context, src Sources) error {
	for _, id := range slices.Sorted(maps.Keys(o.needs(src).chosen)) {
		e := o.listElement(id)
		if e == nil || o.app.Project.Tables[e.listing().Table] == nil || !o.rights.On(e.listing().Table).View || e.listing().Relation != "" && o.world.record == nil {
			continue
		}
		if err := o.fetchChosenOf(ctx, src, e); err != nil {
			return err
		}
	}
	return nil
}

func (o *Opening) fetchChosenOf(ctx context.Context, src Sources, e *ElementPlan) error {
	spec := e.listing()
	c := &chosenRow{to: map[string]*Row{}, list: spec.Label}
	if c.list == "" {
		c.list = o.app.Project.Tables[spec.Table].Label
	}
	o.chosen[e.ID] = c
	if key := o.place.Look[e.ID].Row; key != "" {
		row, err := o.rowOf(ctx, e, key, src.Records, src.Lock)
		if err != nil && !isGone(err) {
			return err
		}
		c.row = row
	}
	for _, name := range []string{"previous", "next", "first", "last"} {
		if c.row == nil && (name == "previous" || name == "next") {
			continue
		}
		q, _, err := o.listQuery(e, "")
		if err != nil {
			return err
		}
		q.Paths, q.Limit, q.Back = nil, 1, name == "previous" || name == "last"
		if name == "previous" || name == "next" {
			q.After, q.Except = c.row.Cursor, c.row.Key
		}
		page, err := src.Records.Fetch(ctx, q)
		if err != nil {
			return err
		}
		if len(page.Rows) > 0 {
			c.to[name] = page.Rows[0]
		}
	}
	return nil
}

func isGone(err error) bool {
	r, ok := err.(*Refusal)
	return ok && r.Code == "no-record"
}

// aimRowStep works out which row of a list a step chooses.
func (o *Opening) aimRowStep(v *Verdict, m *project.MoveHead, step, list string) {
	c := o.chosen[list]
	if c == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "The list that it steps in is gone.", Part: v.Part, chosen: v.chosen}
		return
	}
	if c.row == nil { // nothing is chosen yet: stepping begins at an end
		step = map[string]string{"first": "first", "next": "first", "previous": "last", "last": "last"}[step]
	}
	row := c.to[step]
	if row == nil && m.None == "round" {
		row = c.to[map[string]string{"previous": "last", "next": "first"}[step]]
	}
	if row == nil || c.row != nil && row.Key == c.row.Key {
		words := "This is the first row of “" + c.list + "”."
		switch {
		case c.to["first"] == nil:
			words = "“" + c.list + "” has no rows."
		case step == "next" || step == "last":
			words = "This is the last row of “" + c.list + "”."
		}
		o.endOfSteps(v, m, words)
		return
	}
	v.choose = &Choice{List: list, Row: row.Key}
}
