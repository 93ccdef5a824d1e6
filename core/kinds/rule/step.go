package rule

import (
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Step is a neighbour of the screen's record in the list come from, for another screen to open:
// the rules first, previous, next and last.
type Step struct {
	project.BindingHead
	base
}

// Plan notes where it steps to.
func (spec *Step) Plan(b *plan.Planner) *cond.Expr {
	b.NeedSteps(spec.Rule, spec.None)
	return nil
}

// Give gives the key of the neighbour.
func (spec *Step) Give(x *use.Binding) cond.Value {
	s := x.Opening.Steps
	if s == nil {
		return cond.NullValue
	}
	if s.Slow {
		return cond.UnknownBecause("no index serves the order of “" + s.List + "”")
	}
	if row := s.At(spec.Rule, spec.None); row != nil {
		return cond.Key(row.Key)
	}
	return cond.NullValue
}

// Say says it: “the next cabin”.
func (spec *Step) Say(w *words.Writer, _ *project.Input) string {
	return "the " + spec.Rule + " " + w.RecordWord("")
}

// Finds gives the table of the screen's record.
func (*Step) Finds(s plan.Scene, _ *cond.Expr) (string, bool) { return s.Screen.RecordTable(), true }

// MayBeNone says that a list has ends.
func (*Step) MayBeNone(plan.Scene, *cond.Expr) bool { return true }
