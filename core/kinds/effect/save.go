package effect

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Save keeps what was typed on the form.
type Save struct {
	project.EffectHead
	project.Changes
}

// Validate accepts it as it is.
func (*Save) Validate() error { return nil }

// Keeps says that it keeps what was typed.
func (*Save) Keeps() {}

func (*Save) Plan(*plan.Planner, *plan.Effect) {}

func (*Save) Say(*words.Writer, *plan.Effect) string { return "save" }

func (*Save) Shut(o *use.Opening, _ *plan.Effect, _ *ask.Row) (use.Verdict, bool) {
	if o.At.Mode == "view" {
		return use.Verdict{State: use.StateGreyed, By: "mode", Reason: "Nothing can be typed here while it is only viewed, so there is nothing to save."}, true
	}
	if o.World.Record == nil || o.At.Mode != "edit" {
		return use.Verdict{}, false
	}
	return o.ShutToChanges(o.World.Record)
}

// Do keeps what was typed. Different fields changed by different people merge; the same
// field changed by both is put to the user.
func (*Save) Do(ctx context.Context, r press.Run) (*press.Question, error) {
	t := r.Table()
	if t == nil {
		return nil, ask.Refuse("broken", "There is no table to save to.", "Tell the person who builds this application.")
	}
	if r.Opening.At.Mode == "view" {
		return nil, nil
	}
	editable := r.Editable()
	values, err := r.Typed(editable)
	if err == nil && r.Opening.At.Mode == "add" {
		err = r.FillIn(t, editable, values)
	} else if err == nil {
		err = r.NeededHere(t, editable, values)
	}
	if err != nil {
		return nil, err
	}
	if r.Opening.At.Mode == "add" {
		key, err := r.Insert(ctx, t, values)
		if err != nil {
			return nil, err
		}
		return nil, r.Reload(ctx, key)
	}
	if q := r.Conflict(t, r.Opening.World.Record, values); q != nil {
		return q, nil
	}
	if len(values) > 0 {
		if err := r.Update(ctx, t, r.Opening.World.Record, values); err != nil {
			return nil, err
		}
	}
	return nil, r.Reload(ctx, r.Opening.World.Record.Key)
}
