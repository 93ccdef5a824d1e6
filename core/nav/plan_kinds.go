package nav

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// What the planner asks of each kind: every spec in a document answers to one of these.

// ElementKind is what is asked of a kind of element.
type ElementKind interface {
	// Plan compiles its expressions and notes what they read.
	Plan(b *planner)
}

// EffectKind is what is asked of a kind of effect.
type EffectKind interface {
	// Plan compiles its expressions and notes what they read.
	Plan(b *planner, e *EffectPlan)
}

// MoveKind is what is asked of a kind of move.
type MoveKind interface {
	// Plan compiles its expressions, notes what it reads, and where it may lead.
	Plan(b *planner, m *MovePlan)
}

// RuleKind is what is asked of a rule by which an input gets its value.
type RuleKind interface {
	// Plan notes what is to be read and compiles its expression; nil where it has none.
	Plan(b *planner) *cond.Expr
	// Via says where the fields of a record that it brings are read from, inside a shared gate.
	Via(b *planner) via
	// Finds gives the table of the record that comes; false where that is not known.
	Finds(s scene, x *cond.Expr) (table string, known bool)
	// MayBeNone says whether there may be no record.
	MayBeNone(s scene, x *cond.Expr) bool
}

// Keeps is answered by effects that keep what was typed.
type Keeps interface{ Keeps() }

// Adds is answered by effects that add a record to a table.
type Adds interface{ AddsTo() string }

// kindOf gives a spec as what is asked of it. That each kind answers is seen to when it is added.
func kindOf[K any](spec any) K {
	k, ok := spec.(K)
	if !ok {
		panic(fmt.Sprintf("%T is no %T: it was added past core/kinds", spec, *new(K)))
	}
	return k
}

func ruleOf(b *project.Binding) RuleKind { return kindOf[RuleKind](b.Spec) }

// BindingTable gives the table of the record that a binding of a way brings, and whether it may be
// missing; known is false where that shows only when it is pressed.
func (a *App) BindingTable(w Way, b *project.Binding, expr *cond.Expr) (table string, known, mayBeNone bool) {
	s, rule := w.scene(a), ruleOf(b)
	table, known = rule.Finds(s, expr)
	return table, known, rule.MayBeNone(s, expr)
}

// exprs compiles what a move works out, by name.
func (b *planner) exprs(where string, texts map[string]string) map[string]*cond.Expr {
	out := map[string]*cond.Expr{}
	for _, name := range slices.Sorted(maps.Keys(texts)) {
		out[name] = b.expression(where, texts[name])
	}
	return out
}

// bindings compiles what a move brings.
func (b *planner) bindings(bind map[string]*project.Binding) map[string]*cond.Expr {
	out := map[string]*cond.Expr{}
	for _, input := range slices.Sorted(maps.Keys(bind)) {
		if e := ruleOf(bind[input]).Plan(b); e != nil {
			out[input] = e
		}
	}
	return out
}

// lead compiles a screen that a move may lead to, with what is brought there.
func (b *planner) lead(head *project.MoveHead, l *project.Lead) *Lead {
	out := &Lead{Lead: l, Mode: head.Mode, As: head.As, Target: b.app.Project.Screens[l.Target]}
	out.Exprs = b.bindings(l.Bind)
	out.Set = b.exprs("filled in", l.Set)
	if l.SpotRow != nil {
		out.Row = ruleOf(l.SpotRow).Plan(b)
	}
	out.Carried = carried(b.ownInputs(), out)
	return out
}

// carried gives what a lead passes on by name: input of the target → input of this screen, or of
// the shared gate.
func carried(own map[string]*project.Input, l *Lead) map[string]string {
	out := map[string]string{}
	if l.Carry == nil || l.Target == nil {
		return out
	}
	for id, in := range l.Target.Inputs {
		if l.Bind[id] != nil || !l.Carry.All && !l.Carry.Names[id] || id == l.Target.Record && l.Mode == "add" {
			continue
		}
		for _, mine := range project.Ordered(own) {
			if mine.Alias == in.Alias && mine.Type == in.Type && mine.Table == in.Table {
				out[id] = mine.ID
			}
		}
	}
	return out
}
