// Package demo is Tarnhorn Ropeway: schema, generated data, projects and people. All invented.
package demo

import (
	"context"
	"crypto/sha256"
	"embed"
	"encoding/hex"
	"encoding/json"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"

	_ "ambergate/core/kinds"
	"ambergate/core/project"
)

//go:embed schema/*.sql project/*.json pictures/*.svg
var files embed.FS

// Person is somebody who can sign in to the demo. The password is the sign-in name.
type Person struct {
	ID, Login, Name string
	Builder         bool
	Roles           map[string][]string // by project id
	Does            string              // one line for the list that the demo prints
}

// The ids of the demo's projects: the ropeway, and the stores that its parts are ordered from.
const (
	ProjectID = "p_tarnhorn"
	StoresID  = "p_stores"
)

// Projects are the files of the demo's projects, by id.
var Projects = map[string]string{ProjectID: "tarnhorn.json", StoresID: "stores.json"}

// People can sign in to the demo.
var People = []Person{
	{ID: "a_mira", Login: "mira", Name: "Mira Holt", Roles: map[string][]string{ProjectID: {"r_tech"}, StoresID: {"r_shop"}}, Does: "technician: workshop board, defects, cabins"},
	{ID: "a_sela", Login: "sela", Name: "Sela Brandt", Roles: map[string][]string{ProjectID: {"r_lead"}, StoresID: {"r_shop"}}, Does: "shift lead: everything the technicians see, and more"},
	{ID: "a_jon", Login: "jon", Name: "Jon Abeke", Roles: map[string][]string{ProjectID: {"r_oper"}}, Does: "drive operator: the drive rooms"},
	{ID: "a_ilse", Login: "ilse", Name: "Ilse Frey", Roles: map[string][]string{ProjectID: {"r_tech", "r_oper"}}, Does: "technician and operator: two roles that add up"},
	{ID: "a_priya", Login: "priya", Name: "Priya Oduya", Roles: map[string][]string{ProjectID: {"r_office"}, StoresID: {"r_buyer"}}, Does: "office: looks, does not change; buys the parts"},
	{ID: "a_arno", Login: "arno", Name: "Arno Vey", Builder: true, Roles: map[string][]string{ProjectID: {"r_builder"}, StoresID: {"r_builder"}}, Does: "builder: makes the applications"},
}

// Runs is who runs the program of the demo: people, connections and new applications. She has no role in any.
var Runs = Person{ID: "a_nora", Login: "nora", Name: "Nora Lind", Does: "runs the program: people, connections, new applications"}

// Hall is the visitors' display of the demo: a role without a person.
const Hall = "d_hall"

// Project gives the ropeway's project as entities by id.
func Project() (map[string]json.RawMessage, error) { return Entities(ProjectID) }

// Entities gives one of the demo's projects as entities by id.
func Entities(id string) (map[string]json.RawMessage, error) {
	text, err := files.ReadFile("project/" + Projects[id])
	if err != nil {
		return nil, fmt.Errorf("read the demo's project: %w", err)
	}
	var document struct {
		Format   int                        `json:"format"`
		Entities map[string]json.RawMessage `json:"entities"`
	}
	if err := json.Unmarshal(text, &document); err != nil {
		return nil, fmt.Errorf("read the demo's project: %w", err)
	}
	return document.Entities, nil
}

// Decoded gives the ropeway's project as a document.
func Decoded() (*project.Project, error) {
	entities, err := Project()
	if err != nil {
		return nil, err
	}
	return project.Decode(entities)
}

// Pictures are those that the demo's projects show, by file.
var Pictures = []string{"grip-gauge.svg", "line.svg"}

// Picture gives a picture of the demo's projects by its file.
func Picture(name string) ([]byte, error) { return files.ReadFile("pictures/" + name) }

// PictureOf gives the one with a digest (SHA-256, in hexadecimal).
func PictureOf(digest string) ([]byte, error) {
	for _, name := range Pictures {
		data, err := Picture(name)
		if err != nil {
			return nil, fmt.Errorf("read a picture of the demo: %w", err)
		}
		if sum := sha256.Sum256(data); hex.EncodeToString(sum[:]) == digest {
			return data, nil
		}
	}
	return nil, fmt.Errorf("the demo has no picture with the digest %s", digest)
}

// Role and database of the record source. The role may change data, not structure, and
// knows nothing of the program's own database.
const (
	Database = "tarnhorn"
	AppRole  = "tarnhorn_app"
)

// Load makes the schemas in an empty database and fills them around a day. dsn must be that
// of an administrator; password is given to the role that the program will use.
func Load(ctx context.Context, dsn, password string, today time.Time) error {
	conn, err := pgx.Connect(ctx, dsn)
	if err != nil {
		return fmt.Errorf("connect to load the demo: %w", err)
	}
	defer conn.Close(ctx)
	tx, err := conn.Begin(ctx)
	if err != nil {
		return fmt.Errorf("begin to load the demo: %w", err)
	}
	defer func() { _ = tx.Rollback(ctx) }() // after a commit this does nothing
	for _, name := range []string{"tarnhorn.sql", "stores.sql", "press.sql"} {
		sql, err := files.ReadFile("schema/" + name)
		if err != nil {
			return fmt.Errorf("read %s: %w", name, err)
		}
		if _, err := tx.Exec(ctx, string(sql)); err != nil {
			return fmt.Errorf("run %s: %w", name, err)
		}
	}
	if err := LoadData(ctx, tx, today); err != nil {
		return err
	}
	for _, sql := range []string{
		fmt.Sprintf(`do $$ begin if not exists (select from pg_roles where rolname = '%s') then create role %s login; end if; end $$`, AppRole, AppRole),
		fmt.Sprintf(`alter role %s password '%s'`, AppRole, password),
		fmt.Sprintf(`grant usage on schema tarnhorn, stores, ambergate to %s`, AppRole),
		fmt.Sprintf(`grant select, insert, update, delete on all tables in schema tarnhorn, stores to %s`, AppRole),
		fmt.Sprintf(`grant select, insert, update, delete on all tables in schema ambergate to %s`, AppRole),
		`analyze`,
	} {
		if _, err := tx.Exec(ctx, sql); err != nil {
			return fmt.Errorf("grant the demo's rights: %w", err)
		}
	}
	if err := tx.Commit(ctx); err != nil {
		return fmt.Errorf("keep the demo: %w", err)
	}
	return nil
}
