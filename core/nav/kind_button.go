package nav

import (
	"fmt"

	"ambergate/core/cond"
	"ambergate/core/project"
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
	Current bool   `json:"current,omitempty"` // on a rail: it leads to where one is

	Picture *PictureView         `json:"picture,omitempty"`
	States  map[string]*FaceView `json:"states,omitempty"` // how it looks otherwise: hover, pressed, greyed, focus
}

// MarkCurrent marks it as the one that leads to where one is.
func (v *ButtonView) MarkCurrent() { v.Current = true }

// PictureView is a picture of the project on a button.
type PictureView struct {
	Digest string `json:"digest"`
	Words  string `json:"words"`
}

// FaceView is what a face changes.
type FaceView struct {
	Words   string       `json:"words,omitempty"`
	Icon    string       `json:"icon,omitempty"`
	Tone    string       `json:"tone,omitempty"`
	Colour  string       `json:"colour,omitempty"`
	Picture *PictureView `json:"picture,omitempty"`
}

// Button is pressed; its gate says what follows.
type Button struct {
	project.ElementHead
	nothingToFetch
	Words   string        `json:"words"` // template
	Icon    string        `json:"icon,omitempty"`
	Tone    string        `json:"tone,omitempty"`    // plain (default), main, strong, sign
	Colour  string        `json:"colour,omitempty"`  // #rrggbb in the stead of the tone's ground
	Note    string        `json:"note,omitempty"`    // template: a line under the words, on signs
	Trigger string        `json:"trigger,omitempty"` // release (default), press
	Tip     string        `json:"tip,omitempty"`     // template: shown while it is pointed at
	Keys    string        `json:"keys,omitempty"`    // shortcut, as in Ctrl+E
	Picture string        `json:"picture,omitempty"` // picture of the project
	Gate    *project.Gate `json:"gate,omitempty"`

	Faces map[string]*project.Face `json:"faces,omitempty"` // how it looks in one condition or state
}

// Validate refuses a trigger or tone that does not exist.
func (spec *Button) Validate() error {
	if err := project.OneOf("trigger", spec.Trigger, "", "release", "press"); err != nil {
		return err
	}
	for id, f := range spec.Faces {
		if f == nil {
			return fmt.Errorf("face %s is empty", id)
		}
		f.ID = id
		if err := f.Validate(); err != nil {
			return fmt.Errorf("face %s: %w", id, err)
		}
	}
	if err := project.ValidColour(spec.Colour); err != nil {
		return err
	}
	if err := project.ValidKeys(spec.Keys); err != nil {
		return err
	}
	return project.OneOf("tone", spec.Tone, project.Tones...)
}

// Gates gives the button's one gate.
func (spec *Button) Gates() map[string]*project.Gate {
	return project.GatesOn(spec.TriggerName(), spec.Gate)
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
func (spec *Button) Called(_ scene, e *ElementPlan) string {
	if t := e.Texts["words"]; t != nil {
		return t.Phrase()
	}
	return spec.Words
}

func (spec *Button) Plan(b *planner) {
	b.element.Texts["words"] = b.template("words", spec.Words)
	b.element.Texts["note"] = b.template("note", spec.Note)
	b.element.Texts["tip"] = b.template("tip", spec.Tip)
	b.picture(spec.Picture)
	for _, f := range project.Ordered(spec.Faces) {
		if f.When != "" {
			b.element.Exprs["face."+f.ID] = b.condition("face", f.When)
		}
		b.element.Texts["face."+f.ID] = b.template("face", f.Words)
		b.picture(f.Picture)
	}
}

// picture notes one that is gone.
func (b *planner) picture(id string) {
	if id != "" && b.app.Project.Pictures[id] == nil {
		b.broken("picture", id, cond.Problem{Message: "The picture it showed is gone.", Length: 1})
	}
}

// NewView gives an empty view of it.
func (*Button) NewView() any { return &ButtonView{} }

func (spec *Button) View(o *Opening, e *ElementPlan, into *ElementView) {
	v := &ButtonView{Words: o.text(e, "words"), Note: o.text(e, "note"), Tip: o.text(e, "tip"), Icon: spec.Icon, Tone: spec.Tone, Colour: spec.Colour, Trigger: spec.TriggerName(), Keys: spec.Keys, Picture: o.picture(spec.Picture)}
	into.View = v
	o.face(e, spec, v)
	if v.Tone == "" {
		v.Tone = "plain"
	}
	gate := e.Gates[spec.TriggerName()]
	if gate == nil {
		into.State, into.By, into.Reason = "greyed", "case", "Nothing is wired to it yet."
		return
	}
	verdict := o.judge(gate, aim{})
	into.take(verdict)
	v.Writes, v.Drops = gate.Writes(), gate.Unsaved == "drop"
	if p := verdict.plainLink(gate); p != nil {
		v.Href = p.Address(o.app.Project)
	} else if verdict.Open() && verdict.Leave != "" && len(verdict.chosen.Effects) == 0 && gate.Confirm == "" {
		v.Leave = verdict.Leave
	}
	for _, c := range gate.Cases {
		v.Saves = v.Saves || saves(c)
		for _, m := range c.Move.Leads() {
			if m.Target != nil {
				v.Plate = m.Target.Type
			}
		}
	}
}

// picture gives a picture of the project; nil if there is none.
func (o *Opening) picture(id string) *PictureView {
	p := o.app.Project.Pictures[id]
	if p == nil {
		return nil
	}
	words := p.Words
	if words == "" {
		words = p.Name
	}
	return &PictureView{Digest: p.Digest, Words: words}
}

// face shows the first face whose condition holds. One that cannot be decided shows the face for
// what is unknown, never the next one.
func (o *Opening) face(e *ElementPlan, spec *Button, v *ButtonView) {
	unknown, shown := false, (*project.Face)(nil)
	for _, f := range project.Ordered(spec.Faces) {
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
			value = c.Root.Eval(o.world)
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
			if c := e.Exprs["face."+f.ID]; c == nil || !c.Root.Eval(o.world).True() {
				continue
			}
		}
		if f.State == "unknown" && unknown {
			shown = f
		} else if f.State != "" && f.State != "unknown" {
			if v.States == nil {
				v.States = map[string]*FaceView{}
			}
			v.States[f.State] = &FaceView{Words: o.text(e, "face."+f.ID), Icon: f.Icon, Tone: f.Tone, Colour: f.Colour, Picture: o.picture(f.Picture)}
		}
	}
	if shown == nil {
		if unknown {
			v.Tone, v.Colour = "unknown", ""
		}
		return
	}
	if words := o.text(e, "face."+shown.ID); words != "" {
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
	if p := o.picture(shown.Picture); p != nil {
		v.Picture = p
	}
}

// take shows a gate's verdict on the element that sets it off.
func (ev *ElementView) take(v Verdict) {
	ev.By, ev.Reason = v.By, v.Reason
	ev.State = map[string]string{"open": "shown", "greyed": "greyed", "hidden": "hidden"}[v.State]
}

// text says one of the element's templates.
func (o *Opening) text(e *ElementPlan, name string) string {
	t := e.Texts[name]
	if t == nil {
		return ""
	}
	return t.Say(o.world, o.world.say)
}
