package use_test

import (
	"context"
	"errors"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
	"ambergate/core/words"
)

func TestTheProjectOfTheTestsIsSound(t *testing.T) {
	s := stand.New(t, "")
	for _, p := range s.App.Problems {
		t.Errorf("%s %s %s: %s", p.Screen, p.Element, p.Where, p.Problem.Message)
	}
}

func TestAddressesAreCalls(t *testing.T) {
	s := stand.New(t, "")
	for _, address := range []string{
		"/defects", "/defects?cabin=7", "/defects?cabin=7&by=1&~filter.state=isNot%3Aclosed&~sort=-code&~sort=what",
		"/defect?defect=1&~mode=edit", "/defect?~mode=add&~set.cabin=7",
	} {
		slug, query, _ := strings.Cut(address[1:], "?")
		p, err := place.Parse(s.App.Project, slug, query)
		if err != nil {
			t.Errorf("%s: %v", address, err)
			continue
		}
		if got := p.Address(s.App.Project); got != address {
			t.Errorf("%s is written as %s", address, got)
		}
	}
}

func TestWrongAddressesAreRefusedWithACode(t *testing.T) {
	s := stand.New(t, "")
	for address, code := range map[string]string{
		"nowhere": "no-screen", "defect": "missing-input", "defect?wagon=1": "bad-input", "defect?defect=99": "no-record",
		"defects?~mode=edit": "bad-mode", "defect?defect=1&~mode=dance": "bad-mode", "defects?~filter.gone=is:1": "bad-filter",
		"defects?~filter.state=like:x": "bad-filter", "defects?~sort=gone": "bad-filter", "cabin?cabin=8": "guard", "drive?lift=x%zz": "bad-address",
	} {
		_, err := s.Open(t, s.Mira, address)
		var r *ask.Refusal
		if !errors.As(err, &r) || r.Code != code || r.What == "" {
			t.Errorf("%s: %v, want %s", address, err, code)
		}
	}
}

func TestGrantsGuardScreensAndModes(t *testing.T) {
	s := stand.New(t, "")
	visitor := &ask.User{ID: "v", Name: "V", Roles: map[string]bool{"r_vis": true}}
	for _, tc := range []struct {
		user    *ask.User
		address string
		ok      bool
	}{
		{s.Mira, "defect?defect=1&~mode=edit", true},
		{s.Sela, "defect?defect=1", true},
		{s.Sela, "defect?defect=1&~mode=edit", false},
		{s.Sela, "defect?~mode=add", false},
		{visitor, "defect?defect=1", false},
		{visitor, "defects", true}, // the list says that it may not be seen
	} {
		_, err := s.Open(t, tc.user, tc.address)
		if (err == nil) != tc.ok {
			t.Errorf("%s at %s: %v", tc.user.Name, tc.address, err)
		}
	}
	list := stand.Element(t, s.MustOpen(t, visitor, "defects").View(), "e_list").View.(*element.ListView)
	if list.Refused == "" || len(list.Rows) > 0 {
		t.Errorf("a visitor is shown %+v", list)
	}
}

func TestAListIsOneQueryWithItsParents(t *testing.T) {
	s := stand.New(t, "")
	o := s.MustOpen(t, s.Mira, "defects")
	if s.Data.Queries != 1 {
		t.Errorf("%d queries for a list with parents two deep", s.Data.Queries)
	}
	list := stand.Element(t, o.View(), "e_list").View.(*element.ListView)
	if len(list.Rows) != 3 || list.Rows[0].Cells[1].Words != "007" || list.Rows[0].Cells[2].Words != "Upper Tarn" {
		t.Errorf("rows %+v", list.Rows)
	}
	if len(list.Columns) != 3 {
		t.Errorf("the hidden phone is a column: %+v", list.Columns)
	}
	for _, r := range list.Rows {
		open := r.Title != "D-2"
		if r.Open != open || !open && r.Reason != "Closed." {
			t.Errorf("row %s: open %v, %q", r.Title, r.Open, r.Reason)
		}
	}
}

func TestContextNarrowsAndIsSeen(t *testing.T) {
	s := stand.New(t, "")
	v := s.MustOpen(t, s.Mira, "defects?cabin=7&~filter.state=isNot:closed").View()
	if rows := stand.Element(t, v, "e_list").View.(*element.ListView).Rows; len(rows) != 1 || rows[0].Title != "D-1" {
		t.Errorf("rows %+v", rows)
	}
	if len(v.Context) != 2 || v.Context[0].Words != "007" || !v.Context[0].Clear || v.Context[1].Words != "not closed" {
		t.Errorf("chips %+v", v.Context)
	}
}

func TestMovesAndRecordRules(t *testing.T) {
	s := stand.New(t, "")
	for _, tc := range []struct {
		address string
		press   press.Press
		want    string
	}{
		{"board", press.Press{Element: "e_mine"}, "/defects?by=1&~filter.state=isNot%3Aclosed"},
		{"defects", press.Press{Element: "e_list", Row: "1"}, "/defect?defect=1"},
		{"defect?defect=1", press.Press{Element: "e_cabin"}, "/cabin?cabin=7"},
		{"cabin?cabin=7", press.Press{Element: "e_add"}, "/defect?~mode=add&~set.cabin=7"},
		{"cabin?cabin=7", press.Press{Element: "e_dlg"}, "/defects?cabin=7"},
		{"chart", press.Press{Element: "e_chart", Point: "7"}, "/defects?cabin=7"},
	} {
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, tc.address), s, tc.press)
		if err != nil || out.To == nil {
			t.Errorf("%s %+v: %v %+v", tc.address, tc.press, err, out)
			continue
		}
		if got := out.To.Address(s.App.Project); got != tc.want {
			t.Errorf("%s %s leads to %s, want %s", tc.address, tc.press.Element, got, tc.want)
		}
	}
	out, _ := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_dlg"})
	if out.As != "dialog" {
		t.Errorf("opened as %q", out.As)
	}
}

func TestWhereThereIsNoneThePolicyDecides(t *testing.T) {
	s := stand.New(t, "")
	v := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=3").View(), "e_cabin")
	if v.State != "greyed" || v.Reason != "On no cabin." {
		t.Errorf("greyed: %+v", v)
	}
	bind := `/s_defect/elements/e_cabin/gate/cases/c_1/move/bind/i_c`
	list := stand.New(t, `[{"op":"replace","path":"`+bind+`/none","value":"list"},{"op":"add","path":"`+bind+`/screen","value":"s_list"}]`)
	out, err := stand.Press(t, list.MustOpen(t, list.Mira, "defect?defect=3"), list, press.Press{Element: "e_cabin"})
	if err != nil || out.To == nil || out.To.Screen != "s_list" {
		t.Errorf("list: %+v %v", out, err)
	}
	stay := stand.New(t, `[{"op":"replace","path":"`+bind+`/none","value":"stay"}]`)
	out, err = stand.Press(t, stay.MustOpen(t, stay.Mira, "defect?defect=3"), stay, press.Press{Element: "e_cabin"})
	if err != nil || out.Kind != "stay" || out.Message != "On no cabin." {
		t.Errorf("stay: %+v %v", out, err)
	}
	none := *s.Mira
	none.Record = ""
	if v := stand.Element(t, s.MustOpen(t, &none, "board").View(), "e_mine"); v.State != "greyed" || v.Reason != "You have no record." {
		t.Errorf("the user's own record: %+v", v)
	}
}

func TestAHiddenOrGreyedButtonCannotBePressed(t *testing.T) {
	s := stand.New(t, "")
	for _, tc := range []struct {
		user    *ask.User
		address string
		press   press.Press
		code    string
	}{
		{s.Sela, "defect?defect=1", press.Press{Element: "e_close"}, "hidden"},
		{s.Mira, "defect?defect=2", press.Press{Element: "e_close"}, "greyed"},
		{s.Mira, "defect?defect=1", press.Press{Element: "e_save"}, "hidden"}, // not in this mode
		{s.Mira, "defects", press.Press{Element: "e_list", Row: "2"}, "greyed"},
		{s.Mira, "defects?cabin=7", press.Press{Element: "e_list", Row: "3"}, "no-record"}, // not in the list as it is narrowed
		{s.Mira, "defects", press.Press{Element: "e_gone"}, "no-element"},
	} {
		_, err := stand.Press(t, s.MustOpen(t, tc.user, tc.address), s, tc.press)
		var r *ask.Refusal
		if !errors.As(err, &r) || r.Code != tc.code {
			t.Errorf("%s %+v: %v, want %s", tc.address, tc.press, err, tc.code)
		}
	}
	if s.Data.Rows["t_defects"]["1"]["f_state"].Wire() != "open" {
		t.Error("a refused press changed the record")
	}
}

func TestAPressAsksThenActsInOrder(t *testing.T) {
	s := stand.New(t, "")
	o := s.MustOpen(t, s.Mira, "defect?defect=1")
	out, err := stand.Press(t, o, s, press.Press{Element: "e_close"})
	if err != nil || out.Kind != "question" || out.Question.Words != "Close D-1?" {
		t.Fatalf("%+v %v", out, err)
	}
	if s.Data.Rows["t_defects"]["1"]["f_state"].Wire() != "open" {
		t.Fatal("it acted before it was answered")
	}
	out, err = stand.Press(t, o, s, press.Press{Element: "e_close", Confirmed: true})
	if err != nil || out.Move != "back" {
		t.Fatalf("%+v %v", out, err)
	}
	d := s.Data.Rows["t_defects"]["1"]
	if d["f_state"].Wire() != "closed" || d["f_by"].Wire() != "1" {
		t.Errorf("after closing: %v", d)
	}
}

// A screen may ask for what its table can be without: of a new record, of one that is changed, and of one that is emptied.
func TestAFieldThatIsNeededHere(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_hours/required","value":true},{"op":"add","path":"/s_defect/elements/e_hours/hint","value":"whole hours"}]`)
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	if f := stand.Element(t, o.View(), "e_hours").View.(*element.FieldView); !f.Required || f.Hint != "whole hours" {
		t.Errorf("%+v", f)
	}
	save := func(o *use.Opening, values map[string]string) string {
		t.Helper()
		p := press.Press{Element: "e_save", Values: values}
		if r := o.View().Record; r != nil {
			p.Version = r.Version
		}
		_, err := stand.Press(t, o, s, p)
		var fields *ask.FieldErrors
		if errors.As(err, &fields) {
			return fields.Fields["f_hours"]
		}
		if err != nil {
			t.Error(err)
		}
		return ""
	}
	for what, got := range map[string]string{
		"untouched": save(o, map[string]string{"f_what": "Door, left"}), "emptied": save(o, map[string]string{"f_hours": ""}),
		"a new one": save(s.MustOpen(t, s.Mira, "defect?~mode=add"), map[string]string{"f_what": "Door"}),
	} {
		if got != "Fill in “Hours”." {
			t.Errorf("%s: %q", what, got)
		}
	}
	if got := save(o, map[string]string{"f_hours": "2"}); got != "" || s.Data.Rows["t_defects"]["1"]["f_hours"].Wire() != "2" {
		t.Errorf("filled in: %q", got)
	}
}

func TestSaving(t *testing.T) {
	s := stand.New(t, "")
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	version := o.View().Record.Version
	_, err := stand.Press(t, o, s, press.Press{Element: "e_save", Values: map[string]string{"f_what": " ", "f_hours": "many"}, Version: version})
	var fields *ask.FieldErrors
	if !errors.As(err, &fields) || fields.Fields["f_what"] != "Fill in “What”." || fields.Fields["f_hours"] == "" {
		t.Errorf("wrong values: %v", err)
	}
	for _, field := range []string{"f_code", "f_state", "f_id", "f_gone"} {
		_, err = stand.Press(t, o, s, press.Press{Element: "e_save", Values: map[string]string{field: "x"}, Version: version})
		var r *ask.Refusal
		if !errors.As(err, &r) || r.Code != "no-grant" {
			t.Errorf("a field that is not shown as editable (%s) was taken: %v", field, err)
		}
	}
	out, err := stand.Press(t, o, s, press.Press{Element: "e_save", Values: map[string]string{"f_what": "Door edge", "f_hours": "2.5"}, Version: version})
	if err != nil || out.To == nil || out.As != "replace" || s.Data.Rows["t_defects"]["1"]["f_hours"].Wire() != "2.5" {
		t.Errorf("%+v %v", out, err)
	}
	add := s.MustOpen(t, s.Mira, "defect?~mode=add&~set.cabin=7")
	out, err = stand.Press(t, add, s, press.Press{Element: "e_save", Values: map[string]string{"f_what": "New"}})
	if err != nil || out.To == nil || out.To.Inputs["i_d"] != out.Saved || s.Data.Rows["t_defects"][out.Saved]["f_cabin"].Wire() != "7" {
		t.Errorf("added: %+v %v", out, err)
	}
}

func TestConcurrentChangeMergesOrAsks(t *testing.T) {
	s := stand.New(t, "")
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	version := o.View().Record.Version
	s.Data.Rows["t_defects"]["1"]["f_what"] = cond.String("Theirs")
	later := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	out, err := stand.Press(t, later, s, press.Press{Element: "e_save", Values: map[string]string{"f_hours": "1"}, Base: map[string]string{"f_hours": ""}, Version: version})
	if err != nil || out.Kind != "move" {
		t.Errorf("different fields: %+v %v", out, err)
	}
	mine := press.Press{Element: "e_save", Values: map[string]string{"f_what": "Mine"}, Base: map[string]string{"f_what": "Door"}, Version: version}
	out, err = stand.Press(t, later, s, mine)
	if err != nil || out.Kind != "question" || out.Question.Kind != "conflict" || out.Question.Fields[0].Theirs != "Theirs" {
		t.Fatalf("the same field: %+v %v", out, err)
	}
	mine.Keep = map[string]string{"f_what": "theirs"}
	if _, err = stand.Press(t, later, s, mine); err != nil || s.Data.Rows["t_defects"]["1"]["f_what"].Wire() != "Theirs" {
		t.Errorf("kept theirs: %v", err)
	}
	mine.Keep = map[string]string{"f_what": "mine"}
	if _, err = stand.Press(t, later, s, mine); err != nil || s.Data.Rows["t_defects"]["1"]["f_what"].Wire() != "Mine" {
		t.Errorf("kept mine: %v", err)
	}
}

func TestUnsavedWorkIsAskedAbout(t *testing.T) {
	s := stand.New(t, "")
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	p := press.Press{Element: "e_cabin", Values: map[string]string{"f_what": "Typed"}, Base: map[string]string{"f_what": "Door"}, Version: o.View().Record.Version}
	out, err := stand.Press(t, o, s, p)
	if err != nil || out.Kind != "question" || out.Question.Kind != "unsaved" {
		t.Fatalf("%+v %v", out, err)
	}
	p.Unsaved = "save"
	out, err = stand.Press(t, o, s, p)
	if err != nil || out.To == nil || s.Data.Rows["t_defects"]["1"]["f_what"].Wire() != "Typed" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestStaleValuesEnableNothing(t *testing.T) {
	s := stand.New(t, "")
	delete(s.Tags, "UT.running")
	v := s.MustOpen(t, s.Mira, "drive?lift=1").View()
	for _, id := range []string{"e_faster", "e_idle"} { // one of them under "not"
		if e := stand.Element(t, v, id); e.State != "greyed" || e.By != "unknown" || !strings.Contains(e.Reason, "not available") {
			t.Errorf("%s: %+v", id, e)
		}
	}
	if lamp := stand.Element(t, v, "e_lamp").View.(*element.LampView); lamp.State != "unknown" {
		t.Errorf("the lamp shows %+v", lamp)
	}
	_, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_idle"})
	var r *ask.Refusal
	if !errors.As(err, &r) || r.Code != "greyed" {
		t.Errorf("a press on an unknown condition: %v", err)
	}
}

func TestPlantWritesAreCheckedAndLeftWithTheOutcome(t *testing.T) {
	s := stand.New(t, "")
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_faster"})
	if err != nil || len(out.Writes) != 1 || out.Writes[0].Ref.Node != "UT.set" || out.Writes[0].Value.Wire() != "5.5" {
		t.Fatalf("%+v %v", out, err)
	}
	s.Tags["UT.speed"] = cond.Float(5.8)
	_, err = stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_faster"})
	var r *ask.Refusal
	if !errors.As(err, &r) || r.Code != "bad-value" {
		t.Errorf("out of range: %v", err)
	}
	if len(s.MustOpen(t, s.Mira, "drive?lift=1").TagRefs()) != 3 {
		t.Error("the screen should watch three values")
	}
}

func TestBrokenPartsNeverOpen(t *testing.T) {
	s := stand.New(t, `[{"op":"replace","path":"/s_defect/elements/e_close/gate/while","value":"record.f_gone == 1"},{"op":"remove","path":"/s_cabin"},{"op":"add","path":"/s_list/guard","value":"inputs.nothing"}]`)
	if len(s.App.Problems) != 2 {
		t.Errorf("problems %+v", s.App.Problems)
	}
	v := s.MustOpen(t, s.Mira, "defect?defect=1").View()
	for _, id := range []string{"e_close", "e_cabin"} {
		if e := stand.Element(t, v, id); e.State != "greyed" || e.By != "broken" {
			t.Errorf("%s: %+v", id, e)
		}
	}
	if _, err := s.Open(t, s.Mira, "defects"); err == nil {
		t.Error("a guard that cannot be read let somebody in")
	}
}

func TestHiddenThingsAreGhostsForBuildersOnly(t *testing.T) {
	s := stand.New(t, "")
	place := place.Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "1"}}
	for _, e := range s.MustOpen(t, s.Sela, "defect?defect=1").View().Elements {
		if e.ID == "e_close" {
			t.Error("a hidden button is sent to a user")
		}
	}
	src := s.Sources()
	src.Ghosts = true
	o, err := use.Open(context.Background(), s.App, s.Sela, place, src)
	if err != nil {
		t.Fatal(err)
	}
	if e := stand.Element(t, o.View(), "e_close"); e.State != "hidden" || e.Reason != "Only for Technician." {
		t.Errorf("the builder sees %+v", e)
	}
	for _, w := range build.Ways(o) {
		if w.Element == "e_close" && (w.State != "hidden" || !strings.Contains(w.Now, "Only for Technician")) {
			t.Errorf("the way says %+v", w)
		}
	}
}

func TestSentences(t *testing.T) {
	s := stand.New(t, "")
	for _, tc := range []struct{ screen, element, trigger, want string }{
		{"s_defect", "e_cabin", "release", "When released, for everyone: open Cabin on its cabin to view, in full."},
		{"s_defect", "e_close", "release", "When released, for Technician, while state is “open”: ask “Close {record.code}?”, then set by to the user and set state to “closed”, then go back. Otherwise greyed: “It is closed”."},
		{"s_list", "e_list", "row", "When a row is opened, for everyone, while state is “open”: open Defect on the chosen row to view, in full. Otherwise greyed: “Closed”."},
		{"s_cabin", "e_add", "release", "When released, for everyone: open Defect on a new defect, with cabin = this cabin, in full."},
		{"s_cabin", "e_dlg", "release", "When released, for everyone: open Defects with cabin this cabin, as a dialog."},
		{"s_chart", "e_chart", "point", "When a point is chosen, for everyone: open Defects with cabin the chosen point, in full."},
		{"s_board", "e_mine", "release", "When released, for everyone: open Defects with by the user’s own record where state is not closed, in full."},
		{"s_drive", "e_faster", "release", "When released, for everyone, while drive running is yes: write drive speed + 1 to drive set speed, and stay here. Otherwise hide it."},
	} {
		e := s.App.ElementAt(tc.screen, tc.element)
		if got := stand.SentenceText(words.Sentence(s.App, s.App.Project.Screens[tc.screen], e, tc.trigger)); got != tc.want {
			t.Errorf("%s.%s says\n%s, want\n%s", tc.screen, tc.element, got, tc.want)
		}
	}
}

func TestProposalsBestFirst(t *testing.T) {
	s := stand.New(t, "")
	for _, tc := range []struct{ screen, element, target, input, first string }{
		{"s_list", "e_list", "s_defect", "i_d", "the chosen row"},
		{"s_list", "e_list", "s_cabin", "i_c", "the row’s cabin"},
		{"s_list", "e_list", "s_drive", "i_l", "the row’s cabin’s lift"},
		{"s_defect", "e_cabin", "s_cabin", "i_c", "its cabin"},
		{"s_cabin", "e_add", "s_list", "i_cabin", "this cabin"},
		{"s_cabin", "e_add", "s_defect", "i_d", "a new defect"},
		{"s_chart", "e_chart", "s_list", "i_cabin", "the chosen point"},
		{"s_board", "e_mine", "s_list", "i_by", "the user’s own record"},
	} {
		way, _ := s.App.WayAt(tc.screen, tc.element, "release")
		got := build.Propose(s.App, way, tc.target, tc.input)
		if len(got) == 0 || got[0].Words != tc.first {
			t.Errorf("%s.%s to %s: %+v, want %q first", tc.screen, tc.element, tc.target, got, tc.first)
		}
	}
}

func TestWaysIn(t *testing.T) {
	s := stand.New(t, "")
	in := build.WaysIn(s.App, "s_cabin", s.Mira.Roles)
	if len(in) != 1 || in[0].Brings != "its cabin" || in[0].None != "greyed if there is none" || in[0].Words != "“Its cabin”" {
		t.Errorf("%+v", in)
	}
}

func TestRenamesTouchNothing(t *testing.T) {
	s := stand.New(t, `[{"op":"replace","path":"/t_defects/fields/f_state/alias","value":"condition"},{"op":"replace","path":"/t_defects/fields/f_state/label","value":"Condition"},{"op":"replace","path":"/t_defects/fields/f_state/column","value":"cond"},{"op":"replace","path":"/s_defect/title","value":"Fault"}]`)
	if len(s.App.Problems) > 0 {
		t.Fatalf("a rename broke %+v", s.App.Problems)
	}
	got := stand.SentenceText(words.Sentence(s.App, s.App.Project.Screens["s_list"], s.App.ElementAt("s_list", "e_list"), "row"))
	if !strings.Contains(got, "while condition is “open”: open Fault on the chosen row") {
		t.Errorf("it says %s", got)
	}
}

func FuzzAddress(f *testing.F) {
	f.Add("defects", "cabin=7&~filter.state=is:open&~sort=-code")
	f.Add("defect", "defect=1&~mode=add&~set.cabin=8")
	s := stand.New(f, "")
	f.Fuzz(func(t *testing.T, slug, query string) {
		p, err := place.Parse(s.App.Project, slug, query)
		if err != nil {
			var r *ask.Refusal
			if !errors.As(err, &r) || r.What == "" {
				t.Fatalf("%v is no refusal", err)
			}
			return
		}
		if _, err := use.Open(context.Background(), s.App, s.Mira, p, s.Sources()); err != nil {
			var r *ask.Refusal
			if !errors.As(err, &r) {
				t.Fatalf("%v is no refusal", err)
			}
		}
	})
}
