package element_test

import (
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
)

func TestChartsThatCannotBe(t *testing.T) {
	of := project.PointSource{Table: "t_a", By: "f_a"}
	count := &element.Measured{}
	for what, spec := range map[string]*element.Chart{
		"dots with one measure":           {PointSource: of, Shape: "dots"},
		"bars with two":                   {PointSource: of, Shape: "bars", Against: count},
		"a size of what has no dots":      {PointSource: of, Size: count},
		"dots with parts":                 {PointSource: of, Shape: "dots", Against: count, Split: "f_b"},
		"an average of nothing":           {PointSource: of, Shape: "dots", Against: &element.Measured{Measure: "mean"}},
		"a measure that there is none of": {PointSource: of, Shape: "dots", Against: count, Size: &element.Measured{Measure: "middle", Of: "f_b"}},
		"ranges of less than nothing":     {PointSource: project.PointSource{Table: "t_a", By: "f_a", Step: -1}},
		"ranges of time":                  {PointSource: project.PointSource{Table: "t_a", By: "f_a", Step: 1, Span: "day"}},
	} {
		if spec.Validate() == nil {
			t.Errorf("%s is taken", what)
		}
	}
	if err := (&element.Chart{PointSource: of, Shape: "dots", Against: &element.Measured{Measure: "mean", Of: "f_b"}, Size: count}).Validate(); err != nil {
		t.Error(err)
	}
}

// A range that is chosen narrows from where it begins to where it ends; again, and all is there.
func TestARangeOfNumbersIsChosen(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_board/inputs","value":{"i_from":{"pos":1,"alias":"from","label":"From","type":"number","filter":"f_hours","compare":"atLeast"},"i_to":{"pos":2,"alias":"to","label":"Below","type":"number","filter":"f_hours","compare":"below"}}},
	 {"op":"add","path":"/s_board/elements/e_states","value":{"kind":"chart","pos":30,"cell":{"row":30,"col":1,"w":6},"table":"t_defects","by":"f_hours","step":2.5,"chosen":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board","bind":{"i_from":{"rule":"point"},"i_to":{"rule":"point","value":"end"}}}}}}}}]`)
	for key, hours := range map[string]float64{"1": 0, "2": 2.5, "3": 10} {
		s.Data.Rows["t_defects"][key]["f_hours"] = cond.Float(hours) // as the database gives them: where ranges begin
	}
	v, _ := states(t, s.MustOpen(t, s.Mira, "board"))
	if v.Span != "range" || len(v.Points) != 3 || v.Points[0].Label != "0 to 2.5" {
		t.Errorf("%+v", v)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_states", Trigger: "point", Point: "2.5"})
	if err != nil || out.To == nil || out.To.Inputs["i_from"] != "2.5" || out.To.Inputs["i_to"] != "5" {
		t.Fatalf("%+v %v", out, err)
	}
	if _, chosen := states(t, s.MustOpen(t, s.Mira, "board?from=2.5&to=12.5")); len(chosen) != 2 || chosen[0] != "10" {
		t.Errorf("by number, not by letters: %v", chosen)
	}
	out, err = stand.Press(t, s.MustOpen(t, s.Mira, "board?from=2.5&to=5"), s, press.Press{Element: "e_states", Trigger: "point", Point: "2.5"})
	if err != nil || len(out.To.Inputs) != 0 {
		t.Errorf("again: %+v %v", out, err)
	}
}
