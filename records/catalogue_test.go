package records_test

import (
	"fmt"
	"os"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/catalogue"
	"ambergate/core/check"
	"ambergate/core/checks"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/propose"
)

// works makes a database with every oddity, for the length of a test.
func works(t *testing.T) *catalogue.Database {
	t.Helper()
	sql, err := os.ReadFile("testdata/works.sql")
	if err != nil {
		t.Fatal(err)
	}
	if err := up.Exec(string(sql)); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		if err := up.Exec(`drop schema works, "Groß und klein" cascade`); err != nil {
			t.Error(err)
		}
	})
	d, err := up.Records.Catalogue(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	return d
}

func TestTheStructureIsReadWhole(t *testing.T) {
	d := works(t)
	if d.Name != "tarnhorn" || d.Find("works", "readings_2026") != nil || d.Find("ambergate", "press") != nil || d.Find("pg_catalog", "pg_class") != nil {
		t.Error("it has what belongs to the database or to this program")
	}
	machines := d.Find("works", "machines")
	for at, want := range map[string]any{
		"comment": "Machines", "key": []string{"id"}, "unique": [][]string{{"code"}}, "indexes": [][]string{{"id"}, {"code"}, {"site_id", "state"}}, "foreign keys": 3,
		"checks": []string{`CHECK (state = ANY (ARRAY['running'::text, 'standing'::text, 'in repair'::text]))`},
	} {
		got := map[string]any{"comment": machines.Comment, "key": machines.Primary, "unique": machines.Unique, "indexes": machines.Indexes, "foreign keys": len(machines.Foreign), "checks": machines.Checks}[at]
		if fmt.Sprint(got) != fmt.Sprint(want) {
			t.Errorf("%s: %v, want %v", at, got, want)
		}
	}
	for name, want := range map[string]string{
		"id": "uuid uuid  !=gen_random_uuid()", "code": "works.short_code varchar short_code ! 8", "colour": "works.colour colour  [red green dark blue]", "grade": "works.grade int4 grade ", "power_kw": "numeric(38,12) numeric   12 Power (kW)",
		"doubled": "numeric numeric  generated", "tags": "text[] _text  array", "Größe": "real float4  ", "state": "text text  !='running'::text",
	} {
		c := machines.Column(name)
		got := c.Type + " " + c.Base + " " + c.Domain + " "
		if c.NotNull {
			got += "!"
		}
		if c.Generated {
			got += "generated"
		} else if c.Default != "" {
			got += "=" + c.Default
		}
		if c.Array {
			got += "array"
		}
		if len(c.Enum) > 0 {
			got += fmt.Sprint(c.Enum)
		}
		if c.Length+c.Scale > 0 {
			got += fmt.Sprintf(" %d", c.Length+c.Scale)
		}
		if c.Comment != "" {
			got += " " + c.Comment
		}
		if strings.Join(strings.Fields(got), " ") != strings.Join(strings.Fields(want), " ") {
			t.Errorf("%s is %q, want %q", name, got, want)
		}
	}
	if c := machines.Column("grade"); len(c.Checks) != 1 || !strings.Contains(c.Checks[0], "VALUE >= 1") {
		t.Errorf("the domain's conditions: %q", c.Checks)
	}
	for name, want := range map[string]string{
		"works.readings": "partitioned select insert update delete", "works.counts": "materialised select insert update delete", "works.open_machines": "view select insert update delete", "works.secrets": "table select update", "works.forbidden": "table", "works.locked": "table select insert update delete rows",
		"Groß und klein.Order": "table select insert update delete",
	} {
		schema, table, _ := strings.Cut(name, ".")
		one := d.Find(schema, table)
		got := one.Kind
		for _, may := range []struct {
			is   bool
			what string
		}{{one.Select, "select"}, {one.Insert, "insert"}, {one.Update, "update"}, {one.Delete, "delete"}, {one.RowSecurity, "rows"}} {
			if may.is {
				got += " " + may.what
			}
		}
		if got != want {
			t.Errorf("%s is %s, want %s", name, got, want)
		}
	}
	if s := d.Find("works", "secrets"); s.Column("hidden").Select || !s.Column("what").Change || s.Column("id").Change {
		t.Error("rights on columns are not read")
	}
	if n := len(d.Find("works", "wide").Columns); n != 200 {
		t.Errorf("%d columns", n)
	}
	if f := d.Find("works", "read_notes").Foreign; len(f) != 1 || fmt.Sprint(f[0].Columns, f[0].Table, f[0].To) != "[machine at]readings[machine at]" {
		t.Errorf("%+v", f)
	}
}

// What is proposed of such a database can be released, and each of its screens reads what it shows.
func TestOddDatabasesBecomeApplications(t *testing.T) {
	d := works(t)
	w := propose.Wish{Title: "Works", Connection: "tarnhorn"}
	for _, one := range d.Tables {
		if one.Schema == "works" || one.Schema == "Groß und klein" {
			w.Tables = append(w.Tables, propose.TableWish{Schema: one.Schema, Name: one.Name})
		}
	}
	a, err := propose.Propose(d, w)
	if err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(a.Entities)
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	for _, f := range checks.All.Run(app) {
		if f.Severity != check.Note {
			t.Errorf("finding: %+v", f)
		}
	}
	for id := range p.Sources {
		if missing, err := up.Records.Missing(t.Context(), p, id); err != nil || len(missing) > 0 {
			t.Errorf("%v, %v", missing, err)
		}
	}
	r := up.Records.Reader(p)
	for _, table := range p.Tables {
		var paths []string
		for field := range table.Fields {
			paths = append(paths, field)
		}
		if _, err := r.Fetch(t.Context(), ask.Query{Rights: ask.EveryRow, Table: table, Paths: paths, Limit: 5}); err != nil {
			t.Errorf("%s cannot be read: %v", table.Relation, err)
		}
	}
}
