package cond

// truth is what a condition comes to. What is empty counts as no.
type truth uint8

const (
	unknown truth = iota
	no
	yes
)

func truthOf(is bool) truth {
	if is {
		return yes
	}
	return no
}

// Holds says whether a condition holds in a world, by the rules of Eval; where that is not known, why says why.
func (n *Node) Holds(w World) (holds, known bool, why string) {
	is := n.decide(w, &why)
	return is == yes, is != unknown, why
}

// decide says what a condition comes to, and why, where that is unknown. Screens are full of conditions: those that only
// combine and compare are decided without making values, which are large.
func (n *Node) decide(w World, why *string) truth {
	switch n.Op {
	case OpAnd, OpOr:
		return n.junction(w, why)
	case OpNot:
		switch n.Args[0].decide(w, why) {
		case yes:
			return no
		case no:
			return yes
		}
		return unknown
	case OpNamed:
		return n.Args[0].decide(w, why)
	case OpRole:
		return truthOf(w.HasRole(n.Fn))
	case OpEq, OpNe, OpLt, OpLe, OpGt, OpGe:
		var atA, atB Value
		a, b := n.Args[0].constant(), n.Args[1].constant()
		if a == nil {
			a = &atA
			n.Args[0].put(w, a)
		}
		if a.kind == Unknown {
			*why = a.s
			return unknown
		}
		if b == nil {
			b = &atB
			n.Args[1].put(w, b)
		}
		if b.kind == Unknown {
			*why = b.s
			return unknown
		}
		return truthOf(n.compares(a, b))
	case OpIn:
		is, _ := n.membership(w, why)
		return is
	}
	v := n.Eval(w)
	if v.kind == Unknown {
		*why = v.s
		return unknown
	}
	return truthOf(v.True())
}

// junction decides "and" and "or": a part that settles it wins over unknown ones, of which the last says why.
func (n *Node) junction(w World, why *string) truth {
	settles, result := no, yes
	if n.Op == OpOr {
		settles, result = yes, no
	}
	var because string
	for _, a := range n.Args {
		switch is := a.decide(w, &because); is {
		case settles:
			return settles
		case unknown:
			*why, result = because, unknown
		}
	}
	return result
}

// constant gives the value of a part that is the same in every world; nil for any other.
func (n *Node) constant() *Value {
	if n.Op == OpConst || n.Op == OpList && n.Const.kind == List {
		return &n.Const
	}
	return nil
}

// put works a part out into a place for it: who gave that place's address back would have it made anew each time.
func (n *Node) put(w World, into *Value) {
	if n.Op == OpPath {
		*into = w.Value(n.Path)
	} else {
		*into = n.Eval(w)
	}
}

// membership says whether a value is one of a list; empty, and no, where there is no list.
func (n *Node) membership(w World, why *string) (is truth, empty bool) {
	var item, atList Value
	n.Args[0].put(w, &item)
	if item.kind == Unknown {
		*why = item.s
		return unknown, false
	}
	list := n.Args[1].constant()
	if list == nil {
		list = &atList
		n.Args[1].put(w, list)
	}
	switch list.kind {
	case Unknown:
		*why = list.s
		return unknown, false
	case Null:
		return no, true
	}
	is = no
	among := list.items()
	for i := range among {
		if one := &among[i]; one.kind == Unknown {
			*why, is = one.s, unknown
		} else if equal(&item, one) {
			return yes, false
		}
	}
	return is, false
}

func (n *Node) compares(a, b *Value) bool {
	switch n.Op {
	case OpEq:
		return equal(a, b)
	case OpNe:
		return !equal(a, b)
	}
	var c int
	var ok bool
	if n.Choices != nil && a.kind == Text && b.kind == Text {
		ra, rb := RankOf(n.Choices, a.s), RankOf(n.Choices, b.s)
		c, ok = ra-rb, ra >= 0 && rb >= 0
	} else {
		c, ok = compare(a, b)
	}
	if !ok {
		return false
	}
	switch n.Op {
	case OpLt:
		return c < 0
	case OpLe:
		return c <= 0
	case OpGt:
		return c > 0
	}
	return c >= 0
}
