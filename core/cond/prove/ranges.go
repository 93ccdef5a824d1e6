package prove

import (
	"maps"
	"slices"

	"ambergate/core/cond"
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
func CanHold(n *cond.Node) Answer { return satisfiable(terms(n, wantTrue)) }

// CanFail says whether any world makes it other than true. No: it always holds where everything is known.
func CanFail(n *cond.Node) Answer { return satisfiable(terms(n, wantNotTrue)) }

// Together says whether two conditions can hold at once.
func Together(a, b *cond.Node) Answer {
	return satisfiable(both(terms(a, wantTrue), terms(b, wantTrue)))
}

// Implies says whether b holds wherever a does. Yes is a proof.
func Implies(a, b *cond.Node) Answer {
	switch satisfiable(both(terms(a, wantTrue), terms(b, wantNotTrue))) {
	case No:
		return Yes
	case Yes:
		return No
	}
	return Maybe
}

// WithRoles gives the condition for users who have just these roles.
func WithRoles(n *cond.Node, roles map[string]bool) *cond.Node {
	if n.Op == cond.OpRole {
		return &cond.Node{Op: cond.OpConst, Const: cond.Bool(roles[n.Fn]), Type: n.Type}
	}
	if len(n.Args) == 0 {
		return n
	}
	out := *n
	out.Args = make([]*cond.Node, len(n.Args))
	for i, a := range n.Args {
		out.Args[i] = WithRoles(a, roles)
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
	kind  cond.Kind
	loose bool // not on its own: other names may speak of the same value
}

// termList is a disjunction; nil means that there were too many to tell.
type termList struct {
	all  []term
	many bool
}

var (
	anyTerm = termList{all: []term{{}}}
	noTerm  = termList{}
)

func satisfiable(t termList) Answer {
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

func either(a, b termList) termList {
	if a.many || b.many || len(a.all)+len(b.all) > maxTerms {
		return termList{many: true}
	}
	return termList{all: append(slices.Clip(a.all), b.all...)}
}

// both gives the terms that meet one of each; those that contradict themselves are dropped.
func both(a, b termList) termList {
	if !a.many && len(a.all) == 0 || !b.many && len(b.all) == 0 {
		return noTerm
	}
	if a.many || b.many {
		return termList{many: true}
	}
	var out termList
	for _, x := range a.all {
		for _, y := range b.all {
			if m, ok := x.and(y); ok {
				if len(out.all) == maxTerms {
					return termList{many: true}
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
func terms(n *cond.Node, w want) termList {
	switch n.Op {
	case cond.OpNamed:
		return terms(n.Args[0], w)
	case cond.OpNot:
		return terms(n.Args[0], turned[w])
	case cond.OpAnd, cond.OpOr:
		// All parts for a true "and" and for an "or" that is not true; any part for the rest.
		all := (n.Op == cond.OpAnd) == (w == wantTrue || w == wantNotFalse)
		out := noTerm
		if all {
			out = anyTerm
		}
		for _, a := range n.Args {
			if all {
				out = both(out, terms(a, w))
			} else {
				out = either(out, terms(a, w))
			}
		}
		return out
	case cond.OpIf:
		c, a, b := n.Args[0], n.Args[1], n.Args[2]
		if w == wantTrue || w == wantFalse {
			return either(both(terms(c, wantTrue), terms(a, w)), both(terms(c, wantFalse), terms(b, w)))
		}
		return both(either(terms(c, wantNotTrue), terms(a, w)), either(terms(c, wantNotFalse), terms(b, w)))
	case cond.OpConst:
		if !n.Const.Known() {
			return chosen(w == wantNotTrue || w == wantNotFalse)
		}
		return chosen(n.Const.True() == (w == wantTrue || w == wantNotFalse))
	}
	if key, values, nullable, ok := asSet(n); ok {
		values.empty = values.empty && nullable
		if w == wantFalse || w == wantNotTrue {
			values.set = values.without(nullable)
		}
		if values.nothing() {
			return noTerm
		}
		return termList{all: []term{{sets: map[string]pathSet{key: values}}}}
	}
	return termList{all: []term{{parts: map[string]want{canon(n): w}}}}
}

func chosen(yes bool) termList {
	if yes {
		return anyTerm
	}
	return noTerm
}
