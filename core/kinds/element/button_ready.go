package element

import (
	"sync/atomic"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// readyButton is what is the same of a button each time it is drawn.
type readyButton struct {
	last             atomic.Pointer[drawnButton]
	gate, down       *plan.Gate // of its trigger, and of its going down; nil where there is none
	words, note, tip saying
	plain            bool // no more of it differs from one time to the next than varying has
	view             ButtonView
}

// varying is what differs of a plain button.
type varying struct {
	words, note, tip, href, leave string
	down                          bool
}

// drawnButton is one as it was drawn.
type drawnButton struct {
	of   varying
	view ButtonView
}

// saying is a text that is the same each time, or a template that is filled in.
type saying struct {
	text     string
	template *cond.Template // nil for none
}

func sayingOf(t *cond.Template) saying {
	if t == nil {
		return saying{}
	}
	if text, plain := t.Plain(); plain {
		return saying{text: text}
	}
	return saying{template: t}
}

func (s saying) say(o *use.Opening) string {
	if s.template == nil {
		return s.text
	}
	return s.template.Say(o.World, o.World.Say)
}

// Ready works out what is the same of it each time it is drawn.
func (spec *Button) Ready(e *plan.Element) any {
	r := &readyButton{
		view:  ButtonView{Icon: spec.Icon, Tone: spec.Tone, Colour: spec.Colour, Trigger: spec.TriggerName(), Keys: spec.Keys, Fold: spec.Fold},
		words: sayingOf(e.Texts["words"]), note: sayingOf(e.Texts["note"]), tip: sayingOf(e.Texts["tip"]),
		gate: e.Gates[spec.TriggerName()], down: e.Gates[DownTrigger],
		plain: len(spec.Faces) == 0 && spec.Picture == "",
	}
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
	v.Words, v.Note, v.Tip, v.Href, v.Leave, v.Down = now.words, now.note, now.tip, now.href, now.leave, now.down
	if r.plain {
		r.last.Store(drawn)
		return v
	}
	v.Picture = o.PictureView(spec.Picture)
	v.turned(o, r.gate)
	face(o, e, spec, v)
	return v
}
