package compile_test

import (
	"testing"
	"time"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
)

// tarn is a small schema: defects of cabins of lifts.
func tarn() *cond.Schema {
	text := cond.Type{Kind: cond.Text}
	nullText := cond.Type{Kind: cond.Text, Nullable: true}
	schema := cond.NewSchema([]*cond.Group{
		{ID: "t_defects", Label: "Defects", Fields: []cond.Field{
			{ID: "f_code", Alias: "code", Label: "Code", Type: text},
			{ID: "f_state", Alias: "state", Label: "State", Type: cond.Type{Kind: cond.Text, Choices: []string{"open", "waiting", "closed"}, Nullable: true}},
			{ID: "f_sev", Alias: "severity", Label: "Severity", Type: cond.Type{Kind: cond.Text, Choices: []string{"low", "medium", "high"}}},
			{ID: "f_note", Alias: "note", Label: "Note", Type: nullText},
			{ID: "f_due", Alias: "due", Label: "Due", Type: cond.Type{Kind: cond.Date, Nullable: true}},
			{ID: "f_hours", Alias: "hours", Label: "Hours", Type: cond.Type{Kind: cond.Decimal, Nullable: true}},
			{ID: "f_count", Alias: "count", Label: "Count", Type: cond.Type{Kind: cond.Whole}},
			{ID: "f_cabin", Alias: "cabin", Label: "Cabin", Type: cond.Type{Kind: cond.Record, Table: "t_cabins", Nullable: true}},
			{ID: "f_done", Alias: "done", Label: "Done", Type: cond.Type{Kind: cond.YesNo, Nullable: true}},
			{ID: "f_temp", Alias: "temperature", Label: "Temperature", Type: cond.Type{Kind: cond.Number, Unit: "°C"}},
			{ID: "c_urgent", Alias: "urgent", Label: "open and worth doing", Type: cond.Type{Kind: cond.YesNo}, Named: "c_urgent"},
			{ID: "c_looped", Alias: "looped", Label: "looped", Type: cond.Type{Kind: cond.YesNo}, Named: "c_looped"},
			{ID: "c_broken", Alias: "broken", Label: "broken", Type: cond.Type{Kind: cond.YesNo}, Named: "c_broken"},
			{ID: "n_stops", Alias: "stops", Label: "Stops", Type: cond.Type{Kind: cond.Whole}, Far: true},
		}},
		{ID: "t_cabins", Label: "Cabins", Fields: []cond.Field{
			{ID: "f_no", Alias: "number", Label: "Number", Type: text},
			{ID: "f_lift", Alias: "lift", Label: "Lift", Type: cond.Type{Kind: cond.Record, Table: "t_lifts"}},
			{ID: "c_upper", Alias: "upper", Label: "on the upper lift", Type: cond.Type{Kind: cond.YesNo}, Named: "c_upper"},
			{ID: "c_odd", Alias: "odd", Label: "odd", Type: cond.Type{Kind: cond.YesNo}, Named: "c_odd"},
		}},
		{ID: "t_lifts", Label: "Lifts", Fields: []cond.Field{{ID: "f_name", Alias: "name", Label: "Name", Type: text}}},
		{ID: "user", Label: "user", Fields: []cond.Field{{ID: "u_name", Alias: "name", Label: "name", Type: text}}},
	}, []cond.Role{{ID: "r_tech", Name: "Technician"}, {ID: "r_lead", Name: "Shift lead"}})
	schema.Named = map[string]cond.Named{
		"c_urgent": {ID: "c_urgent", Label: "open and worth doing", Group: "t_defects", Text: `record.state == "open" && record.count > 1`},
		"c_upper":  {ID: "c_upper", Label: "on the upper lift", Group: "t_cabins", Text: `record.lift.name == "Upper Tarn"`},
		"c_odd":    {ID: "c_odd", Label: "odd", Group: "t_cabins", Text: `["7", "9"].exists(x, x == record.number)`},
		"c_looped": {ID: "c_looped", Label: "looped", Group: "t_defects", Text: `record.done || record.looped`},
		"c_broken": {ID: "c_broken", Label: "broken", Group: "t_defects", Text: `record.nothing == 1`},
	}
	return schema
}

var defectScope = cond.Scope{"record": "t_defects", "user": "user"}

type world struct {
	values map[string]cond.Value
	roles  map[string]bool
}

func (w world) Value(p *cond.Path) cond.Value {
	if v, ok := w.values[p.Root+"."+p.Key]; ok {
		return v
	}
	return cond.UnknownBecause("not available")
}

func (w world) HasRole(r string) bool { return w.roles[r] }

func (w world) Now() time.Time { return time.Date(2026, 11, 24, 10, 42, 0, 0, time.UTC) }

func compiler(t testing.TB) *compile.Compiler {
	t.Helper()
	c, err := compile.New(tarn())
	if err != nil {
		t.Fatal(err)
	}
	return c
}

func TestEval(t *testing.T) {
	c := compiler(t)
	base := map[string]cond.Value{
		"record.f_state": cond.String("open"), "record.f_sev": cond.String("medium"), "record.f_code": cond.String("D-1"),
		"record.f_note": cond.NullValue, "record.f_due": cond.DateOf(time.Date(2026, 11, 20, 0, 0, 0, 0, time.UTC)),
		"record.f_hours": mustParse(t, cond.Type{Kind: cond.Decimal}, "2.4"), "record.f_count": cond.Int(3), "record.f_done": cond.NullValue,
		"record.f_cabin.f_lift.f_name": cond.String("Upper Tarn"), "record.f_cabin": cond.Key("12"),
	}
	cases := []struct{ text, want string }{
		{`record.state == "open"`, "true"},
		{`record.state != "closed"`, "true"},
		{`record.note != "closed"`, "true"}, // null differs from every text
		{`record.note == null`, "true"},
		{`has(record.note)`, "false"},
		{`record.severity > "low"`, "true"}, // by the declared order, not the alphabet
		{`record.severity < "low"`, "false"},
		{`record.severity in ["medium", "high"]`, "true"},
		{`record.due < today()`, "true"},
		{`record.due + duration("96h") == today()`, "true"},
		{`today() - record.due > duration("72h")`, "true"},
		{`record.hours == 2.4`, "true"}, // exact
		{`record.hours * 10.0 == 24`, "true"},
		{`record.count + 0.5 > 3`, "true"},
		{`record.count / 2 == 1`, "true"},
		{`record.count < record.hours`, "false"},
		{`record.done`, "empty"},
		{`!record.done`, "true"}, // empty counts as no
		{`record.done || record.count == 3`, "true"},
		{`record.cabin.lift.name == "Upper Tarn"`, "true"},
		{`record.cabin == null`, "false"},
		{`user.is("Technician")`, "true"},
		{`user.is("Shift lead") || record.state == "open"`, "true"},
		{`record.code.startsWith("D-")`, "true"},
		{`record.note.contains("x")`, "empty"},
		{`record.count == 3 ? "three" : "other"`, "three"},
		{`[1, 2, 3].exists(x, x == record.count)`, "true"}, // left to the library
		{`record.code.matches("D-[0-9]+")`, "true"},
		{`record.count / 0 == 1`, "unknown"},
		{`record.hours + 1.0 > 0.0 && record.state == "open"`, "true"},
	}
	for _, tc := range cases {
		e, p := c.Expression(defectScope, tc.text)
		if p != nil {
			t.Errorf("%s: %s", tc.text, p.Message)
			continue
		}
		got := e.Root.Eval(world{base, map[string]bool{"r_tech": true}})
		if say(got) != tc.want {
			t.Errorf("%s = %s, want %s", tc.text, say(got), tc.want)
		}
	}
}

func say(v cond.Value) string {
	if !v.Known() || v.IsNull() {
		return v.Kind().String()
	}
	return v.Wire()
}

func mustParse(t testing.TB, typ cond.Type, s string) cond.Value {
	t.Helper()
	v, err := cond.Parse(typ, s)
	if err != nil {
		t.Fatal(err)
	}
	return v
}

func TestUnknownIsNeverTurnedIntoFalse(t *testing.T) {
	c := compiler(t)
	w := world{values: map[string]cond.Value{"record.f_code": cond.String("D-1"), "record.f_state": cond.UnknownBecause("stale")}}
	for text, want := range map[string]string{
		`record.state == "open"`:                              "unknown",
		`!(record.state == "open")`:                           "unknown",
		`record.state == "open" && record.code == "no"`:       "false",
		`record.state == "open" || record.code == "D-1"`:      "true",
		`record.state == "open" || record.code == "no"`:       "unknown",
		`record.state == "open" ? true : true`:                "unknown",
		`record.state in ["open"]`:                            "unknown",
		`record.state.matches("o.*")`:                         "unknown",
		`!record.state.matches("o.*")`:                        "unknown",
		`record.code in ["D-1", record.state]`:                "true",
		`!(record.code in ["x", record.state])`:               "unknown",
		`record.state != "open" && record.state == "waiting"`: "unknown",
	} {
		e, p := c.Expression(defectScope, text)
		if p != nil {
			t.Fatalf("%s: %s", text, p.Message)
		}
		if got := say(e.Root.Eval(w)); got != want {
			t.Errorf("%s = %s, want %s", text, got, want)
		}
	}
}

func TestBothTexts(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string]string{
		`record.state  !=  "closed"`:                             `record.f_state  !=  "closed"`,
		`record.cabin.lift.name == "x" && user.is("Shift lead")`: `record.f_cabin.f_lift.f_name == "x" && user.is("r_lead")`,
		`has(record.note) && [1].exists(n, n == record.count)`:   `has(record.f_note) && [1].exists(n, n == record.f_count)`,
		`record.note == "record.state"`:                          `record.f_note == "record.state"`,
	} {
		e, p := c.Expression(defectScope, text)
		if p != nil {
			t.Fatalf("%s: %s", text, p.Message)
		}
		if e.Stored != want {
			t.Errorf("stored %s, want %s", e.Stored, want)
		}
		back, p := c.Expression(defectScope, e.Stored)
		if p != nil || back.Shown != text {
			t.Errorf("shown again: %v %v, want %s", back, p, text)
		}
	}
}

func TestProblemsHavePlaceAndProposal(t *testing.T) {
	c := compiler(t)
	for _, tc := range []struct {
		text     string
		at       int
		proposal string
	}{
		{`record.stat == "open"`, 7, "state"},
		{`record.cabin.lift.nam == "x"`, 18, "name"},
		{`recrd.state == "open"`, 0, "record"},
		{`user.is("Tecnician")`, 8, "Technician"},
		{`record.state == 3`, 13, ""},
		{`record.state ==`, 14, ""},
		{``, 0, ""},
	} {
		_, p := c.Condition(defectScope, tc.text)
		if p == nil {
			t.Errorf("%q was accepted", tc.text)
			continue
		}
		if p.At != tc.at || p.Proposal != tc.proposal || p.Message == "" || p.Length < 1 {
			t.Errorf("%q: %+v, want place %d and proposal %q", tc.text, *p, tc.at, tc.proposal)
		}
	}
	if _, p := c.Condition(defectScope, `record.code`); p == nil {
		t.Error("a text was taken for a condition")
	}
}

func FuzzCompile(f *testing.F) {
	f.Add(`record.state == "open" && !(record.count > 3)`)
	f.Add(`record.cabin.lift.name in ["a"] ? 1 : 2`)
	f.Add(`[1,2].all(x, x > record.hours)`)
	c := compiler(f)
	f.Fuzz(func(t *testing.T, text string) {
		e, p := c.Expression(defectScope, text)
		if p != nil {
			if p.At < 0 || p.Length < 1 || p.Message == "" {
				t.Fatalf("%q: bad problem %+v", text, *p)
			}
			return
		}
		e.Root.Eval(world{})
		if again, p := c.Expression(defectScope, e.Stored); p != nil || again.Stored != e.Stored {
			t.Fatalf("%q: stored form %q does not read back: %v", text, e.Stored, p)
		}
	})
}
