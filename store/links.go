package store

import (
	"context"
	"crypto/rand"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
)

// How long a link can be used: the first one of all, and one by which somebody sets a password.
const (
	firstLinkLasts = 30 * time.Minute
	linkLasts      = 7 * 24 * time.Hour
)

// ErrLink means that a link was used already, is too old, or was never given.
var ErrLink = errors.New("the link does not hold")

// ErrNameTaken means that somebody else has that name to sign in by.
var ErrNameTaken = errors.New("somebody else has that name")

// NeedsFirst says whether nobody is there yet.
func (s *Store) NeedsFirst(ctx context.Context) (bool, error) {
	var somebody bool
	if err := s.pool.QueryRow(ctx, `select exists (select from account)`).Scan(&somebody); err != nil {
		return false, fmt.Errorf("look whether anybody is there: %w", err)
	}
	return !somebody, nil
}

// FirstLink makes the secret by which the first person comes in; one that was made before does not hold any more.
func (s *Store) FirstLink(ctx context.Context, now time.Time) (token string, err error) {
	token = rand.Text()
	return token, s.inTx(ctx, "make the first link", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `delete from link where account is null`); err != nil {
			return err
		}
		_, err := tx.Exec(ctx, `insert into link (token_hash, ends_at) values ($1, $2)`, tokenHash(token), now.Add(firstLinkLasts))
		return err
	})
}

// First keeps the first person, who administers and builds everything. The link is used up by it. Errors: ErrLink,
// *WeakPassword.
func (s *Store) First(ctx context.Context, token string, a Account, password string, now time.Time) error {
	if err := checkNew(password, a.Login); err != nil {
		return err
	}
	hash, err := s.hasher.Hash(password)
	if err != nil {
		return err
	}
	return s.inTx(ctx, "keep the first person", func(tx pgx.Tx) error {
		tag, err := tx.Exec(ctx, `delete from link where token_hash = $1 and account is null and ends_at > $2 and not exists (select from account)`, tokenHash(token), now)
		if err != nil {
			return err
		}
		if tag.RowsAffected() == 0 {
			return ErrLink
		}
		if _, err := tx.Exec(ctx, `insert into account (id, login, name, password) values ($1, $2, $3, $4)`, a.ID, a.Login, a.Name, hash); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `insert into right_for_all (account, can) values ($1, 'builds'), ($1, 'administers')`, a.ID); err != nil {
			return err
		}
		return note(ctx, tx, deed{a.ID, "", PersonAdded, a.Name})
	})
}

// LinkFor makes a link by which a person sets a password; those made before do not hold any more. Error: ErrNone.
func (s *Store) LinkFor(ctx context.Context, by, account string, now time.Time) (token string, err error) {
	token = rand.Text()
	return token, s.inTx(ctx, "make a link", func(tx pgx.Tx) error {
		var name string
		if err := tx.QueryRow(ctx, `select name from account where id = $1 and disabled_at is null and not exists (select from device d where d.account = account.id) for update`, account).Scan(&name); err != nil {
			return none(err)
		}
		if err := newLink(ctx, tx, account, token, now); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, "", LinkMade, name})
	})
}

func newLink(ctx context.Context, tx pgx.Tx, account, token string, now time.Time) error {
	if _, err := tx.Exec(ctx, `delete from link where account = $1`, account); err != nil {
		return err
	}
	_, err := tx.Exec(ctx, `insert into link (token_hash, account, ends_at) values ($1, $2, $3)`, tokenHash(token), account, now.Add(linkLasts))
	return err
}

// LinkOf gives whom a link is for, without using it up. Error: ErrLink.
func (s *Store) LinkOf(ctx context.Context, token string, now time.Time) (Account, error) {
	var a Account
	err := s.pool.QueryRow(ctx, `select a.id, a.login, a.name from link l join account a on a.id = l.account where l.token_hash = $1 and l.ends_at > $2 and a.disabled_at is null and`+people, tokenHash(token), now).Scan(&a.ID, &a.Login, &a.Name)
	if errors.Is(err, pgx.ErrNoRows) {
		return a, ErrLink
	}
	if err != nil {
		return a, fmt.Errorf("look whom a link is for: %w", err)
	}
	return a, nil
}

// UseLink sets the password of whom a link is for, ends all their sessions, and uses the link up. Errors: ErrLink,
// *WeakPassword.
func (s *Store) UseLink(ctx context.Context, token, password string, now time.Time) (Account, error) {
	a, err := s.LinkOf(ctx, token, now)
	if err != nil {
		return a, err
	}
	if err := checkNew(password, a.Login); err != nil {
		return a, err
	}
	hash, err := s.hasher.Hash(password)
	if err != nil {
		return a, err
	}
	return a, s.inTx(ctx, "set a password by a link", func(tx pgx.Tx) error {
		tag, err := tx.Exec(ctx, `delete from link where token_hash = $1 and ends_at > $2`, tokenHash(token), now)
		if err != nil {
			return err
		}
		if tag.RowsAffected() == 0 { // somebody was quicker
			return ErrLink
		}
		if _, err := tx.Exec(ctx, `update account set password = $2 where id = $1`, a.ID, hash); err != nil {
			return err
		}
		if err := endAll(ctx, tx, a.ID); err != nil {
			return err
		}
		return note(ctx, tx, deed{a.ID, "", PasswordChanged, "by a link"})
	})
}

// GivePassword sets a person's password whatever it is, and lets no link hold any more: for accounts whose passwords
// everybody knows.
func (s *Store) GivePassword(ctx context.Context, account, password string) error {
	hash, err := s.hasher.Hash(password)
	if err != nil {
		return err
	}
	return s.inTx(ctx, "give a password", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `update account set password = $2 where id = $1`, account, hash); err != nil {
			return err
		}
		_, err := tx.Exec(ctx, `delete from link where account = $1`, account)
		return err
	})
}

// endAll ends every session of a person, and lets no browser be known by which somebody else may have signed in.
func endAll(ctx context.Context, tx pgx.Tx, account string) error {
	if _, err := tx.Exec(ctx, `delete from session where account = $1`, account); err != nil {
		return err
	}
	_, err := tx.Exec(ctx, `delete from known_browser where account = $1`, account)
	return err
}

// LoginForm writes a name to sign in by as it is kept.
func LoginForm(login string) string { return strings.TrimSpace(strings.ToLower(login)) }
