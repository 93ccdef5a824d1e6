package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// stepRule is a neighbour of the screen's record in the list come from, for another screen to open:
// the rules first, previous, next and last.
type stepRule struct {
	project.BindingHead
	ruleBase
}

// Plan notes where it steps to.
func (spec *stepRule) Plan(b *planner) *cond.Expr {
	b.needSteps(spec.Rule, spec.None)
	return nil
}

// Give gives the key of the neighbour.
func (spec *stepRule) Give(x *binding) cond.Value {
	s := x.o.steps
	if s == nil {
		return cond.NullValue
	}
	if s.slow {
		return cond.UnknownBecause("no index serves the order of “" + s.list + "”")
	}
	if row := s.at(spec.Rule, spec.None); row != nil {
		return cond.Key(row.Key)
	}
	return cond.NullValue
}

// at gives the record of a step; with the policy round that at the other end.
func (s *steps) at(step, none string) *Row {
	row := s.to[step]
	if row == nil && none == "round" {
		row = s.to[map[string]string{"previous": "last", "next": "first"}[step]]
	}
	return row
}

// Say says it: “the next cabin”.
func (spec *stepRule) Say(w *sentenceWriter, _ *project.Input) string {
	return "the " + spec.Rule + " " + w.recordWord("")
}

// Finds gives the table of the screen's record.
func (*stepRule) Finds(s scene, _ *cond.Expr) (string, bool) { return s.screen.RecordTable(), true }

// MayBeNone says that a list has ends.
func (*stepRule) MayBeNone(scene, *cond.Expr) bool { return true }
