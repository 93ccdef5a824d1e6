package effect

import (
	"context"

	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Refresh reads again what the screen shows.
type Refresh struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
}

// Validate accepts it as it is.
func (*Refresh) Validate() error { return nil }

func (*Refresh) Plan(*plan.Planner, *plan.Effect) {}

func (*Refresh) Say(*words.Writer, *plan.Effect) string { return "read everything again" }

// Do has nothing to do: every answer to a press reads the screen again.
func (*Refresh) Do(context.Context, press.Run) (*press.Question, error) { return nil, nil }
