package check

import (
	"maps"
	"slices"

	"ambergate/core/check/reach"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// Index is what the checks share: every way of the project, in a stable order, and what was found
// out of things that many ways have in common.
type Index struct {
	App      *plan.App
	Ways     []Way
	Outside  Outside
	Graph    *reach.Graph      // what leads where; nil until it is asked for
	Sets     []map[string]bool // sets of roles that people have
	only     []string          // screens that are looked at; nil for all
	stated   []Stated          // every condition; nil until it is asked for
	grants   map[[2]string]project.Grant
	hidden   map[hiddenAsk]string
	does     map[string]map[[2]string]bool
	done     map[string][]doing
	shutTo   map[shutAsk][]string
	said     map[*plan.Element]string
	labels   map[string][]*Labelled
	statedBy map[string][]Stated
	placedBy map[string][]placedButton
	placed   *placements
	results  []*reach.Result // of everybody, each who
	asks     map[*cond.Node]bool
	refused  map[refusedAsk]string
	turns    map[turn]bool
}

// Outside is what stands outside a project and is compared with it.
type Outside struct {
	// Others gives the released app of another project by its slug; nil: it has no release. Where
	// the function is nil nothing is known of other projects, and nothing is found.
	Others func(slug string) *plan.App
	// Gone is what the project names of its databases and they do not have.
	Gone []Gone
}

// Gone is a table that is not in its database, or a column that is not in its table.
type Gone struct {
	Table string // id
	Field string // id; "" when the table itself is gone
}

// Grant gives what a role alone may do with a table.
func (ix *Index) Grant(role, table string) project.Grant {
	key := [2]string{role, table}
	g, known := ix.grants[key]
	if !known {
		g = ix.App.Project.GrantOf(map[string]bool{role: true}, table)
		if ix.grants == nil {
			ix.grants = map[[2]string]project.Grant{}
		}
		ix.grants[key] = g
	}
	return g
}

// grantOf gives what a set of roles may do with one.
func (ix *Index) grantOf(roles map[string]bool, table string) project.Grant {
	if len(roles) == 1 {
		for role := range roles {
			return ix.Grant(role, table)
		}
	}
	return ix.App.Project.GrantOf(roles, table)
}

func newIndex(app *plan.App, outside Outside) *Index {
	ix := &Index{App: app, Outside: outside}
	for _, id := range sortedScreens(app) {
		ix.Ways = append(ix.Ways, waysOf(app, id)...)
	}
	return ix
}

// waysOf gives those of one screen.
func waysOf(app *plan.App, screen string) []Way {
	var all []Way
	for _, out := range app.Screens[screen].Ways() {
		w := Way{Way: out}
		if len(w.Gate.Cases) == 0 {
			all = append(all, w)
		}
		for _, c := range w.Gate.Cases {
			w.Of = c
			all = append(all, w)
		}
	}
	return all
}

// Screens gives those that are looked at, in a stable order.
func (ix *Index) Screens() []string {
	if ix.only == nil {
		ix.only = sortedScreens(ix.App)
	}
	return ix.only
}

// LooksAt says whether a screen is one of them; "" never is.
func (ix *Index) LooksAt(screen string) bool {
	_, found := slices.BinarySearch(ix.Screens(), screen)
	return found
}

// Way is one case of one gate of one element, on one screen.
type Way struct {
	plan.Way
	Of *plan.Case // nil when the gate has no case
}

// Finding gives one at the place of a way.
func (w Way) Finding(s Severity, words string) Finding {
	f := Finding{Severity: s, Screen: w.Screen.ID, Element: w.Element.ID, Trigger: w.Trigger, Words: words}
	if w.Rail != nil {
		f.Entity = w.Rail.ID
	}
	return f
}

// OfGate gives one about the gate of a way: that of a shared gate is told once, however many ways go through it.
func (w Way) OfGate(s Severity, words string) Finding {
	f := w.Finding(s, words)
	if w.Gate.Shared != nil {
		f.Once = w.Wiring()
	}
	return f
}

// Targets gives the screens of this project that a way may lead to, each with what it brings.
func (w Way) Targets() []*plan.Lead {
	if w.Of == nil {
		return nil
	}
	var out []*plan.Lead
	for _, m := range w.Of.Move.Leads() {
		if m.Target != nil {
			out = append(out, m)
		}
	}
	return out
}

func Label(p *project.Project, table string) string {
	if t := p.Tables[table]; t != nil {
		return t.Label
	}
	return "no table"
}

func sortedScreens(app *plan.App) []string { return slices.Sorted(maps.Keys(app.Screens)) }

// Words says what an element is called; worked out once.
func (ix *Index) Words(s *project.Screen, e *plan.Element) string {
	said, known := ix.said[e]
	if !known {
		said = words.Element(ix.App, s, e)
		if ix.said == nil {
			ix.said = map[*plan.Element]string{}
		}
		ix.said[e] = said
	}
	return said
}

func (ix *Index) Title(screen string) string {
	if s := ix.App.Project.Screens[screen]; s != nil {
		return s.Title
	}
	return "a screen that is gone"
}
