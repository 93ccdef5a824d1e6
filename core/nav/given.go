package nav

import (
	"context"
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
)

// given is the world as a shared gate sees it: its inputs instead of the screen's.
func (o *Opening) given(g *GatePlan, w *world, at aim) *world {
	if g.Shared == nil {
		return w
	}
	of := *w
	of.inputs, of.inputRows = map[string]cond.Value{}, map[string]*Row{}
	for id, in := range g.Shared.Inputs {
		of.inputs[id] = cond.NullValue
		b := g.Given[id]
		if b == nil {
			if in.Required {
				of.inputs[id] = cond.UnknownBecause("nothing says which " + english.Lower(in.Label))
			}
			continue
		}
		x := binding{o: o, in: in, b: b, expr: g.Exprs[id], w: w, at: at}
		v := x.value()
		if x.later {
			v = cond.UnknownBecause("it is asked for first")
			if of.asks == nil {
				of.asks = x.pick
			}
		}
		of.inputs[id] = v
		if !v.Known() || v.IsNull() || in.Table == "" {
			continue
		}
		if of.inputRows[id] = kindOf[GivingKind](b.Spec).Row(&x, v.KeyOf(), in.Table); of.inputRows[id] == nil {
			of.inputRows[id] = o.late[g.lateRef(id, v.KeyOf())]
		}
	}
	return &of
}

// under sees a record through the row that it was fetched with.
func (r *Row) under(path, key, table string) *Row {
	if r == nil {
		return nil
	}
	out := &Row{Table: table, Key: key, Values: map[string]cond.Value{}}
	for p, v := range r.Values {
		if of, ok := strings.CutPrefix(p, path+"."); ok {
			out.Values[of] = v
		}
	}
	return out
}

// lateRef names a record that a shared gate is given, by its input and key.
func (g *GatePlan) lateRef(input, key string) string { return g.Shared.ID + "." + input + "/" + key }

// fetchLate fetches the records that a shared gate is given by rules which no query of the screen
// answers: found as a child, picked, come back with, or always the same. What is not known yet, as
// what is asked for first, is left out; so is what the user may not view.
func (o *Opening) fetchLate(ctx context.Context, src Sources, g *GatePlan, at aim) error {
	w := o.world
	if at.row != nil {
		of := *w
		of.row = at.row
		w = &of
	}
	for _, id := range slices.Sorted(maps.Keys(g.Late)) {
		in := g.Shared.Inputs[id]
		x := binding{o: o, in: in, b: g.Given[id], expr: g.Exprs[id], w: w, at: at}
		v := x.value()
		if x.later || !v.Known() || v.IsNull() || v.KeyOf() == "" || !o.rights.On(in.Table).View {
			continue
		}
		ref := g.lateRef(id, v.KeyOf())
		if _, there := o.late[ref]; there {
			continue
		}
		row, err := o.one(ctx, src, Query{Table: o.app.Project.Tables[in.Table], Key: v.KeyOf()}, g.Late[id])
		if err != nil {
			return err
		}
		if o.late == nil {
			o.late = map[string]*Row{}
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
	for _, g := range o.plan.late {
		if err := o.fetchLate(ctx, src, g, aim{}); err != nil {
			return err
		}
	}
	return nil
}
