package cond

// Part is one part of an explained condition, in words, with what it is right now.
type Part struct {
	Words   string `json:"words"`
	State   string `json:"state"`           // yes, no, unknown
	Value   string `json:"value,omitempty"` // of the path compared, as the wire writes it; "" for empty
	Why     string `json:"why,omitempty"`   // reason of an unknown
	Decides bool   `json:"decides"`         // this part made the whole what it is
	Parts   []Part `json:"parts,omitempty"`
}

// Explain decides the condition part by part. The state of the root is what Eval gives.
func (n *Node) Explain(w World) Part {
	p := n.explain(w)
	p.Decides = true
	p.markDeciding(n)
	return p
}

func (n *Node) explain(w World) Part {
	v := n.Eval(w)
	p := Part{Words: n.Phrase(), State: StateOf(v), Why: v.Why()}
	of := n
	if n.Op == OpNot {
		of = n.Args[0] // a comparison turned round is one part, not two
	}
	switch of.Op {
	case OpAnd, OpOr, OpNamed:
		for _, a := range n.Args {
			p.Parts = append(p.Parts, a.explain(w))
		}
	case OpEq, OpNe, OpLt, OpLe, OpGt, OpGe, OpIn:
		p.Value = of.Args[0].Eval(w).Wire()
	}
	return p
}

// StateOf says a truth value as the API writes it: yes, no or unknown.
func StateOf(v Value) string {
	switch {
	case !v.Known():
		return "unknown"
	case v.True():
		return "yes"
	}
	return "no"
}

// markDeciding follows from a part that decides to those below it that made it so.
func (p *Part) markDeciding(n *Node) {
	for i := range p.Parts {
		child := &p.Parts[i]
		settled := n.Op == OpAnd && p.State == "no" || n.Op == OpOr && p.State == "yes"
		if settled && child.State != p.State || p.State == "unknown" && child.State != "unknown" {
			continue
		}
		child.Decides = true
		child.markDeciding(n.Args[i])
		if settled {
			return
		}
	}
}

// Deciding gives the innermost part that decides, for one line of words.
func (p Part) Deciding() Part {
	for _, child := range p.Parts {
		if child.Decides {
			return child.Deciding()
		}
	}
	return p
}
