package called

import (
	"context"
	"fmt"
	"log/slog"
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/callup"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/server/base"
	"ambergate/store"
)

// How often the records are read again of which call-ups are asked, how many of each there are at most, and how often
// conditions are evaluated though nothing of the plant changed.
const (
	rowsEvery  = 20 * time.Second
	mostRows   = 500
	evenEvery  = time.Second
	storeLimit = 2 * time.Second
)

// engine watches the call-ups of one release of a project.
type engine struct {
	base    *base.Base
	log     *slog.Logger
	project string
	app     *plan.App
	tell    func() // that something came to the front, or ended

	machines map[string]*watched // touched by run alone
}

// watched is one call-up of one record.
type watched struct {
	machine callup.Machine
	callUp  *plan.CallUp
	row     *ask.Row // nil for the plant as a whole
	open    store.Occurrence
}

// run watches until the context ends. What is open by then stays open: the next one goes on with it.
func (e *engine) run(ctx context.Context) {
	for ctx.Err() == nil {
		err := e.watch(ctx)
		if err == nil || ctx.Err() != nil {
			continue
		}
		e.log.Warn("call-ups are not watched; tried again", "project", e.project, "error", err)
		select {
		case <-ctx.Done():
		case <-time.After(evenEvery):
		}
	}
}

// watch reads the records and evaluates with each change of the plant, until other values are to be watched.
func (e *engine) watch(ctx context.Context) error {
	if err := e.load(ctx); err != nil {
		return err
	}
	refs := e.refs()
	tags, stop := follow(ctx, base.Tags{Base: e.base, Project: e.app.Project}, refs)
	defer stop()
	again, even := time.NewTicker(rowsEvery), time.NewTicker(evenEvery)
	defer again.Stop()
	defer even.Stop()
	for {
		due := e.evaluate(ctx, tags, time.Now())
		wait := time.NewTimer(due)
		select {
		case <-ctx.Done():
		case <-again.C: // what the plant tells meanwhile waits
			if err := e.load(ctx); err != nil && ctx.Err() == nil {
				e.log.Warn("the records of call-ups cannot be read again; it goes on with those of before", "project", e.project, "error", err)
			} else if !slices.Equal(refs, e.refs()) {
				return nil
			}
		case <-tags.signals:
			for tags.next() {
				e.evaluate(ctx, tags, time.Now())
			}
		case <-even.C:
		case <-wait.C:
		}
		wait.Stop()
		if ctx.Err() != nil {
			return nil
		}
	}
}

// load makes a machine for each call-up and record, goes on with those that there are, and ends what is of records or
// call-ups that are gone.
func (e *engine) load(ctx context.Context) error {
	open, err := e.base.Store.OpenOccurrences(ctx, e.project, "")
	if err != nil {
		return err
	}
	byKey := map[string]store.Occurrence{}
	for _, o := range open {
		byKey[o.CallUp+"/"+o.Record] = o
	}
	next := map[string]*watched{}
	for _, c := range e.app.CallUps {
		rows, err := rowsOf(ctx, e.base, e.app, c)
		if err != nil {
			return err
		}
		for _, row := range rows {
			key := c.ID + "/"
			if row != nil {
				key += row.Key
			}
			w := e.machines[key]
			if w == nil {
				w = &watched{machine: callup.Machine{Dwell: time.Duration(c.For * float64(time.Second))}}
				if o, was := byKey[key]; was {
					w.open = o
					w.machine.Resume(o.Began, o.Front != nil)
				}
			}
			w.callUp, w.row = c, row
			next[key] = w
		}
	}
	for key, o := range byKey {
		if next[key] == nil {
			if err := e.base.Store.EndOccurrence(e.base.Fleet.Fenced(ctx), o.ID, time.Now()); err != nil {
				return err
			}
			e.tell()
		}
	}
	e.machines = next
	return nil
}

// rowsOf reads the records that a call-up is asked of; one that is none for the plant as a whole.
func rowsOf(ctx context.Context, b *base.Base, app *plan.App, c *plan.CallUp) ([]*ask.Row, error) {
	t := app.Project.Tables[c.Table]
	switch {
	case c.Table == "":
		return []*ask.Row{nil}, nil
	case t == nil:
		return nil, nil
	}
	page, err := b.Reader(app).Fetch(ctx, ask.Query{Table: t, Paths: slices.Sorted(maps.Keys(c.Reads)), Limit: mostRows, Rights: ask.EveryRow})
	if err != nil {
		return nil, fmt.Errorf("read the records of the call-up %s: %w", c.ID, err)
	}
	return page.Rows, nil
}

// refs lists the values that call-ups ask for, always in the same order.
func (e *engine) refs() []ask.TagRef {
	var out []ask.TagRef
	for _, key := range slices.Sorted(maps.Keys(e.machines)) {
		w := e.machines[key]
		out = append(out, refsOf(e.app, w.callUp, []*ask.Row{w.row})...)
	}
	return out
}

// evaluate steps each machine and keeps what comes of it; it says how long until one has to be stepped again.
func (e *engine) evaluate(ctx context.Context, tags ask.Tags, now time.Time) time.Duration {
	due := time.Minute
	told := false
	for _, key := range slices.Sorted(maps.Keys(e.machines)) {
		w := e.machines[key]
		if w.callUp.While == nil {
			continue
		}
		world := use.Alone(e.app, w.row, tags, now)
		for _, event := range w.machine.Step(now, w.callUp.While.Root.Eval(world)) {
			told = true
			if err := e.keep(ctx, w, event, now, world); err != nil && ctx.Err() == nil {
				e.log.Warn("a call-up is not kept", "callup", w.callUp.ID, "error", err)
			}
		}
		if at, waits := w.machine.Due(); waits {
			due = min(due, max(time.Millisecond, at.Sub(now)))
		}
	}
	if told {
		e.tell()
	}
	return due
}

func (e *engine) keep(ctx context.Context, w *watched, event callup.Event, now time.Time, world *use.World) error {
	ctx, cancel := context.WithTimeout(e.base.Fleet.Fenced(ctx), storeLimit)
	defer cancel()
	st := e.base.Store
	switch event {
	case callup.Began:
		o := store.Occurrence{CallUp: w.callUp.ID, Words: words(w.callUp, w.row, world), Began: now}
		if w.row != nil {
			o.Record = w.row.Key
		}
		id, err := st.BeginOccurrence(ctx, e.project, o)
		o.ID = id
		w.open = o
		return err
	case callup.Front:
		return st.FrontOccurrence(ctx, w.open.ID, now)
	case callup.Ended:
		return st.EndOccurrence(ctx, w.open.ID, now)
	case callup.Nothing:
	}
	return nil
}

// words says what is called up: in the builder's words, or its name and the record.
func words(c *plan.CallUp, row *ask.Row, world *use.World) string {
	if c.Says != nil {
		return c.Says.Say(world, world.Say)
	}
	if row == nil {
		return c.Name
	}
	return c.Name + ", " + world.Title(row, row.Table, "")
}
