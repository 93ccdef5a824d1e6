package store

import (
	"context"
	"encoding/json"
	"fmt"

	"github.com/jackc/pgx/v5"
)

// ListView is how one person likes a list: under a name of their own, or with the empty name how
// wide its columns are.
type ListView struct {
	Account, Project, Screen, Element string
	Name                              string
	Body                              json.RawMessage
}

// maxListViews is how many views of one list a person keeps.
const maxListViews = 50

// ErrFull means that no more can be kept.
var ErrFull = fmt.Errorf("no more can be kept")

// KeepListView keeps a view in the stead of one of the same name.
func (s *Store) KeepListView(ctx context.Context, v ListView) error {
	tag, err := s.pool.Exec(ctx, `insert into list_view (account, project, screen, element, name, body)
		select $1, $2, $3, $4, $5, $6 where (select count(*) from list_view where account = $1 and project = $2 and screen = $3 and element = $4 and name <> $5) < $7
		on conflict (account, project, screen, element, name) do update set body = excluded.body, at = now()`, v.Account, v.Project, v.Screen, v.Element, v.Name, v.Body, maxListViews)
	if err != nil {
		return fmt.Errorf("keep the view of a list: %w", err)
	}
	if tag.RowsAffected() == 0 {
		return ErrFull
	}
	return nil
}

// DropListView forgets a view.
func (s *Store) DropListView(ctx context.Context, v ListView) error {
	_, err := s.pool.Exec(ctx, `delete from list_view where account = $1 and project = $2 and screen = $3 and element = $4 and name = $5`, v.Account, v.Project, v.Screen, v.Element, v.Name)
	if err != nil {
		return fmt.Errorf("forget the view of a list: %w", err)
	}
	return nil
}

// ListViews gives the views that a person keeps of a list, by name.
func (s *Store) ListViews(ctx context.Context, account, projectID, screen, element string) ([]ListView, error) {
	rows, err := s.pool.Query(ctx, `select name, body from list_view where account = $1 and project = $2 and screen = $3 and element = $4 order by name`, account, projectID, screen, element)
	if err != nil {
		return nil, fmt.Errorf("find the views of a list: %w", err)
	}
	out, err := pgx.CollectRows(rows, func(row pgx.CollectableRow) (ListView, error) {
		v := ListView{Account: account, Project: projectID, Screen: screen, Element: element}
		return v, row.Scan(&v.Name, &v.Body)
	})
	if err != nil {
		return nil, fmt.Errorf("read the views of a list: %w", err)
	}
	return out, nil
}
