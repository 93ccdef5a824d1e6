package move

import (
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Trail leads along the trail, or out of it: where to is known to the trail alone.
type Trail struct{ project.MoveHead }

// Validate accepts it as it is.
func (*Trail) Validate() error { return nil }

func (*Trail) Plan(*plan.Planner, *plan.Move) {}

func (*Trail) Aim(*use.Opening, *use.Verdict, *plan.Move, *use.World, use.Aim) {}

func (spec *Trail) Now(use.Verdict) string {
	return map[string]string{"back": "goes back", "forward": "goes forward", "home": "goes home", "up": "goes up", "close": "closes, or goes back where it stands in full", "out": "signs out"}[spec.Kind]
}

func (spec *Trail) Say(w *words.Writer, c *plan.Case) {
	say := map[string]string{"back": "go back", "forward": "go forward", "home": "go home", "up": "go up", "close": "close this", "out": "sign out"}[spec.Kind]
	w.Out = append(w.Out, words.Chunk{Text: say, Part: words.PartTarget, Tone: "target", Case: c.ID})
}

func (spec *Trail) Plate(_ *words.Writer, plate *words.Plate, _ *plan.Case) {
	plate.Title = map[string]string{"back": "Back", "forward": "Forward", "home": "Home", "up": "Up", "close": "Close", "out": "Sign out"}[spec.Kind]
}
