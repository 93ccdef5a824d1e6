package use

import (
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// AimLead works out the place that a screen is opened at; where a record is missing, the binding's policy decides.
func (o *Opening) AimLead(v *Verdict, m *plan.Lead, w *World, at Aim) {
	if m.Target == nil {
		*v = Verdict{State: StateGreyed, By: "broken", Reason: "The screen it led to is gone.", Part: v.Part}
		return
	}
	v.Lead = m
	to := place.Place{Screen: m.Target.ID, Mode: m.Mode, Inputs: map[string]string{}}
	if to.Mode == "" {
		to.Mode = "view"
	}
	if to.Screen == o.At.Screen && o.choosesHere(at) {
		at.here = o.At.Inputs
		to.Inputs = maps.Clone(o.At.Inputs) // what else narrows the screen stays
		if to.Inputs == nil {
			to.Inputs = map[string]string{}
		}
	}
	o.carry(&to, m, w)
	for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
		in := m.Target.Inputs[id]
		if in == nil {
			continue // the input is gone: a finding, not an error
		}
		x := Binding{Opening: o, Input: in, Bound: m.Bind[id], Expr: m.Exprs[id], World: w, At: at}
		value := x.Value()
		switch {
		case x.Later:
			v.Later = true
			if v.Pick == nil {
				v.Pick = x.Pick
			}
		case !value.Known():
			*v = Verdict{State: StateGreyed, By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, Chosen: v.Chosen}
			return
		case value.IsNull() && at.here != nil && ChoosesPoint(x.Bound):
			delete(to.Inputs, id)
		case value.IsNull() && (in.Required || x.Bound.None != ""):
			o.applyNone(v, m, x.Bound, &to)
			return
		case !value.IsNull():
			to.Inputs[id] = value.Wire()
		}
	}
	if v.Later {
		return
	}
	if in := unbound(&to, m.Target); in != nil {
		*v = Verdict{State: StateGreyed, By: "broken", Reason: "“" + m.Target.Title + "” needs to know which " + english.Lower(in.Label) + "; nothing says which.", Part: v.Part, Chosen: v.Chosen}
		return
	}
	if to.Mode == "add" {
		delete(to.Inputs, m.Target.Record)
		o.fillFrom(&to, m, w)
	}
	arrive(&to, m.Arrive)
	to.Land(m.Spot, m.Target)
	o.landOnRow(&to, m, w, at)
	o.cameFrom(&to, m.Target, at)
	v.To, v.As = &to, m.As
}

// unbound gives the first input that a screen cannot be opened without and does not get; nil for none.
func unbound(to *place.Place, target *project.Screen) *project.Input {
	var first *project.Input
	for id, in := range target.Inputs {
		lacks := in.Required && to.Inputs[id] == "" && !(id == target.Record && to.Mode == "add")
		if lacks && (first == nil || in.Pos < first.Pos) {
			first = in
		}
	}
	return first
}

// fillFrom fills in fields of a new record.
func (o *Opening) fillFrom(to *place.Place, m *plan.Lead, w *World) {
	for _, field := range slices.Sorted(maps.Keys(m.Set)) {
		e := m.Set[field]
		if e == nil {
			continue
		}
		if value := e.Root.Eval(w); value.Known() && !value.IsNull() {
			if to.Set == nil {
				to.Set = map[string]string{}
			}
			to.Set[field] = value.Wire()
		}
	}
}

// arrive sets the filters and the order that the target begins with.
func arrive(to *place.Place, a *project.Arrive) {
	if a == nil {
		return
	}
	for _, f := range project.Ordered(a.Filters) {
		to.Filters = append(to.Filters, place.Filter{Path: f.Path, Compare: f.Compare, Value: f.Value})
	}
	for _, o := range project.Ordered(a.Sort) {
		to.Sort = append(to.Sort, ask.Sort{Path: o.Path, Desc: o.Desc})
	}
}

// applyNone does what a binding says for the case that there is no record.
func (o *Opening) applyNone(v *Verdict, m *plan.Lead, b *project.Binding, to *place.Place) {
	reason := b.Reason
	if reason == "" {
		reason = "There is none."
	}
	switch b.None {
	case "list":
		if o.App.Project.Screens[b.Screen] != nil {
			v.To, v.As = &place.Place{Screen: b.Screen, Mode: "view", Inputs: map[string]string{}}, m.As
			return
		}
	case "add":
		v.To, v.As = &place.Place{Screen: to.Screen, Mode: "add", Inputs: map[string]string{}}, m.As
		o.fillFrom(v.To, m, o.World)
		return
	case "stay":
		v.Stay = reason
		return
	}
	*v = Verdict{State: StateGreyed, By: "record", Reason: reason, Part: v.Part, Chosen: v.Chosen}
}

// ChoosesPoint says whether a binding brings what was chosen: what a point stands for, or its record.
func ChoosesPoint(b *project.Binding) bool {
	_, point := b.Spec.(interface{ Chooses() bool })
	return point
}

// carry passes on what this screen was given, by name, and its filters where both list the same table.
func (o *Opening) carry(to *place.Place, m *plan.Lead, w *World) {
	for id, mine := range m.Carried {
		if v, ok := w.Inputs[mine]; ok && v.Known() && !v.IsNull() {
			to.Inputs[id] = v.Wire()
		}
	}
	if c := m.Carry; c != nil && c.All && len(o.At.Filters) > 0 && o.Plan.Screen.ListTable() == m.Target.ListTable() {
		to.Filters = append(to.Filters, o.At.Filters...)
	}
}
