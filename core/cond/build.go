package cond

import (
	"math/big"
	"slices"
	"strconv"

	"cel.dev/cel-go/cel"
	"cel.dev/cel-go/common/ast"
	"cel.dev/cel-go/common/types"
)

// builder turns a checked syntax tree of the library into the own tree.
type builder struct {
	compiler *Compiler
	env      *cel.Env
	ast      *ast.AST
	scope    Scope
	text     []rune
	size     int // of the shared conditions put in so far
	problem  *Problem
}

var operators = map[string]Op{
	"_&&_": OpAnd, "_||_": OpOr, "!_": OpNot, "_==_": OpEq, "_!=_": OpNe, "_<_": OpLt, "_<=_": OpLe,
	"_>_": OpGt, "_>=_": OpGe, "@in": OpIn, "_+_": OpAdd, "_-_": OpSub, "_*_": OpMul, "_/_": OpDiv, "-_": OpNeg, "_?_:_": OpIf,
}

var calls = []string{"today", "days", "date", "contains", "startsWith", "endsWith", "size"}

func (b *builder) build(e ast.Expr) *Node {
	n := b.shape(e)
	if n == nil {
		n = b.opaque(e)
	}
	n.At, n.Length = b.placeOf(e)
	if n.Type.Kind == Unknown {
		n.Type = Type{Kind: ownKind(b.ast.GetType(e.ID()))}
	}
	return n
}

// shape builds what the own tree models; nil for what it does not.
func (b *builder) shape(e ast.Expr) *Node {
	switch e.Kind() {
	case ast.LiteralKind:
		return b.literal(e)
	case ast.IdentKind, ast.SelectKind:
		return b.path(e)
	case ast.ListKind:
		n := &Node{Op: OpList, Type: Type{Kind: List}}
		for _, item := range e.AsList().Elements() {
			n.Args = append(n.Args, b.build(item))
		}
		return n
	case ast.CallKind:
		return b.call(e)
	}
	return nil
}

func (b *builder) literal(e ast.Expr) *Node {
	var v Value
	switch lit := e.AsLiteral().Value().(type) {
	case bool:
		v = Bool(lit)
	case int64:
		v = Int(lit)
	case uint64:
		if lit > 1<<62 {
			return nil
		}
		v = Int(int64(lit))
	case float64:
		// Written as 2.4, meant as exactly 2.4.
		r, ok := new(big.Rat).SetString(strconv.FormatFloat(lit, 'f', -1, 64))
		if !ok {
			return nil
		}
		v = Exact(r)
	case string:
		v = String(lit)
	default:
		if e.AsLiteral().Type() == types.NullType {
			v = NullValue
			break
		}
		return nil
	}
	return &Node{Op: OpConst, Const: v, Type: Type{Kind: v.Kind()}}
}

// path builds a chain of names; has(a.b) becomes "a.b is not empty".
func (b *builder) path(e ast.Expr) *Node {
	if e.Kind() == ast.IdentKind && e.AsIdent() == "now" {
		return &Node{Op: OpCall, Fn: "now", Type: Type{Kind: Moment}}
	}
	if e.Kind() == ast.SelectKind && e.AsSelect().IsTestOnly() {
		p := b.chain(e.AsSelect().Operand(), e.AsSelect().FieldName())
		if p == nil {
			return nil
		}
		null := &Node{Op: OpConst, Const: NullValue, Type: Type{Kind: Null}}
		return &Node{Op: OpNe, Args: []*Node{{Op: OpPath, Path: p, Type: p.Type}, null}, Type: Type{Kind: YesNo}}
	}
	p := b.chain(e, "")
	if p == nil {
		return nil
	}
	if last := p.last(); last != nil && last.Named != "" {
		return b.named(e, p, last)
	}
	return &Node{Op: OpPath, Path: p, Type: p.Type}
}

func (b *builder) chain(e ast.Expr, last string) *Path {
	var names []string
	if last != "" {
		names = append(names, last)
	}
	for e.Kind() == ast.SelectKind && !e.AsSelect().IsTestOnly() {
		names = append(names, e.AsSelect().FieldName())
		e = e.AsSelect().Operand()
	}
	if e.Kind() != ast.IdentKind {
		return nil
	}
	root := e.AsIdent()
	group, ok := b.scope[root]
	if !ok {
		return nil
	}
	slices.Reverse(names)
	var hops []*Field
	t := Type{Kind: Record, Table: group}
	for _, name := range names {
		g, ok := b.compiler.schema.Groups[t.Table]
		if !ok {
			return nil
		}
		f, ok := g.Find(name)
		if !ok {
			return nil
		}
		hops = append(hops, f)
		nullable := t.Nullable || f.Type.Nullable
		t = f.Type
		t.Nullable = nullable
	}
	if relations := countRelations(hops); relations > 4 {
		b.problem = &Problem{Message: "A path may go through four relations at most.", At: max(0, b.offset(e)), Length: len([]rune(root))}
	}
	return pathOf(root, hops, t)
}

func countRelations(hops []*Field) int {
	n := 0
	for _, h := range hops {
		if h.Type.Kind == Record {
			n++
		}
	}
	return n
}

func (b *builder) call(e ast.Expr) *Node {
	c := e.AsCall()
	name := c.FunctionName()
	args := c.Args()
	if c.IsMemberFunction() {
		args = append([]ast.Expr{c.Target()}, args...)
	}
	if name == "dyn" && len(args) == 1 {
		return b.build(args[0])
	}
	switch name {
	case "is":
		return b.role(e, args)
	case "key":
		if args[0].Kind() != ast.LiteralKind {
			return nil
		}
		text, _ := args[0].AsLiteral().Value().(string)
		return &Node{Op: OpConst, Const: Key(text), Type: Type{Kind: Record}}
	case "available":
		return b.available(e, args[0])
	}
	if op, ok := operators[name]; ok {
		n := &Node{Op: op}
		for _, a := range args {
			n.Args = append(n.Args, b.build(a))
		}
		n.flatten()
		n.typeChoices()
		if op != OpIf && op < OpAdd {
			n.Type = Type{Kind: YesNo}
		}
		return n
	}
	if slices.Contains(calls, name) {
		n := &Node{Op: OpCall, Fn: name}
		for _, a := range args {
			n.Args = append(n.Args, b.build(a))
		}
		if name == "today" || name == "date" {
			n.Type = Type{Kind: Date}
		}
		if name == "date" && n.Args[0].Op == OpConst {
			return b.dateConstant(args[0], n.Args[0].Const.Wire())
		}
		return n
	}
	return nil
}

func (b *builder) role(e ast.Expr, args []ast.Expr) *Node {
	if len(args) != 2 || args[1].Kind() != ast.LiteralKind {
		return nil
	}
	name, _ := args[1].AsLiteral().Value().(string)
	for _, r := range b.compiler.schema.Roles {
		if r.ID == name || r.Name == name {
			return &Node{Op: OpRole, Fn: r.ID, Source: r.Name, Type: Type{Kind: YesNo}}
		}
	}
	names := make([]string, len(b.compiler.schema.Roles))
	for i, r := range b.compiler.schema.Roles {
		names[i] = r.Name
	}
	b.problem = &Problem{Message: "There is no role " + strconv.Quote(name) + ".", At: max(0, b.offset(args[1])), Length: len([]rune(name)) + 2, Proposal: nearest(name, names)}
	return &Node{Op: OpConst, Const: Bool(false), Type: Type{Kind: YesNo}}
}

// flatten makes a && (b && c) one "and" of three parts.
func (n *Node) flatten() {
	if n.Op != OpAnd && n.Op != OpOr {
		return
	}
	var parts []*Node
	for _, a := range n.Args {
		if a.Op == n.Op {
			parts = append(parts, a.Args...)
		} else {
			parts = append(parts, a)
		}
	}
	n.Args = parts
}

// typeChoices lets choices be compared in their declared order.
func (n *Node) typeChoices() {
	if n.Op < OpEq || n.Op > OpGe {
		return
	}
	for _, a := range n.Args {
		if len(a.Type.Choices) > 0 {
			n.Choices = a.Type.Choices
		}
	}
}

// dateConstant reads date("2026-11-24") once, while compiling.
func (b *builder) dateConstant(e ast.Expr, text string) *Node {
	v, err := Parse(Type{Kind: Date}, text)
	if err != nil || v.IsNull() {
		b.problem = &Problem{Message: strconv.Quote(text) + " is not a date like 2026-11-24.", At: max(0, b.offset(e)), Length: len([]rune(text)) + 2}
		v = NullValue
	}
	return &Node{Op: OpConst, Const: v, Type: Type{Kind: Date}}
}
