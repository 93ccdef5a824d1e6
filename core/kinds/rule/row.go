package rule

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Row is the row that was clicked.
type Row struct {
	project.BindingHead
	base
}

// Chooses says that it brings what was chosen itself.
func (*Row) Chooses() bool { return true }

// OfChosen says that what it brings comes from what was chosen.
func (*Row) OfChosen() {}

// Give gives its key.
func (*Row) Give(x *use.Binding) cond.Value {
	if x.At.Row == nil {
		return cond.UnknownBecause("no row was chosen")
	}
	return cond.Key(x.At.Row.Key)
}

// Row gives the row.
func (*Row) Row(x *use.Binding, _, _ string) *ask.Row { return x.At.Row }

// Via reads it with the rows.
func (*Row) Via(b *plan.Planner) plan.Via {
	if b.Element == nil {
		return plan.Via{}
	}
	return plan.Via{Set: b.Element.RowPaths, Root: "row"}
}

// Say says it.
func (*Row) Say(*words.Writer, *project.Input) string { return "the chosen row" }

// Finds gives the table of the rows.
func (*Row) Finds(s plan.Scene, _ *cond.Expr) (string, bool) { return s.RowTable(), true }
