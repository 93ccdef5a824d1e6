package plan

import (
	"maps"
	"slices"
	"strings"
	"sync"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// allGranted is what each set of roles that came is granted; worked out when it is first asked for.
type allGranted struct {
	mu sync.Mutex
	by map[string]*Granted
}

// mostRoleSets is how many sets of roles are kept at once.
const mostRoleSets = 1000

// Granted is what a set of roles is granted, whoever has them. It is safe for use by many at once.
type Granted struct {
	Start string   // the screen that they start from; "" for none
	Names []string // of the roles, in their order

	app   *App
	roles map[string]bool
	mu    sync.RWMutex
	on    map[string]TableGranted
}

// TableGranted is what a set of roles is granted on one table. It is never changed.
type TableGranted struct {
	Sum  project.Grant // all grants added up, whatever the record
	Each []*project.Grant
	// Rows gives, for each verb, what a record must meet; nil for every record. It is known here only where no grant has a
	// row rule: else it hangs on who asks, and Rows itself is nil.
	Rows map[string]*cond.Pred
}

// GrantedTo gives what a set of roles is granted, worked out once for each set.
func (a *App) GrantedTo(roles map[string]bool) *Granted {
	names := make([]string, 0, len(roles))
	for id, has := range roles {
		if has {
			names = append(names, id)
		}
	}
	slices.Sort(names)
	key := strings.Join(names, "|")
	a.granted.mu.Lock()
	defer a.granted.mu.Unlock()
	g := a.granted.by[key]
	if g == nil {
		if a.granted.by == nil || len(a.granted.by) >= mostRoleSets {
			a.granted.by = map[string]*Granted{}
		}
		g = &Granted{Start: a.Project.StartOf(roles), Names: []string{}, app: a, roles: maps.Clone(roles), on: map[string]TableGranted{}}
		for _, r := range project.Ordered(a.Project.Roles) {
			if roles[r.ID] {
				g.Names = append(g.Names, r.Name)
			}
		}
		a.granted.by[key] = g
	}
	return g
}

// On gives what is granted on a table.
func (g *Granted) On(table string) TableGranted {
	g.mu.RLock()
	t, known := g.on[table]
	g.mu.RUnlock()
	if known {
		return t
	}
	t = TableGranted{Sum: g.app.Project.GrantOf(g.roles, table), Each: g.app.Project.GrantsOf(g.roles, table)}
	if !slices.ContainsFunc(t.Each, g.app.hasRule) {
		t.Rows = map[string]*cond.Pred{}
		for _, verb := range project.Verbs {
			t.Rows[verb] = cond.Nothing()
			if slices.ContainsFunc(t.Each, func(of *project.Grant) bool { return of.May(verb) }) {
				t.Rows[verb] = nil
			}
		}
	}
	if g.app.Project.Tables[table] != nil {
		g.mu.Lock()
		defer g.mu.Unlock()
		g.on[table] = t
	}
	return t
}

func (a *App) hasRule(of *project.Grant) bool {
	rule := a.Rules[of.ID]
	return rule.Broken || rule.Rows != nil || rule.Changes != nil
}
