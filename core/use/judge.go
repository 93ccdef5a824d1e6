package use

import (
	"sync"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// State is how something stands to a user.
type State string

// A way is open, greyed with a reason, or hidden; an element shown, greyed or hidden. A way whose
// own screen cannot be opened is shut; one that nobody looked at for a user is not known.
const (
	StateOpen    State = "open"
	StateShown   State = "shown"
	StateGreyed  State = "greyed"
	StateHidden  State = "hidden"
	StateShut    State = "shut"
	StateUnknown State = "unknown"
	StateRefused State = "refused" // it is open, and its target refuses
)

// Verdict is what a gate is for one user at one place, and why.
type Verdict struct {
	State    State        `json:"state"`            // open, greyed, hidden
	By       string       `json:"by,omitempty"`     // roles, while, case, record, unknown, broken: what closed it
	Reason   string       `json:"reason,omitempty"` // words for the user, when greyed; for the builder, when hidden
	Part     *cond.Part   `json:"part,omitempty"`   // the condition, explained
	To       *place.Place `json:"-"`                // where it leads, when it leads to a screen
	As       string       `json:"-"`
	Leave    string       `json:"-"` // the address it leads to, when it leads out of the project
	LeaveFor string       `json:"-"` // what is at that address, in words; "" where only the address is known
	Stay     string       `json:"-"` // there is no record, and the policy says to stay and say so
	Choose   *Choice      `json:"-"` // a step of a list's chosen row
	Pick     *Pick        `json:"-"` // the user is to be asked for a record first
	Later    bool         `json:"-"` // where it leads is only known when it is pressed
	Chosen   *plan.Case   `json:"-"`
	Lead     *plan.Lead   `json:"-"` // the screen that it leads to: of a choice the one that was taken
}

// Open says whether a press goes through.
func (v Verdict) Open() bool { return v.State == StateOpen }

// Aim is what a gate was set off on: a clicked row, a chosen point.
type Aim struct {
	Row     *ask.Row
	Element string            // the list that the row is in
	Several bool              // the row is what is changed: one of those that were chosen
	Point   string            // the point's value, as the wire writes it
	PointTo string            // the last of several points of time that were chosen together; "" for one
	Also    bool              // the point is chosen besides those that are, or no more
	Span    string            // of a point of time: day, week, month
	Step    float64           // of a point that is a range of numbers: how wide it is
	here    map[string]string // of a point: what its own screen is opened with, where choosing it again takes it back
	Result  string            // what a dialog came back with, as the wire writes it
	Picked  map[string]string // records that the user was asked for, by input
}

// verdicts are places to reach verdicts at: they are large, and one is reached for each button that is drawn.
var verdicts = sync.Pool{New: func() any { return new(Verdict) }}

// Judge decides a gate: roles, condition, case, and whether what it needs is there.
func (o *Opening) Judge(g *plan.Gate, at Aim) Verdict {
	into := verdicts.Get().(*Verdict)
	*into = Verdict{}
	o.judge(into, g, &at)
	v := *into
	verdicts.Put(into)
	return v
}

// aimless is set off on nothing. It is never changed.
var aimless Aim

// Judged decides a gate that is set off on nothing, and has its verdict looked at: what looks keeps no address of it.
func (o *Opening) Judged(g *plan.Gate, look func(v *Verdict)) {
	into := verdicts.Get().(*Verdict)
	*into = Verdict{}
	o.judge(into, g, &aimless)
	look(into)
	verdicts.Put(into)
}

func (o *Opening) judge(v *Verdict, g *plan.Gate, at *Aim) {
	w := o.World
	if at.Row != nil {
		of := *o.World
		of.Row = at.Row
		w = &of
	}
	if g.Shared != nil {
		w = o.Given(g, w, *at)
	}
	if g.Roles != nil {
		if no, closed := o.JudgeRoles(g.Roles); closed {
			*v = no
			return
		}
	}
	if g.Broken {
		*v = Verdict{State: StateGreyed, By: "broken", Reason: "This button’s condition cannot be read."}
		return
	}
	if w.asks != nil && len(g.Cases) > 0 {
		// Asked first, judged when that is known.
		*v = Verdict{State: StateOpen, Later: true, Pick: w.asks, Chosen: g.Cases[0]}
		return
	}
	if g.Condition != nil && judgeWhile(v, g, w, o.explains) {
		return
	}
	chosen := ChooseCase(v, g, w)
	if chosen == nil {
		return
	}
	if len(chosen.Effects) > 0 {
		if no, closed := o.judgeChanges(chosen, at); closed {
			*v = no
			return
		}
	}
	if chosen.Back != nil {
		if no, is := o.shutToReturn(chosen, at); is {
			*v = no
			return
		}
	}
	v.State, v.Chosen = StateOpen, chosen
	m := chosen.Move
	if m == nil {
		return
	}
	if o.At.Mode == "add" && plan.Saves(chosen) && !plan.IsStep(m) {
		v.Later = true // "this record" will be the one that the press saves
		return
	}
	moveKind(m).Aim(o, v, m, w, *at)
	o.shutInVain(v)
}

// shutInVain shuts a way to where somebody would type what they may not save.
func (o *Opening) shutInVain(v *Verdict) {
	to, m := v.To, v.Lead
	if to == nil || m == nil || m.Target == nil || to.Mode != "add" && to.Mode != "edit" {
		return
	}
	if t := o.App.Project.Tables[m.Target.RecordTable()]; t != nil && o.Rights.On(t.ID).OnlyRead {
		*v = Verdict{State: StateGreyed, By: "grant", Reason: o.MayNot("change", t)}
		return
	}
	if here := o.World.Record; to.Mode == "edit" && here != nil && m.Target.RecordTable() == here.Table && to.Inputs[m.Target.Record] == here.Key {
		if no, is := o.ShutToChanges(here); is {
			*v = no
		}
	}
}

// shutToReturn says whether what follows on the dialog that a case opens is shut to the user: then
// nobody is sent to choose something in vain.
func (o *Opening) shutToReturn(c *plan.Case, at *Aim) (Verdict, bool) {
	if c.Back == nil {
		return Verdict{}, false
	}
	v := o.Judge(c.Back, *at)
	switch v.By {
	case "roles", "while", "grant", "row-rule":
		return v, !v.Open()
	}
	return Verdict{}, false
}

// judgeChanges greys a way that would change or delete a record where grants or row rules do not
// let the user: the press would be refused.
func (o *Opening) judgeChanges(c *plan.Case, at *Aim) (Verdict, bool) {
	row := at.Row
	if !at.Several {
		row = nil
	}
	for _, e := range c.Effects {
		if v, closed := plan.KindOf[EffectKind](e.Spec).Shut(o, e, row); closed {
			return v, true
		}
	}
	return Verdict{}, false
}

// ShutToChanges says why the user may not change a record, if so.
func (o *Opening) ShutToChanges(row *ask.Row) (Verdict, bool) {
	return o.ShutTo("edit", "change", row)
}

// ShutTo says why the user may not edit or delete a record, if so.
func (o *Opening) ShutTo(right, verb string, row *ask.Row) (Verdict, bool) {
	t, rights := o.App.Project.Tables[row.Table], o.Rights.On(row.Table)
	switch {
	case t.View && len(t.Key) == 0:
		return Verdict{State: StateGreyed, By: "grant", Reason: "These records can only be read."}, true
	case !rights.May(right):
		return Verdict{State: StateGreyed, By: "grant", Reason: o.MayNot(verb, t)}, true
	case !row.May[right]:
		return Verdict{State: StateGreyed, By: "row-rule", Reason: "You may view this " + t.One + ", but not " + verb + " it."}, true
	}
	return Verdict{}, false
}

// MayNot says that the user may not do something with the records of a table: view, add, change,
// delete. A builder is told of whom is walked as.
func (o *Opening) MayNot(verb string, t *project.Table) string {
	label := english.Lower(t.Label)
	switch {
	case verb != "view" && o.Rights.On(t.ID).OnlyRead:
		return english.Capital(label) + " can only be read here: their database keeps no record of presses."
	case o.ghosts:
		return "This role may not " + verb + " " + label + "."
	}
	return "You may not " + verb + " " + label + "."
}

// Refused is the no to what MayNot says that the user may not do.
func (o *Opening) Refused(verb string, t *project.Table) error {
	if verb != "view" && o.Rights.On(t.ID).OnlyRead {
		return ask.Refuse("only-read", o.MayNot(verb, t), "Tell the person who runs this application.")
	}
	return ask.Refuse("no-grant", o.MayNot(verb, t), "Ask the person who runs this application for the right.")
}

// JudgeRoles says whether a set of roles lets the user through; no set lets everyone.
func (o *Opening) JudgeRoles(roles map[string]bool) (Verdict, bool) {
	if roles == nil {
		return Verdict{}, false
	}
	for id, may := range roles {
		if may && o.World.User.Roles[id] && o.App.Project.Roles[id] != nil {
			return Verdict{}, false
		}
	}
	var names []string
	for _, r := range project.Ordered(o.App.Project.Roles) {
		if roles[r.ID] {
			names = append(names, r.Name)
		}
	}
	reason := "It is for nobody."
	if len(names) > 0 {
		reason = "Only for " + english.List(names, "or") + "."
	}
	return Verdict{State: StateHidden, By: "roles", Reason: reason}, true
}

// judgeWhile decides the condition, and says whether it closes the gate; it is explained only for who asks why.
func judgeWhile(into *Verdict, g *plan.Gate, w *World, explains bool) bool {
	holds, known, why := g.Condition.Root.Holds(w)
	if explains {
		p := g.Condition.Root.Explain(w)
		into.Part = &p
	}
	switch {
	case !known:
		// Not knowing is told as such, even where a plain no would hide.
		into.State, into.By, into.Reason = StateGreyed, "unknown", "Value not available: "+why+"."
	case holds:
		return false
	case g.Grey != nil:
		into.State, into.By, into.Reason = StateGreyed, "while", g.Grey.Say(w, w.Say)
	default:
		into.State, into.By = StateHidden, "while"
		if explains {
			into.Reason = "It shows only while " + g.Condition.Root.Phrase() + "."
		}
	}
	return true
}

// ChooseCase gives the first case whose condition holds; nil, with why in the verdict, where there is none or it
// cannot be told.
func ChooseCase(into *Verdict, g *plan.Gate, w *World) *plan.Case {
	for _, c := range g.Cases {
		if c.Condition == nil {
			return c
		}
		holds, known, why := c.Condition.Root.Holds(w)
		if !known {
			*into = Verdict{State: StateGreyed, By: "unknown", Reason: "Value not available: " + why + "."}
			return nil
		}
		if holds {
			return c
		}
	}
	*into = Verdict{State: StateGreyed, By: "case", Reason: "None of its cases holds now."}
	if len(g.Cases) == 0 {
		into.Reason = "Nothing is wired to it yet."
	}
	return nil
}

// PlainLink gives the place a gate leads to when nothing else happens on a press: then it is also a link.
func (v *Verdict) PlainLink(g *plan.Gate) *place.Place {
	if !v.Open() || v.To == nil || v.As == "dialog" || v.As == "drawer" || len(v.Chosen.Effects) > 0 || g.Confirm != "" {
		return nil
	}
	if m := v.Chosen.Move; m != nil {
		if staying, is := m.Spec.(StayingMove); is && staying.Stays() {
			return nil // what was typed comes along
		}
	}
	return v.To
}

// Choice is the row of a list that is chosen from now on; Adding is a row that is yet to be written.
type Choice struct {
	List   string `json:"list"`
	Row    string `json:"row,omitempty"`
	Adding bool   `json:"adding,omitempty"`
}

// Pick is a record that the user is to choose before the press goes on.
type Pick struct {
	Input string `json:"input"`
	Table string `json:"table"`
	One   string `json:"one"` // what one record is called
}
