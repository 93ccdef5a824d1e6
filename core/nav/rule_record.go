package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// thisRule is the screen's own record.
type thisRule struct{ ruleBase }

func (thisRule) value(x *binding) cond.Value {
	if x.w.record == nil {
		return cond.NullValue
	}
	return cond.Key(x.w.record.Key)
}

func (thisRule) words(w *sentenceWriter, _ *project.Binding, _ *project.Input) string {
	if t := w.app.Project.Tables[w.screen.RecordTable()]; t != nil {
		return "this " + t.One
	}
	return "this record"
}

func (thisRule) table(w *sentenceWriter, _ *project.Binding) (string, bool) {
	return w.screen.RecordTable(), true
}

// clickedRule is the row that was clicked.
type clickedRule struct{ ruleBase }

func (clickedRule) value(x *binding) cond.Value {
	if x.at.row == nil {
		return cond.UnknownBecause("no row was clicked")
	}
	return cond.Key(x.at.row.Key)
}

func (clickedRule) words(*sentenceWriter, *project.Binding, *project.Input) string {
	return "the clicked row"
}

func (clickedRule) table(w *sentenceWriter, _ *project.Binding) (string, bool) {
	return w.rowTable(), true
}

// savedRule is the record that this press saved on the screen, or added to a table.
type savedRule struct{ ruleBase }

func (savedRule) value(x *binding) cond.Value {
	if x.b.Table != "" {
		key, done := x.w.added[x.b.Table]
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

func (savedRule) words(w *sentenceWriter, b *project.Binding, _ *project.Input) string {
	if t := w.app.Project.Tables[b.Table]; t != nil {
		return "the " + t.One + " just added"
	}
	if t := w.app.Project.Tables[w.screen.RecordTable()]; t != nil {
		return "the " + t.One + " just saved"
	}
	return "the record just saved"
}

func (savedRule) table(w *sentenceWriter, b *project.Binding) (string, bool) {
	if b.Table != "" {
		return b.Table, true
	}
	return w.screen.RecordTable(), true
}

// userRule is the user's own record.
type userRule struct{ ruleBase }

func (userRule) value(x *binding) cond.Value {
	if x.w.user.Record == "" {
		return cond.NullValue
	}
	return cond.Key(x.w.user.Record)
}

func (userRule) words(*sentenceWriter, *project.Binding, *project.Input) string {
	return "the user’s own record"
}

func (userRule) table(w *sentenceWriter, _ *project.Binding) (string, bool) {
	return w.app.Project.Settings.UserTable, true
}

func (userRule) mayBeNone(*sentenceWriter, *project.Binding) bool { return true }

// parentRule follows relations from the screen's record, the clicked row or a given record.
type parentRule struct{ ruleBase }

func (parentRule) needs(b *planner, bind *project.Binding) {
	set, prefix, table := b.source(bind.From)
	if set != nil {
		b.needShownAt(set, prefix, table, bind.Path)
	}
}

func (parentRule) value(x *binding) cond.Value {
	return x.w.from(x.from(), splitPath(x.b.Path), x.b.Path)
}

func (parentRule) words(w *sentenceWriter, b *project.Binding, _ *project.Input) string {
	table, of := w.fromTable(b.From), w.fromWords(b.From)
	words := w.app.pathLabels(table, b.Path)
	if words == "" {
		return "a relation that is gone"
	}
	return of + " " + words
}

func (parentRule) table(w *sentenceWriter, b *project.Binding) (string, bool) {
	if f, _ := w.app.Project.FieldAt(w.fromTable(b.From), b.Path); f != nil {
		return f.References, true
	}
	return "", true
}

func (parentRule) mayBeNone(w *sentenceWriter, b *project.Binding) bool {
	path := ""
	for _, part := range splitPath(b.Path) {
		path = join(path, part)
		if f, _ := w.app.Project.FieldAt(w.fromTable(b.From), path); f != nil && f.Nullable {
			return true
		}
	}
	return false
}

// from gives the record that a rule starts at; nil if there is none.
func (x *binding) from() *Row {
	switch x.b.From {
	case "", "record":
		return x.w.record
	case "row":
		return x.at.row
	}
	return x.w.inputRows[x.b.From]
}
