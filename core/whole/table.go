package whole

import (
	"cmp"
	"slices"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Who is a set of roles that somebody may have.
type Who struct {
	Key    string   `json:"key"` // ids joined by +
	Roles  []string `json:"roles"`
	Name   string   `json:"name"`
	Start  string   `json:"start,omitempty"` // screen
	People int      `json:"people"`          // who have just these
}

// Line is a screen with a cell for each who.
type Line struct {
	Screen string `json:"screen"`
	Title  string `json:"title"`
	Type   string `json:"type"`
	Area   string `json:"area,omitempty"`
	Cells  []Cell `json:"cells"`
}

// Cell is how somebody gets to a screen, in short.
type Cell struct {
	Kind     reach.Kind `json:"kind"`
	Presses  int        `json:"presses,omitempty"`
	Given    []string   `json:"given,omitempty"`
	Trapped  bool       `json:"trapped,omitempty"`
	Expected check.Kept `json:"expected,omitempty"` // how it is with what is expected of just this; "" where nothing is
	Was      *Cell      `json:"was,omitempty"`      // at the other time, where it was otherwise
}

// Table is who gets where in a project.
type Table struct {
	Who      []Who      `json:"who"`
	Lines    []Line     `json:"lines"`
	Expected []Expected `json:"expected"`
	Changed  int        `json:"changed"` // cells that were otherwise
}

// Sets gives each role alone and each set of several that people have, by how many have just these.
func Sets(p *project.Project, people []map[string]bool) []Who {
	count := map[string]int{}
	sets := map[string]map[string]bool{}
	for _, roles := range people {
		known := map[string]bool{}
		for r, has := range roles {
			if has && p.Roles[r] != nil {
				known[r] = true
			}
		}
		if len(known) > 0 {
			count[reach.Roles(known)]++
			sets[reach.Roles(known)] = known
		}
	}
	var out []Who
	add := func(roles map[string]bool) {
		w := Who{Key: reach.Roles(roles), Name: check.RolesNamed(p, roles), Start: p.StartOf(roles), People: count[reach.Roles(roles)]}
		for _, r := range project.Ordered(p.Roles) {
			if roles[r.ID] {
				w.Roles = append(w.Roles, r.ID)
			}
		}
		out = append(out, w)
	}
	for _, r := range project.Ordered(p.Roles) {
		add(map[string]bool{r.ID: true})
	}
	var several []string
	for key, set := range sets {
		if len(set) > 1 {
			several = append(several, key)
		}
	}
	slices.Sort(several)
	for _, key := range several {
		add(sets[key])
	}
	return out
}

// Set gives the roles of a who.
func (w Who) Set() map[string]bool {
	out := map[string]bool{}
	for _, r := range w.Roles {
		out[r] = true
	}
	return out
}

// TableOf tells who gets where, and where it was otherwise at another time; nil for none.
func TableOf(g *reach.Graph, who []Who, was *reach.Graph) Table {
	out := Table{Who: who, Lines: []Line{}, Expected: expectations(g, who)}
	kept := map[[2]string]check.Kept{}
	for _, e := range out.Expected {
		for _, key := range e.Keys {
			at := [2]string{e.Screen, key}
			if kept[at] != check.IsBroken && (e.Kept == check.IsBroken || kept[at] != check.IsPerhaps) {
				kept[at] = e.Kept
			}
		}
	}
	for _, s := range screensOf(g.App) {
		line := Line{Screen: s.ID, Title: s.Title, Type: s.Type, Area: s.Area}
		for _, w := range who {
			cell := cellOf(g.For(w.Set()).Cells[s.ID])
			cell.Expected = kept[[2]string{s.ID, w.Key}]
			if was != nil {
				before := Cell{Kind: reach.IsNever}
				if was.App.Project.Screens[s.ID] != nil {
					before = cellOf(was.For(w.Set()).Cells[s.ID])
				}
				if !cell.alike(before) {
					cell.Was = &before
					out.Changed++
				}
			}
			line.Cells = append(line.Cells, cell)
		}
		out.Lines = append(out.Lines, line)
	}
	return out
}

func cellOf(c reach.Cell) Cell {
	return Cell{Kind: c.Kind, Presses: c.Presses, Given: c.Given, Trapped: c.Trapped}
}

func (c Cell) alike(d Cell) bool {
	return c.Kind == d.Kind && c.Presses == d.Presses && c.Trapped == d.Trapped && slices.Equal(c.Given, d.Given)
}

// screensOf gives the screens as they are listed: by area, then by their places in it.
func screensOf(app *plan.App) []*project.Screen {
	var out []*project.Screen
	for _, s := range app.Project.Screens {
		out = append(out, s)
	}
	slices.SortFunc(out, func(a, b *project.Screen) int {
		late := func(s *project.Screen) int {
			if s.Pos == 0 {
				return 1
			}
			return 0
		}
		return cmp.Or(cmp.Compare(a.Area, b.Area), cmp.Compare(late(a), late(b)), cmp.Compare(a.Pos, b.Pos), cmp.Compare(a.Title, b.Title), cmp.Compare(a.ID, b.ID))
	})
	return out
}
