package store

import (
	"context"
	"fmt"

	"github.com/jackc/pgx/v5"
)

// Present is where in the builder somebody is, in one tab.
type Present struct {
	Account string `json:"account"`
	Name    string `json:"name"`
	View    string `json:"view"`
	Screen  string `json:"screen,omitempty"`
	Element string `json:"element,omitempty"`
}

// Come notes a tab that listens on a server.
func (s *Store) Come(ctx context.Context, server, project, tab string, who Present) error {
	_, err := s.pool.Exec(ctx, `insert into presence (tab, project, account, name, server) values ($1, $2, $3, $4, $5) on conflict (tab) do update set project = excluded.project, account = excluded.account, name = excluded.name, server = excluded.server`, tab, project, who.Account, who.Name, server)
	if err != nil {
		return fmt.Errorf("note that a builder is there: %w", err)
	}
	return nil
}

// MovePresent notes where a tab is; one that does not listen is nowhere.
func (s *Store) MovePresent(ctx context.Context, project, tab string, to Present) error {
	_, err := s.pool.Exec(ctx, `update presence set view = $4, screen = $5, element = $6 where tab = $1 and project = $2 and account = $3 and (view, screen, element) is distinct from ($4, $5, $6)`, tab, project, to.Account, to.View, to.Screen, to.Element)
	if err != nil {
		return fmt.Errorf("note where a builder is: %w", err)
	}
	return nil
}

// Leave notes that a tab does not listen on a server any more; it may listen on another one by now.
func (s *Store) Leave(ctx context.Context, server, tab string) error {
	if _, err := s.pool.Exec(ctx, `delete from presence where tab = $1 and server = $2`, tab, server); err != nil {
		return fmt.Errorf("note that a builder has left: %w", err)
	}
	return nil
}

// OtherPresent gives where the builders of a project besides one are, by name: each place of theirs once.
func (s *Store) OtherPresent(ctx context.Context, project, account string) ([]Present, error) {
	rows, err := s.pool.Query(ctx, `select distinct account, name, view, screen, element from presence where project = $1 and account <> $2 order by name, account, view, screen, element`, project, account)
	if err != nil {
		return nil, fmt.Errorf("list the builders who are there: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Present])
	if err != nil {
		return nil, fmt.Errorf("list the builders who are there: %w", err)
	}
	return out, nil
}
