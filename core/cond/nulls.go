package cond

// EmptyOnBothSides gives the equalities that hold where both sides are empty, and may be: a record
// without an owner is then that of a user without a record. One that is said not to be empty in the
// same "and" is none.
func (n *Node) EmptyOnBothSides() []*Node {
	var out []*Node
	n.walk(func(part *Node) {
		if part.Op == OpEq && part.Args[0].mayBeEmpty() && part.Args[1].mayBeEmpty() && !saidFull(n, part) {
			out = append(out, part)
		}
	})
	return out
}

func (n *Node) mayBeEmpty() bool {
	return n.Op == OpPath && n.Type.Nullable
}

// saidFull says whether the whole cannot hold with both sides of an equality empty.
func saidFull(whole, part *Node) bool {
	null := &Node{Op: OpConst, Const: NullValue, Type: Type{Kind: Null}}
	isEmpty := func(side *Node) *Node {
		return &Node{Op: OpEq, Args: []*Node{side, null}, Type: Type{Kind: YesNo}}
	}
	return Together(whole, Every(isEmpty(part.Args[0]), isEmpty(part.Args[1]))) == No
}
