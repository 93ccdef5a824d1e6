package plan

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/project"
)

// What fields of a record get, of one that is added and of one that is changed.

// Assigns compiles what fields of a record are to get; what does not fit is a finding.
func (b *Planner) Assigns(e *Effect, t *project.Table, fields map[string]string) {
	for _, field := range slices.Sorted(maps.Keys(fields)) {
		f := t.Fields[field]
		if f == nil {
			b.Broken("field", field, cond.Problem{Message: "A field that it sets is gone.", Length: 1})
			continue
		}
		x := b.Expression("new value", fields[field])
		if x == nil {
			continue
		}
		if want := f.TypeOf(); !Fits(want, x.Root.Type) {
			b.Broken("new value", fields[field], cond.Problem{Message: "“" + f.Label + "” is " + compile.KindWords(want.Kind) + "; this is " + compile.KindWords(x.Root.Type.Kind) + ".", Length: max(1, len([]rune(fields[field])))})
			continue
		}
		e.Exprs[field] = x
	}
}

// addedBefore notes where a move leads to a record that its own case never adds.
func (b *Planner) addedBefore(c *Case) {
	for _, m := range c.Move.Leads() {
		for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
			if saved, ok := m.Bind[id].Spec.(interface{ AddedTo() string }); ok && saved.AddedTo() != "" && !c.adds(saved.AddedTo()) {
				b.Broken("record", saved.AddedTo(), cond.Problem{Message: "It leads to a record just added, but adds none.", Length: 1})
			}
		}
	}
}

// Variable finds one that the place being compiled can speak of; nil when it cannot.
func (b *Planner) Variable(id string) *project.Variable {
	v := b.App.Project.Variables[id]
	if v == nil || v.Screen != "" && (b.sharedGate != nil || v.Screen != b.Plan.Screen.ID) {
		return nil
	}
	return v
}

// Fits says whether a value of one type can be taken as another: numbers of any kind are one kind
// here, and a record written by its key is one of any table.
func Fits(want, got cond.Type) bool {
	number := func(t cond.Type) bool {
		return t.Kind == cond.Whole || t.Kind == cond.Number || t.Kind == cond.Decimal
	}
	if number(want) && number(got) || got.Kind == cond.Null {
		return true
	}
	return want.Kind == got.Kind && (want.Table == got.Table || want.Kind == cond.Record && got.Table == "")
}

// Picture notes one that is gone.
func (b *Planner) Picture(id string) {
	if id != "" && b.App.Project.Pictures[id] == nil {
		b.Broken("picture", id, cond.Problem{Message: "The picture it showed is gone.", Length: 1})
	}
}

// Colour notes one of the builder's own that is gone.
func (b *Planner) Colour(id string) {
	if !b.App.Project.Settings.HasColour(id) {
		b.Broken("colour", id, cond.Problem{Message: "The colour it had is gone.", Length: 1})
	}
}

// What the planner asks of each kind: every spec in a document answers to one of these.

// ElementKind is what is asked of a kind of element.
type ElementKind interface {
	// Plan compiles its expressions and notes what they read.
	Plan(b *Planner)
}

// EffectKind is what is asked of a kind of effect.
type EffectKind interface {
	// Plan compiles its expressions and notes what they read.
	Plan(b *Planner, e *Effect)
}

// MoveKind is what is asked of a kind of move.
type MoveKind interface {
	// Plan compiles its expressions, notes what it reads, and where it may lead.
	Plan(b *Planner, m *Move)
}

// RuleKind is what is asked of a rule by which an input gets its value.
type RuleKind interface {
	// Plan notes what is to be read and compiles its expression; nil where it has none.
	Plan(b *Planner) *cond.Expr
	// Via says where the fields of a record that it brings are read from, inside a shared gate.
	Via(b *Planner) Via
	// Finds gives the table of the record that comes; false where that is not known.
	Finds(s Scene, x *cond.Expr) (table string, known bool)
	// MayBeNone says whether there may be no record.
	MayBeNone(s Scene, x *cond.Expr) bool
}

// Keeper is answered by effects that keep what was typed.
type Keeper interface{ Keeps() }

// Adder is answered by effects that add a record to a table.
type Adder interface{ AddsTo() string }

// Readied is answered by elements of which much is the same each time they are drawn.
type Readied interface {
	// Ready works that out, once all else is planned.
	Ready(e *Element) any
}

// KindOf gives a spec as what is asked of it. That each kind answers is seen to when it is added.
func KindOf[K any](spec any) K {
	k, ok := spec.(K)
	if !ok {
		panic(fmt.Sprintf("%T is no %T: it was added past core/kinds", spec, *new(K)))
	}
	return k
}

// RuleOf gives what the kind of a binding's rule does.
func RuleOf(b *project.Binding) RuleKind { return KindOf[RuleKind](b.Spec) }

// BindingTable gives the table of the record that a binding of a way brings, and whether it may be
// missing; known is false where that shows only when it is pressed.
func (a *App) BindingTable(w Way, b *project.Binding, expr *cond.Expr) (table string, known, mayBeNone bool) {
	s, rule := w.Scene(a), RuleOf(b)
	table, known = rule.Finds(s, expr)
	return table, known, rule.MayBeNone(s, expr)
}

// Exprs compiles what a move works out, by name.
func (b *Planner) Exprs(where string, texts map[string]string) map[string]*cond.Expr {
	out := map[string]*cond.Expr{}
	for _, name := range slices.Sorted(maps.Keys(texts)) {
		out[name] = b.Expression(where, texts[name])
	}
	return out
}

// bindings compiles what a move brings.
func (b *Planner) bindings(bind map[string]*project.Binding) map[string]*cond.Expr {
	out := map[string]*cond.Expr{}
	for _, input := range slices.Sorted(maps.Keys(bind)) {
		if e := RuleOf(bind[input]).Plan(b); e != nil {
			out[input] = e
		}
	}
	return out
}

// Lead compiles a screen that a move may lead to, with what is brought there.
func (b *Planner) Lead(head *project.MoveHead, l *project.Lead) *Lead {
	out := &Lead{Lead: l, Mode: head.Mode, As: head.As, Target: TargetOf(b.App.Project.Screens[l.Target])}
	out.Exprs = b.bindings(l.Bind)
	out.Set = b.Exprs("filled in", l.Set)
	if l.SpotRow != nil {
		out.Row = RuleOf(l.SpotRow).Plan(b)
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
