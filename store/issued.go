package store

import (
	"context"
	"crypto/rand"
	"errors"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// comingInLasts is how long somebody may take at the issuer.
const comingInLasts = 10 * time.Minute

// ComingIn is an attempt to come in by an issuer of OpenID Connect.
type ComingIn struct {
	State, Nonce, Verifier string
}

// BeginComingIn keeps an attempt; its state is found once.
func (s *Store) BeginComingIn(ctx context.Context, c ComingIn, now time.Time) error {
	if _, err := s.pool.Exec(ctx, `with old as (delete from coming_in where ends_at < $5) insert into coming_in (state_hash, nonce, verifier, ends_at) values ($1, $2, $3, $4)`, tokenHash(c.State), c.Nonce, c.Verifier, now.Add(comingInLasts), now); err != nil {
		return fmt.Errorf("begin to come in: %w", err)
	}
	return nil
}

// EndComingIn gives an attempt by its state, and forgets it. Error: ErrNone.
func (s *Store) EndComingIn(ctx context.Context, state string, now time.Time) (ComingIn, error) {
	c := ComingIn{State: state}
	err := s.pool.QueryRow(ctx, `delete from coming_in where state_hash = $1 and ends_at > $2 returning nonce, verifier`, tokenHash(state), now).Scan(&c.Nonce, &c.Verifier)
	if err != nil {
		return c, fmt.Errorf("end coming in: %w", none(err))
	}
	return c, nil
}

// Issued is somebody as an issuer tells of them.
type Issued struct {
	Issuer, Subject, Login, Name string
	Make                         bool                // an account is made where there is none
	NewID                        string              // its id then
	Roles                        map[string][]string // by project: those that the issuer's word gives; others stay
}

// ErrUnknown means that an issuer's person has no account here, and none is made.
var ErrUnknown = errors.New("nobody here is known by that")

// SignInIssued begins a session for whom an issuer has signed in. Somebody who is not known by their subject yet is
// found by no name: an account that a password belongs to is nobody else's, whatever an issuer says. Errors:
// ErrUnknown, ErrNameTaken.
func (s *Store) SignInIssued(ctx context.Context, who Issued, e Entering) (Entered, error) {
	out := Entered{Browser: e.Browser, Token: rand.Text() + rand.Text()}
	if out.Browser == "" {
		out.Browser = rand.Text()
	}
	err := s.inTx(ctx, "sign in by an issuer", func(tx pgx.Tx) error {
		a := &out.Account
		err := tx.QueryRow(ctx, `select a.id, a.login, a.name, a.walks from issued i join account a on a.id = i.account where i.issuer = $1 and i.subject = $2 and a.disabled_at is null`, who.Issuer, who.Subject).Scan(&a.ID, &a.Login, &a.Name, &a.Walks)
		if errors.Is(err, pgx.ErrNoRows) {
			err = s.meet(ctx, tx, who, a, e.Now)
		}
		if err != nil {
			return err
		}
		for projectID, roles := range who.Roles {
			if _, err := tx.Exec(ctx, `insert into account_role (account, project, role) select $1, $2, unnest($3::text[]) on conflict do nothing`, a.ID, projectID, roles); err != nil {
				return err
			}
		}
		return session(ctx, tx, e, out)
	})
	return out, err
}

// meet makes somebody an account, or gives theirs to who was invited by that name and has never been here.
func (s *Store) meet(ctx context.Context, tx pgx.Tx, who Issued, a *Account, now time.Time) error {
	var known bool
	if err := tx.QueryRow(ctx, `select exists (select from issued where issuer = $1 and subject = $2)`, who.Issuer, who.Subject).Scan(&known); err != nil || known {
		return errors.Join(err, ErrUnknown) // kept out
	}
	err := tx.QueryRow(ctx, `select id, login, name from account where login = $1 and password = '' and disabled_at is null and not exists (select from issued i where i.account = account.id) and not exists (select from device d where d.account = account.id) for update`, who.Login).Scan(&a.ID, &a.Login, &a.Name)
	switch {
	case errors.Is(err, pgx.ErrNoRows) && !who.Make:
		return ErrUnknown
	case errors.Is(err, pgx.ErrNoRows):
		a.ID, a.Login, a.Name = who.NewID, who.Login, who.Name
		if err := addPerson(ctx, tx, NewPerson{ID: a.ID, Login: a.Login, Name: a.Name}, rand.Text(), now); err != nil {
			return err
		}
	case err != nil:
		return err
	}
	if _, err := tx.Exec(ctx, `delete from link where account = $1`, a.ID); err != nil {
		return err
	}
	if _, err := tx.Exec(ctx, `insert into issued (issuer, subject, account) values ($1, $2, $3)`, who.Issuer, who.Subject, a.ID); err != nil {
		return err
	}
	return note(ctx, tx, deed{a.ID, "", PersonAdded, a.Name + ", by an issuer"})
}

// session begins one for whom is known by now.
func session(ctx context.Context, tx pgx.Tx, e Entering, out Entered) error {
	account := out.Account.ID
	for _, do := range []struct {
		sql  string
		args []any
	}{
		{`update account set seen_at = $2 where id = $1`, []any{account, e.Now}},
		{`insert into attempt (at, login, account, origin, ok) values ($1, $2, $3, $4, true)`, []any{e.Now, out.Account.Login, account, e.Origin}},
		{`insert into known_browser (token_hash, account, seen_at) values ($1, $2, $3) on conflict (token_hash) do update set account = excluded.account, seen_at = excluded.seen_at`, []any{tokenHash(out.Browser), account, e.Now}},
		{`delete from session where token_hash = $1`, []any{tokenHash(e.Session)}},
		{`insert into session (token_hash, account, ends_at, seen_at) values ($1, $2, $3, $4)`, []any{tokenHash(out.Token), account, e.Now.Add(sessionLength), e.Now}},
	} {
		if _, err := tx.Exec(ctx, do.sql, do.args...); err != nil {
			return err
		}
	}
	return nil
}
