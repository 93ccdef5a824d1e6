package store

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// Used is how often a way was pressed.
type Used struct {
	Project, Screen, Element, Trigger string
	N                                 int64
	Week                              int64 // of those in this week; only read
}

// AddUsed adds presses to the counts of the week that a moment is in (from Monday, UTC). Those of projects that are gone
// are left out.
func (s *Store) AddUsed(ctx context.Context, at time.Time, used []Used) error {
	var batch pgx.Batch
	for _, u := range used {
		batch.Queue(`insert into way_used (project, week, screen, element, trigger, n)
			select p.id, date_trunc('week', $2::timestamptz at time zone 'UTC')::date, $3, $4, $5, $6 from project p where p.id = $1
			on conflict (project, week, screen, element, trigger) do update set n = way_used.n + excluded.n`, u.Project, at, u.Screen, u.Element, u.Trigger, u.N)
	}
	if err := s.pool.SendBatch(ctx, &batch).Close(); err != nil {
		return fmt.Errorf("count presses: %w", err)
	}
	return nil
}

// UsedWays tells how often each way of a project was pressed in the ten weeks up to a moment, and in the week of it.
func (s *Store) UsedWays(ctx context.Context, project string, at time.Time) ([]Used, error) {
	rows, err := s.pool.Query(ctx, `select project, screen, element, trigger, sum(n)::bigint, coalesce(sum(n) filter (where week = date_trunc('week', $2::timestamptz at time zone 'UTC')::date), 0)::bigint
		from way_used where project = $1 and week > (date_trunc('week', $2::timestamptz at time zone 'UTC') - interval '10 weeks')::date group by project, screen, element, trigger`, project, at)
	if err != nil {
		return nil, fmt.Errorf("read how often ways were pressed: %w", err)
	}
	used, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Used])
	if err != nil {
		return nil, fmt.Errorf("read how often ways were pressed: %w", err)
	}
	return used, nil
}
