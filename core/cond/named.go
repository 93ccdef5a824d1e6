package cond

import (
	"fmt"

	"cel.dev/cel-go/common/ast"
)

// named puts what a shared condition says in the place of its name, seen from the record that the
// path leads to: record.cabin.in_use speaks of that cabin.
func (b *builder) named(e ast.Expr, p *Path, f *Field) *Node {
	tree, problem := b.compiler.namedTree(f.Named)
	if problem != nil {
		b.problem = &Problem{Message: fmt.Sprintf("The condition “%s” cannot be read: %s", f.Label, problem.Message), At: max(0, b.offset(e)), Length: 1}
		return &Node{Op: OpConst, Const: UnknownBecause("its condition cannot be read"), Type: Type{Kind: YesNo}}
	}
	if b.size += tree.size(); b.size > maxNodes {
		b.problem = &Problem{Message: fmt.Sprintf("With all the shared conditions in it, this has more than %d parts.", maxNodes), At: max(0, b.offset(e)), Length: 1}
		return &Node{Op: OpConst, Const: UnknownBecause("it is too large"), Type: Type{Kind: YesNo}}
	}
	from := pathOf(p.Root, p.hops[:len(p.hops)-1], Type{})
	if b.compiler.schema.Named[f.Named].Group == "user" {
		from = nil
	}
	seen, err := rebased(tree, from)
	if err != nil {
		b.problem = &Problem{Message: err.Error(), At: max(0, b.offset(e)), Length: 1}
	}
	return &Node{Op: OpNamed, Fn: f.Named, Source: f.Label, Path: p, Args: []*Node{seen}, Type: Type{Kind: YesNo}}
}

// maxNodes bounds what shared conditions within shared conditions may grow to.
const maxNodes = 5_000

// size counts the parts of a tree.
func (n *Node) size() int {
	parts := 0
	n.walk(func(*Node) { parts++ })
	return parts
}

// namedTree compiles a shared condition once. One that uses itself is a problem.
func (c *Compiler) namedTree(id string) (*Node, *Problem) {
	if tree, begun := c.named[id]; begun {
		if tree == nil {
			return nil, &Problem{Message: "it uses itself.", Length: 1}
		}
		return tree, nil
	}
	if problem := c.unreadable[id]; problem != nil {
		return nil, problem // told once: what uses it several times does not read it several times
	}
	named, ok := c.schema.Named[id]
	if !ok {
		return nil, &Problem{Message: "it is gone.", Length: 1}
	}
	c.named[id] = nil
	expr, problem := c.compile(named.Scope(), named.Text)
	if problem == nil && expr.Root.Type.Kind != YesNo {
		problem = &Problem{Message: fmt.Sprintf("a condition is yes or no; this is %s.", KindWords(expr.Root.Type.Kind)), Length: 1}
	}
	if problem != nil {
		delete(c.named, id)
		c.unreadable[id] = problem
		return nil, problem
	}
	c.named[id] = expr.Root
	return expr.Root, nil
}

// Scope gives the names that a shared condition may use.
func (n Named) Scope() Scope {
	if n.Group == "user" {
		return Scope{"user": "user"}
	}
	return Scope{"record": n.Group, "user": "user"}
}

// rebased copies a tree so that "record" is the record at the end of a path; nil leaves it as it is.
func rebased(n *Node, from *Path) (*Node, error) {
	if from == nil {
		return n, nil
	}
	out := *n
	if n.Op == OpPath && n.Path.Root == "record" {
		hops := append(append([]*Field{}, from.hops...), n.Path.hops...)
		if countRelations(hops) > 4 {
			return n, fmt.Errorf("with what this condition asks for, the path goes through more than four relations")
		}
		t := n.Path.Type
		for _, h := range from.hops {
			t.Nullable = t.Nullable || h.Type.Nullable
		}
		out.Path = pathOf(from.Root, hops, t)
		out.Type.Nullable = t.Nullable
		return &out, nil
	}
	out.Args = make([]*Node, len(n.Args))
	for i, a := range n.Args {
		part, err := rebased(a, from)
		if err != nil {
			return n, err
		}
		out.Args[i] = part
	}
	return &out, nil
}

// available asks whether a live value is known at all: its quality, not what it is.
func (b *builder) available(e, arg ast.Expr) *Node {
	p := b.chain(arg, "")
	if p == nil || p.Type.Kind == Record || p.Type.Kind == Object || len(p.hops) == 0 {
		b.problem = &Problem{Message: "available(…) asks of one value, such as a live one, whether it is there.", At: max(0, b.offset(e)), Length: len("available")}
		return &Node{Op: OpConst, Const: Bool(false), Type: Type{Kind: YesNo}}
	}
	return &Node{Op: OpCall, Fn: "available", Args: []*Node{{Op: OpPath, Path: p, Type: p.Type}}, Type: Type{Kind: YesNo}}
}
