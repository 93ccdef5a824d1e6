package base

import (
	"cmp"
	"context"
	"encoding/json"
	"log/slog"
	"maps"
	"slices"
	"sync"
	"sync/atomic"
	"time"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/checks"
	"ambergate/core/differ"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/store"
)

// Draft is a project as it is being built, compiled, and checked in the background.
type Draft struct {
	*store.Draft
	App     *plan.App
	checked chan struct{} // closed when the findings are there
	found   []check.Finding
	took    atomic.Int64       // how long it took, in nanoseconds, or the one before it
	stop    context.CancelFunc // gives the checks up
	before  []check.Finding    // of the draft before this one; never nil
	graph   func() *reach.Graph
	led     atomic.Pointer[reach.Graph] // the same, once it is there
	Sets    []map[string]bool           // sets of roles that people have, one for each person
}

// Newest is the number of the newest release that anybody uses; 0 for none.
func (d *Draft) Newest() int { return cmp.Or(d.Trial, d.Released) }

// Checked waits for what the checks find.
func (d *Draft) Checked(ctx context.Context) ([]check.Finding, error) {
	select {
	case <-d.checked:
		return d.found, nil
	case <-ctx.Done():
		return nil, ctx.Err()
	}
}

// Reach gives what leads where in the draft; found once.
func (d *Draft) Reach() *reach.Graph { return d.graph() }

// distinct gives each set of roles once.
func distinct(sets []map[string]bool) []map[string]bool {
	var out []map[string]bool
	seen := map[string]bool{}
	for _, set := range sets {
		if key := reach.Roles(set); key != "" && !seen[key] {
			seen[key] = true
			out = append(out, set)
		}
	}
	return out
}

// checkedWithin is how long an answer waits for the checks of a draft.
const checkedWithin = 150 * time.Millisecond

// checkPause is how long nothing is edited before a project that takes long to check is checked again.
const checkPause = 400 * time.Millisecond

// Findings gives what the checks found. Those of a large project take a while: until they are
// there it is what was found in the draft before, and false.
func (d *Draft) Findings(ctx context.Context) ([]check.Finding, bool) {
	timer := time.NewTimer(checkedWithin)
	defer timer.Stop()
	select {
	case <-d.checked:
		return d.found, true
	case <-timer.C:
	case <-ctx.Done():
	}
	return d.before, false
}

// check begins to check a draft; the checks of the one before it are given up.
func (d *Draft) check(old *Draft, took func(time.Duration)) {
	ctx, stop := context.WithCancel(context.Background())
	d.stop = stop
	var before *reach.Graph
	if old != nil {
		before = old.led.Load()
	}
	d.graph = sync.OnceValue(func() *reach.Graph {
		g := reach.Of(d.App, before)
		before = nil // what is older is not kept
		d.led.Store(g)
		return g
	})
	pause := time.Duration(0)
	if old != nil {
		if old.stop(); old.took.Load() > int64(checkedWithin) {
			pause = checkPause
			d.took.Store(old.took.Load())
		}
	}
	go func() {
		defer Recovered(slog.Default(), "check a draft")
		select {
		case <-time.After(pause):
		case <-ctx.Done():
			return // nobody waits for it: the draft is an old one
		}
		began := time.Now()
		found, err := checks.All.RunOver(ctx, d.Reach(), distinct(d.Sets))
		if err != nil {
			return
		}
		d.took.Store(int64(time.Since(began)))
		took(time.Since(began))
		d.found = found
		close(d.checked)
	}()
}

// soFar gives what the checks found as far as is known, without waiting.
func (d *Draft) soFar() []check.Finding {
	select {
	case <-d.checked:
		return d.found
	default:
		return d.before
	}
}

// redraft compiles a draft; of an older one only what has changed since.
func redraft(raw *store.Draft, old *Draft) (*plan.App, error) {
	if old == nil {
		p, err := project.Decode(raw.Entities)
		if err != nil {
			return nil, err
		}
		return plan.Compile(p)
	}
	changed := map[string]json.RawMessage{}
	for id, version := range raw.Versions {
		if was, known := old.Versions[id]; !known || was != version {
			changed[id] = raw.Entities[id]
		}
	}
	for id := range old.Versions {
		if _, still := raw.Versions[id]; !still {
			changed[id] = nil
		}
	}
	p, err := project.Redecode(old.App.Project, changed)
	if err != nil {
		return nil, err
	}
	return plan.Recompile(old.App, p, slices.Sorted(maps.Keys(changed)))
}

// Side is the draft, compiled and as it is kept.
func (d *Draft) Side() differ.Side { return differ.Side{App: d.App, Entities: d.Entities} }

// Without gives a draft as it was before an edit: its entities with the inverse of the edit. False where somebody else
// has changed the same since.
func (d *Draft) Without(inverse []patch.Op) (*plan.App, bool) {
	back := d.Back()
	if !back.Undo(inverse) {
		return nil, false
	}
	was, err := back.Side()
	return was.App, err == nil
}
