package cond

import (
	"fmt"
	"slices"
	"strings"
)

// asSet gives a comparison as the values of one name for which it is true; false for what is not one.
func (n *Node) asSet() (key string, values pathSet, nullable, ok bool) {
	switch n.Op {
	case OpRole:
		return "role " + n.Fn, pathSet{set: twoValued()}, false, true
	case OpPath:
		if n.Type.Kind != YesNo {
			return
		}
		return idOf(n.Path), pathSet{set: twoValued()}, n.Path.Type.Nullable, true
	case OpCall:
		if n.Fn == "available" {
			return n.canon(), pathSet{set: twoValued(), loose: true}, false, true
		}
		if slices.Contains([]string{"contains", "startsWith", "endsWith"}, n.Fn) && n.Args[0].Op == OpPath && n.Args[1].Op == OpConst && n.Args[1].Const.Kind() == Text {
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
	return idOf(p), values, p.Type.Nullable, true
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
		return fmt.Sprint(idOf(p), " ", sign, " ", idOf(right.Path)), values, false, true
	}
	if days, relative := right.relativeDay(); relative && p.Type.Kind == Date {
		s, fits := setOf(Type{Kind: Whole}, sign, Int(days), false)
		return idOf(p) + " from today", pathSet{set: s, kind: Whole, loose: true}, p.Type.Nullable, fits
	}
	if right.Op != OpConst {
		return
	}
	s, fits := setOf(p.Type, sign, right.Const, n.Choices != nil)
	return idOf(p), pathSet{set: s, kind: exactKind(p.Type.Kind)}, p.Type.Nullable, fits
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
	if !comparableKinds(t.Kind, v.Kind()) {
		return s, false
	}
	if s.choices != nil {
		return s, s.choose(t, sign, v, ranked)
	}
	if t.Kind == Record {
		v = String(v.Wire()) // keys have no order; any will do
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
	rank := rankOf(t.Choices, v.Wire())
	if t.Kind == YesNo {
		if rank, ranked = 0, true; v.True() {
			rank = 1
		}
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

func idOf(p *Path) string { return p.Root + "." + p.Key }

// canon writes a part so that equal parts are written equally.
func (n *Node) canon() string {
	switch n.Op {
	case OpPath:
		return idOf(n.Path)
	case OpConst:
		return n.Const.Kind().String() + " " + n.Const.Wire()
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
