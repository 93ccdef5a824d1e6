package press

import (
	"context"
	"fmt"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// maxSeveral is how many rows one press changes at the most.
const maxSeveral = 500

// FollowSeveral does a gate's effects with each of the chosen rows, all or none.
func FollowSeveral(ctx context.Context, o *use.Opening, p Press, src ask.Changer) (Outcome, error) {
	e := o.ListAt(p.Element)
	if e == nil || e.Gates[p.Trigger] == nil {
		return Outcome{}, ask.Refuse("no-element", "What you pressed is not on this screen any more.", "The screen has been loaded again.")
	}
	if ev, shown := o.There(e); !shown {
		return Outcome{}, ask.Refuse("hidden", "This is not open to you here.", ev.Reason)
	}
	gate, t := e.Gates[p.Trigger], o.App.Project.Tables[e.Listing().Table]
	keys := slices.Compact(slices.Sorted(slices.Values(p.Rows)))
	switch {
	case len(keys) == 0:
		return Outcome{}, ask.Refuse("no-record", "No row is chosen.", "Choose the rows first.")
	case len(keys) > maxSeveral:
		return Outcome{}, ask.Refuse("bad-request", fmt.Sprintf("That is %d rows; at most %d can be changed at once.", len(keys), maxSeveral), "Choose fewer.")
	}
	rows, chosen := make([]*ask.Row, len(keys)), make([]*plan.Case, len(keys))
	for i, key := range keys { // all are judged before any is changed
		row, err := o.RowOf(ctx, e, key, src, true)
		if err != nil {
			return Outcome{}, err
		}
		v := o.Judge(gate, use.Aim{Row: row, Element: e.ID, Several: true})
		if !v.Open() {
			r := ask.Refuse(string(v.State), fmt.Sprintf("This cannot be done with %s: nothing was changed.", o.World.Title(row, row.Table, "")), v.Reason)
			r.Part = v.Part
			return Outcome{}, r
		}
		rows[i], chosen[i] = row, v.Chosen
	}
	if q := askSeveral(o, gate, chosen[0], t, p, len(keys)); q != nil {
		return Outcome{Kind: Asked, Question: q}, nil
	}
	out := Outcome{Kind: Stayed, Done: len(keys)}
	for i, row := range rows {
		w := *o.World
		w.Row = row
		for _, effect := range chosen[i].Effects {
			if _, err := plan.KindOf[EffectKind](effect.Spec).Do(ctx, Run{Opening: o, World: &w, Effect: effect, press: p, Records: src, Out: &out, Row: row}); err != nil {
				return Outcome{}, err
			}
		}
	}
	out.Message = fmt.Sprintf("Done with %d %s.", len(keys), countWord(t, len(keys)))
	return out, nil
}

// askSeveral asks once for all rows.
func askSeveral(o *use.Opening, g *plan.Gate, c *plan.Case, t *project.Table, p Press, n int) *Question {
	q := &Question{Kind: "confirm", about: o.At.Address(o.App.Project) + "|" + p.Element + "|" + p.Trigger}
	if g.Question != nil {
		q.Words = g.Question.Say(o.World, o.World.Say)
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
