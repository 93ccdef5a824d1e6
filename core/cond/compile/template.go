package compile

import (
	"strings"

	"ambergate/core/cond"
)

// Template compiles a text with expressions. "{{" writes a brace.
func (c *Compiler) Template(scope cond.Scope, text string) (*cond.Template, *cond.Problem) {
	t := &cond.Template{}
	rest := text
	plain := ""
	for {
		i := strings.IndexByte(rest, '{')
		if i < 0 {
			break
		}
		plain += rest[:i]
		rest = rest[i+1:]
		if strings.HasPrefix(rest, "{") {
			plain += "{"
			rest = rest[1:]
			continue
		}
		end := strings.IndexByte(rest, '}')
		if end < 0 {
			return nil, &cond.Problem{Message: "An opening brace has no closing one.", At: len([]rune(text)) - len([]rune(rest)) - 1, Length: 1}
		}
		expr, problem := c.Expression(scope, rest[:end])
		if problem != nil {
			at := *problem
			at.At += len([]rune(text)) - len([]rune(rest))
			return nil, &at
		}
		if plain != "" {
			t.Parts = append(t.Parts, cond.TemplatePart{Text: plain})
			plain = ""
		}
		t.Parts = append(t.Parts, cond.TemplatePart{Expr: expr})
		rest = rest[end+1:]
	}
	if plain+rest != "" {
		t.Parts = append(t.Parts, cond.TemplatePart{Text: plain + rest})
	}
	return t, nil
}
