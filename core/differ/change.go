package differ

import (
	"cmp"
	"slices"
	"strings"

	"ambergate/core/english"
)

// How says what became of a thing.
type How string

// What becomes of things.
const (
	Made    How = "made"
	Gone    How = "gone"
	Changed How = "changed"
)

// Change is one difference of one thing.
type Change struct {
	Entity string `json:"entity"`
	Kind   string `json:"kind"`             // of the entity
	Name   string `json:"name"`             // of the entity: “Defects”
	Screen string `json:"screen,omitempty"` // that is to be shown for it; "" where there is none, or it is gone
	// Element is the element, rail button or way of the screen that it is of.
	Element string `json:"element,omitempty"`
	How     How    `json:"how"`
	Thing   string `json:"thing"`          // the button “Close it”; the screen “Defects”
	What    string `json:"what,omitempty"` // of it: the label; "" where the whole thing was made or is gone
	Was     string `json:"was,omitempty"`
	Now     string `json:"now,omitempty"`
	// At is the JSON Pointer of the thing; Paths are those of what is different in it.
	At    string   `json:"at"`
	Paths []string `json:"paths"`
}

// Head says what is different, without the values: “The label of the button “Close it””.
func (c Change) Head() string {
	switch {
	case c.How == Made:
		return english.Capital(c.Thing) + " is new"
	case c.How == Gone:
		return english.Capital(c.Thing) + " is gone"
	case c.What == "":
		return english.Capital(c.Thing)
	}
	return english.Capital(c.What) + " of " + c.Thing
}

// Sentence says it whole, with the screen that the thing is on.
func (c Change) Sentence() string {
	of := c
	if c.Kind == "screen" && strings.Count(c.At, "/") > 1 {
		of.Thing += " on “" + c.Name + "”"
	}
	out := of.Head()
	switch {
	case c.How == Made && c.Now != "":
		out += ": " + c.Now
	case c.How == Gone && c.Was != "":
		out += "; it was: " + c.Was
	case c.How == Changed && c.Was == "" && c.Now == "":
		out += " is different"
	case c.How == Changed:
		out += ": " + cmp.Or(c.Now, "none") + " (was " + cmp.Or(c.Was, "none") + ")"
	}
	if out[len(out)-1] != '.' {
		out += "."
	}
	return out
}

// order puts changes as they are told: the application's own, screens by name, then what stands on many, then the rest.
func order(changes []Change) {
	rank := func(kind string) int {
		if i := slices.Index(kinds, kind); i >= 0 {
			return i
		}
		return len(kinds)
	}
	slices.SortStableFunc(changes, func(a, b Change) int {
		return cmp.Or(cmp.Compare(rank(a.Kind), rank(b.Kind)), cmp.Compare(a.Name, b.Name), cmp.Compare(a.Entity, b.Entity))
	})
}

// Told is a change in words, with who made it.
type Told struct {
	Change
	Words string   `json:"head"`
	Whole string   `json:"sentence"`
	By    []string `json:"by,omitempty"` // names
}

// Tell puts changes into words. Who gives the names of those who made what is different at some places.
func Tell(changes []Change, who func(paths []string) []string) []Told {
	out := make([]Told, len(changes))
	for i, c := range changes {
		out[i] = Told{Change: c, Words: c.Head(), Whole: c.Sentence()}
		if who != nil {
			out[i].By = who(c.Paths)
		}
	}
	return out
}
