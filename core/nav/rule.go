package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// binding is one input of a target, or of a shared gate, that is to get its value.
type binding struct {
	o    *Opening
	in   *project.Input
	b    *project.Binding
	expr *cond.Expr // of an expression
	w    *world
	at   aim

	later bool  // the value is only known when it is pressed
	pick  *Pick // the user is to be asked for it
}

// GivingKind is what the users' side asks of a rule.
type GivingKind interface {
	// Give gives the value; null means that there is none.
	Give(x *binding) cond.Value
	// Row gives the record that it brings, as far as it was fetched; nil if it was not.
	Row(x *binding, key, table string) *Row
}

func (x *binding) value() cond.Value { return kindOf[GivingKind](x.b.Spec).Give(x) }

// from gives the record that a rule starts at; nil if there is none.
func (x *binding) from(from string) *Row {
	switch from {
	case "", "record":
		return x.w.record
	case "row":
		return x.at.row
	}
	return x.w.inputRows[from]
}

// ruleBase is what most rules have in common: nothing to know, nothing to read beforehand, always a record.
type ruleBase struct{}

// Validate accepts it as it is.
func (ruleBase) Validate() error { return nil }

// Plan notes nothing.
func (ruleBase) Plan(*planner) *cond.Expr { return nil }

// Via knows of no record.
func (ruleBase) Via(*planner) via { return via{} }

// Finds does not know the table.
func (ruleBase) Finds(scene, *cond.Expr) (string, bool) { return "", false }

// MayBeNone says that there always is one.
func (ruleBase) MayBeNone(scene, *cond.Expr) bool { return false }

// Row gives none.
func (ruleBase) Row(*binding, string, string) *Row { return nil }
