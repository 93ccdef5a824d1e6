package effect

import (
	"context"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/words"
)

// Write sends a value to a tag of the plant: one that is worked out, or one that follows from what is read back.
type Write struct {
	project.EffectHead
	project.Changes
	Tag     string             `json:"tag"`                                                                          // expression: the path of a writable tag
	How     string             `json:"how,omitempty" jsonschema:"enum=turn,enum=up,enum=down,enum=hold,enum=choose"` // turn: the other of yes and no; up, down: by so much; hold: yes as long as the button is held; choose: one of the options; none: the value
	Value   string             `json:"value,omitempty"`                                                              // expression: the value, or how much
	Options map[string]*Option `json:"options,omitempty"`
}

// Commands marks it as one that writes to the plant.
func (*Write) Commands() {}

// Validate asks for what it needs.
func (spec *Write) Validate() error {
	switch {
	case spec.Tag == "":
		return fmt.Errorf("it needs a tag")
	case spec.knows() && spec.Value != "":
		return fmt.Errorf("what turns a tag the other way, holds it, or lets one choose, has no value")
	case !spec.knows() && spec.Value == "":
		return fmt.Errorf("it needs a value")
	}
	if err := project.OneOf("way of writing", spec.How, "", turn, up, down, hold, choose); err != nil {
		return err
	}
	return spec.validateOptions()
}

// knows says whether what it writes follows without anything being said.
func (spec *Write) knows() bool { return spec.How == turn || spec.How == hold || spec.How == choose }

func (spec *Write) Plan(b *plan.Planner, e *plan.Effect) {
	e.Exprs["tag"] = b.Expression("tag", spec.Tag)
	if spec.Value != "" {
		e.Exprs["value"] = b.Expression("value", spec.Value)
	}
	spec.planHow(b, e)
}

func (spec *Write) Say(_ *words.Writer, e *plan.Effect) string {
	target, value := e.Exprs["tag"], e.Exprs["value"]
	if target == nil || value == nil && !spec.knows() || target.Root.Op != cond.OpPath {
		return "write to a tag that is gone"
	}
	of := target.Root.Path.Words()
	switch {
	case spec.How == turn:
		return "turn " + of + " on or off"
	case spec.How == hold:
		return "hold " + of + " on as long as it is pressed"
	case spec.How == choose:
		return "let one choose " + of + ": " + english.List(spec.optionWords(), "or")
	case spec.How != "":
		return "put " + of + " " + spec.How + " by " + value.Root.Phrase()
	case value.Root.Op == cond.OpConst && value.Root.Const.True():
		return "send " + of
	}
	return "write " + value.Root.Phrase() + " to " + of
}

// Do checks the write and leaves it with the outcome: it is sent after the transaction was committed.
func (spec *Write) Do(_ context.Context, r press.Run) (*press.Question, error) {
	target, value := r.Effect.Exprs["tag"], r.Effect.Exprs["value"]
	if target == nil || value == nil && !spec.knows() || target.Root.Op != cond.OpPath {
		return nil, ask.Refuse("broken", "What this writes to is gone.", "Tell the person who builds this application.")
	}
	ref, tag, ok := r.World.RefAndTag(target.Root.Path)
	if !ok || !tag.Writable {
		return nil, ask.Refuse("broken", "What this writes to cannot be written.", "Tell the person who builds this application.")
	}
	if spec.How != "" {
		return nil, spec.follow(r, ref, tag)
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
	if err := within(tag, v); err != nil {
		return nil, err
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
