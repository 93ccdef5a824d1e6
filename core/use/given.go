package use

import (
	"context"
	"maps"
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
)

// Given is the world as a shared gate sees it: its inputs instead of the screen's.
func (o *Opening) Given(g *plan.Gate, w *World, at Aim) *World {
	if g.Shared == nil {
		return w
	}
	of := *w
	of.given = true
	of.Inputs, of.InputRows = map[string]cond.Value{}, map[string]*ask.Row{}
	for id, in := range g.Shared.Inputs {
		of.Inputs[id] = cond.NullValue
		b := g.Given[id]
		if b == nil {
			if in.Required {
				of.Inputs[id] = cond.UnknownBecause("nothing says which " + english.Lower(in.Label))
			}
			continue
		}
		x := Binding{Opening: o, Input: in, Bound: b, Expr: g.Exprs[id], World: w, At: at}
		v := x.Value()
		if x.Later {
			v = cond.UnknownBecause("it is asked for first")
			if of.asks == nil {
				of.asks = x.Pick
			}
		}
		of.Inputs[id] = v
		if !v.Known() || v.IsNull() || in.Table == "" {
			continue
		}
		if of.InputRows[id] = plan.KindOf[RuleKind](b.Spec).Row(&x, v.KeyOf(), in.Table); of.InputRows[id] == nil {
			of.InputRows[id] = o.late[lateRef(g, id, v.KeyOf())]
		}
	}
	return &of
}

// Under sees a record through the row that it was fetched with.
func Under(r *ask.Row, path, key, table string) *ask.Row {
	if r == nil {
		return nil
	}
	out := &ask.Row{Table: table, Key: key, Values: map[string]cond.Value{}}
	for p, v := range r.Values {
		if of, ok := strings.CutPrefix(p, path+"."); ok {
			out.Values[of] = v
		}
	}
	return out
}

// lateRef names a record that a shared gate is given, by its input and key.
func lateRef(g *plan.Gate, input, key string) string { return g.Shared.ID + "." + input + "/" + key }

// FetchLate fetches the records that a shared gate is given by rules which no query of the screen
// answers: found as a child, picked, come back with, or always the same. What is not known yet, as
// what is asked for first, is left out; so is what the user may not view.
func (o *Opening) FetchLate(ctx context.Context, src Sources, g *plan.Gate, at Aim) error {
	w := o.World
	if at.Row != nil {
		of := *w
		of.Row = at.Row
		w = &of
	}
	for _, id := range slices.Sorted(maps.Keys(g.Late)) {
		in := g.Shared.Inputs[id]
		x := Binding{Opening: o, Input: in, Bound: g.Given[id], Expr: g.Exprs[id], World: w, At: at}
		v := x.Value()
		if x.Later || !v.Known() || v.IsNull() || v.KeyOf() == "" || !o.Rights.On(in.Table).View {
			continue
		}
		ref := lateRef(g, id, v.KeyOf())
		if _, there := o.late[ref]; there {
			continue
		}
		row, err := o.FetchOne(ctx, src, ask.Query{Table: o.App.Project.Tables[in.Table], Key: v.KeyOf()}, g.Late[id])
		if err != nil {
			return err
		}
		if o.late == nil {
			o.late = map[string]*ask.Row{}
		}
		o.late[ref] = row
	}
	return nil
}

// fetchAllLate does so for all shared gates of the screen, as far as it is known what they are given.
func (o *Opening) fetchAllLate(ctx context.Context, src Sources) error {
	if src.Pressed != "" {
		return nil // its own gate asks when it is judged
	}
	for _, g := range o.Plan.Late {
		if err := o.FetchLate(ctx, src, g, Aim{}); err != nil {
			return err
		}
	}
	return nil
}
