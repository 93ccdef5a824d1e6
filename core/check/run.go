package check

import (
	"cmp"
	"context"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/check/reach"
	"ambergate/core/english"
	"ambergate/core/plan"
)

// Checks are those that are run, in the order in which findings of one place are told.
type Checks []*Check

// Run runs the checks that look at a compiled project alone. The same project gives the same list in
// the same order.
func (all Checks) Run(app *plan.App) []Finding {
	out, _ := all.RunUntil(context.Background(), app)
	return out
}

// RunUntil does so until a context ends; then the error is the context's, and nothing is found.
func (all Checks) RunUntil(ctx context.Context, app *plan.App) ([]Finding, error) {
	return all.RunOver(ctx, reach.Of(app, nil), nil)
}

// RunOver does so over what leads where in a project, which was found already, for each role and for each set of roles
// that people have.
func (all Checks) RunOver(ctx context.Context, g *reach.Graph, sets []map[string]bool) ([]Finding, error) {
	kept, err := all.RunAfter(ctx, g, sets, nil)
	if err != nil {
		return nil, err
	}
	return kept.Findings, nil
}

// Against runs the checks that compare a compiled project with what stands outside it.
func (all Checks) Against(app *plan.App, outside Outside) []Finding {
	out, _ := newIndex(app, outside).run(context.Background(), all, true)
	return out
}

func (ix *Index) run(ctx context.Context, all Checks, outside bool) ([]Finding, error) {
	out := []Finding{}
	for _, c := range all {
		if c.Outside != outside {
			continue
		}
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		out = append(out, ix.runOne(c)...)
	}
	return ix.told(all, out), nil
}

func (ix *Index) runOne(c *Check) (out []Finding) {
	c.Run(ix, func(f Finding) {
		f.Check = c.Name
		out = append(out, f)
	})
	return out
}

// told gives findings as they are told: those of rails once, in order, with what somebody lives with.
func (ix *Index) told(all Checks, found []Finding) []Finding {
	found = all.Sorted(ix.foldRails(toldOnce(found)))
	accept(ix.App.Project, found)
	return found
}

// toldOnce leaves out what is found again of something that many share.
func toldOnce(found []Finding) []Finding {
	type same struct{ check, once string }
	seen := map[same]bool{}
	return slices.DeleteFunc(found, func(f Finding) bool {
		key := same{f.Check, f.Once}
		again := f.Once != "" && seen[key]
		seen[key] = true
		return again
	})
}

// foldRails makes one finding of what is found alike on several screens that a rail stands on.
func (ix *Index) foldRails(found []Finding) []Finding {
	type same struct{ check, rail, element, trigger, words string }
	first := map[same]int{}
	on := map[same][]string{}
	out := []Finding{} // never nil
	for _, f := range found {
		if ix.App.Project.Rails[f.Entity] == nil || f.Screen == "" {
			out = append(out, f)
			continue
		}
		key := same{f.Check, f.Entity, f.Element, f.Trigger, f.Words}
		if len(on[key]) == 0 {
			first[key] = len(out)
			out = append(out, f)
		}
		if title := "“" + ix.App.Project.Screens[f.Screen].Title + "”"; !slices.Contains(on[key], title) {
			on[key] = append(on[key], title)
		}
	}
	for key, screens := range on {
		f := &out[first[key]]
		if more := len(screens) - 3; more > 0 {
			screens = append(screens[:3:3], strconv.Itoa(more)+" more")
		}
		f.Evidence = strings.TrimSpace(f.Evidence + " On the rail “" + ix.App.Project.Rails[key.rail].Name + "”, on " + english.List(screens, "and") + ".")
	}
	return out
}

// Sorted gives findings as they are told: what is broken first, then by place; those of one place by
// check, as they are run.
func (all Checks) Sorted(found []Finding) []Finding {
	rank := map[Severity]int{Broken: 0, Doubtful: 1, Note: 2}
	order := map[string]int{}
	for i, c := range all {
		order[c.Name] = i
	}
	slices.SortStableFunc(found, func(a, b Finding) int {
		return cmp.Or(
			cmp.Compare(rank[a.Severity], rank[b.Severity]),
			cmp.Compare(a.Screen, b.Screen), cmp.Compare(a.Entity, b.Entity), cmp.Compare(a.Element, b.Element),
			cmp.Compare(order[a.Check], order[b.Check]),
		)
	})
	return found
}
