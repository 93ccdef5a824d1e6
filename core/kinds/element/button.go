package element

import (
	"fmt"
	"slices"

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

// FaceView is what a face changes.
type FaceView struct {
	Words   string           `json:"words,omitempty"`
	Icon    string           `json:"icon,omitempty"`
	Tone    string           `json:"tone,omitempty"`
	Colour  string           `json:"colour,omitempty"`
	Picture *use.PictureView `json:"picture,omitempty"`
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

// face shows the first face whose condition holds. One that cannot be decided shows the face for
// what is unknown, never the next one.
func face(o *use.Opening, e *plan.Element, spec *Button, v *ButtonView) {
	unknown, shown := v.Turned == "unknown", (*Face)(nil)
	for _, f := range project.Ordered(spec.Faces) {
		if f.State != "" && f.State == v.Turned && shown == nil && f.When == "" {
			shown = f
			continue
		}
		if f.State != "" || shown != nil || unknown {
			continue
		}
		if f.When == "" {
			shown = f
			continue
		}
		c := e.Exprs["face."+f.ID]
		value := cond.UnknownBecause("its condition cannot be read")
		if c != nil {
			value = c.Root.Eval(o.World)
		}
		switch {
		case !value.Known():
			unknown = true
		case value.True():
			shown = f
		}
	}
	for _, f := range project.Ordered(spec.Faces) {
		if f.When != "" && f.State != "" {
			if c := e.Exprs["face."+f.ID]; c == nil || !c.Root.Eval(o.World).True() {
				continue
			}
		}
		if f.State == "unknown" && unknown {
			shown = f
		} else if slices.Contains([]string{"hover", "pressed", "greyed", "focus"}, f.State) {
			if v.States == nil {
				v.States = map[string]*FaceView{}
			}
			v.States[f.State] = &FaceView{Words: o.Text(e, "face."+f.ID), Icon: f.Icon, Tone: f.Tone, Colour: f.Colour, Picture: o.PictureView(f.Picture)}
		}
	}
	if shown == nil {
		if unknown {
			v.Tone, v.Colour = "unknown", ""
		}
		return
	}
	if words := o.Text(e, "face."+shown.ID); words != "" {
		v.Words = words
	}
	if shown.Icon != "" {
		v.Icon = shown.Icon
	}
	if shown.Tone != "" || shown.Colour != "" {
		v.Colour = shown.Colour // a face with a tone shows that, not the button's own colour
	}
	if shown.Tone != "" {
		v.Tone = shown.Tone
	}
	if p := o.PictureView(shown.Picture); p != nil {
		v.Picture = p
	}
}

// Tones are how a button is dressed.
var Tones = []string{"", "plain", "main", "strong", "sign", "quiet", "good", "warn", "stop"}

// Face is how a button looks in one condition: the first whose condition holds is shown. A face
// of a state, without a condition, changes how the shown one looks in that state.
type Face struct {
	project.Item
	When    string `json:"when,omitempty"`  // condition
	State   string `json:"state,omitempty"` // hover, pressed, greyed, focus; on, off, unknown: of what is turned on and off; empty: normal
	Words   string `json:"words,omitempty"` // template; empty: the button's own
	Icon    string `json:"icon,omitempty"`
	Picture string `json:"picture,omitempty"`
	Tone    string `json:"tone,omitempty"`
	Colour  string `json:"colour,omitempty"` // in the stead of the tone's ground, as project.ValidColour has it
}

// Validate refuses states, tones and colours that do not exist.
func (f *Face) Validate() error {
	if err := project.OneOf("state", f.State, "", "hover", "pressed", "greyed", "focus", "on", "off", "unknown"); err != nil {
		return err
	}
	if err := project.ValidColour(f.Colour); err != nil {
		return err
	}
	return project.OneOf("tone", f.Tone, Tones...)
}
