package reach

import (
	"slices"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Hold says how far it is proven that something is open.
type Hold uint8

// In this order: what is surer is more.
const (
	Never Hold = iota
	Maybe
	Given // surely, given something that has to be there
	Sure
)

// Open is how far an edge is open for a set of roles, and what is left to ask.
type Open struct {
	Hold
	Left   []Part   // conditions that are not proven
	Given  []string // what has to be there
	Unsure []string // what else cannot be proven
}

// runner finds out for one set of roles.
type runner struct {
	g       *Graph
	roles   roles
	rights  *rights
	adapted map[adaptKey]*cond.Node
	guards  map[adaptKey]*cond.Node
	opens   [][]verdict // by state, for each edge of its screen
	narrow  map[string]bool
	shuts   []int8 // by screen and mode: 1 for shut to the roles whatever the record, -1 for not
}

func (g *Graph) runner(r roles) *runner {
	out := &runner{g: g, roles: r, rights: &rights{p: g.App.Project, roles: r, tables: map[string]*tableRights{}}, adapted: map[adaptKey]*cond.Node{}, guards: map[adaptKey]*cond.Node{}, opens: make([][]verdict, len(g.Screens)*variants), narrow: map[string]bool{}, shuts: make([]int8, len(g.Screens)*len(modeNames))}
	for id := range g.App.Project.Tables {
		if out.rights.narrow(id) {
			out.narrow[id] = true
		}
	}
	return out
}

// verdict is how far an edge is open, without the words for it.
type verdict struct {
	hold   Hold
	unsure bool
	whole  *cond.Node // what is left to hold
	given  []string
}

// open says how far the edges of a screen are open where one stands on it.
func (r *runner) open(at state) []verdict {
	known := r.opens[at]
	if known == nil {
		edges := r.g.edges[at.screen()]
		known = make([]verdict, len(edges))
		plain := r.g.plain(at)
		for i, e := range edges {
			if r.plain(e) {
				known[i] = r.given(e, plain[i])
			} else {
				known[i] = r.judge(e, at, nil)
			}
		}
		r.opens[at] = known
	}
	return known
}

// plain says whether nothing that an edge looks at is kept from the roles, and nothing asks who they are: then it is open
// to them as it is to anybody whom it is for.
func (r *runner) plain(e *Edge) bool {
	if e.asks || e.From == nil {
		return false
	}
	if len(r.narrow) > 0 {
		for table := range e.tables {
			if r.narrow[table] {
				return false
			}
		}
	}
	return !r.g.asksWho(e.From)
}

// given gives such a verdict to the roles, unless it is not for them, or its target is shut to them.
func (r *runner) given(e *Edge, v verdict) verdict {
	if v.hold == Never {
		return v
	}
	for _, set := range e.roles {
		if set != nil && !any(set, r.roles) {
			return verdict{}
		}
	}
	if e.To != nil && r.shutTo(e.To.ID, e.Mode) {
		return verdict{}
	}
	return v
}

// shutTo says whether a screen is shut to the roles in a mode whatever the record; found out once.
func (r *runner) shutTo(screen, mode string) bool {
	at := r.g.index[screen]*len(modeNames) + int(stateOf(0, mode, false))/2
	if r.shuts[at] == 0 {
		r.shuts[at] = -1
		if r.rights.refuses(r.g.App.Project.Screens[screen], mode) != "" {
			r.shuts[at] = 1
		}
	}
	return r.shuts[at] == 1
}

// explain says how far one is open, with what is left to ask.
func (r *runner) explain(e *Edge, at state) Open {
	var out Open
	v := r.judge(e, at, &out)
	out.Hold, out.Given = v.hold, v.given
	return out
}

// judge finds out how far an edge is open; tell gets the words for it, and may be nil.
func (r *runner) judge(e *Edge, at state, tell *Open) verdict {
	if r.shut(e, at) {
		return verdict{}
	}
	out := verdict{hold: Sure, given: e.given}
	r.doubt(e, at, func(words string) {
		out.unsure = true
		if tell != nil {
			tell.Unsure = append(tell.Unsure, words)
		}
	})
	var where *cond.Node
	add := at.adds()
	if e.From != nil {
		where = r.guard(e.From, add)
	}
	p := r.g.proofs
	all := where
	plant := false
	for _, part := range e.parts {
		n := r.adapt(part.Node, e.From, e.rows, add)
		if part.Not {
			n = p.not(n)
		}
		if p.never(n) {
			return verdict{}
		}
		switch {
		case !p.always(where, n):
			out.whole = p.both(out.whole, n)
			if tell != nil {
				tell.Left = append(tell.Left, part)
			}
		case p.onPlant(n):
			plant = true
		}
		all = p.both(all, n)
	}
	if len(e.parts) > 0 && p.never(all) {
		return verdict{}
	}
	if plant {
		out.given = append(slices.Clip(out.given), "the plant answers")
	}
	switch {
	case out.whole != nil || out.unsure:
		out.hold = Maybe
	case len(out.given) > 0:
		out.hold = Given
	}
	return out
}

// shut says whether an edge is proven shut by roles, grants and modes alone.
func (r *runner) shut(e *Edge, at state) bool {
	for _, set := range e.roles {
		if set != nil && !r.rights.all && !any(set, r.roles) {
			return true
		}
	}
	for _, modes := range e.modes {
		if !modes[at.mode()] {
			return true
		}
	}
	if e.shut || e.rows != "" && !r.rights.on(e.rows).View || e.To != nil && !r.rights.all && r.shutTo(e.To.ID, e.Mode) {
		return true
	}
	for _, path := range e.reads {
		if r.rights.sees(path.table, path.segs) == hidden {
			return true
		}
	}
	return false
}

// doubt tells what cannot be proven of an edge, besides its conditions.
func (r *runner) doubt(e *Edge, at state, tell func(words string)) {
	for _, words := range e.unsure {
		tell(words)
	}
	if e.record {
		in := recordOf(e.From)
		switch {
		case at.adds() && e.Case != nil && plan.Saves(e.Case):
			tell("it saves first")
		case at.adds():
			tell("there is no record yet")
		case in != nil && !in.Required:
			tell("it may be open without " + english.A(one(r.g.App.Project, in.Table)))
		}
	}
	if at.over() && e.beside {
		tell("it stands beside a dialog")
	}
	if e.field != "" && e.From != nil && r.rights.sees(e.From.RecordTable(), splitPath(e.field)) != seen {
		tell("the field may be hidden")
	}
	for _, path := range e.reads {
		if r.rights.sees(path.table, path.segs) == perhaps {
			tell("row rules may hide what leads there")
		}
	}
	for _, b := range e.records {
		on := r.rights.on(b.table)
		switch {
		case !b.same && !on.every["view"]:
			tell("row rules may hide the " + one(r.g.App.Project, b.table))
		case b.own && e.Mode == "edit" && !on.every["edit"]:
			tell("row rules may forbid to change the " + one(r.g.App.Project, b.table))
		}
	}
}

// recordOf gives the input of a screen that is its record; nil for none.
func recordOf(s *project.Screen) *project.Input {
	if s == nil {
		return nil
	}
	return s.Inputs[s.Record]
}

func one(p *project.Project, table string) string {
	if t := p.Tables[table]; t != nil {
		return t.One
	}
	return "record"
}
