package store

import (
	"context"
	"encoding/json"
	"fmt"

	"ambergate/core/nav"
)

// maxPlaces is how many places a trail keeps; the oldest are forgotten first.
const maxPlaces = 200

// Spot is one place of a trail, with the dialog that is open over it.
type Spot struct {
	Trail   string
	N       int
	Place   nav.Place
	Overlay *nav.Place
	Title   string
}

// Trail is the places of one browser tab, and where it stands.
type Trail struct {
	ID      string
	Account string
	Project string
	At      int
}

// NewTrail begins a trail without places.
func (s *Store) NewTrail(ctx context.Context, t Trail) error {
	if _, err := s.pool.Exec(ctx, `insert into trail (id, account, project, at) values ($1, $2, $3, 0)`, t.ID, t.Account, t.Project); err != nil {
		return fmt.Errorf("begin a trail: %w", err)
	}
	return nil
}

// TrailOf gives a trail if it is this person's and of this project; ErrNone otherwise.
func (s *Store) TrailOf(ctx context.Context, id, account, projectID string) (Trail, error) {
	t := Trail{ID: id, Account: account, Project: projectID}
	err := s.pool.QueryRow(ctx, `select at from trail where id = $1 and account = $2 and project = $3`, id, account, projectID).Scan(&t.At)
	if err != nil {
		return Trail{}, fmt.Errorf("find the trail: %w", none(err))
	}
	return t, nil
}

// Append adds a place after another (0 for the first), forgetting what lay ahead of it, and
// gives its number. A press that was appended before gives the number it got then.
func (s *Store) Append(ctx context.Context, trail string, after int, spot Spot, press string) (int, error) {
	var n int
	err := s.pool.QueryRow(ctx, appendPlace, trail, after+1, mustJSON(spot.Place), overlayJSON(spot.Overlay), spot.Title, press, maxPlaces).Scan(&n)
	if err != nil {
		return 0, fmt.Errorf("add to the trail: %w", err)
	}
	return n, nil
}

// appendPlace does all of it in one round trip, and nothing when the press is known.
const appendPlace = `with
	known as (select n from place where press = nullif($6::text, '')),
	gone as (delete from place where trail = $1 and (n > $2 or n < $2 - $7) and not exists (select from known)),
	put as (insert into place (trail, n, place, overlay, title, press)
		select $1, $2, $3::jsonb, $4::jsonb, $5, nullif($6::text, '') where not exists (select from known)
		on conflict (trail, n) do update set place = excluded.place, overlay = excluded.overlay, title = excluded.title, press = excluded.press
		returning n),
	moved as (update trail set at = $2, seen_at = now() where id = $1 and not exists (select from known))
	select coalesce((select n from known), (select n from put))`

// Change puts another place, overlay or title in the stead of one on a trail.
func (s *Store) Change(ctx context.Context, spot Spot) error {
	_, err := s.pool.Exec(ctx, `update place set place = $3, overlay = $4, title = $5 where trail = $1 and n = $2`, spot.Trail, spot.N, mustJSON(spot.Place), overlayJSON(spot.Overlay), spot.Title)
	if err != nil {
		return fmt.Errorf("change the place: %w", err)
	}
	return nil
}

// Stand notes where on its trail a tab stands.
func (s *Store) Stand(ctx context.Context, trail string, n int) error {
	if _, err := s.pool.Exec(ctx, `update trail set at = $2, seen_at = now() where id = $1 and at <> $2`, trail, n); err != nil {
		return fmt.Errorf("move along the trail: %w", err)
	}
	return nil
}

// Load reads a place of a trail of one person in one project with the titles of its neighbours, and
// where the trail stands, in one query; ErrNone if there is no such place for this person.
func (s *Store) Load(ctx context.Context, trail string, n int, account, projectID string) (*Standing, error) {
	rows, err := s.pool.Query(ctx, `select t.at, p.n, p.title, case when p.n = $2 then p.place end, case when p.n = $2 then p.overlay end from trail t join place p on p.trail = t.id and p.n between $2 - 1 and $2 + 1
		where t.id = $1 and t.account = $3 and t.project = $4`, trail, n, account, projectID)
	if err != nil {
		return nil, fmt.Errorf("find the place: %w", err)
	}
	defer rows.Close()
	found := false
	out := &Standing{Spot: Spot{Trail: trail, N: n}}
	for rows.Next() {
		var at int
		var title string
		var place, overlay json.RawMessage
		if err := rows.Scan(&out.At, &at, &title, &place, &overlay); err != nil {
			return nil, fmt.Errorf("find the place: %w", err)
		}
		switch {
		case at < n:
			out.Back = title
		case at > n:
			out.Forward = title
		default:
			found = true
			out.Title = title
			if err := out.read(place, overlay); err != nil {
				return nil, err
			}
		}
	}
	if err := rows.Err(); err != nil {
		return nil, fmt.Errorf("find the place: %w", err)
	}
	if !found {
		return nil, ErrNone
	}
	return out, nil
}

// Standing is a place of a trail with its neighbours.
type Standing struct {
	Spot
	At      int    // where the trail stands
	Back    string // title of the place before; "" if there is none
	Forward string
}

func (s *Spot) read(place, overlay json.RawMessage) error {
	if err := json.Unmarshal(place, &s.Place); err != nil {
		return fmt.Errorf("read the place: %w", err)
	}
	if len(overlay) > 0 {
		if err := json.Unmarshal(overlay, &s.Overlay); err != nil {
			return fmt.Errorf("read the dialog of the place: %w", err)
		}
	}
	return nil
}

func overlayJSON(p *nav.Place) any {
	if p == nil {
		return nil
	}
	return mustJSON(p)
}
