package element

import (
	"cmp"
	"sync/atomic"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// readyButton is what is the same of a button each time it is drawn.
type readyButton struct {
	last             atomic.Pointer[drawnButton]
	gate, down       *plan.Gate     // of its trigger, and of its going down; nil where there is none
	words, note, tip *cond.Template // those in which something is filled in; nil for any other
	plain            bool           // no more of it differs from one time to the next than varying has
	view             ButtonView
}

// varying is what differs of a plain button: words only where something is filled in.
type varying struct {
	words, note, tip, href, leave string
	down                          bool
}

// drawnButton is one as it was drawn.
type drawnButton struct {
	of   varying
	view ButtonView
}

// varies gives a template in which something is filled in; of any other its text.
func varies(t *cond.Template) (filled *cond.Template, text string) {
	if t == nil {
		return nil, ""
	}
	if text, plain := t.Plain(); plain {
		return nil, text
	}
	return t, ""
}

// say fills in a template; "" for none.
func say(t *cond.Template, o *use.Opening) string {
	if t == nil {
		return ""
	}
	return t.Say(o.World, o.World.Say)
}

// Ready works out what is the same of it each time it is drawn.
func (spec *Button) Ready(e *plan.Element) any {
	r := &readyButton{
		view: ButtonView{Icon: spec.Icon, Tone: spec.Tone, Colour: spec.Colour, Trigger: spec.TriggerName(), Keys: spec.Keys, Fold: spec.Fold},
		gate: e.Gates[spec.TriggerName()], down: e.Gates[DownTrigger],
		plain: len(spec.Faces) == 0 && spec.Picture == "",
	}
	r.words, r.view.Words = varies(e.Texts["words"])
	r.note, r.view.Note = varies(e.Texts["note"])
	r.tip, r.view.Tip = varies(e.Texts["tip"])
	if r.view.Tone == "" {
		r.view.Tone = "plain"
	}
	r.view.Writes = r.down != nil && r.down.Writes()
	if r.gate == nil {
		return r
	}
	r.view.Writes, r.view.Drops = r.view.Writes || r.gate.Writes(), r.gate.Unsaved == "drop"
	for _, c := range r.gate.Cases {
		r.plain = r.plain && !showsState(c)
		r.view.Saves = r.view.Saves || plan.Saves(c)
		for _, m := range c.Move.Leads() {
			if m.Target != nil {
				r.view.Plate = m.Target.Type
			}
		}
	}
	return r
}

// showsState says whether a button with a case shows how that is which the case changes.
func showsState(c *plan.Case) bool {
	for _, e := range c.Effects {
		_, chooses := e.Spec.(use.ChoosingEffect)
		_, turns := e.Spec.(use.TurningEffect)
		if chooses || turns {
			return true
		}
	}
	return false
}

// draw gives the button as it looks now. Several may draw at once.
func (r *readyButton) draw(o *use.Opening, e *plan.Element, spec *Button, now *varying) *ButtonView {
	if last := r.last.Load(); last != nil && last.of == *now {
		return &last.view
	}
	drawn := &drawnButton{of: *now, view: r.view}
	v := &drawn.view
	v.Words, v.Note, v.Tip = cmp.Or(v.Words, now.words), cmp.Or(v.Note, now.note), cmp.Or(v.Tip, now.tip)
	v.Href, v.Leave, v.Down = now.href, now.leave, now.down
	if r.plain {
		r.last.Store(drawn)
		return v
	}
	v.Picture = o.PictureView(spec.Picture)
	v.turned(o, r.gate)
	face(o, e, spec, v)
	return v
}
