package check

import (
	"slices"

	"ambergate/core/cond"
	"ambergate/core/english"
)

var noSuchChoice = &Check{Name: "no-such-choice", Doc: "a condition compares with a text that is none of the field's choices", Local: true, Run: func(ix *Index, report func(Finding)) {
	for _, s := range ix.conditions() {
		s.node.Walk(func(n *cond.Node) {
			for _, m := range comparedTexts(n) {
				f := s.finding
				f.Severity, f.Evidence = Doubtful, s.node.Phrase()
				f.Words = "The condition of " + s.words + " asks for “" + m.text + "”, which is no choice of " + m.path.Words() + ": those are " + english.List(m.path.Type.Choices, "and") + "."
				if s.what == "guard" || s.what == "row rule" {
					f.Words = english.Capital(s.words) + " asks for “" + m.text + "”, which is no choice of " + m.path.Words() + ": those are " + english.List(m.path.Type.Choices, "and") + "."
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
