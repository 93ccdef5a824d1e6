package reach

import (
	"slices"

	"ambergate/core/project"
)

// exits finds out from which states one gets back to the start over what is proven to be open: the least fixpoint.
func (o *Result) exits() {
	o.free = make([]bool, len(o.possible))
	home := o.entry() == Sure
	for i, by := range o.possible {
		if by != nil {
			o.stood = append(o.stood, state(i))
		}
	}
	slices.SortStableFunc(o.stood, func(a, b state) int { return o.possible[a].presses - o.possible[b].presses })
	// Where every screen has a strip that leads home, only dialogs and drawers are left to be asked.
	o.strip = home && !slices.ContainsFunc(o.stood, func(s state) bool {
		return o.run.g.App.Project.Screens[o.run.g.Screens[s.screen()]].Bare
	})
	entered, callers := o.entering(!o.strip)
	for changed := true; changed; {
		changed = false
		for _, s := range o.stood {
			if !o.free[s] && o.leaves(s, home, entered, callers) {
				o.free[s], changed = true, true
			}
		}
	}
	o.Traps = o.grouped()
}

// entering gives for each state those that back may lead to, if that is asked, and those that it may lie over.
func (o *Result) entering(backs bool) (entered, callers [][]state) {
	entered, callers = make([][]state, len(o.possible)), make([][]state, len(o.possible))
	g := o.run.g
	type replaced struct{ from, to state }
	var replacing []replaced
	lying := false
	for _, s := range o.stood {
		opens := o.run.open(s)
		for i, e := range g.edges[s.screen()] {
			if e.To == nil || e.bottom || opens[i].hold == Never {
				continue
			}
			to := e.at
			switch {
			case e.Over():
				lying = true
				callers[to] = append(callers[to], s)
			case !backs:
			case e.As == "replace" || e.Way.Trigger == "entered":
				replacing = append(replacing, replaced{s, to})
			case !e.restarts:
				entered[to] = append(entered[to], s)
			}
		}
	}
	// What is replaced is not come back to: what it was entered from is. From a dialog one comes to what it lay over.
	for changed := backs && lying || len(replacing) > 0; changed; {
		changed = false
		add := func(to, from state) {
			if !slices.Contains(entered[to], from) {
				entered[to] = append(entered[to], from)
				changed = true
			}
		}
		for _, r := range replacing {
			for _, from := range entered[r.from] {
				add(r.to, from)
			}
			for _, from := range callers[r.from] {
				add(r.to, from)
			}
		}
		for to, all := range entered {
			for _, from := range all {
				if from.over() {
					for _, under := range callers[from] {
						add(state(to), under)
					}
				}
			}
		}
	}
	return entered, callers
}

func (o *Result) leaves(s state, home bool, entered, callers [][]state) bool {
	g := o.run.g
	id := g.Screens[s.screen()]
	screen := g.App.Project.Screens[id]
	if id == o.Start && !s.over() || o.Idle > 0 && home {
		return true
	}
	if s.over() {
		if o.every(callers[s]) {
			return true // it can be closed
		}
	} else if !screen.Bare && (home || o.back(s, screen, home, entered)) {
		return true
	}
	edges, opens := g.edges[s.screen()], o.run.open(s)
	turned := o.turnedAway(s, edges, opens)
	for i, e := range edges {
		if opens[i].hold != Sure || turned && e.Way.Trigger != "entered" {
			continue
		}
		switch {
		case e.Exit == "home" && home, e.Exit == "back" && !s.over() && o.back(s, screen, home, entered), e.To != nil && o.free[e.at]:
			return true
		case e.Exit == "close" && !s.over() && screen.Up == "" && home && len(entered[s]) == 0:
			return true
		}
	}
	return false
}

// back says whether going back is proven to lead on to the start: from wherever one was led here, and, by address, up
// from here or home.
func (o *Result) back(s state, screen *project.Screen, home bool, entered [][]state) bool {
	g := o.run.g
	up := g.App.Project.Screens[screen.Up]
	switch {
	case up == nil && !home:
		return false
	case up != nil && g.bottom[s.screen()]: // nothing may lie behind: then it leads up
		if o.opensAlone(up) != Sure || !o.free[stateOf(g.index[up.ID], "view", false)] {
			return false
		}
	}
	return o.every(entered[s])
}

func (o *Result) every(states []state) bool {
	for _, s := range states {
		if !o.free[s] {
			return false
		}
	}
	return true
}

// Homeward is one step back to the start.
type Homeward struct {
	What string // home, back, close, or way
	Edge *Edge  // of a way, and of a button that goes home or back; nil for what every screen has
	To   string // screen that it leads to
}

// homeward is how one gets from a state to the start by presses alone.
type homeward struct {
	presses int // -1: it is not proven that one does
	step    Homeward
	to      state
}

// homewards finds the fewest presses back to the start over what is proven to be open, for every state that is possible.
func (o *Result) homewards() []homeward {
	if o.home != nil {
		return o.home
	}
	o.home = make([]homeward, len(o.possible))
	for i := range o.home {
		o.home[i].presses = -1
	}
	home := o.entry() == Sure
	entered, callers := o.entering(true)
	for changed := true; changed; {
		changed = false
		for _, s := range o.stood {
			best := o.home[s]
			try := func(presses int, step Homeward, to state) {
				if presses >= 0 && (best.presses < 0 || presses < best.presses) {
					best = homeward{presses, step, to}
				}
			}
			o.tryHome(s, home, entered, callers, try)
			if best.presses != o.home[s].presses {
				o.home[s], changed = best, true
			}
		}
	}
	return o.home
}

func (o *Result) tryHome(s state, home bool, entered, callers [][]state, try func(int, Homeward, state)) {
	g := o.run.g
	id := g.Screens[s.screen()]
	screen := g.App.Project.Screens[id]
	start := stateOf(g.index[o.Start], "view", false)
	if id == o.Start && !s.over() {
		try(0, Homeward{}, s)
		return
	}
	back := func(states []state, step Homeward) {
		if worst, to := o.farthest(states); worst >= 0 {
			step.To = g.Screens[to.screen()]
			try(worst+1, step, to)
		}
	}
	if s.over() {
		back(callers[s], Homeward{What: "close"})
	} else if !screen.Bare {
		if home {
			try(1, Homeward{What: "home", To: o.Start}, start)
		}
		if o.back(s, screen, home, entered) {
			back(entered[s], Homeward{What: "back"})
		}
	}
	edges, opens := g.edges[s.screen()], o.run.open(s)
	if o.turnedAway(s, edges, opens) {
		return
	}
	for i, e := range edges {
		switch {
		case opens[i].hold != Sure || !e.ByHand():
		case e.Exit == "home" && home:
			try(1, Homeward{What: "home", Edge: e, To: o.Start}, start)
		case e.Exit == "back" && !s.over() && o.back(s, screen, home, entered):
			back(entered[s], Homeward{What: "back", Edge: e})
		case e.To != nil && o.home[e.at].presses >= 0:
			try(o.home[e.at].presses+e.Presses, Homeward{What: "way", Edge: e, To: e.To.ID}, e.at)
		}
	}
}

// farthest gives the most presses from some states to the start; -1 where one of them is not proven to lead there.
func (o *Result) farthest(states []state) (presses int, at state) {
	presses = -1
	for _, s := range states {
		switch n := o.home[s].presses; {
		case n < 0:
			return -1, s
		case n > presses:
			presses, at = n, s
		}
	}
	return presses, at
}

// WayBack gives the shortest proven way back to the start by presses, from where it is the longest; false where it is
// not proven that there is one.
func (o *Result) WayBack(screen string) (steps []Homeward, presses int, proven bool) {
	g := o.run.g
	g.proofs.mu.Lock()
	defer g.proofs.mu.Unlock()
	i, known := g.index[screen]
	if !known {
		return nil, 0, false
	}
	all := o.homewards()
	worst := state(-1)
	for _, s := range variantsOf(i) {
		if o.possible[s] == nil {
			continue
		}
		if all[s].presses < 0 {
			return nil, 0, false
		}
		if worst < 0 || all[s].presses > all[worst].presses {
			worst = s
		}
	}
	if worst < 0 {
		return nil, 0, false
	}
	for at := worst; all[at].presses > 0 && len(steps) < len(all); at = all[at].to {
		steps = append(steps, all[at].step)
	}
	return steps, all[worst].presses, true
}

// grouped gives the screens that are not free in sets that lead to each other.
func (o *Result) grouped() [][]string {
	g := o.run.g
	var ids []string
	in := map[string]string{}
	for _, s := range o.stood {
		if id := g.Screens[s.screen()]; !o.free[s] && in[id] == "" {
			in[id] = id
			ids = append(ids, id)
		}
	}
	slices.Sort(ids)
	var root func(string) string
	root = func(id string) string {
		if in[id] != id {
			in[id] = root(in[id])
		}
		return in[id]
	}
	for _, s := range o.stood {
		from := g.Screens[s.screen()]
		if in[from] == "" {
			continue
		}
		opens := o.run.open(s)
		for i, e := range g.edges[s.screen()] {
			if e.To != nil && in[e.To.ID] != "" && opens[i].hold > Never {
				a, b := root(from), root(e.To.ID)
				in[max(a, b)] = min(a, b)
			}
		}
	}
	sets := map[string][]string{}
	for _, id := range ids {
		sets[root(id)] = append(sets[root(id)], id)
	}
	var out [][]string
	for _, id := range ids {
		if set := sets[id]; set != nil {
			out = append(out, set)
		}
	}
	return out
}

// LeadsOn says whether anything proven leads on from a screen: a way, back, home, or closing it.
func (o *Result) LeadsOn(screen string) bool {
	g := o.run.g
	g.proofs.mu.Lock()
	defer g.proofs.mu.Unlock()
	i, known := g.index[screen]
	if !known {
		return false
	}
	if !g.App.Project.Screens[screen].Bare {
		return true
	}
	for _, s := range variantsOf(i) {
		if o.possible[s] == nil {
			continue
		}
		if s.over() {
			return true
		}
		for k, open := range o.run.open(s) {
			if e := g.edges[i][k]; open.hold == Sure && (e.Exit != "" || e.To != nil && e.To.ID != screen) {
				return true
			}
		}
	}
	return false
}
