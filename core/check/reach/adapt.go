package reach

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// adaptKey is a condition where it is asked: screens share conditions, and what is known of them differs.
type adaptKey struct {
	node *cond.Node
	from *project.Screen
	row  string
	add  bool
}

// adapt gives a condition for just these roles: what they may not see is never known, and what may be beyond their row
// rules, or is not there yet, may be anything.
func (r *runner) adapt(n *cond.Node, from *project.Screen, row string, add bool) *cond.Node {
	if n == nil {
		return nil
	}
	key := adaptKey{n, from, row, add}
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
	key := adaptKey{compiled.Guard.Root, s, "", add}
	n := r.guards[key]
	if n == nil {
		c := &collector{app: r.g.App, screen: compiled}
		n = r.adapt(c.own(compiled.Guard.Root), s, "", add)
		r.guards[key] = n
	}
	return n
}
