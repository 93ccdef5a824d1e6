package cond

import (
	"fmt"
	"maps"
	"slices"
	"strings"
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

// asSet gives a comparison as the values of one name for which it is true; false for what is not one.
func (n *Node) asSet() (key string, values pathSet, nullable, ok bool) {
	switch n.Op {
	case OpRole:
		return "role " + n.Fn, pathSet{set: twoValued()}, false, true
	case OpPath:
		if n.Type.Kind != YesNo {
			return
		}
		return n.Path.id(), pathSet{set: twoValued()}, n.Path.Type.Nullable, true
	case OpCall:
		if n.Fn == "available" {
			return n.canon(), pathSet{set: twoValued(), loose: true}, false, true
		}
		if slices.Contains([]string{"contains", "startsWith", "endsWith"}, n.Fn) && n.Args[0].Op == OpPath && n.Args[1].Op == OpConst && n.Args[1].Const.kind == Text {
			return n.canon(), pathSet{set: twoValued(), loose: true}, false, true
		}
		return
	case OpIn:
		return n.inSet()
	case OpEq, OpNe, OpLt, OpLe, OpGt, OpGe:
		return n.compareSet()
	}
	return
}

// twoValued is the set of a yes among no and yes.
func twoValued() set { return set{choices: []bool{false, true}} }

func (n *Node) inSet() (key string, values pathSet, nullable, ok bool) {
	if n.Args[0].Op != OpPath || n.Args[1].Op != OpList {
		return
	}
	p := n.Args[0].Path
	values = pathSet{set: emptySet(p.Type), kind: exactKind(p.Type.Kind)}
	for _, item := range n.Args[1].Args {
		if item.Op != OpConst {
			return "", values, false, false
		}
		one, fits := setOf(p.Type, OpEq, item.Const, false)
		if !fits {
			return "", values, false, false
		}
		// The union of two sets is what is not outside of both.
		values.set = values.without(true).meet(one.without(true)).without(true)
	}
	return p.id(), values, p.Type.Nullable, true
}

func (n *Node) compareSet() (key string, values pathSet, nullable, ok bool) {
	left, right, sign := n.Args[0], n.Args[1], n.Op
	if left.Op != OpPath {
		left, right, sign = right, left, mirrored[sign]
	}
	if left.Op != OpPath || left.Path.Type.Kind == Object {
		return
	}
	p := left.Path
	if right.Op == OpPath {
		if p.Type.Kind != right.Path.Type.Kind {
			return
		}
		values = pathSet{set: twoValued(), loose: true} // known whenever both are, and nothing more is known of it
		if sign == OpNe {
			values.set = values.without(false)
			sign = OpEq
		}
		return fmt.Sprint(p.id(), " ", sign, " ", right.Path.id()), values, false, true
	}
	if days, relative := right.relativeDay(); relative && p.Type.Kind == Date {
		s, fits := setOf(Type{Kind: Whole}, sign, Int(days), false)
		return p.id() + " from today", pathSet{set: s, kind: Whole, loose: true}, p.Type.Nullable, fits
	}
	if right.Op != OpConst {
		return
	}
	s, fits := setOf(p.Type, sign, right.Const, n.Choices != nil)
	return p.id(), pathSet{set: s, kind: exactKind(p.Type.Kind)}, p.Type.Nullable, fits
}

func exactKind(k Kind) Kind {
	if k == Whole {
		return Decimal // steps look closer
	}
	return k
}

func emptySet(t Type) set {
	s := set{steps: t.Kind == Whole || t.Kind == Date}
	switch {
	case t.Kind == YesNo:
		s.choices = make([]bool, 2)
	case len(t.Choices) > 0:
		s.choices = make([]bool, len(t.Choices))
	}
	return s
}

// setOf gives the values of a type that compare with a constant as asked.
func setOf(t Type, sign Op, v Value, ranked bool) (set, bool) {
	s := emptySet(t)
	if sign == OpNe {
		eq, ok := setOf(t, OpEq, v, ranked)
		return eq.without(true), ok
	}
	if v.IsNull() {
		s.empty = sign == OpEq
		return s, true
	}
	if !comparableKinds(t.Kind, v.kind) {
		return s, false
	}
	if s.choices != nil {
		return s, s.choose(t, sign, v, ranked)
	}
	if t.Kind == Record {
		v = String(v.s) // keys have no order; any will do
	}
	if t.Kind == Number {
		f, _ := v.Float64()
		v = Float(f) // compared as such
	}
	switch sign {
	case OpEq:
		s.spans = []span{point(v)}
	case OpLt:
		s.spans = []span{{to: &v, toOut: true}}
	case OpLe:
		s.spans = []span{{to: &v}}
	case OpGt:
		s.spans = []span{{from: &v, fromOut: true}}
	case OpGe:
		s.spans = []span{{from: &v}}
	}
	if s.spans[0].isEmpty(s.steps) || s.steps && sign == OpEq && !onStep(v) {
		s.spans = nil
	}
	return s, true
}

func onStep(v Value) bool {
	_, exact := stepsOf(v)
	return exact
}

// choose marks the choices that compare with a value as asked; false when their order is not the declared one.
func (s set) choose(t Type, sign Op, v Value, ranked bool) bool {
	rank := rankOf(t.Choices, v.s)
	if t.Kind == YesNo {
		rank, ranked = int(v.i), true
	}
	if sign != OpEq && !ranked {
		return false
	}
	for i := range s.choices {
		c := order(int64(i), int64(rank))
		s.choices[i] = rank >= 0 && (sign == OpEq && c == 0 || sign == OpLt && c < 0 || sign == OpLe && c <= 0 || sign == OpGt && c > 0 || sign == OpGe && c >= 0)
	}
	return true
}

func comparableKinds(path, constant Kind) bool {
	number := func(k Kind) bool { return k == Whole || k == Decimal || k == Number }
	return path == constant || number(path) && number(constant)
}

func (p *Path) id() string { return p.Root + "." + p.Key }

// canon writes a part so that equal parts are written equally.
func (n *Node) canon() string {
	switch n.Op {
	case OpPath:
		return n.Path.id()
	case OpConst:
		return n.Const.kind.String() + " " + n.Const.Wire()
	}
	parts := make([]string, len(n.Args))
	for i, a := range n.Args {
		parts[i] = a.canon()
	}
	source := ""
	if n.Op == OpOpaque {
		source = n.Source
	}
	return fmt.Sprintf("%d %s %s(%s)", n.Op, n.Fn, source, strings.Join(parts, ", "))
}
