package compile

import (
	"cel.dev/cel-go/cel"
	"cel.dev/cel-go/common/ast"
	"cel.dev/cel-go/common/types"
	"cel.dev/cel-go/parser"

	"ambergate/core/cond"
)

// opaque leaves a part to the library, with the paths it reads.
func (b *builder) opaque(e ast.Expr) *cond.Node {
	n := &cond.Node{Op: cond.OpOpaque, Type: cond.Type{Kind: ownKind(b.ast.GetType(e.ID()))}}
	ast.PostOrderVisit(e, ast.NewExprVisitor(func(part ast.Expr) {
		if part.Kind() == ast.SelectKind || part.Kind() == ast.IdentKind {
			if p := b.chain(part, ""); p != nil && p.Type.Kind != cond.Record && p.Type.Kind != cond.Object {
				n.Args, n.Written = append(n.Args, b.build(part)), append(n.Written, p)
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
		b.problem = &cond.Problem{Message: "This cannot be run: " + err.Error(), Length: 1}
	}
	n.Program = celProgram{program}
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
