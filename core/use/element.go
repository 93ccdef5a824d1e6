package use

import (
	"strings"

	"ambergate/core/plan"
	"ambergate/core/project"
)

// PictureView is a picture of the project on a button.
type PictureView struct {
	Digest string `json:"digest"`
	Words  string `json:"words"`
}

// PictureView gives a picture of the project; nil if there is none.
func (o *Opening) PictureView(id string) *PictureView {
	p := o.App.Project.Pictures[id]
	if p == nil {
		return nil
	}
	return &PictureView{Digest: p.Digest, Words: p.Shows()}
}

// StyleView is what an application looks like besides its palette.
type StyleView struct {
	Colours map[string]project.Colour       `json:"colours,omitempty"` // of the builder's own, by id
	Buttons map[string]*project.ButtonStyle `json:"buttons,omitempty"`
	Corners string                          `json:"corners,omitempty"`
	Text    string                          `json:"text,omitempty"`
	Logo    *PictureView                    `json:"logo,omitempty"`
}

// style draws it; nil where nothing is unusual.
func (o *Opening) style() *StyleView {
	s := o.App.Project.Settings.Style
	if s == nil {
		return nil
	}
	v := &StyleView{Buttons: s.Buttons, Corners: s.Corners, Text: s.Text, Logo: o.PictureView(s.Logo)}
	for id, c := range s.Colours {
		if v.Colours == nil {
			v.Colours = map[string]project.Colour{}
		}
		v.Colours[id] = c.Colour
	}
	return v
}

// Take shows a gate's verdict on the element that sets it off.
func (ev *ElementView) Take(v *Verdict) {
	ev.By, ev.Reason = v.By, v.Reason
	if ev.State = v.State; v.Open() {
		ev.State = StateShown
	}
}

// Text says one of the element's templates.
func (o *Opening) Text(e *plan.Element, name string) string {
	t := e.Texts[name]
	if t == nil {
		return ""
	}
	return t.Say(o.World, o.World.Say)
}

// Number gives one of the element's expressions as a number; nil when it is not known.
func (o *Opening) Number(e *plan.Element, name string) *float64 {
	expr := e.Exprs[name]
	if expr == nil {
		return nil
	}
	f, ok := expr.Root.Eval(o.World).Float64()
	if !ok {
		return nil
	}
	return &f
}

// Why says why an expression of an element is not known.
func (o *Opening) Why(e *plan.Element, name string) string {
	if e.Exprs[name] == nil {
		return "its expression cannot be read"
	}
	return e.Exprs[name].Root.Eval(o.World).Why()
}

// OpenTab gives the open tab of a block: the one that the place says, else the first.
func (o *Opening) OpenTab(block string) string {
	e := o.Plan.Screen.Elements[block]
	if e == nil {
		return ""
	}
	tabs := project.TabsOf(e)
	if open := o.At.Tabs[block]; tabs[open] != nil {
		return open
	}
	for _, t := range project.Ordered(tabs) {
		return t.ID
	}
	return ""
}

// aside says whether an element stands aside for another mode or tab. One of a block that is gone
// does not: nothing is to vanish by that.
func (o *Opening) aside(e *plan.Element) bool {
	if e.Modes != nil && !e.Modes[o.At.Mode] || e.Around != nil && o.aside(e.Around) {
		return true
	}
	block, tab, ok := strings.Cut(e.Tab, ".")
	if !ok {
		return false
	}
	open := o.OpenTab(block)
	return open != "" && open != tab
}

// There says whether the element itself is there: its mode and its own condition.
func (o *Opening) There(e *plan.Element) (ElementView, bool) {
	var ev ElementView
	if o.aside(e) {
		return ev, false
	}
	by, _ := o.unshown(e)
	return ev, by == ""
}

// unshown says why an element is not there by its own condition, or by that of the frame that it stands in; "" where it is.
func (o *Opening) unshown(e *plan.Element) (by, reason string) {
	if o.finishesEarly(e) {
		return "step", "There are steps to come."
	}
	for ; e != nil; e = e.Around {
		if e.Shown == "" {
			continue
		}
		if e.ShownWhile == nil {
			return "broken", "The condition for showing it cannot be read."
		}
		switch shown := e.ShownWhile.Root.Eval(o.World); {
		case !shown.Known():
			return "unknown", "Value not available: " + shown.Why() + "."
		case !shown.True():
			return "shown", "It shows only while " + e.ShownWhile.Root.Phrase() + "."
		}
	}
	return "", ""
}
