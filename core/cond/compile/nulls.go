package compile

import (
	"ambergate/core/cond"
	"ambergate/core/cond/prove"
)

// EmptyOnBothSides gives the equalities that hold where both sides are empty, and may be: a record
// without an owner is then that of a user without a record. One that is said not to be empty in the
// same "and" is none.
func EmptyOnBothSides(n *cond.Node) []*cond.Node {
	var out []*cond.Node
	n.Walk(func(part *cond.Node) {
		if part.Op == cond.OpEq && mayBeEmpty(part.Args[0]) && mayBeEmpty(part.Args[1]) && !saidFull(n, part) {
			out = append(out, part)
		}
	})
	return out
}

func mayBeEmpty(n *cond.Node) bool {
	return n.Op == cond.OpPath && n.Type.Nullable
}

// saidFull says whether the whole cannot hold with both sides of an equality empty.
func saidFull(whole, part *cond.Node) bool {
	null := &cond.Node{Op: cond.OpConst, Const: cond.NullValue, Type: cond.Type{Kind: cond.Null}}
	isEmpty := func(side *cond.Node) *cond.Node {
		return &cond.Node{Op: cond.OpEq, Args: []*cond.Node{side, null}, Type: cond.Type{Kind: cond.YesNo}}
	}
	return prove.Together(whole, cond.Every(isEmpty(part.Args[0]), isEmpty(part.Args[1]))) == prove.No
}
