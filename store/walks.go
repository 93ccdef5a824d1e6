package store

import (
	"context"
	"fmt"
	"time"
)

// walkLogged is how long a builder's walk as one person counts as one.
const walkLogged = time.Hour

// LogWalk notes that a builder walks as a real person, once in a while for each.
func (s *Store) LogWalk(ctx context.Context, builder, person, projectID string, now time.Time) error {
	tag, err := s.pool.Exec(ctx, `insert into walk (at, builder, person, project) select $1, $2, $3, $4
		where not exists (select 1 from walk where builder = $2 and person = $3 and project = $4 and at > $5)`, now, builder, person, projectID, now.Add(-walkLogged))
	if err != nil {
		return fmt.Errorf("log the walk: %w", err)
	}
	if tag.RowsAffected() == 0 {
		return nil
	}
	var name string
	if err := s.pool.QueryRow(ctx, `select coalesce((select name from account where id = $1), (select 'any ' || (body ->> 'name') from entity where project = $2 and 'role:' || id = $1), $1)`, person, projectID).Scan(&name); err != nil {
		return fmt.Errorf("log the walk: %w", err)
	}
	return note(ctx, s.pool, deed{builder, projectID, WalkedAs, name})
}

// Walk is a builder's walk as a real person.
type Walk struct {
	At              time.Time
	Builder, Person string // ids
}

// Walks lists the walks in a project, newest first.
func (s *Store) Walks(ctx context.Context, projectID string) ([]Walk, error) {
	rows, err := s.pool.Query(ctx, `select at, builder, person from walk where project = $1 order by at desc limit 200`, projectID)
	if err != nil {
		return nil, fmt.Errorf("list the walks: %w", err)
	}
	defer rows.Close()
	var out []Walk
	for rows.Next() {
		var w Walk
		if err := rows.Scan(&w.At, &w.Builder, &w.Person); err != nil {
			return nil, fmt.Errorf("list the walks: %w", err)
		}
		out = append(out, w)
	}
	return out, rows.Err()
}
