package use

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// ChosenRow is the chosen row of a list and its neighbours there.
type ChosenRow struct {
	Row  *ask.Row            // nil when none is chosen, or the chosen one is gone
	to   map[string]*ask.Row // first, previous, next, last
	list string              // what the list is called
}

// Neighbour gives the key of the row to choose when the chosen one is gone.
func (c *ChosenRow) Neighbour() string {
	for _, step := range []string{"next", "previous"} {
		if r := c.to[step]; r != nil {
			return r.Key
		}
	}
	return ""
}

// ListAt gives a list of the screen by its id.
func (o *Opening) ListAt(id string) *plan.Element {
	for _, e := range o.Plan.Elements {
		if e.ID == id && e.Kind == "list" {
			return e
		}
	}
	return nil
}

// AskChosen gets the chosen rows that ways of the screen ask for, with their neighbours.
func (o *Opening) AskChosen(round *ask.Round, src Sources) error {
	for _, id := range slices.Sorted(maps.Keys(o.needs(src).Chosen)) {
		e := o.ListAt(id)
		if e == nil || o.App.Project.Tables[e.Listing().Table] == nil || !o.Rights.On(e.Listing().Table).View || e.Listing().Relation != "" && o.World.Record == nil {
			continue
		}
		if err := o.askChosenOf(round, src, e); err != nil {
			return err
		}
	}
	return nil
}

func (o *Opening) askChosenOf(round *ask.Round, src Sources, e *plan.Element) error {
	spec := e.Listing()
	c := &ChosenRow{to: map[string]*ask.Row{}, list: spec.Label}
	if c.list == "" {
		c.list = o.App.Project.Tables[spec.Table].Label
	}
	o.Chosen[e.ID] = c
	if err := o.askNeighbour(round, e, c, "first", "last"); err != nil {
		return err
	}
	key := o.At.Look[e.ID].Row
	if key == "" {
		return nil
	}
	return o.askRow(round, e, key, src.Lock, func(row *ask.Row, err error) error {
		if isGone(err) {
			return nil
		}
		if err != nil {
			return fmt.Errorf("find the chosen rows: %w", err)
		}
		c.Row = row
		return o.askNeighbour(round, e, c, "previous", "next")
	})
}

func (o *Opening) askNeighbour(round *ask.Round, e *plan.Element, c *ChosenRow, names ...string) error {
	for _, name := range names {
		q, _, err := o.ListQuery(e, "")
		if err != nil {
			return err
		}
		q.Paths, q.Limit, q.Back = nil, 1, name == "previous" || name == "last"
		if name == "previous" || name == "next" {
			q.After, q.Except = c.Row.Cursor, c.Row.Key
		}
		round.Fetch(q, func(page ask.Page, err error) error {
			if err == nil && len(page.Rows) > 0 {
				c.to[name] = page.Rows[0]
			}
			return err
		})
	}
	return nil
}

func isGone(err error) bool {
	r, ok := err.(*ask.Refusal)
	return ok && r.Code == "no-record"
}

// aimRowStep works out which row of a list a step chooses.
func (o *Opening) aimRowStep(v *Verdict, m *project.MoveHead, step, list string) {
	c := o.Chosen[list]
	if c == nil {
		*v = Verdict{State: StateGreyed, By: "broken", Reason: "The list that it steps in is gone.", Part: v.Part, Chosen: v.Chosen}
		return
	}
	if c.Row == nil { // nothing is chosen yet: stepping begins at an end
		step = map[string]string{"first": "first", "next": "first", "previous": "last", "last": "last"}[step]
	}
	row := c.to[step]
	if row == nil && m.None == "round" {
		row = c.to[map[string]string{"previous": "last", "next": "first"}[step]]
	}
	if row == nil || c.Row != nil && row.Key == c.Row.Key {
		words := "This is the first row of “" + c.list + "”."
		switch {
		case c.to["first"] == nil:
			words = "“" + c.list + "” has no rows."
		case step == "next" || step == "last":
			words = "This is the last row of “" + c.list + "”."
		}
		o.EndOfSteps(v, m, words)
		return
	}
	v.Choose = &Choice{List: list, Row: row.Key}
}
