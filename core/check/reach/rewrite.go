package reach

import (
	"slices"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// renamed says what stands for a path; nil where that cannot be told.
type renamed func(*cond.Path) *cond.Node

// rewrite puts other names into a condition. A comparison with a name that cannot be told may be anything; mark sets
// such parts apart from those of other places.
func rewrite(n *cond.Node, mark string, name renamed) *cond.Node {
	out, ok := rewritten(n, mark, name)
	if !ok {
		return opaque(mark, n)
	}
	return out
}

// opaque is a part that may be anything, the same wherever it stands for the same text of the same place.
func opaque(mark string, n *cond.Node) *cond.Node {
	return &cond.Node{Op: cond.OpOpaque, Source: mark + "\x00" + n.Phrase(), Type: cond.Type{Kind: cond.YesNo}}
}

// deciding says whether a part is made of conditions, which are looked into one by one.
func deciding(op cond.Op) bool {
	switch op {
	case cond.OpAnd, cond.OpOr, cond.OpNot, cond.OpNamed:
		return true
	}
	return false
}

func rewritten(n *cond.Node, mark string, name renamed) (*cond.Node, bool) {
	switch {
	case n.Op == cond.OpPath:
		to := name(n.Path)
		if to == nil {
			return nil, false
		}
		if to.Op == cond.OpPath && to.Path == n.Path {
			return n, true
		}
		return to, true
	case n.Op == cond.OpOpaque && len(n.Args) == 0:
		return n, true
	case n.Op == cond.OpOpaque, n.Op == cond.OpIf:
		for _, p := range n.Paths() {
			if to := name(p); to == nil || to.Op != cond.OpPath || to.Path != p {
				return nil, false
			}
		}
		return n, true
	}
	same := true
	args := make([]*cond.Node, len(n.Args))
	for i, a := range n.Args {
		to, ok := rewritten(a, mark, name)
		if !ok {
			if !deciding(n.Op) {
				return nil, false
			}
			to = opaque(mark, a)
		}
		args[i], same = to, same && to == a
	}
	if same {
		return n, true
	}
	out := *n
	out.Args = args
	return folded(&out), true
}

// folded gives a comparison of two values as what it comes to.
func folded(n *cond.Node) *cond.Node {
	if deciding(n.Op) || len(n.Args) == 0 {
		return n
	}
	for _, a := range n.Args {
		if a.Op != cond.OpConst {
			return n
		}
	}
	return &cond.Node{Op: cond.OpConst, Const: n.Eval(nowhere{}), Type: n.Type}
}

// own gives a condition of the screen with one name for its record: by which input it came is the same.
func (c *collector) own(n *cond.Node) *cond.Node {
	s := c.screen.Screen
	if s.Record == "" {
		return n
	}
	return rewrite(n, s.ID, func(p *cond.Path) *cond.Node {
		if p.Root != "inputs" || p.First() != s.Record {
			return path(p)
		}
		return renamedPath(p, "record", p.Segs[1:], false)
	})
}

// within gives conditions of a gate in the names of the screen: those of a shared one speak of its own inputs.
func (c *collector) within(w plan.Way) func(*cond.Node) *cond.Node {
	if w.Gate.Shared == nil {
		return c.own
	}
	lead := &plan.Lead{Lead: &project.Lead{Bind: w.Gate.Given}}
	outside := w
	plain := *w.Gate
	plain.Shared = nil
	outside.Gate = &plain
	mark := c.screen.Screen.ID + " " + w.Element.ID + " " + w.Trigger
	return func(n *cond.Node) *cond.Node {
		return rewrite(n, mark, func(p *cond.Path) *cond.Node {
			if p.Root != "inputs" {
				return path(p)
			}
			in := w.Gate.Shared.Inputs[p.First()]
			if in == nil {
				return nil
			}
			return c.termOf(outside, lead, in).under(p, p.Segs[1:])
		})
	}
}

// guardHere gives the guard of a target in the names of the screen that one comes from.
func (c *collector) guardHere(e *Edge, lead *plan.Lead, guard *cond.Node) *cond.Node {
	mark := e.From.ID + " " + e.Case.ID + " " + e.Way.Element.ID + " " + e.Way.Trigger + ">" + e.To.ID
	return rewrite(guard, mark, func(p *cond.Path) *cond.Node {
		switch p.Root {
		case "record":
			in := e.To.Inputs[e.To.Record]
			if e.changes || e.policy || e.Mode == "add" || in == nil {
				return nil
			}
			t := c.termOf(e.Way, lead, in)
			switch {
			case t.value != nil && t.value.IsNull(): // it opens without a record: nothing is known of it
				return &cond.Node{Op: cond.OpConst, Const: cond.UnknownBecause("there is no record"), Type: p.Type}
			case t.nullable && !in.Required:
				return nil
			}
			return t.under(p, p.Segs)
		case "inputs":
			in := e.To.Inputs[p.First()]
			if e.changes || e.policy || in == nil || in.ID == e.To.Record && e.Mode == "add" {
				return nil
			}
			return c.termOf(e.Way, lead, in).under(p, p.Segs[1:])
		case "vars":
			if v := c.app.Project.Variables[p.First()]; e.changes || v == nil || v.Screen != "" {
				return nil
			}
		}
		return path(p)
	})
}

// under gives what follows a term by some fields.
func (t term) under(p *cond.Path, rest []string) *cond.Node {
	switch {
	case !t.known:
		return nil
	case t.value != nil && (len(rest) == 0 || t.value.IsNull()):
		return &cond.Node{Op: cond.OpConst, Const: *t.value, Type: p.Type}
	case t.value != nil:
		return nil
	}
	segs := append(append([]string{}, t.segs...), rest...)
	if t.root == p.Root && slices.Equal(segs, p.Segs) {
		return path(p)
	}
	return renamedPath(p, t.root, segs, t.nullable)
}

func path(p *cond.Path) *cond.Node { return &cond.Node{Op: cond.OpPath, Path: p, Type: p.Type} }

func renamedPath(p *cond.Path, root string, segs []string, nullable bool) *cond.Node {
	out := *p
	out.Root, out.Segs, out.Key = root, segs, strings.Join(segs, ".")
	out.Type.Nullable = p.Type.Nullable || nullable
	return path(&out)
}

// nowhere knows no value.
type nowhere struct{}

var _ cond.World = nowhere{}

func (nowhere) Value(*cond.Path) cond.Value { return cond.UnknownBecause("no world is meant") }
func (nowhere) HasRole(string) bool         { return false }
func (nowhere) Now() time.Time              { return time.Time{} }
