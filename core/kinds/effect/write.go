package effect

import (
	"context"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Write sends a value to a tag of the plant.
type Write struct {
	project.EffectHead
	project.Changes
	use.AlwaysOpen
	Tag   string `json:"tag"`   // expression: the path of a writable tag
	Value string `json:"value"` // expression
}

// Validate asks for both.
func (spec *Write) Validate() error {
	if spec.Tag == "" || spec.Value == "" {
		return fmt.Errorf("it needs a tag and a value")
	}
	return nil
}

func (spec *Write) Plan(b *plan.Planner, e *plan.Effect) {
	e.Exprs["tag"] = b.Expression("tag", spec.Tag)
	e.Exprs["value"] = b.Expression("value", spec.Value)
}

func (*Write) Say(_ *words.Writer, e *plan.Effect) string {
	if e.Exprs["tag"] == nil || e.Exprs["value"] == nil || e.Exprs["tag"].Root.Op != cond.OpPath {
		return "write to a tag that is gone"
	}
	if v := e.Exprs["value"].Root; v.Op == cond.OpConst && v.Const.True() {
		return "send " + e.Exprs["tag"].Root.Path.Words()
	}
	return "write " + e.Exprs["value"].Root.Phrase() + " to " + e.Exprs["tag"].Root.Path.Words()
}

// Do checks the write and leaves it with the outcome: it is sent after the transaction was committed.
func (*Write) Do(_ context.Context, r press.Run) (*press.Question, error) {
	target, value := r.Effect.Exprs["tag"], r.Effect.Exprs["value"]
	if target == nil || value == nil || target.Root.Op != cond.OpPath {
		return nil, ask.Refuse("broken", "What this writes to is gone.", "Tell the person who builds this application.")
	}
	ref, tag, ok := r.World.RefAndTag(target.Root.Path)
	if !ok || !tag.Writable {
		return nil, ask.Refuse("broken", "What this writes to cannot be written.", "Tell the person who builds this application.")
	}
	v := value.Root.Eval(r.World)
	if !v.Known() || v.IsNull() {
		return nil, ask.Refuse("unknown", "The value to write is not available: "+v.Why()+".", "Try again in a moment.")
	}
	kind, _ := cond.KindOf(tag.Type)
	v, err := cond.Parse(cond.Type{Kind: kind}, v.Wire())
	if err != nil {
		return nil, ask.Refuse("bad-value", "“"+tag.Label+"” does not take this: "+err.Error()+".", "Choose another value.")
	}
	if f, number := v.Float64(); number {
		if tag.Min != nil && f < *tag.Min || tag.Max != nil && f > *tag.Max {
			return nil, ask.Refuse("bad-value", "“"+tag.Label+"” must be "+rangeOf(tag)+".", "Choose another value.")
		}
	}
	r.Out.Writes = append(r.Out.Writes, press.TagWrite{Ref: ref, Tag: tag, Label: tag.Label, Value: v})
	return nil, nil
}

// rangeOf says between which values a tag can be set: “from 0 to 6 m/s”.
func rangeOf(tag *project.Tag) string {
	text := ""
	switch {
	case tag.Min != nil && tag.Max != nil:
		text = fmt.Sprintf("from %g to %g", *tag.Min, *tag.Max)
	case tag.Min != nil:
		text = fmt.Sprintf("at least %g", *tag.Min)
	default:
		text = fmt.Sprintf("at most %g", *tag.Max)
	}
	if tag.Unit != "" {
		text += " " + tag.Unit
	}
	return text
}
