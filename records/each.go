package records

import (
	"context"
	"fmt"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// exportLimit is how long the reading of a whole list may take.
const exportLimit = "10min"

// Snapshot reads from one state of the database, for as long as a whole list takes.
func (s *Source) Snapshot(ctx context.Context, p *project.Project, run func(*Reader) error) error {
	tx, err := s.pool.BeginTx(ctx, pgx.TxOptions{IsoLevel: pgx.RepeatableRead, AccessMode: pgx.ReadOnly})
	if err != nil {
		return fmt.Errorf("begin to read: %w", err)
	}
	defer func() { _ = tx.Rollback(context.WithoutCancel(ctx)) }()
	if _, err := tx.Exec(ctx, "set local statement_timeout = '"+exportLimit+"'"); err != nil {
		return fmt.Errorf("begin to read: %w", err)
	}
	return run(&Reader{db: tx, project: p})
}

// Each calls a function with each record that a query finds, in order, as they come in.
func (r *Reader) Each(ctx context.Context, q ask.Query, each func(*ask.Row) error) error {
	f, err := r.prepareFetch(q)
	if err != nil {
		return err
	}
	rows, err := r.db.Query(ctx, f.sql, f.args...)
	if err != nil {
		return notFoundIfMisfit(err, "read "+q.Table.Label)
	}
	defer rows.Close()
	for rows.Next() {
		values, err := rows.Values()
		if err != nil {
			return fmt.Errorf("read a row of %s: %w", q.Table.Label, err)
		}
		if err := each(f.row(q, values)); err != nil {
			return err
		}
	}
	if err := rows.Err(); err != nil {
		return notFoundIfMisfit(err, "read "+q.Table.Label)
	}
	return nil
}
