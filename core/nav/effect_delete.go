package nav

import (
	"context"
	"fmt"

	"ambergate/core/project"
)

// deleteEffect removes the screen's record, or the chosen row of one of its lists.
type deleteEffect struct {
	project.EffectHead
	project.Changes
	List string `json:"list,omitempty"` // element; empty: the screen's record
}

// Validate accepts it as it is.
func (*deleteEffect) Validate() error { return nil }

func (spec *deleteEffect) Plan(b *planner, e *EffectPlan) {
	if list := spec.List; list != "" {
		b.asks(needs{chosen: stepSet{list: true}})
	}
}

func (spec *deleteEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	if list := spec.List; list != "" {
		return "delete the chosen " + w.recordWord(list)
	}
	return "delete " + w.thisRecord()
}

func (spec *deleteEffect) Shut(o *Opening, e *EffectPlan, row *Row) (Verdict, bool) {
	if list := spec.List; list != "" {
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

// Do deletes the screen's record, the chosen row of a list, or one of several rows.
func (spec *deleteEffect) Do(ctx context.Context, r effectRun) (*Question, error) {
	row, own := r.subject(), r.row == nil
	if list := spec.List; list != "" {
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

// Deletes is answered by effects that delete a record, which is asked about before.
type Deletes interface{ Deletes(o *Opening) *Row }

// Deletes gives the record that it deletes; nil for none.
func (spec *deleteEffect) Deletes(o *Opening) *Row {
	if spec.List == "" {
		return o.world.record
	}
	if chosen := o.chosen[spec.List]; chosen != nil {
		return chosen.row
	}
	return nil
}

// deletes gives the record that a case deletes, so that it can be asked about; nil if none.
func (o *Opening) deletes(c *CasePlan) *Row {
	for _, e := range c.Effects {
		if d, ok := e.Spec.(Deletes); ok {
			return d.Deletes(o)
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

// addRowEffect begins a new row in a list that is edited in place.
type addRowEffect struct {
	project.EffectHead
	project.Changes
	List string `json:"list"` // element
}

// Validate asks for the list.
func (spec *addRowEffect) Validate() error {
	if spec.List == "" {
		return fmt.Errorf("it needs the list that gets a row")
	}
	return nil
}

func (*addRowEffect) Plan(*planner, *EffectPlan) {}

func (spec *addRowEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	return "begin a new " + w.recordWord(spec.List)
}

func (spec *addRowEffect) Shut(o *Opening, e *EffectPlan, _ *Row) (Verdict, bool) {
	list := o.listElement(spec.List)
	if list == nil {
		return Verdict{State: "greyed", By: "broken", Reason: "The list that it adds to is gone."}, true
	}
	if reason := o.mayAddRow(list); reason != "" {
		return Verdict{State: "greyed", By: "grant", Reason: reason}, true
	}
	return Verdict{}, false
}

// Do only begins a row: it is written when it is filled in.
func (spec *addRowEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	r.out.Choose = &Choice{List: spec.List, Adding: true}
	return nil, nil
}
