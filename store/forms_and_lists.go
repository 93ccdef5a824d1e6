package store

import (
	"context"
	"encoding/json"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/core/place"
	"ambergate/fault"
)

// FormDraft is what somebody typed on a form and did not save.
type FormDraft struct {
	ID      string
	Account string
	Project string
	Tab     string // the trail of the tab that owns it
	Work    string // what it is work on: screen, mode and record
	Screen  string
	Title   string
	Version string            // of the record when it was begun
	Base    map[string]string // what its fields were then
	Values  map[string]string
	At      time.Time
}

// maxDrafts is how many things a person has typed and not saved; those that were typed last stay.
const maxDrafts = 200

// ErrTaken means that another tab has taken a draft over.
var ErrTaken = fmt.Errorf("the draft was taken over by another tab")

// KeepFormDraft keeps what was typed in a tab, in the stead of what it kept before. A tab whose draft
// was taken over gets ErrTaken, and nothing is changed. known is the id that the tab was told when
// it kept something before, or "".
func (s *Store) KeepFormDraft(ctx context.Context, d FormDraft, known string) (string, error) {
	var id string
	err := s.pool.QueryRow(ctx, `with beyond as (delete from draft where id in (select id from draft where account = $2 and tab <> $4 order by at desc offset $12))
		insert into draft (id, account, project, tab, work, screen, title, version, base, vals)
		select $1, $2, $3, $4, $5, $6, $7, $8, $9, $10 where not exists (select from draft where account = $2 and id = $11 and tab <> $4)
		on conflict (tab, work) do update set title = excluded.title, version = excluded.version, base = excluded.base, vals = excluded.vals, at = now()
		returning id`, d.ID, d.Account, d.Project, d.Tab, d.Work, d.Screen, d.Title, d.Version, mustJSON(d.Base), mustJSON(d.Values), known, maxDrafts-1).Scan(&id)
	if err != nil {
		if none(err) == ErrNone {
			return "", ErrTaken
		}
		return "", fmt.Errorf("keep the draft: %w", err)
	}
	fault.At(fault.DraftKept)
	return id, nil
}

// DropFormDraft forgets what a tab kept of some work.
func (s *Store) DropFormDraft(ctx context.Context, tab, work string) error {
	if _, err := s.pool.Exec(ctx, `delete from draft where tab = $1 and work = $2`, tab, work); err != nil {
		return fmt.Errorf("drop the draft: %w", err)
	}
	return nil
}

// ForgetFormDraft forgets a draft of a person, in whichever tab.
func (s *Store) ForgetFormDraft(ctx context.Context, id, account string) error {
	if _, err := s.pool.Exec(ctx, `delete from draft where id = $1 and account = $2`, id, account); err != nil {
		return fmt.Errorf("forget the draft: %w", err)
	}
	return nil
}

// TakeFormDraft makes a draft of the same person that of another tab, in the stead of what that tab
// kept of the work; ErrNone if it is gone.
func (s *Store) TakeFormDraft(ctx context.Context, id, account, tab string) error {
	return s.inTx(ctx, "take over the draft", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `delete from draft d using draft o where o.id = $1 and o.account = $2 and d.tab = $3 and d.work = o.work and d.id <> o.id`, id, account, tab); err != nil {
			return err
		}
		tag, err := tx.Exec(ctx, `update draft set tab = $3 where id = $1 and account = $2`, id, account, tab)
		if err != nil {
			return err
		}
		if tag.RowsAffected() == 0 {
			return ErrNone
		}
		return nil
	})
}

// FormDraftsOf gives what a person has kept of some work, in all tabs, newest first.
func (s *Store) FormDraftsOf(ctx context.Context, account, projectID string, work []string) ([]FormDraft, error) {
	rows, err := s.pool.Query(ctx, `select id, tab, work, screen, title, version, base, vals, at from draft where account = $1 and project = $2 and work = any($3) order by at desc`, account, projectID, work)
	if err != nil {
		return nil, fmt.Errorf("find drafts: %w", err)
	}
	out, err := pgx.CollectRows(rows, func(row pgx.CollectableRow) (FormDraft, error) {
		d := FormDraft{Account: account, Project: projectID}
		var base, values json.RawMessage
		if err := row.Scan(&d.ID, &d.Tab, &d.Work, &d.Screen, &d.Title, &d.Version, &base, &values, &d.At); err != nil {
			return d, err
		}
		if err := json.Unmarshal(base, &d.Base); err != nil {
			return d, err
		}
		return d, json.Unmarshal(values, &d.Values)
	})
	if err != nil {
		return nil, fmt.Errorf("read drafts: %w", err)
	}
	return out, nil
}

// BegunWork is a form with something typed and not saved, and where it stands.
type BegunWork struct {
	Place place.Place // the last one of its screen on its tab's trail
	At    time.Time
}

// BegunBy lists what a person has typed and not saved on some screens of a project, newest first.
func (s *Store) BegunBy(ctx context.Context, account, projectID string, screens []string) ([]BegunWork, error) {
	rows, err := s.pool.Query(ctx, `select d.at, p.place from draft d
		join lateral (select place from place where trail = d.tab and place ->> 'screen' = d.screen order by n desc limit 1) p on true
		where d.account = $1 and d.project = $2 and d.screen = any($3) order by d.at desc`, account, projectID, screens)
	if err != nil {
		return nil, fmt.Errorf("find what was begun: %w", err)
	}
	out, err := pgx.CollectRows(rows, func(row pgx.CollectableRow) (w BegunWork, err error) {
		err = row.Scan(&w.At, &w.Place)
		return w, err
	})
	if err != nil {
		return nil, fmt.Errorf("read what was begun: %w", err)
	}
	return out, nil
}

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
