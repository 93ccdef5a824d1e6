package store

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
)

// How long a session lasts at the most, and without a request or an open stream; how long a browser is known.
const (
	sessionLength = 12 * time.Hour
	sessionIdle   = 4 * time.Hour
	knownFor      = 365 * 24 * time.Hour
	loginLength   = 100 // characters of a name that are looked at, and kept
)

// ErrSignIn means that name and password do not go together. Which one is wrong is not told.
var ErrSignIn = errors.New("name and password do not go together")

// Attempt is one attempt to sign in.
type Attempt struct {
	At     time.Time
	Origin string // the address it came from
	OK     bool
}

// Entering is an attempt to sign in.
type Entering struct {
	Login, Password string
	Origin          string // the address it comes from
	Browser         string // what the browser was given when somebody signed in from it before; "" for nothing
	Session         string // the session that the browser has now, which ends; "" for none
	Now             time.Time
}

// Entered is a session that began. Only hashes of both secrets are kept.
type Entered struct {
	Token   string // goes into the cookie
	Browser string // what the browser is known by from now on
	Account Account
}

// SignIn checks a password and begins a session. Every attempt is noted with the address it came from, and
// counted before it is made. What strangers do to a name or from an address does not keep out who comes from
// a browser that the person is known by. Errors: ErrSignIn, hashing.ErrBusy, *Blocked, all alike for names that nobody has.
func (s *Store) SignIn(ctx context.Context, e Entering) (Entered, error) {
	if len(e.Login) > loginLength {
		e.Login = strings.ToValidUTF8(e.Login[:loginLength], "") + "…" // nobody is called so
	}
	var a Account
	var hash string
	var known bool
	err := s.pool.QueryRow(ctx, `select id, login, name, walks, password, exists (select from known_browser k where k.account = account.id and k.token_hash = $2 and k.seen_at > $3) from account where login = $1 and disabled_at is null`,
		e.Login, tokenHash(e.Browser), e.Now.Add(-knownFor)).Scan(&a.ID, &a.Login, &a.Name, &a.Walks, &hash, &known)
	if err != nil && !errors.Is(err, pgx.ErrNoRows) {
		return Entered{}, fmt.Errorf("sign in: %w", err)
	}
	leave, err := s.hasher.Enter(ctx, known)
	if err != nil {
		return Entered{}, err
	}
	defer leave()
	counted, err := s.count(ctx, e, known)
	if err != nil {
		return Entered{}, err
	}
	right, raise := s.hasher.Check(hash, e.Password)
	if !right {
		return Entered{}, s.failed(ctx, orNil(a.ID), e.Login, e.Origin, e.Now)
	}
	if raise {
		if hash, err = s.hasher.Hash(e.Password); err != nil {
			return Entered{}, err
		}
	}
	out := Entered{Account: a, Browser: e.Browser}
	if !known {
		out.Browser = rand.Text()
	}
	out.Token = rand.Text() + rand.Text()
	return out, s.inTx(ctx, "begin a session", func(tx pgx.Tx) error { return begin(ctx, tx, e, out, hash, counted) })
}

// count counts an attempt under all that it has in common with others.
func (s *Store) count(ctx context.Context, e Entering, known bool) (counted [][]byte, err error) {
	if known {
		key := guessOf("browser", e.Browser)
		return [][]byte{key}, s.mayGuess(ctx, key, freeAttempts, e.Now)
	}
	name, origin := guessOf("name", e.Login), guessOf("origin", e.Origin)
	if err := s.mayGuess(ctx, origin, freeByOrigin, e.Now); err != nil {
		return nil, err
	}
	return [][]byte{name, origin}, s.mayGuess(ctx, name, freeAttempts, e.Now)
}

func begin(ctx context.Context, tx pgx.Tx, e Entering, out Entered, hash string, counted [][]byte) error {
	account := out.Account.ID
	for _, do := range []struct {
		sql  string
		args []any
	}{
		// The name is free again; of an address, behind which there may be many, one attempt is taken back.
		{`delete from guess where key = $1`, []any{counted[0]}},
		{`update guess set failures = failures - 1, blocked_until = case when failures > $2 then blocked_until end where key = any($1)`, []any{counted[1:], freeByOrigin}},
		{`update account set password = $2 where id = $1 and password <> $2`, []any{account, hash}},
	} {
		if _, err := tx.Exec(ctx, do.sql, do.args...); err != nil {
			return err
		}
	}
	return session(ctx, tx, e, out)
}

// failed notes a failed attempt, and gives ErrSignIn.
func (s *Store) failed(ctx context.Context, account *string, login, origin string, now time.Time) error {
	if _, err := s.pool.Exec(ctx, `insert into attempt (at, login, account, origin, ok) values ($1, $2, $3, $4, false)`, now, login, account, origin); err != nil {
		return fmt.Errorf("note the failed attempt: %w", err)
	}
	return ErrSignIn
}

func orNil(text string) *string {
	if text == "" {
		return nil
	}
	return &text
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

// Session gives the person or display of a session, with their roles in a project ("" for none); ErrNone when it has ended.
func (s *Store) Session(ctx context.Context, token, projectID string, now time.Time) (Account, error) {
	var a Account
	var roles []string
	var seen time.Time
	err := s.pool.QueryRow(ctx, `select a.id, a.login, a.name, a.walks, `+rightsIn("$2")+`, array(select r.role from account_role r where r.account = a.id and r.project = $2), s.seen_at, `+deviceOf+`
		from session s join account a on a.id = s.account where s.token_hash = $1 and s.ends_at > $3 and s.seen_at > $4`, tokenHash(token), projectID, now, now.Add(-sessionIdle)).Scan(&a.ID, &a.Login, &a.Name, &a.Walks, &a.Builds, &a.Administers, &roles, &seen, &a.Device)
	if err != nil {
		return Account{}, fmt.Errorf("find the session: %w", none(err))
	}
	if err := errors.Join(s.touch(ctx, token, seen, now), s.seeDevice(ctx, a.Device, now)); err != nil {
		return Account{}, err
	}
	a.Roles = map[string]bool{}
	for _, r := range roles {
		a.Roles[r] = true
	}
	return a, nil
}

// touched is how often it is noted that a session is in use.
const touched = 5 * time.Minute

// touch notes that a session is in use.
func (s *Store) touch(ctx context.Context, token string, seen, now time.Time) error {
	if now.Sub(seen) < touched {
		return nil
	}
	if _, err := s.pool.Exec(ctx, `update session set seen_at = $2 where token_hash = $1`, tokenHash(token), now); err != nil {
		return fmt.Errorf("note that the session is in use: %w", err)
	}
	return nil
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
	return s.inTx(ctx, "end the sessions", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `delete from session where account = $1 and token_hash <> $2`, account, tokenHash(but)); err != nil {
			return err
		}
		return note(ctx, tx, deed{account, "", SignedOutAll, ""})
	})
}

// Sessions counts the sessions of an account that have not ended.
func (s *Store) Sessions(ctx context.Context, account string, now time.Time) (int, error) {
	var n int
	if err := s.pool.QueryRow(ctx, `select count(*) from session where account = $1 and ends_at > $2 and seen_at > $3`, account, now, now.Add(-sessionIdle)).Scan(&n); err != nil {
		return 0, fmt.Errorf("count the sessions: %w", err)
	}
	return n, nil
}

func tokenHash(token string) []byte {
	h := sha256.Sum256([]byte(token))
	return h[:]
}
