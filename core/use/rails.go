package use

import (
	"maps"
	"slices"

	"ambergate/core/plan"
	"ambergate/core/project"
)

// RailView is a rail as it is drawn.
type RailView struct {
	ID       string              `json:"id"`
	Name     string              `json:"name"`
	Edge     string              `json:"edge"`
	Elements []ElementView       `json:"elements"`
	Never    []string            `json:"never,omitempty"`  // elements that never fold away
	Drawer   *project.RailDrawer `json:"drawer,omitempty"` // absent: it is fixed
}

// Stands says whether a rail stands here for this user and record: unknown is no.
func (o *Opening) Stands(r *plan.Rail) bool {
	if r.Bad {
		return false
	}
	if _, closed := o.JudgeRoles(r.Rail.Placed.Roles); closed {
		return false
	}
	if r.Rail.Placed.Tables != nil && (o.World.Record == nil || o.At.Mode == "add") {
		return false
	}
	return r.While == nil || r.While.Root.Eval(o.World).True()
}

// railViews draws the rails of the screen.
func (o *Opening) railViews() []RailView {
	var out []RailView
	for _, r := range o.Plan.Rails {
		if !o.Stands(r) {
			continue
		}
		v := RailView{ID: r.Rail.ID, Name: r.Rail.Name, Edge: r.Rail.Edge, Elements: []ElementView{}, Never: slices.Sorted(maps.Keys(r.Rail.Never)), Drawer: r.Rail.Drawer}
		for _, e := range r.Elements {
			if ev, ok := o.Draw(e); ok {
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
func (o *Opening) markCurrent(r *plan.Rail, views []ElementView) {
	leads := map[string]string{} // screen → the first button that leads to it
	for _, e := range r.Elements {
		for trigger, g := range e.Gates {
			if len(g.Cases) == 0 || plan.IsBack(trigger) {
				continue
			}
			if m := g.Cases[0].Move.Only(); m != nil && m.Target != nil && len(m.Bind) == 0 && leads[m.Target.ID] == "" {
				leads[m.Target.ID] = e.ID
			}
		}
	}
	seen := map[string]bool{}
	for s := o.Plan.Screen; s != nil && !seen[s.ID]; s = o.App.Project.Screens[s.Up] {
		seen[s.ID] = true
		for i := range views {
			if v, marks := views[i].View.(interface{ AsCurrent() any }); marks && views[i].ID == leads[s.ID] {
				views[i].View = v.AsCurrent()
				return
			}
		}
	}
}

// Pressable gives all that can be pressed on the screen: its own elements, what sets off none of
// them, and those of the rails that stand there.
func (o *Opening) Pressable() []*plan.Element {
	out := append([]*plan.Element{}, o.Plan.Elements...)
	out = append(out, o.Plan.Off...)
	for _, r := range o.Plan.Rails {
		if o.Stands(r) {
			out = append(out, r.Elements...)
		}
	}
	return out
}
