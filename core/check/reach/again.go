package reach

import (
	"maps"
	"slices"
)

// kept is what an edit left of a graph as it was. It does not hold that graph, which would hold the one before it.
type kept struct {
	anew map[int]bool // screens whose edges are others
	same bool         // all others may be entered just as before, and lead on so
}

// keptOf compares a graph with the one before it.
func (g *Graph) keptOf(was *Graph) *kept {
	k := &kept{anew: map[int]bool{}}
	if !slices.Equal(was.Screens, g.Screens) || was.App.Compiler != g.App.Compiler {
		return k
	}
	k.same = true
	for i, id := range g.Screens {
		if was.App.Screens[id] == g.App.Screens[id] && len(was.edges[i]) == len(g.edges[i]) && (len(g.edges[i]) == 0 || was.edges[i][0] == g.edges[i][0]) {
			continue
		}
		k.anew[i] = true
		a, b := was.App.Project.Screens[id], g.App.Project.Screens[id]
		k.same = k.same && a.Bare == b.Bare && a.Up == b.Up && sameEntry(was, g, id)
	}
	return k
}

// runnerAfter is a runner that knows how far the edges are open that an edit left as they were.
func (g *Graph) runnerAfter(old *runner) *runner {
	run := g.runner(old.roles)
	copy(run.opens, old.opens)
	for i := range g.kept.anew {
		for _, at := range variantsOf(i) {
			run.opens[at] = nil
		}
	}
	if len(old.adapted) < most { // else what is kept of older edits is forgotten
		run.adapted, run.guards = maps.Clone(old.adapted), maps.Clone(old.guards)
	}
	return run
}

// again takes over where a set of roles got before an edit, if what the edit changed is as open to them as it was: then
// only the ways themselves are others. Where it has to be found out anew, it is over a runner that knows what it can.
func (g *Graph) again(old *Result) (*Result, *runner) {
	was := old.run.g
	if !g.kept.same {
		return nil, g.runner(old.Roles)
	}
	run := g.runnerAfter(old.run)
	if !slices.Equal(was.bottom, g.bottom) {
		return nil, run
	}
	now := map[*Edge]*Edge{}
	var others [4]led
	for i := range g.kept.anew {
		if g.asOpen(old, i, run, now) {
			continue
		}
		by, same := g.mended(old, i, run)
		if !same {
			return nil, run
		}
		for n := range others {
			if others[n] == nil {
				others[n] = led{}
			}
			maps.Copy(others[n], by[n])
		}
	}
	out := *old
	out.run, out.home = run, nil
	for n, r := range []*reached{&out.possible, &out.led, &out.given, &out.sure} {
		*r = r.with(now, others[n], g.kept.anew)
	}
	return &out, nil
}

// asOpen says whether all ways of a screen lead where they did and are open as far; it notes which is which now.
func (g *Graph) asOpen(old *Result, i int, run *runner, now map[*Edge]*Edge) bool {
	before, after := old.run.g.edges[i], g.edges[i]
	if len(before) != len(after) {
		return false
	}
	for k, e := range after {
		if !before[k].leadsLike(e) {
			return false
		}
	}
	for _, at := range variantsOf(i) {
		known := old.run.opens[at]
		if known == nil {
			continue
		}
		for k, v := range run.open(at) {
			if !v.like(known[k]) {
				return false
			}
		}
	}
	for k, e := range after {
		now[before[k]] = e
	}
	return true
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

// with puts other edges in the place of those that are no more: of those that start on some screens.
func (r reached) with(now map[*Edge]*Edge, others led, screens map[int]bool) reached {
	out := r
	for i, s := range r {
		if s == nil || len(s.edges) == 0 || s.edges[0].From == nil || !screens[s.from.screen()] {
			continue
		}
		if &out[0] == &r[0] {
			out = slices.Clone(r)
		}
		other := *s
		other.edges = slices.Clone(s.edges)
		for k, e := range other.edges {
			if now[e] != nil {
				other.edges[k] = now[e]
			} else if by := others[state(i)]; by != nil {
				other.edges[k] = by
			}
		}
		out[i] = &other
	}
	return out
}
