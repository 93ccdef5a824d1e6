package compile_test

import (
	"reflect"
	"slices"
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
)

func defectTypes(t testing.TB) (*compile.Compiler, func(path string) (cond.Type, bool)) {
	c := compiler(t)
	return c, func(path string) (cond.Type, bool) { return c.TypeOf(defectScope, path) }
}

// Each type's rows become text that compiles and shows as the same rows again.
func TestRowsOfEveryTypeAndComparison(t *testing.T) {
	c, types := defectTypes(t)
	for _, tc := range []struct {
		row  cond.Row
		text string
	}{
		{cond.Row{Path: "record.state", Compare: "is", Value: "open"}, `record.state == "open"`},
		{cond.Row{Path: "record.state", Compare: "isNot", Value: `say "so"`}, `record.state != "say \"so\""`},
		{cond.Row{Path: "record.state", Compare: "in", Values: []string{"open", "waiting"}}, `record.state in ["open", "waiting"]`},
		{cond.Row{Path: "record.state", Compare: "notIn", Values: []string{"closed"}}, `!(record.state in ["closed"])`},
		{cond.Row{Path: "record.severity", Compare: "atLeast", Value: "medium"}, `record.severity >= "medium"`},
		{cond.Row{Path: "record.count", Compare: "less", Value: "3"}, `record.count < 3`},
		{cond.Row{Path: "record.count", Compare: "in", Values: []string{"1", "2"}}, `record.count in [1, 2]`},
		{cond.Row{Path: "record.hours", Compare: "more", Value: "2"}, `record.hours > 2.0`},
		{cond.Row{Path: "record.hours", Compare: "atMost", Value: "2.25"}, `record.hours <= 2.25`},
		{cond.Row{Path: "record.due", Compare: "less", Value: "today()"}, `record.due < today()`},
		{cond.Row{Path: "record.due", Compare: "atMost", Value: "today()-7"}, `record.due <= daysAgo(7)`},
		{cond.Row{Path: "record.due", Compare: "more", Value: "today()+1"}, `record.due > daysFromNow(1)`},
		{cond.Row{Path: "record.due", Compare: "atLeast", Value: "2026-11-24"}, `record.due >= date("2026-11-24")`},
		{cond.Row{Path: "record.done", Compare: "is", Value: "false"}, `record.done == false`},
		{cond.Row{Path: "record.done", Compare: "holds"}, `record.done`},
		{cond.Row{Path: "record.done", Compare: "holdsNot"}, `!record.done`},
		{cond.Row{Path: "record.note", Compare: "empty"}, `record.note == null`},
		{cond.Row{Path: "record.note", Compare: "contains", Value: "grip"}, `record.note.contains("grip")`},
		{cond.Row{Path: "record.note", Compare: "notBegins", Value: "x"}, `!record.note.startsWith("x")`},
		{cond.Row{Path: "record.note", Compare: "ends", Value: "."}, `record.note.endsWith(".")`},
		{cond.Row{Path: "record.cabin", Compare: "notEmpty"}, `record.cabin != null`},
		{cond.Row{Path: "record.cabin", Compare: "is", Value: "12"}, `record.cabin == key("12")`},
		{cond.Row{Path: "record.cabin.lift.name", Compare: "is", Value: "Upper Tarn"}, `record.cabin.lift.name == "Upper Tarn"`},
		{cond.Row{Path: "record.code", Compare: "isNot", With: "record.note"}, `record.code != record.note`},
		{cond.Row{Path: "user", Compare: "role", Value: "Shift lead"}, `user.is("Shift lead")`},
		{cond.Row{Path: "user", Compare: "notRole", Value: "Technician"}, `!user.is("Technician")`},
		{cond.Row{Path: "record.temperature", Compare: "notAvailable"}, `!available(record.temperature)`},
		{cond.Row{Path: "record.urgent", Compare: "holds"}, `record.urgent`},
		{cond.Row{Path: "record.cabin.upper", Compare: "holdsNot"}, `!record.cabin.upper`},
	} {
		if !slices.Contains(cond.Compares, tc.row.Compare) {
			t.Errorf("%s is not listed", tc.row.Compare)
		}
		rows := cond.Rows{Mode: "all", Rows: []cond.Row{tc.row}}
		text := rows.Text(types)
		if text != tc.text {
			t.Errorf("%+v becomes %s, want %s", tc.row, text, tc.text)
		}
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Errorf("%s: %s", text, problem.Message)
			continue
		}
		back, ok := cond.RowsOf(e.Root)
		if !ok || len(back.Rows) != 1 || back.Rows[0].Path != tc.row.Path || back.Rows[0].Compare != tc.row.Compare {
			t.Errorf("%s shows as %+v", text, back)
		}
		if again := back.Text(types); again != text {
			t.Errorf("%s becomes %s", text, again)
		}
	}
}

func TestRowsWithWrongValuesAreRefusedByTheCompiler(t *testing.T) {
	c, types := defectTypes(t)
	for _, row := range []cond.Row{
		{Path: "record.count", Compare: "is", Value: "many"}, {Path: "record.hours", Compare: "more", Value: "two"}, {Path: "record.due", Compare: "less", Value: "soon"},
		{Path: "record.gone", Compare: "is", Value: "x"}, {Path: "record.done", Compare: "is", Value: "perhaps"}, {Path: "record.count", Compare: "is"},
		{Path: "record.due", Compare: "less", Value: "today()-soon"}, {Path: "record.state", Compare: "resembles", Value: "x"}, {Path: "user", Compare: "role", Value: "King"},
		{Path: "record.cabin.lift.name.length", Compare: "holds"}, {Path: "record.cabin", Compare: "available"}, {Path: "record.count", Compare: "in"},
		{Path: "record.state\" == \"\" || true || record.state", Compare: "is", Value: "x"}, {Path: "record.state", Compare: "is", With: "record.count"},
	} {
		text := cond.Rows{Mode: "all", Rows: []cond.Row{row}}.Text(types)
		if _, problem := c.Condition(defectScope, text); problem == nil && text != "record.count in []" {
			t.Errorf("%+v was accepted as %s", row, text)
		}
	}
}

func TestNestedRowsKeepTheirGroups(t *testing.T) {
	c, types := defectTypes(t)
	open, many, urgent := cond.Row{Path: "record.state", Compare: "is", Value: "open"}, cond.Row{Path: "record.count", Compare: "more", Value: "1"}, cond.Row{Path: "record.done", Compare: "holds"}
	group := func(mode string, rows ...cond.Row) cond.Row {
		return cond.Row{Group: &cond.Rows{Mode: mode, Rows: rows}}
	}
	for _, tc := range []struct {
		rows cond.Rows
		text string
	}{
		{cond.Rows{Mode: "all", Rows: []cond.Row{open, many, urgent}}, `record.state == "open" && record.count > 1 && record.done`},
		{cond.Rows{Mode: "any", Rows: []cond.Row{open, group("all", many, urgent)}}, `record.state == "open" || (record.count > 1 && record.done)`},
		{cond.Rows{Mode: "none", Rows: []cond.Row{open, many}}, `!(record.state == "open" || record.count > 1)`},
		{cond.Rows{Mode: "none", Rows: []cond.Row{open}}, `!(record.state == "open")`},
		{cond.Rows{Mode: "all", Rows: []cond.Row{open, group("none", many, group("all", urgent, open))}}, `record.state == "open" && !(record.count > 1 || (record.done && record.state == "open"))`},
		{cond.Rows{Mode: "all", Rows: []cond.Row{open, group("any", many, group("none", urgent, many))}}, `record.state == "open" && (record.count > 1 || !(record.done || record.count > 1))`},
	} {
		text := tc.rows.Text(types)
		if text != tc.text {
			t.Errorf("%+v becomes %s, want %s", tc.rows, text, tc.text)
		}
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Fatal(problem.Message)
		}
		back, ok := cond.RowsOf(e.Root)
		if !ok || !reflect.DeepEqual(back, tc.rows) {
			t.Errorf("%s shows as %+v, want %+v", text, back, tc.rows)
		}
	}
	empty := cond.Rows{Mode: "all", Rows: []cond.Row{open, group("any")}}
	if text := empty.Text(types); text != `record.state == "open"` {
		t.Errorf("a group without rows is written: %s", text)
	}
	if text := (cond.Rows{Mode: "none"}).Text(types); text != "" {
		t.Errorf("no rows are %q", text)
	}
}

func TestWhatRowsCannotShowStaysText(t *testing.T) {
	c := compiler(t)
	for _, text := range []string{`3 < record.count`, `record.count + 1 == 2`, `record.state in [record.code]`, `record.code.size() > 2`, `record.state == "open" && record.count * 2 > 3`, `record.done ? true : false`, `[1].exists(x, x == record.count)`} {
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Errorf("%s: %s", text, problem.Message)
			continue
		}
		if rows, ok := cond.RowsOf(e.Root); ok {
			t.Errorf("%s was shown as the rows %+v", text, rows)
		}
	}
}

func TestNamedConditionsStandForWhatTheySay(t *testing.T) {
	c := compiler(t)
	e, problem := c.Condition(defectScope, `record.urgent && !record.cabin.upper`)
	if problem != nil {
		t.Fatal(problem.Message)
	}
	if got := e.Root.Phrase(); got != "open and worth doing and not (cabin: on the upper lift)" {
		t.Errorf("said as %q", got)
	}
	if e.Stored != `record.c_urgent && !record.f_cabin.c_upper` {
		t.Errorf("stored as %s", e.Stored)
	}
	w := world{values: map[string]cond.Value{"record.f_state": cond.String("open"), "record.f_count": cond.Int(3), "record.f_cabin.f_lift.f_name": cond.String("Lower Tarn")}}
	if v := e.Root.Eval(w); !v.True() {
		t.Errorf("decided as %v, %s", v, v.Why())
	}
	part := e.Root.Explain(w)
	if len(part.Parts) != 2 || len(part.Parts[0].Parts) != 1 || len(part.Parts[0].Parts[0].Parts) != 2 {
		t.Errorf("explained as %+v", part)
	}
	if used := strings.Join(e.Root.NamedUsed(), " "); used != "c_urgent c_upper" {
		t.Errorf("uses %s", used)
	}
	if _, problem := c.Condition(defectScope, `record.looped`); problem == nil || !strings.Contains(problem.Message, "uses itself") {
		t.Errorf("a condition that uses itself: %v", problem)
	}
	if _, problem := c.Condition(defectScope, `record.broken`); problem == nil || !strings.Contains(problem.Message, "cannot be read") {
		t.Errorf("a condition that cannot be read: %v", problem)
	}
}

// What a shared condition leaves to the library works from wherever it is seen.
func TestOpaquePartsOfNamedConditionsSeeTheirOwnRecord(t *testing.T) {
	c := compiler(t)
	e, problem := c.Condition(defectScope, `record.cabin.odd`)
	if problem != nil {
		t.Fatal(problem.Message)
	}
	for number, want := range map[string]bool{"7": true, "8": false} {
		w := world{values: map[string]cond.Value{"record.f_cabin.f_no": cond.String(number)}}
		if v := e.Root.Eval(w); !v.Known() || v.True() != want {
			t.Errorf("cabin %s: %v %s", number, v, v.Why())
		}
	}
	if v := e.Root.Eval(world{}); v.Known() {
		t.Error("decided without a value")
	}
}
