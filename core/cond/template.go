package cond

import (
	"strings"
)

// Template is a text with expressions in braces: "Cabin {record.number}".
type Template struct {
	parts []templatePart
}

type templatePart struct {
	text string
	expr *Expr
}

// Template compiles a text with expressions. "{{" writes a brace.
func (c *Compiler) Template(scope Scope, text string) (*Template, *Problem) {
	t := &Template{}
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
			return nil, &Problem{Message: "An opening brace has no closing one.", At: len([]rune(text)) - len([]rune(rest)) - 1, Length: 1}
		}
		expr, problem := c.Expression(scope, rest[:end])
		if problem != nil {
			at := *problem
			at.At += len([]rune(text)) - len([]rune(rest))
			return nil, &at
		}
		if plain != "" {
			t.parts = append(t.parts, templatePart{text: plain})
			plain = ""
		}
		t.parts = append(t.parts, templatePart{expr: expr})
		rest = rest[end+1:]
	}
	if plain+rest != "" {
		t.parts = append(t.parts, templatePart{text: plain + rest})
	}
	return t, nil
}

// Say fills the template in. Unknown parts are written as a dash, empty ones as nothing.
func (t *Template) Say(w World, words func(Value, Type) string) string {
	if len(t.parts) == 1 && t.parts[0].expr == nil {
		return t.parts[0].text
	}
	var b strings.Builder
	for _, p := range t.parts {
		if p.expr == nil {
			b.WriteString(p.text)
			continue
		}
		v := p.expr.Root.Eval(w)
		switch {
		case !v.Known():
			b.WriteString("–")
		case v.IsNull():
		case p.expr.Root.Op == OpPath && v.Kind() == Record:
			b.WriteString(called(w, p.expr.Root.Path, v, words))
		default:
			b.WriteString(words(v, p.expr.Root.Type))
		}
	}
	return b.String()
}

// Namer is a world that knows what the records behind paths are called.
type Namer interface {
	// NameOf gives the title of the record that a path leads to; "" when it was not fetched.
	NameOf(*Path) string
}

// called says a record by its title, as far as the world knows it; else by its key.
func called(w World, p *Path, v Value, words func(Value, Type) string) string {
	if n, ok := w.(Namer); ok {
		if title := n.NameOf(p); title != "" {
			return title
		}
	}
	return words(v, p.Type)
}

// Paths gives every path the template reads.
func (t *Template) Paths() []*Path {
	var out []*Path
	for _, p := range t.parts {
		if p.expr != nil {
			out = append(out, p.expr.Root.Paths()...)
		}
	}
	return out
}

// Phrase says the template without a record at hand: what is worked out stands in words.
func (t *Template) Phrase() string {
	var b strings.Builder
	for _, p := range t.parts {
		if p.expr != nil {
			b.WriteString(p.expr.Root.Phrase())
		} else {
			b.WriteString(p.text)
		}
	}
	return b.String()
}

// Stored writes the template over ids.
func (t *Template) Stored() string { return t.write(func(e *Expr) string { return e.Stored }) }

// Shown writes the template over aliases.
func (t *Template) Shown() string { return t.write(func(e *Expr) string { return e.Shown }) }

func (t *Template) write(text func(*Expr) string) string {
	var b strings.Builder
	for _, p := range t.parts {
		if p.expr != nil {
			b.WriteString("{" + text(p.expr) + "}")
		} else {
			b.WriteString(strings.ReplaceAll(p.text, "{", "{{"))
		}
	}
	return b.String()
}
