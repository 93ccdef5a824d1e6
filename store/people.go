package store

import (
	"context"
	"crypto/rand"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"
)

// Person is somebody who can sign in, as who administers the program sees them.
type Person struct {
	ID, Login, Name string
	Disabled        bool
	Invited         bool // a link was made, and not used yet
	Password        bool // one was set
	Seen            *time.Time
	Failed          int // attempts to sign in since the last that went well
	Sessions        int
	ForAll          Rights
	Roles           map[string][]string // by project
	Rights          map[string]Rights   // by project
	Walks           bool                // as real people, where they build
}

// People lists everybody, by name.
func (s *Store) People(ctx context.Context, now time.Time) ([]*Person, error) {
	var out []*Person
	of := map[string]*Person{}
	err := s.inTx(ctx, "list the people", func(tx pgx.Tx) error {
		rows, err := tx.Query(ctx, `select a.id, a.login, a.name, a.disabled_at is not null, exists (select from link l where l.account = a.id and l.ends_at > $1), a.password <> '', a.seen_at,
			(select count(*) from attempt t where t.account = a.id and not t.ok and t.at > coalesce(a.seen_at, '-infinity')), (select count(*) from session x where x.account = a.id and x.ends_at > $1 and x.seen_at > $2),
			exists (select from right_for_all r where r.account = a.id and r.can = 'builds'), exists (select from right_for_all r where r.account = a.id and r.can = 'administers'), a.walks
			from account a where`+people+` order by a.name, a.id`, now, now.Add(-sessionIdle))
		if err != nil {
			return err
		}
		var p Person
		_, err = pgx.ForEachRow(rows, []any{&p.ID, &p.Login, &p.Name, &p.Disabled, &p.Invited, &p.Password, &p.Seen, &p.Failed, &p.Sessions, &p.ForAll.Builds, &p.ForAll.Administers, &p.Walks}, func() error {
			one := p
			one.Roles, one.Rights = map[string][]string{}, map[string]Rights{}
			out, of[one.ID] = append(out, &one), &one
			p.Seen = nil
			return nil
		})
		if err != nil {
			return err
		}
		return belongings(ctx, tx, of)
	})
	return out, err
}

// belongings adds the roles and rights of people in each project.
func belongings(ctx context.Context, tx pgx.Tx, of map[string]*Person) error {
	rows, err := tx.Query(ctx, `select account, project, role from account_role order by 1, 2, 3`)
	if err != nil {
		return err
	}
	var account, projectID, text string
	if _, err := pgx.ForEachRow(rows, []any{&account, &projectID, &text}, func() error {
		if of[account] == nil { // a display
			return nil
		}
		of[account].Roles[projectID] = append(of[account].Roles[projectID], text)
		return nil
	}); err != nil {
		return err
	}
	if rows, err = tx.Query(ctx, `select account, project, can from project_right`); err != nil {
		return err
	}
	_, err = pgx.ForEachRow(rows, []any{&account, &projectID, &text}, func() error {
		r := of[account].Rights[projectID]
		r.Builds, r.Administers = r.Builds || text == "builds", r.Administers || text == "administers"
		of[account].Rights[projectID] = r
		return nil
	})
	return err
}

// NewPerson is somebody to be added.
type NewPerson struct {
	ID, Login, Name string
	Roles           map[string][]string // by project
	ForAll          Rights
}

// AddPeople keeps new people, all or none, and gives for each a link by which a password is set, in the same order.
// Error: ErrNameTaken, wrapped with the name.
func (s *Store) AddPeople(ctx context.Context, by string, people []NewPerson, now time.Time) (tokens []string, err error) {
	err = s.inTx(ctx, "add people", func(tx pgx.Tx) error {
		for _, p := range people {
			token := rand.Text()
			if err := addPerson(ctx, tx, p, token, now); err != nil {
				return err
			}
			if err := note(ctx, tx, deed{by, "", PersonAdded, p.Name}); err != nil {
				return err
			}
			tokens = append(tokens, token)
		}
		return nil
	})
	return tokens, err
}

func addPerson(ctx context.Context, tx pgx.Tx, p NewPerson, token string, now time.Time) error {
	_, err := tx.Exec(ctx, `insert into account (id, login, name, password) values ($1, $2, $3, '')`, p.ID, p.Login, p.Name)
	var pg *pgconn.PgError
	if errors.As(err, &pg) && pg.Code == pgerrcode.UniqueViolation {
		return fmt.Errorf("%s: %w", p.Login, ErrNameTaken)
	}
	if err != nil {
		return err
	}
	for projectID, roles := range p.Roles {
		if _, err := tx.Exec(ctx, `insert into account_role (account, project, role) select $1, $2, unnest($3::text[])`, p.ID, projectID, roles); err != nil {
			return err
		}
	}
	if err := setForAll(ctx, tx, p.ID, p.ForAll); err != nil {
		return err
	}
	return newLink(ctx, tx, p.ID, token, now)
}

func setForAll(ctx context.Context, tx pgx.Tx, account string, r Rights) error {
	if _, err := tx.Exec(ctx, `delete from right_for_all where account = $1`, account); err != nil {
		return err
	}
	_, err := tx.Exec(ctx, `insert into right_for_all (account, can) select $1, unnest($2::text[])`, account, r.words())
	return err
}

// words names the rights as they are kept.
func (r Rights) words() []string {
	can := []string{}
	if r.Builds {
		can = append(can, "builds")
	}
	if r.Administers {
		can = append(can, "administers")
	}
	return can
}

// change changes a person in one transaction in which nobody else changes who administers. Errors: ErrNone,
// ErrLastAdministrator when nobody who can sign in would be left.
func (s *Store) change(ctx context.Context, by, account, what string, run func(tx pgx.Tx, name string) (detail string, err error)) error {
	return s.inTx(ctx, "change a person", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `lock table right_for_all in share row exclusive mode`); err != nil {
			return err
		}
		var name string
		if err := tx.QueryRow(ctx, `select a.name from account a where a.id = $1 and`+people+` for update`, account).Scan(&name); err != nil {
			return none(err)
		}
		var before, left bool
		const administrators = `select exists (select from right_for_all r join account a on a.id = r.account where r.can = 'administers' and a.disabled_at is null)`
		if err := tx.QueryRow(ctx, administrators).Scan(&before); err != nil {
			return err
		}
		detail, err := run(tx, name)
		if err != nil {
			return err
		}
		if err := tx.QueryRow(ctx, administrators).Scan(&left); err != nil {
			return err
		}
		if before && !left {
			return ErrLastAdministrator
		}
		return note(ctx, tx, deed{by, "", what, detail})
	})
}

// SetForAll gives a person just these rights for all applications; who did it is noted. Errors: ErrNone,
// ErrLastAdministrator.
func (s *Store) SetForAll(ctx context.Context, by, account string, r Rights) error {
	return s.change(ctx, by, account, RightsSet, func(tx pgx.Tx, name string) (string, error) {
		return name + ", for all: " + strings.Join(r.words(), ", "), setForAll(ctx, tx, account, r)
	})
}

// Disable keeps a person out from now on, or lets them in again; what they did stays. Errors: ErrNone,
// ErrLastAdministrator.
func (s *Store) Disable(ctx context.Context, by, account string, out bool) error {
	what := PersonEnabled
	if out {
		what = PersonDisabled
	}
	return s.change(ctx, by, account, what, func(tx pgx.Tx, name string) (string, error) {
		if _, err := tx.Exec(ctx, `update account set disabled_at = case when $2 then coalesce(disabled_at, now()) end where id = $1`, account, out); err != nil {
			return "", err
		}
		if _, err := tx.Exec(ctx, `delete from link where account = $1 and $2`, account, out); err != nil {
			return "", err
		}
		return name, endAll(ctx, tx, account)
	})
}

// Rename gives a person another name. Error: ErrNone.
func (s *Store) Rename(ctx context.Context, by, account, name string) error {
	return s.change(ctx, by, account, PersonRenamed, func(tx pgx.Tx, was string) (string, error) {
		_, err := tx.Exec(ctx, `update account set name = $2 where id = $1`, account, name)
		return was + ": " + name, err
	})
}

// SetWalks lets a person walk as real people where they build, or no more. Error: ErrNone.
func (s *Store) SetWalks(ctx context.Context, by, account string, may bool) error {
	return s.change(ctx, by, account, WalksSet, func(tx pgx.Tx, name string) (string, error) {
		_, err := tx.Exec(ctx, `update account set walks = $2 where id = $1`, account, may)
		if !may {
			name += ", no more"
		}
		return name, err
	})
}

// EndSessions ends all sessions of a person. Error: ErrNone.
func (s *Store) EndSessions(ctx context.Context, by, account string) error {
	return s.change(ctx, by, account, SessionsEnded, func(tx pgx.Tx, name string) (string, error) { return name, endAll(ctx, tx, account) })
}

// ForAll gives the rights that a person has for all applications.
func (s *Store) ForAll(ctx context.Context, account string) (r Rights, err error) {
	err = s.pool.QueryRow(ctx, `select coalesce(bool_or(can = 'builds'), false), coalesce(bool_or(can = 'administers'), false) from right_for_all where account = $1`, account).Scan(&r.Builds, &r.Administers)
	if err != nil {
		return r, fmt.Errorf("read the rights for all applications: %w", err)
	}
	return r, nil
}

// AccountID gives the id of who signs in by a name. Error: ErrNone.
func (s *Store) AccountID(ctx context.Context, login string) (id string, err error) {
	if err = s.pool.QueryRow(ctx, `select id from account where login = $1`, LoginForm(login)).Scan(&id); err != nil {
		return "", fmt.Errorf("find a person: %w", none(err))
	}
	return id, nil
}
