package move

import (
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Step leads along a list: to the neighbour of the screen's record, or of a list's chosen row.
type Step struct {
	project.MoveHead
	Step string `json:"step" jsonschema:"enum=first,enum=previous,enum=next,enum=last"` // first, previous, next, last
	List string `json:"list,omitempty"`                                                 // a list of the screen, whose chosen row steps; empty: the screen's record
}

// Validate asks for the step.
func (spec *Step) Validate() error {
	if err := project.OneOf("step", spec.Step, project.Steps...); err != nil {
		return err
	}
	return project.OneOf("policy at the end", spec.None, "", "grey", "round", "stay")
}

func (spec *Step) Plan(b *plan.Planner, _ *plan.Move) {
	if spec.List != "" {
		b.Asks(plan.Needs{Chosen: plan.Names{spec.List: true}})
		return
	}
	b.NeedSteps(spec.Step, spec.None)
}

func (spec *Step) Aim(o *use.Opening, v *use.Verdict, _ *plan.Move, _ *use.World, _ use.Aim) {
	o.AimStep(v, &spec.MoveHead, spec.Step, spec.List)
}

func (*Step) Now(use.Verdict) string { return "steps along the list" }

func (spec *Step) Say(w *words.Writer, c *plan.Case) {
	text := "go to the " + spec.Step + " " + w.RecordWord(spec.List)
	if spec.List == "" {
		text += " in the list they came from"
	}
	w.Out = append(w.Out, words.Chunk{Text: text, Part: words.PartTarget, Tone: "target", Case: c.ID})
	w.End(c)
}

func (spec *Step) Plate(w *words.Writer, plate *words.Plate, _ *plan.Case) {
	plate.Title = english.Capital(spec.Step) + " " + w.RecordWord(spec.List)
	plate.Glyph = map[string]string{"first": "back", "previous": "back", "next": "forward", "last": "forward"}[spec.Step]
}

// StepsTo gives the step along the list come from; "" for one in a list of the screen.
func (spec *Step) StepsTo() string {
	if spec.List != "" {
		return ""
	}
	return spec.Step
}
