package project

import "fmt"

// Button is pressed; its gate says what follows.
type Button struct {
	Words   string `json:"words"` // template
	Icon    string `json:"icon,omitempty"`
	Tone    string `json:"tone,omitempty"`    // plain (default), main, strong, sign
	Colour  string `json:"colour,omitempty"`  // #rrggbb in the stead of the tone's ground
	Note    string `json:"note,omitempty"`    // template: a line under the words, on signs
	Trigger string `json:"trigger,omitempty"` // release (default), press
	Tip     string `json:"tip,omitempty"`     // template: shown while it is pointed at
	Keys    string `json:"keys,omitempty"`    // shortcut, as in Ctrl+E
	Picture string `json:"picture,omitempty"` // picture of the project
	Gate    *Gate  `json:"gate,omitempty"`

	Faces map[string]*Face `json:"faces,omitempty"` // how it looks in one condition or state
}

// Validate refuses a trigger or tone that does not exist.
func (b *Button) Validate() error {
	if err := oneOf("trigger", b.Trigger, "", "release", "press"); err != nil {
		return err
	}
	for id, f := range b.Faces {
		if f == nil {
			return fmt.Errorf("face %s is empty", id)
		}
		f.ID = id
		if err := f.validate(); err != nil {
			return fmt.Errorf("face %s: %w", id, err)
		}
	}
	if err := validColour(b.Colour); err != nil {
		return err
	}
	if err := ValidKeys(b.Keys); err != nil {
		return err
	}
	return oneOf("tone", b.Tone, Tones...)
}

// Gates gives the button's one gate.
func (b *Button) Gates() map[string]*Gate { return gates(b.TriggerName(), b.Gate) }

// TriggerName gives the trigger with its default.
func (b *Button) TriggerName() string {
	if b.Trigger == "" {
		return "release"
	}
	return b.Trigger
}

// Words is a text on a screen.
type Words struct {
	Words string `json:"words"`           // template
	Style string `json:"style,omitempty"` // plain (default), heading, note
}

// Validate refuses a style that does not exist.
func (w *Words) Validate() error { return oneOf("style", w.Style, "", "plain", "heading", "note") }

// Gates gives none.
func (w *Words) Gates() map[string]*Gate { return nil }

// Field shows, and on a form in edit mode edits, one field of the screen's record.
type Field struct {
	Path     string `json:"path"` // field ids joined by dots
	Label    string `json:"label,omitempty"`
	ReadOnly bool   `json:"readOnly,omitempty"`
	Gate     *Gate  `json:"gate,omitempty"`    // its value is a way, where it has one
	Changed  *Gate  `json:"changed,omitempty"` // set off when another value was given
	Add      string `json:"add,omitempty"`     // of a relation: the form that a missing record can be added with, in a dialog
}

// Validate asks for a path.
func (f *Field) Validate() error {
	if f.Path == "" {
		return fmt.Errorf("a field element needs the path of its field")
	}
	return nil
}

// Gates gives the gate of the field's value, and that of its change.
func (f *Field) Gates() map[string]*Gate {
	all := gates("release", f.Gate)
	if f.Changed != nil {
		if all == nil {
			all = map[string]*Gate{}
		}
		all["changed"] = f.Changed
	}
	return all
}

func gates(trigger string, g *Gate) map[string]*Gate {
	if g == nil {
		return nil
	}
	return map[string]*Gate{trigger: g}
}

func oneOf(what, got string, allowed ...string) error {
	for _, a := range allowed {
		if got == a {
			return nil
		}
	}
	return fmt.Errorf("there is no %s %q", what, got)
}
