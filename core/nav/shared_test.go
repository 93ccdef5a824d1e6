package nav

import (
	"strings"
	"testing"

	"ambergate/core/cond"
)

// sharedGate is one gate that a row, a button and a chart use, with a condition over its input.
const sharedGate = `[
 {"op":"add","path":"/g_open","value":{"kind":"gate","pos":1,"name":"Open the defect","inputs":{"i_it":{"pos":1,"alias":"it","label":"Defect","type":"record","table":"t_defects","required":true}},
   "gate":{"while":"inputs.i_it.f_state == \"open\"","otherwise":{"grey":"{inputs.i_it.f_code} is closed."},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"input","value":"i_it"}}}}}}}},
 {"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_open","give":{"i_it":{"rule":"row"}}}},
 {"op":"add","path":"/s_defect/elements/e_self","value":{"kind":"button","pos":9,"cell":{"row":8,"col":1,"w":2},"words":"Again","gate":{"use":"g_open","give":{"i_it":{"rule":"this"}}}}},
 {"op":"replace","path":"/s_chart/elements/e_chart/by","value":"f_by"},
 {"op":"replace","path":"/s_chart/elements/e_chart/chosen","value":{"use":"g_open","give":{"i_it":{"rule":"point"}}}}
]`

func TestASharedGateSeesOnlyWhatItIsGiven(t *testing.T) {
	s := newStand(t, sharedGate)
	for _, p := range s.app.Problems {
		t.Errorf("%+v", p)
	}
	list := element(t, s.mustOpen(t, s.mira, "defects").View(), "e_list").View.(*ListView)
	for _, row := range list.Rows {
		if want := row.Key != "2"; row.Open != want || !want && row.Reason != "D-2 is closed." {
			t.Errorf("row %s: open %v, %q", row.Key, row.Open, row.Reason)
		}
	}
	if e := element(t, s.mustOpen(t, s.mira, "defect?defect=2").View(), "e_self"); e.State != "greyed" || e.Reason != "D-2 is closed." {
		t.Errorf("%+v", e)
	}
	out, err := press(t, s.mustOpen(t, s.mira, "defects"), s, Press{Element: "e_list", Trigger: "row", Row: "3"})
	if err != nil || out.To == nil || out.To.Address(s.app.Project) != "/defect?defect=3" {
		t.Errorf("%+v, %v", out, err)
	}
	if uses := s.app.UsesOf("g_open"); len(uses) != 3 {
		t.Errorf("%+v", uses)
	}
	way, _ := s.app.WayAt("s_list", "e_list", "row")
	text := sentenceText(s.app.Sentence(way.Screen, way.Element, "row"))
	if !strings.HasPrefix(text, "When a row is opened, through “Open the defect” with defect the clicked row, for everyone, while defect’s state is open: open Defect on the defect given") {
		t.Error(text)
	}
	brings := map[string]string{}
	for _, in := range s.app.WaysIn("s_defect", nil) {
		brings[in.Screen+"."+in.Element] = in.Brings
	}
	if brings["s_list.e_list"] != "the clicked row" || brings["s_chart.e_chart"] != "the chosen bar" {
		t.Errorf("what is passed on is not told as it is given: %v", brings)
	}
	if way.Wiring() != "/g_open/gate" || way.At() != "/s_list/elements/e_list/opened" {
		t.Errorf("it stands at %s, is wired at %s", way.At(), way.Wiring())
	}
}

func TestASharedGateThatIsGoneOpensNothing(t *testing.T) {
	s := newStand(t, wiredTo("s_board", `{"use":"g_gone"}`))
	if e := element(t, s.mustOpen(t, s.mira, "board").View(), "e_try"); e.State != "greyed" || e.By != "broken" {
		t.Errorf("%+v", e)
	}
}

func TestMenusOfRowsAndTheRowTheyActOn(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/s_list/elements/e_list/menu","value":{
	  "m_cabin":{"pos":1,"words":"Its cabin","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin","from":"row","none":"grey","reason":"On no cabin."}}}}}}},
	  "m_close":{"pos":2,"words":"Close","gate":{"while":"row.f_state == \"open\"","cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1,"fields":{"f_state":"\"closed\""}}}}}}}}}]`)
	list := element(t, s.mustOpen(t, s.mira, "defects").View(), "e_list").View.(*ListView)
	var got []string
	for _, row := range list.Rows {
		for _, m := range row.Menu {
			got = append(got, row.Key+" "+m.Words+" "+m.State+" "+m.Reason)
		}
	}
	want := "1 Its cabin shown ,1 Close shown ,2 Its cabin shown ,3 Its cabin greyed On no cabin.,3 Close shown "
	if strings.Join(got, ",") != want {
		t.Errorf("%s\nwant %s", strings.Join(got, ","), want)
	}
	if _, err := press(t, s.mustOpen(t, s.mira, "defects"), s, Press{Element: "e_list", Trigger: "menu.m_close", Row: "3"}); err != nil {
		t.Fatal(err)
	}
	if got := s.data.data["t_defects"]["3"]["f_state"]; got.Wire() != "closed" {
		t.Errorf("the row is %v", got)
	}
	if _, err := press(t, s.mustOpen(t, s.sela, "defects"), s, Press{Element: "e_list", Trigger: "menu.m_close", Row: "1"}); codeOf(err) != "greyed" {
		t.Errorf("who may not edit closes: %v", err)
	}
}

func TestWaysOfTheScreenItself(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/s_drive/ways","value":{
	  "w_a":{"pos":1,"trigger":"swipe","side":"left","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}},
	  "w_b":{"pos":2,"trigger":"keys","keys":"Alt+N","gate":{"while":"!record.equip.q_drive.g_run","cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}},
	  "w_c":{"pos":3,"trigger":"time","after":90,"gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"refresh","pos":1}}}}}}}}]`)
	o := s.mustOpen(t, s.mira, "drive?lift=1")
	v := o.View()
	if len(v.Ways) != 2 || v.Ways[0].Side != "left" || v.Ways[0].Words != "Home" || v.Ways[1].After != 90 {
		t.Errorf("%+v", v.Ways)
	}
	if out, err := press(t, o, s, Press{Element: "w_a", Trigger: "swipe"}); err != nil || out.Move != "home" {
		t.Errorf("%+v, %v", out, err)
	}
	if _, err := press(t, o, s, Press{Element: "w_b", Trigger: "keys"}); err == nil {
		t.Error("a shut way is gone through")
	}
	ways := o.Ways()
	if last := ways[len(ways)-1]; last.Gate != "/s_drive/ways/w_c/gate" || !strings.HasPrefix(sentenceText(last.Sentence), "When open for 90 seconds, for everyone: read everything again, and stay here.") {
		t.Errorf("%s %s", last.Gate, sentenceText(last.Sentence))
	}
}

func TestFacesByConditionAndState(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/s_drive/elements/e_faced","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":2},"words":"Drive","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}},"faces":{
	  "q_1":{"pos":1,"when":"record.equip.q_drive.g_run","words":"{record.f_name} runs","tone":"good"},"q_2":{"pos":2,"tone":"stop","words":"stands"},
	  "q_3":{"pos":3,"state":"unknown","words":"not known"},"q_4":{"pos":4,"state":"hover","icon":"forward"}}}}]`)
	face := func() *ButtonView {
		return element(t, s.mustOpen(t, s.mira, "drive?lift=1").View(), "e_faced").View.(*ButtonView)
	}
	if b := face(); b.Words != "Upper Tarn runs" || b.Tone != "good" || b.States["hover"].Icon != "forward" {
		t.Errorf("%+v", b)
	}
	s.tags["UT.running"] = cond.Bool(false)
	if b := face(); b.Words != "stands" || b.Tone != "stop" {
		t.Errorf("%+v", b)
	}
	delete(s.tags, "UT.running")
	if b := face(); b.Words != "not known" {
		t.Errorf("a face that cannot be decided shows the next: %+v", b)
	}
}

func TestRailsStandByTheirRule(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/ra_one","value":{"kind":"rail","pos":1,"name":"Main","edge":"left","placed":{"kinds":{"list":true,"form":true},"except":{"s_drive":true}},"elements":{
	   "e_r0":{"kind":"button","pos":0,"cell":{"row":1,"col":1,"w":1},"words":"Mine","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list","bind":{"i_by":{"rule":"user"}}}}}}},
	   "e_r1":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":1},"words":"Defects","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}},
	   "e_r2":{"kind":"button","pos":2,"cell":{"row":2,"col":1,"w":1},"words":"Leads","gate":{"roles":{"r_lead":true},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}},
	   "e_r3":{"kind":"button","pos":3,"cell":{"row":3,"col":1,"w":1},"words":"On","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"along","step":"next","rail":"ra_one","none":"round"}}}}}}}},
	 {"op":"add","path":"/ra_two","value":{"kind":"rail","pos":2,"name":"Tools","edge":"bottom","placed":{"tables":{"t_cabins":"record.f_state == \"in service\""},"roles":{"r_tech":true}},"elements":{
	   "e_t1":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":1},"words":"Its {record.f_no}","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}}}},
	 {"op":"remove","path":"/s_cabin/guard"}]`)
	rails := func(u *User, address string) string {
		var out []string
		for _, r := range s.mustOpen(t, u, address).View().Rails {
			for _, e := range r.Elements {
				out = append(out, e.View.(*ButtonView).Words+map[bool]string{true: "*"}[e.View.(*ButtonView).Current])
			}
		}
		return strings.Join(out, " ")
	}
	for address, want := range map[string]string{
		"defects": "Mine Defects* On", "cabin?cabin=7": "Mine Defects On Its 007", "cabin?cabin=8": "Mine Defects On", "board": "", "drive?lift=1": "", "defect?defect=1": "Mine Defects* On",
	} {
		if got := rails(s.mira, address); got != want {
			t.Errorf("%s has %q, want %q", address, got, want)
		}
	}
	if got := rails(s.sela, "cabin?cabin=7"); got != "Mine Defects Leads On" {
		t.Errorf("a lead has %q", got)
	}
	o := s.mustOpen(t, s.mira, "defects")
	if out, err := press(t, o, s, Press{Element: "e_r3"}); err != nil || out.To.Address(s.app.Project) != "/defects?by=1" {
		t.Errorf("along: %+v, %v", out, err)
	}
	// A button of a rail that does not stand here cannot be pressed.
	if _, err := press(t, o, s, Press{Element: "e_t1"}); codeOf(err) != "no-element" {
		t.Errorf("%v", err)
	}
	ins := s.app.WaysIn("s_list", nil)
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
