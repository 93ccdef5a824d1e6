package element_test

import (
	"context"
	"errors"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

func TestFieldsSayTheirValueAndState(t *testing.T) {
	s := stand.New(t, "")
	s.Data.Rows["t_defects"]["1"]["f_hours"] = stand.MustDecimal(t, "2.50")
	v := s.MustOpen(t, s.Mira, "defect?defect=1").View()
	for id, want := range map[string]string{"e_what": "Door|known", "e_hours": "2.5|known", "e_code": "D-1|known"} {
		f := stand.Element(t, v, id).View.(*element.FieldView)
		if got := f.Words + "|" + f.State; got != want || f.Editable {
			t.Errorf("%s: %s, editable %v", id, got, f.Editable)
		}
	}
	if f := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=2").View(), "e_hours").View.(*element.FieldView); f.State != "empty" || f.Value != "" {
		t.Errorf("an empty field: %+v", f)
	}
	v = s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit").View()
	if !stand.Element(t, v, "e_what").View.(*element.FieldView).Editable || stand.Element(t, v, "e_code").View.(*element.FieldView).Editable || !stand.Element(t, v, "e_what").View.(*element.FieldView).Required {
		t.Error("what may be edited")
	}
}

func TestANewRecordIsFilledIn(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_cab","value":{"kind":"field","pos":9,"cell":{"row":3,"col":1,"w":4},"path":"f_cabin"}}]`)
	v := s.MustOpen(t, s.Mira, "defect?~mode=add&~set.cabin=7&~set.what=Door").View()
	if v.Heading != "New defect" || v.Record != nil {
		t.Errorf("heading %q, record %+v", v.Heading, v.Record)
	}
	if f := stand.Element(t, v, "e_cab").View.(*element.FieldView); f.Value != "7" || f.Words != "007" || !f.Editable {
		t.Errorf("the parent that is filled in: %+v", f)
	}
	if f := stand.Element(t, v, "e_what").View.(*element.FieldView); f.Words != "Door" {
		t.Errorf("the text that is filled in: %+v", f)
	}
	if e := stand.Element(t, v, "e_save"); e.State != "shown" {
		t.Errorf("saving a new one: %+v", e)
	}
}

// A relation has a name from each side: what is listed below a record is called as seen from there, where nothing else is said.
func TestAListOfChildrenIsCalledAsSeenFromTheirParent(t *testing.T) {
	list := `{"op":"add","path":"/s_cabin/elements/e_below","value":{"kind":"list","pos":9,"cell":{"row":8,"col":1,"w":12,"h":3},"table":"t_defects","relation":"f_cabin","columns":{"c_1":{"pos":1,"path":"f_code"}}`
	back := `{"op":"add","path":"/t_defects/fields/f_cabin/back","value":"open defects"}`
	for want, changes := range map[string]string{"Defects": `[` + list + `}}]`, "Open defects": `[` + back + `,` + list + `}}]`, "All of them": `[` + back + `,` + list + `,"label":"All of them"}}]`} {
		s := stand.New(t, changes)
		if l := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_below").View.(*element.ListView); l.Label != want {
			t.Errorf("it is called %q, want %q", l.Label, want)
		}
	}
}

func TestAFieldCanBeAWay(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_cab","value":{"kind":"field","pos":9,"cell":{"row":3,"col":1,"w":4},"path":"f_cabin","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin","none":"grey"}}}}}}}}]`)
	f := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=1").View(), "e_cab").View.(*element.FieldView)
	if !f.Way || f.Href != "/cabin?cabin=7" || f.Words != "007" {
		t.Errorf("%+v", f)
	}
	if f := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=3").View(), "e_cab").View.(*element.FieldView); f.Way {
		t.Errorf("a value that is not there leads somewhere: %+v", f)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_cab"})
	if err != nil || out.To == nil || out.To.Screen != "s_cabin" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestGaugesLampsTrendsAndFigures(t *testing.T) {
	s := stand.New(t, `[
	 {"op":"add","path":"/s_drive/elements/e_trend","value":{"kind":"trend","pos":5,"cell":{"row":5,"col":1,"w":12},"words":"Lately","minutes":5,"lines":{"l_1":{"pos":1,"words":"speed","value":"record.equip.q_drive.g_speed","max":8},"l_2":{"pos":2,"words":"sum","value":"record.equip.q_drive.g_speed + 1","max":8}}}},
	 {"op":"add","path":"/im_line","value":{"kind":"picture","name":"The line","digest":"0bbe7a219527c754f212076b1879c014d24ee18dcb85b0ee69e7783fdc793bd1"}},
	 {"op":"add","path":"/s_drive/elements/e_fig","value":{"kind":"figure","pos":6,"cell":{"row":6,"col":1,"w":6},"picture":"im_line","marks":{"m_1":{"pos":1,"x":10,"y":10,"words":"{record.equip.q_drive.g_speed} m/s","abnormal":"record.equip.q_drive.g_speed > 4"}}}},
	 {"op":"replace","path":"/s_drive/elements/e_gauge/value","value":"record.equip.q_drive.g_speed"},
	 {"op":"add","path":"/s_drive/elements/e_gauge/low","value":1},{"op":"add","path":"/s_drive/elements/e_gauge/high","value":4},{"op":"add","path":"/s_drive/elements/e_gauge/digits","value":1}]`)
	o := s.MustOpen(t, s.Mira, "drive?lift=1")
	v := o.View()
	if g := stand.Element(t, v, "e_gauge").View.(*element.GaugeView); g.State != "known" || *g.Value != 4.5 || g.Shown != "4.5" || !g.Out {
		t.Errorf("gauge %+v", g)
	}
	if l := stand.Element(t, v, "e_lamp").View.(*element.LampView); l.State != "on" || l.Shown != "runs" {
		t.Errorf("lamp %+v", l)
	}
	if tr := stand.Element(t, v, "e_trend").View.(*element.TrendView); len(tr.Lines) != 2 || *tr.Lines[0].Value != 4.5 || *tr.Lines[1].Value != 5.5 {
		t.Errorf("trend %+v", tr)
	}
	if refs := o.TrendRefs("e_trend"); len(refs) != 1 || refs["l_1"].Node != "UT.speed" {
		t.Errorf("history behind the trend: %+v", refs)
	}
	if m := stand.Element(t, v, "e_fig").View.(*element.FigureView).Marks[0]; m.Words != "4.5 m/s" || !m.Abnormal {
		t.Errorf("mark %+v", m)
	}
	// Live values change under an open screen; what was fetched stays.
	s.Tags["UT.speed"] = cond.Float(2)
	delete(s.Tags, "UT.running")
	queries := s.Data.Queries
	v = o.View()
	if g := stand.Element(t, v, "e_gauge").View.(*element.GaugeView); g.Shown != "2.0" || g.Out {
		t.Errorf("gauge afterwards %+v", g)
	}
	if e := stand.Element(t, v, "e_lamp"); e.View.(*element.LampView).State != "unknown" || e.Reason == "" {
		t.Errorf("lamp afterwards %+v", e)
	}
	if m := stand.Element(t, v, "e_fig").View.(*element.FigureView).Marks[0]; m.Abnormal {
		t.Errorf("mark afterwards %+v", m)
	}
	if s.Data.Queries != queries {
		t.Error("drawing again asked the database")
	}
	if !o.Live() || s.MustOpen(t, s.Mira, "cabin?cabin=7").Live() {
		t.Error("which screens are live")
	}
}

func TestAGuardOverLiveValuesIsJudgedAgain(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_drive/guard","value":"record.equip.q_drive.g_run"}]`)
	o := s.MustOpen(t, s.Mira, "drive?lift=1")
	if err := o.StillOpen(); err != nil {
		t.Error(err)
	}
	s.Tags["UT.running"] = cond.Bool(false)
	if err := o.StillOpen(); err == nil {
		t.Error("still open although the guard fails by now")
	}
	delete(s.Tags, "UT.running")
	if _, err := s.Open(t, s.Mira, "drive?lift=1"); err == nil {
		t.Error("an unknown guard let somebody in")
	}
}

func TestChartsCountWithTheTitlesOfTheirRecords(t *testing.T) {
	s := stand.New(t, "")
	c := stand.Element(t, s.MustOpen(t, s.Mira, "chart").View(), "e_chart").View.(*element.ChartView)
	labels := []string{}
	for _, p := range c.Points {
		labels = append(labels, p.Label)
	}
	if strings.Join(labels, ",") != "none,007" || c.Points[1].N != 2 || !c.Chooses {
		t.Errorf("%+v", c)
	}
	visitor := &ask.User{ID: "v", Name: "V", Roles: map[string]bool{"r_vis": true}}
	if c := stand.Element(t, s.MustOpen(t, visitor, "chart").View(), "e_chart").View.(*element.ChartView); c.Refused == "" || len(c.Points) > 0 {
		t.Errorf("a visitor is shown %+v", c)
	}
}

func TestShownWhileHidesTheElement(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_note","value":{"kind":"text","pos":9,"cell":{"row":5,"col":1,"w":4},"words":"Open since {record.f_code}","shown":"record.f_state == \"open\""}}]`)
	if w := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=1").View(), "e_note").View.(*element.TextView).Words; w != "Open since D-1" {
		t.Errorf("it says %q", w)
	}
	for _, e := range s.MustOpen(t, s.Mira, "defect?defect=2").View().Elements {
		if e.ID == "e_note" {
			t.Error("it shows although its condition fails")
		}
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=2"), s, press.Press{Element: "e_note"}); err == nil {
		t.Error("a hidden text can be pressed")
	}
}

func TestTheFirstCaseThatHoldsIsTaken(t *testing.T) {
	s := stand.New(t, `[{"op":"replace","path":"/s_defect/elements/e_cabin/gate","value":{"cases":{
	  "c_b":{"pos":2,"when":"record.f_state == \"open\"","move":{"kind":"screen","target":"s_list"}},
	  "c_a":{"pos":1,"when":"record.f_cabin == null","move":{"kind":"home"}},
	  "c_c":{"pos":3,"when":"record.f_code == \"never\"","move":{"kind":"back"}}}}}]`)
	for address, want := range map[string]string{"defect?defect=3": "home", "defect?defect=1": "screen"} {
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, address), s, press.Press{Element: "e_cabin"})
		if err != nil || out.Move != want {
			t.Errorf("%s: %+v %v, want %s", address, out, err, want)
		}
	}
	if e := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=2").View(), "e_cabin"); e.State != "greyed" || e.By != "case" {
		t.Errorf("where no case holds: %+v", e)
	}
}

func TestUpLeadsToWhatTheScreenSays(t *testing.T) {
	s := stand.New(t, `[{"op":"replace","path":"/s_defect/elements/e_cabin/gate/cases/c_1/move","value":{"kind":"up"}}]`)
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_cabin"})
	if err != nil || out.To == nil || out.To.Screen != "s_list" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestButtonsThatOnlyMoveArePlainLinks(t *testing.T) {
	s := stand.New(t, "")
	v := s.MustOpen(t, s.Mira, "defect?defect=1").View()
	if b := stand.Element(t, v, "e_cabin").View.(*element.ButtonView); b.Href != "/cabin?cabin=7" || b.Writes {
		t.Errorf("%+v", b)
	}
	if b := stand.Element(t, v, "e_close").View.(*element.ButtonView); b.Href != "" || !b.Writes {
		t.Errorf("%+v", b)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_dlg").View.(*element.ButtonView); b.Href != "" {
		t.Errorf("a dialog is a plain link: %+v", b)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_add").View.(*element.ButtonView); b.Words != "Report on 007" {
		t.Errorf("its words are %q", b.Words)
	}
}

func TestTheLineOfNow(t *testing.T) {
	s := stand.New(t, "")
	src := s.Sources()
	src.Ghosts = true
	for _, tc := range []struct {
		user    *ask.User
		place   place.Place
		element string
		want    string
	}{
		{s.Mira, place.Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "1"}}, "e_cabin", "For Mira, on defect D-1: Cabin, with cabin 007."},
		{s.Mira, place.Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "3"}}, "e_cabin", "For Mira, on defect D-3: On no cabin."},
		{s.Mira, place.Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "1"}}, "e_close", "For Mira, on defect D-1: set by to the user and set state to “closed”, then goes back."},
		{s.Sela, place.Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "1"}}, "e_close", "For Sela, on defect D-1: Only for Technician."},
		{s.Mira, place.Place{Screen: "s_cabin", Inputs: map[string]string{"i_c": "7"}}, "e_add", "For Mira, on cabin 007: Defect, a new one, with cabin 007 filled in."},
		{s.Mira, place.Place{Screen: "s_list"}, "e_list", "For Mira: Defect, with defect 1."},
	} {
		o, err := use.Open(context.Background(), s.App, tc.user, tc.place, src)
		if err != nil {
			t.Fatal(err)
		}
		found := false
		for _, w := range build.Ways(o) {
			if w.Element == tc.element {
				found = true
				if w.Now != tc.want {
					t.Errorf("%s: %q, want %q", tc.element, w.Now, tc.want)
				}
			}
		}
		if !found {
			t.Errorf("%s has no way", tc.element)
		}
	}
}

func TestRefusalsByAConditionNameTheDecidingPart(t *testing.T) {
	s := stand.New(t, `[{"op":"replace","path":"/s_defect/elements/e_close/gate/while","value":"record.f_state == \"open\" && record.f_cabin != null"}]`)
	src := s.Sources()
	src.Bare = true // as a press opens it: nothing but the record, and explained
	o, err := use.Open(context.Background(), s.App, s.Mira, place.Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "3"}}, src)
	if err != nil {
		t.Fatal(err)
	}
	_, err = stand.Press(t, o, s, press.Press{Element: "e_close"})
	var r *ask.Refusal
	if !errors.As(err, &r) || r.Part == nil {
		t.Fatalf("%v has no part", err)
	}
	if r.Part.Deciding().Words != "cabin is not empty" {
		t.Errorf("decided by %q", r.Part.Deciding().Words)
	}
}

func TestTitlesForPickers(t *testing.T) {
	s := stand.New(t, "")
	rows, err := use.Titles(context.Background(), s.App, s.Mira, s.Data, time.Time{}, use.TitleQuery{Table: "t_cabins", Limit: 1})
	if err != nil || len(rows) != 1 || rows[0].Title != "007" {
		t.Errorf("%+v %v", rows, err)
	}
	if _, err := use.Titles(context.Background(), s.App, s.Sela, s.Data, time.Time{}, use.TitleQuery{Table: "t_staff", Limit: 5}); err == nil {
		t.Error("titles of a table that the role may not view")
	}
	if _, err := use.Titles(context.Background(), s.App, s.Sela, s.Data, time.Time{}, use.TitleQuery{Table: "t_none", Limit: 5}); err == nil {
		t.Error("titles of a table that does not exist")
	}
}

func TestNamesThatConditionsMayUse(t *testing.T) {
	s := stand.New(t, "")
	has := func(screen, element, path, words string) {
		t.Helper()
		for _, n := range build.Names(s.App, s.Scope(screen, element), "") {
			if n.Path == path {
				if n.Words != words {
					t.Errorf("%s is called %q, want %q", path, n.Words, words)
				}
				return
			}
		}
		t.Errorf("%s of %s may not use %s", element, screen, path)
	}
	has("s_defect", "e_close", "record.state", "state")
	has("s_defect", "e_close", "record.cabin.state", "state")
	has("s_list", "e_list", "row.state", "state")
	has("s_list", "e_list", "inputs.cabin.number", "number")
	has("s_drive", "e_lamp", "record.equip.drive.speed", "drive speed")
	for _, n := range build.Names(s.App, s.Scope("s_defect", "e_close"), "") {
		if _, problem := s.App.Compiler.Expression(s.App.Project.Scope(s.App.Project.Screens["s_defect"], ""), n.Path); problem != nil {
			t.Errorf("%s is offered and cannot be used: %s", n.Path, problem.Message)
		}
	}
}

// A colour of the builder's own that is gone is a finding, and the button is told as it stands.
func TestAButtonInAColourOfOnesOwn(t *testing.T) {
	const colour = `{"op":"add","path":"/s_board/elements/e_mine/colour","value":"co_roof"}`
	s := stand.New(t, `[{"op":"add","path":"/project/style","value":{"colours":{"co_roof":{"pos":1,"name":"Roof","light":"#aa3311","dark":"#ff8877"}},"corners":"round"}},`+colour+`]`)
	v := s.MustOpen(t, s.Mira, "board").View()
	if b := stand.Element(t, v, "e_mine").View.(*element.ButtonView); b.Colour != "co_roof" || v.Style == nil || v.Style.Colours["co_roof"].Dark != "#ff8877" || v.Style.Corners != "round" {
		t.Errorf("%+v %+v", b, v.Style)
	}
	if len(s.App.Problems) != 0 {
		t.Errorf("%+v", s.App.Problems)
	}
	s = stand.New(t, `[`+colour+`]`)
	if len(s.App.Problems) != 1 || s.App.Problems[0].Problem.Message != "The colour it had is gone." {
		t.Errorf("%+v", s.App.Problems)
	}
	if v := s.MustOpen(t, s.Mira, "board").View(); v.Style != nil {
		t.Errorf("%+v", v.Style)
	}
}
