package check

import (
	"cmp"
	"fmt"
	"slices"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

var drift = &Check{Name: "drift", Doc: "the same button at different places on screens of one kind", Run: func(ix *Index, report func(Finding)) {
	alike := map[placedKey][]placedButton{}
	var order []placedKey
	for _, id := range ix.screens() {
		for _, b := range ix.placedOn(id) {
			if alike[b.placedKey] == nil {
				order = append(order, b.placedKey)
			}
			alike[b.placedKey] = append(alike[b.placedKey], b)
		}
	}
	for _, key := range order {
		usual, n := usualOf(alike[key])
		var others []string
		for _, b := range alike[key] {
			// The buttons of a form stand below its fields, as many as it has.
			lower := key.kind == "form" && b.cell.Col == usual.cell.Col && b.below == usual.below
			if b.cell != usual.cell && !lower {
				others = append(others, b.screen)
			}
		}
		// Only where most are at one place does another one stand out.
		if n < 2 || len(others) == 0 || len(others) >= n {
			continue
		}
		slices.Sort(others)
		var titles []string
		for _, id := range others {
			titles = append(titles, "“"+ix.title(id)+"”")
		}
		report(Finding{Severity: Note, Screen: others[0], Words: fmt.Sprintf("“%s” stands in row %d, column %d on %d screens of this kind, and elsewhere on %s.", key.words, usual.cell.Row, usual.cell.Col, n, english.List(titles, "and")), Evidence: "Hands find again what stays where it is."})
	}
}}

// usualOf gives the one at the place where most are, of equal ones the highest and leftmost, and how many are there.
func usualOf(alike []placedButton) (placedButton, int) {
	if len(alike) == 1 {
		return alike[0], 1
	}
	at := map[project.Cell]int{}
	for _, b := range alike {
		at[b.cell]++
	}
	usual := slices.MaxFunc(alike, func(a, b placedButton) int {
		return cmp.Or(cmp.Compare(at[a.cell], at[b.cell]), cmp.Compare(b.cell.Row, a.cell.Row), cmp.Compare(b.cell.Col, a.cell.Col))
	})
	return usual, at[usual.cell]
}

// placedKey is what makes two buttons the same: on screens of one kind, by their words, leading alike.
type placedKey struct{ kind, words, leads string }

// placedButton is one of them, and where it stands.
type placedButton struct {
	placedKey
	screen string
	cell   project.Cell
	below  int // rows of buttons above its own
}

// placedOn gives those of one screen, each once.
func (ix *Index) placedOn(screen string) []placedButton {
	if known, is := ix.placedBy[screen]; is {
		return known
	}
	var out []placedButton
	s := ix.App.Screens[screen]
	once := map[placedKey]bool{}
	rows := map[int]bool{}
	for _, e := range s.Elements {
		if e.Kind != "button" {
			continue
		}
		rows[e.Cell.Row] = true
		leads, fixed := leadsAlike(e)
		key := placedKey{s.Screen.Type, ix.words(s.Screen, e), leads}
		if fixed && !once[key] {
			once[key] = true
			out = append(out, placedButton{key, screen, project.Cell{Row: e.Cell.Row, Col: e.Cell.Col}, 0})
		}
	}
	for i := range out {
		for row := range rows {
			if row < out[i].cell.Row {
				out[i].below++
			}
		}
	}
	if ix.placedBy == nil {
		ix.placedBy = map[string][]placedButton{}
	}
	ix.placedBy[screen] = out
	return out
}

// leadsAlike says where a button leads, in the same words wherever it leads alike; false where that is decided anew on
// each screen.
func leadsAlike(e *plan.Element) (string, bool) {
	for _, g := range e.Gates {
		if len(g.Cases) != 1 || g.Cases[0].Move == nil {
			continue
		}
		m := g.Cases[0].Move
		switch m.Kind {
		case "back", "home", "up", "close":
			return m.Kind, true
		}
		if only := m.Only(); only != nil && only.Target != nil {
			return only.Target.ID, true
		}
	}
	return "", false
}
