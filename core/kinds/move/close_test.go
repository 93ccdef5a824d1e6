package move_test

import (
	"errors"
	"fmt"
	"strconv"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/words"
)

func TestADialogComesBackWithARecord(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_defect", stand.Asks(`{"use":"g_put","give":{"i_it":{"rule":"result"}}}`), stand.Chooser))
	for _, p := range s.App.Problems {
		t.Fatalf("%+v", p)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_try"})
	if err != nil || out.To == nil || out.To.Screen != "s_choose" || out.As != "dialog" || out.Back != "release/c_1" {
		t.Fatalf("opened: %+v %v", out, err)
	}
	closed, err := stand.Press(t, s.MustOpen(t, s.Mira, "choose"), s, press.Press{Element: "e_list", Row: "8"})
	if err != nil || closed.Move != "close" || closed.Result != "8" {
		t.Fatalf("closed: %+v %v", closed, err)
	}
	if plain, err := stand.Press(t, s.MustOpen(t, s.Mira, "choose"), s, press.Press{Element: "e_plain"}); err != nil || plain.Result != "" {
		t.Errorf("closed with nothing: %+v %v", plain, err)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_try", Trigger: out.Back, Result: closed.Result}); err != nil {
		t.Fatal(err)
	}
	if got := s.Data.Rows["t_defects"]["1"]["f_cabin"].KeyOf(); got != "8" {
		t.Errorf("the defect is on cabin %s", got)
	}
}

func TestAPressOfComingBackNeedsAResultAndRights(t *testing.T) {
	back := `{"use":"g_put","give":{"i_it":{"rule":"result"}}}`
	s := stand.New(t, stand.WiredTo("s_defect", stand.Asks(back), stand.Chooser))
	for name, p := range map[string]press.Press{
		"nothing came back":     {Element: "e_try", Trigger: "release/c_1"},
		"no such cabin":         {Element: "e_try", Trigger: "release/c_1", Result: "99"},
		"not a key at all":      {Element: "e_try", Trigger: "release/c_1", Result: "'; drop"},
		"no such case":          {Element: "e_try", Trigger: "release/c_9", Result: "8"},
		"nothing was opened by": {Element: "e_cabin", Trigger: "release/c_1", Result: "8"},
	} {
		if out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, p); err == nil {
			t.Errorf("%s: %+v", name, out)
		}
	}
	// Sela may not change defects: the button that opens the dialog says so at once.
	if e := stand.Element(t, s.MustOpen(t, s.Sela, "defect?defect=1").View(), "e_try"); e.State != "greyed" || !strings.Contains(e.Reason, "may not change") {
		t.Errorf("%+v", e)
	}
	var r *ask.Refusal
	if _, err := stand.Press(t, s.MustOpen(t, s.Sela, "defect?defect=1"), s, press.Press{Element: "e_try", Trigger: "release/c_1", Result: "8"}); !errors.As(err, &r) {
		t.Errorf("the way back was open to her: %v", err)
	}
}

func TestTheSentenceAndThePlatesSayHowADialogComesBack(t *testing.T) {
	move := stand.One(`{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"result","none":"grey"}}}`)
	s := stand.New(t, stand.WiredTo("s_defect", stand.Asks(move), stand.Chooser))
	e := s.App.ElementAt("s_defect", "e_try")
	screen := s.App.Project.Screens["s_defect"]
	first := stand.SentenceText(words.Sentence(s.App, screen, e, "release"))
	if !strings.Contains(first, "open Choose, as a dialog, and when it comes back open Cabin.") {
		t.Error(first)
	}
	second := stand.SentenceText(words.Sentence(s.App, screen, e, "release/c_1"))
	if second != "When the dialog comes back, for everyone: open Cabin on what it came back with to view, in full." {
		t.Error(second)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_try", Trigger: "release/c_1", Result: "7"})
	if err != nil || out.To == nil || out.To.Address(s.App.Project) != "/cabin?cabin=7" {
		t.Errorf("%+v %v", out, err)
	}
	way, _ := s.App.WayAt("s_defect", "e_try", "release/c_1")
	if got := build.Propose(s.App, way, "s_cabin", "i_c"); len(got) == 0 || got[0].Binding.Rule != "result" || got[0].Note != "from “Choose”" {
		t.Errorf("proposed: %+v", got)
	}
	if way.At() != "/s_defect/elements/e_try/gate/cases/c_1/move/back" || way.Wiring() != way.At() {
		t.Errorf("it stands at %s, is wired at %s", way.At(), way.Wiring())
	}
	in := map[string]string{}
	for _, w := range build.WaysIn(s.App, "s_cabin", nil) {
		in[w.Element+" "+w.Trigger] = w.Words
	}
	if in["e_try release/c_1"] != "the dialog comes back" {
		t.Errorf("ways in: %v", in)
	}
	closes := stand.SentenceText(words.Sentence(s.App, s.App.Project.Screens["s_choose"], s.App.ElementAt("s_choose", "e_list"), "row"))
	if closes != "When a row is opened, for everyone: close this with the chosen row." {
		t.Error(closes)
	}
}

func TestADialogOfASharedGateComesBackThroughIt(t *testing.T) {
	shared := `{"op":"add","path":"/g_ask","value":{"kind":"gate","pos":2,"name":"Ask","inputs":{"i_d":{"pos":1,"alias":"d","label":"Defect","type":"record","table":"t_defects","required":true}},
	 "gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_choose","as":"dialog","back":{"cases":{"c_2":{"pos":1,"when":"inputs.i_d.f_state == \"open\"","move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"result"}}}}}}}}}}}}`
	s := stand.New(t, stand.WiredTo("s_defect", `{"use":"g_ask","give":{"i_d":{"rule":"this"}}}`, stand.Chooser, shared))
	for _, p := range s.App.Problems {
		t.Fatalf("%+v", p)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_try", Trigger: "release/c_1", Result: "7"})
	if err != nil || out.To == nil || out.To.Screen != "s_cabin" {
		t.Errorf("%+v %v", out, err)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=2"), s, press.Press{Element: "e_try", Trigger: "release/c_1", Result: "7"}); err == nil {
		t.Error("the condition over what the gate was given does not hold for a closed one")
	}
	way, _ := s.App.WayAt("s_defect", "e_try", "release/c_1")
	if way.Wiring() != "/g_ask/gate/cases/c_1/move/back" {
		t.Errorf("it is wired at %s", way.Wiring())
	}
	if uses := words.UsesOf(s.App, "g_ask"); len(uses) != 1 {
		t.Errorf("used by %+v", uses)
	}
}

func TestARowOfAListIsASpot(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_defect", stand.One(`{"kind":"screen","target":"s_list","spot":"e_list","spotRow":{"rule":"this"}}`)))
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=2"), s, press.Press{Element: "e_try"})
	if err != nil || out.To.Address(s.App.Project) != "/defects?~spot=e_list%2F2" {
		t.Fatalf("%+v %v", out.To, err)
	}
	o := s.MustOpen(t, s.Mira, "defects?~spot=e_list/2")
	if l := stand.Element(t, o.View(), "e_list").View.(*element.ListView); l.Chosen != "2" {
		t.Errorf("chosen is %q", l.Chosen)
	}
	again := o.Place()
	again.Look = map[string]place.Look{"e_list": {Row: "3"}}
	if l := stand.Element(t, s.At(t, again).View(), "e_list").View.(*element.ListView); l.Chosen != "3" {
		t.Errorf("another row was chosen since, and %q is shown", l.Chosen)
	}
	for _, gone := range []string{"defects?~spot=e_list/99", "defects?~spot=e_gone/2", "defects?~spot=e_list/"} {
		if rows := stand.Element(t, s.MustOpen(t, s.Mira, gone).View(), "e_list").View.(*element.ListView).Rows; len(rows) != 3 {
			t.Errorf("%s shows %d rows", gone, len(rows))
		}
	}
	text := stand.SentenceText(words.Sentence(s.App, s.App.Project.Screens["s_defect"], s.App.ElementAt("s_defect", "e_try"), "release"))
	if !strings.Contains(text, "open Defects at the list of defects, at this defect, in full") {
		t.Error(text)
	}
	way, _ := s.App.WayAt("s_defect", "e_try", "release")
	if got := build.Propose(s.App, way, "s_list", "spot.e_list"); len(got) == 0 || got[0].Binding.Rule != "this" {
		t.Errorf("proposed: %+v", got)
	}
}

func TestAListBeginsNearTheRowThatOneIsLedTo(t *testing.T) {
	s := stand.New(t, `[{"op":"replace","path":"/s_list/elements/e_list/columns","value":{"k_1":{"pos":1,"path":"f_code"}}}]`)
	for i := 4; i < 40; i++ {
		s.Data.Rows["t_defects"][strconv.Itoa(i)] = map[string]cond.Value{"f_id": cond.Int(int64(i)), "f_code": cond.String(fmt.Sprintf("D-%03d", i)), "f_state": cond.String("open")}
	}
	list := stand.Element(t, s.MustOpen(t, s.Mira, "defects?~spot=e_list/30").View(), "e_list").View.(*element.ListView)
	at := -1
	for i, r := range list.Rows {
		if r.Key == "30" {
			at = i
		}
	}
	if at != 4 {
		t.Errorf("it is row %d of %d from the top, want %d", at, len(list.Rows), 4)
	}
}

func TestButtonsHaveColoursOfTheirOwn(t *testing.T) {
	faces := `{"op":"add","path":"/s_defect/elements/e_try/colour","value":"#ffcc00"},{"op":"add","path":"/s_defect/elements/e_try/faces","value":{
	 "q_1":{"pos":1,"when":"record.f_state == \"closed\"","tone":"warn"},"q_2":{"pos":2,"when":"record.f_code == \"D-3\"","colour":"#003366"},"q_3":{"pos":3,"state":"hover","colour":"#112233"}}}`
	s := stand.New(t, stand.WiredTo("s_defect", stand.One(`{"kind":"back"}`), faces))
	for address, want := range map[string]string{"defect?defect=1": "#ffcc00", "defect?defect=2": "", "defect?defect=3": "#003366"} {
		b := stand.Element(t, s.MustOpen(t, s.Mira, address).View(), "e_try").View.(*element.ButtonView)
		if b.Colour != want || b.States["hover"].Colour != "#112233" {
			t.Errorf("%s: %q, want %q", address, b.Colour, want)
		}
	}
}
