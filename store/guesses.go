package store

import (
	"context"
	"crypto/sha256"
	"errors"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// A name has a few free attempts, then waits that grow to a quarter of an hour; so has an address,
// behind which there may be many people; so has a browser that was known, by itself.
const (
	freeAttempts = 5
	freeByOrigin = 40
	guessWindow  = 15 * time.Minute // without a guess, all is forgotten
	longestWait  = 15 * time.Minute
)

// Blocked means that there were too many failed attempts.
type Blocked struct{ Until time.Time }

// Error says until when.
func (b *Blocked) Error() string { return "too many attempts, until " + b.Until.Format("15:04:05") }

// guessOf gives the digest under which guesses of one kind are counted.
func guessOf(kind, what string) []byte {
	sum := sha256.Sum256([]byte(kind + "|" + what))
	return sum[:]
}

// mayGuess counts an attempt as failed before it is made, in one statement: however many come at once, no more
// than are free get through. *Blocked: not now. What turns out right is taken back by guessed.
func (s *Store) mayGuess(ctx context.Context, key []byte, free int, now time.Time) error {
	var failures int
	err := s.pool.QueryRow(ctx, `insert into guess as g (key, failures, at) values ($1, 1, $2)
		on conflict (key) do update set at = $2,
			failures = case when g.at < $2::timestamptz - $4::float8 * interval '1 second' then 1 else g.failures + 1 end,
			blocked_until = case when g.at >= $2::timestamptz - $4::float8 * interval '1 second' and g.failures + 1 >= $3
				then $2::timestamptz + least(power(2, least(g.failures + 1 - $3, 20)), $5) * interval '1 second' end
		where g.blocked_until is null or g.blocked_until <= $2
		returning failures`, key, now, free, guessWindow.Seconds(), longestWait.Seconds()).Scan(&failures)
	if !errors.Is(err, pgx.ErrNoRows) {
		if err != nil {
			return fmt.Errorf("count the attempt: %w", err)
		}
		return nil
	}
	var until *time.Time
	if err := s.pool.QueryRow(ctx, `select blocked_until from guess where key = $1`, key).Scan(&until); err != nil && !errors.Is(err, pgx.ErrNoRows) {
		return fmt.Errorf("count the attempt: %w", err)
	}
	if until == nil {
		return &Blocked{Until: now.Add(time.Second)}
	}
	return &Blocked{Until: *until}
}
