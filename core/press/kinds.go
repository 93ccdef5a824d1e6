package press

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// AimedTrigger is answered by triggers that are set off on something: a row, a point.
type AimedTrigger interface {
	// Aim finds what a press was set off on. A row that the list does not hold cannot be pressed.
	Aim(ctx context.Context, o *use.Opening, e *plan.Element, g *plan.Gate, p Press, src ask.Changer) (use.Aim, error)
}

// FollowedTrigger is answered by triggers that go another way than through one gate.
type FollowedTrigger interface {
	Follow(ctx context.Context, o *use.Opening, p Press, src ask.Changer) (Outcome, error)
}

// EffectKind is what is asked of a kind of effect when it is done.
type EffectKind interface {
	// Do makes the change; a question instead of it means that nothing was changed.
	Do(ctx context.Context, r Run) (*Question, error)
}

// CheckedMove is answered by moves that ask something of what was typed before one goes on.
type CheckedMove interface {
	// Check refuses with what is wrong; nothing was changed by then.
	Check(o *use.Opening) error
}
