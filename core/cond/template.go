package cond

import "strings"

// Template is a text with expressions in braces: "Cabin {record.number}".
type Template struct {
	Parts []TemplatePart
}

// TemplatePart is a text, or what an expression comes to.
type TemplatePart struct {
	Text string
	Expr *Expr
}

// Say fills the template in. Unknown parts are written as a dash, empty ones as nothing.
func (t *Template) Say(w World, words func(Value, Type) string) string {
	if text, plain := t.Plain(); plain {
		return text
	}
	var b strings.Builder
	for _, p := range t.Parts {
		if p.Expr == nil {
			b.WriteString(p.Text)
			continue
		}
		v := p.Expr.Root.Eval(w)
		switch {
		case !v.Known():
			b.WriteString("–")
		case v.IsNull():
		case p.Expr.Root.Op == OpPath && v.Kind() == Record:
			b.WriteString(called(w, p.Expr.Root.Path, v, words))
		default:
			b.WriteString(words(v, p.Expr.Root.Type))
		}
	}
	return b.String()
}

// Plain gives the text of a template in which nothing is filled in; false for any other.
func (t *Template) Plain() (text string, plain bool) {
	if len(t.Parts) == 1 && t.Parts[0].Expr == nil {
		return t.Parts[0].Text, true
	}
	return "", len(t.Parts) == 0
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
	for _, p := range t.Parts {
		if p.Expr != nil {
			out = append(out, p.Expr.Root.Paths()...)
		}
	}
	return out
}

// Phrase says the template without a record at hand: what is worked out stands in words.
func (t *Template) Phrase() string {
	var b strings.Builder
	for _, p := range t.Parts {
		if p.Expr != nil {
			b.WriteString(p.Expr.Root.Phrase())
		} else {
			b.WriteString(p.Text)
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
	for _, p := range t.Parts {
		if p.Expr != nil {
			b.WriteString("{" + text(p.Expr) + "}")
		} else {
			b.WriteString(strings.ReplaceAll(p.Text, "{", "{{"))
		}
	}
	return b.String()
}
