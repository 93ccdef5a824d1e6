package store

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/core/project"
)

// Draft is a project as it is being built: its entities with their versions.
type Draft struct {
	Project  string
	Seq      int64
	Released int // number of the release that all use; 0 for none
	Trial    int // of the one that some use first; 0 for none
	Entities map[string]json.RawMessage
	Versions map[string]int64
}

// ProjectInfo is one line of the list of projects.
type ProjectInfo struct {
	ID, Slug, Title string
	Released        int
	Trial           int // the release that some use first; 0 for none
}

// CreateProject keeps a new project from its entities.
func (s *Store) CreateProject(ctx context.Context, id string, entities map[string]json.RawMessage) error {
	p, err := project.Decode(entities)
	if err != nil {
		return err
	}
	return s.inTx(ctx, "create the project", func(tx pgx.Tx) error { return createProject(ctx, tx, id, p.Settings.Slug, entities) })
}

// ErrSlugTaken means that another application has that address.
var ErrSlugTaken = errors.New("another application has that address")

func createProject(ctx context.Context, tx pgx.Tx, id, slug string, entities map[string]json.RawMessage) error {
	_, err := tx.Exec(ctx, `insert into project (id, slug) values ($1, $2)`, id, slug)
	var pg *pgconn.PgError
	if errors.As(err, &pg) && pg.Code == pgerrcode.UniqueViolation {
		return ErrSlugTaken
	}
	if err != nil {
		return err
	}
	rows := make([][]any, 0, len(entities))
	for entity, body := range entities {
		rows = append(rows, []any{id, entity, kindOf(body), body, int64(0)}) // no edit has that number
	}
	_, err = tx.CopyFrom(ctx, pgx.Identifier{"entity"}, []string{"project", "id", "kind", "body", "version"}, pgx.CopyFromRows(rows))
	return err
}

// MakeProject keeps a new project that begins with its settings alone, and makes all the rest in one edit, which one
// undo takes back. Who makes it builds and administers it, and has the roles that are named. Errors: ErrSlugTaken,
// *project.StructureError.
func (s *Store) MakeProject(ctx context.Context, by, id string, settings json.RawMessage, e Edit, roles []string) error {
	p, err := project.Decode(map[string]json.RawMessage{project.SettingsID: settings})
	if err != nil {
		return err
	}
	return s.inTx(ctx, "make the project", func(tx pgx.Tx) error {
		if err := createProject(ctx, tx, id, p.Settings.Slug, map[string]json.RawMessage{project.SettingsID: settings}); err != nil {
			return err
		}
		e.Project, e.By = id, by
		if len(e.Patch) > 0 {
			if _, err := apply(ctx, tx, e, 0); err != nil {
				return err
			}
		}
		if _, err := tx.Exec(ctx, `insert into project_right (account, project, can) values ($1, $2, 'builds'), ($1, $2, 'administers')`, by, id); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `insert into account_role (account, project, role) select $1, $2, unnest($3::text[])`, by, id, roles); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, id, ProjectMade, p.Settings.Title})
	})
}

func kindOf(body json.RawMessage) string {
	var head struct {
		Kind string `json:"kind"`
	}
	_ = json.Unmarshal(body, &head) // what cannot be read was refused before
	return head.Kind
}

// Projects lists all projects by title.
func (s *Store) Projects(ctx context.Context) ([]ProjectInfo, error) {
	rows, err := s.pool.Query(ctx, `select p.id, p.slug, coalesce(nullif(e.body->>'title', ''), p.slug), coalesce(p.released, 0), coalesce(p.trial, 0) from project p join entity e on e.project = p.id and e.id = $1 order by 3`, project.SettingsID)
	if err != nil {
		return nil, fmt.Errorf("list the projects: %w", err)
	}
	list, err := pgx.CollectRows(rows, pgx.RowToStructByPos[ProjectInfo])
	if err != nil {
		return nil, fmt.Errorf("list the projects: %w", err)
	}
	return list, nil
}

// State is how far a project is.
type State struct {
	Seq      int64
	Released int    // number of the release that all use; 0 for none
	Trial    *Trial // nil where nobody uses another one first
}

// TrialNumber is the number of the release that some use first; 0 for none.
func (s State) TrialNumber() int {
	if s.Trial == nil {
		return 0
	}
	return s.Trial.Number
}

// ProjectState gives how far a project is; ErrNone if there is no such project.
func (s *Store) ProjectState(ctx context.Context, id string) (State, error) {
	var out State
	var trial *int
	var some *Some
	err := s.pool.QueryRow(ctx, `select seq, coalesce(released, 0), trial, trial_for from project where id = $1`, id).Scan(&out.Seq, &out.Released, &trial, &some)
	if err != nil {
		return State{}, fmt.Errorf("find the project: %w", none(err))
	}
	out.Trial = trialOf(trial, some)
	return out, nil
}

// Draft reads a project whole.
func (s *Store) Draft(ctx context.Context, id string) (*Draft, error) {
	return s.DraftSince(ctx, id, nil)
}

// DraftSince reads a project, of an older reading of it only what has changed; that is not changed itself.
func (s *Store) DraftSince(ctx context.Context, id string, old *Draft) (*Draft, error) {
	d := &Draft{Project: id, Entities: map[string]json.RawMessage{}, Versions: map[string]int64{}}
	if old == nil {
		old = &Draft{}
	}
	// One snapshot, so that the entities are those of the sequence number.
	err := s.inTx(ctx, "read the project", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `set transaction isolation level repeatable read read only`); err != nil {
			return err
		}
		if err := tx.QueryRow(ctx, `select seq, coalesce(released, 0), coalesce(trial, 0) from project where id = $1`, id).Scan(&d.Seq, &d.Released, &d.Trial); err != nil {
			return none(err)
		}
		changed, err := d.versions(ctx, tx, old)
		if err != nil || len(changed) == 0 {
			return err
		}
		rows, err := tx.Query(ctx, `select id, body from entity where project = $1 and id = any($2)`, id, changed)
		if err != nil {
			return err
		}
		defer rows.Close()
		for rows.Next() {
			var entity string
			var body json.RawMessage
			if err := rows.Scan(&entity, &body); err != nil {
				return err
			}
			d.Entities[entity] = body
		}
		return rows.Err()
	})
	if err != nil {
		return nil, err
	}
	return d, nil
}

// versions reads the versions of all entities, takes over those bodies that an older reading has
// in the same version, and gives the others' ids.
func (d *Draft) versions(ctx context.Context, tx pgx.Tx, old *Draft) ([]string, error) {
	rows, err := tx.Query(ctx, `select id, version from entity where project = $1`, d.Project)
	if err != nil {
		return nil, err
	}
	defer rows.Close()
	var changed []string
	for rows.Next() {
		var entity string
		var version int64
		if err := rows.Scan(&entity, &version); err != nil {
			return nil, err
		}
		d.Versions[entity] = version
		if body, known := old.Entities[entity]; known && old.Versions[entity] == version {
			d.Entities[entity] = body
		} else {
			changed = append(changed, entity)
		}
	}
	return changed, rows.Err()
}

// AddPicture keeps a picture of a project once, whoever else has it, and gives the digest of its
// bytes: SHA-256 in hexadecimal.
func (s *Store) AddPicture(ctx context.Context, media string, data []byte) (string, error) {
	sum := sha256.Sum256(data)
	digest := hex.EncodeToString(sum[:])
	if _, err := s.pool.Exec(ctx, `insert into picture (digest, media, data) values ($1, $2, $3) on conflict do nothing`, digest, media, data); err != nil {
		return "", fmt.Errorf("keep a picture: %w", err)
	}
	return digest, nil
}

// Picture gives a picture's bytes and media type. ErrNone when there is none of that digest.
func (s *Store) Picture(ctx context.Context, digest string) (media string, data []byte, err error) {
	err = s.pool.QueryRow(ctx, `select media, data from picture where digest = $1`, digest).Scan(&media, &data)
	if errors.Is(err, pgx.ErrNoRows) {
		return "", nil, ErrNone
	}
	if err != nil {
		return "", nil, fmt.Errorf("read a picture: %w", err)
	}
	return media, data, nil
}
