package nav

import (
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// thisRule is the screen's own record.
type thisRule struct {
	project.BindingHead
	ruleBase
}

// Give gives its key.
func (*thisRule) Give(x *binding) cond.Value {
	if x.w.record == nil {
		return cond.NullValue
	}
	return cond.Key(x.w.record.Key)
}

// Row gives the record.
func (*thisRule) Row(x *binding, _, _ string) *Row { return x.w.record }

// Via reads it with the screen's record.
func (*thisRule) Via(b *planner) via { return via{set: b.plan.record, root: "record"} }

// Say says it: “this cabin”.
func (*thisRule) Say(w *sentenceWriter, _ *project.Input) string { return w.thisRecord() }

// Finds gives the table of the screen's record.
func (*thisRule) Finds(s scene, _ *cond.Expr) (string, bool) { return s.screen.RecordTable(), true }

// clickedRule is the row that was clicked.
type clickedRule struct {
	project.BindingHead
	ruleBase
}

// Give gives its key.
func (*clickedRule) Give(x *binding) cond.Value {
	if x.at.row == nil {
		return cond.UnknownBecause("no row was clicked")
	}
	return cond.Key(x.at.row.Key)
}

// Row gives the row.
func (*clickedRule) Row(x *binding, _, _ string) *Row { return x.at.row }

// Via reads it with the rows.
func (*clickedRule) Via(b *planner) via {
	if b.element == nil {
		return via{}
	}
	return via{set: b.element.row, root: "row"}
}

// Say says it.
func (*clickedRule) Say(*sentenceWriter, *project.Input) string { return "the clicked row" }

// Finds gives the table of the rows.
func (*clickedRule) Finds(s scene, _ *cond.Expr) (string, bool) { return s.rowTable(), true }

// savedRule is the record that this press saved on the screen, or added to a table.
type savedRule struct {
	project.BindingHead
	ruleBase
	Table string `json:"table,omitempty"` // the table that the same press adds to
}

// Give gives the key of the record, once it is there.
func (spec *savedRule) Give(x *binding) cond.Value {
	if spec.Table != "" {
		key, done := x.w.added[spec.Table]
		if x.later = !done; done {
			return cond.Key(key)
		}
		return cond.UnknownBecause("nothing was added")
	}
	if x.w.record == nil {
		return cond.UnknownBecause("nothing was saved")
	}
	return cond.Key(x.w.record.Key)
}

// Row gives the record that was saved; one that was added is not fetched.
func (spec *savedRule) Row(x *binding, _, _ string) *Row {
	if spec.Table != "" {
		return nil
	}
	return x.w.record
}

// Via reads what was saved with the screen's record.
func (spec *savedRule) Via(b *planner) via {
	if spec.Table != "" {
		return via{}
	}
	return via{set: b.plan.record, root: "record"}
}

// AddedTo gives the table that the record must have been added to before; "" for one that was saved.
func (spec *savedRule) AddedTo() string { return spec.Table }

// Say says it: “the cabin just saved”.
func (spec *savedRule) Say(w *sentenceWriter, _ *project.Input) string {
	if t := w.app.Project.Tables[spec.Table]; t != nil {
		return "the " + t.One + " just added"
	}
	if t := w.app.Project.Tables[w.screen.RecordTable()]; t != nil {
		return "the " + t.One + " just saved"
	}
	return "the record just saved"
}

// Finds gives the table that it is of.
func (spec *savedRule) Finds(s scene, _ *cond.Expr) (string, bool) {
	if spec.Table != "" {
		return spec.Table, true
	}
	return s.screen.RecordTable(), true
}

// userRule is the user's own record.
type userRule struct {
	project.BindingHead
	ruleBase
}

// Give gives its key.
func (*userRule) Give(x *binding) cond.Value {
	if x.w.user.Record == "" {
		return cond.NullValue
	}
	return cond.Key(x.w.user.Record)
}

// Row gives the record.
func (*userRule) Row(x *binding, _, _ string) *Row { return x.w.userRow }

// Via reads it with the user's record.
func (*userRule) Via(b *planner) via {
	return via{set: b.plan.user, root: "user", segs: []string{"record"}}
}

// Say says it.
func (*userRule) Say(*sentenceWriter, *project.Input) string { return "the user’s own record" }

// Finds gives the table that users have their records in.
func (*userRule) Finds(s scene, _ *cond.Expr) (string, bool) {
	return s.app.Project.Settings.UserTable, true
}

// MayBeNone says that a user may have none.
func (*userRule) MayBeNone(scene, *cond.Expr) bool { return true }

// parentRule follows relations from the screen's record, the clicked row or a given record.
type parentRule struct {
	project.BindingHead
	ruleBase
	Path string `json:"path,omitempty"` // relation ids joined by dots, from the record
	From string `json:"from,omitempty"` // record (default), row, or the id of an input that is a record
}

// Plan notes the relations.
func (spec *parentRule) Plan(b *planner) *cond.Expr {
	set, prefix, table := b.source(spec.From)
	if set != nil {
		b.needShownAt(set, prefix, table, spec.Path)
	}
	return nil
}

// Give gives the key that the relation holds.
func (spec *parentRule) Give(x *binding) cond.Value {
	return x.w.from(x.from(spec.From), strings.Split(spec.Path, "."), spec.Path)
}

// Row sees the record through the one that it was fetched with.
func (spec *parentRule) Row(x *binding, key, table string) *Row {
	return x.from(spec.From).under(spec.Path, key, table)
}

// Via reads it through the record that the relation starts at.
func (spec *parentRule) Via(b *planner) via {
	set, prefix, _ := b.source(spec.From)
	v := via{set: set, prefix: project.JoinPath(prefix, spec.Path), root: "record", segs: strings.Split(spec.Path, ".")}
	if spec.From != "" && spec.From != "record" {
		v.root = ""
	}
	return v
}

// Say says it: “its lift”.
func (spec *parentRule) Say(w *sentenceWriter, _ *project.Input) string {
	table, of := w.fromTable(spec.From), w.fromWords(spec.From)
	words := w.app.pathLabels(table, spec.Path)
	if words == "" {
		return "a relation that is gone"
	}
	return of + " " + words
}

// Finds gives the table that the relation leads to.
func (spec *parentRule) Finds(s scene, _ *cond.Expr) (string, bool) {
	if f, _ := s.app.Project.FieldAt(s.fromTable(spec.From), spec.Path); f != nil {
		return f.References, true
	}
	return "", true
}

// MayBeNone says whether a relation along the path may be empty.
func (spec *parentRule) MayBeNone(s scene, _ *cond.Expr) bool {
	path := ""
	for _, part := range strings.Split(spec.Path, ".") {
		path = project.JoinPath(path, part)
		if f, _ := s.app.Project.FieldAt(s.fromTable(spec.From), path); f != nil && f.Nullable {
			return true
		}
	}
	return false
}
