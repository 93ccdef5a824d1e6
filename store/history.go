package store

import (
	"context"
	"errors"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/core/patch"
)

// Made is an edit that was made, as the history tells it.
type Made struct {
	Seq      int64
	By, Name string // account, and what it is called
	At       time.Time
	Patch    []patch.Op
	Inverse  []patch.Op
	Touched  []string
	Undoes   int64 // the edit that it took back; 0 for none
	Undone   int64 // the edit that took it back; 0 for none
}

// HistoryQuery says which edits are asked for. What is empty or 0 asks for nothing.
type HistoryQuery struct {
	Project string
	Touch   []string  // any of these entities
	By      string    // account
	Before  int64     // older than this one
	After   int64     // newer than this one
	Later   time.Time // made later than this
	Limit   int
}

// Edits gives edits that were made, newest first.
func (s *Store) Edits(ctx context.Context, q HistoryQuery) ([]Made, error) {
	rows, err := s.pool.Query(ctx, `select e.seq, e.by, coalesce(a.name, e.by), e.at, e.patch, e.inverse, e.touched, coalesce(e.undoes, 0), coalesce(e.undone, 0) from edit e left join account a on a.id = e.by
		where e.project = $1 and (cardinality($2::text[]) is null or e.touched && $2) and ($3 = '' or e.by = $3) and ($4 = 0 or e.seq < $4) and e.seq > $5 and e.at > $6 order by e.seq desc limit nullif($7, 0)`,
		q.Project, q.Touch, q.By, q.Before, q.After, q.Later, q.Limit)
	if err != nil {
		return nil, fmt.Errorf("read the history: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Made])
	if err != nil {
		return nil, fmt.Errorf("read the history: %w", err)
	}
	return out, nil
}

// TakeBack makes the inverse of one edit, of whomever it was, as an edit of who asks. Errors: ErrNone where there is no
// such edit, ErrNothing where it was taken back already, *StaleEdit where somebody has changed the same since.
func (s *Store) TakeBack(ctx context.Context, e Edit, seq int64) (Applied, error) {
	var done Applied
	err := s.inTx(ctx, "take back the edit", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `select 1 from project where id = $1 for no key update`, e.Project); err != nil {
			return err
		}
		var found bool
		var err error
		if done, found, err = sentBefore(ctx, tx, e); found || err != nil {
			return err
		}
		var undone *int64
		err = tx.QueryRow(ctx, `select inverse, undone from edit where project = $1 and seq = $2`, e.Project, seq).Scan(&e.Patch, &undone)
		switch {
		case errors.Is(err, pgx.ErrNoRows):
			return ErrNone
		case err != nil:
			return err
		case undone != nil:
			return ErrNothing
		}
		if done, err = apply(ctx, tx, e, seq); err != nil {
			return err
		}
		_, err = tx.Exec(ctx, `update edit set undone = $3 where project = $1 and seq = $2`, e.Project, seq, done.Seq)
		return err
	})
	return done, err
}
