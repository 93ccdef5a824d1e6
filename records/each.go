package records

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// wholeWait is how long one waits for a connection to read a whole list on.
const wholeWait = 5 * time.Second

// Snapshot reads from one state of the database, for as long as a whole list takes.
func (s *Source) Snapshot(ctx context.Context, p *project.Project, run func(*Reader) error) error {
	waiting, stop := context.WithTimeout(ctx, wholeWait)
	defer stop()
	conn, err := s.whole.Acquire(waiting)
	if err != nil && waiting.Err() != nil && ctx.Err() == nil && s.whole.Stat().AcquiredConns() > 0 {
		return &ask.Refusal{Code: "busy", What: "As many lists are being written to files as can be at once.", Then: "Try again in a minute."}
	}
	if err != nil {
		return fmt.Errorf("begin to read: %w", err)
	}
	defer conn.Release()
	tx, err := conn.BeginTx(ctx, pgx.TxOptions{IsoLevel: pgx.RepeatableRead, AccessMode: pgx.ReadOnly})
	if err != nil {
		return fmt.Errorf("begin to read: %w", err)
	}
	defer func() { _ = tx.Rollback(context.WithoutCancel(ctx)) }()
	return run(&Reader{db: tx, project: p, within: true})
}

// Each calls a function with each record that a query finds, in order, as they come in.
func (r *Reader) Each(ctx context.Context, q ask.Query, each func(*ask.Row) error) error {
	f, err := r.prepareFetch(q)
	if err != nil {
		return err
	}
	var stopped error // by the function
	a := asked{sql: f.sql, args: f.args, doing: "read " + q.Table.Label, loose: true, take: func(values []any) error {
		stopped = each(f.row(q, values))
		return stopped
	}, done: func() ask.Answer { return ask.Answer{} }}
	answer := a.answer(a.all(r.db.Query(ctx, a.sql, a.args...)))
	if stopped != nil {
		return stopped
	}
	return answer.Err
}
