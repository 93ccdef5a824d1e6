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

// Find looks for words in the screen's list.
type Find struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
	Words string `json:"words"` // expression; empty text looks for nothing
}

// Validate asks for the words.
func (spec *Find) Validate() error {
	if spec.Words == "" {
		return fmt.Errorf("it needs the words to look for")
	}
	return nil
}

func (spec *Find) Plan(b *plan.Planner, e *plan.Effect) {
	e.Exprs["words"] = b.Expression("find", spec.Words)
}

func (spec *Find) Say(w *words.Writer, e *plan.Effect) string {
	if e.Exprs["words"] == nil {
		return "find “" + spec.Words + "”, which cannot be read"
	}
	return "find " + w.ValueWords(e.Exprs["words"], "")
}

func (*Find) Do(_ context.Context, r press.Run) (*press.Question, error) {
	if r.Effect.Exprs["words"] == nil {
		return nil, ask.Refuse("broken", "What this looks for cannot be read.", "Tell the person who builds this application.")
	}
	v := r.Effect.Exprs["words"].Root.Eval(r.World)
	if !v.Known() {
		return nil, ask.Refuse("unknown", "What this looks for is not available: "+v.Why()+".", "Try again in a moment.")
	}
	r.Looked().Find = ""
	if !v.IsNull() {
		r.Looked().Find = r.World.Say(v, r.Effect.Exprs["words"].Root.Type)
	}
	return nil, nil
}
