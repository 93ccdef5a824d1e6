package element_test

import (
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

const goesHome = `{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}`

// A button that goes down does one thing and, let go, another; each is judged by itself.
func TestGoingDownAndBeingLetGoAreTwoWays(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_drive/elements/e_jog","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":3},"words":"Jog",
	 "down":{"while":"record.equip.q_drive.g_run","cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"write","pos":1,"tag":"record.equip.q_drive.g_set","value":"1.0"}}}}},
	 "gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"write","pos":1,"tag":"record.equip.q_drive.g_set","value":"0.0"}}}}}}}]`)
	open := func() (*element.ButtonView, use.ElementView) {
		e := stand.Element(t, s.MustOpen(t, s.Mira, "drive?lift=1").View(), "e_jog")
		return e.View.(*element.ButtonView), e
	}
	if b, e := open(); !b.Down || !b.Writes || e.State != use.StateShown {
		t.Errorf("%+v", e)
	}
	for trigger, want := range map[string]float64{"down": 1, "": 0} {
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_jog", Trigger: trigger})
		if err != nil || len(out.Writes) != 1 {
			t.Fatalf("%q: %+v %v", trigger, out, err)
		}
		if n, _ := out.Writes[0].Value.Float64(); n != want {
			t.Errorf("%q writes %v", trigger, out.Writes[0].Value)
		}
	}
	s.Tags["UT.running"] = cond.Bool(false)
	if b, e := open(); b.Down || e.State != use.StateShown {
		t.Errorf("what goes down is shut, what is let go is not: %+v", e)
	}
	if (&element.Button{Trigger: "press", Down: (&element.Button{}).Gate}).Validate() != nil {
		t.Error("a button that is pressed at once is refused")
	}
}

func TestOpeningATabIsAWay(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_cabin/elements/e_tabs","value":{"kind":"tabs","pos":9,"cell":{"row":9,"col":1,"w":12},"tabs":{"t_a":{"pos":1,"label":"A"},"t_b":{"pos":2,"label":"B","opened":`+goesHome+`}}}}]`)
	v := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_tabs").View.(*element.TabsView)
	if v.Tabs[0].Way || !v.Tabs[1].Way {
		t.Errorf("%+v", v)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_tabs", Trigger: "tab.t_b"})
	if err != nil || out.To == nil || out.To.Screen != "s_board" {
		t.Errorf("%+v %v", out, err)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_tabs", Trigger: "tab.t_a"}); err == nil {
		t.Error("a tab that nothing is wired to leads somewhere")
	}
}
