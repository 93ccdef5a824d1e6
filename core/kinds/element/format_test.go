package element_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/local"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
)

func TestValuesAreWrittenAsAFormatSays(t *testing.T) {
	s := stand.New(t, "")
	w := s.MustOpen(t, s.Mira, "board").World
	value := func(kind cond.Kind, wire string) cond.Value {
		v, err := cond.Parse(cond.Type{Kind: kind}, wire)
		if err != nil {
			t.Fatal(err)
		}
		return v
	}
	for _, c := range []struct {
		of           string
		v            cond.Value
		format, want string
		german       string
	}{
		{"whole", cond.Int(1234567), "", "1,234,567", "1.234.567"},
		{"whole", cond.Int(1234567), "bare", "1234567", "1234567"},
		{"whole", cond.Int(7), "2", "7", "7"}, // a format of other types is as none
		{"decimal", value(cond.Decimal, "12345.675"), "2", "12,345.68", "12.345,68"},
		{"decimal", value(cond.Decimal, "-0.5"), "0", "-1", "-1"},
		{"decimal", value(cond.Decimal, "12345678901234567890.125"), "1", "12,345,678,901,234,567,890.1", "12.345.678.901.234.567.890,1"},
		{"number", cond.Float(2), "3", "2.000", "2,000"},
		{"date", value(cond.Date, "2026-11-03"), "long", "Tuesday, 3 November 2026", "Dienstag, 3. November 2026"},
		{"date", value(cond.Date, "2026-11-03"), "short", "2026-11-03", "03.11.26"},
		{"date", value(cond.Date, "2026-11-03"), "month", "November 2026", "November 2026"},
		{"moment", value(cond.Moment, "2026-11-03T07:05:00Z"), "time", "07:05", "07:05"},
		{"moment", value(cond.Moment, "2026-11-03T07:05:00Z"), "day", "3 Nov 2026", "03.11.2026"},
		{"yesno", cond.Bool(true), "mark", "✓", "✓"},
		{"yesno", cond.Bool(false), "mark", "–", "–"},
		{"text", cond.String("x"), "long", "x", "x"},
		{"date", cond.NullValue, "long", "", ""},
	} {
		f := &project.Column{Type: c.of}
		for language, want := range map[string]string{"en": c.want, "de": c.german} {
			w.App.Language = local.Of(language)
			if got := w.SayAs(c.v, f, c.format); got != want && !c.v.IsNull() {
				t.Errorf("%s %s as %q in %s: %q, want %q", c.of, c.v.Wire(), c.format, language, got, want)
			}
		}
	}
	if (&element.Field{Path: "f_a", Format: "loud"}).Validate() == nil {
		t.Error("a format that there is none of is taken")
	}
}

const openedToday = `[` + stand.Dated + `,{"op":"add","path":"/s_defect/elements/e_on","value":{"kind":"field","pos":20,"cell":{"row":20,"col":1,"w":4},"path":"f_on","default":"today()"}},
 {"op":"add","path":"/s_defect/elements/e_by","value":{"kind":"field","pos":21,"cell":{"row":21,"col":1,"w":4},"path":"f_by","default":"user.record"}},
 {"op":"add","path":"/s_defect/elements/e_what/default","value":"\"Noise\""}]`

// What a new record begins with is seen, told by its title, kept when it is saved, and gives way to what the way brought.
func TestANewRecordBeginsWithWhatTheScreenSays(t *testing.T) {
	s := stand.New(t, openedToday)
	if len(s.App.Problems) > 0 {
		t.Fatalf("%+v", s.App.Problems)
	}
	field := func(address, id string) *element.FieldView {
		return stand.Element(t, s.MustOpen(t, s.Mira, address).View(), id).View.(*element.FieldView)
	}
	const adding = "defect?~mode=add"
	if on := field(adding, "e_on"); on.Value != "2026-11-24" {
		t.Errorf("%+v", on)
	}
	if by := field(adding, "e_by"); by.Value == "" || by.Words == "" || by.Words == by.Value {
		t.Errorf("the user’s own record: %+v", by)
	}
	if what := field(adding, "e_what"); what.Value != "Noise" {
		t.Errorf("%+v", what)
	}
	if what := field(adding+"&~set.what=Rust", "e_what"); what.Value != "Rust" {
		t.Errorf("what the way brought: %+v", what)
	}
	if what := field("defect?defect=1", "e_what"); what.Value == "Noise" {
		t.Errorf("one that is there already: %+v", what)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, adding), s, press.Press{Element: "e_save", Values: map[string]string{"f_what": "Draught"}})
	if err != nil || out.To == nil {
		t.Fatalf("%+v %v", out, err)
	}
	for key, row := range s.Data.Rows["t_defects"] {
		if strings.HasPrefix(key, "9") && (row["f_what"].Wire() != "Draught" || row["f_on"].Wire() != "2026-11-24" || row["f_by"].IsNull()) {
			t.Errorf("%s is kept as %v", key, row)
		}
	}
}

func TestADefaultOfAnotherKindIsAFinding(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_what/default","value":"today()"}]`)
	if len(s.App.Problems) != 1 || !strings.Contains(s.App.Problems[0].Problem.Message, "of another kind") {
		t.Errorf("%+v", s.App.Problems)
	}
}
