package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"time"

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

// Practice gives what a tab of somebody practised so far; nil for nothing.
func (s *Store) Practice(ctx context.Context, id, account string) (json.RawMessage, error) {
	var presses json.RawMessage
	err := s.pool.QueryRow(ctx, `select presses from practice where id = $1 and account = $2`, id, account).Scan(&presses)
	if errors.Is(none(err), ErrNone) {
		return nil, nil
	}
	if err != nil {
		return nil, fmt.Errorf("read what was practised: %w", err)
	}
	return presses, nil
}

// KeepPractice keeps what a tab of somebody practised so far.
func (s *Store) KeepPractice(ctx context.Context, id, account string, presses json.RawMessage) error {
	_, err := s.pool.Exec(ctx, `insert into practice (id, account, presses) values ($1, $2, $3) on conflict (id) do update set presses = excluded.presses, at = now() where practice.account = excluded.account`, id, account, presses)
	if err != nil {
		return fmt.Errorf("keep what was practised: %w", err)
	}
	return nil
}

// walkLogged is how long a builder's walk as one person counts as one.
const walkLogged = time.Hour

// LogWalk notes that a builder walks as a real person, once in a while for each.
func (s *Store) LogWalk(ctx context.Context, builder, person, projectID string, now time.Time) error {
	tag, err := s.pool.Exec(ctx, `insert into walk (at, builder, person, project) select $1, $2, $3, $4
		where not exists (select 1 from walk where builder = $2 and person = $3 and project = $4 and at > $5)`, now, builder, person, projectID, now.Add(-walkLogged))
	if err != nil {
		return fmt.Errorf("log the walk: %w", err)
	}
	if tag.RowsAffected() == 0 {
		return nil
	}
	var name string
	if err := s.pool.QueryRow(ctx, `select coalesce((select name from account where id = $1), (select 'any ' || (body ->> 'name') from entity where project = $2 and 'role:' || id = $1), $1)`, person, projectID).Scan(&name); err != nil {
		return fmt.Errorf("log the walk: %w", err)
	}
	return note(ctx, s.pool, deed{builder, projectID, WalkedAs, name})
}

// Walk is a builder's walk as a real person.
type Walk struct {
	At              time.Time
	Builder, Person string // ids
}

// Walks lists the walks in a project, newest first.
func (s *Store) Walks(ctx context.Context, projectID string) ([]Walk, error) {
	rows, err := s.pool.Query(ctx, `select at, builder, person from walk where project = $1 order by at desc limit 200`, projectID)
	if err != nil {
		return nil, fmt.Errorf("list the walks: %w", err)
	}
	defer rows.Close()
	var out []Walk
	for rows.Next() {
		var w Walk
		if err := rows.Scan(&w.At, &w.Builder, &w.Person); err != nil {
			return nil, fmt.Errorf("list the walks: %w", err)
		}
		out = append(out, w)
	}
	return out, rows.Err()
}
