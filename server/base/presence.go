package base

import (
	"context"
	"log/slog"
	"time"

	"ambergate/store"
)

// Present is where in the builder somebody is, in one tab.
type Present = store.Present

// Presence knows which builders are where, as long as their tabs listen, on whichever server. Safe for use by many at once.
type Presence struct {
	*Watchers
	store  *store.Store
	server string
	log    *slog.Logger
}

// Come notes a tab that listens; what is given ends that.
func (p *Presence) Come(ctx context.Context, project, tab string, who Present) (leave func()) {
	if err := p.store.Come(ctx, p.server, project, tab, who); err != nil {
		p.log.Warn("a builder is not shown to the others", "error", err)
	}
	p.Tell(project, 0)
	return func() {
		leaving, cancel := context.WithTimeout(context.WithoutCancel(ctx), time.Second)
		defer cancel()
		if err := p.store.Leave(leaving, p.server, tab); err != nil {
			p.log.Warn("a builder is shown to the others still", "error", err)
		}
		p.Tell(project, 0)
	}
}

// Move notes where a tab is; one that does not listen is nowhere.
func (p *Presence) Move(ctx context.Context, project, tab string, to Present) error {
	if err := p.store.MovePresent(ctx, project, tab, to); err != nil {
		return err
	}
	p.Tell(project, 0)
	return nil
}

// Others gives where the other builders of a project are, by name: each place of theirs once.
func (p *Presence) Others(ctx context.Context, project, account string) ([]Present, error) {
	return p.store.OtherPresent(ctx, project, account)
}
