package nav

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// via says where the record of a shared gate's input comes from on the screen that uses the gate.
type via struct {
	set    pathSet
	prefix string
	table  string
	root   string // record, row, inputs, user: for live values
	segs   []string
}

// shared compiles a shared gate for one element that uses it: what it reads of its inputs is
// fetched with the record, row or input that each is given.
func (b *planner) shared(use *project.Gate) *GatePlan {
	g := b.app.Project.Gates[use.Use]
	if g == nil {
		b.broken("gate", use.Use, cond.Problem{Message: "The shared gate is gone.", Length: 1})
		return &GatePlan{Gate: &project.Gate{}, Use: use, Gone: true, Broken: true}
	}
	exprs := map[string]*cond.Expr{}
	vias := map[string]via{}
	late := map[string]pathSet{}
	for _, id := range slices.Sorted(maps.Keys(use.Give)) {
		in := g.Inputs[id]
		if in == nil {
			continue
		}
		exprs[id] = ruleOf(use.Give[id]).Plan(b)
		vias[id] = b.viaOf(use.Give[id], in)
		if vias[id].set == nil && in.Table != "" {
			late[id] = pathSet{}
			vias[id] = via{set: late[id], table: in.Table}
		}
	}
	inner := planner{app: b.app, plan: b.plan, element: b.element, scope: b.app.Project.GateScope(g), via: vias, sharedGate: g}
	plan := inner.gate(g.Gate)
	maps.DeleteFunc(late, func(_ string, reads pathSet) bool { return len(reads) == 0 })
	plan.within(g, use, exprs, late)
	if len(late) > 0 {
		b.plan.late = append(b.plan.late, plan)
	}
	return plan
}

// within notes on a compiled gate, and on those that its dialogs come back through, which shared gate it is.
func (g *GatePlan) within(shared *project.SharedGate, use *project.Gate, exprs map[string]*cond.Expr, late map[string]pathSet) {
	g.Shared, g.Given, g.Exprs, g.Late = shared, use.Give, exprs, late
	if !g.inner {
		g.Use = use
	}
	for _, c := range g.Cases {
		if c.Back != nil {
			c.Back.inner = true
			c.Back.within(shared, use, exprs, late)
		}
	}
}

// viaOf finds where the fields of a given record are read from.
func (b *planner) viaOf(bind *project.Binding, in *project.Input) via {
	v := ruleOf(bind).Via(b)
	v.table = in.Table
	return v
}

// readsGiven notes what an expression of a shared gate reads of a given record.
func (b *planner) readsGiven(p *cond.Path) {
	v := b.via[p.First()]
	segs := p.Rest()
	if v.set == nil || len(segs) == 0 {
		return
	}
	if i := slices.Index(segs, project.EquipField); i >= 0 {
		if v.root != "" {
			of := append(append([]string{}, v.segs...), segs...)
			b.plan.tags = append(b.plan.tags, &cond.Path{Root: v.root, Segs: of, Key: strings.Join(of, "."), Type: p.Type})
		}
		b.needNodeAt(v.set, v.prefix, v.table, segs[:i])
		return
	}
	b.needShownAt(v.set, v.prefix, v.table, strings.Join(segs, "."))
}

// source gives where the paths of a record that a rule starts at are noted: the screen's own (""),
// the row, or that of an input.
func (b *planner) source(from string) (set pathSet, prefix, table string) {
	switch from {
	case "", "record":
		return b.plan.record, "", b.scope["record"]
	case "row":
		if b.element == nil {
			return nil, "", ""
		}
		return b.element.row, "", b.scope["row"]
	}
	if b.via != nil {
		v := b.via[from]
		return v.set, v.prefix, v.table
	}
	if in := b.plan.Screen.Inputs[from]; in != nil {
		return b.plan.inputs[from], "", in.Table
	}
	return nil, "", ""
}

// ownInputs gives the inputs that expressions and bindings here may speak of.
func (b *planner) ownInputs() map[string]*project.Input {
	if b.sharedGate != nil {
		return b.sharedGate.Inputs
	}
	return b.plan.Screen.Inputs
}

// said gives uses with the words of the elements that they are of.
func (a *App) said(uses []Use) []Use {
	out := make([]Use, len(uses))
	for i, u := range uses {
		if e := a.element(u.Screen, u.Element); e != nil {
			s := a.Project.Screens[u.Screen]
			u.Words = "“" + a.ElementWords(s, e) + "” on “" + s.Title + "”"
		}
		out[i] = u
	}
	return out
}

// UsesOf gives the ways through a shared gate, in a stable order.
func (a *App) UsesOf(gate string) []Use {
	out := []Use{}
	for _, id := range slices.Sorted(maps.Keys(a.Screens)) {
		of := a.Screens[id]
		for _, w := range of.Ways() {
			if w.Gate.Shared != nil && w.Gate.Shared.ID == gate && w.Rail == nil && !w.Gate.inner {
				out = append(out, Use{Screen: id, Element: w.Element.ID, Words: "“" + a.ElementWords(of.Screen, w.Element) + "” on “" + of.Screen.Title + "”"})
			}
		}
	}
	for _, r := range project.Ordered(a.Project.Rails) {
		for _, e := range project.Ordered(r.Elements) {
			for _, g := range project.AllGates(e.Spec.Gates()) {
				if g != nil && g.Use == gate {
					out = append(out, Use{Screen: r.ID, Element: e.ID, Words: "a button on the rail “" + r.Name + "”"})
				}
			}
		}
	}
	return out
}
