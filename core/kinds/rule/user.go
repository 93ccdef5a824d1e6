package rule

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// User is the user's own record.
type User struct {
	project.BindingHead
	base
}

// Give gives its key.
func (*User) Give(x *use.Binding) cond.Value {
	if x.World.User.Record == "" {
		return cond.NullValue
	}
	return cond.Key(x.World.User.Record)
}

// Row gives the record.
func (*User) Row(x *use.Binding, _, _ string) *ask.Row { return x.World.UserRow }

// Via reads it with the user's record.
func (*User) Via(b *plan.Planner) plan.Via {
	return plan.Via{Set: b.Plan.UserPaths, Root: "user", Segs: []string{"record"}}
}

// Say says it.
func (*User) Say(*words.Writer, *project.Input) string { return "the user’s own record" }

// Plan notes that where it leads hangs on who the user is.
func (*User) Plan(b *plan.Planner) *cond.Expr {
	b.Plan.AsksUser = true
	return nil
}

// Finds gives the table that users have their records in.
func (*User) Finds(s plan.Scene, _ *cond.Expr) (string, bool) {
	return s.App.Project.Settings.UserTable, true
}

// MayBeNone says that a user may have none.
func (*User) MayBeNone(plan.Scene, *cond.Expr) bool { return true }
