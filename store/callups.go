package store

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// Occurrence is one time that a call-up's condition came to hold.
type Occurrence struct {
	ID     int64
	CallUp string // id
	Record string // key of the record that it is of; "" for none
	Words  string
	Began  time.Time
	Front  *time.Time // when its screen came to the front; nil: it has not
	Ended  *time.Time // nil: it holds still
	Seen   bool       // by whom it is asked for
}

// BeginOccurrence keeps that a call-up's condition holds from a moment on, and gives its id; that of the one that is kept
// as open already. Errors: ErrNone where another server leads by now (Fenced).
func (s *Store) BeginOccurrence(ctx context.Context, project string, o Occurrence) (int64, error) {
	var id int64
	err := s.pool.QueryRow(ctx, `with put as (insert into callup (project, callup, record, words, began) select $1, $2, $3, $4, $5 where `+leads("$6")+` on conflict (project, callup, record) where ended is null do nothing returning id)
		select id from put union all select id from callup where project = $1 and callup = $2 and record = $3 and ended is null and `+leads("$6")+` limit 1`, project, o.CallUp, o.Record, o.Words, o.Began, fence(ctx)).Scan(&id)
	if err != nil {
		return 0, fmt.Errorf("keep a call-up: %w", none(err))
	}
	return id, nil
}

// FrontOccurrence keeps when it came to the front.
func (s *Store) FrontOccurrence(ctx context.Context, id int64, at time.Time) error {
	if _, err := s.pool.Exec(ctx, `update callup set front = coalesce(front, $2) where id = $1 and `+leads("$3"), id, at, fence(ctx)); err != nil {
		return fmt.Errorf("keep a call-up: %w", err)
	}
	return nil
}

// EndOccurrence keeps when it ended.
func (s *Store) EndOccurrence(ctx context.Context, id int64, at time.Time) error {
	if _, err := s.pool.Exec(ctx, `update callup set ended = coalesce(ended, $2) where id = $1 and `+leads("$3"), id, at, fence(ctx)); err != nil {
		return fmt.Errorf("keep the end of a call-up: %w", err)
	}
	return nil
}

const occurrence = `select o.id, o.callup, o.record, o.words, o.began, o.front, o.ended, exists (select from callup_seen s where s.occurrence = o.id and s.account = $2) from callup o where o.project = $1 `

// OpenOccurrences lists those of a project that have not ended, as an account sees them ("" for nobody), oldest first.
func (s *Store) OpenOccurrences(ctx context.Context, project, account string) ([]Occurrence, error) {
	return s.occurrences(ctx, occurrence+`and o.ended is null order by o.began, o.id`, project, account)
}

// Occurrences lists the newest of a project, as an account sees them: those that hold first.
func (s *Store) Occurrences(ctx context.Context, project, account string, limit int) ([]Occurrence, error) {
	return s.occurrences(ctx, occurrence+`order by o.ended is not null, o.began desc, o.id desc limit $3`, project, account, limit)
}

func (s *Store) occurrences(ctx context.Context, sql string, args ...any) ([]Occurrence, error) {
	rows, err := s.pool.Query(ctx, sql, args...)
	if err != nil {
		return nil, fmt.Errorf("list call-ups: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Occurrence])
	if err != nil {
		return nil, fmt.Errorf("list call-ups: %w", err)
	}
	return out, nil
}

// SeeOccurrence notes that somebody has seen it.
func (s *Store) SeeOccurrence(ctx context.Context, project string, id int64, account string) error {
	_, err := s.pool.Exec(ctx, `insert into callup_seen (occurrence, account) select id, $3 from callup where id = $2 and project = $1 on conflict do nothing`, project, id, account)
	if err != nil {
		return fmt.Errorf("note a call-up as seen: %w", err)
	}
	return nil
}

// Called notes that a tab was brought elsewhere by an occurrence; false where it was before.
func (s *Store) Called(ctx context.Context, id int64, trail string) (bool, error) {
	tag, err := s.pool.Exec(ctx, `insert into callup_called (occurrence, trail) values ($1, $2) on conflict do nothing`, id, trail)
	if err != nil {
		return false, fmt.Errorf("note a call-up as come: %w", err)
	}
	return tag.RowsAffected() == 1, nil
}

// CalledBefore lists which occurrences that hold still have brought a tab elsewhere already.
func (s *Store) CalledBefore(ctx context.Context, project, trail string) (map[int64]bool, error) {
	rows, err := s.pool.Query(ctx, `select c.occurrence from callup_called c join callup o on o.id = c.occurrence where c.trail = $2 and o.project = $1 and o.ended is null`, project, trail)
	if err != nil {
		return nil, fmt.Errorf("list call-ups: %w", err)
	}
	ids, err := pgx.CollectRows(rows, pgx.RowTo[int64])
	if err != nil {
		return nil, fmt.Errorf("list call-ups: %w", err)
	}
	out := map[int64]bool{}
	for _, id := range ids {
		out[id] = true
	}
	return out, nil
}
