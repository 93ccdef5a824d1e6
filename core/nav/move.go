package nav

import (
	"ambergate/core/english"
	"ambergate/core/project"
)

// trailMove leads along the trail, or out of it: where to is known to the trail alone.
type trailMove struct{ project.MoveHead }

// Validate accepts it as it is.
func (*trailMove) Validate() error { return nil }

func (*trailMove) Plan(*planner, *MovePlan) {}

func (*trailMove) Aim(*Opening, *Verdict, *MovePlan, *world, aim) {}

func (spec *trailMove) Now(Verdict) string {
	return map[string]string{"back": "goes back", "forward": "goes forward", "home": "goes home", "up": "goes up", "close": "closes", "out": "signs out"}[spec.Kind]
}

func (spec *trailMove) Say(w *sentenceWriter, c *CasePlan) {
	say := map[string]string{"back": "go back", "forward": "go forward", "home": "go home", "up": "go up", "close": "close this", "out": "sign out"}[spec.Kind]
	w.out = append(w.out, Chunk{Text: say, Part: "target", Tone: "target", Case: c.ID})
}

func (spec *trailMove) Plate(_ *sentenceWriter, plate *Plate, _ *CasePlan) {
	plate.Title = map[string]string{"back": "Back", "forward": "Forward", "home": "Home", "up": "Up", "close": "Close", "out": "Sign out"}[spec.Kind]
}

// upMove leads to what the screen says is up from it; without that home.
type upMove struct{ trailMove }

func (*upMove) Aim(o *Opening, v *Verdict, _ *MovePlan, _ *world, _ aim) {
	if up := o.plan.Screen.Up; up != "" && o.app.Project.Screens[up] != nil {
		v.To = &Place{Screen: up, Mode: "view", Inputs: map[string]string{}}
	}
}

// stepMove leads along a list: to the neighbour of the screen's record, or of a list's chosen row.
type stepMove struct {
	project.MoveHead
	Step string `json:"step"`           // first, previous, next, last
	List string `json:"list,omitempty"` // a list of the screen, whose chosen row steps; empty: the screen's record
}

// Validate asks for the step.
func (spec *stepMove) Validate() error {
	if err := project.OneOf("step", spec.Step, project.Steps...); err != nil {
		return err
	}
	return project.OneOf("policy at the end", spec.None, "", "grey", "round", "stay")
}

func (spec *stepMove) Plan(b *planner, _ *MovePlan) {
	if spec.List != "" {
		b.asks(needs{chosen: stepSet{spec.List: true}})
		return
	}
	b.needSteps(spec.Step, spec.None)
}

func (spec *stepMove) Aim(o *Opening, v *Verdict, _ *MovePlan, _ *world, _ aim) {
	o.aimStep(v, &spec.MoveHead, spec.Step, spec.List)
}

func (*stepMove) Now(Verdict) string { return "steps along the list" }

func (spec *stepMove) Say(w *sentenceWriter, c *CasePlan) {
	text := "go to the " + spec.Step + " " + w.recordWord(spec.List)
	if spec.List == "" {
		text += " of the list come from"
	}
	w.out = append(w.out, Chunk{Text: text, Part: "target", Tone: "target", Case: c.ID})
	w.end(c)
}

// end says what a step does at the end, where it is not greyed as everybody expects.
func (w *sentenceWriter) end(c *CasePlan) {
	if c.Move.None == "" || c.Move.None == "grey" {
		return
	}
	w.plain(", ")
	w.out = append(w.out, Chunk{Text: endWords(c.Move.None), Part: "none", Case: c.ID})
}

// endWords says what a step does at the end.
func endWords(none string) string {
	return map[string]string{"round": "round at the end", "stay": "saying so at the end"}[none]
}

func (spec *stepMove) Plate(w *sentenceWriter, plate *Plate, _ *CasePlan) {
	plate.Title = english.Capital(spec.Step) + " " + w.recordWord(spec.List)
	plate.Glyph = map[string]string{"first": "back", "previous": "back", "next": "forward", "last": "forward"}[spec.Step]
}

// StepsTo gives the step along the list come from; "" for one in a list of the screen.
func (spec *stepMove) StepsTo() string {
	if spec.List != "" {
		return ""
	}
	return spec.Step
}
