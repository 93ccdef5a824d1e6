package press_test

import (
	"strings"
	"testing"

	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
)

// saver gives the defect form a button that saves and stays, in every mode.
const saver = `[{"op":"add","path":"/s_defect/elements/e_keep","value":{"kind":"button","pos":90,"cell":{"row":40,"col":1,"w":2},"words":"Keep","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"pos":1,"kind":"save"}}}}}}}]`

func TestSavingAndStayingSaysWhatIsSaved(t *testing.T) {
	s := stand.New(t, saver)
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	out, err := stand.Press(t, o, s, press.Press{Element: "e_keep", Values: map[string]string{"f_what": "Door loose"}, Version: o.View().Record.Version})
	if err != nil || out.Kind != press.Stayed || !out.Forget || out.Message != "“D-1” is saved." {
		t.Errorf("%+v, %v", out, err)
	}
	if got := s.Data.Rows["t_defects"]["1"]["f_what"].Wire(); got != "Door loose" {
		t.Errorf("it is %q", got)
	}
	// Nothing typed: it is said all the same, since somebody pressed.
	if out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit"), s, press.Press{Element: "e_keep"}); err != nil || !strings.Contains(out.Message, "is saved") {
		t.Errorf("%+v, %v", out, err)
	}
}

func TestThereIsNothingToSaveWhileViewing(t *testing.T) {
	s := stand.New(t, saver)
	o := s.MustOpen(t, s.Mira, "defect?defect=1")
	if e := stand.Element(t, o.View(), "e_keep"); e.State != "greyed" || e.By != "mode" || !strings.Contains(e.Reason, "nothing to save") {
		t.Errorf("%+v", e)
	}
	if _, err := stand.Press(t, o, s, press.Press{Element: "e_keep"}); stand.Code(err) != "greyed" {
		t.Errorf("pressed all the same: %v", err)
	}
}

// A way whose target is not told what it needs is shut where it stands, not only when it is pressed.
func TestAWayThatBringsNoRecordIsShut(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", stand.One(`{"kind":"screen","target":"s_cabin"}`)))
	w := s.Called(t, s.Mira, "board")
	if w.State != "greyed" || w.By != "broken" || w.Reason != "“Cabin” needs to know which cabin; nothing says which." {
		t.Errorf("%s %s %q", w.State, w.By, w.Reason)
	}
	// A new record needs none.
	add := stand.New(t, stand.WiredTo("s_board", stand.One(`{"kind":"screen","target":"s_defect","mode":"add"}`)))
	if w := add.Called(t, add.Mira, "board"); w.State != "open" {
		t.Errorf("adding is %s: %s", w.State, w.Reason)
	}
}

func TestATimeSaysWhatItIsCountedFrom(t *testing.T) {
	for since, want := range map[string]string{
		"":                   "the screen has been open for a minute",
		`,"since":"arrival"`: "the screen has been open for a minute",
		`,"since":"touch"`:   "nobody has touched the screen for a minute",
	} {
		s := stand.New(t, `[{"op":"add","path":"/s_board/ways","value":{"w_a":{"pos":1,"trigger":"time","after":60`+since+`,"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}}}]`)
		way := s.App.Project.Screens["s_board"].Ways["w_a"]
		kind, _ := project.TriggerOf("time")
		said := kind.(interface {
			Say(e *project.Element, trigger string) string
		}).Say(way.Element(), "time")
		if said != want {
			t.Errorf("%s: %s, want %s", since, said, want)
		}
		view := s.MustOpen(t, s.Mira, "board").View()
		if len(view.Ways) != 1 || view.Ways[0].After != 60 || (view.Ways[0].Since == "touch") != strings.Contains(since, "touch") {
			t.Errorf("%s: %+v", since, view.Ways)
		}
	}
}
