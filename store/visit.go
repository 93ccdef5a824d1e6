package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"time"

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
