package move

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Task leads to the next step of the guided task on the screen, or back to the one before; what was typed comes along. Or
// it leaves the task, to where it was begun.
type Task struct {
	project.MoveHead
	To string `json:"to" jsonschema:"enum=next,enum=back,enum=leave"`
}

const leave = "leave"

// Validate asks for where to.
func (spec *Task) Validate() error {
	return project.OneOf("step of the task", spec.To, "next", "back", leave)
}

// Stays says whether one does not leave what was typed.
func (spec *Task) Stays() bool { return spec.To != leave }

func (spec *Task) Plan(b *plan.Planner, _ *plan.Move) {
	for _, e := range b.Plan.Screen.Elements {
		if _, is := e.Spec.(interface{ InOrder() }); is {
			return
		}
	}
	b.Broken("step", spec.To, cond.Problem{Message: "There are no steps on this screen to go through.", Length: 1})
}

func (spec *Task) Aim(o *use.Opening, v *use.Verdict, _ *plan.Move, _ *use.World, _ use.Aim) {
	if spec.To == leave {
		return // where it was begun is known to the trail alone
	}
	to, why := o.StepTo(spec.To == "next")
	if to == nil {
		*v = use.Verdict{State: use.StateHidden, By: "case", Reason: why}
		return
	}
	v.To = to
}

// Check refuses to go on from a step in which something is missing or wrong, field by field.
func (spec *Task) Check(o *use.Opening) error {
	if spec.To != "next" {
		return nil
	}
	if s := o.OpenStep(); s != nil && s.Wrong != nil {
		return &ask.FieldErrors{Fields: s.Wrong}
	}
	return nil
}

func (spec *Task) Now(use.Verdict) string { return "goes " + spec.words() }

func (spec *Task) Say(w *words.Writer, c *plan.Case) {
	w.Out = append(w.Out, words.Chunk{Text: "go " + spec.words(), Part: words.PartTarget, Tone: "target", Case: c.ID})
}

func (spec *Task) Plate(_ *words.Writer, plate *words.Plate, _ *plan.Case) {
	plate.Glyph = map[string]string{"next": "forward", "back": "back", leave: "close"}[spec.To]
	plate.Title = map[string]string{"next": "Next step", "back": "Step before", leave: "Leave"}[spec.To]
}

func (spec *Task) words() string {
	return map[string]string{"next": "to the next step", "back": "back a step", leave: "to where these steps were begun"}[spec.To]
}

var _ press.CheckedMove = (*Task)(nil)
