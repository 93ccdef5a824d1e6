package element

import "ambergate/core/project"

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
