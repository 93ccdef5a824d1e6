package words

import (
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Effect says what an effect does.
func (w *Writer) Effect(e *plan.Effect) string { return plan.KindOf[EffectKind](e.Spec).Say(w, e) }

// BindingWords says where a value comes from; in is what is to get it, nil where that is not known.
func (w *Writer) BindingWords(b *project.Binding, in *project.Input) string {
	return plan.KindOf[RuleKind](b.Spec).Say(w, in)
}

// Path says a path of relations: "cabin’s lift"; "" where a part is gone.
func Path(a *plan.App, table, path string) string {
	var words []string
	at := ""
	for _, part := range strings.Split(path, ".") {
		at = project.JoinPath(at, part)
		f, _ := a.Project.FieldAt(table, at)
		if f == nil {
			return ""
		}
		words = append(words, english.Lower(f.Label))
	}
	return strings.Join(words, "’s ")
}

// FromWords says whose the record is that a rule finds.
func (w *Writer) FromWords(from string) string {
	switch from {
	case "", "record":
		return "its"
	case "row":
		return "the row’s"
	}
	if in := w.Inputs()[from]; in != nil {
		return "the given " + english.Lower(in.Label) + "’s"
	}
	return "a missing input’s"
}

// Roles says for whom a gate is.
func Roles(a *plan.App, roles map[string]bool) string {
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

// ThisRecord says what the screen's own record is called: “this cabin”.
func (w *Writer) ThisRecord() string {
	if t := w.App.Project.Tables[w.Screen.RecordTable()]; t != nil {
		return "this " + t.One
	}
	return "this record"
}

// ValueWords says what a field gets: "this cabin", "its lift", "the user", or a plain value.
// table is that of the record it is to be, "" for none.
func (w *Writer) ValueWords(x *cond.Expr, table string) string {
	if x.Root.Op == cond.OpConst {
		if title := w.Called.Of(table, x.Root.Const.KeyOf()); title != "" {
			return title
		}
	}
	if x.Root.Op == cond.OpConst && x.Root.Const.Kind() == cond.YesNo {
		return map[bool]string{true: "yes", false: "no"}[x.Root.Const.True()]
	}
	if x.Root.Op != cond.OpPath {
		return w.Phrase(x.Root)
	}
	p := x.Root.Path
	switch {
	case p.Root == "user" && p.Key == "record":
		return "the user"
	case p.Root == "record" && p.Key == "":
		return w.ThisRecord()
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
