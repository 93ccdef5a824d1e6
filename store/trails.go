package store

import (
	"context"
	"encoding/json"
	"fmt"
	"log/slog"
	"reflect"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/core/place"
	"ambergate/fault"
	"ambergate/store/near"
)

// maxPlaces is how many places a trail keeps; the oldest are forgotten first.
const maxPlaces = 200

// Spot is one place of a trail, with the dialogs and drawers that are open over it, topmost last.
type Spot struct {
	Trail    string
	N        int
	Place    place.Place
	Overlays []place.Overlay
	Title    string
	Made     string    // by what kind of change to a list it was made; "" for any other
	Fresh    bool      // it was made, or changed, within the last two seconds
	MadeAt   time.Time // as the database has it
	Release  int       // that its screen was drawn in last
}

// Trail is the places of one browser tab, and where it stands.
type Trail struct {
	ID      string
	Account string
	Project string
	At      int
	tabVars
}

// maxTrails is how many trails a person has, over all projects; those that were seen last stay.
const maxTrails = 1000

// NewTrail begins a trail without places. Of too many of a person the oldest are forgotten.
func (s *Store) NewTrail(ctx context.Context, t Trail) error {
	_, err := s.pool.Exec(ctx, `with beyond as (delete from trail where id in (select id from trail where account = $2 order by seen_at desc offset $4))
		insert into trail (id, account, project, at) values ($1, $2, $3, 0)`, t.ID, t.Account, t.Project, maxTrails-1)
	if err != nil {
		return fmt.Errorf("begin a trail: %w", err)
	}
	return nil
}

// TrailOf gives a trail if it is this person's and of this project; ErrNone otherwise.
func (s *Store) TrailOf(ctx context.Context, id, account, projectID string) (Trail, error) {
	if id == "" {
		return Trail{}, fmt.Errorf("find the trail: %w", ErrNone)
	}
	t := Trail{ID: id, Account: account, Project: projectID}
	var vars, before json.RawMessage
	var press *string
	err := s.pool.QueryRow(ctx, `select at, vars, vars_before, vars_press from trail where id = $1 and account = $2 and project = $3`, id, account, projectID).Scan(&t.At, &vars, &before, &press)
	if err != nil {
		return Trail{}, fmt.Errorf("find the trail: %w", none(err))
	}
	return t, t.read(vars, before, press)
}

// Append adds a place after another (0 for the first), forgetting what lay ahead of it, and
// gives its number. A press that was appended before gives the number it got then.
func (s *Store) Append(ctx context.Context, trail string, after int, spot Spot, press string) (int, error) {
	fault.At(fault.TrailAppending)
	var n int
	var put bool
	place, overlays := mustJSON(spot.Place), overlaysJSON(spot.Overlays)
	err := s.near.Write(trail, func() error {
		return s.pool.QueryRow(ctx, appendPlace, trail, after+1, place, overlays, spot.Title, press, maxPlaces, spot.Made, spot.Release).Scan(&n, &put)
	}, func(was map[int]near.Near) map[int]near.Near {
		if !put {
			return nil
		}
		next := near.Place{N: n, Title: spot.Title, Made: spot.Made, Place: place, Release: spot.Release}
		next.Overlays, _ = overlays.(json.RawMessage)
		return near.Appended(was, next)
	})
	if err != nil {
		return 0, fmt.Errorf("add to the trail: %w", err)
	}
	fault.At(fault.TrailAppended)
	return n, nil
}

// seenNow notes when a trail was seen last, to the minute: an index stands on it, and a row in which nothing changes that
// any index has is written without touching one.
const seenNow = `seen_at = case when seen_at < now() - interval '1 minute' then now() else seen_at end`

// appendPlace does all of it in one round trip, and nothing when the press is known. What lies ahead, and what is too old,
// is found by two ranges of the index: asked for together, all places of the trail would be gone through.
const appendPlace = `with
	known as (select n from place where trail = $1 and press = nullif($6::text, '')),
	ahead as (delete from place where trail = $1 and n > $2 and not exists (select from known)),
	old as (delete from place where trail = $1 and n < $2 - $7 and not exists (select from known)),
	put as (insert into place (trail, n, place, overlays, title, press, made, release)
		select $1, $2, $3::jsonb, $4::jsonb, $5, nullif($6::text, ''), $8, $9 where not exists (select from known)
		on conflict (trail, n) do update set place = excluded.place, overlays = excluded.overlays, title = excluded.title, press = excluded.press, made = excluded.made, release = excluded.release, made_at = now()
		returning n),
	moved as (update trail set at = $2, ` + seenNow + ` where id = $1 and not exists (select from known))
	select coalesce((select n from known), (select n from put)), exists (select from put)`

// Change puts another place, other overlays or another title in the stead of one on a trail.
func (s *Store) Change(ctx context.Context, spot Spot) error {
	err := s.writeTrail(ctx, spot.Trail, `update place set place = $3, overlays = $4, title = $5, release = $6, made_at = now() where trail = $1 and n = $2`, spot.N, mustJSON(spot.Place), overlaysJSON(spot.Overlays), spot.Title, spot.Release)
	if err != nil {
		return fmt.Errorf("change the place: %w", err)
	}
	return nil
}

// writeTrail changes something of a trail, whose id is the first argument: what is kept of it is read anew.
func (s *Store) writeTrail(ctx context.Context, trail, sql string, args ...any) error {
	return s.near.Write(trail, func() error {
		_, err := s.pool.Exec(ctx, sql, append([]any{trail}, args...)...)
		return err
	}, nil)
}

// Stand notes where on its trail a tab stands.
func (s *Store) Stand(ctx context.Context, trail string, n int) error {
	err := s.near.Write(trail, func() error {
		_, err := s.pool.Exec(ctx, `update trail set at = $2, `+seenNow+` where id = $1 and at <> $2`, trail, n)
		return err
	}, func(was map[int]near.Near) map[int]near.Near { return near.Stood(was, n) })
	if err != nil {
		return fmt.Errorf("move along the trail: %w", err)
	}
	return nil
}

// Load reads a place of a trail of one person in one project with the titles of its neighbours, and
// where the trail stands, in one query, or in none where it is kept; ErrNone if there is no such place for this person.
func (s *Store) Load(ctx context.Context, trail string, n int, account, projectID string) (*Standing, error) {
	of := near.Owner{Account: account, Project: projectID}
	if found, ok := s.near.Find(trail, n, of); ok {
		s.doubt(ctx, trail, n, of, found)
		return standing(trail, n, found)
	}
	keep := s.near.Read(trail)
	found, err := s.readNear(ctx, trail, n, of)
	if err != nil {
		return nil, err
	}
	at, err := standing(trail, n, found)
	if err == nil {
		keep(n, of, found)
	}
	return at, err
}

func (s *Store) readNear(ctx context.Context, trail string, n int, of near.Owner) (near.Near, error) {
	found := near.Near{Read: time.Now()}
	// As rows, where Visit has to have it as one value beside others: it is asked for all the time, and putting JSON together
	// takes the database longer than finding it.
	rows, err := s.pool.Query(ctx, `select t.at, t.vars, t.vars_before, t.vars_press, pl.n, pl.title, case when pl.n = $2 then pl.place end, case when pl.n = $2 then pl.overlays end, pl.made, pl.release, extract(epoch from now() - pl.made_at)::float8
		from trail t join place pl on pl.trail = t.id and pl.n between $2::int - 1 and $2::int + 1
		where t.id = $1 and t.account = $3 and t.project = $4`, trail, n, of.Account, of.Project)
	if err != nil {
		return found, fmt.Errorf("find the place: %w", err)
	}
	defer rows.Close()
	for rows.Next() {
		var p near.Place
		if err := rows.Scan(&found.At, &found.Vars, &found.Before, &found.Press, &p.N, &p.Title, &p.Place, &p.Overlays, &p.Made, &p.Release, &p.Age); err != nil {
			return found, fmt.Errorf("read the place: %w", err)
		}
		found.Places = append(found.Places, p)
	}
	if err := rows.Err(); err != nil {
		return found, fmt.Errorf("find the place: %w", err)
	}
	return found, nil
}

// doubtEvery is how many places are believed until one is compared with how it is.
const doubtEvery = 500

// Doubt sets that number.
func (s *Store) Doubt(every int) { s.every.Store(int64(every)) }

// Believed is how many places were believed without asking for them.
func (s *Store) Believed() int64 { return s.believed.Load() }

// Wrong says how a place that was believed differed from how it is; "" for not at all.
func (s *Store) Wrong() string {
	wrong, _ := s.wrong.Load().(string)
	return wrong
}

// doubt compares a place that is believed with how it is, now and then. One that was written meanwhile says nothing. After
// the first that differs nothing is believed any more.
func (s *Store) doubt(ctx context.Context, trail string, n int, of near.Owner, found near.Near) {
	if s.believed.Add(1)%s.every.Load() != 0 {
		return
	}
	is, err := s.readNear(ctx, trail, n, of)
	believed, wrong := standing(trail, n, found)
	right, none := standing(trail, n, is)
	if err != nil || wrong == nil && none == nil && believed.like(right) {
		return
	}
	if again, still := s.near.Find(trail, n, of); still && reflect.DeepEqual(again, found) {
		s.near.End()
		s.wrong.Store(fmt.Sprintf("place %d of %s is %+v, and %+v was believed", n, trail, right, believed))
		slog.ErrorContext(ctx, "a place that was believed differs from how it is; none is believed any more", "screen", right.screen(), "believed", believed.screen())
	}
}

func overlaysJSON(o []place.Overlay) any {
	if len(o) == 0 {
		return nil
	}
	return mustJSON(o)
}

// KeepLook notes how the lists of a place were left; of the screen itself at depth 0, else of a dialog over it.
func (s *Store) KeepLook(ctx context.Context, trail string, n, depth int, look map[string]place.Look) error {
	sql, args := `update place set place = jsonb_set(place, '{look}', $3) where trail = $1 and n = $2`, []any{n, mustJSON(look)}
	if depth > 0 {
		sql, args = `update place set overlays = jsonb_set(overlays, array[$4::text, 'place', 'look'], $3) where trail = $1 and n = $2 and jsonb_array_length(overlays) > $4::int`, append(args, depth-1)
	}
	if err := s.writeTrail(ctx, trail, sql, args...); err != nil {
		return fmt.Errorf("keep how lists were left: %w", err)
	}
	return nil
}

// Before gives the places of a trail up to a number, nearest first.
func (s *Store) Before(ctx context.Context, trail string, n, limit int) ([]Spot, error) {
	return s.spots(ctx, `select n, place, title, made_at from place where trail = $1 and n <= $2 order by n desc limit $3`, trail, n, limit)
}

// Places gives all places of a trail of one person in one project, oldest first, without dialogs.
func (s *Store) Places(ctx context.Context, trail, account, projectID string) ([]Spot, error) {
	return s.spots(ctx, `select p.n, p.place, p.title, p.made_at from place p join trail t on t.id = p.trail where t.id = $1 and t.account = $2 and t.project = $3 order by p.n`, trail, account, projectID)
}

func (s *Store) spots(ctx context.Context, sql string, args ...any) ([]Spot, error) {
	rows, err := s.pool.Query(ctx, sql, args...)
	if err != nil {
		return nil, fmt.Errorf("read the trail: %w", err)
	}
	out, err := pgx.CollectRows(rows, func(row pgx.CollectableRow) (Spot, error) {
		var spot Spot
		var place json.RawMessage
		if err := row.Scan(&spot.N, &place, &spot.Title, &spot.MadeAt); err != nil {
			return spot, err
		}
		return spot, spot.read(place, nil)
	})
	if err != nil {
		return nil, fmt.Errorf("read the trail: %w", err)
	}
	return out, nil
}

// Fork copies a trail up to where a duplicated tab stands: from there the two go their own ways.
// ErrNone if it is not this person's.
func (s *Store) Fork(ctx context.Context, fork, trail, account, projectID string) error {
	tag, err := s.pool.Exec(ctx, `with made as (insert into trail (id, account, project, at, vars) select $1, account, project, at, vars from trail where id = $2 and account = $3 and project = $4 returning id),
		copied as (insert into place (trail, n, place, overlays, title, made, made_at, release) select $1, n, place, overlays, title, made, made_at, release from place where trail = $2 and exists (select from made))
		select from made`, fork, trail, account, projectID)
	if err != nil {
		return fmt.Errorf("fork the trail: %w", err)
	}
	if tag.RowsAffected() == 0 {
		return fmt.Errorf("fork the trail: %w", ErrNone)
	}
	return nil
}

// Kept is what a tab keeps in variables: those of the project, and those of one place's screen.
// Both by id, as the wire writes them.
type Kept struct {
	Tab   map[string]string `json:"tab,omitempty"`
	Place map[string]string `json:"place,omitempty"`
}

// tabVars is a tab's variables with what they were before the press that set them last.
type tabVars struct {
	Vars       map[string]string
	VarsPress  string // that press; "" for none
	VarsBefore Kept
}

// SetVars gives a tab other values of its project's variables, by a press. The same press again
// sets the same, and leaves what was before it.
func (s *Store) SetVars(ctx context.Context, trail, press string, vars map[string]string, before Kept) error {
	err := s.writeTrail(ctx, trail, `update trail set vars = $2, vars_before = case when vars_press = $3 then vars_before else $4::jsonb end, vars_press = $3 where id = $1`, mustJSON(vars), press, mustJSON(before))
	if err != nil {
		return fmt.Errorf("set the variables of the tab: %w", err)
	}
	return nil
}
