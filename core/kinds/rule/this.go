package rule

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// This is the screen's own record.
type This struct {
	project.BindingHead
	base
}

// Give gives its key.
func (*This) Give(x *use.Binding) cond.Value {
	if x.World.Record == nil {
		return cond.NullValue
	}
	return cond.Key(x.World.Record.Key)
}

// Row gives the record.
func (*This) Row(x *use.Binding, _, _ string) *ask.Row { return x.World.Record }

// Via reads it with the screen's record.
func (*This) Via(b *plan.Planner) plan.Via { return plan.Via{Set: b.Plan.RecordPaths, Root: "record"} }

// Say says it: “this cabin”.
func (*This) Say(w *words.Writer, _ *project.Input) string { return w.ThisRecord() }

// Finds gives the table of the screen's record.
func (*This) Finds(s plan.Scene, _ *cond.Expr) (string, bool) { return s.Screen.RecordTable(), true }
