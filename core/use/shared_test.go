package use_test

import (
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/words"
)

func TestASharedGateSeesOnlyWhatItIsGiven(t *testing.T) {
	s := stand.New(t, stand.SharedGate)
	for _, p := range s.App.Problems {
		t.Errorf("%+v", p)
	}
	list := stand.Element(t, s.MustOpen(t, s.Mira, "defects").View(), "e_list").View.(*element.ListView)
	for _, row := range list.Rows {
		if want := row.Key != "2"; row.Open != want || !want && row.Reason != "D-2 is closed." {
			t.Errorf("row %s: open %v, %q", row.Key, row.Open, row.Reason)
		}
	}
	if e := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=2").View(), "e_self"); e.State != "greyed" || e.Reason != "D-2 is closed." {
		t.Errorf("%+v", e)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defects"), s, press.Press{Element: "e_list", Trigger: "row", Row: "3"})
	if err != nil || out.To == nil || out.To.Address(s.App.Project) != "/defect?defect=3" {
		t.Errorf("%+v, %v", out, err)
	}
	if uses := words.UsesOf(s.App, "g_open"); len(uses) != 3 {
		t.Errorf("%+v", uses)
	}
	way, _ := s.App.WayAt("s_list", "e_list", "row")
	text := stand.SentenceText(words.Sentence(s.App, way.Screen, way.Element, "row"))
	if !strings.HasPrefix(text, "When a row is opened, through “Open the defect” with defect the chosen row, for everyone, while defect’s state is “open”: open Defect on the defect given") {
		t.Error(text)
	}
	brings := map[string]string{}
	for _, in := range build.WaysIn(s.App, "s_defect", nil) {
		brings[in.Screen+"."+in.Element] = in.Brings
	}
	if brings["s_list.e_list"] != "the chosen row" || brings["s_chart.e_chart"] != "the chosen point" {
		t.Errorf("what is passed on is not told as it is given: %v", brings)
	}
	if way.Wiring() != "/g_open/gate" || way.At() != "/s_list/elements/e_list/opened" {
		t.Errorf("it stands at %s, is wired at %s", way.At(), way.Wiring())
	}
}

func TestASharedGateThatIsGoneOpensNothing(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", `{"use":"g_gone"}`))
	if e := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_try"); e.State != "greyed" || e.By != "broken" {
		t.Errorf("%+v", e)
	}
}

func TestMenusOfRowsAndTheRowTheyActOn(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/menu","value":{
	  "m_cabin":{"pos":1,"words":"Its cabin","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin","from":"row","none":"grey","reason":"On no cabin."}}}}}}},
	  "m_close":{"pos":2,"words":"Close","gate":{"while":"row.f_state == \"open\"","cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1,"fields":{"f_state":"\"closed\""}}}}}}}}}]`)
	list := stand.Element(t, s.MustOpen(t, s.Mira, "defects").View(), "e_list").View.(*element.ListView)
	var got []string
	for _, row := range list.Rows {
		for _, m := range row.Menu {
			got = append(got, row.Key+" "+m.Words+" "+string(m.State)+" "+m.Reason)
		}
	}
	want := "1 Its cabin shown ,1 Close shown ,2 Its cabin shown ,3 Its cabin greyed On no cabin.,3 Close shown "
	if strings.Join(got, ",") != want {
		t.Errorf("%s\nwant %s", strings.Join(got, ","), want)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "defects"), s, press.Press{Element: "e_list", Trigger: "menu.m_close", Row: "3"}); err != nil {
		t.Fatal(err)
	}
	if got := s.Data.Rows["t_defects"]["3"]["f_state"]; got.Wire() != "closed" {
		t.Errorf("the row is %v", got)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Sela, "defects"), s, press.Press{Element: "e_list", Trigger: "menu.m_close", Row: "1"}); stand.Code(err) != "greyed" {
		t.Errorf("who may not edit closes: %v", err)
	}
}

func TestWaysOfTheScreenItself(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_drive/ways","value":{
	  "w_a":{"pos":1,"trigger":"swipe","side":"left","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}},
	  "w_b":{"pos":2,"trigger":"keys","keys":"Alt+N","gate":{"while":"!record.equip.q_drive.g_run","cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}},
	  "w_c":{"pos":3,"trigger":"time","after":90,"gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"refresh","pos":1}}}}}}}}]`)
	o := s.MustOpen(t, s.Mira, "drive?lift=1")
	v := o.View()
	if len(v.Ways) != 2 || v.Ways[0].Side != "left" || v.Ways[0].Words != "Home" || v.Ways[1].After != 90 {
		t.Errorf("%+v", v.Ways)
	}
	if out, err := stand.Press(t, o, s, press.Press{Element: "w_a", Trigger: "swipe"}); err != nil || out.Move != "home" {
		t.Errorf("%+v, %v", out, err)
	}
	if _, err := stand.Press(t, o, s, press.Press{Element: "w_b", Trigger: "keys"}); err == nil {
		t.Error("a shut way is gone through")
	}
	ways := build.Ways(o)
	if last := ways[len(ways)-1]; last.Gate != "/s_drive/ways/w_c/gate" || !strings.HasPrefix(stand.SentenceText(last.Sentence), "When the screen has been open for 90 seconds, for everyone: read everything again, and stay here.") {
		t.Errorf("%s %s", last.Gate, stand.SentenceText(last.Sentence))
	}
}

func TestFacesByConditionAndState(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_drive/elements/e_faced","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":2},"words":"Drive","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}},"faces":{
	  "q_1":{"pos":1,"when":"record.equip.q_drive.g_run","words":"{record.f_name} runs","tone":"good"},"q_2":{"pos":2,"tone":"stop","words":"stands"},
	  "q_3":{"pos":3,"state":"unknown","words":"not known"},"q_4":{"pos":4,"state":"hover","icon":"forward"}}}}]`)
	face := func() *element.ButtonView {
		return stand.Element(t, s.MustOpen(t, s.Mira, "drive?lift=1").View(), "e_faced").View.(*element.ButtonView)
	}
	if b := face(); b.Words != "Upper Tarn runs" || b.Tone != "good" || b.States["hover"].Icon != "forward" {
		t.Errorf("%+v", b)
	}
	s.Tags["UT.running"] = cond.Bool(false)
	if b := face(); b.Words != "stands" || b.Tone != "stop" {
		t.Errorf("%+v", b)
	}
	delete(s.Tags, "UT.running")
	if b := face(); b.Words != "not known" {
		t.Errorf("a face that cannot be decided shows the next: %+v", b)
	}
}

func TestRailsStandByTheirRule(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/ra_one","value":{"kind":"rail","pos":1,"name":"Main","edge":"left","placed":{"kinds":{"list":true,"form":true},"except":{"s_drive":true}},"elements":{
	   "e_r0":{"kind":"button","pos":0,"cell":{"row":1,"col":1,"w":1},"words":"Mine","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list","bind":{"i_by":{"rule":"user"}}}}}}},
	   "e_r1":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":1},"words":"Defects","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}},
	   "e_r2":{"kind":"button","pos":2,"cell":{"row":2,"col":1,"w":1},"words":"Leads","gate":{"roles":{"r_lead":true},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}},
	   "e_r3":{"kind":"button","pos":3,"cell":{"row":3,"col":1,"w":1},"words":"On","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"along","step":"next","rail":"ra_one","none":"round"}}}}}}}},
	 {"op":"add","path":"/ra_two","value":{"kind":"rail","pos":2,"name":"Tools","edge":"bottom","placed":{"tables":{"t_cabins":"record.f_state == \"in service\""},"roles":{"r_tech":true}},"elements":{
	   "e_t1":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":1},"words":"Its {record.f_no}","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}}}},
	 {"op":"remove","path":"/s_cabin/guard"}]`)
	rails := func(u *ask.User, address string) string {
		var out []string
		for _, r := range s.MustOpen(t, u, address).View().Rails {
			for _, e := range r.Elements {
				out = append(out, e.View.(*element.ButtonView).Words+map[bool]string{true: "*"}[e.View.(*element.ButtonView).Current])
			}
		}
		return strings.Join(out, " ")
	}
	for address, want := range map[string]string{
		"defects": "Mine Defects* On", "cabin?cabin=7": "Mine Defects On Its 007", "cabin?cabin=8": "Mine Defects On", "board": "", "drive?lift=1": "", "defect?defect=1": "Mine Defects* On",
	} {
		if got := rails(s.Mira, address); got != want {
			t.Errorf("%s has %q, want %q", address, got, want)
		}
	}
	if got := rails(s.Sela, "cabin?cabin=7"); got != "Mine Defects Leads On" {
		t.Errorf("a lead has %q", got)
	}
	o := s.MustOpen(t, s.Mira, "defects")
	if out, err := stand.Press(t, o, s, press.Press{Element: "e_r3"}); err != nil || out.To.Address(s.App.Project) != "/defects?by=1" {
		t.Errorf("along: %+v, %v", out, err)
	}
	// A button of a rail that does not stand here cannot be pressed.
	if _, err := stand.Press(t, o, s, press.Press{Element: "e_t1"}); stand.Code(err) != "no-element" {
		t.Errorf("%v", err)
	}
	ins := build.WaysIn(s.App, "s_list", nil)
	n := 0
	for _, in := range ins {
		if in.Area == "Rails" {
			n++
		}
	}
	if n != 2 { // two of its buttons lead there, however many screens it stands on
		t.Errorf("a rail is %d plates: %+v", n, ins)
	}
}
