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

// Elsewhere tells of buttons that stand at another place than the same ones do on most screens of their kind.
func (ix *Index) Elsewhere() (out []Finding) {
	if ix.placed == nil {
		ix.placed = &placements{map[placedKey][]placedButton{}, map[placedKey]Finding{}}
		for _, id := range ix.Screens() {
			for _, b := range ix.placedOn(id) {
				ix.placed.alike[b.placedKey] = append(ix.placed.alike[b.placedKey], b)
			}
		}
		for key := range ix.placed.alike {
			ix.compare(key)
		}
	}
	for _, key := range slices.SortedFunc(maps.Keys(ix.placed.found), placedKey.compare) {
		out = append(out, ix.placed.found[key])
	}
	return out
}

// placements is where the buttons of a project stand, and where the same one stands elsewhere. It is not changed once
// all is found.
type placements struct {
	alike map[placedKey][]placedButton // by screen
	found map[placedKey]Finding
}

// placedAgain takes over where the buttons of other screens stand.
func (ix *Index) placedAgain(old *Index, changed map[string]bool) {
	if old.placed == nil {
		return
	}
	ix.placed = &placements{maps.Clone(old.placed.alike), maps.Clone(old.placed.found)}
	touched := map[placedKey]bool{}
	for _, screen := range slices.Sorted(maps.Keys(changed)) {
		for _, b := range old.placedOn(screen) {
			touched[b.placedKey] = true
			ix.placed.alike[b.placedKey] = slices.DeleteFunc(slices.Clone(ix.placed.alike[b.placedKey]), func(b placedButton) bool { return b.screen == screen })
		}
		for _, b := range ix.placedOn(screen) {
			touched[b.placedKey] = true
			all := append(slices.Clip(ix.placed.alike[b.placedKey]), b)
			slices.SortFunc(all, func(x, y placedButton) int { return cmp.Compare(x.screen, y.screen) })
			ix.placed.alike[b.placedKey] = all
		}
	}
	for key := range touched {
		ix.compare(key)
	}
}

// compare finds whether the same button stands elsewhere on some screens.
func (ix *Index) compare(key placedKey) {
	delete(ix.placed.found, key)
	alike := ix.placed.alike[key]
	if len(alike) == 0 {
		delete(ix.placed.alike, key)
		return
	}
	usual, n := usualOf(alike)
	var others []string
	for _, b := range alike {
		// The buttons of a form stand below its fields, as many as it has.
		lower := key.kind == "form" && b.cell.Col == usual.cell.Col && b.below == usual.below
		if b.cell != usual.cell && !lower {
			others = append(others, b.screen)
		}
	}
	// Only where most are at one place does another one stand out.
	if n < 2 || len(others) == 0 || len(others) >= n {
		return
	}
	var titles []string
	for _, id := range others {
		titles = append(titles, "“"+ix.Title(id)+"”")
	}
	ix.placed.found[key] = Finding{Severity: Note, Screen: others[0], Words: fmt.Sprintf("“%s” stands in row %d, column %d on %d screens of this kind, and elsewhere on %s.", key.words, usual.cell.Row, usual.cell.Col, n, english.List(titles, "and")), Evidence: "Hands find again what stays where it is."}
}

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

func (k placedKey) compare(o placedKey) int {
	return cmp.Or(cmp.Compare(k.kind, o.kind), cmp.Compare(k.words, o.words), cmp.Compare(k.leads, o.leads))
}

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
		key := placedKey{s.Screen.Type, ix.Words(s.Screen, e), leads}
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
