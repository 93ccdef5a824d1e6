package press_test

import (
	"errors"
	"slices"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

// inPlace gives the cabin form its defects as a list that is edited in place, with buttons of its own.
const inPlace = `[
 {"op":"replace","path":"/gr_1","value":{"kind":"grant","role":"r_tech","table":"t_defects","view":true,"add":true,"edit":true,"delete":true,"changes":"record.f_state == \"open\""}},
 {"op":"add","path":"/s_cabin/elements/e_defects","value":{"kind":"list","pos":10,"cell":{"row":2,"col":1,"w":12},"table":"t_defects","relation":"f_cabin","inPlace":true,"label":"Its defects","columns":{"k_1":{"pos":1,"path":"f_code"},"k_2":{"pos":2,"path":"f_what"},"k_3":{"pos":3,"path":"f_state"},"k_4":{"pos":4,"path":"f_hours"},"k_5":{"pos":5,"path":"f_by.f_name"}},
   "several":{"v_close":{"pos":1,"words":"Close them","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1,"fields":{"f_state":"\"closed\""}}}}}}},"v_del":{"pos":2,"words":"Delete them","gate":{"while":"row.f_state == \"open\"","otherwise":{"grey":"It is closed."},"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"delete","pos":1}}}}}}}}},
 {"op":"add","path":"/s_cabin/elements/e_row","value":{"kind":"button","pos":11,"cell":{"row":3,"col":1,"w":2},"words":"Add a row","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"addRow","pos":1,"list":"e_defects"}}}}}}},
 {"op":"add","path":"/s_cabin/elements/e_del","value":{"kind":"button","pos":12,"cell":{"row":3,"col":3,"w":2},"words":"Remove it","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"delete","pos":1,"list":"e_defects"}}}}}}},
 {"op":"add","path":"/s_cabin/elements/e_down","value":{"kind":"button","pos":13,"cell":{"row":3,"col":5,"w":2},"words":"Down","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"next","list":"e_defects"}}}}}},
 {"op":"add","path":"/s_defect/elements/e_gone","value":{"kind":"button","pos":14,"cell":{"row":4,"col":1,"w":2},"words":"Delete","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"delete","pos":1}}}}}}}
]`

// cabin opens cabin 7, whose defects are 1 (open) and 2 (closed), with a chosen row.
func cabin(s *stand.Stand, t testing.TB, chosen string) *use.Opening {
	t.Helper()
	return s.At(t, place.Place{Screen: "s_cabin", Mode: "view", Inputs: map[string]string{"i_c": "7"}, Look: map[string]place.Look{"e_defects": {Row: chosen}}})
}

func TestRowsAreStepppedInAndRemoved(t *testing.T) {
	s := stand.New(t, inPlace)
	o := cabin(s, t, "1")
	out, err := stand.Press(t, o, s, press.Press{Element: "e_down"})
	if err != nil || out.Kind != "stay" || out.Choose == nil || out.Choose.Row != "2" {
		t.Fatalf("%+v, %v", out, err)
	}
	if b := stand.Element(t, cabin(s, t, "2").View(), "e_down"); b.State != "greyed" || !strings.Contains(b.Reason, "last row of “Its defects”") {
		t.Errorf("at the end: %+v", b)
	}
	if out, err := stand.Press(t, cabin(s, t, ""), s, press.Press{Element: "e_down"}); err != nil || out.Choose.Row != "1" {
		t.Errorf("from none: %+v, %v", out, err)
	}
	if b := stand.Element(t, cabin(s, t, "").View(), "e_del"); b.State != "greyed" || b.Reason != "Choose a row of the list first." {
		t.Errorf("none chosen: %+v", b)
	}
	if b := stand.Element(t, cabin(s, t, "2").View(), "e_del"); b.State != "greyed" || b.By != "row-rule" {
		t.Errorf("not one's own to delete: %+v", b)
	}
	q, err := stand.Press(t, o, s, press.Press{Element: "e_del"})
	if err != nil || q.Question == nil || q.Question.Kind != "delete" || q.Question.Words != "Delete defect D-1?" {
		t.Fatalf("%+v, %v", q, err)
	}
	done, err := stand.Press(t, cabin(s, t, "1"), s, press.Press{Element: "e_del", Confirmed: true})
	if err != nil || done.Choose.Row != "2" || s.Data.Rows["t_defects"]["1"] != nil {
		t.Errorf("%+v, %v", done, err)
	}
	// A row of another cabin is not in this list, whatever the browser says.
	if c := cabin(s, t, "3").Chosen["e_defects"]; c.Row != nil {
		t.Errorf("a row of elsewhere is chosen: %+v", c.Row)
	}
}

func TestARowIsKeptWhereItStands(t *testing.T) {
	s := stand.New(t, inPlace)
	list := stand.Element(t, cabin(s, t, "").View(), "e_defects").View.(*element.ListView)
	if !list.InPlace || !list.Adds || !list.Rows[0].Edits || list.Rows[1].Edits {
		t.Fatalf("%+v", list)
	}
	if c := list.Columns[4]; c.Edits || c.Adds {
		t.Errorf("a field of the parent can be edited: %+v", c)
	}
	keep := func(row string, values map[string]string, more func(*press.Press)) (press.Outcome, error) {
		p := press.Press{Element: "e_defects", Trigger: "keepRow", Row: row, Values: values, Base: map[string]string{"f_what": "Door"}, Version: list.Rows[0].Version}
		if more != nil {
			more(&p)
		}
		return stand.Press(t, cabin(s, t, ""), s, p)
	}
	if out, err := keep("1", map[string]string{"f_what": "Door rubs"}, nil); err != nil || out.Choose.Row != "1" || s.Data.Rows["t_defects"]["1"]["f_what"].Wire() != "Door rubs" {
		t.Fatalf("%+v, %v", out, err)
	}
	// It has changed since: the same field is put to the user.
	if out, err := keep("1", map[string]string{"f_what": "Door stuck"}, nil); err != nil || out.Question == nil || out.Question.Kind != "conflict" {
		t.Errorf("%+v, %v", out, err)
	}
	var wrong *ask.FieldErrors
	if _, err := keep("", map[string]string{"f_hours": "x"}, nil); !errors.As(err, &wrong) || wrong.Fields["f_hours"] == "" {
		t.Errorf("a wrong value: %v", err)
	}
	if _, err := keep("", map[string]string{"f_hours": "2"}, nil); !errors.As(err, &wrong) || wrong.Fields["f_what"] != "Fill in “What”." {
		t.Errorf("a missing value: %v", err)
	}
	out, err := keep("", map[string]string{"f_code": "D-9", "f_what": "Seat", "f_state": "open"}, nil)
	if err != nil || s.Data.Rows["t_defects"][out.Choose.Row]["f_cabin"].Wire() != "7" {
		t.Errorf("a new row: %+v, %v", out, err)
	}
	for name, try := range map[string]func() (press.Outcome, error){
		"a row that may not be changed": func() (press.Outcome, error) { return keep("2", map[string]string{"f_what": "x"}, nil) },
		"a row of elsewhere":            func() (press.Outcome, error) { return keep("3", map[string]string{"f_what": "x"}, nil) },
		"a field that is not there":     func() (press.Outcome, error) { return keep("1", map[string]string{"f_cabin": "8"}, nil) },
		"a list that is not in place": func() (press.Outcome, error) {
			return stand.Press(t, s.MustOpen(t, s.Mira, "defects"), s, press.Press{Element: "e_list", Trigger: "keepRow", Row: "1", Values: map[string]string{"f_code": "x"}})
		},
	} {
		if out, err := try(); stand.Code(err) == "" {
			t.Errorf("%s: %+v, %v", name, out, err)
		}
	}
	if out, err := stand.Press(t, cabin(s, t, ""), s, press.Press{Element: "e_row"}); err != nil || out.Choose == nil || !out.Choose.Adding {
		t.Errorf("beginning a row: %+v, %v", out, err)
	}
}

func TestSeveralRowsAllOrNone(t *testing.T) {
	s := stand.New(t, inPlace)
	s.Data.Rows["t_defects"]["5"] = map[string]cond.Value{"f_code": cond.String("D-5"), "f_what": cond.String("Mat"), "f_state": cond.String("open"), "f_cabin": cond.Key("7")}
	several := func(trigger string, rows ...string) (press.Outcome, error) {
		return stand.Press(t, cabin(s, t, ""), s, press.Press{Element: "e_defects", Trigger: trigger, Rows: rows, Confirmed: true})
	}
	if _, err := several("several.v_del", "1", "2"); stand.Code(err) != "greyed" || !strings.Contains(err.Error(), "D-2") {
		t.Errorf("one that is shut: %v", err)
	}
	for _, rows := range [][]string{nil, {"3"}, slices.Repeat([]string{"x"}, 600)} {
		if _, err := several("several.v_del", rows...); stand.Code(err) == "" {
			t.Errorf("%d rows are taken", len(rows))
		}
	}
	q, err := stand.Press(t, cabin(s, t, ""), s, press.Press{Element: "e_defects", Trigger: "several.v_del", Rows: []string{"1", "5"}})
	if err != nil || q.Question == nil || q.Question.Words != "Delete 2 defects?" {
		t.Errorf("%+v, %v", q, err)
	}
	out, err := several("several.v_del", "1", "5", "5")
	if err != nil || out.Done != 2 || s.Data.Rows["t_defects"]["1"] != nil || s.Data.Rows["t_defects"]["5"] != nil {
		t.Errorf("%+v, %v", out, err)
	}
	// The usual trigger of a list is its row, not what is done with several.
	if _, err := stand.Press(t, cabin(s, t, ""), s, press.Press{Element: "e_defects", Row: "2"}); stand.Code(err) != "greyed" {
		t.Errorf("a list without an opened row: %v", err)
	}
}

func TestADeletedRecordIsLeft(t *testing.T) {
	s := stand.New(t, inPlace)
	o := s.MustOpen(t, s.Mira, "defect?defect=1")
	out, err := stand.Press(t, o, s, press.Press{Element: "e_gone", Confirmed: true})
	if err != nil || out.Kind != "move" || out.Move != "back" || out.Deleted != "1" {
		t.Errorf("%+v, %v", out, err)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=2").View(), "e_gone"); b.State != "greyed" || b.Reason != "You may view this defect, but not delete it." {
		t.Errorf("%+v", b)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Sela, "defect?defect=2").View(), "e_gone"); b.By != "grant" {
		t.Errorf("without the right: %+v", b)
	}
}

func TestUnsavedWorkCanWait(t *testing.T) {
	s := stand.New(t, stand.Stepping)
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	typed := press.Press{Element: "e_next", Values: map[string]string{"f_what": "Door rubs"}, Base: map[string]string{"f_what": "Door"}}
	if out, err := stand.Press(t, o, s, typed); err != nil || out.Question == nil || out.Question.Kind != "unsaved" {
		t.Fatalf("%+v, %v", out, err)
	}
	typed.Unsaved = "keep"
	if out, err := stand.Press(t, o, s, typed); err != nil || out.Kind != "move" || out.Forget || out.To.Mode != "edit" {
		t.Errorf("kept for later: %+v, %v", out, err)
	}
	typed.Unsaved = "drop"
	if out, err := stand.Press(t, o, s, typed); err != nil || !out.Forget {
		t.Errorf("dropped: %+v, %v", out, err)
	}
}

func TestAListIsExportedAsItIsSeen(t *testing.T) {
	s := stand.New(t, "")
	s.Data.Rows["t_defects"]["1"]["f_code"] = cond.String("=1+1")
	var lines []string
	err := element.Export(t.Context(), s.MustOpen(t, s.Mira, "defects?~sort=code"), s.Data, "e_list", 1000, func(cells []string) error {
		lines = append(lines, strings.Join(cells, ";"))
		return nil
	})
	if err != nil || !slices.Equal(lines, []string{"Code;Cabin;Name", "'=1+1;007;Upper Tarn", "D-2;007;Upper Tarn", "D-3;;"}) {
		t.Errorf("%q, %v", lines, err)
	}
	full := errors.New("the disk is full")
	if err := element.Export(t.Context(), s.MustOpen(t, s.Mira, "defects"), s.Data, "e_list", 1000, func([]string) error { return full }); !errors.Is(err, full) {
		t.Errorf("an error while writing: %v", err)
	}
	begun := false
	err = element.Export(t.Context(), s.MustOpen(t, s.Mira, "defects"), s.Data, "e_list", 2, func([]string) error { begun = true; return nil })
	if stand.Code(err) != "too-long" || begun {
		t.Errorf("three rows where two may be: %v, begun %v", err, begun)
	}
	nobody := &ask.User{ID: "v", Name: "V", Roles: map[string]bool{"r_vis": true}}
	if err := element.Export(t.Context(), s.MustOpen(t, nobody, "defects"), s.Data, "e_list", 1000, func([]string) error { return nil }); stand.Code(err) != "no-element" {
		t.Errorf("without the right: %v", err)
	}
}

func TestAMissingParentIsAddedWhereThatIsAllowed(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_cab","value":{"kind":"field","pos":20,"cell":{"row":5,"col":1,"w":4},"path":"f_cabin","add":"s_cabin"}},{"op":"add","path":"/gr_2/add","value":true}]`)
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	if f := stand.Element(t, o.View(), "e_cab").View.(*element.FieldView); !f.Add {
		t.Errorf("%+v", f)
	}
	if p, err := element.AddParent(o, "f_cabin"); err != nil || p.Screen != "s_cabin" || p.Mode != "add" {
		t.Errorf("%+v, %v", p, err)
	}
	for _, at := range []struct{ address, field string }{{"defect?defect=1", "f_cabin"}, {"defect?defect=1&~mode=edit", "f_what"}, {"defect?defect=1&~mode=edit", "f_gone"}} {
		if p, err := element.AddParent(s.MustOpen(t, s.Mira, at.address), at.field); err == nil {
			t.Errorf("%s %s: %+v", at.address, at.field, p)
		}
	}
}
