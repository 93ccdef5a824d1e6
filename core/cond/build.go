package cond

import (
	"math/big"
	"slices"
	"strconv"
	"time"

	"cel.dev/cel-go/cel"
	"cel.dev/cel-go/common/ast"
	"cel.dev/cel-go/common/types"
	"cel.dev/cel-go/parser"
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

func (b *builder) offset(e ast.Expr) int {
	if r, ok := b.ast.SourceInfo().GetOffsetRange(e.ID()); ok {
		return int(r.Start)
	}
	return 0
}

// opaque leaves a part to the library, with the paths it reads.
func (b *builder) opaque(e ast.Expr) *Node {
	n := &Node{Op: OpOpaque, Type: Type{Kind: ownKind(b.ast.GetType(e.ID()))}}
	ast.PostOrderVisit(e, ast.NewExprVisitor(func(part ast.Expr) {
		if part.Kind() == ast.SelectKind || part.Kind() == ast.IdentKind {
			if p := b.chain(part, ""); p != nil && p.Type.Kind != Record && p.Type.Kind != Object {
				n.Args, n.written = append(n.Args, b.build(part)), append(n.written, p)
			}
		}
	}))
	info := ast.CopySourceInfo(b.ast.SourceInfo())
	typeMap := map[int64]*types.Type{}
	for id, t := range b.ast.TypeMap() {
		typeMap[id] = t
	}
	refs := map[int64]*ast.ReferenceInfo{}
	for id, r := range b.ast.ReferenceMap() {
		refs[id] = r
	}
	part := ast.NewCheckedAST(ast.NewAST(e, info), typeMap, refs)
	program, err := b.env.PlanProgram(part, cel.CostLimit(costCap), cel.InterruptCheckFrequency(1000))
	if err != nil {
		b.problem = &Problem{Message: "This cannot be run: " + err.Error(), Length: 1}
	}
	n.program = program
	if text, err := parser.Unparse(e, info); err == nil {
		n.Source = text
	}
	return n
}

// opaque runs the library when everything it reads is known and not empty; else the part is unknown.
func (n *Node) opaque(w World) Value {
	if n.program == nil {
		return UnknownBecause("this part cannot be run")
	}
	input := map[string]any{"now": w.Now()}
	for i, p := range n.written {
		v := n.Args[i].Eval(w)
		if !v.Known() {
			return v
		}
		if v.IsNull() {
			return UnknownBecause("a part of it is empty")
		}
		at := child(input, p.Root)
		for i, h := range p.hops {
			if i == len(p.hops)-1 {
				at[h.Alias], at[h.ID] = native(v), native(v)
				break
			}
			next := child(at, h.ID)
			at[h.Alias] = next
			at = next
		}
	}
	out, _, err := n.program.Eval(input)
	if err != nil {
		return UnknownBecause(err.Error())
	}
	return fromNative(out.Value())
}

func child(m map[string]any, name string) map[string]any {
	next, ok := m[name].(map[string]any)
	if !ok {
		next = map[string]any{}
		m[name] = next
	}
	return next
}

func native(v Value) any {
	switch v.kind {
	case YesNo:
		return v.i == 1
	case Whole:
		return v.i
	case Number, Decimal:
		f, _ := v.Float64()
		return f
	case Date, Moment:
		t, _ := v.Time()
		return t
	case Duration:
		return time.Duration(v.i) * time.Microsecond
	case List:
		out := make([]any, len(v.list))
		for i, item := range v.list {
			out[i] = native(item)
		}
		return out
	}
	return v.s
}

func fromNative(v any) Value {
	switch x := v.(type) {
	case bool:
		return Bool(x)
	case int64:
		return Int(x)
	case uint64:
		return Int(int64(x))
	case float64:
		return finite(x)
	case string:
		return String(x)
	case time.Time:
		return MomentOf(x)
	case time.Duration:
		return Span(x)
	}
	return UnknownBecause("a result of a kind that is not shown")
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

// placeOf gives the text of a part: from where its first part begins to where its last one ends.
func (b *builder) placeOf(e ast.Expr) (at, length int) {
	from, to := len(b.text), 0
	ast.PostOrderVisit(e, ast.NewExprVisitor(func(part ast.Expr) {
		r, ok := b.ast.SourceInfo().GetOffsetRange(part.ID())
		if !ok {
			return
		}
		end := int(r.Stop)
		if part.Kind() == ast.SelectKind {
			end = int(r.Start) + 1 + len([]rune(part.AsSelect().FieldName()))
		}
		if part.Kind() == ast.IdentKind {
			end = int(r.Start) + len([]rune(part.AsIdent()))
		}
		if part.Kind() == ast.LiteralKind {
			end = b.literalEnd(int(r.Start))
		}
		from, to = min(from, int(r.Start)), max(to, end)
	}))
	if from >= to {
		return 0, 0
	}
	return from, min(to, len(b.text)) - from
}

// literalEnd finds where a number or a quoted text ends.
func (b *builder) literalEnd(at int) int {
	if at >= len(b.text) || b.text[at] != '"' && b.text[at] != '\'' {
		for at < len(b.text) && (isWord(b.text[at]) || b.text[at] == '.' || b.text[at] == '-') {
			at++
		}
		return at
	}
	for i := at + 1; i < len(b.text); i++ {
		if b.text[i] == '\\' {
			i++
		} else if b.text[i] == b.text[at] {
			return i + 1
		}
	}
	return len(b.text)
}
