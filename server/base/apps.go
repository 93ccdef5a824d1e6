package base

import (
	"context"
	"fmt"
	"strconv"
	"sync"
	"time"

	"ambergate/core/ask"
	"ambergate/core/check"
	"ambergate/core/cond"
	"ambergate/core/differ"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/server/metrics"
	"ambergate/store"
)

// Apps keeps compiled projects: each release once, and the newest draft of each project.
type Apps struct {
	store    *store.Store
	metrics  *metrics.Metrics
	believed func() time.Duration
	mu       sync.Mutex
	bySlug   map[string]string // slug → id
	states   map[string]state
	releases map[string]*plan.App // id and number
	drafts   map[string]*Draft
	records  map[string]ownRecord
}

type state struct {
	store.State
	until time.Time
}

type ownRecord struct {
	key   string
	until time.Time
}

func newApps(s *store.Store, m *metrics.Metrics, believed func() time.Duration) *Apps {
	return &Apps{store: s, metrics: m, believed: believed, bySlug: map[string]string{}, states: map[string]state{}, releases: map[string]*plan.App{}, drafts: map[string]*Draft{}, records: map[string]ownRecord{}}
}

// ID finds a project by its slug.
func (a *Apps) ID(ctx context.Context, slug string) (string, error) {
	a.mu.Lock()
	id, ok := a.bySlug[slug]
	a.mu.Unlock()
	if ok {
		return id, nil
	}
	list, err := a.store.Projects(ctx)
	if err != nil {
		return "", err
	}
	a.mu.Lock()
	defer a.mu.Unlock()
	for _, p := range list {
		a.bySlug[p.Slug] = p.ID
	}
	if id, ok := a.bySlug[slug]; ok {
		return id, nil
	}
	return "", NoProject(slug)
}

// state gives a project's sequence number and newest release, as they were heard of last.
func (a *Apps) state(ctx context.Context, id string) (state, error) {
	now := time.Now()
	a.mu.Lock()
	st, ok := a.states[id]
	a.mu.Unlock()
	if ok && now.Before(st.until) {
		return st, nil
	}
	read, err := a.store.ProjectState(ctx, id)
	if err != nil {
		return state{}, err
	}
	return a.note(id, read), nil
}

// note believes for a while what was just read of a project's state.
func (a *Apps) note(id string, read store.State) state {
	st := state{State: read, until: time.Now().Add(a.believed())}
	a.mu.Lock()
	defer a.mu.Unlock()
	a.states[id] = st
	return st
}

// NoProject is the no to a slug that names no project.
func NoProject(slug string) error {
	return &ask.Refusal{Code: "no-project", What: "There is no application at “" + slug + "”.", Then: "Check the address, or choose one from the list."}
}

// Changed forgets what is known of a project's state.
func (a *Apps) Changed(id string) {
	a.mu.Lock()
	delete(a.states, id)
	clear(a.bySlug) // it may be called otherwise by now
	a.mu.Unlock()
}

// Forget drops what is believed of all projects without asking. What was compiled stays: a release does not change.
func (a *Apps) Forget() {
	a.mu.Lock()
	defer a.mu.Unlock()
	clear(a.bySlug)
	clear(a.states)
	clear(a.records)
}

// Released gives the release of a project that all use, compiled.
func (a *Apps) Released(ctx context.Context, id string) (*plan.App, int, error) {
	return a.ReleasedFor(ctx, id, store.Account{})
}

// ReleasedFor gives the release of a project that somebody uses, compiled: that of all, or the one that they use first.
func (a *Apps) ReleasedFor(ctx context.Context, id string, who store.Account) (*plan.App, int, error) {
	st, err := a.state(ctx, id)
	if err != nil {
		return nil, 0, err
	}
	number := st.numberFor(who)
	if number == 0 {
		return nil, 0, &ask.Refusal{Code: "not-released", What: "This application has not been released yet.", Then: "Its builder puts it into use."}
	}
	app, err := a.Release(ctx, id, number)
	return app, number, err
}

// NumberKnown gives the number of the release that somebody uses, where that is believed without asking.
func (a *Apps) NumberKnown(id string, who store.Account) (number int, known bool) {
	a.mu.Lock()
	st, ok := a.states[id]
	a.mu.Unlock()
	number = st.numberFor(who)
	return number, ok && number != 0 && time.Now().Before(st.until)
}

// numberFor gives the release that somebody uses; 0 for none.
func (st state) numberFor(who store.Account) int {
	if st.Trial != nil && st.Trial.For.Has(who) {
		return st.Trial.Number
	}
	return st.Released
}

// Release gives one release of a project, compiled once.
func (a *Apps) Release(ctx context.Context, id string, number int) (*plan.App, error) {
	key := id + "/" + strconv.Itoa(number)
	a.mu.Lock()
	app, ok := a.releases[key]
	a.mu.Unlock()
	if ok {
		return app, nil
	}
	r, err := a.store.Release(ctx, id, number)
	if err != nil {
		return nil, err
	}
	p, err := project.Decode(r.Entities)
	if err != nil {
		return nil, fmt.Errorf("read release %d: %w", number, err)
	}
	if app, err = plan.Compile(p); err != nil {
		return nil, fmt.Errorf("compile release %d: %w", number, err)
	}
	a.mu.Lock()
	defer a.mu.Unlock()
	if len(a.releases) >= 20 {
		clear(a.releases)
	}
	a.releases[key] = app
	return app, nil
}

// ReleaseSide gives one release of a project, compiled and as it is kept. Error: store.ErrNone.
func (a *Apps) ReleaseSide(ctx context.Context, id string, number int) (differ.Side, *store.Release, error) {
	r, err := a.store.Release(ctx, id, number)
	if err != nil {
		return differ.Side{}, nil, err
	}
	app, err := a.Release(ctx, id, number)
	return differ.Side{App: app, Entities: r.Entities}, r, err
}

// Draft gives a project as it is being built, compiled and checked once for each edit.
func (a *Apps) Draft(ctx context.Context, id string) (*Draft, error) {
	st, err := a.store.ProjectState(ctx, id)
	if err != nil {
		return nil, err
	}
	a.mu.Lock()
	d := a.drafts[id]
	a.mu.Unlock()
	if d != nil && d.Seq == st.Seq && d.Released == st.Released && d.Trial == st.TrialNumber() {
		return d, nil
	}
	var known *store.Draft
	if d != nil {
		known = d.Draft
	}
	raw, err := a.store.DraftSince(ctx, id, known)
	if err != nil {
		return nil, err
	}
	app, err := redraft(raw, d)
	if err != nil {
		return nil, err
	}
	people, err := a.store.Accounts(ctx, id)
	if err != nil {
		return nil, err
	}
	next := &Draft{Draft: raw, App: app, checked: make(chan struct{}), before: []check.Finding{}}
	for _, p := range people {
		next.Sets = append(next.Sets, p.Roles)
	}
	if d != nil {
		next.before = d.soFar()
	}
	next.check(d, a.metrics.Findings)
	d = next
	a.mu.Lock()
	a.drafts[id] = d
	a.mu.Unlock()
	return d, nil
}

func (a *Apps) ownRecord(key string) (string, bool) {
	a.mu.Lock()
	defer a.mu.Unlock()
	r, ok := a.records[key]
	return r.key, ok && time.Now().Before(r.until)
}

func (a *Apps) keepOwnRecord(key, record string) {
	a.mu.Lock()
	defer a.mu.Unlock()
	if len(a.records) > 10_000 {
		clear(a.records)
	}
	a.records[key] = ownRecord{key: record, until: time.Now().Add(10 * time.Second)}
}

func textValue(s string) cond.Value { return cond.String(s) }

// LocalNow gives the moment in the project's zone.
func (s *Base) LocalNow(app *plan.App) time.Time {
	return s.Now().In(zoneOf(app.Project.Settings.Zone))
}

// zones are those that were asked for, by name: to read one takes a file.
var zones sync.Map

func zoneOf(name string) *time.Location {
	if known, ok := zones.Load(name); ok {
		return known.(*time.Location)
	}
	zone, err := time.LoadLocation(name)
	if err != nil {
		return time.UTC
	}
	zones.Store(name, zone)
	return zone
}
