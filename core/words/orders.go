package words

import (
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Order says an order.
func Order(a *plan.App, table string, sort []ask.Sort) string {
	var parts []string
	for _, s := range sort {
		words := Path(a, table, s.Path)
		if words == "" {
			words = "a field that is gone"
		}
		if f, _ := a.Project.FieldAt(table, s.Path); f != nil && s.Desc {
			words += ", " + descending(f)
		}
		parts = append(parts, words)
	}
	if len(parts) == 0 {
		return "the key"
	}
	return strings.Join(parts, ", then ")
}

// PathWords says a path of relations of a table: "cabin’s lift"; "" where a part is gone.
func PathWords(a *plan.App, table, path string) string { return Path(a, table, path) }

// Descending says that a field of the screen's main list orders it from its end, where it does.
func (w *Writer) Descending(path string, desc bool) string {
	if f, _ := w.App.Project.FieldAt(w.Screen.ListTable(), path); f != nil && desc {
		return ", " + descending(f)
	}
	return ""
}

// descending says an order from the end, by the kind of the field.
func descending(f *project.Column) string {
	t := f.TypeOf()
	switch {
	case t.Kind == cond.Date || t.Kind == cond.Moment:
		return "newest first"
	case t.Kind == cond.Text && len(t.Choices) == 0:
		return "Z to A"
	case t.Kind == cond.YesNo:
		return "yes first"
	}
	return "the highest first"
}
