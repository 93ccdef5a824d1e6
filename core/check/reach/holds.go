package reach

import (
	"slices"
	"sync"

	"ambergate/core/cond"
	"ambergate/core/cond/prove"
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

// proofs keeps what was proven, by the nodes that it was proven of.
type proofs struct {
	mu      sync.Mutex // drafts that follow each other share them
	pairs   map[[2]*cond.Node]*cond.Node
	nots    map[*cond.Node]*cond.Node
	can     map[*cond.Node]prove.Answer
	implies map[[2]*cond.Node]bool
	plant   map[*cond.Node]bool
}

func newProofs() *proofs {
	return &proofs{pairs: map[[2]*cond.Node]*cond.Node{}, nots: map[*cond.Node]*cond.Node{}, can: map[*cond.Node]prove.Answer{}, implies: map[[2]*cond.Node]bool{}, plant: map[*cond.Node]bool{}}
}

// most bounds what is kept of older edits.
const most = 400_000

// full says whether so much is kept that it is better begun anew.
func (p *proofs) full() bool {
	p.mu.Lock()
	defer p.mu.Unlock()
	return len(p.pairs)+len(p.can)+len(p.implies) > most
}

func (p *proofs) both(a, b *cond.Node) *cond.Node {
	switch {
	case a == nil:
		return b
	case b == nil || a == b:
		return a
	}
	key := [2]*cond.Node{a, b}
	n := p.pairs[key]
	if n == nil {
		n = cond.Every(a, b)
		p.pairs[key] = n
	}
	return n
}

func (p *proofs) not(a *cond.Node) *cond.Node {
	n := p.nots[a]
	if n == nil {
		n = &cond.Node{Op: cond.OpNot, Args: []*cond.Node{a}, Type: a.Type}
		p.nots[a] = n
	}
	return n
}

func (p *proofs) never(n *cond.Node) bool {
	if n == nil {
		return false
	}
	a, known := p.can[n]
	if !known {
		a = prove.CanHold(n)
		p.can[n] = a
	}
	return a == prove.No
}

// always says whether a condition holds wherever another does; nil for whatever.
func (p *proofs) always(where, n *cond.Node) bool {
	if n == nil || n == where {
		return true
	}
	key := [2]*cond.Node{where, n}
	yes, known := p.implies[key]
	if !known {
		if where == nil {
			yes = prove.CanFail(n) == prove.No
		} else {
			yes = prove.Implies(where, n) == prove.Yes
		}
		p.implies[key] = yes
	}
	return yes
}

// onPlant says whether a condition reads live values.
func (p *proofs) onPlant(n *cond.Node) bool {
	yes, known := p.plant[n]
	if !known {
		for _, path := range n.Paths() {
			yes = yes || path.Root == project.TagRoot || slices.Contains(path.Segs, project.EquipField)
		}
		p.plant[n] = yes
	}
	return yes
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

type adaptKey struct {
	node *cond.Node
	add  bool
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

// adapt gives a condition for just these roles: what they may not see is never known, and what may be beyond their row
// rules, or is not there yet, may be anything.
func (r *runner) adapt(n *cond.Node, from *project.Screen, row string, add bool) *cond.Node {
	if n == nil {
		return nil
	}
	key := adaptKey{n, add}
	out := r.adapted[key]
	if out == nil {
		out = r.part(n, from, row, add)
		r.adapted[key] = out
	}
	return out
}

func (r *runner) part(n *cond.Node, from *project.Screen, row string, add bool) *cond.Node {
	if n.Op == cond.OpRole {
		return &cond.Node{Op: cond.OpConst, Const: cond.Bool(r.roles[n.Fn]), Type: n.Type}
	}
	if !deciding(n.Op) {
		return r.leaf(n, from, row, add)
	}
	same := true
	args := make([]*cond.Node, len(n.Args))
	for i, a := range n.Args {
		args[i] = r.part(a, from, row, add)
		same = same && args[i] == a
	}
	if same {
		return n
	}
	out := *n
	out.Args = args
	return &out
}

func (r *runner) leaf(n *cond.Node, from *project.Screen, row string, add bool) *cond.Node {
	worst, asks := seen, false
	n.Walk(func(part *cond.Node) {
		asks = asks || part.Op == cond.OpRole
		if part.Op == cond.OpPath {
			worst = max(worst, r.sight(part.Path, from, row, add))
		}
	})
	switch {
	case worst == hidden:
		return &cond.Node{Op: cond.OpConst, Const: cond.UnknownBecause("not visible"), Type: n.Type}
	case worst == perhaps || asks:
		id := ""
		if from != nil {
			id = from.ID
		}
		return opaque(id, n)
	}
	return n
}

// sight says whether a name is known to the roles.
func (r *runner) sight(p *cond.Path, from *project.Screen, row string, add bool) sight {
	table, segs := "", p.Segs
	switch p.Root {
	case "record":
		if add {
			return perhaps
		}
		if from != nil {
			if in := from.Inputs[from.Record]; in != nil && !in.Required {
				return perhaps // it may be open without one
			}
			table = from.RecordTable()
		}
	case "row":
		table = row
	case "inputs":
		if from == nil || len(segs) < 2 {
			return seen
		}
		if in := from.Inputs[segs[0]]; in != nil {
			table = in.Table
		}
		segs = segs[1:]
	case "user":
		if len(segs) == 1 && (segs[0] == "id" || segs[0] == "name" || segs[0] == "login") {
			return seen
		}
		return perhaps
	case "vars", "typed", "saved":
		return perhaps
	default:
		return seen
	}
	if table == "" || len(segs) == 0 {
		return seen
	}
	return r.rights.sees(table, segs)
}

// guard gives the guard of a screen for the roles: it holds while one is there. Nil for none.
func (r *runner) guard(s *project.Screen, add bool) *cond.Node {
	compiled := r.g.App.Screens[s.ID]
	if compiled == nil || compiled.Guard == nil {
		return nil
	}
	key := adaptKey{compiled.Guard.Root, add}
	n := r.guards[key]
	if n == nil {
		c := &collector{app: r.g.App, screen: compiled}
		n = r.adapt(c.own(compiled.Guard.Root), s, "", add)
		r.guards[key] = n
	}
	return n
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
	if e.To != nil && r.shutTo(e.To, e.Mode) {
		return verdict{}
	}
	return v
}

// shutTo says whether a screen is shut to the roles in a mode whatever the record; found out once.
func (r *runner) shutTo(s *project.Screen, mode string) bool {
	at := r.g.index[s.ID]*len(modeNames) + int(stateOf(0, mode, false))/2
	if r.shuts[at] == 0 {
		r.shuts[at] = -1
		if r.rights.refuses(s, mode) != "" {
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
	if e.shut || e.rows != "" && !r.rights.on(e.rows).View || e.To != nil && !r.rights.all && r.shutTo(e.To, e.Mode) {
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
