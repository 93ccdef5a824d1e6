package nav

import (
	"context"

	"ambergate/core/project"
)

type deleteEffect struct{}

func (deleteEffect) plan(b *planner, e *EffectPlan) {
	if list := e.Spec.(*project.Delete).List; list != "" {
		b.asks(needs{chosen: stepSet{list: true}})
	}
}

func (deleteEffect) words(w *sentenceWriter, e *EffectPlan) string {
	if list := e.Spec.(*project.Delete).List; list != "" {
		return "delete the chosen " + w.recordWord(list)
	}
	return "delete " + thisRule{}.words(w, nil, nil)
}

func (deleteEffect) shut(o *Opening, e *EffectPlan, row *Row) (Verdict, bool) {
	if list := e.Spec.(*project.Delete).List; list != "" {
		c := o.chosen[list]
		if c == nil || c.row == nil {
			return Verdict{State: "greyed", By: "record", Reason: "Choose a row of the list first."}, true
		}
		row = c.row
	}
	if row == nil {
		row = o.world.record
	}
	if row == nil || row == o.world.record && o.place.Mode == "add" {
		return Verdict{State: "greyed", By: "record", Reason: "There is no record here to delete."}, true
	}
	return o.shutTo("delete", "delete", row)
}

// do deletes the screen's record, the chosen row of a list, or one of several rows.
func (deleteEffect) do(ctx context.Context, r effectRun) (*Question, error) {
	row, own := r.subject(), r.row == nil
	if list := r.plan.Spec.(*project.Delete).List; list != "" {
		c := r.o.chosen[list]
		if c == nil || c.row == nil {
			return nil, refuse("no-record", "This row is not in the list any more.", "Choose another.")
		}
		row, own = c.row, false
		r.out.Choose = &Choice{List: list, Row: c.neighbour()}
	}
	if row == nil {
		return nil, refuse("no-record", "There is no record here to delete.", "")
	}
	if v, closed := r.o.shutTo("delete", "delete", row); closed {
		return nil, refuse("no-grant", v.Reason, "Ask a shift lead or the office if you need to.")
	}
	if err := r.records.Delete(ctx, r.o.app.Project.Tables[row.Table], row.Key); err != nil {
		return nil, err
	}
	if own {
		r.out.Deleted = row.Key
	}
	return nil, nil
}

// deletes gives the record that a case deletes, so that it can be asked about; nil if none.
func (o *Opening) deletes(c *CasePlan) *Row {
	for _, e := range c.Effects {
		d, ok := e.Spec.(*project.Delete)
		if !ok {
			continue
		}
		if d.List == "" {
			return o.world.record
		}
		if chosen := o.chosen[d.List]; chosen != nil {
			return chosen.row
		}
	}
	return nil
}

// askDelete puts what is to be deleted, with what hangs on it.
func (o *Opening) askDelete(ctx context.Context, row *Row, words string, src Changer) (*Question, error) {
	t := o.app.Project.Tables[row.Table]
	if words == "" {
		words = "Delete " + t.One + " " + o.world.title(row, row.Table, "") + "?"
	}
	hanging, err := src.Hanging(ctx, t, row.Key, o.rights)
	return &Question{Kind: "delete", Words: words, Hanging: hanging}, err
}

type addRowEffect struct{}

func (addRowEffect) plan(*planner, *EffectPlan) {}

func (addRowEffect) words(w *sentenceWriter, e *EffectPlan) string {
	return "begin a new " + w.recordWord(e.Spec.(*project.AddRow).List)
}

func (addRowEffect) shut(o *Opening, e *EffectPlan, _ *Row) (Verdict, bool) {
	list := o.listElement(e.Spec.(*project.AddRow).List)
	if list == nil {
		return Verdict{State: "greyed", By: "broken", Reason: "The list that it adds to is gone."}, true
	}
	if reason := o.mayAddRow(list); reason != "" {
		return Verdict{State: "greyed", By: "grant", Reason: reason}, true
	}
	return Verdict{}, false
}

// do only begins a row: it is written when it is filled in.
func (addRowEffect) do(_ context.Context, r effectRun) (*Question, error) {
	r.out.Choose = &Choice{List: r.plan.Spec.(*project.AddRow).List, Adding: true}
	return nil, nil
}
