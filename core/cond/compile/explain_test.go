package compile_test

import (
	"testing"

	"ambergate/core/cond"
)

func TestPhrase(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string]string{
		`record.state == "open"`:                                          "state is “open”",
		`record.state != "closed"`:                                        "state is not “closed”, or empty",
		`record.cabin.lift.name == "Upper Tarn"`:                          "cabin’s lift’s name is “Upper Tarn”",
		`record.note == null && record.severity > "low"`:                  "note is empty and severity is more than “low”",
		`record.due < today() && (record.state == "open" || record.done)`: "due is before today and (state is “open” or done is yes)",
		`user.is("Shift lead")`:                                           "the user is Shift lead",
		`record.severity in ["high", "medium"]`:                           "severity is one of “high” or “medium”",
		`!record.done`:                                                    "done is no",
		`record.due >= daysAgo(7)`:                                        "due is on or after 7 days ago",
	} {
		e, p := c.Condition(defectScope, text)
		if p != nil {
			t.Fatalf("%s: %s", text, p.Message)
		}
		if got := e.Root.Phrase(); got != want {
			t.Errorf("%s says %q, want %q", text, got, want)
		}
	}
}

func TestExplainNamesTheDecidingPart(t *testing.T) {
	c := compiler(t)
	w := world{values: map[string]cond.Value{"record.f_state": cond.String("closed"), "record.f_sev": cond.String("high"), "record.f_note": cond.UnknownBecause("hidden")}}
	for _, tc := range []struct{ text, state, deciding string }{
		{`record.severity == "high" && record.state == "open"`, "no", "state is “open”"},
		{`record.severity == "high" || record.state == "open"`, "yes", "severity is “high”"},
		{`record.severity == "high" && record.note == "x"`, "unknown", "note is “x”"},
		{`record.severity == "low" || (record.state == "closed" && record.severity == "high")`, "yes", "state is “closed”"},
	} {
		e, p := c.Condition(defectScope, tc.text)
		if p != nil {
			t.Fatal(p.Message)
		}
		part := e.Root.Explain(w)
		if part.State != tc.state || part.Deciding().Words != tc.deciding {
			t.Errorf("%s: %s, decided by %q; want %s by %q", tc.text, part.State, part.Deciding().Words, tc.state, tc.deciding)
		}
		if part.State != cond.StateOf(e.Root.Eval(w)) {
			t.Errorf("%s: the explanation's root differs from the evaluation", tc.text)
		}
	}
}

func TestRowsAndTextAreOneTree(t *testing.T) {
	c := compiler(t)
	types := func(path string) (cond.Type, bool) { return c.TypeOf(defectScope, path) }
	for _, text := range []string{
		`record.state == "open" && record.count >= 3 && record.done == true`,
		`record.hours < 2.5 || record.note == null || record.due < today()`,
		`record.cabin.lift.name != "Upper \"Tarn\""`,
		`record.due > date("2026-01-31")`,
	} {
		e, p := c.Condition(defectScope, text)
		if p != nil {
			t.Fatalf("%s: %s", text, p.Message)
		}
		rows, ok := cond.RowsOf(e.Root)
		if !ok {
			t.Fatalf("%s does not show as rows", text)
		}
		if got := rows.Text(types); got != text {
			t.Errorf("rows say %s, want %s", got, text)
		}
	}
}

func TestTemplate(t *testing.T) {
	c := compiler(t)
	tm, p := c.Template(defectScope, "Defect {record.code} {{at {record.cabin.number}, {record.note}")
	if p != nil {
		t.Fatal(p.Message)
	}
	w := world{values: map[string]cond.Value{"record.f_code": cond.String("D-1"), "record.f_note": cond.NullValue}}
	got := tm.Say(w, func(v cond.Value, _ cond.Type) string { return v.Wire() })
	if want := "Defect D-1 {at –, "; got != want {
		t.Errorf("says %q, want %q", got, want)
	}
	if want := "Defect {record.f_code} {{at {record.f_cabin.f_no}, {record.f_note}"; tm.Stored() != want {
		t.Errorf("stored %q, want %q", tm.Stored(), want)
	}
	if _, p := c.Template(defectScope, "Open {record.cod}"); p == nil || p.At != 13 || p.Proposal != "code" {
		t.Errorf("problem %+v, want place 13 and proposal code", p)
	}
	if _, p := c.Template(defectScope, "Open {record.code"); p == nil {
		t.Error("an open brace was accepted")
	}
}

// named is a world that knows what one record is called.
type named struct{ cond.World }

func (named) NameOf(p *cond.Path) string {
	if p.Key == "f_cabin" {
		return "Cabin 087"
	}
	return ""
}

func TestATemplateSaysRecordsByTheirNames(t *testing.T) {
	c := compiler(t)
	tm, p := c.Template(defectScope, "On {record.cabin}, {record.code}")
	if p != nil {
		t.Fatal(p.Message)
	}
	w := world{values: map[string]cond.Value{"record.f_cabin": cond.Key("87"), "record.f_code": cond.String("D-1")}}
	words := func(v cond.Value, _ cond.Type) string { return v.Wire() }
	if got := tm.Say(w, words); got != "On 87, D-1" {
		t.Errorf("a world that knows no names: %q", got)
	}
	if got := tm.Say(named{w}, words); got != "On Cabin 087, D-1" {
		t.Errorf("one that does: %q", got)
	}
	if got := tm.Phrase(); got != "On cabin, code" {
		t.Errorf("without a record: %q", got)
	}
}
