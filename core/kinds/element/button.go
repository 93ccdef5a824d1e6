package element

import (
	"cmp"
	"fmt"
	"sync/atomic"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// ButtonView is a button as it is drawn.
type ButtonView struct {
	Words   string `json:"words"`
	Note    string `json:"note,omitempty"`
	Icon    string `json:"icon,omitempty"`
	Tone    string `json:"tone"`
	Colour  string `json:"colour,omitempty"` // of one's own, in the stead of the tone's
	Trigger string `json:"trigger"`
	Href    string `json:"href,omitempty"` // it is a plain link too
	Writes  bool   `json:"writes,omitempty"`
	Saves   bool   `json:"saves,omitempty"` // it keeps what was typed
	Drops   bool   `json:"drops,omitempty"` // it gives up what was typed
	Plate   string `json:"plate,omitempty"` // kind of the screen it leads to, for signs
	Leave   string `json:"leave,omitempty"` // it is a plain link out of this application
	Tip     string `json:"tip,omitempty"`
	Keys    string `json:"keys,omitempty"`
	Fold    string `json:"fold,omitempty"`    // below which width it is behind “more”: narrow, middle, never
	Down    bool   `json:"down,omitempty"`    // going down sets something off, and letting go something else
	Current bool   `json:"current,omitempty"` // on a rail: it leads to where one is
	Held    bool   `json:"held,omitempty"`    // it acts as long as it is held
	Turned  string `json:"turned,omitempty"`  // of one that turns something on and off: how that is: on, off, unknown
	Waiting int64  `json:"waiting,omitempty"` // Unix milliseconds since when a command is on its way

	Choices []use.ValueChoice `json:"choices,omitempty"` // of one that writes one of several values

	Picture *use.PictureView     `json:"picture,omitempty"`
	States  map[string]*FaceView `json:"states,omitempty"` // how it looks otherwise: hover, pressed, greyed, focus
}

// AsCurrent gives it as the one that leads to where one is.
func (v *ButtonView) AsCurrent() any {
	current := *v
	current.Current = true
	return &current
}

// DownTrigger names the trigger of a button that goes down, where letting go is another way.
const DownTrigger = "down"

// Button is pressed; its gate says what follows.
type Button struct {
	project.ElementHead
	use.NothingToFetch
	Words   string        `json:"words"` // template
	Icon    string        `json:"icon,omitempty"`
	Tone    string        `json:"tone,omitempty"`                                                 // plain (default), main, strong, sign
	Colour  string        `json:"colour,omitempty"`                                               // in the stead of the tone's ground, as project.ValidColour has it
	Note    string        `json:"note,omitempty"`                                                 // template: a line under the words, on signs
	Trigger string        `json:"trigger,omitempty" jsonschema:"enum=release,enum=press"`         // release (default), press
	Tip     string        `json:"tip,omitempty"`                                                  // template: shown while it is pointed at
	Keys    string        `json:"keys,omitempty"`                                                 // shortcut, as in Ctrl+E
	Picture string        `json:"picture,omitempty"`                                              // picture of the project
	Fold    string        `json:"fold,omitempty" jsonschema:"enum=narrow,enum=middle,enum=never"` // below which width it is behind “more”; as usual, if none is said
	Gate    *project.Gate `json:"gate,omitempty"`
	Down    *project.Gate `json:"down,omitempty"` // set off when it goes down; then letting go sets off Gate, wherever the finger is by then

	Faces map[string]*Face `json:"faces,omitempty"` // how it looks in one condition or state
}

// Validate refuses a trigger or tone that does not exist.
func (spec *Button) Validate() error {
	if err := project.OneOf("trigger", spec.Trigger, "", "release", "press"); err != nil {
		return err
	}
	if spec.Down != nil && spec.Trigger == "press" {
		return fmt.Errorf("a button that does something when it goes down does the other when it is let go")
	}
	for id, f := range spec.Faces {
		f.ID = id
		if err := f.Validate(); err != nil {
			return fmt.Errorf("face %s: %w", id, err)
		}
	}
	if err := project.ValidColour(spec.Colour); err != nil {
		return err
	}
	if err := project.OneOf("width to fold at", spec.Fold, "", "narrow", "middle", "never"); err != nil {
		return err
	}
	if err := project.ValidKeys(spec.Keys); err != nil {
		return err
	}
	return project.OneOf("tone", spec.Tone, Tones...)
}

// Gates gives the button's gate, and that of its going down.
func (spec *Button) Gates() map[string]*project.Gate {
	all := project.GatesOn(spec.TriggerName(), spec.Gate)
	if spec.Down != nil {
		if all == nil {
			all = map[string]*project.Gate{}
		}
		all[DownTrigger] = spec.Down
	}
	return all
}

// TriggerName gives the trigger with its default: what is wired where nothing is yet.
func (spec *Button) TriggerName() string {
	if spec.Trigger == "" {
		return "release"
	}
	return spec.Trigger
}

// FitsRails says that it can stand on rails.
func (*Button) FitsRails() {}

// Called names it by its words.
func (spec *Button) Called(_ plan.Scene, e *plan.Element) string {
	if t := e.Texts["words"]; t != nil {
		return t.Phrase()
	}
	return spec.Words
}

func (spec *Button) Plan(b *plan.Planner) {
	b.Element.Texts["words"] = b.Template("words", spec.Words)
	b.Element.Texts["note"] = b.Template("note", spec.Note)
	b.Element.Texts["tip"] = b.Template("tip", spec.Tip)
	b.Picture(spec.Picture)
	b.Colour(spec.Colour)
	for _, f := range project.Ordered(spec.Faces) {
		b.Colour(f.Colour)
		if f.When != "" {
			b.Element.Exprs["face."+f.ID] = b.Condition("face", f.When)
		}
		b.Element.Texts["face."+f.ID] = b.Template("face", f.Words)
		b.Picture(f.Picture)
	}
}

// NewView gives an empty view of it.
func (*Button) NewView() any { return &ButtonView{} }

// View draws it. One that looks as it did when it was drawn last is that one: it is never changed.
func (spec *Button) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	r := e.Ready.(*readyButton)
	now := varying{words: say(r.words, o), note: say(r.note, o), tip: say(r.tip, o)}
	switch {
	case r.gate != nil:
		o.Judged(r.gate, func(v *use.Verdict) {
			into.Take(v)
			if p := v.PlainLink(r.gate); p != nil {
				now.href = p.Address(o.App.Project)
			} else if v.Open() && v.Leave != "" && len(v.Chosen.Effects) == 0 && r.gate.Confirm == "" {
				now.leave = v.Leave
			}
		})
	case r.down == nil:
		into.State, into.By, into.Reason = use.StateGreyed, "case", "Nothing is wired to it yet."
	}
	if r.down != nil {
		o.Judged(r.down, func(v *use.Verdict) {
			if now.down = v.Open(); r.gate == nil {
				into.Take(v)
			}
		})
	}
	into.View = r.draw(o, e, spec, &now)
}

// turned says how that is which the gate turns on and off, or which of several values is in force: by the first case
// that does so.
func (v *ButtonView) turned(o *use.Opening, gate *plan.Gate) {
	if gate == nil {
		return
	}
	for _, c := range gate.Cases {
		for _, e := range c.Effects {
			if kind, is := e.Spec.(use.ChoosingEffect); is {
				if all, now := kind.Choices(o, e); len(all) > 0 {
					v.Choices, v.Waiting = all, now.Writing
					return
				}
			}
			if kind, is := e.Spec.(use.TurningEffect); is {
				if now, does := kind.Turned(o, e); does {
					v.Turned, v.Waiting = use.OnOrOff(now.Value), now.Writing
					if lasting, is := e.Spec.(interface{ Lasts() bool }); is {
						v.Held = lasting.Lasts()
					}
					return
				}
			}
		}
	}
}

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
