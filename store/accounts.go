package store

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"github.com/jackc/pgx/v5"
)

// Account is a person who can sign in, or an unattended display.
type Account struct {
	ID     string
	Login  string
	Name   string
	Walks  bool            // may walk as real people
	Roles  map[string]bool // in one project; set by who asks for it
	Rights                 // in that project
	Device *Device         // nil for a person; without name and role
}

// Rights are the two rights beside roles in one project.
type Rights struct {
	Builds      bool // changes the application
	Administers bool // gives roles and these rights
}

// CreateAccount keeps a person with a password, or changes them.
func (s *Store) CreateAccount(ctx context.Context, a Account, password string) error {
	hash, err := s.hasher.Hash(password)
	if err != nil {
		return err
	}
	_, err = s.pool.Exec(ctx, `insert into account (id, login, name, password, walks) values ($1, $2, $3, $4, $5)
		on conflict (id) do update set login = excluded.login, name = excluded.name, password = excluded.password, walks = excluded.walks`, a.ID, a.Login, a.Name, hash, a.Walks)
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

// SetRoles gives a person just these roles of a project; who did it is noted, with the names of the roles. ErrNone
// when there is no such person.
func (s *Store) SetRoles(ctx context.Context, by, account, projectID string, roles []string, names string) error {
	return s.inTx(ctx, "set the roles", func(tx pgx.Tx) error {
		var name string
		if err := tx.QueryRow(ctx, `select a.name from account a where a.id = $1 and`+people+` for update`, account).Scan(&name); err != nil {
			return none(err)
		}
		if _, err := tx.Exec(ctx, `delete from account_role where account = $1 and project = $2`, account, projectID); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `insert into account_role (account, project, role) select $1, $2, unnest($3::text[])`, account, projectID, roles); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, projectID, RolesSet, name + ": " + names})
	})
}

// ErrLastAdministrator means that nobody would be left who gives roles and rights.
var ErrLastAdministrator = errors.New("nobody else administers the application")

// SetRights gives a person just these rights in a project; who did it is noted. Errors: ErrNone when there is no
// such person, ErrLastAdministrator.
func (s *Store) SetRights(ctx context.Context, by, account, projectID string, r Rights) error {
	return s.inTx(ctx, "set the rights", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `select 1 from project where id = $1 for no key update`, projectID); err != nil {
			return err
		}
		var name string
		var had, others bool
		err := tx.QueryRow(ctx, `select name, exists (select from project_right where account = $1 and project = $2 and can = 'administers'), exists (select from project_right where account <> $1 and project = $2 and can = 'administers') or exists (select from right_for_all where can = 'administers')
			from account where id = $1`, account, projectID).Scan(&name, &had, &others)
		if err != nil {
			return none(err)
		}
		if had && !r.Administers && !others {
			return ErrLastAdministrator
		}
		if _, err := tx.Exec(ctx, `delete from project_right where account = $1 and project = $2`, account, projectID); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `insert into project_right (account, project, can) select $1, $2, unnest($3::text[])`, account, projectID, r.words()); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, projectID, RightsSet, name + ": " + strings.Join(r.words(), ", ")})
	})
}

// Accounts lists everybody who can sign in, with their roles in a project, by name.
func (s *Store) Accounts(ctx context.Context, projectID string) ([]Account, error) {
	rows, err := s.pool.Query(ctx, `select a.id, a.login, a.name, `+rightsIn("$1")+`, array_remove(array_agg(r.role), null) from account a left join account_role r on r.account = a.id and r.project = $1 where`+people+` group by a.id order by a.name`, projectID)
	if err != nil {
		return nil, fmt.Errorf("list the people: %w", err)
	}
	defer rows.Close()
	var out []Account
	for rows.Next() {
		var a Account
		var roles []string
		if err := rows.Scan(&a.ID, &a.Login, &a.Name, &a.Builds, &a.Administers, &roles); err != nil {
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

// rightsIn is the SQL of the two rights of an account a in a project: given there, or for all.
func rightsIn(project string) string {
	has := func(can string) string {
		return `(exists (select from project_right x where x.account = a.id and x.project = ` + project + ` and x.can = '` + can + `') or exists (select from right_for_all x where x.account = a.id and x.can = '` + can + `'))`
	}
	return has("builds") + ", " + has("administers")
}

// RightsOf lists the rights of a person, by the ids of the projects in which they have any.
func (s *Store) RightsOf(ctx context.Context, account string) (map[string]Rights, error) {
	rows, err := s.pool.Query(ctx, `select p.id, bool_or(r.can = 'builds'), bool_or(r.can = 'administers') from project p join (select project, can from project_right where account = $1 union all select null, can from right_for_all where account = $1) r on r.project = p.id or r.project is null group by p.id`, account)
	if err != nil {
		return nil, fmt.Errorf("list the rights of a person: %w", err)
	}
	out := map[string]Rights{}
	var id string
	var r Rights
	_, err = pgx.ForEachRow(rows, []any{&id, &r.Builds, &r.Administers}, func() error {
		out[id] = r
		return nil
	})
	if err != nil {
		return nil, fmt.Errorf("list the rights of a person: %w", err)
	}
	return out, nil
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
