package nav

import (
	"fmt"
	"strings"
	"testing"

	"ambergate/core/cond"
)

// adding is a gate that adds a defect and opens it.
func adding(fields string) string {
	return fmt.Sprintf(`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"pos":1,"kind":"add","table":"t_defects","fields":{%s}}},"move":{"kind":"screen","target":"s_defect","mode":"edit","bind":{"i_d":{"rule":"saved","table":"t_defects"}}}}}}`, fields)
}

const door = `"f_code":"\"D-\" + record.f_no","f_what":"\"Door\"","f_state":"\"open\"","f_cabin":"record","f_by":"user.record"`

func TestARecordIsAddedWithoutAFormAndOpened(t *testing.T) {
	s := newStand(t, wiredTo("s_cabin", adding(door)))
	for _, p := range s.app.Problems {
		t.Fatalf("%+v", p)
	}
	o := s.mustOpen(t, s.mira, "cabin?cabin=7")
	if e := element(t, o.View(), "e_try"); e.State != "shown" {
		t.Fatalf("%s, %q", e.State, e.Reason)
	}
	w := s.called(t, s.mira, "cabin?cabin=7")
	if got := sentenceText(w.Sentence); !strings.HasSuffix(got, "add a new defect with by = the user and cabin = this cabin and code = D- + number and state = open and what = Door, then open Defect on the defect just added to edit, in full.") {
		t.Errorf("it says %s", got)
	}
	before := len(s.data.data["t_defects"])
	out, err := press(t, o, s, Press{Element: "e_try"})
	if err != nil {
		t.Fatal(err)
	}
	if len(s.data.data["t_defects"]) != before+1 {
		t.Fatalf("%d records, %d before", len(s.data.data["t_defects"]), before)
	}
	key := out.To.Inputs["i_d"]
	made := s.data.data["t_defects"][key]
	if out.To.Screen != "s_defect" || out.To.Mode != "edit" || made == nil || !cond.Equal(made["f_code"], cond.String("D-007")) || !cond.Equal(made["f_cabin"], cond.Key("7")) || !cond.Equal(made["f_by"], cond.Key("1")) {
		t.Errorf("led to %+v, made %+v", out.To, made)
	}
}

func TestAddingAsksForTheRightAndForWhatARecordNeeds(t *testing.T) {
	s := newStand(t, wiredTo("s_cabin", adding(door)))
	if e := element(t, s.mustOpen(t, s.sela, "cabin?cabin=7").View(), "e_try"); e.State != "greyed" || !strings.Contains(e.Reason, "may not add defects") {
		t.Errorf("without the right: %s, %q", e.State, e.Reason)
	}
	if _, err := press(t, s.mustOpen(t, s.sela, "cabin?cabin=7"), s, Press{Element: "e_try"}); err == nil {
		t.Error("a press without the right is not refused")
	}
	for name, tc := range map[string]struct{ fields, says string }{
		"without what it needs":   {`"f_code":"\"D-9\"","f_state":"\"open\""`, "no “What”"},
		"with nothing for it":     {`"f_code":"\"D-9\"","f_what":"null","f_state":"\"open\""`, "no “What”"},
		"a choice that is none":   {`"f_code":"\"D-9\"","f_what":"\"Door\"","f_state":"\"ajar\""`, "cannot hold"},
		"a parent that is gone":   {`"f_code":"\"D-9\"","f_what":"\"Door\"","f_state":"\"open\"","f_cabin":"key(\"99\")"`, "1 fields"},
		"a field of another kind": {`"f_code":"\"D-9\"","f_what":"today()","f_state":"\"open\""`, "of another kind"},
	} {
		s := newStand(t, wiredTo("s_cabin", adding(tc.fields)))
		before := len(s.data.data["t_defects"])
		_, err := press(t, s.mustOpen(t, s.mira, "cabin?cabin=7"), s, Press{Element: "e_try"})
		if err == nil || !strings.Contains(fmt.Sprint(err), tc.says) || len(s.data.data["t_defects"]) != before {
			t.Errorf("%s: %v", name, err)
		}
	}
}

func TestWhatIsAddedIsCheckedBeforeAnybodyPressesIt(t *testing.T) {
	elsewhere := `{"op":"add","path":"/t_orders","value":{"kind":"table","source":"so_other","relation":"orders","label":"Orders","one":"order","key":["f_o"],"title":"{record.f_o}","fields":{"f_o":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"}}}}`
	for name, tc := range map[string]struct{ gate, says string }{
		"a table that is gone":    {does(`"kind":"add","table":"t_gone"`), "table it adds to is gone"},
		"a field that is gone":    {does(`"kind":"add","table":"t_defects","fields":{"f_gone":"1"}`), "field that it sets is gone"},
		"a value of another kind": {does(`"kind":"add","table":"t_defects","fields":{"f_hours":"true"}`), "“Hours” is"},
		"another database":        {does(`"kind":"add","table":"t_orders","fields":{"f_o":"1"}`), "another database"},
		"a record never added":    {one(`{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"saved","table":"t_defects"}}}`), "adds none"},
	} {
		s := newStand(t, wiredTo("s_cabin", tc.gate, elsewhere))
		if len(s.app.Problems) != 1 || !strings.Contains(s.app.Problems[0].Problem.Message, tc.says) || s.app.Problems[0].Element != "e_try" {
			t.Errorf("%s: %+v", name, s.app.Problems)
		}
	}
}

func TestTheRecordJustAddedIsProposedFirst(t *testing.T) {
	s := newStand(t, wiredTo("s_cabin", adding(door)))
	way, _ := s.app.WayAt("s_cabin", "e_try", "release")
	way.Gate = nil // as what the screen can give is asked for
	if got := s.app.Propose(way, "s_defect", "i_d"); len(got) == 0 || got[0].Words != "the defect just added" {
		t.Errorf("%+v", got)
	}
	way, _ = s.app.WayAt("s_cabin", "e_add", "release")
	for _, p := range s.app.Propose(way, "s_defect", "i_d") {
		if strings.Contains(p.Words, "just added") {
			t.Errorf("where nothing is added: %+v", p)
		}
	}
}

func TestATextThatIsSetToNothingIsEmpty(t *testing.T) {
	s := newStand(t, wiredTo("s_defect", does(`"kind":"set","fields":{"f_note":"null"}`), `{"op":"add","path":"/t_defects/fields/f_note","value":{"pos":9,"column":"note","alias":"note","label":"Note","type":"text","nullable":true}}`))
	s.data.data["t_defects"]["1"]["f_note"] = cond.String("Look again")
	if _, err := press(t, s.mustOpen(t, s.mira, "defect?defect=1"), s, Press{Element: "e_try"}); err != nil {
		t.Fatal(err)
	}
	if v := s.data.data["t_defects"]["1"]["f_note"]; !v.IsNull() {
		t.Errorf("it is %q", v.Wire())
	}
}
