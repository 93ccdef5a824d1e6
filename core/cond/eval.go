package cond

import (
	"math"
	"math/big"
	"strings"
	"time"
)

// World gives an expression the values of its paths. Nothing is fetched during
// evaluation: a path that was not provided for is unknown.
type World interface {
	// Value gives the value of a path; unknown with a reason where there is none.
	Value(p *Path) Value
	// HasRole says whether the user has the role with this id.
	HasRole(role string) bool
	// Now is the moment of the request, in the project's zone.
	Now() time.Time
}

// Eval decides the expression in a world, by Kleene's rules for unknown and the
// language's rules for empty. It never fails: an error is an unknown with a reason.
func (n *Node) Eval(w World) Value {
	switch n.Op {
	case OpConst:
		return n.Const
	case OpPath:
		return w.Value(n.Path)
	case OpRole:
		return Bool(w.HasRole(n.Fn))
	case OpAnd, OpOr, OpNot, OpEq, OpNe, OpLt, OpLe, OpGt, OpGe:
		var why string
		is := n.decide(w, &why)
		return decided(is, why)
	case OpNamed:
		return n.Args[0].Eval(w)
	case OpIf:
		c := n.Args[0].Eval(w)
		if !c.Known() {
			return c
		}
		if c.True() {
			return n.Args[1].Eval(w)
		}
		return n.Args[2].Eval(w)
	case OpIn:
		var why string
		is, empty := n.membership(w, &why)
		if empty {
			return NullValue
		}
		return decided(is, why)
	case OpList:
		if n.Const.kind == List {
			return n.Const
		}
		items := make([]Value, len(n.Args))
		for i, a := range n.Args {
			items[i] = a.Eval(w)
		}
		return Items(items...)
	case OpCall:
		return n.call(w)
	case OpOpaque:
		return n.opaque(w)
	}
	a := n.Args[0].Eval(w)
	if !a.Known() {
		return a
	}
	if n.Op == OpNeg {
		return arithmetic(OpSub, Int(0), a)
	}
	b := n.Args[1].Eval(w)
	if !b.Known() {
		return b
	}
	return arithmetic(n.Op, a, b)
}

// Settle works a list of constants out once, while it is compiled.
func (n *Node) Settle() {
	items := make([]Value, len(n.Args))
	for i, a := range n.Args {
		if a.Op != OpConst {
			return
		}
		items[i] = a.Const
	}
	n.Const = Items(items...)
}

// decided gives what decide comes to as a value.
func decided(is truth, why string) Value {
	if is == unknown {
		return UnknownBecause(why)
	}
	return Bool(is == yes)
}

func (n *Node) call(w World) Value {
	switch n.Fn {
	case "today":
		return DateOf(w.Now())
	case "now":
		return MomentOf(w.Now())
	case "available":
		return Bool(w.Value(n.Args[0].Path).Known())
	}
	var args [2]Value
	for i, a := range n.Args {
		args[i] = a.Eval(w)
		if !args[i].Known() || args[i].IsNull() {
			return args[i]
		}
	}
	switch n.Fn {
	case "contains":
		return Bool(strings.Contains(args[0].s, args[1].s))
	case "startsWith":
		return Bool(strings.HasPrefix(args[0].s, args[1].s))
	case "endsWith":
		return Bool(strings.HasSuffix(args[0].s, args[1].s))
	case "size":
		if args[0].kind == List {
			return Int(int64(len(args[0].items())))
		}
		return Int(int64(len([]rune(args[0].s))))
	case "daysAgo", "daysFromNow":
		if args[0].i > 365_000 || args[0].i < -365_000 {
			return UnknownBecause("a day more than a thousand years away")
		}
		return DateOf(w.Now().AddDate(0, 0, int(daySigns[n.Fn]*args[0].i)))
	case "date":
		v, err := Parse(Type{Kind: Date}, args[0].s)
		if err != nil {
			return UnknownBecause(err.Error())
		}
		return v
	}
	return UnknownBecause("there is no function " + n.Fn)
}

// arithmetic works exactly on whole and decimal numbers; a binary number on either side makes the result one.
func arithmetic(op Op, a, b Value) Value {
	if a.IsNull() || b.IsNull() {
		return NullValue
	}
	if a.kind == Text && b.kind == Text && op == OpAdd {
		return String(a.s + b.s)
	}
	if v, ok := timeArithmetic(op, a, b); ok {
		return v
	}
	if a.kind == Number || b.kind == Number {
		x, okx := a.Float64()
		y, oky := b.Float64()
		if !okx || !oky {
			return UnknownBecause("not a number")
		}
		return finite(floatOp(op, x, y))
	}
	x, okx := a.rat()
	y, oky := b.rat()
	if !okx || !oky {
		return UnknownBecause("not a number")
	}
	r := new(big.Rat)
	switch op {
	case OpAdd:
		r.Add(x, y)
	case OpSub:
		r.Sub(x, y)
	case OpMul:
		r.Mul(x, y)
	case OpDiv:
		if y.Sign() == 0 {
			return UnknownBecause("division by zero")
		}
		r.Quo(x, y)
		if a.kind == Whole && b.kind == Whole {
			// Whole numbers divide to whole numbers, towards zero, as the library does.
			return Value{kind: Whole, i: a.i / b.i}
		}
	}
	if a.kind == Whole && b.kind == Whole {
		if !r.Num().IsInt64() {
			return UnknownBecause("the number is too large")
		}
		return Int(r.Num().Int64())
	}
	if r.Num().BitLen() > 4096 || r.Denom().BitLen() > 4096 {
		return UnknownBecause("the number is too large")
	}
	return Exact(r)
}

func floatOp(op Op, x, y float64) float64 {
	switch op {
	case OpAdd:
		return x + y
	case OpSub:
		return x - y
	case OpMul:
		return x * y
	}
	return x / y
}

func finite(f float64) Value {
	if math.IsNaN(f) || math.IsInf(f, 0) {
		return UnknownBecause("the result is not a number")
	}
	return Float(f)
}

func timeArithmetic(op Op, a, b Value) (Value, bool) {
	if op != OpAdd && op != OpSub {
		return Value{}, false
	}
	sign := int64(1)
	if op == OpSub {
		sign = -1
	}
	const day = 86_400_000_000
	switch {
	case a.kind == Date && b.kind == Duration && b.i%day == 0:
		return Value{kind: Date, i: a.i + sign*b.i/day}, true
	case a.kind == Date && b.kind == Duration:
		return Value{kind: Moment, i: a.i*day + sign*b.i}, true
	case a.kind == Moment && b.kind == Duration:
		return Value{kind: Moment, i: a.i + sign*b.i}, true
	case a.kind == Duration && b.kind == Duration:
		return Value{kind: Duration, i: a.i + sign*b.i}, true
	case op == OpAdd && a.kind == Duration && (b.kind == Date || b.kind == Moment):
		return timeArithmetic(op, b, a)
	case op == OpSub:
		ta, oka := a.Time()
		tb, okb := b.Time()
		if oka && okb {
			return Value{kind: Duration, i: ta.UnixMicro() - tb.UnixMicro()}, true
		}
	}
	return Value{}, false
}
