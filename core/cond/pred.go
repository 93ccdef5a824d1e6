package cond

import (
	"fmt"
)

// PredOp is what a part of a predicate asks for.
type PredOp uint8

// The parts of a predicate. There is no "not": Bind has pushed it into the comparisons.
const (
	PredYes     PredOp = iota // every record
	PredNo                    // no record
	PredAll                   // all of Args
	PredAny                   // any of Args
	PredCompare               // Path, Sign, Value; false for an empty Path but for OpEq and OpNe
	PredIn                    // Path is one of Values
	PredEmpty                 // Path is empty
	PredHolds                 // Path is a yes
	PredSame                  // Path and Other, compared by Sign
)

// Pred is a condition over one record in a form that every database can decide: what it asks of
// the user and the day has been put in. Paths start at the record.
type Pred struct {
	Op     PredOp
	Args   []*Pred
	Path   *Path
	Other  *Path
	Sign   Op // OpEq, OpLt, …
	Value  Value
	Values []Value
	Not    bool // the comparison must not hold; an empty value then counts as not holding
}

var (
	predYes = &Pred{Op: PredYes}
	predNo  = &Pred{Op: PredNo}
)

// AllOf gives a predicate that asks for both; nil stands for every record.
func AllOf(a, b *Pred) *Pred {
	switch {
	case a == nil || a.Op == PredYes:
		return b
	case b == nil || b.Op == PredYes:
		return a
	}
	return join(PredAll, []*Pred{a, b})
}

// AnyOf gives a predicate that asks for either; nil stands for every record.
func AnyOf(a, b *Pred) *Pred {
	if a == nil || b == nil {
		return nil
	}
	return join(PredAny, []*Pred{a, b})
}

// Nothing is the predicate that no record meets.
func Nothing() *Pred { return predNo }

func join(op PredOp, args []*Pred) *Pred {
	settles, drops := predNo, predYes
	if op == PredAny {
		settles, drops = predYes, predNo
	}
	var kept []*Pred
	for _, a := range args {
		switch {
		case a.Op == settles.Op:
			return settles
		case a.Op == drops.Op:
		case a.Op == op:
			kept = append(kept, a.Args...)
		default:
			kept = append(kept, a)
		}
	}
	switch len(kept) {
	case 0:
		return drops
	case 1:
		return kept[0]
	}
	return &Pred{Op: op, Args: kept}
}

// Portable says why a condition over "record" cannot be decided in a database; nil when it can.
// It can ask for ==, !=, order, in, emptiness, all, any and not over fields of the record and of
// its relations, against anything that does not depend on the record.
func (n *Node) Portable() *Problem {
	if !n.readsRecord() {
		return nil
	}
	refuse := func(why string) *Problem {
		return &Problem{Message: "The database cannot decide this: " + why, At: n.At, Length: max(1, n.Length)}
	}
	switch n.Op {
	case OpNamed:
		if p := n.Args[0].Portable(); p != nil {
			p.At, p.Length = n.At, max(1, n.Length) // not where it stands in the shared condition
			return p
		}
		return nil
	case OpAnd, OpOr, OpNot:
		for _, a := range n.Args {
			if p := a.Portable(); p != nil {
				return p
			}
		}
		return nil
	case OpPath:
		return n.portablePath(refuse)
	case OpIn:
		if n.Args[0].Op != OpPath || n.Args[1].readsRecord() {
			return refuse("“in” compares a field with values that do not depend on the record.")
		}
		return n.Args[0].portablePath(refuse)
	case OpEq, OpNe, OpLt, OpLe, OpGt, OpGe:
		for _, a := range n.Args {
			if !a.readsRecord() {
				continue
			}
			if a.Op != OpPath {
				return refuse(fmt.Sprintf("“%s” would have to be worked out for every record. Compare the field itself.", a.Phrase()))
			}
			if p := a.portablePath(refuse); p != nil {
				return p
			}
		}
		if a, b := n.Args[0].Type.Kind, n.Args[1].Type.Kind; (a == Record) != (b == Record) && a != Null && b != Null {
			return refuse("a record can only be compared with a record.")
		}
		return nil
	}
	return refuse(fmt.Sprintf("%s. Rules can ask for comparisons, in, empty, all, any, not.", n.Phrase()))
}

func (n *Node) portablePath(refuse func(string) *Problem) *Problem {
	for _, h := range n.Path.Hops {
		if h.Type.Kind == Object {
			return refuse("it does not know the plant’s values.")
		}
		if h.Far {
			return refuse("“" + n.Path.Words() + "” is counted over other records.")
		}
	}
	return nil
}

// readsRecord says whether a part depends on the record it is asked of.
func (n *Node) readsRecord() bool {
	if n.Op == OpPath && n.Path.Root == "record" {
		return true
	}
	for _, a := range n.Args {
		if a.readsRecord() {
			return true
		}
	}
	return false
}

// Bind puts in what a portable condition asks of the user and the day, and gives what is left to
// ask of a record. A value that is not known lets no record through, whichever way it is asked for.
func (n *Node) Bind(w World) *Pred { return n.bind(w, false) }

func (n *Node) bind(w World, not bool) *Pred {
	if !n.readsRecord() {
		v := n.Eval(w)
		if v.Known() && v.True() != not {
			return predYes
		}
		return predNo
	}
	switch n.Op {
	case OpNamed:
		return n.Args[0].bind(w, not)
	case OpNot:
		return n.Args[0].bind(w, !not)
	case OpAnd, OpOr:
		args := make([]*Pred, len(n.Args))
		for i, a := range n.Args {
			args[i] = a.bind(w, not)
		}
		if (n.Op == OpAnd) != not {
			return join(PredAll, args)
		}
		return join(PredAny, args)
	case OpPath:
		return &Pred{Op: PredHolds, Path: n.Path, Not: not}
	case OpIn:
		return n.bindIn(w, not)
	case OpEq, OpNe, OpLt, OpLe, OpGt, OpGe:
		return n.bindCompare(w, not)
	}
	return predNo // not portable: refused while editing
}

func (n *Node) bindIn(w World, not bool) *Pred {
	list := n.Args[1].Eval(w)
	if !list.Known() || n.Args[0].Op != OpPath {
		return predNo
	}
	in := &Pred{Op: PredIn, Path: n.Args[0].Path, Not: not}
	empty := false
	for _, v := range list.List() {
		switch {
		case !v.Known():
			return predNo
		case v.IsNull():
			empty = true
		default:
			in.Values = append(in.Values, v)
		}
	}
	if !empty {
		return in
	}
	null := &Pred{Op: PredEmpty, Path: in.Path, Not: not}
	if not {
		return join(PredAll, []*Pred{in, null})
	}
	return join(PredAny, []*Pred{in, null})
}

var Mirrored = map[Op]Op{OpEq: OpEq, OpNe: OpNe, OpLt: OpGt, OpLe: OpGe, OpGt: OpLt, OpGe: OpLe}

func (n *Node) bindCompare(w World, not bool) *Pred {
	left, right, sign := n.Args[0], n.Args[1], n.Op
	if !left.readsRecord() {
		left, right, sign = right, left, Mirrored[sign]
	}
	if sign == OpNe {
		sign, not = OpEq, !not
	}
	if right.readsRecord() {
		return &Pred{Op: PredSame, Path: left.Path, Other: right.Path, Sign: sign, Not: not}
	}
	v := right.Eval(w)
	switch {
	case !v.Known():
		return predNo
	case v.IsNull() && sign == OpEq:
		return &Pred{Op: PredEmpty, Path: left.Path, Not: not}
	case v.IsNull():
		return settled(not)
	case v.kind == Text && n.Choices != nil && sign != OpEq && RankOf(n.Choices, v.s) < 0:
		return settled(not)
	}
	return &Pred{Op: PredCompare, Path: left.Path, Sign: sign, Value: v, Not: not}
}

// settled gives the predicate for a comparison that holds for no record.
func settled(not bool) *Pred {
	if not {
		return predYes
	}
	return predNo
}

// Holds decides the predicate for one record, as every database is to decide it.
func (p *Pred) Holds(value func(*Path) Value) bool {
	switch p.Op {
	case PredYes:
		return true
	case PredNo:
		return false
	case PredAll:
		for _, a := range p.Args {
			if !a.Holds(value) {
				return false
			}
		}
		return true
	case PredAny:
		for _, a := range p.Args {
			if a.Holds(value) {
				return true
			}
		}
		return false
	}
	return p.meets(value) != p.Not
}

func (p *Pred) meets(value func(*Path) Value) bool {
	v := value(p.Path)
	switch p.Op {
	case PredEmpty:
		return v.IsNull()
	case PredHolds:
		return v.True()
	case PredIn:
		for _, one := range p.Values {
			if Equal(v, one) {
				return true
			}
		}
		return false
	}
	with := p.Value
	if p.Op == PredSame {
		with = value(p.Other)
	}
	if p.Sign == OpEq {
		return Equal(v, with)
	}
	choices := p.Path.Type.Choices
	if choices == nil && p.Other != nil {
		choices = p.Other.Type.Choices
	}
	return (&Node{Op: p.Sign, Choices: choices}).compares(&v, &with)
}

// Key names a predicate: two with the same key ask the same.
func (p *Pred) Key() string {
	if p == nil {
		return ""
	}
	var out Spelling
	p.spell(&out)
	return string(out)
}

func (p *Pred) spell(out *Spelling) {
	out.Number(int(p.Op))
	out.Number(int(p.Sign))
	out.Is(p.Not)
	for _, path := range []*Path{p.Path, p.Other} {
		out.Is(path != nil)
		if path != nil {
			out.Text(path.Root)
			out.Text(path.Key)
		}
	}
	p.Value.spell(out)
	out.Number(len(p.Values))
	for _, v := range p.Values {
		v.spell(out)
	}
	out.Number(len(p.Args))
	for _, a := range p.Args {
		a.spell(out)
	}
}

func (v Value) spell(out *Spelling) {
	out.Number(int(v.kind))
	out.Text(v.Wire())
}
