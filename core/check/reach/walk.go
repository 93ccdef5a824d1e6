package reach

import (
	"container/heap"
	"maps"
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

// state is a screen as somebody stands on it.
type state struct {
	screen int
	mode   string
	over   bool // as a dialog or drawer
}

// step is how a state was reached: by an edge from another.
type step struct {
	from    state
	edges   []*Edge // one; several of which always one is open
	presses int
	given   []string
	first   bool // it is the start
}

// Result is where a set of roles gets.
type Result struct {
	Roles roles
	Start string
	Cells map[string]Cell
	Traps [][]string // sets of screens that are not proven to lead back to the start, each sorted
	Idle  float64    // seconds after which one is brought to the start; 0 for never

	run      *runner
	possible map[state]step // by edges that may be open, whoever sets them off
	led      map[state]step // by presses that may be open
	given    map[state]step
	sure     map[state]step
	free     map[state]bool
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
	key := Roles(r)
	if known := g.results[key]; known != nil {
		return known
	}
	out := &Result{Roles: maps.Clone(r), Start: g.App.Project.StartOf(r), Cells: map[string]Cell{}, run: g.runner(r)}
	out.Idle, _ = g.App.Project.IdleOf(r)
	out.walk()
	out.exits()
	out.cells()
	g.results[key] = out
	return out
}

// entry says how far the start is proven to open.
func (o *Result) entry() Hold {
	p := o.run.g.App.Project
	s := p.Screens[o.Start]
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
	start := state{screen: g.index[o.Start], mode: "view"}
	from := func(least Hold) []state {
		if hold >= least {
			return []state{start}
		}
		return nil
	}
	by := func(s state, self bool) []*Edge {
		id := g.Screens[s.screen]
		out := g.edges[s.screen]
		if !self {
			return out
		}
		out = append(slices.Clip(out), rounds[id]...)
		for _, e := range called {
			if e.CallUp.From(id) {
				out = append(out, e)
			}
		}
		return out
	}
	o.possible = o.spread(from(Maybe), Maybe, false, func(s state) []*Edge { return by(s, true) })
	o.led = o.spread(from(Maybe), Maybe, true, func(s state) []*Edge { return by(s, false) })
	o.given = o.spread(from(Given), Given, true, func(s state) []*Edge { return by(s, false) })
	o.sure = o.spread(from(Sure), Sure, true, func(s state) []*Edge { return by(s, false) })
}

// spread gives the states that are reached over edges which are open at least as far as asked, each by the fewest presses.
func (o *Result) spread(starts []state, least Hold, byHand bool, edges func(state) []*Edge) map[state]step {
	done := map[state]step{}
	var queue waiting
	for _, s := range starts {
		heap.Push(&queue, arrival{s, step{first: true}})
	}
	for len(queue) > 0 {
		at := heap.Pop(&queue).(arrival)
		if _, been := done[at.to]; been {
			continue
		}
		done[at.to] = at.step
		all := edges(at.to)
		turned := o.turnedAway(at.to, all)
		for _, e := range all {
			if e.To == nil || byHand && !e.ByHand() {
				continue
			}
			open := o.run.open(e, at.to)
			if open.Hold < least || least > Maybe && turned {
				continue
			}
			next := o.after(e)
			if _, been := done[next]; !been {
				heap.Push(&queue, arrival{next, step{from: at.to, edges: []*Edge{e}, presses: at.presses + e.Presses, given: union(at.given, open.Given)}})
			}
		}
		if least > Maybe && !turned {
			o.together(at, all, least, done, &queue)
		}
	}
	return done
}

func (o *Result) after(e *Edge) state {
	return state{o.run.g.index[e.To.ID], e.Mode, e.Over()}
}

// turnedAway says whether a screen may send on who enters it: then nothing else on it is proven.
func (o *Result) turnedAway(at state, all []*Edge) bool {
	for _, e := range all {
		if e.Presses == 0 && e.Way.Element != nil && e.Way.Trigger == "entered" && e.To != nil && o.run.open(e, at).Hold > Never {
			return true
		}
	}
	return false
}

// mostTogether bounds how many ways to one screen are looked at together.
const mostTogether = 6

// together finds ways to one screen of which always one is open, although none of them always is.
func (o *Result) together(at arrival, all []*Edge, least Hold, done map[state]step, queue *waiting) {
	groups := map[state][]*Edge{}
	for _, e := range all {
		if e.To == nil || !e.ByHand() {
			continue
		}
		open := o.run.open(e, at.to)
		next := o.after(e)
		if _, been := done[next]; been || open.Hold != Maybe || len(open.Unsure) > 0 || least == Sure && len(open.Given) > 0 {
			continue
		}
		groups[next] = append(groups[next], e)
	}
	for next, some := range groups {
		if len(some) < 2 || len(some) > mostTogether {
			continue
		}
		var wholes []*cond.Node
		s := step{from: at.to, edges: some, given: at.given}
		for _, e := range some {
			open := o.run.open(e, at.to)
			wholes = append(wholes, open.whole)
			s.presses = max(s.presses, e.Presses)
			s.given = union(s.given, open.Given)
		}
		if o.run.always(at.to, wholes) {
			s.presses += at.presses
			heap.Push(queue, arrival{next, s})
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
	return p.always(r.guard(r.g.App.Project.Screens[r.g.Screens[at.screen]], at.mode == "add"), any)
}

func (o *Result) cells() {
	g := o.run.g
	best := func(reached map[state]step, screen int) (step, bool) {
		var out step
		found := false
		for _, s := range variants(screen) {
			if at, is := reached[s]; is && (!found || at.presses < out.presses) {
				out, found = at, true
			}
		}
		return out, found
	}
	for i, id := range g.Screens {
		s := g.App.Project.Screens[id]
		cell := Cell{Kind: IsNever, Shut: !o.byAddress(s)}
		if at, is := best(o.sure, i); is {
			cell.Kind, cell.Presses = IsSure, at.presses
		} else if at, is := best(o.given, i); is {
			cell.Kind, cell.Presses, cell.Given = IsGiven, at.presses, at.given
		} else if at, is := best(o.led, i); is {
			cell.Kind, cell.Presses = IsMaybe, at.presses
		} else if _, is := best(o.possible, i); is {
			cell.Kind = BySelf
		} else if !cell.Shut {
			cell.Kind = ByAddress
		}
		if id == o.Start && cell.Kind == IsSure {
			cell.Kind = IsStart
		}
		for _, v := range variants(i) {
			if _, is := o.possible[v]; is && !o.free[v] {
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

func variants(screen int) []state {
	out := make([]state, 0, 6)
	for _, mode := range []string{"view", "edit", "add"} {
		out = append(out, state{screen, mode, false}, state{screen, mode, true})
	}
	return out
}

func union(a, b []string) []string {
	out := slices.Clip(a)
	for _, s := range b {
		if !slices.Contains(out, s) {
			out = append(out, s)
		}
	}
	return out
}

// waiting is states to be looked at, the nearest first.
type waiting []arrival

type arrival struct {
	to state
	step
}

func (w waiting) Len() int { return len(w) }
func (w waiting) Less(i, j int) bool {
	a, b := w[i], w[j]
	if a.presses != b.presses {
		return a.presses < b.presses
	}
	if len(a.given) != len(b.given) {
		return len(a.given) < len(b.given)
	}
	if a.to.screen != b.to.screen {
		return a.to.screen < b.to.screen
	}
	return a.to.mode+over(a.to) < b.to.mode+over(b.to)
}
func (w waiting) Swap(i, j int)       { w[i], w[j] = w[j], w[i] }
func (w *waiting) Push(x interface{}) { *w = append(*w, x.(arrival)) }
func (w *waiting) Pop() interface{} {
	last := len(*w) - 1
	out := (*w)[last]
	*w = (*w)[:last]
	return out
}

func over(s state) string {
	if s.over {
		return " over"
	}
	return ""
}
