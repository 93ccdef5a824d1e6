package cond

import (
	"strings"
	"testing"
)

// Each type's rows become text that compiles and shows as the same rows again.
func TestRowsOfEveryTypeAndComparison(t *testing.T) {
	c := compiler(t)
	types := func(path string) (Type, bool) { return c.TypeOf(defectScope, path) }
	for _, tc := range []struct {
		row  Row
		text string
	}{
		{Row{"record.state", "is", "open"}, `record.state == "open"`},
		{Row{"record.state", "isNot", `say "so"`}, `record.state != "say \"so\""`},
		{Row{"record.severity", "atLeast", "medium"}, `record.severity >= "medium"`},
		{Row{"record.count", "less", "3"}, `record.count < 3`},
		{Row{"record.hours", "more", "2"}, `record.hours > 2.0`},
		{Row{"record.hours", "atMost", "2.25"}, `record.hours <= 2.25`},
		{Row{"record.due", "less", "today()"}, `record.due < today()`},
		{Row{"record.due", "atLeast", "2026-11-24"}, `record.due >= date("2026-11-24")`},
		{Row{"record.done", "is", "false"}, `record.done == false`},
		{Row{"record.note", "empty", ""}, `record.note == null`},
		{Row{"record.cabin", "notEmpty", ""}, `record.cabin != null`},
		{Row{"record.cabin.lift.name", "is", "Upper Tarn"}, `record.cabin.lift.name == "Upper Tarn"`},
	} {
		rows := Rows{Mode: "all", Rows: []Row{tc.row}}
		text := rows.Text(types)
		if text != tc.text {
			t.Errorf("%+v becomes %s, want %s", tc.row, text, tc.text)
		}
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Errorf("%s: %s", text, problem.Message)
			continue
		}
		back, ok := RowsOf(e.Root)
		if !ok || len(back.Rows) != 1 || back.Rows[0].Path != tc.row.Path || back.Rows[0].Compare != tc.row.Compare {
			t.Errorf("%s shows as %+v", text, back)
		}
		if again := back.Text(types); again != text {
			t.Errorf("%s becomes %s", text, again)
		}
	}
}

func TestRowsWithWrongValuesAreRefusedByTheCompiler(t *testing.T) {
	c := compiler(t)
	types := func(path string) (Type, bool) { return c.TypeOf(defectScope, path) }
	for _, row := range []Row{
		{"record.count", "is", "many"}, {"record.hours", "more", "two"}, {"record.due", "less", "soon"}, {"record.gone", "is", "x"}, {"record.done", "is", "perhaps"},
		{"record.state\" == \"\" || true || record.state", "is", "x"}, {"record.count", "is", ""},
	} {
		text := Rows{Mode: "all", Rows: []Row{row}}.Text(types)
		if _, problem := c.Condition(defectScope, text); problem == nil {
			t.Errorf("%+v was accepted as %s", row, text)
		}
	}
}

func TestAllAndAnyOfManyRows(t *testing.T) {
	c := compiler(t)
	types := func(path string) (Type, bool) { return c.TypeOf(defectScope, path) }
	many := []Row{{"record.state", "is", "open"}, {"record.count", "more", "1"}, {"record.note", "empty", ""}}
	for mode, with := range map[string]string{"all": " && ", "any": " || "} {
		text := Rows{Mode: mode, Rows: many}.Text(types)
		if strings.Count(text, with) != 2 {
			t.Errorf("%s is %s", mode, text)
		}
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Fatal(problem.Message)
		}
		if back, ok := RowsOf(e.Root); !ok || back.Mode != mode || len(back.Rows) != 3 {
			t.Errorf("%s shows as %+v", text, back)
		}
	}
	for _, text := range []string{`record.state == record.code`, `3 < record.count`, `!(record.state == "open")`, `record.count + 1 == 2`, `user.is("Technician")`, `record.state in ["open"]`, `record.count < null`} {
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			continue
		}
		if rows, ok := RowsOf(e.Root); ok {
			t.Errorf("%s was shown as the rows %+v", text, rows)
		}
	}
}
