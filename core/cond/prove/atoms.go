package prove

import (
	"fmt"
	"slices"
	"strings"

	"ambergate/core/cond"
)

// asSet gives a comparison as the values of one name for which it is true; false for what is not one.
func asSet(n *cond.Node) (key string, values pathSet, nullable, ok bool) {
	switch n.Op {
	case cond.OpRole:
		return "role " + n.Fn, pathSet{set: twoValued()}, false, true
	case cond.OpPath:
		if n.Type.Kind != cond.YesNo {
			return
		}
		return idOf(n.Path), pathSet{set: twoValued()}, n.Path.Type.Nullable, true
	case cond.OpCall:
		if n.Fn == "available" {
			return canon(n), pathSet{set: twoValued(), loose: true}, false, true
		}
		if slices.Contains([]string{"contains", "startsWith", "endsWith"}, n.Fn) && n.Args[0].Op == cond.OpPath && n.Args[1].Op == cond.OpConst && n.Args[1].Const.Kind() == cond.Text {
			return canon(n), pathSet{set: twoValued(), loose: true}, false, true
		}
		return
	case cond.OpIn:
		return inSet(n)
	case cond.OpEq, cond.OpNe, cond.OpLt, cond.OpLe, cond.OpGt, cond.OpGe:
		return compareSet(n)
	}
	return
}

// twoValued is the set of a yes among no and yes.
func twoValued() set { return set{choices: []bool{false, true}} }

func inSet(n *cond.Node) (key string, values pathSet, nullable, ok bool) {
	if n.Args[0].Op != cond.OpPath || n.Args[1].Op != cond.OpList {
		return
	}
	p := n.Args[0].Path
	values = pathSet{set: emptySet(p.Type), kind: exactKind(p.Type.Kind)}
	for _, item := range n.Args[1].Args {
		if item.Op != cond.OpConst {
			return "", values, false, false
		}
		one, fits := setOf(p.Type, cond.OpEq, item.Const, false)
		if !fits {
			return "", values, false, false
		}
		// The union of two sets is what is not outside of both.
		values.set = values.without(true).meet(one.without(true)).without(true)
	}
	return idOf(p), values, p.Type.Nullable, true
}

func compareSet(n *cond.Node) (key string, values pathSet, nullable, ok bool) {
	left, right, sign := n.Args[0], n.Args[1], n.Op
	if left.Op != cond.OpPath {
		left, right, sign = right, left, cond.Mirrored[sign]
	}
	if left.Op != cond.OpPath || left.Path.Type.Kind == cond.Object {
		return
	}
	p := left.Path
	if right.Op == cond.OpPath {
		if p.Type.Kind != right.Path.Type.Kind {
			return
		}
		values = pathSet{set: twoValued(), loose: true} // known whenever both are, and nothing more is known of it
		if sign == cond.OpNe {
			values.set = values.without(false)
			sign = cond.OpEq
		}
		return fmt.Sprint(idOf(p), " ", sign, " ", idOf(right.Path)), values, false, true
	}
	if days, relative := right.RelativeDay(); relative && p.Type.Kind == cond.Date {
		s, fits := setOf(cond.Type{Kind: cond.Whole}, sign, cond.Int(days), false)
		return idOf(p) + " from today", pathSet{set: s, kind: cond.Whole, loose: true}, p.Type.Nullable, fits
	}
	if right.Op != cond.OpConst {
		return
	}
	s, fits := setOf(p.Type, sign, right.Const, n.Choices != nil)
	return idOf(p), pathSet{set: s, kind: exactKind(p.Type.Kind)}, p.Type.Nullable, fits
}

func exactKind(k cond.Kind) cond.Kind {
	if k == cond.Whole {
		return cond.Decimal // steps look closer
	}
	return k
}

func emptySet(t cond.Type) set {
	s := set{steps: t.Kind == cond.Whole || t.Kind == cond.Date}
	switch {
	case t.Kind == cond.YesNo:
		s.choices = make([]bool, 2)
	case len(t.Choices) > 0:
		s.choices = make([]bool, len(t.Choices))
	}
	return s
}

// setOf gives the values of a type that compare with a constant as asked.
func setOf(t cond.Type, sign cond.Op, v cond.Value, ranked bool) (set, bool) {
	s := emptySet(t)
	if sign == cond.OpNe {
		eq, ok := setOf(t, cond.OpEq, v, ranked)
		return eq.without(true), ok
	}
	if v.IsNull() {
		s.empty = sign == cond.OpEq
		return s, true
	}
	if !comparableKinds(t.Kind, v.Kind()) {
		return s, false
	}
	if s.choices != nil {
		return s, s.choose(t, sign, v, ranked)
	}
	if t.Kind == cond.Record {
		v = cond.String(v.Wire()) // keys have no order; any will do
	}
	if t.Kind == cond.Number {
		f, _ := v.Float64()
		v = cond.Float(f) // compared as such
	}
	switch sign {
	case cond.OpEq:
		s.spans = []span{point(v)}
	case cond.OpLt:
		s.spans = []span{{to: &v, toOut: true}}
	case cond.OpLe:
		s.spans = []span{{to: &v}}
	case cond.OpGt:
		s.spans = []span{{from: &v, fromOut: true}}
	case cond.OpGe:
		s.spans = []span{{from: &v}}
	}
	if s.spans[0].isEmpty(s.steps) || s.steps && sign == cond.OpEq && !onStep(v) {
		s.spans = nil
	}
	return s, true
}

func onStep(v cond.Value) bool {
	_, exact := stepsOf(v)
	return exact
}

// choose marks the choices that compare with a value as asked; false when their order is not the declared one.
func (s set) choose(t cond.Type, sign cond.Op, v cond.Value, ranked bool) bool {
	rank := cond.RankOf(t.Choices, v.Wire())
	if t.Kind == cond.YesNo {
		if rank, ranked = 0, true; v.True() {
			rank = 1
		}
	}
	if sign != cond.OpEq && !ranked {
		return false
	}
	for i := range s.choices {
		c := cond.Order(int64(i), int64(rank))
		s.choices[i] = rank >= 0 && (sign == cond.OpEq && c == 0 || sign == cond.OpLt && c < 0 || sign == cond.OpLe && c <= 0 || sign == cond.OpGt && c > 0 || sign == cond.OpGe && c >= 0)
	}
	return true
}

func comparableKinds(path, constant cond.Kind) bool {
	number := func(k cond.Kind) bool { return k == cond.Whole || k == cond.Decimal || k == cond.Number }
	return path == constant || number(path) && number(constant)
}

func idOf(p *cond.Path) string { return p.Root + "." + p.Key }

// canon writes a part so that equal parts are written equally.
func canon(n *cond.Node) string {
	switch n.Op {
	case cond.OpPath:
		return idOf(n.Path)
	case cond.OpConst:
		return n.Const.Kind().String() + " " + n.Const.Wire()
	}
	parts := make([]string, len(n.Args))
	for i, a := range n.Args {
		parts[i] = canon(a)
	}
	source := ""
	if n.Op == cond.OpOpaque {
		source = n.Source
	}
	return fmt.Sprintf("%d %s %s(%s)", n.Op, n.Fn, source, strings.Join(parts, ", "))
}
