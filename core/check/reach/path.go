package reach

import (
	"cmp"
	"slices"
)

// Step is one step of a path: the ways that lead on, of which always one is open where there are several.
type Step struct {
	Edges []*Edge
	Open  Open // how far the first is open
}

// To gives the screen that the step leads to.
func (s Step) To() string { return s.Edges[0].To.ID }

// Path gives the shortest path from the start to a screen: one that is proven, where there is one. Nil for the start
// itself, and where nothing leads.
func (o *Result) Path(screen string) []Step {
	o.run.g.proofs.mu.Lock()
	defer o.run.g.proofs.mu.Unlock()
	i, known := o.run.g.index[screen]
	if !known {
		return nil
	}
	for _, by := range []reached{o.sure, o.given, o.led, o.possible} {
		best := state(-1)
		for _, s := range variantsOf(i) {
			if by[s] != nil && (best < 0 || by[s].presses < by[best].presses) {
				best = s
			}
		}
		if best >= 0 {
			return o.traced(by, best)
		}
	}
	return nil
}

// traced follows how a state was reached back to the start.
func (o *Result) traced(by reached, at state) []Step {
	var out []Step
	for !by[at].first {
		s := by[at]
		out = append(out, Step{Edges: s.edges, Open: o.run.explain(s.edges[0], s.from)})
		at = s.from
	}
	slices.Reverse(out)
	return out
}

// The bounds of a search for every path between two screens.
const (
	mostPaths  = 60
	mostSteps  = 8
	mostLooked = 100_000
)

// Paths gives the paths by presses from one screen to another that go through no screen twice, the shortest first; more
// says that there are further ones.
func (o *Result) Paths(from, to string) (paths [][]Step, more bool) {
	o.run.g.proofs.mu.Lock()
	defer o.run.g.proofs.mu.Unlock()
	g := o.run.g
	start, known := g.index[from]
	goal, also := g.index[to]
	if !known || !also || from == to {
		return nil, false
	}
	far := o.distances(goal)
	type partial struct {
		at    state
		steps []Step
		been  []int
	}
	looked := 0
	for length := 1; length <= mostSteps; length++ {
		sorted := len(paths) // those of one length, the surest first
		var queue []partial
		for _, v := range o.standing(start) {
			queue = append(queue, partial{at: v, been: []int{start}})
		}
		for len(queue) > 0 {
			p := queue[len(queue)-1]
			queue = queue[:len(queue)-1]
			for _, e := range slices.Backward(g.edges[p.at.screen()]) {
				if looked++; looked > mostLooked {
					return paths, true
				}
				if e.To == nil || !e.ByHand() || e.bottom {
					continue
				}
				next := g.index[e.To.ID]
				left := length - len(p.steps) - 1
				if d, can := far[next]; !can || d > left || slices.Contains(p.been, next) || next == goal && left > 0 {
					continue
				}
				open := o.run.explain(e, p.at)
				if open.Hold == Never {
					continue
				}
				steps := append(slices.Clip(p.steps), Step{Edges: []*Edge{e}, Open: open})
				if next == goal {
					if !told(paths, steps) {
						paths = append(paths, steps)
					}
					if len(paths) == mostPaths {
						surest(paths[sorted:])
						return paths, true
					}
					continue
				}
				queue = append(queue, partial{e.at, steps, append(slices.Clip(p.been), next)})
			}
		}
		surest(paths[sorted:])
	}
	return paths, false
}

// surest puts paths of one length in order: those with the least that is not proven first, then with the least to be there.
func surest(paths [][]Step) {
	doubts := func(p []Step) (unproven, given int) {
		for _, s := range p {
			unproven += len(s.Open.Left) + len(s.Open.Unsure)
			given += len(s.Open.Given)
		}
		return unproven, given
	}
	slices.SortStableFunc(paths, func(a, b []Step) int {
		x, n := doubts(a)
		y, m := doubts(b)
		return cmp.Or(x-y, n-m)
	})
}

// told says whether a path is there already: the same presses, in another mode of the first screen.
func told(paths [][]Step, steps []Step) bool {
	return slices.ContainsFunc(paths, func(p []Step) bool {
		return slices.EqualFunc(p, steps, func(a, b Step) bool { return a.Edges[0] == b.Edges[0] })
	})
}

// standing gives how one may stand on a screen: as one can get there, else as its address opens it.
func (o *Result) standing(screen int) []state {
	var out []state
	for _, v := range variantsOf(screen) {
		if o.possible[v] != nil {
			out = append(out, v)
		}
	}
	if out == nil {
		out = []state{stateOf(screen, "view", false)}
	}
	return out
}

// distances gives for each screen the fewest ways from it to another, whatever the conditions.
func (o *Result) distances(goal int) map[int]int {
	g := o.run.g
	into := map[int][]int{}
	for i, edges := range g.edges {
		for _, e := range edges {
			if e.To != nil {
				into[g.index[e.To.ID]] = append(into[g.index[e.To.ID]], i)
			}
		}
	}
	out := map[int]int{goal: 0}
	for queue := []int{goal}; len(queue) > 0; queue = queue[1:] {
		for _, from := range into[queue[0]] {
			if _, been := out[from]; !been {
				out[from] = out[queue[0]] + 1
				queue = append(queue, from)
			}
		}
	}
	return out
}

// OpenFrom says how far an edge is open to the roles where they may stand on its screen: the farthest.
func (o *Result) OpenFrom(e *Edge) Open {
	o.run.g.proofs.mu.Lock()
	defer o.run.g.proofs.mu.Unlock()
	var best Open
	if e.From == nil {
		return o.run.explain(e, 0)
	}
	for _, s := range o.standing(o.run.g.index[e.From.ID]) {
		if open := o.run.explain(e, s); open.Hold >= best.Hold {
			best = open
		}
	}
	return best
}

// Into gives every way by which the roles may come to a screen, each from where they may stand.
func (o *Result) Into(screen string) []Step {
	g := o.run.g
	g.proofs.mu.Lock()
	defer g.proofs.mu.Unlock()
	var out []Step
	seen := map[*Edge]bool{}
	for _, s := range o.stood {
		opens := o.run.open(s)
		for i, e := range g.edges[s.screen()] {
			if e.To != nil && e.To.ID == screen && opens[i].hold > Never && !seen[e] && !(e.bottom && !g.bottom[s.screen()]) {
				seen[e] = true
				out = append(out, Step{Edges: []*Edge{e}, Open: o.run.explain(e, s)})
			}
		}
	}
	return out
}

// HoldFrom says how far an edge is open to the roles where they may stand on its screen: the farthest. It tells no words.
func (o *Result) HoldFrom(e *Edge) Hold {
	g := o.run.g
	g.proofs.mu.Lock()
	defer g.proofs.mu.Unlock()
	best := Never
	if e.From == nil {
		return o.run.judge(e, 0, nil).hold
	}
	i := g.index[e.From.ID]
	at := slices.Index(g.edges[i], e)
	if at < 0 {
		return best
	}
	for _, s := range o.standing(i) {
		best = max(best, o.run.open(s)[at].hold)
	}
	return best
}
