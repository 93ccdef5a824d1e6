package build_test

import (
	"context"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/place"
	"ambergate/core/stand"
)

func why(s *stand.Stand, t testing.TB, u *ask.User, address string, at build.Aim) *build.Explanation {
	t.Helper()
	slug, query, _ := strings.Cut(address, "?")
	place, err := place.Parse(s.App.Project, slug, query)
	if err != nil {
		t.Fatal(err)
	}
	x, err := build.Why(context.Background(), s.App, u, place, at, s.Sources())
	if err != nil {
		t.Fatal(err)
	}
	return x
}

func turnsOf(x *build.Explanation) string {
	var out []string
	for _, turn := range x.Turns {
		out = append(out, turn.Words)
	}
	return strings.Join(out, "; ")
}

func judgedOf(list []build.Judged) string {
	var out []string
	for _, j := range list {
		out = append(out, j.What+" "+j.State)
	}
	return strings.Join(out, ", ")
}

func TestWhyAWayIsOpenAndWhereItLeads(t *testing.T) {
	s := stand.NewRuled(t)
	x := why(s, t, s.Mira, "defect?defect=1", build.Aim{Element: "e_cabin", Trigger: "release"})
	if x.State != "open" || len(x.Turns) != 0 || x.Leads == nil || !x.Leads.Opens {
		t.Fatalf("%+v", x)
	}
	if got := judgedOf(x.Judged); got != "grant passes, row-rule passes, guard passes" {
		t.Errorf("judged: %s", got)
	}
	if in := x.Leads.Inputs; len(in) != 1 || in[0].Words != "007" || in[0].Value != "7" || in[0].From != "its cabin" {
		t.Errorf("leads with %+v", in)
	}
	if got := judgedOf(x.Leads.Judged); got != "grant passes, row-rule passes, guard passes" {
		t.Errorf("judged there: %s", got)
	}
	states := map[string]string{}
	for _, r := range x.Roles {
		states[r.Role] = string(r.State)
	}
	if states["r_tech"] != "open" || states["r_lead"] != "open" || states["r_vis"] != "shut" {
		t.Errorf("seen by %v", states)
	}
}

func TestWhyAWayIsShutAndWhatWouldHaveToChange(t *testing.T) {
	s := stand.NewRuled(t)
	closing := build.Aim{Element: "e_close", Trigger: "release"}
	// Closed, and somebody else's: the condition and the row rule.
	x := why(s, t, s.Mira, "defect?defect=2", closing)
	if x.State != "greyed" || x.Reason != "It is closed." || turnsOf(x) != "state is “open”" {
		t.Errorf("a closed one: %s, %q, turns %s", x.State, x.Reason, turnsOf(x))
	}
	// Another role.
	x = why(s, t, s.Sela, "defect?defect=1", closing)
	if x.State != "hidden" || turnsOf(x) != "the user is Technician" || !strings.Contains(judgedOf(x.Judged), "roles refuses") {
		t.Errorf("another role: %s, %s, turns %s", x.State, judgedOf(x.Judged), turnsOf(x))
	}
	// A guard at the target, which is told with its deciding part.
	s.Data.Rows["t_cabins"]["7"]["f_state"] = s.Data.Rows["t_cabins"]["8"]["f_state"]
	x = why(s, t, s.Sela, "defect?defect=1", build.Aim{Element: "e_cabin", Trigger: "release"})
	if x.State != "refused" || x.Leads == nil || x.Leads.Opens || turnsOf(x) != "state is not “on hold”" {
		t.Errorf("a guard at the target: %s, turns %s, %+v", x.State, turnsOf(x), x.Leads)
	}
	for _, j := range x.Leads.Judged {
		if j.What == "guard" && (j.State != "refuses" || j.Part == nil || j.Part.Value != "on hold") {
			t.Errorf("%+v", j)
		}
	}
}

func TestWhyARowRuleRefuses(t *testing.T) {
	s := stand.New(t, stand.RowRules[:len(stand.RowRules)-2]+`,{"op":"add","path":"/s_defect/elements/e_edit","value":{"kind":"button","pos":9,"cell":{"row":5,"col":1,"w":2},"words":"Edit","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_defect","mode":"edit","bind":{"i_d":{"rule":"this"}}}}}}}}]`)
	s.Data.Rows["t_defects"]["2"]["f_by"] = s.Data.Rows["t_defects"]["1"]["f_by"]
	s.Data.Rows["t_defects"]["1"]["f_by"] = s.Data.Rows["t_cabins"]["7"]["f_lift"] // key 1: Mira's own
	s.Data.Rows["t_defects"]["3"]["f_by"] = s.Data.Rows["t_defects"]["1"]["f_cabin"]
	x := why(s, t, s.Mira, "defect?defect=3", build.Aim{Element: "e_edit", Trigger: "release"})
	if x.State != "greyed" || x.Leads == nil || x.Leads.Opens {
		t.Fatalf("%+v", x)
	}
	if got := turnsOf(x); got != "by is empty" && got != "by is the user" {
		t.Errorf("turns %s", got)
	}
	for _, j := range x.Leads.Judged {
		if j.What == "row-rule" && (j.State != "refuses" || j.Part == nil || j.Part.State != "no" || j.Words != "to be changed: by is empty or by is the user") {
			t.Errorf("%+v", j)
		}
	}
	// What a rule hides is said to be hidden; what never was is said to be nowhere.
	hidden := why(s, t, s.Mira, "cabin?cabin=8", build.Aim{Element: "e_add", Trigger: "release"})
	never := why(s, t, s.Mira, "cabin?cabin=99", build.Aim{Element: "e_add", Trigger: "release"})
	if hidden.State != "shut" || !strings.Contains(judgedOf(hidden.Judged), "row-rule refuses") || never.State != "shut" || !strings.Contains(judgedOf(never.Judged), "record refuses") {
		t.Errorf("hidden: %s; never: %s", judgedOf(hidden.Judged), judgedOf(never.Judged))
	}
}

func TestWhyForARowOfAList(t *testing.T) {
	s := stand.NewRuled(t)
	at := build.Aim{Element: "e_list", Trigger: "row", Row: "2"}
	x := why(s, t, s.Mira, "defects", at)
	if x.State != "greyed" || turnsOf(x) != "state is “open”" {
		t.Errorf("a closed row: %s, turns %s", x.State, turnsOf(x))
	}
	at.Row = "1"
	if x = why(s, t, s.Mira, "defects", at); x.State != "open" || x.Leads == nil || x.Leads.Inputs[0].Words != "D-1" || x.Leads.Inputs[0].From != "the chosen row" {
		t.Errorf("an open row: %+v", x)
	}
	at.Row = "99"
	if x = why(s, t, s.Mira, "defects", at); x.State != "hidden" {
		t.Errorf("no such row: %+v", x)
	}
}

func TestAnExplanationTellsNothingHidden(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/gr_1/hidden","value":{"f_state":true}}]`)
	x := why(s, t, s.Mira, "defect?defect=1", build.Aim{Element: "e_close", Trigger: "release"})
	for _, j := range x.Judged {
		if j.What == "while" && (j.State != "unknown" || j.Part.Value != "" || j.Part.Why != "not visible to you") {
			t.Errorf("%+v %+v", j, j.Part)
		}
	}
	if x.State != "greyed" || len(x.Turns) != 1 || x.Turns[0].Value != "" {
		t.Errorf("%+v", x)
	}
}
