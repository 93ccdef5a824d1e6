package nav

import (
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Verdict is what a gate is for one user at one place, and why.
type Verdict struct {
	State  string     `json:"state"`            // open, greyed, hidden
	By     string     `json:"by,omitempty"`     // roles, while, case, record, unknown, broken: what closed it
	Reason string     `json:"reason,omitempty"` // words for the user, when greyed; for the builder, when hidden
	Part   *cond.Part `json:"part,omitempty"`   // the condition, explained
	To     *Place     `json:"-"`                // where it leads, when it leads to a screen
	As     string     `json:"-"`
	stay   string     // there is no record, and the policy says to stay and say so
	choose *Choice    // a step of a list's chosen row
	chosen *CasePlan
}

// Open says whether a press goes through.
func (v Verdict) Open() bool { return v.State == "open" }

// aim is what a gate was set off on: a clicked row, a chosen point.
type aim struct {
	row     *Row
	element string // the list that the row is in
	several bool   // the row is what is changed: one of those that were chosen
	point   string // the point's value, as the wire writes it
}

// judge decides a gate: roles, condition, case, and whether what it needs is there.
func (o *Opening) judge(g *GatePlan, at aim) Verdict {
	w := o.world
	if at.row != nil {
		of := *o.world
		of.row = at.row
		w = &of
	}
	if v, closed := o.judgeRoles(g.Roles); closed {
		return v
	}
	if g.Broken {
		return Verdict{State: "greyed", By: "broken", Reason: "This button’s condition cannot be read."}
	}
	var part *cond.Part
	if g.Condition != nil {
		v, closed := judgeWhile(g, w, o.explains)
		if closed {
			return v
		}
		part = v.Part
	}
	chosen, v := chooseCase(g, w)
	if chosen == nil {
		return v
	}
	if v, closed := o.judgeChanges(chosen, at); closed {
		return v
	}
	v = Verdict{State: "open", Part: part, chosen: chosen}
	if chosen.Move != nil && chosen.Move.Kind == "step" {
		o.aimStep(&v, chosen.Move)
	}
	if chosen.Move != nil && chosen.Move.Kind == "screen" {
		if o.place.Mode == "add" && saves(chosen) {
			return v // "this record" will be the one that the press saves
		}
		o.aimMove(&v, chosen.Move, w, at)
	}
	if to := v.To; to != nil && to.Mode == "edit" && o.world.record != nil && chosen.Move.Target != nil && chosen.Move.Target.RecordTable() == o.world.record.Table && to.Inputs[chosen.Move.Target.Record] == o.world.record.Key {
		if closed, is := o.shutToChanges(o.world.record); is {
			return closed
		}
	}
	return v
}

// judgeChanges greys a way that would change or delete a record where grants or row rules do not
// let the user: the press would be refused.
func (o *Opening) judgeChanges(c *CasePlan, at aim) (Verdict, bool) {
	row := at.row
	if !at.several {
		row = nil
	}
	for _, e := range c.Effects {
		if v, closed := effectKinds[e.Kind].shut(o, e, row); closed {
			return v, true
		}
	}
	return Verdict{}, false
}

// shutToChanges says why the user may not change a record, if so.
func (o *Opening) shutToChanges(row *Row) (Verdict, bool) {
	return o.shutTo("edit", "change", row)
}

// shutTo says why the user may not edit or delete a record, if so.
func (o *Opening) shutTo(right, verb string, row *Row) (Verdict, bool) {
	t, rights := o.app.Project.Tables[row.Table], o.rights.On(row.Table)
	switch {
	case t.View && len(t.Key) == 0:
		return Verdict{State: "greyed", By: "grant", Reason: "These records can only be read."}, true
	case !rights.May(right):
		return Verdict{State: "greyed", By: "grant", Reason: "Your role may not " + verb + " " + lowerLabel(t.Label) + "."}, true
	case !row.May[right]:
		return Verdict{State: "greyed", By: "row-rule", Reason: "You may view this " + t.One + ", but not " + verb + " it."}, true
	}
	return Verdict{}, false
}

// judgeRoles says whether a set of roles lets the user through; no set lets everyone.
func (o *Opening) judgeRoles(roles map[string]bool) (Verdict, bool) {
	if roles == nil {
		return Verdict{}, false
	}
	var names []string
	for _, r := range project.Ordered(o.app.Project.Roles) {
		if !roles[r.ID] {
			continue
		}
		if o.world.user.Roles[r.ID] {
			return Verdict{}, false
		}
		names = append(names, r.Name)
	}
	reason := "It is for nobody."
	if len(names) > 0 {
		reason = o.world.user.Name + " is not " + strings.Join(names, " or ") + "."
	}
	return Verdict{State: "hidden", By: "roles", Reason: reason}, true
}

// judgeWhile decides the condition; it is explained only for who asks why.
func judgeWhile(g *GatePlan, w *world, explains bool) (Verdict, bool) {
	value := g.Condition.Root.Eval(w)
	var part *cond.Part
	if explains {
		p := g.Condition.Root.Explain(w)
		part = &p
	}
	switch {
	case !value.Known():
		// Not knowing is told as such, even where a plain no would hide.
		return Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: part}, true
	case value.True():
		return Verdict{Part: part}, false
	case g.Grey != nil:
		return Verdict{State: "greyed", By: "while", Reason: g.Grey.Say(w, w.say), Part: part}, true
	}
	v := Verdict{State: "hidden", By: "while", Part: part}
	if explains {
		v.Reason = "It shows only while " + g.Condition.Root.Phrase() + "."
	}
	return v, true
}

func chooseCase(g *GatePlan, w *world) (*CasePlan, Verdict) {
	for _, c := range g.Cases {
		if c.Condition == nil {
			return c, Verdict{}
		}
		v := c.Condition.Root.Eval(w)
		if !v.Known() {
			return nil, Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + v.Why() + "."}
		}
		if v.True() {
			return c, Verdict{}
		}
	}
	if len(g.Cases) == 0 {
		return nil, Verdict{State: "greyed", By: "case", Reason: "Nothing is wired to it yet."}
	}
	return nil, Verdict{State: "greyed", By: "case", Reason: "None of its cases holds now."}
}

// aimMove works out the place a move leads to; where a record is missing, the binding's policy decides.
func (o *Opening) aimMove(v *Verdict, m *MovePlan, w *world, at aim) {
	if m.Target == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "The screen it led to is gone.", Part: v.Part}
		return
	}
	to := Place{Screen: m.Target.ID, Mode: m.Mode, Inputs: map[string]string{}}
	if to.Mode == "" {
		to.Mode = "view"
	}
	for _, id := range sortedKeys(m.Bind) {
		if m.Target.Inputs[id] == nil {
			continue // the input is gone: a finding, not an error
		}
		b := m.Bind[id]
		value := bindRules[b.Rule](o, m, id, w, at)
		switch {
		case !value.Known():
			*v = Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, chosen: v.chosen}
			return
		case value.IsNull() && (m.Target.Inputs[id].Required || b.None != ""):
			o.applyNone(v, m, b, &to)
			return
		case !value.IsNull():
			to.Inputs[id] = value.Wire()
		}
	}
	if to.Mode == "add" {
		delete(to.Inputs, m.Target.Record)
		for _, field := range sortedKeys(m.Set) {
			if e := m.Set[field]; e != nil {
				if value := e.Root.Eval(w); value.Known() && !value.IsNull() {
					if to.Set == nil {
						to.Set = map[string]string{}
					}
					to.Set[field] = value.Wire()
				}
			}
		}
	}
	arrive(&to, m.Arrive)
	o.cameFrom(&to, m.Target, at)
	v.To, v.As = &to, m.As
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
func (o *Opening) applyNone(v *Verdict, m *MovePlan, b *project.Binding, to *Place) {
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
		return
	case "stay":
		v.stay = reason
		return
	}
	*v = Verdict{State: "greyed", By: "record", Reason: reason, Part: v.Part, chosen: v.chosen}
}

// plainLink gives the place a gate leads to when nothing else happens on a press: then it is also a link.
func (v Verdict) plainLink(g *GatePlan) *Place {
	if !v.Open() || v.To == nil || v.As == "dialog" || v.As == "drawer" || g.Writes() || g.Confirm != "" {
		return nil
	}
	return v.To
}

// bindRule gives the value of an input of the target. Null means that there is none.
type bindRule func(o *Opening, m *MovePlan, input string, w *world, at aim) cond.Value

// bindRules is the registry of record rules and bindings.
var bindRules = map[string]bindRule{
	"this": func(_ *Opening, _ *MovePlan, _ string, w *world, _ aim) cond.Value {
		if w.record == nil {
			return cond.NullValue
		}
		return cond.Key(w.record.Key)
	},
	"row": func(_ *Opening, _ *MovePlan, _ string, _ *world, at aim) cond.Value {
		if at.row == nil {
			return cond.UnknownBecause("no row was clicked")
		}
		return cond.Key(at.row.Key)
	},
	"point": func(_ *Opening, m *MovePlan, input string, _ *world, at aim) cond.Value {
		v, err := cond.Parse(m.Target.Inputs[input].TypeOf(), at.point)
		if err != nil {
			return cond.UnknownBecause(err.Error())
		}
		return v
	},
	"parent": func(_ *Opening, m *MovePlan, input string, w *world, at aim) cond.Value {
		b := m.Bind[input]
		row := w.record
		if b.From == "row" {
			row = at.row
		}
		return w.from(row, strings.Split(b.Path, "."), b.Path)
	},
	"user": func(_ *Opening, _ *MovePlan, _ string, w *world, _ aim) cond.Value {
		if w.user.Record == "" {
			return cond.NullValue
		}
		return cond.Key(w.user.Record)
	},
	"value": func(_ *Opening, m *MovePlan, input string, _ *world, _ aim) cond.Value {
		v, err := cond.Parse(m.Target.Inputs[input].TypeOf(), m.Bind[input].Value)
		if err != nil {
			return cond.UnknownBecause(err.Error())
		}
		return v
	},
	"input": func(_ *Opening, m *MovePlan, input string, w *world, _ aim) cond.Value {
		v, ok := w.inputs[m.Bind[input].Value]
		if !ok {
			return cond.UnknownBecause("the input is gone")
		}
		return v
	},
	"expression": func(_ *Opening, m *MovePlan, input string, w *world, _ aim) cond.Value {
		if m.Exprs[input] == nil {
			return cond.UnknownBecause("its expression cannot be read")
		}
		return m.Exprs[input].Root.Eval(w)
	},
}
