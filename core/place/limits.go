package place

import (
	"fmt"
	"strings"
	"unicode/utf8"

	"ambergate/core/ask"
)

// What a place may ask for at the most: each of these becomes part of a statement, and anybody who may see a
// list can type them into an address.
const (
	maxFind    = 200 // characters
	MaxWords   = 12  // that are looked for at once
	maxFilters = 20
	maxValues  = 200 // of one filter
	maxSorts   = 8
	maxSteps   = 6      // relations that a path goes through
	maxValue   = 2_000  // characters of an input or a filter
	maxSet     = 20_000 // characters that a field of a new record is filled in with
	maxNamed   = 60     // inputs, fields filled in, tabs
)

// bounded refuses a place that asks for more than anybody needs.
func (p Place) bounded() error {
	if !utf8.ValidString(p.Find) || utf8.RuneCountInString(p.Find) > maxFind || len(strings.Fields(p.Find)) > MaxWords {
		return ask.Refuse("too-much", fmt.Sprintf("At most %d words of together %d letters can be looked for at once.", MaxWords, maxFind), "Look for fewer.")
	}
	if len(p.Filters) > maxFilters || len(p.Sort) > maxSorts {
		return ask.Refuse("too-much", fmt.Sprintf("A list takes at most %d filters and %d orders at once.", maxFilters, maxSorts), "Take some off.")
	}
	if len(p.Inputs) > maxNamed || len(p.Set) > maxNamed || len(p.Tabs) > maxNamed || len(p.Look) > maxNamed {
		return ask.Refuse("too-much", "This address says more than a screen takes.", "Open the screen from another one.")
	}
	for _, f := range p.Filters {
		if !short(f.Value, maxValue) || strings.Count(f.Path, ".") > maxSteps || f.Compare == "in" && strings.Count(f.Value, "|") >= maxValues {
			return ask.Refuse("too-much", fmt.Sprintf("A filter takes at most %d values of together %d letters.", maxValues, maxValue), "Choose fewer.")
		}
	}
	for _, s := range p.Sort {
		if strings.Count(s.Path, ".") > maxSteps {
			return ask.Refuse("too-much", "This order goes through too many records.", "Take the order off.")
		}
	}
	for _, values := range []map[string]string{p.Inputs, p.Tabs} {
		for _, v := range values {
			if !short(v, maxValue) {
				return ask.Refuse("too-much", "A value in this address is too long.", "Open the screen from another one.")
			}
		}
	}
	for _, v := range p.Set {
		if !short(v, maxSet) {
			return ask.Refuse("too-much", "A value in this address is too long.", "Open the screen from another one.")
		}
	}
	return nil
}

func short(text string, most int) bool {
	return len(text) <= most || utf8.RuneCountInString(text) <= most
}
