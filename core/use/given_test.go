package use_test

import (
	"fmt"
	"strings"
	"testing"

	"ambergate/core/press"
	"ambergate/core/stand"
)

// A condition over what a shared gate is given holds whatever rule found it.
func TestConditionsOverWhatASharedGateIsGiven(t *testing.T) {
	for name, tc := range map[string]struct {
		screen, address, give string
		closed                string // the reason; empty: it is open
	}{
		"always one":            {"s_board", "board", `{"rule":"value","value":"1"}`, ""},
		"always one, closed":    {"s_board", "board", `{"rule":"value","value":"2"}`, "D-2 is closed."},
		"an expression":         {"s_board", "board", `{"rule":"expression","value":"key(\"2\")"}`, "D-2 is closed."},
		"the last child":        {"s_cabin", "cabin?cabin=7", `{"rule":"child","table":"t_defects","path":"f_cabin","order":"f_code","pick":"last","none":"grey"}`, "D-2 is closed."},
		"the first child":       {"s_cabin", "cabin?cabin=7", `{"rule":"child","table":"t_defects","path":"f_cabin","order":"f_code","pick":"first","none":"grey"}`, ""},
		"the record itself":     {"s_defect", "defect?defect=2", `{"rule":"this"}`, "D-2 is closed."},
		"one that is not there": {"s_board", "board", `{"rule":"value","value":"99"}`, "not available"},
	} {
		s := stand.New(t, stand.WiredTo(tc.screen, fmt.Sprintf(`{"use":"g_over","give":{"i_it":%s}}`, tc.give), stand.Over))
		for _, p := range s.App.Problems {
			t.Fatalf("%s: %+v", name, p)
		}
		o := s.MustOpen(t, s.Mira, tc.address)
		e := stand.Element(t, o.View(), "e_try")
		if tc.closed == "" && e.State != "shown" || tc.closed != "" && (e.State != "greyed" || !strings.Contains(e.Reason, tc.closed)) {
			t.Errorf("%s: %s, %q, want %q", name, e.State, e.Reason, tc.closed)
		}
		out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
		if tc.closed == "" && (err != nil || out.To == nil || out.To.Screen != "s_defect") || tc.closed != "" && err == nil {
			t.Errorf("%s: %+v %v", name, out, err)
		}
	}
}

func TestASharedGateAsksForWhatItIsGiven(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", `{"use":"g_over","give":{"i_it":{"rule":"picked","table":"t_defects"}}}`, stand.Over))
	o := s.MustOpen(t, s.Mira, "board")
	if e := stand.Element(t, o.View(), "e_try"); e.State != "shown" {
		t.Fatalf("before it is asked for: %s, %q", e.State, e.Reason)
	}
	if w := s.Called(t, s.Mira, "board"); w.State != "open" || !strings.Contains(w.Now, "asks which defect") {
		t.Errorf("the builder is told %s: %s", w.State, w.Now)
	}
	out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
	if err != nil || out.Question == nil || out.Question.Pick == nil || out.Question.Pick.Table != "t_defects" {
		t.Fatalf("%+v %v", out, err)
	}
	input := out.Question.Pick.Input
	if out, err = stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_try", Picked: map[string]string{input: "1"}}); err != nil || out.To == nil || out.To.Inputs["i_d"] != "1" {
		t.Errorf("an open one: %+v %v", out, err)
	}
	if _, err = stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_try", Picked: map[string]string{input: "2"}}); err == nil || !strings.Contains(fmt.Sprint(err), "D-2 is closed.") {
		t.Errorf("a closed one: %v", err)
	}
}

func TestConditionsOverWhatADialogCameBackWith(t *testing.T) {
	over := strings.NewReplacer("g_over", "g_on", "t_defects", "t_cabins", "Defect", "Cabin", `f_state == \"open\"`, `f_no == \"007\"`, "f_code", "f_no", "s_defect", "s_cabin", "i_d", "i_c").Replace(stand.Over)
	gate := `{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_choose","as":"dialog","back":{"use":"g_on","give":{"i_it":{"rule":"result"}}}}}}}`
	s := stand.New(t, stand.WiredTo("s_defect", gate, stand.Chooser, over))
	for _, p := range s.App.Problems {
		t.Fatalf("%+v", p)
	}
	if e := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=1").View(), "e_try"); e.State != "shown" {
		t.Fatalf("the button that opens the dialog: %s, %q", e.State, e.Reason)
	}
	came := func(with string) (press.Outcome, error) {
		return stand.Press(t, s.MustOpen(t, s.Mira, "defect?defect=1"), s, press.Press{Element: "e_try", Trigger: "release/c_1", Result: with})
	}
	if out, err := came("7"); err != nil || out.To == nil || out.To.Screen != "s_cabin" {
		t.Errorf("%+v %v", out, err)
	}
	if _, err := came("8"); err == nil || !strings.Contains(fmt.Sprint(err), "008 is on hold.") {
		t.Errorf("one that it is not for: %v", err)
	}
}
