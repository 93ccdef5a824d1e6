package check

import (
	"context"
	"maps"
	"slices"

	"ambergate/core/beside"
	"ambergate/core/check/reach"
	"ambergate/core/plan"
)

// Found is what the checks found in a project, with what is found again after an edit of it.
type Found struct {
	Findings []Finding // as they are told
	app      *plan.App
	ix       *Index
	local    map[*Check]map[string][]Finding // by screen
	ways     map[string][]Way
}

// RunAfter runs the checks that look at a compiled project alone. Of what they found before an edit, what the edit cannot
// have changed is taken over; nil for nothing. The error is the context's.
func (all Checks) RunAfter(ctx context.Context, g *reach.Graph, sets []map[string]bool, old *Found) (*Found, error) {
	out := &Found{app: g.App, local: map[*Check]map[string][]Finding{}, ways: map[string][]Way{}}
	changed, partly := out.changedSince(old)
	out.ix = &Index{App: g.App, Graph: g, Sets: sets}
	near := changed // what is local to screens that lead to these may be otherwise as well
	if partly {
		near = maps.Clone(changed)
		for _, id := range g.LeadTo(changed) {
			near[id] = true
		}
	}
	for _, id := range sortedScreens(g.App) {
		if partly && !changed[id] {
			out.ways[id] = old.ways[id]
		} else {
			out.ways[id] = waysOf(g.App, id)
		}
		out.ix.Ways = append(out.ix.Ways, out.ways[id]...)
	}
	r := &running{ctx: ctx, all: all, whole: make([][]Finding, len(all)), by: make([]map[string][]Finding, len(all))}
	if partly {
		out.ix.remember(old.ix, changed)
		r.old, r.near, r.some, r.alike = old, near, out.some(near), out.ix.reachAsBefore(old.ix)
		r.pass(out.ix, func(*Check) bool { return true })
	} else { // what hangs on each screen alone asks nobody who gets where: it is found meanwhile, by an index of its own
		apart := *out.ix
		beside.Each(2, func(i int) {
			if i == 0 {
				r.pass(out.ix, func(c *Check) bool { return !c.Local })
			} else {
				r.pass(&apart, func(c *Check) bool { return c.Local })
			}
		})
		out.ix.add(&apart)
	}
	if err := ctx.Err(); err != nil {
		return nil, err
	}
	var found []Finding
	for i, c := range all {
		found = append(found, r.whole[i]...)
		if r.by[i] == nil {
			continue
		}
		out.local[c] = r.by[i]
		for _, id := range slices.Sorted(maps.Keys(r.by[i])) {
			found = append(found, r.by[i][id]...)
		}
	}
	out.Findings = out.ix.told(all, found)
	return out, nil
}

// running is checks being run, after an edit or from nothing.
type running struct {
	ctx   context.Context
	all   Checks
	old   *Found          // of before the edit; nil for from nothing
	near  map[string]bool // screens on which it may be otherwise now
	some  *Index          // of those alone
	alike bool            // everybody gets just where they did
	whole [][]Finding     // found anew as a whole, by check
	by    []map[string][]Finding
}

// pass runs some of the checks over an index, until the context ends.
func (r *running) pass(ix *Index, of func(*Check) bool) {
	for i, c := range r.all {
		switch {
		case c.Outside || !of(c) || r.ctx.Err() != nil:
		case !c.Local && !c.ByReach:
			r.whole[i] = ix.runOne(c)
		default:
			r.by[i] = r.byScreen(c, ix)
		}
	}
}

// byScreen runs a check whose findings on most screens are taken over from before an edit.
func (r *running) byScreen(c *Check, ix *Index) map[string][]Finding {
	by := map[string][]Finding{}
	if r.old != nil && (c.Local || r.alike) {
		by, ix = maps.Clone(r.old.local[c]), r.some
		maps.DeleteFunc(by, func(screen string, _ []Finding) bool { return screen == "" || r.near[screen] })
	}
	for _, f := range ix.runOne(c) {
		by[f.Screen] = append(by[f.Screen], f)
	}
	return by
}

// add takes over what another index of the same project has worked out, which is not looked at any more.
func (ix *Index) add(other *Index) {
	ix.grants, ix.hidden, ix.shutTo, ix.refused = added(ix.grants, other.grants), added(ix.hidden, other.hidden), added(ix.shutTo, other.shutTo), added(ix.refused, other.refused)
	ix.said, ix.labels, ix.placedBy = added(ix.said, other.said), added(ix.labels, other.labels), added(ix.placedBy, other.placedBy)
	ix.statedBy, ix.asks, ix.turns = added(ix.statedBy, other.statedBy), added(ix.asks, other.asks), added(ix.turns, other.turns)
}

func added[K comparable, V any](to, more map[K]V) map[K]V {
	if to == nil {
		return more
	}
	maps.Copy(to, more)
	return to
}

// changedSince gives the screens that were compiled anew since; false where more may have changed than they: the title of
// a screen is said of it on others.
func (k *Found) changedSince(old *Found) (map[string]bool, bool) {
	if old == nil || old.app.Compiler != k.app.Compiler || len(old.app.Screens) != len(k.app.Screens) {
		return nil, false
	}
	changed := map[string]bool{}
	for id, screen := range k.app.Screens {
		before := old.app.Screens[id]
		if before == nil {
			return nil, false
		}
		if before != screen {
			if before.Screen.Title != screen.Screen.Title {
				return nil, false
			}
			changed[id] = true
		}
	}
	return changed, true
}

// some gives an index of just some screens.
func (k *Found) some(screens map[string]bool) *Index {
	ix := *k.ix
	ix.Ways, ix.stated, ix.labels = nil, nil, maps.Clone(k.ix.labels)
	ix.only = slices.Sorted(maps.Keys(screens))
	if ix.only == nil {
		ix.only = []string{}
	}
	for _, id := range ix.only {
		ix.Ways = append(ix.Ways, k.ways[id]...)
	}
	return &ix
}

// reachAsBefore says whether everybody gets just where they did.
func (ix *Index) reachAsBefore(old *Index) bool {
	now, before := ix.ResultOf(ix.Everybody()), old.results
	if len(now) != len(before) {
		return false
	}
	for i, r := range now {
		if !r.As(before[i]) {
			return false
		}
	}
	return true
}

// remember takes over what was worked out of conditions, grants and elements that are still the same.
func (ix *Index) remember(old *Index, changed map[string]bool) {
	ix.grants, ix.turns, ix.hidden, ix.asks, ix.said = old.grants, old.turns, old.hidden, old.asks, old.said
	ix.labels, ix.done, ix.statedBy, ix.placedBy = maps.Clone(old.labels), maps.Clone(old.done), maps.Clone(old.statedBy), maps.Clone(old.placedBy)
	for id := range changed {
		delete(ix.labels, id)
		delete(ix.done, id)
		delete(ix.statedBy, id)
		delete(ix.placedBy, id)
	}
	if ix.done != nil {
		for id := range changed {
			ix.doingOn(id)
		}
		ix.doesAgain(old, changed)
	}
	ix.placedAgain(old, changed)
}
