package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/fault"
)

// Edit is what a builder asks to change.
type Edit struct {
	Project  string
	By       string // account
	Request  string // made by who sends it: the same edit sent again is found; "" for none
	Patch    []patch.Op
	Versions map[string]int64 // of entities, as the patch was made on them; may name only some
}

// Applied is an edit that was made.
type Applied struct {
	Seq      int64
	Touched  []string
	Versions map[string]int64 // 0 for an entity that is gone
}

// StaleEdit means that somebody else changed the same thing meanwhile.
type StaleEdit struct {
	Entity string
	By     string
	At     time.Time
}

// Error says who changed it and when.
func (e *StaleEdit) Error() string {
	if e.By == "" {
		return "this was changed meanwhile"
	}
	return fmt.Sprintf("%s changed this at %s", e.By, e.At.Format("15:04"))
}

// ErrNothing means that there is nothing of one's own to undo or redo.
var ErrNothing = errors.New("nothing to take back")

// Edit makes a patch atomically: all of it or nothing. Errors: *StaleEdit, *project.PatchError,
// *project.StructureError.
func (s *Store) Edit(ctx context.Context, e Edit) (Applied, error) {
	var done Applied
	err := s.inTx(ctx, "edit the project", func(tx pgx.Tx) error {
		var err error
		done, err = apply(ctx, tx, e, 0)
		return err
	})
	fault.At(fault.EditCommitted)
	return done, err
}

// Undo takes back the newest own edit whose tests still hold.
func (s *Store) Undo(ctx context.Context, id, by, request string) (Applied, error) {
	return s.takeBack(ctx, Edit{Project: id, By: by, Request: request}, `undoes is null`, true)
}

// redoable says of an edit that it undid another, and that nothing else was edited by the same builder since.
const redoable = `undoes is not null and not exists (select 1 from edit n where n.project = edit.project and n.by = edit.by and n.seq > edit.seq and n.undoes is null and n.undone is null and not exists (select 1 from edit u where u.project = n.project and u.undone = n.seq))`

// Redo makes the edit again that was undone last, unless something else was edited since.
func (s *Store) Redo(ctx context.Context, id, by, request string) (Applied, error) {
	return s.takeBack(ctx, Edit{Project: id, By: by, Request: request}, redoable, false)
}

// takenBack is how many own edits are looked at for one whose tests still hold.
const takenBack = 50

// takeBack applies the inverse of the newest of some own edits; where somebody else has changed the same since, of
// the next older one that can be taken back.
func (s *Store) takeBack(ctx context.Context, e Edit, which string, isUndo bool) (Applied, error) {
	var done Applied
	err := s.inTx(ctx, "take back the edit", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `select 1 from project where id = $1 for no key update`, e.Project); err != nil {
			return err
		}
		var found bool
		var err error
		if done, found, err = sentBefore(ctx, tx, e); found || err != nil {
			return err
		}
		rows, err := tx.Query(ctx, `select seq, inverse from edit where project = $1 and by = $2 and undone is null and `+which+` order by seq desc limit $3`, e.Project, e.By, takenBack)
		if err != nil {
			return err
		}
		own, err := pgx.CollectRows(rows, pgx.RowToStructByPos[struct {
			Seq     int64
			Inverse []patch.Op
		}])
		if err != nil {
			return err
		}
		first := error(ErrNothing)
		for n, edit := range own {
			of := e
			of.Patch = edit.Inverse
			undoes := int64(0)
			if isUndo {
				undoes = edit.Seq
			}
			err := pgx.BeginFunc(ctx, tx, func(part pgx.Tx) (err error) {
				if done, err = apply(ctx, part, of, undoes); err != nil {
					return err
				}
				_, err = part.Exec(ctx, `update edit set undone = $3 where project = $1 and seq = $2`, e.Project, edit.Seq, done.Seq)
				return err
			})
			var stale *StaleEdit
			if err == nil || !errors.As(err, &stale) {
				return err
			}
			if n == 0 {
				first = err
			}
		}
		return first
	})
	return done, err
}

// sentBefore finds an edit that was sent with the same id; its versions are those of now.
func sentBefore(ctx context.Context, tx pgx.Tx, e Edit) (done Applied, found bool, err error) {
	if e.Request == "" {
		return Applied{}, false, nil
	}
	err = tx.QueryRow(ctx, `select seq, touched from edit where project = $1 and by = $2 and request = $3`, e.Project, e.By, e.Request).Scan(&done.Seq, &done.Touched)
	if errors.Is(err, pgx.ErrNoRows) {
		return Applied{}, false, nil
	}
	if err != nil {
		return Applied{}, false, err
	}
	done.Versions = map[string]int64{}
	for _, id := range done.Touched {
		done.Versions[id] = 0
	}
	rows, err := tx.Query(ctx, `select id, version from entity where project = $1 and id = any($2)`, e.Project, done.Touched)
	if err != nil {
		return Applied{}, false, err
	}
	var id string
	var version int64
	_, err = pgx.ForEachRow(rows, []any{&id, &version}, func() error {
		done.Versions[id] = version
		return nil
	})
	return done, err == nil, err
}

func apply(ctx context.Context, tx pgx.Tx, e Edit, undoes int64) (Applied, error) {
	fault.At(fault.EditBegun)
	var seq int64
	if err := tx.QueryRow(ctx, `select seq from project where id = $1 for no key update`, e.Project).Scan(&seq); err != nil {
		return Applied{}, none(err)
	}
	if done, found, err := sentBefore(ctx, tx, e); found || err != nil {
		return done, err
	}
	bodies, versions, err := loadTouched(ctx, tx, e)
	if err != nil {
		return Applied{}, err
	}
	for entity, version := range e.Versions {
		if versions[entity] != version {
			return Applied{}, whoChanged(ctx, tx, e.Project, entity)
		}
	}
	touched, inverse, err := patch.Apply(bodies, e.Patch)
	var wrong *patch.Error
	if errors.As(err, &wrong) && wrong.Stale {
		return Applied{}, whoChanged(ctx, tx, e.Project, patch.Op{Path: wrong.Path}.Entity())
	}
	if err != nil {
		return Applied{}, err
	}
	seq++
	done := Applied{Seq: seq, Touched: touched.IDs(), Versions: map[string]int64{}}
	for _, id := range done.Touched {
		if err := keepEntity(ctx, tx, e.Project, id, touched[id], seq); err != nil {
			return Applied{}, err
		}
		if touched[id] != nil {
			done.Versions[id] = seq
		} else {
			done.Versions[id] = 0
		}
	}
	_, err = tx.Exec(ctx, `insert into edit (project, seq, by, patch, inverse, touched, undoes, request) values ($1, $2, $3, $4, $5, $6, nullif($7::bigint, 0), nullif($8, ''))`,
		e.Project, seq, e.By, mustJSON(e.Patch), mustJSON(inverse), done.Touched, undoes, e.Request)
	if err != nil {
		return Applied{}, err
	}
	_, err = tx.Exec(ctx, `update project set seq = $2 where id = $1`, e.Project, seq)
	fault.At(fault.EditWritten)
	return done, err
}

func loadTouched(ctx context.Context, tx pgx.Tx, e Edit) (patch.Bodies, map[string]int64, error) {
	ids := map[string]bool{}
	for _, op := range e.Patch {
		ids[op.Entity()] = true
	}
	for id := range e.Versions {
		ids[id] = true
	}
	list := make([]string, 0, len(ids))
	for id := range ids {
		list = append(list, id)
	}
	rows, err := tx.Query(ctx, `select id, body, version from entity where project = $1 and id = any($2)`, e.Project, list)
	if err != nil {
		return nil, nil, err
	}
	defer rows.Close()
	bodies, versions := patch.Bodies{}, map[string]int64{}
	for rows.Next() {
		var id string
		var body any
		var version int64
		if err := rows.Scan(&id, &body, &version); err != nil {
			return nil, nil, err
		}
		bodies[id], versions[id] = body, version
	}
	return bodies, versions, rows.Err()
}

// keepEntity writes, changes or removes one entity. Its version is the sequence number of the edit:
// a number that was never used for it before, even when it is made again after a removal.
func keepEntity(ctx context.Context, tx pgx.Tx, projectID, id string, body any, seq int64) error {
	if body == nil && id == project.SettingsID {
		return &project.StructureError{Entity: id, Reason: "the settings of the project cannot be removed"}
	}
	if body == nil {
		_, err := tx.Exec(ctx, `delete from entity where project = $1 and id = $2`, projectID, id)
		return err
	}
	text := mustJSON(body)
	if err := project.CheckEntity(id, text); err != nil {
		return err
	}
	_, err := tx.Exec(ctx, `insert into entity (project, id, kind, body, version) values ($1, $2, $3, $4, $5)
		on conflict (project, id) do update set kind = excluded.kind, body = excluded.body, version = excluded.version`, projectID, id, kindOf(text), text, seq)
	return err
}

func whoChanged(ctx context.Context, tx pgx.Tx, projectID, entity string) error {
	stale := &StaleEdit{Entity: entity}
	err := tx.QueryRow(ctx, `select coalesce(a.name, e.by), e.at from edit e left join account a on a.id = e.by where e.project = $1 and $2 = any(e.touched) order by e.seq desc limit 1`, projectID, entity).Scan(&stale.By, &stale.At)
	if err != nil && !errors.Is(err, pgx.ErrNoRows) {
		return err
	}
	return stale
}

// mustJSON writes what came from JSON, which cannot fail.
func mustJSON(v any) json.RawMessage {
	text, err := json.Marshal(v)
	if err != nil {
		panic(fmt.Sprintf("a decoded JSON value does not encode: %v", err))
	}
	return text
}

// History says what of one's own can be taken back, and how much was edited since the release.
type History struct {
	Undo, Redo bool
	Changes    int
	Released   int64 // the number of the last edit that is in the release; 0 for none
}

// History reads a builder's history of edits in a project.
func (s *Store) History(ctx context.Context, id, by string) (History, error) {
	var h History
	err := s.pool.QueryRow(ctx, `select
		exists (select 1 from edit where project = $1 and by = $2 and undone is null and undoes is null),
		exists (select 1 from edit where project = $1 and by = $2 and undone is null and `+redoable+`),
		-- What was undone within the same time is no change; an undoing of what is in the release is one,
		-- until it is made again.
		(select count(*) from edit e where e.project = p.id and e.undone is null and e.seq > last.seq and (e.undoes is null or e.undoes <= last.seq)
			and not exists (select 1 from edit x where x.project = p.id and x.undone = e.seq and x.seq > last.seq and x.undoes <= last.seq)),
		last.seq
		from project p, lateral (select coalesce((select seq from release r where r.project = p.id and r.number = coalesce(p.trial, p.released)), 0) as seq) last where p.id = $1`, id, by).Scan(&h.Undo, &h.Redo, &h.Changes, &h.Released)
	if err != nil {
		return History{}, fmt.Errorf("read the history: %w", none(err))
	}
	return h, nil
}

// LastEdit gives what takes back the newest edit of a builder that stands still; nil where there is none.
func (s *Store) LastEdit(ctx context.Context, project, by string) ([]patch.Op, error) {
	var inverse []patch.Op
	err := s.pool.QueryRow(ctx, `select inverse from edit where project = $1 and by = $2 and undone is null and undoes is null order by seq desc limit 1`, project, by).Scan(&inverse)
	if errors.Is(err, pgx.ErrNoRows) {
		return nil, nil
	}
	if err != nil {
		return nil, fmt.Errorf("read the last edit: %w", err)
	}
	return inverse, nil
}
