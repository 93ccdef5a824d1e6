package press

import (
	"context"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/use"
)

// KeepRow writes one row of a list that is edited in place: a new one without a key, else the
// fields that were changed. Concurrent changes are treated as on forms.
func KeepRow(ctx context.Context, o *use.Opening, p Press, src ask.Changer) (Outcome, error) {
	e := o.ListAt(p.Element)
	if e == nil || !o.EditsInPlace(e.Listing()) {
		return Outcome{}, ask.Refuse("no-element", "This list cannot be edited here.", "The screen has been loaded again.")
	}
	if ev, shown := o.There(e); !shown {
		return Outcome{}, ask.Refuse("hidden", "This is not open to you here.", ev.Reason)
	}
	spec := e.Listing()
	t := o.App.Project.Tables[spec.Table]
	w := *o.World
	out := Outcome{Kind: Stayed}
	r := Run{Opening: o, World: &w, press: p, Records: src, Out: &out}
	editable := o.RowColumns(spec, p.Row == "")
	values, err := r.Typed(editable)
	if err != nil {
		return Outcome{}, err
	}
	key := p.Row
	if key == "" {
		if reason := o.MayAddRow(e); reason != "" {
			return Outcome{}, ask.Refuse("no-grant", reason, "Ask the person who runs this application for the right.")
		}
		if err := needed(editable, values); err != nil {
			return Outcome{}, err
		}
		if spec.Relation != "" {
			values[spec.Relation] = cond.Key(o.World.Record.Key)
		}
		if key, err = r.Insert(ctx, t, values); err != nil {
			return Outcome{}, err
		}
	} else {
		row, err := o.RowOf(ctx, e, key, src, true)
		if err != nil {
			return Outcome{}, err
		}
		if v, closed := o.ShutToChanges(row); closed {
			return Outcome{}, ask.Refuse("no-grant", v.Reason, "Ask the person who runs this application for the right.")
		}
		if q := r.Conflict(t, row, values); q != nil {
			return Outcome{Kind: Asked, Question: q}, nil
		}
		if len(values) > 0 {
			if err := r.Update(ctx, t, row, values); err != nil {
				return Outcome{}, err
			}
		}
	}
	out.Choose = &use.Choice{List: e.ID, Row: key}
	out.Message = fmt.Sprintf("%s saved.", english.Capital(t.One))
	return out, nil
}
