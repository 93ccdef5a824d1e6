package compile

import (
	"fmt"

	"cel.dev/cel-go/common/ast"

	"ambergate/core/cond"
)

// named puts what a shared condition says in the place of its name, seen from the record that the
// path leads to: record.cabin.in_use speaks of that cabin.
func (b *builder) named(e ast.Expr, p *cond.Path, f *cond.Field) *cond.Node {
	tree, problem := b.compiler.namedTree(f.Named)
	if problem != nil {
		b.problem = &cond.Problem{Message: fmt.Sprintf("The condition “%s” cannot be read: %s", f.Label, problem.Message), At: max(0, b.offset(e)), Length: 1}
		return &cond.Node{Op: cond.OpConst, Const: cond.UnknownBecause("its condition cannot be read"), Type: cond.Type{Kind: cond.YesNo}}
	}
	if b.size += size(tree); b.size > maxNodes {
		b.problem = &cond.Problem{Message: fmt.Sprintf("With all the shared conditions in it, this has more than %d parts.", maxNodes), At: max(0, b.offset(e)), Length: 1}
		return &cond.Node{Op: cond.OpConst, Const: cond.UnknownBecause("it is too large"), Type: cond.Type{Kind: cond.YesNo}}
	}
	from := cond.NewPath(p.Root, p.Hops[:len(p.Hops)-1], cond.Type{})
	if b.compiler.schema.Named[f.Named].Group == "user" {
		from = nil
	}
	seen, err := rebased(tree, from)
	if err != nil {
		b.problem = &cond.Problem{Message: err.Error(), At: max(0, b.offset(e)), Length: 1}
	}
	return &cond.Node{Op: cond.OpNamed, Fn: f.Named, Source: f.Label, Path: p, Args: []*cond.Node{seen}, Type: cond.Type{Kind: cond.YesNo}}
}

// maxNodes bounds what shared conditions within shared conditions may grow to.
const maxNodes = 5_000

// size counts the parts of a tree.
func size(n *cond.Node) int {
	parts := 0
	n.Walk(func(*cond.Node) { parts++ })
	return parts
}

// namedTree compiles a shared condition once. One that uses itself is a problem.
func (c *Compiler) namedTree(id string) (*cond.Node, *cond.Problem) {
	if tree, begun := c.named[id]; begun {
		if tree == nil {
			return nil, &cond.Problem{Message: "it uses itself.", Length: 1}
		}
		return tree, nil
	}
	if problem := c.unreadable[id]; problem != nil {
		return nil, problem // told once: what uses it several times does not read it several times
	}
	named, ok := c.schema.Named[id]
	if !ok {
		return nil, &cond.Problem{Message: "it is gone.", Length: 1}
	}
	c.named[id] = nil
	expr, problem := c.compile(Scope(named), named.Text)
	if problem == nil && expr.Root.Type.Kind != cond.YesNo {
		problem = &cond.Problem{Message: fmt.Sprintf("a condition is yes or no; this is %s.", KindWords(expr.Root.Type.Kind)), Length: 1}
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
func Scope(n cond.Named) cond.Scope {
	if n.Group == "user" {
		return cond.Scope{"user": "user"}
	}
	return cond.Scope{"record": n.Group, "user": "user"}
}

// rebased copies a tree so that "record" is the record at the end of a path; nil leaves it as it is.
func rebased(n *cond.Node, from *cond.Path) (*cond.Node, error) {
	if from == nil {
		return n, nil
	}
	out := *n
	if n.Op == cond.OpPath && n.Path.Root == "record" {
		hops := append(append([]*cond.Field{}, from.Hops...), n.Path.Hops...)
		if countRelations(hops) > 4 {
			return n, fmt.Errorf("with what this condition asks for, the path goes through more than four relations")
		}
		t := n.Path.Type
		for _, h := range from.Hops {
			t.Nullable = t.Nullable || h.Type.Nullable
		}
		out.Path = cond.NewPath(from.Root, hops, t)
		out.Type.Nullable = t.Nullable
		return &out, nil
	}
	out.Args = make([]*cond.Node, len(n.Args))
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
func (b *builder) available(e, arg ast.Expr) *cond.Node {
	p := b.chain(arg, "")
	if p == nil || p.Type.Kind == cond.Record || p.Type.Kind == cond.Object || len(p.Hops) == 0 {
		b.problem = &cond.Problem{Message: "available(…) asks of one value, such as a live one, whether it is there.", At: max(0, b.offset(e)), Length: len("available")}
		return &cond.Node{Op: cond.OpConst, Const: cond.Bool(false), Type: cond.Type{Kind: cond.YesNo}}
	}
	return &cond.Node{Op: cond.OpCall, Fn: "available", Args: []*cond.Node{{Op: cond.OpPath, Path: p, Type: p.Type}}, Type: cond.Type{Kind: cond.YesNo}}
}
