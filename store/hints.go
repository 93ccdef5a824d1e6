package store

import (
	"context"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
)

// channel is that of PostgreSQL’s NOTIFY by which servers tell each other what changed; the tables’ triggers do
// (migration 00022), and Changed for what is in no table of the store.
const channel = "ambergate"

// Hint says what changed: look again. The kinds are project, account, connections, callup, presence, lead (each with the
// id that it is of) and records (of a project).
type Hint struct{ Kind, Of string }

// aliveEvery is how often a connection that hears nothing is asked whether it is there.
const aliveEvery = 2 * time.Second

// Listen hears what changes on its own connection to the store until that is lost, which is an error, or ctx ends. Ready
// is called once it hears: what changed before is not told.
func (s *Store) Listen(ctx context.Context, ready func(), on func(Hint)) error {
	config := s.pool.Config().ConnConfig
	config.Tracer = nil
	conn, err := pgx.ConnectConfig(ctx, config)
	if err != nil {
		return fmt.Errorf("hear what changes: %w", err)
	}
	defer func() {
		closing, cancel := context.WithTimeout(context.WithoutCancel(ctx), time.Second)
		defer cancel()
		_ = conn.Close(closing)
	}()
	if _, err := conn.Exec(ctx, `listen `+channel); err != nil {
		return fmt.Errorf("hear what changes: %w", err)
	}
	ready()
	for ctx.Err() == nil {
		waiting, stop := context.WithTimeout(ctx, aliveEvery)
		n, err := conn.WaitForNotification(waiting)
		timed := waiting.Err() != nil && ctx.Err() == nil
		stop()
		switch {
		case err == nil:
			kind, of, _ := strings.Cut(n.Payload, " ")
			on(Hint{kind, of})
		case !timed || conn.IsClosed():
			return fmt.Errorf("hear what changes: %w", err)
		default:
			asking, stop := context.WithTimeout(ctx, aliveEvery)
			err := conn.Ping(asking)
			stop()
			if err != nil {
				return fmt.Errorf("hear what changes: %w", err)
			}
		}
	}
	return nil
}

// TellRecords tells all servers that records of projects were changed.
func (s *Store) TellRecords(ctx context.Context, projects []string) error {
	if _, err := s.pool.Exec(ctx, `select pg_notify('`+channel+`', 'records ' || p) from unnest($1::text[]) p`, projects); err != nil {
		return fmt.Errorf("tell that records were changed: %w", err)
	}
	return nil
}
