package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// stepRule is a neighbour of the screen's record in the list come from, for another screen to open.
type stepRule struct{ step string }

func (r stepRule) needs(b *planner, bind *project.Binding) {
	b.needSteps(&project.Move{Kind: "step", Step: r.step, None: bind.None})
}

func (r stepRule) value(x *binding) cond.Value {
	s := x.o.steps
	if s == nil {
		return cond.NullValue
	}
	if s.slow {
		return cond.UnknownBecause("no index serves the order of “" + s.list + "”")
	}
	if row := s.at(r.step, x.b.None); row != nil {
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

func (r stepRule) words(w *sentenceWriter, _ *project.Binding, _ *project.Input) string {
	return "the " + r.step + " " + w.recordWord("")
}

func (r stepRule) table(w *sentenceWriter, _ *project.Binding) (string, bool) {
	return w.screen.RecordTable(), true
}

func (stepRule) mayBeNone(*sentenceWriter, *project.Binding) bool { return true }
