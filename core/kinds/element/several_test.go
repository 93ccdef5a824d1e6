package element_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

const bySeveral = `[
 {"op":"add","path":"/s_board/inputs","value":{"i_state":{"pos":1,"alias":"state","label":"State","type":"text","filter":"f_state","several":true},"i_cabin":{"pos":2,"alias":"cabin","label":"Cabin","type":"record","table":"t_cabins","filter":"f_cabin","several":true}}},
 {"op":"add","path":"/s_board/elements/e_states","value":{"kind":"chart","pos":30,"cell":{"row":30,"col":1,"w":6},"table":"t_defects","by":"f_state","chosen":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board","bind":{"i_state":{"rule":"point"}}}}}}}},
 {"op":"add","path":"/s_board/elements/e_all","value":{"kind":"total","pos":31,"cell":{"row":31,"col":1,"w":3},"words":"Defects","table":"t_defects"}},
 {"op":"add","path":"/s_board/elements/e_on","value":{"kind":"button","pos":32,"cell":{"row":32,"col":1,"w":3},"words":"On","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"input","value":"i_cabin"}}}}}}}}]`

func states(t *testing.T, o *use.Opening) (*element.ChartView, []string) {
	t.Helper()
	v := stand.Element(t, o.View(), "e_states").View.(*element.ChartView)
	var chosen []string
	for _, p := range v.Points {
		if p.Chosen {
			chosen = append(chosen, p.Value)
		}
	}
	return v, chosen
}

func TestSeveralPointsAreChosenBesideEachOther(t *testing.T) {
	s := stand.New(t, bySeveral)
	o := s.MustOpen(t, s.Mira, "board")
	at := func(point string, also bool) *use.Opening {
		t.Helper()
		out, err := stand.Press(t, o, s, press.Press{Element: "e_states", Trigger: "point", Point: point, Also: also})
		if err != nil || out.To == nil {
			t.Fatalf("%+v %v", out, err)
		}
		return s.MustOpen(t, s.Mira, strings.TrimPrefix(out.To.Address(s.App.Project), "/"))
	}
	all := func() float64 {
		return *stand.Element(t, o.View(), "e_all").View.(*element.TotalView).Value
	}
	whole := all()
	o = at("open", false)
	if v, chosen := states(t, o); len(chosen) != 1 || !v.Several || v.Input != "i_state" || all() >= whole {
		t.Errorf("one: %+v %v", v, chosen)
	}
	o = at("closed", true)
	if _, chosen := states(t, o); len(chosen) != 2 || all() != whole {
		t.Errorf("two: %v, %g of %g", chosen, all(), whole)
	}
	if c := o.View().Context; len(c) != 1 || c[0].Words != "open or closed" {
		t.Errorf("what narrows: %+v", c)
	}
	if o = at("open", true); o.At.Inputs["i_state"] != "closed" {
		t.Errorf("one taken out again: %v", o.At.Inputs)
	}
	o = at("open", true)
	if o = at("open", false); o.At.Inputs["i_state"] != "open" {
		t.Errorf("just one of two: %v", o.At.Inputs)
	}
	if o = at("open", false); o.At.Inputs["i_state"] != "" {
		t.Errorf("again: %v", o.At.Inputs)
	}
	o = at("open", true)
	if o = at("open", true); o.At.Inputs["i_state"] != "" {
		t.Errorf("the last one taken out: %v", o.At.Inputs)
	}
}

// Several go on as they are to where several are taken; else the way says why it is shut, and none is dropped.
func TestSeveralGoOnTogetherOrNotAtAll(t *testing.T) {
	s := stand.New(t, bySeveral)
	const two = "board?cabin=7%7C8"
	on := stand.Element(t, s.MustOpen(t, s.Mira, two).View(), "e_on")
	if on.State != use.StateGreyed || !strings.Contains(on.Reason, "several are chosen") {
		t.Errorf("%+v", on)
	}
	if c := s.MustOpen(t, s.Mira, two).View().Context; len(c) != 1 || c[0].Words != "2 cabins" {
		t.Errorf("%+v", c)
	}
	s = stand.New(t, strings.TrimSuffix(bySeveral, "]")+`,{"op":"add","path":"/s_list/inputs/i_cabin/several","value":true}]`)
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, two), s, press.Press{Element: "e_on"})
	if err != nil || out.To == nil || out.To.Inputs["i_cabin"] != "7|8" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestValuesWithTheSeparatorComeBackWhole(t *testing.T) {
	odd := []string{"a|b", "50 %", "%7C", ""}
	if got := place.SplitValues(place.JoinValues(odd)); strings.Join(got, "\n") != strings.Join(odd, "\n") {
		t.Errorf("%q", got)
	}
	if got := place.Toggled(place.Toggled("", "a|b"), "a|b"); got != "" {
		t.Errorf("%q", got)
	}
}

// Points of time that are chosen together narrow from the beginning of the first to the end of the last.
func TestAStretchOfTimeIsChosen(t *testing.T) {
	s := stand.New(t, `[`+stand.Dated+`,{"op":"add","path":"/s_board/inputs","value":{"i_from":{"pos":1,"alias":"from","label":"From","type":"date","filter":"f_on","compare":"atLeast"},"i_to":{"pos":2,"alias":"to","label":"To","type":"date","filter":"f_on","compare":"atMost"}}},
	 {"op":"add","path":"/s_board/elements/e_states","value":{"kind":"chart","pos":30,"cell":{"row":30,"col":1,"w":6},"table":"t_defects","by":"f_on","span":"month","chosen":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board","bind":{"i_from":{"rule":"point"},"i_to":{"rule":"point","value":"end"}}}}}}}}]`)
	for key, day := range map[string]string{"1": "2026-03-05", "2": "2026-04-20", "3": "2026-05-01"} {
		v, err := cond.Parse(cond.Type{Kind: cond.Date}, day)
		if err != nil {
			t.Fatal(err)
		}
		s.Data.Rows["t_defects"][key]["f_on"] = v
	}
	chosen := func(address, point, to string) map[string]string {
		t.Helper()
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, address), s, press.Press{Element: "e_states", Trigger: "point", Point: point, PointTo: to})
		if err != nil || out.To == nil {
			t.Fatalf("%+v %v", out, err)
		}
		return out.To.Inputs
	}
	if in := chosen("board", "2026-03-01", "2026-04-01"); in["i_from"] != "2026-03-01" || in["i_to"] != "2026-04-30" {
		t.Errorf("%v", in)
	}
	const two = "board?from=2026-03-01&to=2026-04-30"
	if _, shown := states(t, s.MustOpen(t, s.Mira, two)); len(shown) != 2 {
		t.Errorf("chosen are %v", shown)
	}
	// One of them alone is no taking back: it begins as the stretch does, and ends elsewhere.
	if in := chosen(two, "2026-03-01", ""); in["i_from"] != "2026-03-01" || in["i_to"] != "2026-03-31" {
		t.Errorf("%v", in)
	}
	if in := chosen("board?from=2026-03-01&to=2026-03-31", "2026-03-01", ""); len(in) != 0 {
		t.Errorf("again: %v", in)
	}
	if in := chosen(two, "2026-03-01", "2026-04-01"); len(in) != 0 {
		t.Errorf("the same stretch again: %v", in)
	}
}

// An input narrows all that has its field, but for what the builder leaves out.
func TestAnElementThatIsLeftOutStaysWhole(t *testing.T) {
	s := stand.New(t, strings.TrimSuffix(bySeveral, "]")+`,{"op":"add","path":"/s_board/elements/e_whole","value":{"kind":"total","pos":33,"cell":{"row":33,"col":1,"w":3},"words":"All","table":"t_defects"}},
	 {"op":"add","path":"/s_board/inputs/i_state/except","value":{"e_whole":true}}]`)
	v := s.MustOpen(t, s.Mira, "board?state=open").View()
	all, whole := stand.Element(t, v, "e_all").View.(*element.TotalView), stand.Element(t, v, "e_whole").View.(*element.TotalView)
	if *all.Value >= *whole.Value {
		t.Errorf("narrowed %g, left out %g", *all.Value, *whole.Value)
	}
}
