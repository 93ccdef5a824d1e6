package check

import (
	"cmp"
	"fmt"
	"maps"
	"slices"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

var drift = &Check{Name: "drift", Doc: "the same button at different places on screens of one kind", Run: func(ix *Index, report func(Finding)) {
	at := map[placedKey]map[project.Cell][]string{}
	below := map[string]map[project.Cell]int{}
	var order []placedKey
	for _, id := range ix.screens() {
		for _, b := range ix.placedOn(id) {
			if at[b.placedKey] == nil {
				at[b.placedKey] = map[project.Cell][]string{}
				order = append(order, b.placedKey)
			}
			at[b.placedKey][b.cell] = append(at[b.placedKey][b.cell], id)
			if below[id] == nil {
				below[id] = map[project.Cell]int{}
			}
			below[id][b.cell] = b.below
		}
	}
	for _, key := range order {
		cells := slices.SortedFunc(maps.Keys(at[key]), func(a, b project.Cell) int {
			return cmp.Or(cmp.Compare(len(at[key][b]), len(at[key][a])), cmp.Compare(a.Row, b.Row), cmp.Compare(a.Col, b.Col))
		})
		usual := at[key][cells[0]]
		var others []string
		for _, c := range cells[1:] {
			for _, id := range at[key][c] {
				// The buttons of a form stand below its fields, as many as it has.
				if key.kind == "form" && c.Col == cells[0].Col && below[id][c] == below[usual[0]][cells[0]] {
					continue
				}
				others = append(others, id)
			}
		}
		// Only where most are at one place does another one stand out.
		if len(usual) < 2 || len(others) == 0 || len(others) >= len(usual) {
			continue
		}
		slices.Sort(others)
		var titles []string
		for _, id := range others {
			titles = append(titles, "“"+ix.title(id)+"”")
		}
		report(Finding{Severity: Note, Screen: others[0], Words: fmt.Sprintf("“%s” stands in row %d, column %d on %d screens of this kind, and elsewhere on %s.", key.words, cells[0].Row, cells[0].Col, len(usual), english.List(titles, "and")), Evidence: "Hands find again what stays where it is."})
	}
}}

// placedKey is what makes two buttons the same: on screens of one kind, by their words, leading alike.
type placedKey struct{ kind, words, leads string }

// placedButton is one of them, and where it stands.
type placedButton struct {
	placedKey
	cell  project.Cell
	below int // rows of buttons above its own
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
			out = append(out, placedButton{key, project.Cell{Row: e.Cell.Row, Col: e.Cell.Col}, 0})
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
