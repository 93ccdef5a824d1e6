package check

import (
	"context"
	"maps"
	"slices"

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
	some, alike := out.ix, false
	if partly {
		out.ix.remember(old.ix, changed)
		some, alike = out.some(near), out.ix.reachAsBefore(old.ix)
	}
	var found []Finding
	for _, c := range all {
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		switch {
		case c.Outside:
		case !c.Local && !c.ByReach:
			found = append(found, out.ix.runOne(c)...)
		default:
			by, over := map[string][]Finding{}, out.ix
			if partly && (c.Local || alike) {
				by, over = maps.Clone(old.local[c]), some
				maps.DeleteFunc(by, func(screen string, _ []Finding) bool { return screen == "" || near[screen] })
			}
			for _, f := range over.runOne(c) {
				by[f.Screen] = append(by[f.Screen], f)
			}
			out.local[c] = by
			for _, id := range slices.Sorted(maps.Keys(by)) {
				found = append(found, by[id]...)
			}
		}
	}
	out.Findings = out.ix.told(all, found)
	return out, nil
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
