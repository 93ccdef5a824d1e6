package base

import (
	"context"
	"slices"
	"time"

	"ambergate/store"
)

// How long it is waited until the store is asked again for what changes, and how often the other servers are told that
// records were changed.
const (
	hearAgain   = 500 * time.Millisecond
	recordsTold = 200 * time.Millisecond
	hintWithin  = 5 * time.Second
)

// Hear lets this server know what others change, until the context ends. What it believes without asking is dropped
// whenever it may have missed something: when it begins to hear, and when it does not hear any more.
func (b *Base) Hear(ctx context.Context) {
	for ctx.Err() == nil {
		err := b.Store.Listen(ctx, func() { b.hears.Store(true); b.missed(ctx) }, func(h store.Hint) { b.on(ctx, h) })
		b.hears.Store(false)
		if ctx.Err() != nil {
			return
		}
		b.Log.Warn("what others change is not heard; tried again", "error", err)
		b.forgetAll()
		select {
		case <-ctx.Done():
		case <-time.After(hearAgain):
		}
	}
}

// TellRecords tells the other servers of which projects records were changed, until the context ends.
func (b *Base) TellRecords(ctx context.Context) {
	tick := time.NewTicker(recordsTold)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
		if projects := b.Changes.take(); b.Fleet != nil && len(projects) > 0 {
			if err := b.Store.TellRecords(ctx, projects); err != nil && ctx.Err() == nil {
				b.Log.Warn("the other servers are not told of changed records; they ask each minute", "error", err)
			}
		}
	}
}

func (b *Base) on(ctx context.Context, h store.Hint) {
	defer Recovered(b.Log, "hear what others change")
	ctx, cancel := context.WithTimeout(ctx, hintWithin)
	defer cancel()
	switch h.Kind {
	case "project":
		b.Apps.Changed(h.Of)
		b.tellEdits(ctx, h.Of)
	case "account":
		b.Sessions.ForgetAccount(h.Of)
	case "connections":
		if err := b.Connected.Load(ctx); err != nil {
			b.Log.Warn("connections are not as they are kept", "error", err)
		}
	case "callup":
		b.CalledUp.Tell(h.Of, 0)
	case "presence":
		b.Presence.Tell(h.Of, 0)
	case "records":
		b.Changes.Heard(h.Of)
	case "lead":
		if b.Fleet != nil {
			go b.Fleet.Look(ctx)
		}
	}
}

// tellEdits tells the builders of a project how far it was edited, where any are here.
func (b *Base) tellEdits(ctx context.Context, project string) {
	if !slices.Contains(b.Edits.Projects(), project) {
		return
	}
	if st, err := b.Store.ProjectState(ctx, project); err == nil {
		b.Edits.Tell(project, st.Seq)
	}
}

// forgetAll drops all that is believed without asking.
func (b *Base) forgetAll() {
	b.Apps.Forget()
	b.Sessions.forgetWhere(func(string, keptAccount) bool { return true })
}

// missed drops all that is believed, and lets everybody look who would have been told.
func (b *Base) missed(ctx context.Context) {
	b.forgetAll()
	if err := b.Connected.Load(ctx); err != nil {
		b.Log.Warn("connections are not as they are kept", "error", err)
	}
	for _, p := range b.Edits.Projects() {
		b.tellEdits(ctx, p)
	}
	for _, w := range []*Watchers{b.CalledUp, b.Presence.Watchers} {
		for _, p := range w.Projects() {
			w.Tell(p, 0)
		}
	}
}
