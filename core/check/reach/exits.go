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
	entered, callers := o.entering()
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

// entering gives for each state those that back may lead to, and those that it may lie over.
func (o *Result) entering() (entered, callers [][]state) {
	entered, callers = make([][]state, len(o.possible)), make([][]state, len(o.possible))
	g := o.run.g
	type replaced struct{ from, to state }
	var replacing []replaced
	lying := false
	for _, s := range o.stood {
		opens := o.run.open(s)
		for i, e := range g.edges[s.screen()] {
			if e.To == nil || opens[i].hold == Never {
				continue
			}
			to := o.after(e)
			switch {
			case e.Over():
				lying = true
				callers[to] = append(callers[to], s)
			case e.As == "replace" || e.Way.Trigger == "entered":
				replacing = append(replacing, replaced{s, to})
			case !e.restarts:
				entered[to] = append(entered[to], s)
			}
		}
	}
	// What is replaced is not come back to: what it was entered from is. From a dialog one comes to what it lay over.
	for changed := lying || len(replacing) > 0; changed; {
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
		case e.Exit == "home" && home, e.Exit == "back" && !s.over() && o.back(s, screen, home, entered), e.To != nil && o.free[o.after(e)]:
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
	if up := g.App.Project.Screens[screen.Up]; up != nil {
		if !home && !o.free[stateOf(g.index[up.ID], "view", false)] {
			return false
		}
	} else if !home {
		return false
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
