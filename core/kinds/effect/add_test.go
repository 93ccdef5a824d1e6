package effect_test

import (
	"fmt"
	"strings"
	"testing"

	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/press"
	"ambergate/core/stand"
)

func TestARecordIsAddedWithoutAFormAndOpened(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_cabin", stand.Adding(stand.Door)))
	for _, p := range s.App.Problems {
		t.Fatalf("%+v", p)
	}
	o := s.MustOpen(t, s.Mira, "cabin?cabin=7")
	if e := stand.Element(t, o.View(), "e_try"); e.State != "shown" {
		t.Fatalf("%s, %q", e.State, e.Reason)
	}
	w := s.Called(t, s.Mira, "cabin?cabin=7")
	if got := stand.SentenceText(w.Sentence); !strings.HasSuffix(got, "add a new defect with by = the user and cabin = this cabin and code = “D-” + number and state = “open” and what = “Door”, then open Defect on the defect just added to edit, in full.") {
		t.Errorf("it says %s", got)
	}
	before := len(s.Data.Rows["t_defects"])
	out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
	if err != nil {
		t.Fatal(err)
	}
	if len(s.Data.Rows["t_defects"]) != before+1 {
		t.Fatalf("%d records, %d before", len(s.Data.Rows["t_defects"]), before)
	}
	key := out.To.Inputs["i_d"]
	made := s.Data.Rows["t_defects"][key]
	if out.To.Screen != "s_defect" || out.To.Mode != "edit" || made == nil || !cond.Equal(made["f_code"], cond.String("D-007")) || !cond.Equal(made["f_cabin"], cond.Key("7")) || !cond.Equal(made["f_by"], cond.Key("1")) {
		t.Errorf("led to %+v, made %+v", out.To, made)
	}
}

func TestAddingAsksForTheRightAndForWhatARecordNeeds(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_cabin", stand.Adding(stand.Door)))
	if e := stand.Element(t, s.MustOpen(t, s.Sela, "cabin?cabin=7").View(), "e_try"); e.State != "greyed" || !strings.Contains(e.Reason, "may not add defects") {
		t.Errorf("without the right: %s, %q", e.State, e.Reason)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Sela, "cabin?cabin=7"), s, press.Press{Element: "e_try"}); err == nil {
		t.Error("a press without the right is not refused")
	}
	for name, tc := range map[string]struct{ fields, says string }{
		"without what it needs":   {`"f_code":"\"D-9\"","f_state":"\"open\""`, "no “What”"},
		"with nothing for it":     {`"f_code":"\"D-9\"","f_what":"null","f_state":"\"open\""`, "no “What”"},
		"a choice that is none":   {`"f_code":"\"D-9\"","f_what":"\"Door\"","f_state":"\"ajar\""`, "cannot hold"},
		"a parent that is gone":   {`"f_code":"\"D-9\"","f_what":"\"Door\"","f_state":"\"open\"","f_cabin":"key(\"99\")"`, "1 fields"},
		"a field of another kind": {`"f_code":"\"D-9\"","f_what":"today()","f_state":"\"open\""`, "of another kind"},
	} {
		s := stand.New(t, stand.WiredTo("s_cabin", stand.Adding(tc.fields)))
		before := len(s.Data.Rows["t_defects"])
		_, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_try"})
		if err == nil || !strings.Contains(fmt.Sprint(err), tc.says) || len(s.Data.Rows["t_defects"]) != before {
			t.Errorf("%s: %v", name, err)
		}
	}
}

func TestWhatIsAddedIsCheckedBeforeAnybodyPressesIt(t *testing.T) {
	elsewhere := `{"op":"add","path":"/t_orders","value":{"kind":"table","source":"so_other","relation":"orders","label":"Orders","one":"order","key":["f_o"],"title":"{record.f_o}","fields":{"f_o":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"}}}}`
	for name, tc := range map[string]struct{ gate, says string }{
		"a table that is gone":    {stand.Does(`"kind":"add","table":"t_gone"`), "table it adds to is gone"},
		"a field that is gone":    {stand.Does(`"kind":"add","table":"t_defects","fields":{"f_gone":"1"}`), "field that it sets is gone"},
		"a value of another kind": {stand.Does(`"kind":"add","table":"t_defects","fields":{"f_hours":"true"}`), "“Hours” is"},
		"another database":        {stand.Does(`"kind":"add","table":"t_orders","fields":{"f_o":"1"}`), "another database"},
		"a record never added":    {stand.One(`{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"saved","table":"t_defects"}}}`), "adds none"},
	} {
		s := stand.New(t, stand.WiredTo("s_cabin", tc.gate, elsewhere))
		if len(s.App.Problems) != 1 || !strings.Contains(s.App.Problems[0].Problem.Message, tc.says) || s.App.Problems[0].Element != "e_try" {
			t.Errorf("%s: %+v", name, s.App.Problems)
		}
	}
}

func TestTheRecordJustAddedIsProposedFirst(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_cabin", stand.Adding(stand.Door)))
	way, _ := s.App.WayAt("s_cabin", "e_try", "release")
	way.Gate = nil // as what the screen can give is asked for
	if got := build.Propose(s.App, way, "s_defect", "i_d"); len(got) == 0 || got[0].Words != "the defect just added" {
		t.Errorf("%+v", got)
	}
	way, _ = s.App.WayAt("s_cabin", "e_add", "release")
	for _, p := range build.Propose(s.App, way, "s_defect", "i_d") {
		if strings.Contains(p.Words, "just added") {
			t.Errorf("where nothing is added: %+v", p)
		}
	}
}

func TestATextThatIsSetToNothingIsEmpty(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_defect", stand.Does(`"kind":"set","fields":{"f_note":"null"}`), `{"op":"add","path":"/t_defects/fields/f_note","value":{"pos":9,"column":"note","alias":"note","label":"Note","type":"text","nullable":true}}`))
	s.Data.Rows["t_defects"]["1"]["f_note"] = cond.String("Look again")
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_try"}); err != nil {
		t.Fatal(err)
	}
	if v := s.Data.Rows["t_defects"]["1"]["f_note"]; !v.IsNull() {
		t.Errorf("it is %q", v.Wire())
	}
}
