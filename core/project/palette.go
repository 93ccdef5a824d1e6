package project

import (
	"fmt"
	"regexp"
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
