package use

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Binding is one input of a target, or of a shared gate, that is to get its value.
type Binding struct {
	Opening *Opening
	Input   *project.Input
	Bound   *project.Binding
	Expr    *cond.Expr // of an expression
	World   *World
	At      Aim

	Later bool  // the value is only known when it is pressed
	Pick  *Pick // the user is to be asked for it
}

// RuleKind is what the users' side asks of a rule.
type RuleKind interface {
	// Give gives the value; null means that there is none.
	Give(x *Binding) cond.Value
	// Row gives the record that it brings, as far as it was fetched; nil if it was not.
	Row(x *Binding, key, table string) *ask.Row
}

// Value gives what the binding brings, by its rule; unknown or empty where there is nothing.
func (x *Binding) Value() cond.Value { return plan.KindOf[RuleKind](x.Bound.Spec).Give(x) }

// From gives the record that a rule starts at; nil if there is none.
func (x *Binding) From(from string) *ask.Row {
	switch from {
	case "", "record":
		return x.World.Record
	case "row":
		return x.At.Row
	}
	return x.World.InputRows[from]
}
