package store

import (
	"context"
	"fmt"

	"github.com/jackc/pgx/v5"
)

// Account is a person who can sign in.
type Account struct {
	ID      string
	Login   string
	Name    string
	Builder bool
	Walks   bool            // may walk as real people
	Roles   map[string]bool // in one project; set by who asks for it
}

// CreateAccount keeps a person with a password, or changes them.
func (s *Store) CreateAccount(ctx context.Context, a Account, password string) error {
	hash, err := s.hasher.hash(password)
	if err != nil {
		return err
	}
	_, err = s.pool.Exec(ctx, `insert into account (id, login, name, password, builder, walks) values ($1, $2, $3, $4, $5, $6)
		on conflict (id) do update set login = excluded.login, name = excluded.name, password = excluded.password, builder = excluded.builder, walks = excluded.walks`, a.ID, a.Login, a.Name, hash, a.Builder, a.Walks)
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

// SetRoles gives a person just these roles of a project. ErrNone when there is no such person.
func (s *Store) SetRoles(ctx context.Context, account, projectID string, roles []string) error {
	return s.inTx(ctx, "set the roles", func(tx pgx.Tx) error {
		var known string
		if err := tx.QueryRow(ctx, `select id from account where id = $1 for update`, account).Scan(&known); err != nil {
			return none(err)
		}
		if _, err := tx.Exec(ctx, `delete from account_role where account = $1 and project = $2`, account, projectID); err != nil {
			return err
		}
		_, err := tx.Exec(ctx, `insert into account_role (account, project, role) select $1, $2, unnest($3::text[])`, account, projectID, roles)
		return err
	})
}

// Accounts lists everybody who can sign in, with their roles in a project, by name.
func (s *Store) Accounts(ctx context.Context, projectID string) ([]Account, error) {
	rows, err := s.pool.Query(ctx, `select a.id, a.login, a.name, a.builder, array_remove(array_agg(r.role), null) from account a left join account_role r on r.account = a.id and r.project = $1 group by a.id order by a.name`, projectID)
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
