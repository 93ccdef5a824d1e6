package store

import (
	"context"
	"crypto/sha256"
	_ "embed"
	"errors"
	"fmt"
	"strings"
	"time"
	"unicode/utf8"

	"github.com/jackc/pgx/v5"
)

// Shortest and longest password that is taken, in characters.
const (
	shortestPassword = 8
	longestPassword  = 200
)

// WeakPassword means that a new password is one that others would guess.
type WeakPassword struct{ Why string }

// Error says why.
func (w *WeakPassword) Error() string { return "the new password is weak: " + w.Why }

//go:embed common_passwords.txt
var commonText string

var common = func() map[string]bool {
	out := map[string]bool{}
	for _, p := range strings.Fields(commonText) {
		out[p] = true
	}
	return out
}()

// checkNew refuses a new password that others would guess: short, of one or two characters, among the
// commonest, or the name it belongs to.
func checkNew(password, login string) error {
	n := utf8.RuneCountInString(password)
	plain := strings.ToLower(strings.TrimSpace(password))
	different := map[rune]bool{}
	for _, r := range plain {
		different[r] = true
	}
	switch {
	case n > longestPassword:
		return &WeakPassword{fmt.Sprintf("It has more than %d characters.", longestPassword)}
	case utf8.RuneCountInString(plain) < shortestPassword:
		return &WeakPassword{fmt.Sprintf("It needs at least %d characters.", shortestPassword)}
	case len(different) < 3:
		return &WeakPassword{"It repeats one or two characters."}
	case common[plain], common[strings.TrimRight(plain, "0123456789!.?")]:
		return &WeakPassword{"It is one of those that are tried first."}
	case login != "" && strings.Contains(plain, strings.ToLower(login)) && len(plain) < len(login)+4:
		return &WeakPassword{"It is nearly the name."}
	}
	return nil
}

// ChangePassword sets a new password for who knows the old one, and ends all other sessions.
// A wrong old one counts as a failed attempt. Errors: ErrSignIn, hashing.ErrBusy, *Blocked, *WeakPassword.
func (s *Store) ChangePassword(ctx context.Context, account, old, password, origin, keep string, now time.Time) error {
	var login, hash string
	if err := s.pool.QueryRow(ctx, `select login, password from account where id = $1`, account).Scan(&login, &hash); err != nil {
		return fmt.Errorf("find the account: %w", none(err))
	}
	if err := checkNew(password, login); err != nil {
		return err
	}
	leave, err := s.hasher.Enter(ctx, true)
	if err != nil {
		return err
	}
	defer leave()
	guess := guessOf("session", keep+account)
	if err := s.mayGuess(ctx, guess, freeAttempts, now); err != nil {
		return err
	}
	if right, _ := s.hasher.Check(hash, old); !right {
		return s.failed(ctx, &account, login, origin, now)
	}
	next, err := s.hasher.Hash(password)
	if err != nil {
		return err
	}
	return s.inTx(ctx, "change the password", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `update account set password = $2 where id = $1`, account, next); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `delete from guess where key = $1`, guess); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `delete from session where account = $1 and token_hash <> $2`, account, tokenHash(keep)); err != nil {
			return err
		}
		return note(ctx, tx, deed{account, "", PasswordChanged, ""})
	})
}

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
