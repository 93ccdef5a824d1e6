package rule

import (
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Parent follows relations from the screen's record, the chosen row or a given record.
type Parent struct {
	project.BindingHead
	base
	Path string `json:"path,omitempty"` // relation ids joined by dots, from the record
	From string `json:"from,omitempty"` // record (default), row, or the id of an input that is a record
}

// Plan notes the relations.
func (spec *Parent) Plan(b *plan.Planner) *cond.Expr {
	set, prefix, table := b.Source(spec.From)
	if set != nil {
		b.NeedShownAt(set, prefix, table, spec.Path)
	}
	return nil
}

// Give gives the key that the relation holds.
func (spec *Parent) Give(x *use.Binding) cond.Value {
	return x.World.From(x.From(spec.From), strings.Split(spec.Path, "."), spec.Path)
}

// Row sees the record through the one that it was fetched with.
func (spec *Parent) Row(x *use.Binding, key, table string) *ask.Row {
	return use.Under(x.From(spec.From), spec.Path, key, table)
}

// Via reads it through the record that the relation starts at.
func (spec *Parent) Via(b *plan.Planner) plan.Via {
	set, prefix, _ := b.Source(spec.From)
	v := plan.Via{Set: set, Prefix: project.JoinPath(prefix, spec.Path), Root: "record", Segs: strings.Split(spec.Path, ".")}
	if spec.From != "" && spec.From != "record" {
		v.Root = ""
	}
	return v
}

// Say says it: “its lift”.
func (spec *Parent) Say(w *words.Writer, _ *project.Input) string {
	table, of := w.FromTable(spec.From), w.FromWords(spec.From)
	words := words.Path(w.App, table, spec.Path)
	if words == "" {
		return "a relation that is gone"
	}
	return of + " " + words
}

// Finds gives the table that the relation leads to.
func (spec *Parent) Finds(s plan.Scene, _ *cond.Expr) (string, bool) {
	if f, _ := s.App.Project.FieldAt(s.FromTable(spec.From), spec.Path); f != nil {
		return f.References, true
	}
	return "", true
}

// MayBeNone says whether a relation along the path may be empty.
func (spec *Parent) MayBeNone(s plan.Scene, _ *cond.Expr) bool {
	path := ""
	for _, part := range strings.Split(spec.Path, ".") {
		path = project.JoinPath(path, part)
		if f, _ := s.App.Project.FieldAt(s.FromTable(spec.From), path); f != nil && f.Nullable {
			return true
		}
	}
	return false
}
