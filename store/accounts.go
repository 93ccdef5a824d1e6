package store

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"crypto/subtle"
	"encoding/base64"
	"encoding/hex"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
	"golang.org/x/crypto/argon2"
)

// Account is a person who can sign in.
type Account struct {
	ID      string
	Login   string
	Name    string
	Builder bool
	Roles   map[string]bool // in one project; set by who asks for it
}

// How hard a password is to guess: argon2id as RFC 9106 recommends for little memory, and a
// block after a few failures that grows.
const (
	argonTime     = 1
	argonMemory   = 19 * 1024 // KiB
	argonThreads  = 1
	freeAttempts  = 5
	sessionLength = 12 * time.Hour
)

// ErrSignIn means that name and password do not go together. Which one is wrong is not told.
var ErrSignIn = errors.New("name and password do not go together")

// Blocked means that there were too many failed attempts.
type Blocked struct{ Until time.Time }

// Error says until when.
func (b *Blocked) Error() string { return "too many attempts, until " + b.Until.Format("15:04:05") }

// CreateAccount keeps a person with a password, or changes them.
func (s *Store) CreateAccount(ctx context.Context, a Account, password string) error {
	hash, err := hashPassword(password)
	if err != nil {
		return err
	}
	_, err = s.pool.Exec(ctx, `insert into account (id, login, name, password, builder) values ($1, $2, $3, $4, $5)
		on conflict (id) do update set login = excluded.login, name = excluded.name, password = excluded.password, builder = excluded.builder`, a.ID, a.Login, a.Name, hash, a.Builder)
	if err != nil {
		return fmt.Errorf("keep the account: %w", err)
	}
	return nil
}

// GiveRole gives a person a role of a project.
func (s *Store) GiveRole(ctx context.Context, account, projectID, role string) error {
	if _, err := s.pool.Exec(ctx, `insert into account_role (account, project, role) values ($1, $2, $3) on conflict do nothing`, account, projectID, role); err != nil {
		return fmt.Errorf("give the role: %w", err)
	}
	return nil
}

// SignIn checks a password and begins a session; the token goes into the cookie, only its hash is kept.
// Errors: ErrSignIn, *Blocked.
func (s *Store) SignIn(ctx context.Context, login, password string, now time.Time) (token string, a Account, err error) {
	var hash string
	var blocked *time.Time
	err = s.pool.QueryRow(ctx, `select id, login, name, builder, password, blocked_until from account where login = $1`, login).Scan(&a.ID, &a.Login, &a.Name, &a.Builder, &hash, &blocked)
	if errors.Is(err, pgx.ErrNoRows) {
		checkPassword(unknownHash, password) // takes as long as for a name that exists
		return "", Account{}, ErrSignIn
	}
	if err != nil {
		return "", Account{}, fmt.Errorf("sign in: %w", err)
	}
	if blocked != nil && blocked.After(now) {
		return "", Account{}, &Blocked{Until: *blocked}
	}
	if !checkPassword(hash, password) {
		_, err := s.pool.Exec(ctx, `update account set attempts = attempts + 1,
			blocked_until = case when attempts + 1 >= $2 then $3::timestamptz + least(power(2, attempts + 1 - $2), 900) * interval '1 second' end where id = $1`, a.ID, freeAttempts, now)
		if err != nil {
			return "", Account{}, fmt.Errorf("note the failed attempt: %w", err)
		}
		return "", Account{}, ErrSignIn
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
		_, err := tx.Exec(ctx, `insert into session (token_hash, account, ends_at) values ($1, $2, $3)`, tokenHash(token), a.ID, now.Add(sessionLength))
		return err
	})
	return token, a, err
}

// Session gives the person of a session, with their roles in a project ("" for none); ErrNone when it has ended.
func (s *Store) Session(ctx context.Context, token, projectID string, now time.Time) (Account, error) {
	var a Account
	var roles []string
	err := s.pool.QueryRow(ctx, `select a.id, a.login, a.name, a.builder, array(select r.role from account_role r where r.account = a.id and r.project = $2)
		from session s join account a on a.id = s.account where s.token_hash = $1 and s.ends_at > $3`, tokenHash(token), projectID, now).Scan(&a.ID, &a.Login, &a.Name, &a.Builder, &roles)
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

// Accounts lists the people who have roles in a project, with those roles, by name.
func (s *Store) Accounts(ctx context.Context, projectID string) ([]Account, error) {
	rows, err := s.pool.Query(ctx, `select a.id, a.login, a.name, a.builder, array_agg(r.role) from account a join account_role r on r.account = a.id and r.project = $1 group by a.id order by a.name`, projectID)
	if err != nil {
		return nil, fmt.Errorf("list the people: %w", err)
	}
	defer rows.Close()
	var out []Account
	for rows.Next() {
		var a Account
		var roles []string
		if err := rows.Scan(&a.ID, &a.Login, &a.Name, &a.Builder, &roles); err != nil {
			return nil, fmt.Errorf("list the people: %w", err)
		}
		a.Roles = map[string]bool{}
		for _, r := range roles {
			a.Roles[r] = true
		}
		out = append(out, a)
	}
	return out, rows.Err()
}

// ProjectsOf lists the ids of the projects in which a person has a role.
func (s *Store) ProjectsOf(ctx context.Context, account string) (map[string]bool, error) {
	rows, err := s.pool.Query(ctx, `select distinct project from account_role where account = $1`, account)
	if err != nil {
		return nil, fmt.Errorf("list the projects of a person: %w", err)
	}
	ids, err := pgx.CollectRows(rows, pgx.RowTo[string])
	out := map[string]bool{}
	for _, id := range ids {
		out[id] = true
	}
	return out, err
}

func tokenHash(token string) []byte {
	h := sha256.Sum256([]byte(token))
	return h[:]
}

// unknownHash is compared against when there is no such name.
var unknownHash = strings.Repeat("00", 16) + "$" + strings.Repeat("00", 32)

func hashPassword(password string) (string, error) {
	salt := make([]byte, 16)
	if _, err := rand.Read(salt); err != nil {
		return "", fmt.Errorf("make a salt: %w", err)
	}
	key := argon2.IDKey([]byte(password), salt, argonTime, argonMemory, argonThreads, 32)
	return hex.EncodeToString(salt) + "$" + hex.EncodeToString(key), nil
}

func checkPassword(hash, password string) bool {
	saltText, keyText, _ := strings.Cut(hash, "$")
	salt, err := hex.DecodeString(saltText)
	if err != nil {
		return false
	}
	want, err := hex.DecodeString(keyText)
	if err != nil {
		return false
	}
	got := argon2.IDKey([]byte(password), salt, argonTime, argonMemory, argonThreads, 32)
	return subtle.ConstantTimeCompare(got, want) == 1
}
