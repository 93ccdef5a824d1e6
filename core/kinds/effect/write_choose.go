package effect

import (
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
)

// choose is to write one of several values, whichever the user presses.
const choose = "choose"

// Option is one of the values that a tag is given to choose from.
type Option struct {
	project.Item
	Value string `json:"value"` // as the wire writes it
	Words string `json:"words"`
}

const mostOptions = 12

func (spec *Write) validateOptions() error {
	if spec.How != choose {
		if len(spec.Options) > 0 {
			return fmt.Errorf("only what is chosen has several values")
		}
		return nil
	}
	if len(spec.Options) < 2 || len(spec.Options) > mostOptions {
		return fmt.Errorf("there are two to %d values to choose from", mostOptions)
	}
	for id, o := range spec.Options {
		if o.ID = id; o.Words == "" {
			return fmt.Errorf("each value to choose has words")
		}
	}
	return nil
}

func (spec *Write) optionWords() []string {
	var out []string
	for _, o := range project.Ordered(spec.Options) {
		out = append(out, o.Words)
	}
	return out
}

// planOptions refuses values that the tag does not take.
func (spec *Write) planOptions(b *plan.Planner, kind cond.Kind) {
	for _, o := range project.Ordered(spec.Options) {
		if _, err := cond.Parse(cond.Type{Kind: kind}, o.Value); err != nil {
			b.Broken("value", o.Value, cond.Problem{Message: "The tag does not take “" + o.Value + "”: " + err.Error() + ".", Length: len([]rune(o.Value))})
		}
	}
}

// Choices gives the values to choose from, and which of them is in force as it is read back.
func (spec *Write) Choices(o *use.Opening, e *plan.Effect) (all []use.ValueChoice, now ask.Reading) {
	target := e.Exprs["tag"]
	if spec.How != choose || target == nil || target.Root.Op != cond.OpPath {
		return nil, ask.Reading{}
	}
	now = o.World.Reading(target.Root.Path)
	for _, one := range project.Ordered(spec.Options) {
		v, err := cond.Parse(cond.Type{Kind: target.Root.Type.Kind}, one.Value)
		all = append(all, use.ValueChoice{ID: one.ID, Words: one.Words, On: err == nil && now.Value.Known() && cond.Equal(v, now.Value)})
	}
	return all, now
}

// chosen leaves the value that was pressed with the outcome.
func (spec *Write) chosen(r press.Run, ref ask.TagRef, tag *project.Tag) error {
	one := spec.Options[r.Option()]
	if one == nil {
		return ask.Refuse("bad-value", "This is none of the values to choose from.", "Load the screen again.")
	}
	kind, _ := cond.KindOf(tag.Type)
	v, err := cond.Parse(cond.Type{Kind: kind}, one.Value)
	if err != nil {
		return ask.Refuse("broken", "“"+tag.Label+"” does not take “"+one.Value+"”.", "Tell the person who builds this application.")
	}
	if err := within(tag, v); err != nil {
		return err
	}
	r.Out.Writes = append(r.Out.Writes, press.TagWrite{Ref: ref, Tag: tag, Label: tag.Label, Value: v})
	return nil
}

// within refuses a number that the tag must not be given.
func within(tag *project.Tag, v cond.Value) error {
	f, number := v.Float64()
	if number && (tag.Min != nil && f < *tag.Min || tag.Max != nil && f > *tag.Max) {
		return ask.Refuse("bad-value", "“"+tag.Label+"” must be "+rangeOf(tag)+".", "Choose another value.")
	}
	return nil
}
