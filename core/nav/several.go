package nav

import (
	"context"
	"fmt"
	"slices"

	"ambergate/core/english"
	"ambergate/core/project"
)

// maxSeveral is how many rows one press changes at the most.
const maxSeveral = 500

// followSeveral does a gate's effects with each of the chosen rows, all or none.
func (o *Opening) followSeveral(ctx context.Context, p Press, src Changer) (Outcome, error) {
	e := o.listElement(p.Element)
	if e == nil || e.Gates[p.Trigger] == nil {
		return Outcome{}, refuse("no-element", "What you pressed is not on this screen any more.", "The screen has been loaded again.")
	}
	if ev, shown := o.elementForPress(e); !shown {
		return Outcome{}, refuse("hidden", "This is not open to you here.", ev.Reason)
	}
	gate, t := e.Gates[p.Trigger], o.app.Project.Tables[e.listing().Table]
	keys := slices.Compact(slices.Sorted(slices.Values(p.Rows)))
	switch {
	case len(keys) == 0:
		return Outcome{}, refuse("no-record", "No row is chosen.", "Choose the rows first.")
	case len(keys) > maxSeveral:
		return Outcome{}, refuse("bad-request", fmt.Sprintf("That is %d rows; at most %d can be changed at once.", len(keys), maxSeveral), "Choose fewer.")
	}
	rows, chosen := make([]*Row, len(keys)), make([]*CasePlan, len(keys))
	for i, key := range keys { // all are judged before any is changed
		row, err := o.rowOf(ctx, e, key, src, true)
		if err != nil {
			return Outcome{}, err
		}
		v := o.judge(gate, aim{row: row, element: e.ID, several: true})
		if !v.Open() {
			r := refuse(v.State, fmt.Sprintf("This cannot be done with %s: nothing was changed.", o.world.title(row, row.Table, "")), v.Reason)
			r.Part = v.Part
			return Outcome{}, r
		}
		rows[i], chosen[i] = row, v.chosen
	}
	if q := o.askSeveral(gate, chosen[0], t, p, len(keys)); q != nil {
		return Outcome{Kind: "question", Question: q}, nil
	}
	out := Outcome{Kind: "stay", Done: len(keys)}
	for i, row := range rows {
		w := *o.world
		w.row = row
		for _, effect := range chosen[i].Effects {
			if _, err := kindOf[DoneEffect](effect.Spec).Do(ctx, effectRun{o: o, w: &w, plan: effect, press: p, records: src, out: &out, row: row}); err != nil {
				return Outcome{}, err
			}
		}
	}
	out.Message = fmt.Sprintf("Done with %d %s.", len(keys), countWord(t, len(keys)))
	return out, nil
}

// askSeveral asks once for all rows.
func (o *Opening) askSeveral(g *GatePlan, c *CasePlan, t *project.Table, p Press, n int) *Question {
	q := &Question{Kind: "confirm", about: o.place.Address(o.app.Project) + "|" + p.Element + "|" + p.Trigger}
	if g.Question != nil {
		q.Words = g.Question.Say(o.world, o.world.say)
	}
	for _, e := range c.Effects {
		if e.Kind == "delete" {
			q.Kind = "delete"
			if q.Words == "" {
				q.Words = fmt.Sprintf("Delete %d %s?", n, countWord(t, n))
			}
		}
	}
	if q.Words == "" || p.Confirmed && p.answered(q) {
		return nil
	}
	return q
}

func countWord(t *project.Table, n int) string {
	if n == 1 {
		return t.One
	}
	return english.Lower(t.Label)
}
