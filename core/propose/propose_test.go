package propose_test

import (
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"testing"

	"ambergate/core/catalogue"
	"ambergate/core/check"
	"ambergate/core/checks"
	_ "ambergate/core/kinds"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/propose"
)

// col reads a column from “name type flags…”: ! not null, = default or numbered, ? not to be read.
func col(text string) *catalogue.Column {
	words := strings.Fields(text)
	c := &catalogue.Column{Name: words[0], Type: words[1], Base: words[1], Select: true, Change: true}
	for _, flag := range words[2:] {
		switch {
		case flag == "!":
			c.NotNull = true
		case flag == "#":
			c.Identity, c.NotNull = true, true
		case flag == "?":
			c.Select = false
		case strings.HasPrefix(flag, "="):
			c.Default = flag[1:]
		case strings.HasPrefix(flag, "//"):
			c.Comment = strings.ReplaceAll(flag[2:], "_", " ")
		}
	}
	return c
}

func table(name string, rows int64, primary string, columns ...string) *catalogue.Table {
	t := &catalogue.Table{Schema: "works", Name: name, Kind: catalogue.Plain, Rows: rows, Select: true, Insert: true, Update: true, Delete: true}
	if primary != "" {
		t.Primary = strings.Split(primary, ",")
	}
	for _, c := range columns {
		t.Columns = append(t.Columns, col(c))
	}
	return t
}

func refers(t *catalogue.Table, column, to string) *catalogue.Table {
	t.Foreign = append(t.Foreign, catalogue.Foreign{Columns: []string{column}, Schema: "works", Table: to, To: []string{"id"}})
	return t
}

// works is the database of somebody who looks after pumps.
func works() *catalogue.Database {
	pumps := refers(table("pumps", 212, "id", "id int4 #", "code text !", "site_id int4 !", "state text !", "power_kw numeric", "built int4", "ser_no_m text", "geom geometry", "remarks text"), "site_id", "sites")
	pumps.Unique = [][]string{{"code"}}
	pumps.Checks = []string{`CHECK (state = ANY (ARRAY['running'::text, 'standing'::text, 'in repair'::text]))`, `CHECK (built >= 1950 AND built <= 2100)`, `CHECK (code ~ '^P-[0-9]{3}$'::text)`}
	repairs := refers(refers(refers(table("repairs", 18_040, "id", "id int8 #", "pump_id int4 !", "done_on date !", "fitter_id int4", "checked_by_id int4", "note text"), "pump_id", "pumps"), "fitter_id", "fitters"), "checked_by_id", "fitters")
	parts := refers(refers(table("repair_parts", 60_112, "repair_id,part_id", "repair_id int8 !", "part_id int4 !"), "repair_id", "repairs"), "part_id", "parts")
	fitters := table("fitters", 37, "id", "id int4 #", "full_name text !", "e_mail text !")
	fitters.Unique = [][]string{{"e_mail"}}
	sites := refers(table("sites", 14, "id", "id int4 #", "name varchar !", "parent_site_id int4"), "parent_site_id", "sites")
	log := table("import_log", 9_100_000, "", "at timestamptz !", "line text")
	return &catalogue.Database{Name: "works", Tables: []*catalogue.Table{fitters, log, table("parts", 400, "id", "id int4 #", "name text !", "price_eur numeric"), pumps, parts, repairs, sites, table("tariffs", 6, "id", "id int4 #", "secret text ?", "amount money")}}
}

func all(d *catalogue.Database) propose.Wish {
	w := propose.Wish{Title: "Pump works", Connection: "works"}
	for _, t := range d.Tables {
		w.Tables = append(w.Tables, propose.TableWish{Schema: t.Schema, Name: t.Name})
	}
	return w
}

func proposed(t *testing.T, d *catalogue.Database, w propose.Wish) (*propose.Application, *plan.App) {
	t.Helper()
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
	return a, app
}

// releasable fails where what is proposed has a finding, or a screen that nothing leads to.
func releasable(t *testing.T, app *plan.App) {
	t.Helper()
	for _, f := range checks.All.Run(app) {
		// What is worth knowing, and two tables that their comments call alike, are no mistake of what is proposed.
		if f.Severity != check.Note && f.Check != "same-words" {
			t.Errorf("finding: %+v", f)
		}
	}
	led := map[string]bool{"s_start": true}
	for _, s := range app.Project.Screens {
		text, err := json.Marshal(s)
		if err != nil {
			t.Fatal(err)
		}
		for id := range app.Project.Screens {
			if id != s.ID && strings.Contains(string(text), `"target":"`+id+`"`) {
				led[id] = true
			}
		}
	}
	for id := range app.Project.Screens {
		if !led[id] {
			t.Errorf("nothing leads to %s", id)
		}
	}
}

func TestWhatIsProposedCanBeReleasedAsItIs(t *testing.T) {
	d := works()
	a, app := proposed(t, d, all(d))
	releasable(t, app)
	if len(a.Tables) != 8 || len(app.Project.Screens) != 15 {
		t.Errorf("%d tables, %d screens", len(a.Tables), len(app.Project.Screens))
	}
	for _, one := range []string{"fitters", "pumps", "repairs", "sites", "parts"} {
		w := propose.Wish{Title: "One", Connection: "works", Tables: []propose.TableWish{{Schema: "works", Name: one}}}
		_, app := proposed(t, d, w)
		releasable(t, app)
	}
}

func byName(t *testing.T, a *propose.Application, name string) *propose.Table {
	t.Helper()
	for _, one := range a.Tables {
		if one.Name == name {
			return one
		}
	}
	t.Fatalf("no table %s", name)
	return nil
}

func fieldOf(t *testing.T, a *propose.Application, table, column string) (*propose.Field, *project.Column) {
	t.Helper()
	of := byName(t, a, table)
	for _, f := range of.Fields {
		if f.Column == column {
			return f, of.Body.Fields[f.ID]
		}
	}
	t.Fatalf("no column %s.%s", table, column)
	return nil, nil
}

func TestFieldsAreWhatTheDatabaseSays(t *testing.T) {
	d := works()
	a, _ := proposed(t, d, all(d))
	for at, want := range map[string]string{
		"pumps.code":            "Code|text, unique|form from a check",
		"pumps.site_id":         "Site|one of sites|foreign key",
		"pumps.state":           "State|running, standing, in repair|from a check: 3 values",
		"pumps.power_kw":        "Power|decimal number, kW|unit from the name",
		"pumps.built":           "Built|whole number|range from a check",
		"pumps.geom":            "Geom|geometry|not shown: nothing shows “geometry”",
		"repairs.fitter_id":     "Fitter|one of fitters|foreign key",
		"repairs.checked_by_id": "Checked by|one of fitters|foreign key",
		"pumps.id":              "Id|whole number, unique|numbered by the database",
		"tariffs.secret":        "Secret|text|not shown: the login may not read it",
		"tariffs.amount":        "Amount|text|shown, not edited: there is no editor for “money”",
	} {
		table, column, _ := strings.Cut(at, ".")
		f, _ := fieldOf(t, a, table, column)
		if got := f.Label + "|" + f.What + "|" + f.Why; got != want {
			t.Errorf("%s is %s, want %s", at, got, want)
		}
	}
	_, built := fieldOf(t, a, "pumps", "built")
	if built.Min == nil || *built.Min != 1950 || *built.Max != 2100 {
		t.Errorf("built is %+v", built)
	}
	_, code := fieldOf(t, a, "pumps", "code")
	if code.Pattern != `P-[0-9]{3}` {
		t.Errorf("code is %+v", code)
	}
}

func TestRecordsAreToldApart(t *testing.T) {
	d := works()
	a, _ := proposed(t, d, all(d))
	for name, want := range map[string]string{"pumps": "pump|{record.code}|code", "fitters": "fitter|{record.full_name}|full_name", "repairs": "repair|Repair {record.id}|done_on", "sites": "site|{record.name}|name", "repair_parts": "repair part|{record.repair.id}|", "import_log": "import log|{record.line}|"} {
		of := byName(t, a, name)
		if name == "repair_parts" {
			if !of.Link || !strings.Contains(of.Body.Title, "part.name") {
				t.Errorf("what joins two tables is %+v", of.Body.Title)
			}
			continue
		}
		if got := of.Body.One + "|" + of.Body.Title + "|" + of.Order; got != want {
			t.Errorf("%s: %s, want %s", name, got, want)
		}
	}
	if byName(t, a, "fitters").Login != "e_mail" {
		t.Error("nobody is asked whether fitters sign in")
	}
	if notes := byName(t, a, "import_log").Notes; len(notes) != 1 || !strings.Contains(notes[0], "no key") {
		t.Errorf("%v", notes)
	}
}

// What is wished otherwise holds, and what leads to what is left out is left out too.
func TestWishesHold(t *testing.T) {
	d := works()
	w := all(d)
	yes, unit := true, "kilowatt"
	for i := range w.Tables {
		if w.Tables[i].Name == "pumps" {
			w.Tables[i] = propose.TableWish{Schema: "works", Name: "pumps", Label: "Machines", One: "machine", Title: "ser_no_m", Order: "built", Fields: []propose.FieldWish{{Column: "ser_no_m", Label: "Serial number"}, {Column: "power_kw", Unit: &unit, InList: &yes}, {Column: "remarks", Out: true}}}
		}
	}
	w.People = &propose.Login{Schema: "works", Table: "fitters", Column: "e_mail"}
	w.LeaveOut = []string{"s_site", "s_machines/e_new"}
	w.NoRail = true
	a, app := proposed(t, d, w)
	releasable(t, app)
	p := byName(t, a, "pumps")
	if p.Body.Label != "Machines" || p.Body.Title != "{record.ser_no_m}" || p.Order != "built" || p.Body.Fields["f_ser_no_m"].Label != "Serial number" || p.Body.Fields["f_power_kw"].Unit != "kilowatt" || p.Body.Fields["f_remarks"] != nil {
		t.Errorf("%+v", p.Body)
	}
	if app.Project.Settings.UserTable != "t_fitters" || app.Project.Settings.UserField != "f_e_mail" {
		t.Errorf("%+v", app.Project.Settings)
	}
	if app.Project.Screens["s_site"] != nil || app.Project.Screens["s_machines"].Elements["e_new"] != nil || len(app.Project.Rails) != 0 {
		t.Error("what was left out is made")
	}
	left := slices.ContainsFunc(a.Ways, func(one propose.Way) bool { return one.ID == "s_machines/e_new" && !one.Made })
	if !left {
		t.Error("what was left out is not told")
	}
}

func TestWhoOnlyReadsGetsNothingThatChanges(t *testing.T) {
	d := works()
	for _, one := range d.Tables {
		one.Insert, one.Update, one.Delete = false, false, false
	}
	for _, w := range []propose.Wish{all(d), func() propose.Wish { w := all(works()); w.NoEditors = true; return w }()} {
		a, app := proposed(t, d, w)
		releasable(t, app)
		for id, e := range a.Entities {
			for _, verb := range []string{`"add":true`, `"edit":true`, `"delete":true`, `"kind":"save"`, `"kind":"delete"`} {
				if strings.Contains(string(e), verb) && !strings.Contains(string(e), `"modes"`) {
					t.Errorf("%s: %s", id, verb)
				}
			}
		}
		if app.Project.Screens["s_pumps"].Elements["e_new"] != nil || app.Project.Screens["s_pump"].Elements["e_edit"] != nil {
			t.Error("there are buttons that change records")
		}
	}
}

// However odd the names of a database are, what is proposed can be read, compiled and released.
func TestOddNames(t *testing.T) {
	long := strings.Repeat("very_long_", 6) + "name"
	var d catalogue.Database
	for i, name := range []string{"Group by", "select", "ÄÖÜ", "日本", "a b", "a_b", "A-B", "1st", long, long + "2", "true", "x'y\"z", "in", "project", "start"} {
		one := refers(table(name, 3, "id", "id int4 #", "Order int4", "order int4", "in text", "null text !", "日本 text", long+" text", "select_id int4"), "select_id", "select")
		one.Comment = []string{"", "A comment; with parts.", "Nice name"}[i%3]
		d.Tables = append(d.Tables, one)
	}
	a, app := proposed(t, &d, all(&d))
	releasable(t, app)
	if len(a.Tables) != 15 {
		t.Errorf("%d tables", len(a.Tables))
	}
}

func TestConditionsOfOtherFormsAreLeftToTheDatabase(t *testing.T) {
	for text, want := range map[string]string{
		`CHECK (n > 0)`: "1..", `CHECK (n >= 0 AND n < 10)`: "0..9", `CHECK ((n >= (-5)) AND (n <= 5))`: "-5..5", `CHECK (n > 0 OR m > 0)`: "..", `CHECK (n > m)`: "..", `CHECK (NOT n > 5)`: "..", `CHECK (abs(n) < 5)`: "..",
	} {
		one := table("t", 1, "id", "id int4 #", "n int4", "m int4")
		one.Checks = []string{text}
		d := &catalogue.Database{Tables: []*catalogue.Table{one}}
		a, _ := proposed(t, d, all(d))
		_, n := fieldOf(t, a, "t", "n")
		got := ".."
		if n.Min != nil {
			got = fmt.Sprint(*n.Min) + got
		}
		if n.Max != nil {
			got += fmt.Sprint(*n.Max)
		}
		if got != want {
			t.Errorf("%s gives %s, want %s", text, got, want)
		}
	}
}

func TestNothingChosenIsSaid(t *testing.T) {
	if _, err := propose.Propose(works(), propose.Wish{Title: "x", Tables: []propose.TableWish{{Schema: "works", Name: "gone"}}}); err != propose.ErrNothing {
		t.Errorf("%v", err)
	}
}
