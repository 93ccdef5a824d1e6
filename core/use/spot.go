package use

import (
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// landOnRow goes on to a row of the list that one is led to; to the list alone where there is none.
func (o *Opening) landOnRow(to *place.Place, m *plan.Lead, w *World, at Aim) {
	if m.SpotRow == nil || to.Spot == "" {
		return
	}
	l := project.ListOf(o.App.Behind(m).Elements[to.Spot])
	if l == nil {
		return // a finding, not an error
	}
	x := Binding{Opening: o, Input: plan.SpotInput(l.Table), Bound: m.SpotRow, Expr: m.Row, World: w, At: at}
	if v := x.Value(); !x.Later && v.Known() && v.Kind() == cond.Record {
		to.Spot += "/" + v.KeyOf()
	}
}

// rowsAbove is how many rows stand above the one that one is led to.
const rowsAbove = 4

// AskStart finds the cursor that a list begins after so that the row one is led to stands near its
// top; "" for the beginning, also where the list does not hold that row.
func (o *Opening) AskStart(round *ask.Round, e *plan.Element, then func(cursor string) error) error {
	list, key, ok := strings.Cut(o.At.Spot, "/")
	if !ok || list != e.ID || o.At.Look[list].Row != key {
		return then("")
	}
	err := o.askRow(round, e, key, false, func(row *ask.Row, err error) error {
		if isRefusal(err) {
			return then("")
		}
		if err != nil {
			return err
		}
		q, _, err := o.ListQuery(e, row.Cursor)
		if err != nil {
			return err
		}
		q.Back, q.Limit = true, rowsAbove+1
		round.Fetch(q, func(page ask.Page, err error) error {
			switch {
			case err != nil:
				return err
			case len(page.Rows) <= rowsAbove:
				return then("")
			}
			return then(page.Rows[0].Cursor)
		})
		return nil
	})
	if isRefusal(err) {
		return then("")
	}
	return err
}

func isRefusal(err error) bool {
	_, ok := err.(*ask.Refusal)
	return ok
}
