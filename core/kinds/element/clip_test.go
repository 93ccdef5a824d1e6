package element_test

import (
	"strings"
	"testing"

	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
)

func clipOn(t *testing.T, parts string) *stand.Stand {
	t.Helper()
	return stand.New(t, `[{"op":"add","path":"/cl_door","value":{"kind":"clip","name":"Door","words":"how the door is shut","digest":"`+strings.Repeat("0e", 32)+`"}},
	 {"op":"add","path":"/s_board/elements/e_clip","value":{"kind":"clip","pos":9,"cell":{"row":9,"col":1,"w":6},"clip":"cl_door"`+parts+`}}]`)
}

func TestTheEndOfAClipIsAWay(t *testing.T) {
	s := clipOn(t, `,"ended":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}`)
	v := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_clip").View.(*element.ClipView)
	if v.Digest != strings.Repeat("0e", 32) || v.Words != "how the door is shut" || !v.Ended || v.Starts || v.Silent {
		t.Errorf("%+v", v)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_clip", Trigger: "ended"})
	if err != nil || out.To == nil || out.To.Screen != "s_list" {
		t.Errorf("%+v %v", out, err)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_clip"}); err == nil {
		t.Error("a clip that is pressed, not ended, leads somewhere")
	}
	// By itself it begins only without sound: no browser lets it otherwise.
	v = stand.Element(t, clipOn(t, `,"starts":"itself","bare":true,"again":true`).MustOpen(t, s.Mira, "board").View(), "e_clip").View.(*element.ClipView)
	if !v.Starts || !v.Silent || !v.Bare || !v.Again || v.Ended {
		t.Errorf("%+v", v)
	}
}

func TestAClipThatIsGoneIsAFinding(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_board/elements/e_clip","value":{"kind":"clip","pos":9,"cell":{"row":9,"col":1,"w":6},"clip":"cl_none"}}]`)
	v := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_clip").View.(*element.ClipView)
	if v.Digest != "" || v.Words != "the clip is gone" {
		t.Errorf("%+v", v)
	}
	if len(s.App.Problems) != 1 || !strings.Contains(s.App.Problems[0].Problem.Message, "clip") {
		t.Errorf("%+v", s.App.Problems)
	}
}

func TestClipsThatCannotBe(t *testing.T) {
	for what, spec := range map[string]*element.Clip{
		"no clip":                            {},
		"an end that never comes":            {Clip: "cl_a", Again: true, Ended: &project.Gate{}},
		"nothing to start it by":             {Clip: "cl_a", Bare: true},
		"a start that there is no other for": {Clip: "cl_a", Starts: "later"},
	} {
		if spec.Validate() == nil {
			t.Errorf("%s is taken", what)
		}
	}
}
