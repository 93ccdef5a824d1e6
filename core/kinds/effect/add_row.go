package effect

import (
	"context"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// AddRow begins a new row in a list that is edited in place.
type AddRow struct {
	project.EffectHead
	project.Changes
	List string `json:"list"` // element
}

// Validate asks for the list.
func (spec *AddRow) Validate() error {
	if spec.List == "" {
		return fmt.Errorf("it needs the list that gets a row")
	}
	return nil
}

func (*AddRow) Plan(*plan.Planner, *plan.Effect) {}

func (spec *AddRow) Say(w *words.Writer, e *plan.Effect) string {
	return "begin a new " + w.RecordWord(spec.List)
}

func (spec *AddRow) Shut(o *use.Opening, e *plan.Effect, _ *ask.Row) (use.Verdict, bool) {
	list := o.ListAt(spec.List)
	if list == nil {
		return use.Verdict{State: use.StateGreyed, By: "broken", Reason: "The list that it adds to is gone."}, true
	}
	if reason := o.MayAddRow(list); reason != "" {
		return use.Verdict{State: use.StateGreyed, By: "grant", Reason: reason}, true
	}
	return use.Verdict{}, false
}

// Do only begins a row: it is written when it is filled in.
func (spec *AddRow) Do(_ context.Context, r press.Run) (*press.Question, error) {
	r.Out.Choose = &use.Choice{List: spec.List, Adding: true}
	return nil, nil
}
