package project

import (
	"fmt"
	"regexp"
	"slices"
)

// Colour is one of a project's palette, by day and by night, as #rrggbb; "" for the usual one.
type Colour struct {
	Light string `json:"light,omitempty"`
	Dark  string `json:"dark,omitempty"`
}

// PaletteNames are the colours of a palette: what screens stand on, what plain buttons are, what is written, lines, what
// is marked, what leads on, what is doubtful, what is bad.
var PaletteNames = []string{"ground", "plain", "ink", "line", "accent", "going", "doubtful", "bad"}

var colourForm = regexp.MustCompile(`^#[0-9a-f]{6}$`)

func validPalette(palette map[string]*Colour) error {
	for name, c := range palette {
		if err := OneOf("colour of the palette", name, PaletteNames...); err != nil {
			return err
		}
		if c == nil {
			continue
		}
		for _, one := range []string{c.Light, c.Dark} {
			if one != "" && !colourForm.MatchString(one) {
				return fmt.Errorf("“%s” is no colour: write one like #1f5b4e", one)
			}
		}
	}
	return nil
}

// Style is what an application looks like besides the usual colours of its palette.
type Style struct {
	Colours map[string]*OwnColour   `json:"colours,omitempty"`                                     // of the builder's own, by an id that begins with co_
	Buttons map[string]*ButtonStyle `json:"buttons,omitempty"`                                     // of all buttons that look one way, by its name
	Corners string                  `json:"corners,omitempty" jsonschema:"enum=square,enum=round"` // a little round, if none is said
	Text    string                  `json:"text,omitempty" jsonschema:"enum=small,enum=large"`     // how large all that is written is
	Logo    string                  `json:"logo,omitempty"`                                        // picture of the project, in the strip at the top
}

// OwnColour is a colour that the builder has named: wherever it is used it is changed at once.
type OwnColour struct {
	Item
	Name string `json:"name"`
	Colour
}

// ButtonStyle is how all buttons are drawn that look one way.
type ButtonStyle struct {
	Colour string `json:"colour"`                                                 // as ValidColour has it
	Drawn  string `json:"drawn,omitempty" jsonschema:"enum=filled,enum=outlined"` // filled, if none is said
}

// StyledTones are the looks whose buttons can be drawn in another colour, all at once.
var StyledTones = []string{"plain", "main", "strong", "quiet", "good", "warn", "stop"}

var ownColourForm = regexp.MustCompile(`^co_[a-z0-9_]{1,40}$`)

// ValidColour refuses what is no colour: #rrggbb, a name of the palette, or the id of one of the builder's own.
func ValidColour(c string) error {
	if c == "" || colourForm.MatchString(c) || ownColourForm.MatchString(c) || slices.Contains(PaletteNames, c) {
		return nil
	}
	return fmt.Errorf("a colour is written #rrggbb in small letters, or is one of the palette")
}

// HasColour says whether a colour that ValidColour allows is there.
func (s *Settings) HasColour(c string) bool {
	return !ownColourForm.MatchString(c) || s.Style != nil && s.Style.Colours[c] != nil
}

func (s *Style) validate() error {
	if s == nil {
		return nil
	}
	for id, c := range s.Colours {
		if c == nil || c.Name == "" || !ownColourForm.MatchString(id) {
			return fmt.Errorf("a colour of one’s own needs a name, and an id like co_roof")
		}
		c.ID = id
		for _, one := range []string{c.Light, c.Dark} {
			if !colourForm.MatchString(one) {
				return fmt.Errorf("the colour “%s” is written like #1f5b4e, by day and by night", c.Name)
			}
		}
	}
	for tone, b := range s.Buttons {
		if err := OneOf("look of buttons", tone, StyledTones...); err != nil {
			return err
		}
		if b == nil || b.Colour == "" {
			return fmt.Errorf("what all %s buttons look like needs a colour", tone)
		}
		if err := ValidColour(b.Colour); err != nil {
			return err
		}
		if err := OneOf("way to draw buttons", b.Drawn, "", "filled", "outlined"); err != nil {
			return err
		}
	}
	if err := OneOf("kind of corners", s.Corners, "", "square", "round"); err != nil {
		return err
	}
	return OneOf("size of texts", s.Text, "", "small", "large")
}
