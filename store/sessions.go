package store

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"encoding/base64"
	"errors"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// A name has a few free attempts, then waits that grow to a quarter of an hour; so has an address,
// behind which there may be many people.
const (
	freeAttempts  = 5
	freeByOrigin  = 40
	originWindow  = 15 * time.Minute
	longestWait   = 15 * time.Minute
	sessionLength = 12 * time.Hour
)

// ErrSignIn means that name and password do not go together. Which one is wrong is not told.
var ErrSignIn = errors.New("name and password do not go together")

// Blocked means that there were too many failed attempts.
type Blocked struct{ Until time.Time }

// Error says until when.
func (b *Blocked) Error() string { return "too many attempts, until " + b.Until.Format("15:04:05") }

// Attempt is one attempt to sign in.
type Attempt struct {
	At     time.Time
	Origin string // the address it came from
	OK     bool
}

// SignIn checks a password and begins a session; the token goes into the cookie, only its hash is
// kept. Every attempt is noted with the address it came from. Errors: ErrSignIn, *Blocked.
func (s *Store) SignIn(ctx context.Context, login, password, origin string, now time.Time) (token string, a Account, err error) {
	if err := s.originFree(ctx, origin, now); err != nil {
		return "", Account{}, err
	}
	var hash string
	var blocked *time.Time
	err = s.pool.QueryRow(ctx, `select id, login, name, builder, walks, password, blocked_until from account where login = $1`, login).Scan(&a.ID, &a.Login, &a.Name, &a.Builder, &a.Walks, &hash, &blocked)
	if errors.Is(err, pgx.ErrNoRows) {
		checkPassword(unknownHash, password) // takes as long as for a name that exists
		return "", Account{}, s.failed(ctx, nil, login, origin, now)
	}
	if err != nil {
		return "", Account{}, fmt.Errorf("sign in: %w", err)
	}
	if blocked != nil && blocked.After(now) {
		return "", Account{}, &Blocked{Until: *blocked}
	}
	if !checkPassword(hash, password) {
		return "", Account{}, s.failed(ctx, &a.ID, login, origin, now)
	}
	secret := make([]byte, 32)
	if _, err := rand.Read(secret); err != nil {
		return "", Account{}, fmt.Errorf("make a session: %w", err)
	}
	token = base64.RawURLEncoding.EncodeToString(secret)
	err = s.inTx(ctx, "begin a session", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `update account set attempts = 0, blocked_until = null where id = $1`, a.ID); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `insert into attempt (at, login, account, origin, ok) values ($1, $2, $3, $4, true)`, now, login, a.ID, origin); err != nil {
			return err
		}
		_, err := tx.Exec(ctx, `insert into session (token_hash, account, ends_at) values ($1, $2, $3)`, tokenHash(token), a.ID, now.Add(sessionLength))
		return err
	})
	return token, a, err
}

// originFree says whether an address may try again: *Blocked when too many attempts from it failed.
func (s *Store) originFree(ctx context.Context, origin string, now time.Time) error {
	var failures int
	var last *time.Time
	err := s.pool.QueryRow(ctx, `select count(*), max(at) from attempt where origin = $1 and not ok and at > $2`, origin, now.Add(-originWindow)).Scan(&failures, &last)
	if err != nil {
		return fmt.Errorf("count the failed attempts: %w", err)
	}
	if failures < freeByOrigin || last == nil {
		return nil
	}
	if until := last.Add(waitAfter(failures - freeByOrigin)); until.After(now) {
		return &Blocked{Until: until}
	}
	return nil
}

// waitAfter doubles from a second to the longest wait.
func waitAfter(n int) time.Duration {
	if n > 10 {
		return longestWait
	}
	return min(time.Second<<n, longestWait)
}

// failed notes a failed attempt, makes the next one of the same name wait, and gives ErrSignIn.
func (s *Store) failed(ctx context.Context, account *string, login, origin string, now time.Time) error {
	err := s.inTx(ctx, "note the failed attempt", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `insert into attempt (at, login, account, origin, ok) values ($1, $2, $3, $4, false)`, now, login, account, origin); err != nil {
			return err
		}
		if account == nil {
			return nil
		}
		_, err := tx.Exec(ctx, `update account set attempts = attempts + 1,
			blocked_until = case when attempts + 1 >= $2 then $3::timestamptz + least(power(2, attempts + 1 - $2), $4) * interval '1 second' end where id = $1`, *account, freeAttempts, now, longestWait.Seconds())
		return err
	})
	if err != nil {
		return err
	}
	return ErrSignIn
}

// Attempts gives the newest attempts to sign in with an account's name, newest first.
func (s *Store) Attempts(ctx context.Context, account string, limit int) ([]Attempt, error) {
	rows, err := s.pool.Query(ctx, `select at, origin, ok from attempt where account = $1 order by at desc limit $2`, account, limit)
	if err != nil {
		return nil, fmt.Errorf("list the attempts: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Attempt])
	if err != nil {
		return nil, fmt.Errorf("list the attempts: %w", err)
	}
	return out, nil
}

// Session gives the person of a session, with their roles in a project ("" for none); ErrNone when it has ended.
func (s *Store) Session(ctx context.Context, token, projectID string, now time.Time) (Account, error) {
	var a Account
	var roles []string
	err := s.pool.QueryRow(ctx, `select a.id, a.login, a.name, a.builder, a.walks, array(select r.role from account_role r where r.account = a.id and r.project = $2)
		from session s join account a on a.id = s.account where s.token_hash = $1 and s.ends_at > $3`, tokenHash(token), projectID, now).Scan(&a.ID, &a.Login, &a.Name, &a.Builder, &a.Walks, &roles)
	if err != nil {
		return Account{}, fmt.Errorf("find the session: %w", none(err))
	}
	a.Roles = map[string]bool{}
	for _, r := range roles {
		a.Roles[r] = true
	}
	return a, nil
}

// SignOut ends a session.
func (s *Store) SignOut(ctx context.Context, token string) error {
	if _, err := s.pool.Exec(ctx, `delete from session where token_hash = $1`, tokenHash(token)); err != nil {
		return fmt.Errorf("end the session: %w", err)
	}
	return nil
}

// SignOutEverywhere ends all sessions of an account but one; "" ends that too.
func (s *Store) SignOutEverywhere(ctx context.Context, account, but string) error {
	if _, err := s.pool.Exec(ctx, `delete from session where account = $1 and token_hash <> $2`, account, tokenHash(but)); err != nil {
		return fmt.Errorf("end the sessions: %w", err)
	}
	return nil
}

// Sessions counts the sessions of an account that have not ended.
func (s *Store) Sessions(ctx context.Context, account string, now time.Time) (int, error) {
	var n int
	if err := s.pool.QueryRow(ctx, `select count(*) from session where account = $1 and ends_at > $2`, account, now).Scan(&n); err != nil {
		return 0, fmt.Errorf("count the sessions: %w", err)
	}
	return n, nil
}

// ForgetOld deletes sessions that have ended, attempts older than ninety days, and trails and
// drafts that nobody came back to for thirty.
func (s *Store) ForgetOld(ctx context.Context, now time.Time) error {
	for _, sql := range []string{`delete from session where ends_at < $1`, `delete from attempt where at < $1::timestamptz - interval '90 days'`,
		`delete from trail where seen_at < $1::timestamptz - interval '30 days'`, `delete from draft where at < $1::timestamptz - interval '30 days'`} {
		if _, err := s.pool.Exec(ctx, sql, now); err != nil {
			return fmt.Errorf("forget what is old: %w", err)
		}
	}
	return nil
}

func tokenHash(token string) []byte {
	h := sha256.Sum256([]byte(token))
	return h[:]
}
