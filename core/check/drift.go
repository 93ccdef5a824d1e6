package check

import (
	"cmp"
	"fmt"
	"maps"
	"slices"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

var drift = &Check{Name: "drift", Doc: "the same button at different places on screens of one kind", Run: func(ix *Index, report func(Finding)) {
	type same struct{ kind, words, leads string }
	at := map[same]map[project.Cell][]string{}
	var order []same
	for _, id := range sortedScreens(ix.App) {
		s := ix.App.Screens[id]
		once := map[same]bool{}
		for _, e := range s.Elements {
			if e.Kind != "button" {
				continue
			}
			leads, fixed := leadsAlike(e)
			key := same{s.Screen.Type, words.Element(ix.App, s.Screen, e), leads}
			if !fixed || once[key] {
				continue
			}
			once[key] = true
			if at[key] == nil {
				at[key] = map[project.Cell][]string{}
				order = append(order, key)
			}
			cell := project.Cell{Row: e.Cell.Row, Col: e.Cell.Col}
			at[key][cell] = append(at[key][cell], s.Screen.ID)
		}
	}
	for _, key := range order {
		cells := slices.SortedFunc(maps.Keys(at[key]), func(a, b project.Cell) int {
			return cmp.Or(cmp.Compare(len(at[key][b]), len(at[key][a])), cmp.Compare(a.Row, b.Row), cmp.Compare(a.Col, b.Col))
		})
		usual := at[key][cells[0]]
		var others []string
		for _, c := range cells[1:] {
			others = append(others, at[key][c]...)
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
