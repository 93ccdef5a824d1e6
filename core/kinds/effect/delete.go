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

// Delete removes the screen's record, or the chosen row of one of its lists.
type Delete struct {
	project.EffectHead
	project.Changes
	List string `json:"list,omitempty"` // element; empty: the screen's record
}

// Validate accepts it as it is.
func (*Delete) Validate() error { return nil }

func (spec *Delete) Plan(b *plan.Planner, e *plan.Effect) {
	if list := spec.List; list != "" {
		b.Asks(plan.Needs{Chosen: plan.Names{list: true}})
	}
}

func (spec *Delete) Say(w *words.Writer, e *plan.Effect) string {
	if list := spec.List; list != "" {
		return "delete the chosen " + w.RecordWord(list)
	}
	return "delete " + w.ThisRecord()
}

func (spec *Delete) Shut(o *use.Opening, e *plan.Effect, row *ask.Row) (use.Verdict, bool) {
	if list := spec.List; list != "" {
		c := o.Chosen[list]
		if c == nil || c.Row == nil {
			return use.Verdict{State: use.StateGreyed, By: "record", Reason: "Choose a row of the list first."}, true
		}
		row = c.Row
	}
	if row == nil {
		row = o.World.Record
	}
	if row == nil || row == o.World.Record && o.At.Mode == "add" {
		return use.Verdict{State: use.StateGreyed, By: "record", Reason: "There is no record here to delete."}, true
	}
	return o.ShutTo("delete", "delete", row)
}

// Do deletes the screen's record, the chosen row of a list, or one of several rows.
func (spec *Delete) Do(ctx context.Context, r press.Run) (*press.Question, error) {
	row, own := r.Subject(), r.Row == nil
	if list := spec.List; list != "" {
		c := r.Opening.Chosen[list]
		if c == nil || c.Row == nil {
			return nil, ask.Refuse("no-record", "This row is not in the list any more.", "Choose another.")
		}
		row, own = c.Row, false
		r.Out.Choose = &use.Choice{List: list, Row: c.Neighbour()}
	}
	if row == nil {
		return nil, ask.Refuse("no-record", "There is no record here to delete.", "Go back to the list and open one.")
	}
	if v, closed := r.Opening.ShutTo("delete", "delete", row); closed {
		return nil, ask.Refuse("no-grant", v.Reason, "Ask the person who runs this application for the right.")
	}
	if err := r.Records.Delete(ctx, r.Opening.App.Project.Tables[row.Table], row.Key); err != nil {
		return nil, err
	}
	if own {
		r.Out.Deleted = row.Key
	}
	return nil, nil
}

// Deletes gives the record that it deletes; nil for none.
func (spec *Delete) Deletes(o *use.Opening) *ask.Row {
	if spec.List == "" {
		return o.World.Record
	}
	if chosen := o.Chosen[spec.List]; chosen != nil {
		return chosen.Row
	}
	return nil
}
