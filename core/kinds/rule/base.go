package rule

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// base is what most rules have in common: nothing to know, nothing to read beforehand, always a record.
type base struct{}

// Validate accepts it as it is.
func (base) Validate() error { return nil }

// Plan notes nothing.
func (base) Plan(*plan.Planner) *cond.Expr { return nil }

// Via knows of no record.
func (base) Via(*plan.Planner) plan.Via { return plan.Via{} }

// Finds does not know the table.
func (base) Finds(plan.Scene, *cond.Expr) (string, bool) { return "", false }

// MayBeNone says that there always is one.
func (base) MayBeNone(plan.Scene, *cond.Expr) bool { return false }

// Row gives none.
func (base) Row(*use.Binding, string, string) *ask.Row { return nil }
