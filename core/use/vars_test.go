package use_test

import (
	"maps"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/kinds/rule"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
	"ambergate/core/words"
)

// with opens an address with what the tab keeps.
func with(s *stand.Stand, t testing.TB, address string, vars map[string]string) *use.Opening {
	t.Helper()
	src := s.Sources()
	src.Vars = vars
	o, err := use.Open(t.Context(), s.App, s.Mira, s.Place(t, address), src)
	if err != nil {
		t.Fatal(err)
	}
	return o
}

func TestVariablesAreSetAndRead(t *testing.T) {
	for name, tc := range map[string]struct {
		effect string
		vars   map[string]string
		want   map[string]string
		words  string
	}{
		"a constant":            {`"kind":"setVar","variable":"v_area","value":"\"north\""`, nil, map[string]string{"v_area": "north"}, "set area to “north”"},
		"from itself":           {`"kind":"setVar","variable":"v_count","value":"vars.v_count + 1"`, map[string]string{"v_count": "4"}, map[string]string{"v_count": "5"}, "set round to round + 1"},
		"from what it begins":   {`"kind":"setVar","variable":"v_count","value":"vars.v_count + 1"`, nil, map[string]string{"v_count": "2"}, ""},
		"back to the beginning": {`"kind":"setVar","variable":"v_count"`, map[string]string{"v_count": "4"}, map[string]string{"v_count": "1"}, "put round back to 1"},
		"forgotten":             {`"kind":"setVar","variable":"v_area"`, map[string]string{"v_area": "north"}, map[string]string{"v_area": ""}, "forget area"},
		"a screen's own":        {`"kind":"setVar","variable":"v_more","value":"!vars.v_more"`, nil, map[string]string{"v_more": "true"}, "turn more on or off"},
	} {
		s := stand.New(t, stand.WiredTo("s_board", stand.Does(tc.effect), stand.Kept))
		for _, p := range s.App.Problems {
			t.Fatalf("%s: %+v", name, p)
		}
		out, err := stand.Press(t, with(s, t, "board", tc.vars), s, press.Press{Element: "e_try"})
		if err != nil || !maps.Equal(out.Vars, tc.want) || out.Kind != "stay" {
			t.Errorf("%s: %v %v, want %v", name, out.Vars, err, tc.want)
		}
		text := stand.SentenceText(words.Sentence(s.App, s.App.Project.Screens["s_board"], s.App.ElementAt("s_board", "e_try"), "release"))
		if !strings.Contains(text, tc.words) {
			t.Errorf("%s: %s", name, text)
		}
	}
}

func TestWhatIsSetHoldsForWhatFollows(t *testing.T) {
	gate := `{"cases":{"c_1":{"pos":1,"do":{"d_1":{"pos":1,"kind":"setVar","variable":"v_count","value":"vars.v_count + 1"},"d_2":{"pos":2,"kind":"setVar","variable":"v_count","value":"vars.v_count * 10"},"d_3":{"pos":3,"kind":"setVar","variable":"v_lift","value":"user.record.f_lift"}},
	  "move":{"kind":"screen","target":"s_drive","bind":{"i_l":{"rule":"expression","value":"vars.v_lift","none":"grey","reason":"No lift yet."}}}}}}`
	s := stand.New(t, stand.WiredTo("s_board", strings.ReplaceAll(gate, "user.record.f_lift", "inputs_none"), stand.Kept))
	if len(s.App.Problems) == 0 {
		t.Error("a value that cannot be read is no problem")
	}
	gate = strings.Replace(gate, `,"d_3":{"pos":3,"kind":"setVar","variable":"v_lift","value":"user.record.f_lift"}`, "", 1)
	s = stand.New(t, stand.WiredTo("s_board", gate, stand.Kept))
	if e := stand.Element(t, with(s, t, "board", nil).View(), "e_try"); e.State != "greyed" || e.Reason != "No lift yet." {
		t.Errorf("without a lift: %+v", e)
	}
	out, err := stand.Press(t, with(s, t, "board", map[string]string{"v_lift": "1"}), s, press.Press{Element: "e_try"})
	if err != nil || out.To == nil || out.To.Address(s.App.Project) != "/drive?lift=1" || out.Vars["v_count"] != "20" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestAVariableHoldsARecordThatTheUserMaySee(t *testing.T) {
	text := `{"op":"add","path":"/s_board/elements/e_say","value":{"kind":"text","pos":9,"cell":{"row":8,"col":1,"w":4},"words":"Mine is {vars.v_lift}, {vars.v_lift.f_code}."}}`
	s := stand.New(t, "["+stand.Kept+","+text+"]")
	for _, tc := range []struct{ key, want string }{{"1", "Mine is Upper Tarn, UT."}, {"99", "Mine is , ."}, {"", "Mine is , ."}} {
		if got := stand.Element(t, with(s, t, "board", map[string]string{"v_lift": tc.key}).View(), "e_say").View.(*element.TextView).Words; got != tc.want {
			t.Errorf("lift %q: %q, want %q", tc.key, got, tc.want)
		}
	}
	visitor := &ask.User{ID: "v", Name: "V", Roles: map[string]bool{"r_vis": true}}
	src := s.Sources()
	src.Vars = map[string]string{"v_lift": "1"}
	o, err := use.Open(t.Context(), s.App, visitor, place.Place{Screen: "s_board", Mode: "view"}, src)
	if err != nil {
		t.Fatal(err)
	}
	if got := stand.Element(t, o.View(), "e_say").View.(*element.TextView).Words; strings.Contains(got, "Tarn") || strings.Contains(got, "UT") {
		t.Errorf("a visitor, who may see no lifts, is told %q", got)
	}
}

func TestValuesThatDoNotFitAnyMoreCountAsNone(t *testing.T) {
	s := stand.New(t, "["+stand.Kept+"]")
	holds := func(place place.Place, tab map[string]string) map[string]cond.Value {
		src := s.Sources()
		src.Vars = tab
		o, err := use.Open(t.Context(), s.App, s.Mira, place, src)
		if err != nil {
			t.Fatal(err)
		}
		return o.World.Vars
	}
	vars := holds(place.Place{Screen: "s_board", Vars: map[string]string{"v_more": "true", "v_count": "7"}}, map[string]string{"v_count": "many", "v_area": "west", "v_gone": "1", "v_more": "false"})
	for id, want := range map[string]cond.Value{"v_count": cond.Int(1), "v_area": cond.NullValue, "v_more": cond.Bool(true), "v_lift": cond.NullValue} {
		if got := vars[id]; got.IsNull() != want.IsNull() || got.Wire() != want.Wire() {
			t.Errorf("%s is %v %s, want %s", id, vars[id].Kind(), vars[id].Wire(), want.Wire())
		}
	}
	if _, ok := holds(place.Place{Screen: "s_list"}, nil)["v_more"]; ok {
		t.Error("another screen has the board's own variable")
	}
}

func TestVariablesOutOfReachAreProblems(t *testing.T) {
	shared := `{"op":"add","path":"/g_more","value":{"kind":"gate","pos":1,"name":"More","gate":` + stand.Does(`"kind":"setVar","variable":"v_more","value":"true"`) + `}}`
	for name, patch := range map[string]string{
		"gone":                    stand.WiredTo("s_board", stand.Does(`"kind":"setVar","variable":"v_gone","value":"1"`), stand.Kept),
		"another screen's":        stand.WiredTo("s_list", stand.Does(`"kind":"setVar","variable":"v_more","value":"true"`), stand.Kept),
		"read on another screen":  stand.WiredTo("s_list", `{"while":"vars.more","cases":{"c_1":{"pos":1,"move":{"kind":"back"}}}}`, stand.Kept),
		"of another type":         stand.WiredTo("s_board", stand.Does(`"kind":"setVar","variable":"v_lift","value":"\"UT\""`), stand.Kept),
		"of another table":        stand.WiredTo("s_cabin", stand.Does(`"kind":"setVar","variable":"v_lift","value":"record"`), stand.Kept),
		"a screen's, in a shared": stand.WiredTo("s_board", `{"use":"g_more"}`, stand.Kept, shared),
	} {
		if s := stand.New(t, patch); len(s.App.Problems) == 0 {
			t.Errorf("%s: no problem is told", name)
		}
	}
}

func TestAScreenKeepsItsOwnVariablesWhileOneLooksAtItOtherwise(t *testing.T) {
	own := `{"op":"add","path":"/v_own","value":{"kind":"variable","pos":5,"label":"Own","alias":"own","type":"yesno","screen":"s_list","start":"false"}}`
	s := stand.New(t, stand.WiredTo("s_list", stand.Does(`"kind":"setVar","variable":"v_own","value":"true"`, `"kind":"sort","path":"f_code"`), stand.Kept, own))
	o, err := use.Open(t.Context(), s.App, s.Mira, place.Place{Screen: "s_list", Mode: "view"}, s.Sources())
	if err != nil {
		t.Fatal(err)
	}
	out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
	if err != nil || out.Move != "arrange" || out.To.Vars["v_own"] != "true" {
		t.Errorf("%+v %+v %v", out, out.To, err)
	}
	tab, place := s.App.Keeping(map[string]string{"v_own": "true", "v_count": "3"})
	if !maps.Equal(tab, map[string]string{"v_count": "3"}) || !maps.Equal(place, map[string]string{"v_own": "true"}) {
		t.Errorf("the tab keeps %v, the place %v", tab, place)
	}
}

func TestVariablesAreOffered(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", stand.One(`{"kind":"screen","target":"s_drive"}`), stand.Kept))
	way, _ := s.App.WayAt("s_board", "e_try", "release")
	found := false
	for _, p := range build.Propose(s.App, way, "s_drive", "i_l") {
		found = found || p.Words == "my lift" && p.Binding.Spec.(*rule.Expression).Value == "vars.v_lift" && p.Binding.None == "grey"
	}
	if !found {
		t.Error("the lift that the tab keeps is not proposed")
	}
	card, _ := s.App.WayAt("s_cabin", "e_dlg", "release")
	for target, want := range map[string]string{"t_cabins": "this cabin", "t_lifts": "its lift", "v_lift": "its lift"} {
		if got := build.Propose(s.App, card, target, ""); len(got) == 0 || got[0].Words != want {
			t.Errorf("for %s: %+v, want %s first", target, got, want)
		}
	}
	names := map[string]bool{}
	for _, n := range build.Names(s.App, s.Scope("s_board", ""), "") {
		names[n.Path] = true
	}
	for _, want := range []string{"vars.my_lift", "vars.my_lift.code", "vars.round", "vars.more"} {
		if !names[want] {
			t.Errorf("conditions are not offered %s", want)
		}
	}
	for _, n := range build.Names(s.App, s.Scope("s_list", ""), "") {
		if n.Path == "vars.more" {
			t.Error("the board's own variable is offered elsewhere")
		}
	}
}

func TestDrawersOpenWhereTheyStand(t *testing.T) {
	rail := func(only string) string {
		return `{"op":"add","path":"/ra_side","value":{"kind":"rail","pos":1,"name":"Side","edge":"right","drawer":{"pull":true},"placed":{"only":{"` + only + `":true}},"elements":{"e_r":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":12},"words":"Home","gate":` + stand.One(`{"kind":"home"}`) + `}}}}`
	}
	s := stand.New(t, stand.WiredTo("s_board", stand.Does(`"kind":"drawer","rail":"ra_side","how":"toggle"`), rail("s_board")))
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_try"})
	if err != nil || len(out.Does) != 1 || out.Does[0] != (press.Act{What: "drawer", Rail: "ra_side", How: "toggle"}) {
		t.Errorf("%+v %v", out, err)
	}
	v := s.MustOpen(t, s.Mira, "board").View()
	if len(v.Rails) != 1 || v.Rails[0].Drawer == nil || !v.Rails[0].Drawer.Pull {
		t.Errorf("%+v", v.Rails)
	}
	s = stand.New(t, stand.WiredTo("s_board", stand.Does(`"kind":"drawer","rail":"ra_side","how":"open"`), rail("s_list")))
	if len(s.App.Problems) != 1 || !strings.Contains(s.App.Problems[0].Problem.Message, "does not stand on this screen") {
		t.Errorf("%+v", s.App.Problems)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_try"}); err == nil {
		t.Error("a drawer of another screen was opened")
	}
}
