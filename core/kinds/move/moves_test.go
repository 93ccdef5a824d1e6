package move_test

import (
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/words"
)

// alongRail is a rail of three screens, the second for leads alone, with steps along it by each policy.
func alongRail(none string) string {
	step := func(id, way string) string {
		return `"` + id + `":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":1},"words":"` + way + `","gate":` + stand.One(`{"kind":"along","step":"`+way+`","rail":"ra_x"`+none+`}`) + `}`
	}
	stop := func(id, pos, target, roles string) string {
		return `"` + id + `":{"kind":"button","pos":` + pos + `,"cell":{"row":` + pos + `,"col":1,"w":1},"words":"` + target + `","gate":{` + roles + `"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"` + target + `"}}}}}`
	}
	return `[{"op":"add","path":"/ra_x","value":{"kind":"rail","pos":1,"name":"Round","edge":"left","placed":{},"elements":{` +
		stop("e_s1", "1", "s_board", "") + "," + stop("e_s2", "2", "s_chart", `"roles":{"r_lead":true},`) + "," + stop("e_s3", "3", "s_list", "") + "," + step("e_on", "next") + "," + step("e_off", "previous") + `}}}]`
}

func TestAlongARailOverWhatIsOpen(t *testing.T) {
	for _, tc := range []struct{ none, from, step, mira, sela string }{
		{"", "board", "e_on", "/defects", "/chart"}, // one is not open to Mira: it is passed over
		{"", "board", "e_off", "greyed This is the first on “Round”.", "greyed This is the first on “Round”."},
		{"", "defects", "e_on", "greyed This is the last on “Round”.", "greyed This is the last on “Round”."},
		{`,"none":"round"`, "defects", "e_on", "/board", "/board"},
		{`,"none":"round"`, "board", "e_off", "/defects", "/defects"},
		{`,"none":"stay","reason":"That was all."`, "defects", "e_on", "stays That was all.", "stays That was all."},
		{"", "drive?lift=1", "e_on", "greyed This screen is not on “Round”.", "greyed This screen is not on “Round”."},
	} {
		s := stand.New(t, alongRail(tc.none))
		for user, want := range map[*ask.User]string{s.Mira: tc.mira, s.Sela: tc.sela} {
			o := s.MustOpen(t, user, tc.from)
			out, err := stand.Press(t, o, s, press.Press{Element: tc.step})
			got := "stays " + out.Message
			if out.To != nil {
				got = out.To.Address(s.App.Project)
			} else if err != nil {
				got = "greyed " + err.(*ask.Refusal).Then
			}
			if got != want {
				t.Errorf("%s from %s by %s: %q, want %q", tc.step, tc.from, user.Name, got, want)
			}
		}
	}
}

func TestWhatEnteringDoesLeavesNoPlaceBehind(t *testing.T) {
	for name, gate := range map[string]string{"looks": stand.Does(`"kind":"sort","path":"f_code"`), "leads": stand.One(`{"kind":"screen","target":"s_board"}`)} {
		s := stand.New(t, `[{"op":"add","path":"/s_list/ways","value":{"w_in":{"pos":1,"trigger":"entered","gate":`+gate+`}}}]`)
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defects"), s, press.Press{Element: "w_in", Trigger: "entered"})
		if err != nil || out.Kind != "move" || out.As != "replace" {
			t.Errorf("%s: %+v, %v", name, out, err)
		}
	}
	s := stand.New(t, `[{"op":"add","path":"/s_list/ways","value":{"w_out":{"pos":1,"trigger":"left","gate":`+stand.Does(`"kind":"refresh"`)+`}}}]`)
	if !s.App.OnLeaving("s_list", "w_out") || s.App.OnLeaving("s_list", "e_list") || s.App.OnLeaving("s_gone", "w_out") {
		t.Error("what is done on leaving is not told apart")
	}
}

func TestASpotOpensItsTab(t *testing.T) {
	tabs := `{"op":"add","path":"/s_cabin/elements/e_tabs","value":{"kind":"tabs","pos":5,"cell":{"row":5,"col":1,"w":12},"tabs":{"b_1":{"pos":1,"label":"One"},"b_2":{"pos":2,"label":"Two"}}}}`
	inside := `{"op":"add","path":"/s_cabin/elements/e_in","value":{"kind":"text","pos":6,"cell":{"row":6,"col":1,"w":12},"words":"Here","tab":"e_tabs.b_2"}}`
	for spot, want := range map[string]string{"e_tabs.b_2": "e_tabs b_2", "e_in": "e_in b_2", "e_dlg": "e_dlg ", "e_gone": " "} {
		s := stand.New(t, stand.WiredTo("s_defect", stand.One(`{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin"}},"spot":"`+spot+`"}`), tabs, inside))
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_try"})
		if err != nil || out.To == nil {
			t.Errorf("%s: %+v, %v", spot, out, err)
			continue
		}
		if got := out.To.Spot + " " + out.To.Tabs["e_tabs"]; got != want {
			t.Errorf("%s leads to %q, want %q", spot, got, want)
		}
	}
	s := stand.New(t, stand.WiredTo("s_defect", stand.One(`{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin"}},"spot":"e_gone"}`)))
	way, _ := s.App.WayAt("s_defect", "e_try", "release")
	if text := stand.SentenceText(words.Sentence(s.App, way.Screen, way.Element, "release")); !strings.Contains(text, "at a spot that is gone") {
		t.Error(text)
	}
}

func TestAddressesKeepTheirSpot(t *testing.T) {
	s := stand.New(t, "")
	p, err := place.Parse(s.App.Project, "defects", "cabin=7&~spot=e_list")
	if err != nil || p.Spot != "e_list" || p.Address(s.App.Project) != "/defects?cabin=7&~spot=e_list" {
		t.Errorf("%+v %v", p, err)
	}
}
