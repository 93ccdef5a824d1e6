package compile

import "cel.dev/cel-go/common/ast"

func (b *builder) offset(e ast.Expr) int {
	if r, ok := b.ast.SourceInfo().GetOffsetRange(e.ID()); ok {
		return int(r.Start)
	}
	return 0
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
