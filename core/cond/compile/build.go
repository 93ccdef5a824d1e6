package compile

import (
	"math/big"
	"slices"
	"strconv"
	"strings"
	"time"

	"cel.dev/cel-go/cel"
	"cel.dev/cel-go/common/ast"
	"cel.dev/cel-go/common/types"

	"ambergate/core/cond"
)

// builder turns a checked syntax tree of the library into the own tree.
type builder struct {
	compiler *Compiler
	env      *cel.Env
	ast      *ast.AST
	scope    cond.Scope
	text     []rune
	size     int // of the shared conditions put in so far
	problem  *cond.Problem
}

var operators = map[string]cond.Op{
	"_&&_": cond.OpAnd, "_||_": cond.OpOr, "!_": cond.OpNot, "_==_": cond.OpEq, "_!=_": cond.OpNe, "_<_": cond.OpLt, "_<=_": cond.OpLe,
	"_>_": cond.OpGt, "_>=_": cond.OpGe, "@in": cond.OpIn, "_+_": cond.OpAdd, "_-_": cond.OpSub, "_*_": cond.OpMul, "_/_": cond.OpDiv, "-_": cond.OpNeg, "_?_:_": cond.OpIf,
}

var calls = []string{"today", "daysAgo", "daysFromNow", "date", "contains", "startsWith", "endsWith", "size"}

func (b *builder) build(e ast.Expr) *cond.Node {
	n := b.shape(e)
	if n == nil {
		n = b.opaque(e)
	}
	n.At, n.Length = b.placeOf(e)
	if n.Type.Kind == cond.Unknown {
		n.Type = cond.Type{Kind: ownKind(b.ast.GetType(e.ID()))}
	}
	return n
}

// shape builds what the own tree models; nil for what it does not.
func (b *builder) shape(e ast.Expr) *cond.Node {
	switch e.Kind() {
	case ast.LiteralKind:
		return b.literal(e)
	case ast.IdentKind, ast.SelectKind:
		return b.path(e)
	case ast.ListKind:
		n := &cond.Node{Op: cond.OpList, Type: cond.Type{Kind: cond.List}}
		for _, item := range e.AsList().Elements() {
			n.Args = append(n.Args, b.build(item))
		}
		n.Settle()
		return n
	case ast.CallKind:
		return b.call(e)
	}
	return nil
}

func (b *builder) literal(e ast.Expr) *cond.Node {
	var v cond.Value
	switch lit := e.AsLiteral().Value().(type) {
	case bool:
		v = cond.Bool(lit)
	case int64:
		v = cond.Int(lit)
	case uint64:
		if lit > 1<<62 {
			return nil
		}
		v = cond.Int(int64(lit))
	case float64:
		// Written as 2.4, meant as exactly 2.4.
		r, ok := new(big.Rat).SetString(strconv.FormatFloat(lit, 'f', -1, 64))
		if !ok {
			return nil
		}
		v = cond.Exact(r)
	case string:
		v = cond.String(lit)
	default:
		if e.AsLiteral().Type() == types.NullType {
			v = cond.NullValue
			break
		}
		return nil
	}
	return &cond.Node{Op: cond.OpConst, Const: v, Type: cond.Type{Kind: v.Kind()}}
}

// path builds a chain of names; has(a.b) becomes "a.b is not empty".
func (b *builder) path(e ast.Expr) *cond.Node {
	if e.Kind() == ast.IdentKind && e.AsIdent() == "now" {
		return &cond.Node{Op: cond.OpCall, Fn: "now", Type: cond.Type{Kind: cond.Moment}}
	}
	if e.Kind() == ast.SelectKind && e.AsSelect().IsTestOnly() {
		p := b.chain(e.AsSelect().Operand(), e.AsSelect().FieldName())
		if p == nil {
			return nil
		}
		null := &cond.Node{Op: cond.OpConst, Const: cond.NullValue, Type: cond.Type{Kind: cond.Null}}
		return &cond.Node{Op: cond.OpNe, Args: []*cond.Node{{Op: cond.OpPath, Path: p, Type: p.Type}, null}, Type: cond.Type{Kind: cond.YesNo}}
	}
	p := b.chain(e, "")
	if p == nil {
		return nil
	}
	if last := p.Last(); last != nil && last.Named != "" {
		return b.named(e, p, last)
	}
	return &cond.Node{Op: cond.OpPath, Path: p, Type: p.Type}
}

func (b *builder) chain(e ast.Expr, last string) *cond.Path {
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
	var hops []*cond.Field
	t := cond.Type{Kind: cond.Record, Table: group}
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
		b.problem = &cond.Problem{Message: "A path may go through four relations at most.", At: max(0, b.offset(e)), Length: len([]rune(root))}
	}
	return cond.NewPath(root, hops, t)
}

func countRelations(hops []*cond.Field) int {
	n := 0
	for _, h := range hops {
		if h.Type.Kind == cond.Record {
			n++
		}
	}
	return n
}

func (b *builder) call(e ast.Expr) *cond.Node {
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
		return &cond.Node{Op: cond.OpConst, Const: cond.Key(text), Type: cond.Type{Kind: cond.Record}}
	case "available":
		return b.available(e, args[0])
	case "duration":
		return b.duration(args[0])
	}
	if op, ok := operators[name]; ok {
		n := &cond.Node{Op: op}
		for _, a := range args {
			n.Args = append(n.Args, b.build(a))
		}
		flatten(n)
		typeChoices(n)
		if op != cond.OpIf && op < cond.OpAdd {
			n.Type = cond.Type{Kind: cond.YesNo}
		}
		return n
	}
	if slices.Contains(calls, name) {
		n := &cond.Node{Op: cond.OpCall, Fn: name}
		for _, a := range args {
			n.Args = append(n.Args, b.build(a))
		}
		if name == "today" || name == "date" || strings.HasPrefix(name, "days") {
			n.Type = cond.Type{Kind: cond.Date}
		}
		if name == "date" && n.Args[0].Op == cond.OpConst {
			return b.dateConstant(args[0], n.Args[0].Const.Wire())
		}
		return n
	}
	return nil
}

// duration reads a length of time that is written out; nil for one that has to be worked out, and for
// what is none: that the library tells.
func (b *builder) duration(e ast.Expr) *cond.Node {
	if e.Kind() != ast.LiteralKind {
		return nil
	}
	text, _ := e.AsLiteral().Value().(string)
	length, err := time.ParseDuration(text)
	if err != nil {
		return nil
	}
	return &cond.Node{Op: cond.OpConst, Const: cond.Span(length), Type: cond.Type{Kind: cond.Duration}}
}

func (b *builder) role(e ast.Expr, args []ast.Expr) *cond.Node {
	if len(args) != 2 || args[1].Kind() != ast.LiteralKind {
		return nil
	}
	name, _ := args[1].AsLiteral().Value().(string)
	for _, r := range b.compiler.schema.Roles {
		if r.ID == name || r.Name == name {
			return &cond.Node{Op: cond.OpRole, Fn: r.ID, Source: r.Name, Type: cond.Type{Kind: cond.YesNo}}
		}
	}
	names := make([]string, len(b.compiler.schema.Roles))
	for i, r := range b.compiler.schema.Roles {
		names[i] = r.Name
	}
	b.problem = &cond.Problem{Message: "There is no role " + strconv.Quote(name) + ".", At: max(0, b.offset(args[1])), Length: len([]rune(name)) + 2, Proposal: nearest(name, names)}
	return &cond.Node{Op: cond.OpConst, Const: cond.Bool(false), Type: cond.Type{Kind: cond.YesNo}}
}

// flatten makes a && (b && c) one "and" of three parts.
func flatten(n *cond.Node) {
	if n.Op != cond.OpAnd && n.Op != cond.OpOr {
		return
	}
	var parts []*cond.Node
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
func typeChoices(n *cond.Node) {
	if n.Op < cond.OpEq || n.Op > cond.OpGe {
		return
	}
	for _, a := range n.Args {
		if len(a.Type.Choices) > 0 {
			n.Choices = a.Type.Choices
		}
	}
}

// dateConstant reads date("2026-11-24") once, while compiling.
func (b *builder) dateConstant(e ast.Expr, text string) *cond.Node {
	v, err := cond.Parse(cond.Type{Kind: cond.Date}, text)
	if err != nil || v.IsNull() {
		b.problem = &cond.Problem{Message: strconv.Quote(text) + " is not a date like 2026-11-24.", At: max(0, b.offset(e)), Length: len([]rune(text)) + 2}
		v = cond.NullValue
	}
	return &cond.Node{Op: cond.OpConst, Const: v, Type: cond.Type{Kind: cond.Date}}
}
