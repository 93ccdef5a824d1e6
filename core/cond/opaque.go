package cond

import (
	"time"

	"cel.dev/cel-go/cel"
	"cel.dev/cel-go/common/ast"
	"cel.dev/cel-go/common/types"
	"cel.dev/cel-go/parser"
)

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
	n.program = celProgram{program}
	if text, err := parser.Unparse(e, info); err == nil {
		n.Source = text
	}
	return n
}

// celProgram runs a part by CEL.
type celProgram struct{ cel.Program }

// Run gives what the part comes to.
func (l celProgram) Run(input map[string]any) (any, error) {
	out, _, err := l.Eval(input)
	if err != nil {
		return nil, err
	}
	return out.Value(), nil
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
	out, err := n.program.Run(input)
	if err != nil {
		return UnknownBecause(err.Error())
	}
	return fromNative(out)
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
