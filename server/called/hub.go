package called

import (
	"context"
	"log/slog"
	"time"

	"ambergate/core/plan"
	"ambergate/server/base"
	"ambergate/store"
)

// releasesEvery is how often it is looked whether there is another release.
const releasesEvery = time.Second

// Hub keeps an engine for each released project that has call-ups.
type Hub struct {
	base *base.Base
	log  *slog.Logger

	running map[string]running
}

type running struct {
	release int
	stop    func()
}

// New makes a hub that watches nothing yet.
func New(b *base.Base) *Hub {
	return &Hub{base: b, log: b.Log, running: map[string]running{}}
}

// Keep watches until the context ends.
func (h *Hub) Keep(ctx context.Context) {
	tick := time.NewTicker(releasesEvery)
	defer tick.Stop()
	for {
		h.look(ctx)
		select {
		case <-ctx.Done():
			h.end()
			return
		case <-tick.C:
		}
	}
}

// look starts engines for new releases, and ends those of older ones.
func (h *Hub) look(ctx context.Context) {
	defer base.Recovered(h.log, "watch call-ups")
	if !h.base.Fleet.Leads() { // another server watches
		h.end()
		return
	}
	all, err := h.base.Store.Projects(ctx)
	if err != nil {
		return // the store is away: what runs goes on
	}
	for _, p := range all {
		if p.Released == 0 || h.running[p.ID].release == p.Released {
			continue
		}
		app, release, err := h.base.Apps.Released(ctx, p.ID)
		if err != nil {
			h.log.Warn("call-ups cannot be watched", "project", p.ID, "error", err)
			continue
		}
		h.start(ctx, p.ID, app, release)
	}
}

func (h *Hub) start(ctx context.Context, project string, app *plan.App, release int) {
	if old := h.running[project]; old.stop != nil {
		old.stop()
	}
	ctx, cancel := context.WithCancel(ctx)
	over := make(chan struct{})
	e := &engine{base: h.base, log: h.log, project: project, app: app, tell: func() { h.base.CalledUp.Tell(project, 0) }}
	go func() {
		defer close(over)
		defer base.Recovered(h.log, "watch call-ups")
		if len(app.CallUps) > 0 {
			e.run(ctx)
		} else {
			_ = e.load(ctx) // what older releases left open ends
		}
	}()
	h.running[project] = running{release, func() { cancel(); <-over }}
}

func (h *Hub) end() {
	for _, r := range h.running {
		r.stop()
	}
	clear(h.running)
}

// Front lists what of a project is called up now: what came to the front and has not ended, oldest first.
func (h *Hub) Front(ctx context.Context, project string) ([]store.Occurrence, error) {
	open, err := h.base.Store.OpenOccurrences(ctx, project, "")
	if err != nil {
		return nil, err
	}
	front := open[:0]
	for _, o := range open {
		if o.Front != nil {
			front = append(front, o)
		}
	}
	return front, nil
}
