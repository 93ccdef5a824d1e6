package element_test

import (
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/stand"
)

// A tag's own limits are drawn, and mark what shows it, without a condition; what an element says itself counts more.
func TestLimitsOfATagMarkWhatShowsIt(t *testing.T) {
	const tag = "record.equip.q_drive.g_speed"
	s := stand.New(t, `[
		{"op":"add","path":"/eq_lift/parts/q_drive/tags/g_speed/alarm","value":{"high":4.5}},
		{"op":"add","path":"/s_drive/elements/e_l1","value":{"kind":"lamp","pos":21,"cell":{"row":11,"col":1,"w":3},"words":"Speed","value":"`+tag+`","on":"too fast","off":"as it should be"}},
		{"op":"add","path":"/s_drive/elements/e_l2","value":{"kind":"gauge","pos":22,"cell":{"row":12,"col":1,"w":3},"words":"Speed","value":"`+tag+`","min":0,"max":8}},
		{"op":"add","path":"/s_drive/elements/e_l3","value":{"kind":"gauge","pos":23,"cell":{"row":13,"col":1,"w":3},"words":"Speed","value":"`+tag+`","min":0,"max":8,"low":1,"high":7}},
		{"op":"add","path":"/s_drive/elements/e_l4","value":{"kind":"trend","pos":24,"cell":{"row":14,"col":1,"w":6},"words":"Speed","minutes":5,"lines":{"l_1":{"pos":1,"words":"speed","value":"`+tag+`","max":8}}}},
		{"op":"add","path":"/s_drive/elements/e_l5","value":{"kind":"symbol","pos":25,"cell":{"row":15,"col":1,"w":3},"shape":"motor","words":"{`+tag+`} m/s"}},
		{"op":"add","path":"/s_drive/elements/e_l6","value":{"kind":"lamp","pos":26,"cell":{"row":16,"col":1,"w":3},"words":"Code","value":"record.f_code","on":"on","off":"off"}}
	]`)
	if len(s.App.Problems) != 1 || s.App.Problems[0].Where == "" {
		t.Errorf("a lamp of a text alone cannot be read: %+v", s.App.Problems)
	}
	for _, tc := range []struct {
		speed     cond.Value
		lamp      string
		shown     string
		out, mark bool
	}{{cond.Float(4.4), "off", "as it should be", false, false}, {cond.Float(4.6), "on", "too fast", true, true}, {cond.UnknownBecause("away"), "unknown", "not available", false, false}} {
		s.Tags["UT.speed"] = tc.speed
		view := s.MustOpen(t, s.Mira, "drive?lift=1").View()
		if v := stand.Element(t, view, "e_l1").View.(*element.LampView); v.State != tc.lamp || v.Shown != tc.shown || v.Abnormal != tc.mark {
			t.Errorf("%v: the lamp is %+v", tc.speed, v)
		}
		if v := stand.Element(t, view, "e_l2").View.(*element.GaugeView); v.Out != tc.out || v.Low != 0 || v.High != 4.5 {
			t.Errorf("%v: the gauge is %+v", tc.speed, v)
		}
		if v := stand.Element(t, view, "e_l3").View.(*element.GaugeView); v.Out || v.High != 7 {
			t.Errorf("%v: the gauge with limits of its own is %+v", tc.speed, v)
		}
		if v := stand.Element(t, view, "e_l4").View.(*element.TrendView); v.Lines[0].Limit == nil || *v.Lines[0].Limit != 4.5 {
			t.Errorf("%v: the trend is %+v", tc.speed, v.Lines[0])
		}
		if v := stand.Element(t, view, "e_l5").View.(*element.SymbolView); (v.Tone == "stop") != tc.mark {
			t.Errorf("%v: the symbol is %+v", tc.speed, v)
		}
	}
}
