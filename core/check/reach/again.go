package reach

import (
	"maps"
	"slices"
)

// again takes over where a set of roles got before an edit, if what the edit changed is as open to them as it was: then
// only the ways themselves are others. Nil where it has to be found out anew.
func (g *Graph) again(old *Result) *Result {
	was := old.run.g
	if !slices.Equal(was.Screens, g.Screens) || was.App.Compiler != g.App.Compiler || !slices.Equal(was.bottom, g.bottom) {
		return nil
	}
	run := g.runner(old.Roles)
	copy(run.opens, old.run.opens)
	maps.Copy(run.adapted, old.run.adapted)
	maps.Copy(run.guards, old.run.guards)
	now := map[*Edge]*Edge{}
	for i, id := range g.Screens {
		if !changed(was, g, i, id) {
			continue
		}
		before, after := was.edges[i], g.edges[i]
		if len(before) != len(after) || was.App.Project.Screens[id].Bare != g.App.Project.Screens[id].Bare || was.App.Project.Screens[id].Up != g.App.Project.Screens[id].Up || !sameEntry(was, g, id) {
			return nil
		}
		for k, e := range after {
			if !before[k].leadsLike(e) {
				return nil
			}
			now[before[k]] = e
		}
		for _, at := range variantsOf(i) {
			known := old.run.opens[at]
			run.opens[at] = nil
			if known == nil {
				continue
			}
			for k, v := range run.open(at) {
				if !v.like(known[k]) {
					return nil
				}
			}
		}
	}
	out := *old
	out.run, out.home = run, nil
	out.possible, out.led, out.given, out.sure = old.possible.with(now), old.led.with(now), old.given.with(now), old.sure.with(now)
	return &out
}

// changed says whether a screen was compiled anew between two graphs, or its edges found anew.
func changed(was, g *Graph, i int, id string) bool {
	return was.App.Screens[id] != g.App.Screens[id] || len(was.edges[i]) != len(g.edges[i]) || len(g.edges[i]) > 0 && was.edges[i][0] != g.edges[i][0]
}

// sameEntry says whether the roles and the guard of a screen are the same: then it opens to the same.
func sameEntry(was, g *Graph, id string) bool {
	a, b := was.App.Screens[id], g.App.Screens[id]
	return doorOf(a) == doorOf(b) && (a.Screen.Roles == nil) == (b.Screen.Roles == nil) && maps.Equal(a.Screen.Roles, b.Screen.Roles)
}

// leadsLike says whether an edge leads just where another does, in the same number of presses.
func (e *Edge) leadsLike(o *Edge) bool {
	return (e.To == nil) == (o.To == nil) && (e.To == nil || e.To.ID == o.To.ID) && e.Mode == o.Mode && e.As == o.As && e.Presses == o.Presses && e.Exit == o.Exit && e.bottom == o.bottom && e.restarts == o.restarts && e.Way.Trigger == o.Way.Trigger
}

// like says whether two are open as far, given the same. What is left to ask of one that is only maybe open may be
// another condition, unless several together might always hold.
func (v verdict) like(o verdict) bool {
	return v.hold == o.hold && v.unsure == o.unsure && slices.Equal(v.given, o.given) && (v.whole == o.whole || v.unsure)
}

// with puts other edges in the place of those that are no more.
func (r reached) with(now map[*Edge]*Edge) reached {
	out := slices.Clone(r)
	for i, s := range out {
		if s == nil || !slices.ContainsFunc(s.edges, func(e *Edge) bool { return now[e] != nil }) {
			continue
		}
		other := *s
		other.edges = slices.Clone(s.edges)
		for k, e := range other.edges {
			if now[e] != nil {
				other.edges[k] = now[e]
			}
		}
		out[i] = &other
	}
	return out
}
