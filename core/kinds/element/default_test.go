package element_test

import (
	"strings"
	"testing"

	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

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

func TestFormatsThatThereAreNone(t *testing.T) {
	for format, right := range map[string]bool{"": true, "long": true, "2": true, "loud": false} {
		if err := (&element.Field{Path: "f_a", Format: format}).Validate(); (err == nil) != right {
			t.Errorf("%q: %v", format, err)
		}
	}
}

func TestADefaultOfAnotherKindIsAFinding(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_what/default","value":"today()"}]`)
	if len(s.App.Problems) != 1 || !strings.Contains(s.App.Problems[0].Problem.Message, "of another kind") {
		t.Errorf("%+v", s.App.Problems)
	}
}
