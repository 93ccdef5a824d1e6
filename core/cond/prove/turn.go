package prove

import (
	"slices"

	"ambergate/core/cond"
)

// Turn is one comparison that would have to change for a condition to hold.
type Turn struct {
	Words string `json:"words"`           // what would have to be so
	Is    string `json:"is"`              // yes, no, unknown: the comparison now
	Value string `json:"value,omitempty"` // of the path compared now, as the wire writes it
}

// maxPlans is how many ways to turn a condition are kept at each part; the smallest are.
const maxPlans = 24

// plan is one way to make a part what is wanted: which comparisons must be so, and which of those turn.
type plan struct {
	needs termList
	turns []Turn
}

// Turns gives the smallest set of comparisons that would have to change for the condition to hold,
// all of which can be so together; none when it holds already, or when nothing would do.
func Turns(n *cond.Node, w cond.World) []Turn {
	plans := plans(n, w, true)
	if len(plans) == 0 {
		return nil
	}
	return plans[0].turns
}

// plans gives the ways to make a part true or not true, the smallest first.
func plans(n *cond.Node, w cond.World, yes bool) []plan {
	switch n.Op {
	case cond.OpNamed:
		return plans(n.Args[0], w, yes)
	case cond.OpNot:
		return plans(n.Args[0], w, !yes)
	case cond.OpAnd, cond.OpOr:
		if (n.Op == cond.OpAnd) == yes {
			return allPlans(n.Args, w, yes)
		}
		var out []plan
		for _, a := range n.Args {
			out = append(out, plans(a, w, yes)...)
		}
		return smallest(out)
	case cond.OpIf:
		c, a, b := n.Args[0], n.Args[1], n.Args[2]
		then := joined(plans(c, w, true), plans(a, w, yes))
		return smallest(append(then, joined(plans(c, w, false), plans(b, w, yes))...))
	}
	need := wantFalse
	if yes {
		need = wantTrue
	}
	p := plan{needs: terms(n, need)}
	if satisfiable(p.needs) == No {
		return nil
	}
	if v := n.Eval(w); !v.Known() || v.True() != yes {
		p.turns = []Turn{{Words: asWanted(n, yes), Is: cond.StateOf(v), Value: compared(n, w)}}
	}
	return []plan{p}
}

func asWanted(n *cond.Node, yes bool) string {
	if yes {
		return n.Phrase()
	}
	return n.Negated()
}

// compared gives the value that a comparison looks at.
func compared(n *cond.Node, w cond.World) string {
	if len(n.Args) > 0 && n.Args[0].Op == cond.OpPath {
		return n.Args[0].Eval(w).Wire()
	}
	return ""
}

func allPlans(parts []*cond.Node, w cond.World, yes bool) []plan {
	out := []plan{{needs: anyTerm}}
	for _, a := range parts {
		out = joined(out, plans(a, w, yes))
	}
	return out
}

// joined pairs plans whose needs can be met together.
func joined(a, b []plan) []plan {
	var out []plan
	for _, x := range a {
		for _, y := range b {
			needs := both(x.needs, y.needs)
			if satisfiable(needs) != No {
				out = append(out, plan{needs: needs, turns: append(slices.Clip(x.turns), y.turns...)})
			}
		}
	}
	return smallest(out)
}

func smallest(plans []plan) []plan {
	slices.SortStableFunc(plans, func(a, b plan) int { return len(a.turns) - len(b.turns) })
	if len(plans) > maxPlans {
		plans = plans[:maxPlans]
	}
	return plans
}
