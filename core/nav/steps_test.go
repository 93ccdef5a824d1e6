package nav

import (
	"context"
	"testing"

	"ambergate/core/cond"
)

// stepping gives the defect form buttons that step, in a given order of the list.
const stepping = `[
 {"op":"add","path":"/s_defect/position","value":true},
 {"op":"add","path":"/s_defect/elements/e_prev","value":{"kind":"button","pos":10,"cell":{"row":3,"col":1,"w":2},"words":"Previous","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"previous"}}}}}},
 {"op":"add","path":"/s_defect/elements/e_next","value":{"kind":"button","pos":11,"cell":{"row":3,"col":3,"w":2},"words":"Next","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"next"}}}}}},
 {"op":"add","path":"/s_defect/elements/e_round","value":{"kind":"button","pos":12,"cell":{"row":3,"col":5,"w":2},"words":"Round","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"next","none":"round"}}}}}},
 {"op":"add","path":"/s_defect/elements/e_say","value":{"kind":"button","pos":13,"cell":{"row":3,"col":7,"w":2},"words":"Say","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"next","none":"stay","reason":"No more."}}}}}},
 {"op":"add","path":"/s_defect/elements/e_fin","value":{"kind":"button","pos":14,"cell":{"row":3,"col":9,"w":2},"words":"Close, next","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1,"fields":{"f_state":"\"closed\""}}},"move":{"kind":"step","step":"next"}}}}}}
]`

// opened gives the place that a row of the list leads to, from an address.
func (s *stand) opened(t testing.TB, address, row string) Place {
	t.Helper()
	o := s.mustOpen(t, s.mira, address)
	out, err := press(t, o, s, Press{Element: "e_list", Row: row})
	if err != nil {
		t.Fatal(err)
	}
	return *out.To
}

func (s *stand) at(t testing.TB, p Place) *Opening {
	t.Helper()
	o, err := s.app.Open(context.Background(), s.mira, p, s.sources())
	if err != nil {
		t.Fatal(err)
	}
	return o
}

func TestStepsFollowTheListComeFrom(t *testing.T) {
	s := newStand(t, stepping)
	s.data.data["t_defects"]["4"] = map[string]cond.Value{"f_id": cond.Int(4), "f_code": cond.String("D-0"), "f_what": cond.String("Rope"), "f_state": cond.String("open")}
	// The list is open ones by code: D-0 (4), D-1 (1), D-3 (3).
	from := s.opened(t, "defects?~filter.state=is:open&~sort=code", "1")
	o := s.at(t, from)
	v := o.View()
	if v.Steps == nil || v.Steps.Previous != "D-0" || v.Steps.Next != "D-3" || v.Steps.NextBy != "e_next" {
		t.Fatalf("neighbours %+v", v.Steps)
	}
	p, err := o.Position(context.Background(), s.sources())
	if err != nil || p.At != 2 || p.Of != 3 || p.Gone || p.List != "Defects, open" {
		t.Errorf("position %+v, %v", p, err)
	}
	out, err := press(t, o, s, Press{Element: "e_next"})
	if err != nil || out.To == nil || out.To.Inputs["i_d"] != "3" || out.To.Mode != "view" {
		t.Fatalf("next %+v, %v", out, err)
	}
	last := s.at(t, *out.To)
	if b := element(t, last.View(), "e_next"); b.State != "greyed" || b.Reason != "This is the last of “Defects”." {
		t.Errorf("at the end: %+v", b)
	}
	out, err = press(t, last, s, Press{Element: "e_round"})
	if err != nil || out.To.Inputs["i_d"] != "4" {
		t.Errorf("round at the end: %+v, %v", out.To, err)
	}
	if out, err = press(t, last, s, Press{Element: "e_say"}); err != nil || out.Kind != "stay" || out.Message != "No more." {
		t.Errorf("staying at the end: %+v, %v", out, err)
	}
}

// A record that left the list by what was done to it is stepped on from where it was.
func TestDoneWithOneTheNextIsThatBehindIt(t *testing.T) {
	s := newStand(t, stepping)
	o := s.at(t, s.opened(t, "defects?~filter.state=is:open&~sort=code", "1"))
	out, err := press(t, o, s, Press{Element: "e_fin"})
	if err != nil || out.To == nil || out.To.Inputs["i_d"] != "3" || s.data.data["t_defects"]["1"]["f_state"].Wire() != "closed" {
		t.Fatalf("%+v, %v", out, err)
	}
	// Back at the first, it is no longer in the list, and its neighbours are as they were.
	again := o.Place()
	o = s.at(t, again)
	if v := o.View(); v.Steps.Next != "D-3" {
		t.Errorf("neighbours %+v", v.Steps)
	}
	if p, err := o.Position(context.Background(), s.sources()); err != nil || !p.Gone || p.At != 0 {
		t.Errorf("position %+v, %v", p, err)
	}
}

func TestWithoutAListAllRecordsAreSteppedAlong(t *testing.T) {
	s := newStand(t, stepping)
	o := s.mustOpen(t, s.mira, "defect?defect=2")
	if v := o.View(); v.Steps.Previous != "D-1" || v.Steps.Next != "D-3" || !v.Tells {
		t.Errorf("neighbours %+v", v.Steps)
	}
	if b := element(t, s.mustOpen(t, s.mira, "defect?~mode=add").View(), "e_next"); b.State != "greyed" {
		t.Errorf("a new record steps: %+v", b)
	}
	// A list that is gone since, or filters that do not fit any more, are no fault.
	p := o.Place()
	p.From = &From{Screen: "s_list", Element: "e_gone", Filters: []Filter{{Path: "f_nothing", Compare: "is"}}}
	if v := s.at(t, p).View(); v.Steps.Next != "D-3" {
		t.Errorf("neighbours %+v", v.Steps)
	}
}

func TestTheNearestListIsFound(t *testing.T) {
	s := newStand(t, stepping)
	list, err := ParseAddress(s.app.Project, "defects", "cabin=7&~find=door")
	if err != nil {
		t.Fatal(err)
	}
	if from := ListOf(s.app.Project, list, "t_defects"); from == nil || from.Element != "e_list" || from.Find != "door" || from.Inputs["i_cabin"] != "7" {
		t.Errorf("from %+v", from)
	}
	if ListOf(s.app.Project, list, "t_cabins") != nil || ListOf(s.app.Project, Place{Screen: "s_gone"}, "t_defects") != nil {
		t.Error("a list of something else is taken")
	}
	if got := s.app.StepsAlong(Place{Screen: "s_defect", Mode: "edit"}); got != "t_defects" {
		t.Errorf("steps along %q", got)
	}
	if s.app.StepsAlong(Place{Screen: "s_defect", Mode: "add"}) != "" || s.app.StepsAlong(Place{Screen: "s_cabin", Mode: "view"}) != "" {
		t.Error("what does not step looks for a list")
	}
}

func TestStepsInWords(t *testing.T) {
	s := newStand(t, stepping)
	plan := s.app.Screens["s_defect"]
	for id, want := range map[string]string{
		"e_prev": "When released, for everyone: go to the previous defect of the list come from.", "e_round": "When released, for everyone: go to the next defect of the list come from, round at the end.",
	} {
		for _, e := range plan.Elements {
			if got := sentenceText(s.app.Sentence(plan.Screen, e, "release")); e.ID == id && got != want {
				t.Errorf("%s: %s", id, got)
			}
		}
	}
}
