package store_test

import (
	"encoding/json"
	"os"
	"strings"
	"testing"

	"github.com/jackc/pgx/v5"
)

// Documents that were written before days had functions of their own are read by the words of now:
// what is being built, what was released, and what takes an edit back.
func TestDaysAreRewrittenInKeptDocuments(t *testing.T) {
	dsn := up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate")
	conn, err := pgx.Connect(ctx, dsn)
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(ctx)
	id := newProject(t, "p_days")
	was := `{"kind":"condition","pos":1,"name":"old","alias":"old","table":"t_x","text":"record.f_due <= today() - days(7) && record.f_due > today()+days( 30 ) || now - record.f_at > days(2) && record.f_s == \"days(of old)\""}`
	want := `record.f_due <= daysAgo(7) && record.f_due > daysFromNow(30) || now - record.f_at > duration("48h") && record.f_s == "days(of old)"`
	for _, sql := range []string{
		`insert into entity (project, id, kind, body, version) values ($1, 'c_old', 'condition', $2::jsonb, 1)`,
		`insert into release (project, number, document, seq, by) values ($1, 1, jsonb_build_object('c_old', $2::jsonb), 1, 'a_arno')`,
		`insert into edit (project, seq, by, patch, inverse, touched) values ($1, 1, 'a_arno', jsonb_build_array($2::jsonb), jsonb_build_array($2::jsonb), '{c_old}')`,
	} {
		if _, err := conn.Exec(ctx, sql, id, was); err != nil {
			t.Fatal(err)
		}
	}
	text, err := os.ReadFile("migrations/00006_days.sql")
	if err != nil {
		t.Fatal(err)
	}
	steps, _, _ := strings.Cut(string(text), "-- +goose Down")
	if _, err := conn.PgConn().Exec(ctx, steps).ReadAll(); err != nil {
		t.Fatal(err)
	}
	for what, sql := range map[string]string{
		"the draft":   `select body from entity where project = $1 and id = 'c_old'`,
		"the release": `select document -> 'c_old' from release where project = $1`,
		"the edit":    `select patch -> 0 from edit where project = $1`,
		"its inverse": `select inverse -> 0 from edit where project = $1`,
	} {
		var body json.RawMessage
		if err := conn.QueryRow(ctx, sql, id).Scan(&body); err != nil {
			t.Fatalf("%s: %v", what, err)
		}
		var read struct{ Text string }
		if err := json.Unmarshal(body, &read); err != nil || read.Text != want {
			t.Errorf("%s says %s, want %s", what, read.Text, want)
		}
	}
}
