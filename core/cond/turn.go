package cond

import "slices"

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
	needs terms
	turns []Turn
}

// Turns gives the smallest set of comparisons that would have to change for the condition to hold,
// all of which can be so together; none when it holds already, or when nothing would do.
func (n *Node) Turns(w World) []Turn {
	plans := n.plans(w, true)
	if len(plans) == 0 {
		return nil
	}
	return plans[0].turns
}

// plans gives the ways to make a part true or not true, the smallest first.
func (n *Node) plans(w World, yes bool) []plan {
	switch n.Op {
	case OpNamed:
		return n.Args[0].plans(w, yes)
	case OpNot:
		return n.Args[0].plans(w, !yes)
	case OpAnd, OpOr:
		if (n.Op == OpAnd) == yes {
			return allPlans(n.Args, w, yes)
		}
		var out []plan
		for _, a := range n.Args {
			out = append(out, a.plans(w, yes)...)
		}
		return smallest(out)
	case OpIf:
		c, a, b := n.Args[0], n.Args[1], n.Args[2]
		then := joined(c.plans(w, true), a.plans(w, yes))
		return smallest(append(then, joined(c.plans(w, false), b.plans(w, yes))...))
	}
	need := wantFalse
	if yes {
		need = wantTrue
	}
	p := plan{needs: n.terms(need)}
	if satisfiable(p.needs) == No {
		return nil
	}
	if v := n.Eval(w); !v.Known() || v.True() != yes {
		p.turns = []Turn{{Words: n.asWanted(yes), Is: stateOf(v), Value: n.compared(w)}}
	}
	return []plan{p}
}

func (n *Node) asWanted(yes bool) string {
	if yes {
		return n.Phrase()
	}
	return n.negated()
}

// compared gives the value that a comparison looks at.
func (n *Node) compared(w World) string {
	if len(n.Args) > 0 && n.Args[0].Op == OpPath {
		return n.Args[0].Eval(w).Wire()
	}
	return ""
}

func allPlans(parts []*Node, w World, yes bool) []plan {
	out := []plan{{needs: anyTerm}}
	for _, a := range parts {
		out = joined(out, a.plans(w, yes))
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
