package nav

import (
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// RailPlan is a rail as it stands on one screen: compiled with that screen's names.
type RailPlan struct {
	Rail     *project.Rail
	Elements []*ElementPlan
	While    *cond.Expr // on the screen's record; nil for always
	bad      bool       // the condition cannot be read: it stands nowhere
}

// RailView is a rail as it is drawn.
type RailView struct {
	ID       string              `json:"id"`
	Name     string              `json:"name"`
	Edge     string              `json:"edge"`
	Elements []ElementView       `json:"elements"`
	Never    []string            `json:"never,omitempty"`  // elements that never fold away
	Drawer   *project.RailDrawer `json:"drawer,omitempty"` // absent: it is fixed
}

// rails compiles the rails that stand on the screen, with its names.
func (b *planner) rails() {
	for _, r := range project.Ordered(b.app.Project.Rails) {
		if !r.On(b.plan.Screen) {
			continue
		}
		plan := &RailPlan{Rail: r}
		b.element, b.rail = nil, r
		b.scope = b.app.Project.Scope(b.plan.Screen, "")
		if while := r.Placed.Tables[b.plan.Screen.RecordTable()]; while != "" {
			plan.While = b.condition("placement of “"+r.Name+"”", while)
			plan.bad = plan.While == nil
		}
		for _, e := range project.Ordered(r.Elements) {
			plan.Elements = append(plan.Elements, b.planElement(e))
		}
		b.plan.Rails = append(b.plan.Rails, plan)
	}
	b.element, b.rail = nil, nil
}

// stands says whether a rail stands here for this user and record: unknown is no.
func (o *Opening) stands(r *RailPlan) bool {
	if r.bad {
		return false
	}
	if _, closed := o.judgeRoles(r.Rail.Placed.Roles); closed {
		return false
	}
	if r.Rail.Placed.Tables != nil && (o.world.record == nil || o.place.Mode == "add") {
		return false
	}
	return r.While == nil || r.While.Root.Eval(o.world).True()
}

// railViews draws the rails of the screen.
func (o *Opening) railViews() []RailView {
	var out []RailView
	for _, r := range o.plan.Rails {
		if !o.stands(r) {
			continue
		}
		v := RailView{ID: r.Rail.ID, Name: r.Rail.Name, Edge: r.Rail.Edge, Elements: []ElementView{}, Never: slices.Sorted(maps.Keys(r.Rail.Never)), Drawer: r.Rail.Drawer}
		for _, e := range r.Elements {
			if ev, ok := o.element(e); ok {
				v.Elements = append(v.Elements, ev)
			}
		}
		o.markCurrent(r, v.Elements)
		if len(v.Elements) > 0 {
			out = append(out, v)
		}
	}
	return out
}

// markCurrent marks the button that leads to this screen; else to the nearest one up from it. One
// that brings something is not meant by the screen alone, so it is none of these.
func (o *Opening) markCurrent(r *RailPlan, views []ElementView) {
	leads := map[string]string{} // screen → the first button that leads to it
	for _, e := range r.Elements {
		for trigger, g := range e.Gates {
			if len(g.Cases) == 0 || isBack(trigger) {
				continue
			}
			if m := g.Cases[0].Move.Only(); m != nil && m.Target != nil && len(m.Bind) == 0 && leads[m.Target.ID] == "" {
				leads[m.Target.ID] = e.ID
			}
		}
	}
	seen := map[string]bool{}
	for s := o.plan.Screen; s != nil && !seen[s.ID]; s = o.app.Project.Screens[s.Up] {
		seen[s.ID] = true
		for i := range views {
			if v, marks := views[i].View.(interface{ MarkCurrent() }); marks && views[i].ID == leads[s.ID] {
				v.MarkCurrent()
				return
			}
		}
	}
}

// elements gives all that can be pressed on the screen: its own elements, what sets off none of
// them, and those of the rails that stand there.
func (o *Opening) elements() []*ElementPlan {
	out := append([]*ElementPlan{}, o.plan.Elements...)
	out = append(out, o.plan.Off...)
	for _, r := range o.plan.Rails {
		if o.stands(r) {
			out = append(out, r.Elements...)
		}
	}
	return out
}
