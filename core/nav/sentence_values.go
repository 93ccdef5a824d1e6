package nav

import (
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

func (w *sentenceWriter) effect(e *EffectPlan) string {
	switch spec := e.Spec.(type) {
	case *project.Save:
		return "save"
	case *project.Set:
		t := w.app.Project.Tables[w.subjectTable()]
		var parts []string
		for _, field := range sortedKeys(spec.Fields) {
			label := "a field that is gone"
			if t != nil && t.Fields[field] != nil {
				label = lowerLabel(t.Fields[field].Label)
			}
			value := "“" + spec.Fields[field] + "”"
			if x := e.Exprs[field]; x != nil {
				value = w.valueWords(x)
			}
			parts = append(parts, "set "+label+" to "+value)
		}
		return strings.Join(parts, " and ")
	case *project.Delete:
		if spec.List != "" {
			return "delete the chosen " + w.recordWord(spec.List)
		}
		return "delete " + w.app.bindingWords(w.screen, w.element, &project.Binding{Rule: "this"})
	case *project.AddRow:
		return "begin a new " + w.recordWord(spec.List)
	case *project.Write:
		if e.Exprs["tag"] == nil || e.Exprs["value"] == nil {
			return "write to a tag that is gone"
		}
		if v := e.Exprs["value"].Root; v.Op == cond.OpConst && v.Const.True() {
			return "send " + e.Exprs["tag"].Root.Path.Words()
		}
		return "write " + e.Exprs["value"].Root.Phrase() + " to " + e.Exprs["tag"].Root.Path.Words()
	}
	return e.Kind
}

// subjectTable gives the table that effects change: the screen's own, or that of a list's rows.
func (w *sentenceWriter) subjectTable() string {
	if w.element != nil {
		if l, ok := w.element.Spec.(*project.List); ok {
			return l.Table
		}
	}
	return w.screen.RecordTable()
}

// bindingWords says where an input's value comes from.
func (a *App) bindingWords(s *project.Screen, e *ElementPlan, b *project.Binding) string {
	switch b.Rule {
	case "this":
		if t := a.Project.Tables[s.RecordTable()]; t != nil {
			return "this " + t.One
		}
		return "this record"
	case "row":
		return "the clicked row"
	case "point":
		return "the chosen bar"
	case "user":
		return "the user’s own record"
	case "value":
		return "“" + b.Value + "”"
	case "input":
		if in := s.Inputs[b.Value]; in != nil {
			return "the " + lowerLabel(in.Label) + " given"
		}
		return "an input that is gone"
	case "parent":
		return a.parentWords(s, e, b)
	case "expression":
		return "“" + b.Value + "”"
	}
	return b.Rule
}

func (a *App) parentWords(s *project.Screen, e *ElementPlan, b *project.Binding) string {
	table, of := s.RecordTable(), "its"
	if b.From == "row" {
		of = "the row’s"
		if l, ok := e.Spec.(*project.List); ok {
			table = l.Table
		}
	}
	var words []string
	path := ""
	for _, part := range strings.Split(b.Path, ".") {
		path = join(path, part)
		f, _ := a.Project.FieldAt(table, path)
		if f == nil {
			return "a relation that is gone"
		}
		words = append(words, lowerLabel(f.Label))
	}
	return of + " " + strings.Join(words, "’s ")
}

// roleWords says for whom a gate is.
func (a *App) roleWords(roles map[string]bool) string {
	if roles == nil {
		return "everyone"
	}
	var names []string
	for _, r := range project.Ordered(a.Project.Roles) {
		if roles[r.ID] {
			names = append(names, r.Name)
		}
	}
	switch len(names) {
	case 0:
		return "nobody"
	case 1:
		return names[0]
	}
	return strings.Join(names[:len(names)-1], ", ") + " or " + names[len(names)-1]
}

// valueWords says what a field gets: "this cabin", "its lift", "the user", or a plain value.
func (w *sentenceWriter) valueWords(x *cond.Expr) string {
	if x.Root.Op != cond.OpPath {
		return x.Root.Phrase()
	}
	p := x.Root.Path
	switch {
	case p.Root == "user" && p.Key == "record":
		return "the user"
	case p.Root == "record" && p.Key == "":
		return w.app.bindingWords(w.screen, w.element, &project.Binding{Rule: "this"})
	case p.Root == "record":
		return "its " + p.Words()
	case p.Root == "inputs" && len(p.Segs) == 1:
		return "the " + p.Words() + " given"
	}
	return p.Words()
}

// shown writes a template over aliases, without the full stop that the sentence brings itself.
func shown(t *cond.Template, stored string) string {
	if t != nil {
		stored = t.Shown()
	}
	return strings.TrimSuffix(stored, ".")
}
