package rule

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Saved is the record that this press saved on the screen, or added to a table.
type Saved struct {
	project.BindingHead
	base
	Table string `json:"table,omitempty"` // the table that the same press adds to
}

// Give gives the key of the record, once it is there.
func (spec *Saved) Give(x *use.Binding) cond.Value {
	if spec.Table != "" {
		key, done := x.World.Added[spec.Table]
		if x.Later = !done; done {
			return cond.Key(key)
		}
		return cond.UnknownBecause("nothing was added")
	}
	if x.World.Record == nil {
		return cond.UnknownBecause("nothing was saved")
	}
	return cond.Key(x.World.Record.Key)
}

// Row gives the record that was saved; one that was added is not fetched.
func (spec *Saved) Row(x *use.Binding, _, _ string) *ask.Row {
	if spec.Table != "" {
		return nil
	}
	return x.World.Record
}

// Via reads what was saved with the screen's record.
func (spec *Saved) Via(b *plan.Planner) plan.Via {
	if spec.Table != "" {
		return plan.Via{}
	}
	return plan.Via{Set: b.Plan.RecordPaths, Root: "record"}
}

// AddedTo gives the table that the record must have been added to before; "" for one that was saved.
func (spec *Saved) AddedTo() string { return spec.Table }

// Say says it: “the cabin just saved”.
func (spec *Saved) Say(w *words.Writer, _ *project.Input) string {
	if t := w.App.Project.Tables[spec.Table]; t != nil {
		return "the " + t.One + " just added"
	}
	if t := w.App.Project.Tables[w.Screen.RecordTable()]; t != nil {
		return "the " + t.One + " just saved"
	}
	return "the record just saved"
}

// Finds gives the table that it is of.
func (spec *Saved) Finds(s plan.Scene, _ *cond.Expr) (string, bool) {
	if spec.Table != "" {
		return spec.Table, true
	}
	return s.Screen.RecordTable(), true
}
