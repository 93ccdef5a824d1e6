package nav

import (
	"maps"
	"slices"

	"ambergate/core/project"
)

// aimLead works out the place that a screen is opened at; where a record is missing, the binding's policy decides.
func (o *Opening) aimLead(v *Verdict, m *Lead, w *world, at aim) {
	if m.Target == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "The screen it led to is gone.", Part: v.Part}
		return
	}
	v.lead = m
	to := Place{Screen: m.Target.ID, Mode: m.Mode, Inputs: map[string]string{}}
	if to.Mode == "" {
		to.Mode = "view"
	}
	if to.Screen == o.place.Screen && at.point != "" {
		at.here = o.place.Inputs
		to.Inputs = maps.Clone(o.place.Inputs) // what else narrows the screen stays
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
		x := binding{o: o, in: in, b: m.Bind[id], expr: m.Exprs[id], w: w, at: at}
		value := x.value()
		switch {
		case x.later:
			v.later = true
			if v.pick == nil {
				v.pick = x.pick
			}
		case !value.Known():
			*v = Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, chosen: v.chosen}
			return
		case value.IsNull() && at.here != nil && choosesPoint(x.b):
			delete(to.Inputs, id)
		case value.IsNull() && (in.Required || x.b.None != ""):
			o.applyNone(v, m, x.b, &to)
			return
		case !value.IsNull():
			to.Inputs[id] = value.Wire()
		}
	}
	if v.later {
		return
	}
	if to.Mode == "add" {
		delete(to.Inputs, m.Target.Record)
		o.fillFrom(&to, m, w)
	}
	arrive(&to, m.Arrive)
	to.land(m.Spot, m.Target)
	o.landOnRow(&to, m, w, at)
	o.cameFrom(&to, m.Target, at)
	v.To, v.As = &to, m.As
}

// fillFrom fills in fields of a new record.
func (o *Opening) fillFrom(to *Place, m *Lead, w *world) {
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
func arrive(to *Place, a *project.Arrive) {
	if a == nil {
		return
	}
	for _, f := range project.Ordered(a.Filters) {
		to.Filters = append(to.Filters, Filter{Path: f.Path, Compare: f.Compare, Value: f.Value})
	}
	for _, o := range project.Ordered(a.Sort) {
		to.Sort = append(to.Sort, Sort{Path: o.Path, Desc: o.Desc})
	}
}

// applyNone does what a binding says for the case that there is no record.
func (o *Opening) applyNone(v *Verdict, m *Lead, b *project.Binding, to *Place) {
	reason := b.Reason
	if reason == "" {
		reason = "There is none."
	}
	switch b.None {
	case "list":
		if o.app.Project.Screens[b.Screen] != nil {
			v.To, v.As = &Place{Screen: b.Screen, Mode: "view", Inputs: map[string]string{}}, m.As
			return
		}
	case "add":
		v.To, v.As = &Place{Screen: to.Screen, Mode: "add", Inputs: map[string]string{}}, m.As
		o.fillFrom(v.To, m, o.world)
		return
	case "stay":
		v.stay = reason
		return
	}
	*v = Verdict{State: "greyed", By: "record", Reason: reason, Part: v.Part, chosen: v.chosen}
}

// choosesPoint says whether a binding brings what the chosen point stands for.
func choosesPoint(b *project.Binding) bool {
	_, point := b.Spec.(interface{ Chooses() bool })
	return point
}

// carry passes on what this screen was given, by name, and its filters where both list the same table.
func (o *Opening) carry(to *Place, m *Lead, w *world) {
	for id, mine := range m.Carried {
		if v, ok := w.inputs[mine]; ok && v.Known() && !v.IsNull() {
			to.Inputs[id] = v.Wire()
		}
	}
	if c := m.Carry; c != nil && c.All && len(o.place.Filters) > 0 && o.plan.Screen.ListTable() == m.Target.ListTable() {
		to.Filters = append(to.Filters, o.place.Filters...)
	}
}
