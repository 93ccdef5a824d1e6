package use_test

import (
	"math/big"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/local"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

func TestValuesInWordsForPeople(t *testing.T) {
	w := &use.World{App: &plan.App{}, Moment: time.Date(2026, 11, 24, 10, 0, 0, 0, time.FixedZone("east", 2*3600))}
	day := time.Date(2026, 3, 5, 23, 30, 0, 0, time.UTC)
	for _, tc := range []struct {
		v    cond.Value
		want string
	}{
		{cond.Bool(true), "yes"}, {cond.Bool(false), "no"}, {cond.DateOf(day), "5 Mar 2026"},
		{cond.MomentOf(day), "6 Mar 2026 01:30"}, // in the project's zone
		{cond.Int(9999), "9999"}, {cond.Int(41280), "41,280"}, {cond.Int(-1234567), "-1,234,567"}, {cond.Int(0), "0"},
		{cond.Float(2.5), "2.5"}, {cond.Exact(big.NewRat(5, 2)), "2.5"}, {cond.String("as it is"), "as it is"}, {cond.Key("7"), "7"},
	} {
		if got := w.Say(tc.v, cond.Type{}); got != tc.want {
			t.Errorf("%s %s is said as %q, want %q", tc.v.Kind(), tc.v.Wire(), got, tc.want)
		}
	}
	w.App.Language = local.Of("de")
	for want, v := range map[string]cond.Value{"05.03.2026": cond.DateOf(day), "06.03.2026 01:30": cond.MomentOf(day), "41.280": cond.Int(41280), "2,5": cond.Exact(big.NewRat(5, 2)), "1.2 as it is": cond.String("1.2 as it is")} {
		if got := w.Say(v, cond.Type{}); got != want {
			t.Errorf("in German %s is said as %q, want %q", v.Wire(), got, want)
		}
	}
}

func TestNodesAreMadeFromTheRecord(t *testing.T) {
	s := stand.New(t, "")
	row := func(code cond.Value) *ask.Row {
		return &ask.Row{Table: "t_lifts", Key: "1", Values: map[string]cond.Value{"f_code": code, "f_lift.f_code": code}}
	}
	names := []string{"q_drive", "g_speed"}
	for code, want := range map[string]string{"UT": "UT.speed", "a b": "a%20b.speed", "x/y": "x%2Fy.speed", "{code}": "%7Bcode%7D.speed"} {
		ref, tag, why := use.TagOf(s.App, row(cond.String(code)), nil, names)
		if tag == nil || ref.Node != want || ref.Source != "so_p" {
			t.Errorf("%q gives %+v (%s), want %s", code, ref, why, want)
		}
	}
	cabin := row(cond.String("UT"))
	cabin.Table = "t_cabins"
	if ref, tag, why := use.TagOf(s.App, cabin, []string{"f_lift"}, names); tag == nil || ref.Node != "UT.speed" {
		t.Errorf("through a relation: %+v %s", ref, why)
	}
	for what, why := range map[string]string{"empty": "", "gone": "", "no equipment": "", "relation": ""} {
		r, prefix, n := row(cond.NullValue), []string(nil), names
		switch what {
		case "gone":
			r, n = row(cond.String("UT")), []string{"q_drive", "g_gone"}
		case "no equipment":
			r = row(cond.String("UT"))
			r.Table = "t_staff"
		case "relation":
			r, prefix = row(cond.String("UT")), []string{"f_gone"}
		}
		if _, tag, said := use.TagOf(s.App, r, prefix, n); tag != nil || said == why {
			t.Errorf("%s: a node was made, or nothing is said", what)
		}
	}
}

func TestWhatWasNotFetchedIsUnknownNotEmpty(t *testing.T) {
	s := stand.New(t, "")
	o := s.MustOpen(t, s.Mira, "defect?defect=1")
	for _, text := range []string{"record.f_hours > 1.0", "user.record.f_phone == \"x\""} {
		e, problem := s.App.Compiler.Condition(s.App.Project.Scope(s.App.Project.Screens["s_defect"], ""), text)
		if problem != nil {
			t.Fatal(problem.Message)
		}
		v := e.Root.Eval(o.World)
		if text == "record.f_hours > 1.0" {
			if !v.Known() {
				t.Errorf("%s was fetched for its field and is unknown: %s", text, v.Why())
			}
			continue
		}
		if v.Known() {
			t.Errorf("%s was never fetched and comes to %v", text, v.True())
		}
	}
}

func TestHiddenFieldsAreUnknownEverywhere(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/elements/e_secret","value":{"kind":"text","pos":9,"cell":{"row":7,"col":1,"w":4},"words":"Call {record.f_by.f_phone}"}},
	  {"op":"add","path":"/s_defect/elements/e_call","value":{"kind":"button","pos":10,"cell":{"row":8,"col":1,"w":4},"words":"Call","gate":{"while":"record.f_by.f_phone == \"210\"","cases":{"c_1":{"pos":1,"move":{"kind":"back"}}}}}},
	  {"op":"add","path":"/s_defect/elements/e_phone","value":{"kind":"field","pos":11,"cell":{"row":9,"col":1,"w":4},"path":"f_by.f_phone"}}]`)
	v := s.MustOpen(t, s.Mira, "defect?defect=1").View()
	if w := stand.Element(t, v, "e_secret").View.(*element.TextView).Words; w != "Call –" {
		t.Errorf("the hidden phone is told: %q", w)
	}
	if e := stand.Element(t, v, "e_call"); e.State != "greyed" || e.Reason != "Value not available: not visible to you." {
		t.Errorf("a condition over it: %+v", e)
	}
	for _, e := range v.Elements {
		if e.ID == "e_phone" {
			t.Errorf("its field is sent: %+v", e.View.(*element.FieldView))
		}
	}
	if _, err := s.Open(t, s.Mira, "defects?~filter.by=is:1&~sort=by"); err != nil {
		t.Errorf("what may be seen may be filtered: %v", err)
	}
	if _, err := place.Parse(s.App.Project, "defects", "~filter.by.phone=is:210"); err != nil {
		t.Fatal(err)
	}
	if _, err := s.Open(t, s.Mira, "defects?~filter.by.phone=is:210"); err == nil {
		t.Error("a hidden field may be filtered by, which tells it")
	}
}

func TestPressesOnListsAndChartsOfScreensThatAreNarrowed(t *testing.T) {
	s := stand.New(t, "")
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "chart"), s, press.Press{Element: "e_chart", Point: ""})
	if err != nil || out.To == nil || len(out.To.Inputs) != 0 {
		t.Errorf("the bar of those without a cabin: %+v %v", out, err)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "defects"), s, press.Press{Element: "e_list"}); err == nil {
		t.Error("a press on no row went through")
	}
}
