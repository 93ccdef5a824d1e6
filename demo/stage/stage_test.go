package stage_test

import (
	"context"
	"testing"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/checks"
	"ambergate/core/plan"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/demo/stage/stagetest"
)

var up *stage.Stage

func TestMain(m *testing.M) { stagetest.Main(m, &up) }

func number(t *testing.T, sql string) int {
	t.Helper()
	return counted(t, demo.Database, sql)
}

// What the demo promises: all tables, full enough, with empty parents and gaps on purpose.
func TestTheRopewayIsFull(t *testing.T) {
	for table, least := range map[string]int{
		"tarnhorn.lifts": 3, "tarnhorn.stations": 6, "tarnhorn.cabins": 130, "tarnhorn.inspections": 300, "tarnhorn.inspection_points": 1500, "tarnhorn.components": 12,
		"tarnhorn.defects": 200, "tarnhorn.parts": 15, "tarnhorn.defect_parts": 5, "tarnhorn.staff": 12, "tarnhorn.shifts": 80, "tarnhorn.stops": 100, "tarnhorn.ridership": 15000, "tarnhorn.wind": 10000,
		"stores.suppliers": 3, "stores.orders": 40, "stores.order_lines": 50,
	} {
		if n := number(t, "select count(*) from "+table); n < least {
			t.Errorf("%s has %d rows, at least %d were promised", table, n, least)
		}
	}
	for what, sql := range map[string]string{
		"a defect without a cabin":         "select count(*) from tarnhorn.defects where cabin_id is null",
		"an unassigned defect":             "select count(*) from tarnhorn.defects where assigned_id is null",
		"a cabin without a lift":           "select count(*) from tarnhorn.cabins where lift_id is null",
		"an inspection without inspector":  "select count(*) from tarnhorn.inspections where inspector_id is null",
		"a gap in the ids of defects":      "select max(id) - count(*) from tarnhorn.defects",
		"a cabin that was never inspected": "select count(*) from tarnhorn.cabins c where not exists (select from tarnhorn.inspections where cabin_id = c.id)",
		"a cabin in each state":            "select (count(distinct state) = 4)::int from tarnhorn.cabins",
		"keys and foreign keys":            "select (count(*) >= 25)::int from information_schema.table_constraints where table_schema = 'tarnhorn' and constraint_type in ('PRIMARY KEY', 'FOREIGN KEY')",
	} {
		if number(t, sql) < 1 {
			t.Errorf("there is no %s", what)
		}
	}
}

func TestTheStoryBeginsAsItIsTold(t *testing.T) {
	if n := number(t, `select count(*) from tarnhorn.defects d join tarnhorn.staff s on s.id = d.assigned_id where d.code = 'D-2107' and s.login = 'mira' and d.severity = 'high' and d.cabin_id = 87 and d.state = 'assigned'`); n != 1 {
		t.Error("Mira's worst defect is not there")
	}
	if n := number(t, `select count(*) from tarnhorn.cabins where number = '087' and state = 'in service'`); n != 1 {
		t.Error("cabin 087 is not in service")
	}
	if n := number(t, `select count(*) from tarnhorn.defects where assigned_id = 1 and state <> 'closed'`); n < 4 {
		t.Errorf("Mira has %d open defects", n)
	}
}

// Every field of the project's tables is a column of the database, of a type that fits.
func TestTheProjectFitsItsTables(t *testing.T) {
	p, err := demo.Decoded()
	if err != nil {
		t.Fatal(err)
	}
	fits := map[string]string{
		"whole": "'integer','bigint','smallint'", "decimal": "'numeric'", "text": "'text'", "date": "'date'", "moment": "'timestamp with time zone'", "record": "'integer','bigint'", "yesno": "'boolean'", "number": "'double precision'", "picture": "'bytea'",
	}
	fields := 0
	for _, table := range p.Tables {
		for _, f := range table.Fields {
			fields++
			nullable := map[bool]string{true: "YES", false: "NO"}[f.Nullable]
			sql := `select count(*) from information_schema.columns where table_schema = '` + p.Sources[table.Source].Schema + `' and table_name = '` + table.Relation + `' and column_name = '` + f.Column + `' and data_type in (` + fits[f.Type] + `) and is_nullable = '` + nullable + `'`
			if number(t, sql) != 1 {
				t.Errorf("%s.%s: there is no such column, or of another type", table.Relation, f.Column)
			}
		}
	}
	if fields < 40 {
		t.Errorf("only %d fields were looked at", fields)
	}
}

func TestTheProjectIsSound(t *testing.T) {
	p, err := demo.Decoded()
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	for _, f := range check.Open(checks.All.Run(app)) {
		if f.Severity != check.Note {
			t.Errorf("%s on %s %s: %s", f.Check, f.Screen, f.Element, f.Words)
		}
	}
	graph := reach.Of(app, nil)
	for _, tc := range []struct {
		screen  string
		role    string
		presses int
	}{{"s_wboard", "r_tech", 0}, {"s_defects", "r_tech", 1}, {"s_defect", "r_tech", 2}, {"s_cabin", "r_tech", 2}, {"s_drive", "r_oper", 1}, {"s_drive", "r_tech", -1}, {"s_drive", "r_lead", 2}} {
		got := -1
		if cell := graph.For(map[string]bool{tc.role: true}).Cells[tc.screen]; cell.Led() {
			got = cell.Presses
		}
		if got != tc.presses {
			t.Errorf("%s from the start of %s: %d presses, want %d", tc.screen, tc.role, got, tc.presses)
		}
	}
	if got := check.Entered(app, "s_drive"); got != "Shift lead or Operator" {
		t.Errorf("the drive room is entered by %s", got)
	}
}

func TestStartingAgainKeepsEverything(t *testing.T) {
	if !up.Fresh {
		t.Error("the first start did not make the data")
	}
	before := number(t, `select count(*) from tarnhorn.defects`)
	is, err := up.Store.ProjectState(context.Background(), demo.ProjectID)
	if err != nil || is.Seq < 0 || is.Released < 1 { // other tests release it again
		t.Errorf("the project is at %d, release %d (%v)", is.Seq, is.Released, err)
	}
	if number(t, `select count(*) from tarnhorn.defects`) != before {
		t.Error("looking changed the data")
	}
}
