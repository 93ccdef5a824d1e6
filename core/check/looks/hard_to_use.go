package looks

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strconv"

	"ambergate/core/check"
	"ambergate/core/project"
	"ambergate/core/words"
)

// least is the contrast that words need against what they stand on (WCAG 2.2, 1.4.3).
const least = 4.5

var HardToUse = &check.Check{Name: "hard-to-use", Doc: "targets that are too small on operator screens, colours that are too close, pictures without words", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, id := range slices.Sorted(maps.Keys(ix.App.Project.Pictures)) {
		if p := ix.App.Project.Pictures[id]; p.Words == "" {
			report(check.Finding{Severity: check.Note, Entity: id, Words: "The picture “" + p.Name + "” has no words for who cannot see it."})
		}
	}
	for _, id := range slices.Sorted(maps.Keys(ix.App.Project.Clips)) {
		if c := ix.App.Project.Clips[id]; c.Words == "" {
			report(check.Finding{Severity: check.Note, Entity: id, Words: "The clip “" + c.Name + "” has no words for who cannot see it."})
		}
	}
	for _, c := range tooClose(ix.App.Project) {
		report(c)
	}
	for _, id := range ix.Screens() {
		s := ix.App.Screens[id]
		if s.Screen.Type != "operator" {
			continue
		}
		for _, e := range s.Elements {
			if e.Kind == "button" && len(e.Gates) > 0 && e.Cell.W < 2 {
				report(check.Finding{Severity: check.Doubtful, Screen: id, Element: e.ID, Words: "“" + words.Element(ix.App, s.Screen, e) + "” is one column wide: on an operator screen a finger in a glove misses it.", Evidence: "A target is 44 pixels wide and high at the least."})
			}
		}
	}
}}

// tooClose finds what is written in colours of the application's own that cannot be read.
func tooClose(p *project.Project) []check.Finding {
	var out []check.Finding
	palette := p.Settings.Palette
	of := func(name string, dark bool) string {
		c := palette[name]
		switch {
		case c == nil:
			return ""
		case dark:
			return c.Dark
		}
		return c.Light
	}
	for _, dark := range []bool{false, true} {
		look := map[bool]string{false: "light", true: "dark"}[dark]
		for _, ground := range []string{"ground", "plain"} {
			a, b := of("ink", dark), of(ground, dark)
			if ratio, ok := contrast(a, b); ok && ratio < least {
				out = append(out, check.Finding{Severity: check.Doubtful, Entity: project.SettingsID, Words: fmt.Sprintf("What is written stands out from the colour “%s” by %.1f to 1 in the %s look; it can be read from 4.5 to 1.", ground, ratio, look)})
			}
		}
	}
	return out
}

// contrast gives how far two colours are apart (WCAG 2.2, relative luminance); false where one is not said.
func contrast(a, b string) (float64, bool) {
	x, ok := luminance(a)
	y, also := luminance(b)
	if !ok || !also {
		return 0, false
	}
	return (max(x, y) + 0.05) / (min(x, y) + 0.05), true
}

func luminance(hex string) (float64, bool) {
	if len(hex) != 7 || hex[0] != '#' {
		return 0, false
	}
	sum := 0.0
	for i, weight := range []float64{0.2126, 0.7152, 0.0722} {
		n, err := strconv.ParseUint(hex[1+2*i:3+2*i], 16, 8)
		if err != nil {
			return 0, false
		}
		c := float64(n) / 255
		if c <= 0.04045 {
			c /= 12.92
		} else {
			c = math.Pow((c+0.055)/1.055, 2.4)
		}
		sum += weight * c
	}
	return sum, true
}
