package reach

import (
	"maps"
	"slices"

	"ambergate/core/beside"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Graph is all that can lead from one screen of a project to another. What it is asked may be asked by many at once.
type Graph struct {
	App     *plan.App
	Screens []string // ids, sorted
	index   map[string]int
	edges   [][]*Edge // by screen
	of      map[string]collected
	proofs  *proofs
	results map[string]*Result
	before  map[string]*Result // of the graph before an edit, to be taken over
	kept    *kept              // of that graph; nil for none
	anybody *runner            // from whom nothing is kept
	who     map[string]bool
	bottom  []bool // by screen: something may lead there so that nothing lies behind
}

// collected is the edges of a screen with all that they were found in.
type collected struct {
	screen  *plan.Screen
	targets map[string]bool // those it leads to, and up
	edges   []*Edge
}

// door is what edges ask of the screen that they lead to; besides, they take it as a plan.Target.
type door struct {
	there, bad   bool
	guard, title string
}

func doorOf(s *plan.Screen) door {
	if s == nil {
		return door{}
	}
	return door{true, s.BadGuard, s.Screen.Guard, s.Screen.Title}
}

// Of finds all edges of a project. What an older graph of it found of screens that are still the same is taken over;
// nil for none.
func Of(app *plan.App, old *Graph) *Graph {
	g := &Graph{App: app, Screens: slices.Sorted(maps.Keys(app.Screens)), index: map[string]int{}, of: map[string]collected{}, proofs: newProofs(), results: map[string]*Result{}}
	if old != nil && old.App.Compiler == app.Compiler && !old.proofs.full() {
		g.proofs = old.proofs // conditions are the same where their texts are
	}
	if old != nil {
		old.proofs.mu.Lock()
		g.before = maps.Clone(old.results)
		old.before = nil // else each would keep the one before it
		old.proofs.mu.Unlock()
	}
	moved := g.otherDoors(old)
	for i, id := range g.Screens {
		g.index[id] = i
	}
	found := make([]collected, len(g.Screens))
	beside.Each(len(g.Screens), func(i int) { found[i] = g.collect(g.Screens[i], old, moved) })
	for i, id := range g.Screens {
		g.of[id] = found[i]
		g.edges = append(g.edges, found[i].edges)
	}
	if old != nil {
		g.kept = g.keptOf(old)
	}
	g.bottom = make([]bool, len(g.Screens))
	for _, edges := range g.edges {
		for _, e := range edges {
			if e.To != nil && (e.As == "replace" || e.restarts || e.Way.Trigger == "entered") {
				g.bottom[g.index[e.To.ID]] = true
			}
		}
	}
	return g
}

func (g *Graph) collect(id string, old *Graph, moved []string) collected {
	screen := g.App.Screens[id]
	if old != nil {
		if was, found := old.of[id]; found && was.screen == screen && !slices.ContainsFunc(moved, func(id string) bool { return was.targets[id] }) {
			return was
		}
	}
	now := collected{screen: screen, targets: map[string]bool{screen.Screen.Up: true}, edges: edgesOf(g.App, screen)}
	for _, e := range now.edges {
		if e.To != nil {
			now.targets[e.To.ID] = true
			g.aim(e)
		}
	}
	return now
}

// aim notes the state that an edge leads to.
func (g *Graph) aim(e *Edge) { e.at = stateOf(g.index[e.To.ID], e.Mode, e.Over()) }

// otherDoors gives the screens whose door is another than in an older graph.
func (g *Graph) otherDoors(old *Graph) []string {
	if old == nil {
		return nil
	}
	var out []string
	for id, now := range g.App.Screens {
		if before := old.App.Screens[id]; before != now && doorOf(before) != doorOf(now) {
			out = append(out, id)
		}
	}
	for id := range old.App.Screens {
		if g.App.Screens[id] == nil {
			out = append(out, id)
		}
	}
	return out
}

// LeadTo gives the screens that lead to one of some, or have it above them.
func (g *Graph) LeadTo(screens map[string]bool) []string {
	var out []string
	for _, id := range g.Screens {
		for screen := range screens {
			if g.of[id].targets[screen] {
				out = append(out, id)
				break
			}
		}
	}
	return out
}

// Edges gives what leads away from a screen.
func (g *Graph) Edges(screen string) []*Edge {
	i, found := g.index[screen]
	if !found {
		return nil
	}
	return g.edges[i]
}

// calledEdges gives what leads to screens by call-ups that are for some roles, from anywhere.
func (g *Graph) calledEdges(r roles) []*Edge {
	var out []*Edge
	for _, c := range g.App.CallUps {
		to := g.App.Project.Screens[c.Screen]
		if c.While == nil || to == nil || !c.IsFor(r) {
			continue
		}
		e := &Edge{To: plan.TargetOf(to), Mode: "view", CallUp: c.CallUp}
		e.parts = append(e.parts, Part{Node: c.While.Root, Says: c.While.Root, Of: "call-up"})
		if guard := g.App.Screens[to.ID].Guard; guard != nil {
			n := rewrite(guard.Root, "call-up "+c.ID, func(p *cond.Path) *cond.Node {
				switch {
				case p.Root == "record" && c.Input != "" && to.Record == c.Input:
					return path(p)
				case p.Root == "record" || p.Root == "inputs" || p.Root == "vars":
					return nil
				}
				return path(p)
			})
			e.parts = append(e.parts, Part{Node: n, Says: guard.Root, Of: "guard"})
		}
		g.aim(e)
		out = append(out, e)
	}
	return out
}

// roundEdges gives what leads from one screen of a role's round to the next.
func (g *Graph) roundEdges(r roles) []*Edge {
	stops := g.App.Project.RoundOf(r)
	var out []*Edge
	for i, stop := range stops {
		next := stops[(i+1)%len(stops)]
		from, to := g.App.Project.Screens[stop.Screen], g.App.Project.Screens[next.Screen]
		if from == nil || to == nil || from == to || !to.Alone() {
			continue
		}
		e := &Edge{From: from, To: plan.TargetOf(to), Mode: "view", Round: firstRole(g.App.Project, r)}
		if guard := g.App.Screens[to.ID].Guard; guard != nil {
			e.parts = append(e.parts, Part{Node: alone(guard.Root, "round "+to.ID), Says: guard.Root, Of: "guard"})
		}
		g.aim(e)
		out = append(out, e)
	}
	return out
}

func firstRole(p *project.Project, r roles) *project.Role {
	for _, one := range project.Ordered(p.Roles) {
		if r[one.ID] && len(one.Round) > 0 {
			return one
		}
	}
	return nil
}

// Into gives what leads to a screen for anybody: ways and call-ups, in a stable order.
func (g *Graph) Into(screen string) []*Edge {
	var out []*Edge
	for _, edges := range g.edges {
		for _, e := range edges {
			if e.To != nil && e.To.ID == screen && !e.bottom && e.From.ID != screen {
				out = append(out, e)
			}
		}
	}
	return out
}

// ForOthers says whether an edge is for other roles than these.
func (e *Edge) ForOthers(r map[string]bool) bool {
	for _, set := range e.roles {
		if !any(set, r) {
			return true
		}
	}
	return false
}

// plain says how far the edges of a screen are open to somebody from whom nothing is kept, whoever they are.
func (g *Graph) plain(at state) []verdict {
	if g.anybody == nil {
		g.anybody = &runner{g: g, rights: &rights{p: g.App.Project, tables: map[string]*tableRights{}, all: true}, adapted: map[adaptKey]*cond.Node{}, guards: map[adaptKey]*cond.Node{}, opens: make([][]verdict, len(g.Screens)*variants)}
	}
	known := g.anybody.opens[at]
	if known == nil {
		edges := g.edges[at.screen()]
		known = make([]verdict, len(edges))
		for i, e := range edges {
			if !e.asks && !g.asksWho(e.From) {
				known[i] = g.anybody.judge(e, at, nil)
			}
		}
		g.anybody.opens[at] = known
	}
	return known
}

// asksWho says whether the guard of a screen asks for roles, or looks at records: then being there says something of who
// one is.
func (g *Graph) asksWho(s *project.Screen) bool {
	compiled := g.App.Screens[s.ID]
	if compiled == nil || compiled.Guard == nil {
		return false
	}
	asks, known := g.who[s.ID]
	if !known {
		asks = len(compiled.Guard.Root.RolesAsked()) > 0 || len(compiled.Guard.Root.Paths()) > 0
		if g.who == nil {
			g.who = map[string]bool{}
		}
		g.who[s.ID] = asks
	}
	return asks
}
