package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// moveKind is what nav does with one kind of move. Each kind has its place in a file move_….go.
type moveKind interface {
	// plan compiles its expressions and notes what it reads.
	plan(b *planner, m *MovePlan)
	// aim works out where it leads now, or closes the way with the reason.
	aim(o *Opening, v *Verdict, m *MovePlan, w *world, at aim)
	// words says it in the sentence: "open Defect on this defect".
	words(w *sentenceWriter, c *CasePlan)
	// plate fills in how its destination looks.
	plate(w *sentenceWriter, way *WayOut, c *CasePlan)
	// now says what it does: "goes back".
	now(v Verdict) string
}

// moveKinds is the registry of moves.
var moveKinds map[string]moveKind

func init() {
	moveKinds = map[string]moveKind{
		"screen": screenMove{}, "choice": choiceMove{}, "step": stepMove{}, "along": alongMove{}, "address": addressMove{}, "project": projectMove{},
		"back": trailMove{"back", "go back", "goes back"}, "forward": trailMove{"forward", "go forward", "goes forward"}, "home": trailMove{"home", "go home", "goes home"},
		"up": upMove{trailMove{"up", "go up", "goes up"}}, "close": closeMove{trailMove{"close", "close this", "closes"}}, "out": trailMove{"out", "sign out", "signs out"},
	}
}

// trailMove leads along the trail, or out of it: where to is known to the trail alone.
type trailMove struct{ kind, say, does string }

func (trailMove) plan(*planner, *MovePlan)                       {}
func (trailMove) aim(*Opening, *Verdict, *MovePlan, *world, aim) {}
func (m trailMove) now(Verdict) string                           { return m.does }

func (m trailMove) words(w *sentenceWriter, c *CasePlan) {
	w.out = append(w.out, Chunk{Text: m.say, Part: "target", Tone: "target", Case: c.ID})
}

func (m trailMove) plate(_ *sentenceWriter, way *WayOut, _ *CasePlan) {
	way.Title = map[string]string{"back": "Back", "forward": "Forward", "home": "Home", "up": "Up", "close": "Close", "out": "Sign out"}[m.kind]
}

// upMove leads to what the screen says is up from it; without that home.
type upMove struct{ trailMove }

func (upMove) aim(o *Opening, v *Verdict, _ *MovePlan, _ *world, _ aim) {
	if up := o.plan.Screen.Up; up != "" && o.app.Project.Screens[up] != nil {
		v.To = &Place{Screen: up, Mode: "view", Inputs: map[string]string{}}
	}
}

// stepMove leads along a list: to the neighbour of the screen's record, or of a list's chosen row.
type stepMove struct{}

func (stepMove) plan(b *planner, m *MovePlan) { b.needSteps(m.Move) }

func (stepMove) aim(o *Opening, v *Verdict, m *MovePlan, _ *world, _ aim) { o.aimStep(v, m) }

func (stepMove) now(Verdict) string { return "steps along the list" }

func (stepMove) words(w *sentenceWriter, c *CasePlan) {
	m := c.Move
	text := "go to the " + m.Step + " " + w.recordWord(m.List)
	if m.List == "" {
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

func (stepMove) plate(w *sentenceWriter, way *WayOut, c *CasePlan) {
	way.Title = sentenceWord(c.Move.Step) + " " + w.recordWord(c.Move.List)
	way.Glyph = map[string]string{"first": "back", "previous": "back", "next": "forward", "last": "forward"}[c.Move.Step]
}

// exprs compiles what a move works out, by name.
func (b *planner) exprs(where string, texts map[string]string) map[string]*cond.Expr {
	out := map[string]*cond.Expr{}
	for _, name := range sortedKeys(texts) {
		out[name] = b.expression(where, texts[name])
	}
	return out
}

// bindings compiles what a move brings.
func (b *planner) bindings(bind map[string]*project.Binding) map[string]*cond.Expr {
	out := map[string]*cond.Expr{}
	for _, input := range sortedKeys(bind) {
		if e := b.bindNeeds(bind[input]); e != nil {
			out[input] = e
		}
	}
	return out
}
