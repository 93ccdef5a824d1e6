package nav

import (
	"context"
	"errors"
	"strings"
	"testing"
	"time"

	"ambergate/core/cond"
)

func TestFieldsSayTheirValueAndState(t *testing.T) {
	s := newStand(t, "")
	s.data.data["t_defects"]["1"]["f_hours"] = mustDecimal(t, "2.50")
	v := s.mustOpen(t, s.mira, "defect?defect=1").View()
	for id, want := range map[string]string{"e_what": "Door|known", "e_hours": "2.5|known", "e_code": "D-1|known"} {
		f := element(t, v, id).View.(*FieldView)
		if got := f.Words + "|" + f.State; got != want || f.Editable {
			t.Errorf("%s: %s, editable %v", id, got, f.Editable)
		}
	}
	if f := element(t, s.mustOpen(t, s.mira, "defect?defect=2").View(), "e_hours").View.(*FieldView); f.State != "empty" || f.Value != "" {
		t.Errorf("an empty field: %+v", f)
	}
	v = s.mustOpen(t, s.mira, "defect?defect=1&~mode=edit").View()
	if !element(t, v, "e_what").View.(*FieldView).Editable || element(t, v, "e_code").View.(*FieldView).Editable || !element(t, v, "e_what").View.(*FieldView).Required {
		t.Error("what may be edited")
	}
}

func mustDecimal(t testing.TB, s string) cond.Value {
	t.Helper()
	v, err := cond.Parse(cond.Type{Kind: cond.Decimal}, s)
	if err != nil {
		t.Fatal(err)
	}
	return v
}

func TestANewRecordIsFilledIn(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/s_defect/elements/e_cab","value":{"kind":"field","pos":9,"cell":{"row":3,"col":1,"w":4},"path":"f_cabin"}}]`)
	v := s.mustOpen(t, s.mira, "defect?~mode=add&~set.cabin=7&~set.what=Door").View()
	if v.Heading != "New defect" || v.Record != nil {
		t.Errorf("heading %q, record %+v", v.Heading, v.Record)
	}
	if f := element(t, v, "e_cab").View.(*FieldView); f.Value != "7" || f.Words != "007" || !f.Editable {
		t.Errorf("the parent that is filled in: %+v", f)
	}
	if f := element(t, v, "e_what").View.(*FieldView); f.Words != "Door" {
		t.Errorf("the text that is filled in: %+v", f)
	}
	if e := element(t, v, "e_save"); e.State != "shown" {
		t.Errorf("saving a new one: %+v", e)
	}
}

func TestAFieldCanBeAWay(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/s_defect/elements/e_cab","value":{"kind":"field","pos":9,"cell":{"row":3,"col":1,"w":4},"path":"f_cabin","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin","none":"grey"}}}}}}}}]`)
	f := element(t, s.mustOpen(t, s.mira, "defect?defect=1").View(), "e_cab").View.(*FieldView)
	if !f.Way || f.Href != "/cabin?cabin=7" || f.Words != "007" {
		t.Errorf("%+v", f)
	}
	if f := element(t, s.mustOpen(t, s.mira, "defect?defect=3").View(), "e_cab").View.(*FieldView); f.Way {
		t.Errorf("a value that is not there leads somewhere: %+v", f)
	}
	out, err := press(t, s.mustOpen(t, s.mira, "defect?defect=1"), s, Press{Element: "e_cab"})
	if err != nil || out.To == nil || out.To.Screen != "s_cabin" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestGaugesLampsTrendsAndFigures(t *testing.T) {
	s := newStand(t, `[
	 {"op":"add","path":"/s_drive/elements/e_trend","value":{"kind":"trend","pos":5,"cell":{"row":5,"col":1,"w":12},"words":"Lately","minutes":5,"lines":{"l_1":{"pos":1,"words":"speed","value":"record.equip.q_drive.g_speed","max":8},"l_2":{"pos":2,"words":"sum","value":"record.equip.q_drive.g_speed + 1","max":8}}}},
	 {"op":"add","path":"/s_drive/elements/e_fig","value":{"kind":"figure","pos":6,"cell":{"row":6,"col":1,"w":6},"picture":"line.svg","marks":{"m_1":{"pos":1,"x":10,"y":10,"words":"{record.equip.q_drive.g_speed} m/s","abnormal":"record.equip.q_drive.g_speed > 4"}}}},
	 {"op":"replace","path":"/s_drive/elements/e_gauge/value","value":"record.equip.q_drive.g_speed"},
	 {"op":"add","path":"/s_drive/elements/e_gauge/low","value":1},{"op":"add","path":"/s_drive/elements/e_gauge/high","value":4},{"op":"add","path":"/s_drive/elements/e_gauge/digits","value":1}]`)
	o := s.mustOpen(t, s.mira, "drive?lift=1")
	v := o.View()
	if g := element(t, v, "e_gauge").View.(*GaugeView); g.State != "known" || *g.Value != 4.5 || g.Shown != "4.5" || !g.Out {
		t.Errorf("gauge %+v", g)
	}
	if l := element(t, v, "e_lamp").View.(*LampView); l.State != "on" || l.Shown != "runs" {
		t.Errorf("lamp %+v", l)
	}
	if tr := element(t, v, "e_trend").View.(*TrendView); len(tr.Lines) != 2 || *tr.Lines[0].Value != 4.5 || *tr.Lines[1].Value != 5.5 {
		t.Errorf("trend %+v", tr)
	}
	if refs := o.TrendRefs("e_trend"); len(refs) != 1 || refs["l_1"].Node != "UT.speed" {
		t.Errorf("history behind the trend: %+v", refs)
	}
	if m := element(t, v, "e_fig").View.(*FigureView).Marks[0]; m.Words != "4.5 m/s" || !m.Abnormal {
		t.Errorf("mark %+v", m)
	}
	// Live values change under an open screen; what was fetched stays.
	s.tags["UT.speed"] = cond.Float(2)
	delete(s.tags, "UT.running")
	queries := s.data.queries
	v = o.View()
	if g := element(t, v, "e_gauge").View.(*GaugeView); g.Shown != "2.0" || g.Out {
		t.Errorf("gauge afterwards %+v", g)
	}
	if e := element(t, v, "e_lamp"); e.View.(*LampView).State != "unknown" || e.Reason == "" {
		t.Errorf("lamp afterwards %+v", e)
	}
	if m := element(t, v, "e_fig").View.(*FigureView).Marks[0]; m.Abnormal {
		t.Errorf("mark afterwards %+v", m)
	}
	if s.data.queries != queries {
		t.Error("drawing again asked the database")
	}
	if !o.Live() || s.mustOpen(t, s.mira, "cabin?cabin=7").Live() {
		t.Error("which screens are live")
	}
}

func TestAGuardOverLiveValuesIsJudgedAgain(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/s_drive/guard","value":"record.equip.q_drive.g_run"}]`)
	o := s.mustOpen(t, s.mira, "drive?lift=1")
	if err := o.StillOpen(); err != nil {
		t.Error(err)
	}
	s.tags["UT.running"] = cond.Bool(false)
	if err := o.StillOpen(); err == nil {
		t.Error("still open although the guard fails by now")
	}
	delete(s.tags, "UT.running")
	if _, err := s.open(t, s.mira, "drive?lift=1"); err == nil {
		t.Error("an unknown guard let somebody in")
	}
}

func TestChartsCountWithTheTitlesOfTheirRecords(t *testing.T) {
	s := newStand(t, "")
	c := element(t, s.mustOpen(t, s.mira, "chart").View(), "e_chart").View.(*ChartView)
	labels := []string{}
	for _, p := range c.Points {
		labels = append(labels, p.Label)
	}
	if strings.Join(labels, ",") != "none,007" || c.Points[1].N != 2 || !c.Chooses {
		t.Errorf("%+v", c)
	}
	visitor := &User{ID: "v", Name: "V", Roles: map[string]bool{"r_vis": true}}
	if c := element(t, s.mustOpen(t, visitor, "chart").View(), "e_chart").View.(*ChartView); c.Refused == "" || len(c.Points) > 0 {
		t.Errorf("a visitor is shown %+v", c)
	}
}

func TestShownWhileHidesTheElement(t *testing.T) {
	s := newStand(t, `[{"op":"add","path":"/s_defect/elements/e_note","value":{"kind":"text","pos":9,"cell":{"row":5,"col":1,"w":4},"words":"Open since {record.f_code}","shown":"record.f_state == \"open\""}}]`)
	if w := element(t, s.mustOpen(t, s.mira, "defect?defect=1").View(), "e_note").View.(*TextView).Words; w != "Open since D-1" {
		t.Errorf("it says %q", w)
	}
	for _, e := range s.mustOpen(t, s.mira, "defect?defect=2").View().Elements {
		if e.ID == "e_note" {
			t.Error("it shows although its condition fails")
		}
	}
	if _, err := press(t, s.mustOpen(t, s.mira, "defect?defect=2"), s, Press{Element: "e_note"}); err == nil {
		t.Error("a hidden text can be pressed")
	}
}

func TestTheFirstCaseThatHoldsIsTaken(t *testing.T) {
	s := newStand(t, `[{"op":"replace","path":"/s_defect/elements/e_cabin/gate","value":{"cases":{
	  "c_b":{"pos":2,"when":"record.f_state == \"open\"","move":{"kind":"screen","target":"s_list"}},
	  "c_a":{"pos":1,"when":"record.f_cabin == null","move":{"kind":"home"}},
	  "c_c":{"pos":3,"when":"record.f_code == \"never\"","move":{"kind":"back"}}}}}]`)
	for address, want := range map[string]string{"defect?defect=3": "home", "defect?defect=1": "screen"} {
		out, err := press(t, s.mustOpen(t, s.mira, address), s, Press{Element: "e_cabin"})
		if err != nil || out.Move != want {
			t.Errorf("%s: %+v %v, want %s", address, out, err, want)
		}
	}
	if e := element(t, s.mustOpen(t, s.mira, "defect?defect=2").View(), "e_cabin"); e.State != "greyed" || e.By != "case" {
		t.Errorf("where no case holds: %+v", e)
	}
}

func TestUpLeadsToWhatTheScreenSays(t *testing.T) {
	s := newStand(t, `[{"op":"replace","path":"/s_defect/elements/e_cabin/gate/cases/c_1/move","value":{"kind":"up"}}]`)
	out, err := press(t, s.mustOpen(t, s.mira, "defect?defect=1"), s, Press{Element: "e_cabin"})
	if err != nil || out.To == nil || out.To.Screen != "s_list" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestButtonsThatOnlyMoveArePlainLinks(t *testing.T) {
	s := newStand(t, "")
	v := s.mustOpen(t, s.mira, "defect?defect=1").View()
	if b := element(t, v, "e_cabin").View.(*ButtonView); b.Href != "/cabin?cabin=7" || b.Writes {
		t.Errorf("%+v", b)
	}
	if b := element(t, v, "e_close").View.(*ButtonView); b.Href != "" || !b.Writes {
		t.Errorf("%+v", b)
	}
	if b := element(t, s.mustOpen(t, s.mira, "cabin?cabin=7").View(), "e_dlg").View.(*ButtonView); b.Href != "" {
		t.Errorf("a dialog is a plain link: %+v", b)
	}
	if b := element(t, s.mustOpen(t, s.mira, "cabin?cabin=7").View(), "e_add").View.(*ButtonView); b.Words != "Report on 007" {
		t.Errorf("its words are %q", b.Words)
	}
}

func TestTheLineOfNow(t *testing.T) {
	s := newStand(t, "")
	src := s.sources()
	src.Ghosts = true
	for _, tc := range []struct {
		user    *User
		place   Place
		element string
		want    string
	}{
		{s.mira, Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "1"}}, "e_cabin", "For Mira, on defect D-1: Cabin, with cabin 007."},
		{s.mira, Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "3"}}, "e_cabin", "For Mira, on defect D-3: On no cabin."},
		{s.mira, Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "1"}}, "e_close", "For Mira, on defect D-1: set by to the user and set state to closed, then goes back."},
		{s.sela, Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "1"}}, "e_close", "For Sela, on defect D-1: Sela is not Technician."},
		{s.mira, Place{Screen: "s_cabin", Inputs: map[string]string{"i_c": "7"}}, "e_add", "For Mira, on cabin 007: Defect, a new one, with cabin 007 filled in."},
		{s.mira, Place{Screen: "s_list"}, "e_list", "For Mira: Defect, with defect 1."},
	} {
		o, err := s.app.Open(context.Background(), tc.user, tc.place, src)
		if err != nil {
			t.Fatal(err)
		}
		found := false
		for _, w := range o.Ways() {
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
	s := newStand(t, `[{"op":"replace","path":"/s_defect/elements/e_close/gate/while","value":"record.f_state == \"open\" && record.f_cabin != null"}]`)
	src := s.sources()
	src.Bare = true // as a press opens it: nothing but the record, and explained
	o, err := s.app.Open(context.Background(), s.mira, Place{Screen: "s_defect", Inputs: map[string]string{"i_d": "3"}}, src)
	if err != nil {
		t.Fatal(err)
	}
	_, err = press(t, o, s, Press{Element: "e_close"})
	var r *Refusal
	if !errors.As(err, &r) || r.Part == nil {
		t.Fatalf("%v has no part", err)
	}
	if r.Part.Deciding().Words != "cabin is not empty" {
		t.Errorf("decided by %q", r.Part.Deciding().Words)
	}
}

func TestTitlesForPickers(t *testing.T) {
	s := newStand(t, "")
	rows, err := s.app.Titles(context.Background(), s.mira, s.data, time.Time{}, TitleQuery{Table: "t_cabins", Limit: 1})
	if err != nil || len(rows) != 1 || rows[0].Title != "007" {
		t.Errorf("%+v %v", rows, err)
	}
	if _, err := s.app.Titles(context.Background(), s.sela, s.data, time.Time{}, TitleQuery{Table: "t_staff", Limit: 5}); err == nil {
		t.Error("titles of a table that the role may not view")
	}
	if _, err := s.app.Titles(context.Background(), s.sela, s.data, time.Time{}, TitleQuery{Table: "t_none", Limit: 5}); err == nil {
		t.Error("titles of a table that does not exist")
	}
}

func TestNamesThatConditionsMayUse(t *testing.T) {
	s := newStand(t, "")
	has := func(screen, element, path, words string) {
		t.Helper()
		for _, n := range s.app.Names(s.scope(screen, element), "") {
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
	for _, n := range s.app.Names(s.scope("s_defect", "e_close"), "") {
		if _, problem := s.app.Compiler.Expression(s.app.Project.Scope(s.app.Project.Screens["s_defect"], ""), n.Path); problem != nil {
			t.Errorf("%s is offered and cannot be used: %s", n.Path, problem.Message)
		}
	}
}
