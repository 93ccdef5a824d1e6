package rule

import (
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Picked asks the user for a record.
type Picked struct {
	project.BindingHead
	base
	Table string `json:"table,omitempty"`
}

// Give gives what the user picked.
func (*Picked) Give(x *use.Binding) cond.Value {
	if key := x.At.Picked[x.Input.ID]; key != "" {
		return cond.Key(key)
	}
	t := x.Opening.App.Project.Tables[x.Input.Table]
	if t == nil || !x.Opening.Rights.On(t.ID).View {
		return cond.NullValue
	}
	x.Later = true
	x.Pick = &use.Pick{Input: x.Input.ID, Table: t.ID, One: t.One}
	return cond.NullValue
}

// Say says it.
func (spec *Picked) Say(w *words.Writer, _ *project.Input) string {
	if t := w.App.Project.Tables[spec.Table]; t != nil {
		return "a " + t.One + " that the user picks"
	}
	return "one that the user picks"
}

// Finds gives its table.
func (spec *Picked) Finds(plan.Scene, *cond.Expr) (string, bool) {
	return spec.Table, spec.Table != ""
}
