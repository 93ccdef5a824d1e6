package reach

import (
	"maps"
	"reflect"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Kind says how somebody gets to a screen.
type Kind string

// From the surest to what is proven impossible. By itself: a call-up, a round or a time brings it, and no press does.
// By address: no way leads there, and nothing proves it shut.
const (
	IsStart   Kind = "start"
	IsSure    Kind = "sure"
	IsGiven   Kind = "given"
	IsMaybe   Kind = "maybe"
	BySelf    Kind = "by itself"
	ByAddress Kind = "by address"
	IsNever   Kind = "never"
)

// Cell is how a set of roles gets to a screen.
type Cell struct {
	Kind    Kind
	Presses int      // the fewest that are proven to do, or, where nothing is proven, that could; 0 where no press does
	Given   []string // what has to be there
	Trapped bool     // one can get there, and it is not proven that one gets back to the start
	Shut    bool     // by address it is proven shut
}

// Led says whether presses lead there, at least maybe.
func (c Cell) Led() bool {
	switch c.Kind {
	case IsStart, IsSure, IsGiven, IsMaybe:
		return true
	}
	return false
}

// step is how a state was reached: by an edge from another.
type step struct {
	from    state
	edges   []*Edge // one; several of which always one is open
	presses int
	given   []string
	first   bool // it is the start
	nth     int  // in which order it was gone on from
}

// reached is how states were reached; nil for those that were not.
type reached []*step

// Result is where a set of roles gets.
type Result struct {
	Roles roles
	Start string
	Cells map[string]Cell
	Traps [][]string // sets of screens that are not proven to lead back to the start, each sorted
	Idle  float64    // seconds after which one is brought to the start; 0 for never

	run      *runner
	possible reached // by edges that may be open, whoever sets them off
	led      reached // by presses that may be open
	given    reached
	sure     reached
	strip    bool       // every screen that one may stand on has a strip that leads home
	free     []bool     // by state: it is proven that one gets back to the start
	home     []homeward // by state; nil until it is asked for
	stood    []state    // that are possible, the nearest first
}

// As says whether it was taken over from another one as it is: then everything in its cells is the same. False says
// nothing.
func (o *Result) As(other *Result) bool {
	return reflect.ValueOf(o.Cells).Pointer() == reflect.ValueOf(other.Cells).Pointer()
}

// Roles names a set of roles, so that equal sets are named alike.
func Roles(r map[string]bool) string {
	var ids []string
	for id, has := range r {
		if has {
			ids = append(ids, id)
		}
	}
	slices.Sort(ids)
	return strings.Join(ids, "+")
}

// For finds out where a set of roles gets.
func (g *Graph) For(r map[string]bool) *Result {
	g.proofs.mu.Lock()
	defer g.proofs.mu.Unlock()
	key := Roles(r)
	if known := g.results[key]; known != nil {
		return known
	}
	var run *runner
	var shut map[string]Cell
	if old := g.before[key]; old != nil {
		delete(g.before, key)
		out, knowing := g.again(old)
		if out != nil {
			g.results[key] = out
			return out
		}
		if run = knowing; g.kept.same {
			shut = old.Cells
		}
	}
	if run == nil {
		run = g.runner(r)
	}
	out := &Result{Roles: maps.Clone(r), Start: g.App.Project.StartOf(r), Cells: map[string]Cell{}, run: run}
	out.Idle, _ = g.App.Project.IdleOf(r)
	out.walk()
	out.exits()
	out.cells(shut)
	g.results[key] = out
	return out
}

// Known gives where a set of roles gets if that was found out already; else nil.
func (g *Graph) Known(r map[string]bool) *Result {
	g.proofs.mu.Lock()
	defer g.proofs.mu.Unlock()
	return g.results[Roles(r)]
}

// entry says how far the start is proven to open.
func (o *Result) entry() Hold { return o.opensAlone(o.run.g.App.Project.Screens[o.Start]) }

// opensAlone says how far it is proven that a screen opens with nothing brought.
func (o *Result) opensAlone(s *project.Screen) Hold {
	if s == nil || !s.Alone() || o.run.rights.refuses(s, "view") != "" || o.run.g.App.Screens[s.ID].BadGuard {
		return Never
	}
	guard := o.run.guard(s, false)
	switch {
	case o.run.g.proofs.never(guard):
		return Never
	case !o.run.g.proofs.always(nil, guard):
		return Maybe
	case guard != nil && o.run.g.proofs.onPlant(guard):
		return Given
	}
	return Sure
}

func (o *Result) walk() {
	hold := o.entry()
	g := o.run.g
	called, rounds := g.calledEdges(o.Roles), map[string][]*Edge{}
	for _, e := range g.roundEdges(o.Roles) {
		rounds[e.From.ID] = append(rounds[e.From.ID], e)
	}
	extra := func(s state) []*Edge {
		id := g.Screens[s.screen()]
		out := rounds[id]
		for _, e := range called {
			if e.CallUp.From(id) {
				out = append(slices.Clip(out), e)
			}
		}
		return out
	}
	o.possible = o.spread(hold >= Maybe, Maybe, false, extra)
	o.led = o.spread(hold >= Maybe, Maybe, true, nil)
	o.given = o.spread(hold >= Given, Given, true, nil)
	o.sure = o.spread(hold >= Sure, Sure, true, nil)
}

// spread gives the states that are reached over edges which are open at least as far as asked, each by the fewest presses.
func (o *Result) spread(begins bool, least Hold, byHand bool, extra func(state) []*Edge) reached {
	g := o.run.g
	done := make(reached, len(g.Screens)*variants)
	if !begins {
		return done
	}
	w := &waiting{done: done}
	w.put(stateOf(g.index[o.Start], "view", false), &step{first: true})
	nth := 0
	for at, ok := w.next(); ok; at, ok = w.next() {
		nth++
		done[at].nth = nth
		edges, opens := g.edges[at.screen()], o.run.open(at)
		turned := least > Maybe && o.turnedAway(at, edges, opens)
		if turned {
			continue
		}
		take := func(e *Edge, v verdict) {
			if e.To != nil && v.hold >= least && (!byHand || e.ByHand()) {
				w.put(e.at, &step{from: at, edges: []*Edge{e}, presses: done[at].presses + e.Presses, given: union(done[at].given, v.given)})
			}
		}
		for i, e := range edges {
			if e.bottom && !g.bottom[at.screen()] && g.Screens[at.screen()] != o.Start {
				continue
			}
			if e.To != nil && done[e.at] != nil && done[e.at].presses <= done[at].presses+e.Presses {
				continue
			}
			take(e, opens[i])
		}
		if extra != nil {
			for _, e := range extra(at) {
				take(e, o.run.judge(e, at, nil))
			}
		}
		if least > Maybe {
			o.together(at, edges, opens, least, w)
		}
	}
	return done
}

// turnedAway says whether a screen may send on who enters it: then nothing else on it is proven.
func (o *Result) turnedAway(at state, edges []*Edge, opens []verdict) bool {
	for i, e := range edges {
		if e.Presses == 0 && e.To != nil && e.Way.Trigger == "entered" && opens[i].hold > Never {
			return true
		}
	}
	return false
}

// mostTogether bounds how many ways to one screen are looked at together.
const mostTogether = 6

// together finds ways to one screen of which always one is open, although none of them always is.
func (o *Result) together(at state, edges []*Edge, opens []verdict, least Hold, w *waiting) {
	may := func(i int) bool {
		e, v := edges[i], &opens[i]
		return v.hold == Maybe && !v.unsure && e.To != nil && e.ByHand() && (least < Sure || len(v.given) == 0)
	}
	for first, e := range edges {
		if !may(first) || w.done[e.at] != nil && w.done[e.at].presses <= w.done[at].presses+1 {
			continue
		}
		var some []int // ways there, if this is the first of several
		for i, twin := range edges {
			if twin.at != e.at || twin.To == nil || i == first || !may(i) {
				continue
			}
			if i < first {
				break
			}
			if some == nil {
				some = append(some, first)
			}
			some = append(some, i)
		}
		if len(some) < 2 || len(some) > mostTogether {
			continue
		}
		var wholes []*cond.Node
		s := &step{from: at, given: w.done[at].given}
		for _, i := range some {
			wholes = append(wholes, opens[i].whole)
			s.edges = append(s.edges, edges[i])
			s.presses = max(s.presses, edges[i].Presses)
			s.given = union(s.given, opens[i].given)
		}
		if o.run.always(at, wholes) {
			s.presses += w.done[at].presses
			w.put(e.at, s)
		}
	}
}

// always says whether one of some conditions holds whatever the world, where one is.
func (r *runner) always(at state, wholes []*cond.Node) bool {
	any := wholes[0]
	p := r.g.proofs
	for _, n := range wholes[1:] {
		key := [2]*cond.Node{p.not(any), n} // apart from those that are asked for together
		or := p.pairs[key]
		if or == nil {
			or = cond.Any(any, n)
			p.pairs[key] = or
		}
		any = or
	}
	return p.always(r.guard(r.g.App.Project.Screens[r.g.Screens[at.screen()]], at.adds()), any)
}

// cells sums up how one gets to each screen. Whether it is shut is known where it was so before an edit that left entering
// as it was; nil for none.
func (o *Result) cells(before map[string]Cell) {
	g := o.run.g
	for i, id := range g.Screens {
		s := g.App.Project.Screens[id]
		cell := Cell{Kind: IsNever}
		if known, is := before[id]; is {
			cell.Shut = known.Shut
		} else {
			cell.Shut = !o.byAddress(s)
		}
		if at := o.sure.best(i); at != nil {
			cell.Kind, cell.Presses = IsSure, at.presses
		} else if at := o.given.best(i); at != nil {
			cell.Kind, cell.Presses, cell.Given = IsGiven, at.presses, at.given
		} else if at := o.led.best(i); at != nil {
			cell.Kind, cell.Presses = IsMaybe, at.presses
		} else if o.possible.best(i) != nil {
			cell.Kind = BySelf
		} else if !cell.Shut {
			cell.Kind = ByAddress
		}
		if id == o.Start && cell.Kind == IsSure {
			cell.Kind = IsStart
		}
		for _, v := range variantsOf(i) {
			if o.possible[v] != nil && !o.free[v] {
				cell.Trapped = true
			}
		}
		o.Cells[id] = cell
	}
}

// byAddress says whether a screen may be entered by its address, in any mode.
func (o *Result) byAddress(s *project.Screen) bool {
	if o.run.g.App.Screens[s.ID].BadGuard {
		return false
	}
	modes := []string{"view"}
	if s.RecordTable() != "" {
		modes = []string{"view", "edit", "add"}
	}
	for _, mode := range modes {
		if o.run.rights.refuses(s, mode) == "" && !o.run.g.proofs.never(o.run.guard(s, mode == "add")) {
			return true
		}
	}
	return false
}

// best gives how a screen was reached by the fewest presses; nil where it was not.
func (r reached) best(screen int) *step {
	var out *step
	for _, s := range variantsOf(screen) {
		if at := r[s]; at != nil && (out == nil || at.presses < out.presses) {
			out = at
		}
	}
	return out
}

func union(a, b []string) []string {
	if len(b) == 0 {
		return a
	}
	out := slices.Clip(a)
	for _, s := range b {
		if !slices.Contains(out, s) {
			out = append(out, s)
		}
	}
	return out
}
