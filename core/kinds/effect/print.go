package effect

import (
	"context"

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
	use.AlwaysOpen
}

// Validate accepts it as it is.
func (*Print) Validate() error { return nil }

func (*Print) Plan(*plan.Planner, *plan.Effect) {}

func (*Print) Say(*words.Writer, *plan.Effect) string { return "print" }

func (*Print) Do(_ context.Context, r press.Run) (*press.Question, error) {
	r.Out.Does = append(r.Out.Does, press.Act{What: "print"})
	return nil, nil
}
