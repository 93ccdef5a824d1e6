package asks

import (
	"slices"

	"ambergate/core/check"
	"ambergate/core/cond"
	"ambergate/core/english"
)

var NoSuchChoice = &check.Check{Name: "no-such-choice", Doc: "a condition compares with a text that is none of the field's choices", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, s := range ix.Conditions() {
		s.Node.Walk(func(n *cond.Node) {
			for _, m := range comparedTexts(n) {
				f := s.Finding
				f.Severity, f.Evidence = check.Doubtful, s.Node.Phrase()
				f.Words = "The condition of " + s.Words + " asks for “" + m.text + "”, which is no choice of " + m.path.Words() + ": those are " + english.List(m.path.Type.Choices, "and") + "."
				if s.What == "guard" || s.What == "row rule" {
					f.Words = english.Capital(s.Words) + " asks for “" + m.text + "”, which is no choice of " + m.path.Words() + ": those are " + english.List(m.path.Type.Choices, "and") + "."
				}
				report(f)
			}
		})
	}
}}

// mistaken is a text that a field with choices is compared with, and that is none of them.
type mistaken struct {
	path *cond.Path
	text string
}

func comparedTexts(n *cond.Node) (out []mistaken) {
	switch n.Op {
	case cond.OpEq, cond.OpNe, cond.OpLt, cond.OpLe, cond.OpGt, cond.OpGe, cond.OpIn:
	default:
		return nil
	}
	for i, a := range n.Args {
		if a.Op != cond.OpPath || len(a.Path.Type.Choices) == 0 {
			continue
		}
		other := n.Args[1-i]
		texts := []*cond.Node{other}
		if other.Op == cond.OpList {
			texts = other.Args
		}
		for _, t := range texts {
			if t.Op == cond.OpConst && t.Const.Kind() == cond.Text && !slices.Contains(a.Path.Type.Choices, t.Const.Wire()) {
				out = append(out, mistaken{a.Path, t.Const.Wire()})
			}
		}
	}
	return out
}
