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
	again := o.chosenAgain(m, w, at)
	if in := o.carry(&to, m, w); in != nil {
		*v = Verdict{State: StateGreyed, By: "record", Reason: "Several of “" + in.Label + "” are chosen, and it goes on with one.", Part: v.Part, Chosen: v.Chosen}
		return
	}
	for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
		in := m.Target.Inputs[id]
		if in == nil {
			continue // the input is gone: a finding, not an error
		}
		if wire := o.passedOn(in, m.Bind[id], w); wire != "" {
			to.Inputs[id] = wire
			continue
		}
		if again && fromChosen(m.Bind[id]) {
			delete(to.Inputs, id)
			continue
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
		case !value.IsNull() && at.Also && in.Several && at.here != nil && ChoosesPoint(x.Bound):
			if to.Inputs[id] = place.Toggled(at.here[id], value.Wire()); to.Inputs[id] == "" {
				delete(to.Inputs, id)
			}
		case !value.IsNull():
			to.Inputs[id] = place.Written(in, value)
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
	to.Land(m.Spot, o.App.Behind(m))
	o.landOnRow(&to, m, w, at)
	o.cameFrom(&to, m.Target, at)
	v.To, v.As = &to, m.As
}

// unbound gives the first input that a screen cannot be opened without and does not get; nil for none.
func unbound(to *place.Place, target *plan.Target) *project.Input {
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

// passedOn gives the several values of an input of this screen that go on, as they are, into one that takes several.
func (o *Opening) passedOn(in *project.Input, b *project.Binding, w *World) string {
	spec, is := b.Spec.(interface{ PassesOn() string })
	if !is || !in.Several || w.given {
		return ""
	}
	if own := o.Plan.Screen.Inputs[spec.PassesOn()]; own != nil && len(o.severalOf(own)) > 0 {
		return o.At.Inputs[own.ID]
	}
	return ""
}

// chosenAgain says whether what was chosen is just what the screen is opened with already: then it is taken back.
func (o *Opening) chosenAgain(m *plan.Lead, w *World, at Aim) bool {
	if at.here == nil || at.Also {
		return false
	}
	found := false
	for id, b := range m.Bind {
		in := m.Target.Inputs[id]
		if in == nil || !fromChosen(b) {
			continue
		}
		x := Binding{Opening: o, Input: in, Bound: b, Expr: m.Exprs[id], World: w, At: at}
		value := x.Value()
		if !value.Known() || value.IsNull() || at.here[id] != place.Written(in, value) {
			return false
		}
		found = true
	}
	return found
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

// fromChosen says whether a binding brings something of what was chosen: what it stands for, or where it ends.
func fromChosen(b *project.Binding) bool {
	_, chosen := b.Spec.(interface{ OfChosen() })
	return chosen
}

// ChoosesPoint says whether a binding brings what was chosen: what a point stands for, or its record.
func ChoosesPoint(b *project.Binding) bool {
	_, point := b.Spec.(interface{ Chooses() bool })
	return point
}

// carry passes on what this screen was given, by name, and its filters where both list the same table. It gives an
// input of which several values are chosen, and only one can go on; nil where all went on.
func (o *Opening) carry(to *place.Place, m *plan.Lead, w *World) *project.Input {
	for id, mine := range m.Carried {
		own, in := o.Plan.Screen.Inputs[mine], m.Target.Inputs[id]
		if own != nil && in != nil && len(o.severalOf(own)) > 0 {
			if !in.Several {
				return own
			}
			to.Inputs[id] = o.At.Inputs[mine]
			continue
		}
		if v, ok := w.Inputs[mine]; ok && v.Known() && !v.IsNull() {
			if to.Inputs[id] = v.Wire(); in != nil {
				to.Inputs[id] = place.Written(in, v)
			}
		}
	}
	if c := m.Carry; c != nil && c.All && len(o.At.Filters) > 0 && o.Plan.Screen.ListTable() == o.App.Behind(m).ListTable() {
		to.Filters = append(to.Filters, o.At.Filters...)
	}
	return nil
}
