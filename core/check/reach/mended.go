package reach

import "slices"

// led is by which edges states were reached from a screen whose ways are others by now.
type led map[state]*Edge

// mended finds whether over other ways of a screen everything is reached just as before: from the same places, in as many
// presses, given the same. Then only the ways themselves are others. Where it is not plain that it is so, false.
func (g *Graph) mended(was *Result, i int, run *runner) (out [4]led, same bool) {
	before, after := was.run.g.edges[i], g.edges[i]
	if !was.strip {
		return out, false // whether one gets back may hang on them
	}
	for _, e := range slices.Concat(before, after) {
		if e.To != nil && (e.Over() || e.Way.Trigger == "entered") {
			return out, false
		}
	}
	for n, r := range []reached{was.possible, was.led, was.given, was.sure} {
		s := spreading{g: g, r: r, run: run, least: []Hold{Maybe, Maybe, Given, Sure}[n], byHand: n > 0, start: was.Start}
		out[n] = led{}
		for _, at := range variantsOf(i) {
			if r[at] == nil {
				continue
			}
			if at.over() || !s.from(at, before, after, out[n]) {
				return out, false
			}
		}
	}
	return out, true
}

// spreading is how states were reached over edges that are open at least as far as asked.
type spreading struct {
	g      *Graph
	r      reached
	run    *runner
	least  Hold
	byHand bool
	start  string
}

// takes says whether an edge leads on where one stands.
func (s spreading) takes(e *Edge, v verdict, at state) bool {
	screen := at.screen()
	return e.To != nil && v.hold >= s.least && (!s.byHand || e.ByHand()) && !(e.bottom && !s.g.bottom[screen] && s.g.Screens[screen] != s.start)
}

// from notes by which edges one goes on from a state; false where one gets elsewhere than before, sooner, later, or in
// another order.
func (s spreading) from(at state, before, after []*Edge, out led) bool {
	here, opens := s.r[at], s.run.open(at)
	var order []state
	for k, e := range after {
		if !s.takes(e, opens[k], at) {
			continue
		}
		there := s.r[e.at]
		presses := here.presses + e.Presses
		switch {
		case there == nil || there.presses > presses:
			return false
		case there.first || there.presses < presses || there.from != at && s.r[there.from].nth < here.nth:
			continue // it is reached otherwise, as it was
		case there.from != at || len(there.edges) != 1 || !slices.Contains(before, there.edges[0]):
			return false
		case out[e.at] != nil:
			continue // an earlier one leads there
		case !slices.Equal(there.given, union(here.given, opens[k].given)):
			return false
		}
		out[e.at] = e
		order = append(order, e.at)
	}
	if s.least > Maybe && s.several(at, after, opens) {
		return false
	}
	return slices.Equal(order, s.reachedFrom(at, before))
}

// several says whether ways to one screen are to be looked at together.
func (s spreading) several(at state, edges []*Edge, opens []verdict) bool {
	seen := map[state]bool{}
	for k, e := range edges {
		if e.To == nil || opens[k].hold != Maybe || opens[k].unsure || s.r[e.at] != nil && s.r[e.at].presses <= s.r[at].presses+1 {
			continue
		}
		if seen[e.at] {
			return true
		}
		seen[e.at] = true
	}
	return false
}

// reachedFrom gives the states that were reached from one over its own edges, in the order of these; nil, that equals
// nothing, where several led there together.
func (s spreading) reachedFrom(at state, before []*Edge) []state {
	by := map[*Edge]state{}
	n := 0
	for to, there := range s.r {
		if there == nil || there.first || there.from != at || there.edges[0].From == nil || there.edges[0].Round != nil {
			continue
		}
		if len(there.edges) > 1 {
			return []state{-1}
		}
		by[there.edges[0]] = state(to)
		n++
	}
	var out []state
	for _, e := range before {
		if to, led := by[e]; led {
			out = append(out, to)
		}
	}
	if len(out) != n {
		return []state{-1}
	}
	return out
}
