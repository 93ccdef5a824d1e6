package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"reflect"
	"time"

	"ambergate/core/place"
	"ambergate/store/near"
)

// Visitor is what is known of a request of a user: who asks, in which project, at which place.
type Visitor struct {
	Account            // with the roles in the project
	Project  string    // id; "" when no project has the slug
	State              // of the project
	Standing *Standing // nil when there is no such place for this person
}

// Visit finds the person of a session, a project by its slug, and a place of a trail of theirs there
// ("" for none), in one query; ErrNone when the session has ended.
func (s *Store) Visit(ctx context.Context, token, slug, trail string, n int, now time.Time) (Visitor, error) {
	var v Visitor
	var roles []string
	var place json.RawMessage
	var seen time.Time
	var trial *int
	var some *Some
	began, keep := time.Now(), s.near.Read(trail)
	err := s.pool.QueryRow(ctx, `select s.seen_at, a.id, a.login, a.name, a.walks, `+rightsIn("p.id")+`, coalesce(p.id, ''), coalesce(p.seq, 0), coalesce(p.released, 0), p.trial, p.trial_for,
		array(select r.role from account_role r where r.account = a.id and r.project = p.id), case when $3 <> '' then (`+standingOf("$3", "$4", "a.id", "p.id")+`) end, `+deviceOf+`
		from session s join account a on a.id = s.account left join project p on p.slug = $2 where s.token_hash = $1 and s.ends_at > $5 and s.seen_at > $6`,
		tokenHash(token), slug, trail, n, now, now.Add(-sessionIdle)).Scan(&seen, &v.ID, &v.Login, &v.Name, &v.Walks, &v.Builds, &v.Administers, &v.Project, &v.Seq, &v.Released, &trial, &some, &roles, &place, &v.Device)
	if err != nil {
		return Visitor{}, fmt.Errorf("find the session: %w", none(err))
	}
	if err := errors.Join(s.touch(ctx, token, seen, now), s.seeDevice(ctx, v.Device, now)); err != nil {
		return Visitor{}, err
	}
	v.Trial = trialOf(trial, some)
	v.Roles = map[string]bool{}
	for _, r := range roles {
		v.Roles[r] = true
	}
	if len(place) == 0 {
		return v, nil
	}
	found := near.Near{Read: began}
	if err := json.Unmarshal(place, &found); err != nil {
		return Visitor{}, fmt.Errorf("read the place: %w", err)
	}
	keep(n, near.Owner{Account: v.ID, Project: v.Project}, found)
	v.Standing, err = standing(trail, n, found)
	if errors.Is(err, ErrNone) {
		err = nil
	}
	return v, err
}

// standingOf is the SQL of a place of a trail of one person in one project with the titles of its
// neighbours, and where the trail stands, as JSON; null when there is no such trail or place near it.
func standingOf(trail, n, account, projectID string) string {
	return `select json_build_object('at', t.at, 'vars', t.vars, 'before', t.vars_before, 'press', t.vars_press, 'places', json_agg(json_build_object('n', pl.n, 'title', pl.title,
		'place', case when pl.n = ` + n + ` then pl.place end, 'overlays', case when pl.n = ` + n + ` then pl.overlays end, 'made', pl.made, 'release', pl.release, 'age', extract(epoch from now() - pl.made_at))))
		from trail t join place pl on pl.trail = t.id and pl.n between ` + n + `::int - 1 and ` + n + `::int + 1
		where t.id = ` + trail + ` and t.account = ` + account + ` and t.project = ` + projectID + ` group by t.id`
}

// Standing is a place of a trail with its neighbours.
type Standing struct {
	Spot
	At      int    // where the trail stands
	Back    string // title of the place before; "" if there is none
	Forward string
	tabVars
}

// freshFor is how long a place is one that was made, or changed, just now, in seconds.
const freshFor = 2

// standing makes a standing of a place and its neighbours; ErrNone where the place is not among them.
func standing(trail string, n int, f near.Near) (*Standing, error) {
	out := &Standing{Spot: Spot{Trail: trail, N: n}, At: f.At}
	found := false
	for _, p := range f.Places {
		switch {
		case p.N < n:
			out.Back = p.Title
		case p.N > n:
			out.Forward = p.Title
		default:
			found = true
			out.Title, out.Made, out.Release = p.Title, p.Made, p.Release
			out.Fresh = p.Age+time.Since(f.Read).Seconds() < freshFor
			if err := out.take(f, p); err != nil {
				return nil, err
			}
		}
	}
	if !found {
		return nil, ErrNone
	}
	return out, nil
}

// made is what the texts of a kept place come to, which is worked out once. It is never changed.
type made struct {
	place    place.Place
	overlays []place.Overlay
	vars     tabVars
}

// take fills in what stands in the texts of a place, as the standing's own.
func (s *Standing) take(f near.Near, p near.Place) error {
	if f.Made != nil {
		if of, there := f.Made.Load().(*made); there {
			s.Place, s.Overlays, s.tabVars = of.place.Clone(), place.CloneAll(of.overlays), of.vars.clone()
			return nil
		}
	}
	if err := errors.Join(s.Spot.read(p.Place, p.Overlays), s.tabVars.read(f.Vars, f.Before, f.Press)); err != nil {
		return err
	}
	if f.Made != nil {
		f.Made.Store(&made{place: s.Place.Clone(), overlays: place.CloneAll(s.Overlays), vars: s.tabVars.clone()})
	}
	return nil
}

func (s *Spot) read(place, overlays json.RawMessage) error {
	if err := json.Unmarshal(place, &s.Place); err != nil {
		return fmt.Errorf("read the place: %w", err)
	}
	if len(overlays) > 0 {
		if err := json.Unmarshal(overlays, &s.Overlays); err != nil {
			return fmt.Errorf("read the dialogs of the place: %w", err)
		}
	}
	return nil
}

func (t *tabVars) read(vars, before json.RawMessage, press *string) error {
	if err := json.Unmarshal(vars, &t.Vars); err != nil {
		return fmt.Errorf("read the variables of the tab: %w", err)
	}
	if press == nil {
		return nil
	}
	t.VarsPress = *press
	if err := json.Unmarshal(before, &t.VarsBefore); err != nil {
		return fmt.Errorf("read the variables of the tab: %w", err)
	}
	return nil
}

func (t tabVars) clone() tabVars {
	t.Vars, t.VarsBefore.Tab, t.VarsBefore.Place = maps.Clone(t.Vars), maps.Clone(t.VarsBefore.Tab), maps.Clone(t.VarsBefore.Place)
	return t
}

func (s *Standing) screen() string {
	if s == nil {
		return ""
	}
	return s.Place.Screen
}

// like says whether two standings are the same, but for how long ago they were made.
func (s *Standing) like(other *Standing) bool {
	a, b := *s, *other
	a.Fresh, b.Fresh = false, false
	return reflect.DeepEqual(a, b)
}
