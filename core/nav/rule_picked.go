package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// Pick is a record that the user is to choose before the press goes on.
type Pick struct {
	Input string `json:"input"`
	Table string `json:"table"`
	One   string `json:"one"` // what one record is called
}

// pickedRule asks the user for a record.
type pickedRule struct {
	project.BindingHead
	ruleBase
	Table string `json:"table,omitempty"`
}

// Give gives what the user picked.
func (*pickedRule) Give(x *binding) cond.Value {
	if key := x.at.picked[x.in.ID]; key != "" {
		return cond.Key(key)
	}
	t := x.o.app.Project.Tables[x.in.Table]
	if t == nil || !x.o.rights.On(t.ID).View {
		return cond.NullValue
	}
	x.later = true
	x.pick = &Pick{Input: x.in.ID, Table: t.ID, One: t.One}
	return cond.NullValue
}

// Say says it.
func (spec *pickedRule) Say(w *sentenceWriter, _ *project.Input) string {
	if t := w.app.Project.Tables[spec.Table]; t != nil {
		return "a " + t.One + " that the user picks"
	}
	return "one that the user picks"
}

// Finds gives its table.
func (spec *pickedRule) Finds(scene, *cond.Expr) (string, bool) {
	return spec.Table, spec.Table != ""
}
