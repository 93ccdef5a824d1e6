package cond

import (
	"maps"
	"slices"
)

// Answer is what ranges can prove.
type Answer uint8

// Maybe means that it could not be settled either way, or not within the limit.
const (
	Maybe Answer = iota
	No
	Yes
)

// String says the answer as the API writes it.
func (a Answer) String() string { return [...]string{"maybe", "no", "yes"}[a] }

// maxTerms bounds the work on one question.
const maxTerms = 4_096

// The questions below are about worlds in which every value is known; choices are those declared.
// They look at comparisons of one path with constants, as sets and intervals for each path; what
// they cannot look into may be anything. So No and Yes are proofs, and Maybe is no claim.

// CanHold says whether any world makes the condition true. No: it is never true, unknown values or not.
func (n *Node) CanHold() Answer { return satisfiable(n.terms(wantTrue)) }

// CanFail says whether any world makes it other than true. No: it always holds where everything is known.
func (n *Node) CanFail() Answer { return satisfiable(n.terms(wantNotTrue)) }

// Together says whether two conditions can hold at once.
func Together(a, b *Node) Answer {
	return satisfiable(both(a.terms(wantTrue), b.terms(wantTrue)))
}

// Implies says whether b holds wherever a does. Yes is a proof.
func Implies(a, b *Node) Answer {
	switch satisfiable(both(a.terms(wantTrue), b.terms(wantNotTrue))) {
	case No:
		return Yes
	case Yes:
		return No
	}
	return Maybe
}

// WithRoles gives the condition for users who have just these roles.
func (n *Node) WithRoles(roles map[string]bool) *Node {
	if n.Op == OpRole {
		return &Node{Op: OpConst, Const: Bool(roles[n.Fn]), Type: n.Type}
	}
	if len(n.Args) == 0 {
		return n
	}
	out := *n
	out.Args = make([]*Node, len(n.Args))
	for i, a := range n.Args {
		out.Args[i] = a.WithRoles(roles)
	}
	return &out
}

// want is what a part is to be: true, known and not true, and the opposites of both.
type want uint8

const (
	wantTrue want = 1 << iota
	wantFalse
	wantNotTrue
	wantNotFalse
)

var turned = map[want]want{wantTrue: wantFalse, wantFalse: wantTrue, wantNotTrue: wantNotFalse, wantNotFalse: wantNotTrue}

// term is one way to meet a want: what each path may be, and what parts that cannot be looked into must be.
type term struct {
	sets  map[string]pathSet
	parts map[string]want // bits
}

type pathSet struct {
	set
	kind  Kind
	loose bool // not on its own: other names may speak of the same value
}

// terms is a disjunction; nil means that there were too many to tell.
type terms struct {
	all  []term
	many bool
}

var (
	anyTerm = terms{all: []term{{}}}
	noTerm  = terms{}
)

func satisfiable(t terms) Answer {
	if t.many {
		return Maybe
	}
	if len(t.all) == 0 {
		return No
	}
	for _, one := range t.all {
		if one.surely() {
			return Yes
		}
	}
	return Maybe
}

func (t term) surely() bool {
	if len(t.parts) > 0 {
		return false
	}
	for _, s := range t.sets {
		if s.loose || !s.surely(s.kind) {
			return false
		}
	}
	return true
}

func either(a, b terms) terms {
	if a.many || b.many || len(a.all)+len(b.all) > maxTerms {
		return terms{many: true}
	}
	return terms{all: append(slices.Clip(a.all), b.all...)}
}

// both gives the terms that meet one of each; those that contradict themselves are dropped.
func both(a, b terms) terms {
	if !a.many && len(a.all) == 0 || !b.many && len(b.all) == 0 {
		return noTerm
	}
	if a.many || b.many {
		return terms{many: true}
	}
	var out terms
	for _, x := range a.all {
		for _, y := range b.all {
			if m, ok := x.and(y); ok {
				if len(out.all) == maxTerms {
					return terms{many: true}
				}
				out.all = append(out.all, m)
			}
		}
	}
	return out
}

func (t term) and(u term) (term, bool) {
	out := term{sets: maps.Clone(t.sets), parts: maps.Clone(t.parts)}
	for key, s := range u.sets {
		if mine, ok := out.sets[key]; ok {
			s.set = mine.meet(s.set)
			if s.nothing() {
				return out, false
			}
		}
		if out.sets == nil {
			out.sets = map[string]pathSet{}
		}
		out.sets[key] = s
	}
	for key, w := range u.parts {
		if out.parts == nil {
			out.parts = map[string]want{}
		}
		w |= out.parts[key]
		if w&wantTrue != 0 && w&(wantFalse|wantNotTrue) != 0 || w&wantFalse != 0 && w&wantNotFalse != 0 {
			return out, false
		}
		out.parts[key] = w
	}
	return out, true
}

// terms gives the ways in which a part can be what is wanted.
func (n *Node) terms(w want) terms {
	switch n.Op {
	case OpNamed:
		return n.Args[0].terms(w)
	case OpNot:
		return n.Args[0].terms(turned[w])
	case OpAnd, OpOr:
		// All parts for a true "and" and for an "or" that is not true; any part for the rest.
		all := (n.Op == OpAnd) == (w == wantTrue || w == wantNotFalse)
		out := noTerm
		if all {
			out = anyTerm
		}
		for _, a := range n.Args {
			if all {
				out = both(out, a.terms(w))
			} else {
				out = either(out, a.terms(w))
			}
		}
		return out
	case OpIf:
		c, a, b := n.Args[0], n.Args[1], n.Args[2]
		if w == wantTrue || w == wantFalse {
			return either(both(c.terms(wantTrue), a.terms(w)), both(c.terms(wantFalse), b.terms(w)))
		}
		return both(either(c.terms(wantNotTrue), a.terms(w)), either(c.terms(wantNotFalse), b.terms(w)))
	case OpConst:
		if !n.Const.Known() {
			return chosen(w == wantNotTrue || w == wantNotFalse)
		}
		return chosen(n.Const.True() == (w == wantTrue || w == wantNotFalse))
	}
	if key, values, nullable, ok := n.asSet(); ok {
		values.empty = values.empty && nullable
		if w == wantFalse || w == wantNotTrue {
			values.set = values.without(nullable)
		}
		if values.nothing() {
			return noTerm
		}
		return terms{all: []term{{sets: map[string]pathSet{key: values}}}}
	}
	return terms{all: []term{{parts: map[string]want{n.canon(): w}}}}
}

func chosen(yes bool) terms {
	if yes {
		return anyTerm
	}
	return noTerm
}
