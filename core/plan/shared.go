package plan

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Via says where the record of a shared gate's input comes from on the screen that uses the gate.
type Via struct {
	Set    Paths
	Prefix string
	table  string
	Root   string // record, row, inputs, user: for live values
	Segs   []string
}

// shared compiles a shared gate for one element that uses it: what it reads of its inputs is
// fetched with the record, row or input that each is given.
func (b *Planner) shared(use *project.Gate) *Gate {
	g := b.App.Project.Gates[use.Use]
	if g == nil {
		b.Broken("gate", use.Use, cond.Problem{Message: "The shared gate is gone.", Length: 1})
		return &Gate{Gate: &project.Gate{}, Use: use, Gone: true, Broken: true}
	}
	exprs := map[string]*cond.Expr{}
	vias := map[string]Via{}
	late := map[string]Paths{}
	for _, id := range slices.Sorted(maps.Keys(use.Give)) {
		in := g.Inputs[id]
		if in == nil {
			continue
		}
		exprs[id] = RuleOf(use.Give[id]).Plan(b)
		vias[id] = b.viaOf(use.Give[id], in)
		if vias[id].Set == nil && in.Table != "" {
			late[id] = Paths{}
			vias[id] = Via{Set: late[id], table: in.Table}
		}
	}
	inner := Planner{App: b.App, Plan: b.Plan, Element: b.Element, Scope: b.App.Project.GateScope(g), via: vias, sharedGate: g}
	plan := inner.gate(g.Gate)
	maps.DeleteFunc(late, func(_ string, reads Paths) bool { return len(reads) == 0 })
	plan.within(g, use, exprs, late)
	if len(late) > 0 {
		b.Plan.Late = append(b.Plan.Late, plan)
	}
	return plan
}

// within notes on a compiled gate, and on those that its dialogs come back through, which shared gate it is.
func (g *Gate) within(shared *project.SharedGate, use *project.Gate, exprs map[string]*cond.Expr, late map[string]Paths) {
	g.Shared, g.Given, g.Exprs, g.Late = shared, use.Give, exprs, late
	if !g.Inner {
		g.Use = use
	}
	for _, c := range g.Cases {
		if c.Back != nil {
			c.Back.Inner = true
			c.Back.within(shared, use, exprs, late)
		}
	}
}

// viaOf finds where the fields of a given record are read from.
func (b *Planner) viaOf(bind *project.Binding, in *project.Input) Via {
	v := RuleOf(bind).Via(b)
	v.table = in.Table
	return v
}

// readsGiven notes what an expression of a shared gate reads of a given record.
func (b *Planner) readsGiven(p *cond.Path) {
	v := b.via[p.First()]
	segs := p.Rest()
	if v.Set == nil || len(segs) == 0 {
		return
	}
	if i := slices.Index(segs, project.EquipField); i >= 0 {
		if v.Root != "" {
			of := append(append([]string{}, v.Segs...), segs...)
			b.Plan.Tags = append(b.Plan.Tags, &cond.Path{Root: v.Root, Segs: of, Key: strings.Join(of, "."), Type: p.Type})
		}
		b.needNodeAt(v.Set, v.Prefix, v.table, segs[:i])
		return
	}
	b.NeedShownAt(v.Set, v.Prefix, v.table, strings.Join(segs, "."))
}

// Source gives where the paths of a record that a rule starts at are noted: the screen's own (""),
// the row, or that of an input.
func (b *Planner) Source(from string) (set Paths, prefix, table string) {
	switch from {
	case "", "record":
		return b.Plan.RecordPaths, "", b.Scope["record"]
	case "row":
		if b.Element == nil {
			return nil, "", ""
		}
		return b.Element.RowPaths, "", b.Scope["row"]
	}
	if b.via != nil {
		v := b.via[from]
		return v.Set, v.Prefix, v.table
	}
	if in := b.Plan.Screen.Inputs[from]; in != nil {
		return b.Plan.InputPaths[from], "", in.Table
	}
	return nil, "", ""
}

// ownInputs gives the inputs that expressions and bindings here may speak of.
func (b *Planner) ownInputs() map[string]*project.Input {
	if b.sharedGate != nil {
		return b.sharedGate.Inputs
	}
	return b.Plan.Screen.Inputs
}
