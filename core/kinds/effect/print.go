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

// Print puts the screen on paper.
type Print struct {
	project.EffectHead
	project.LooksOnly
}

// Validate accepts it as it is.
func (*Print) Validate() error { return nil }

// Shut hides it on displays that do not print.
func (*Print) Shut(o *use.Opening, _ *plan.Effect, _ *ask.Row) (use.Verdict, bool) {
	v, prints := o.Prints()
	return v, !prints
}

func (*Print) Plan(*plan.Planner, *plan.Effect) {}

func (*Print) Say(*words.Writer, *plan.Effect) string { return "print" }

func (*Print) Do(_ context.Context, r press.Run) (*press.Question, error) {
	r.Out.Does = append(r.Out.Does, press.Act{What: "print"})
	return nil, nil
}
