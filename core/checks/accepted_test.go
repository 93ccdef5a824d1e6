package checks

import (
	"strings"
	"testing"

	"ambergate/core/check"
	"ambergate/core/project"
)

// A finding that somebody lives with is marked as long as it says the same of the same place.
func TestAcceptanceHoldsWhileTheFindingSaysTheSame(t *testing.T) {
	const broken = `{"op":"remove","path":"/s_board/elements/e_go/gate"}`
	accepted := func(words, element string) string {
		return `,{"op":"add","path":"/ac_1","value":{"kind":"acceptance","pos":1,"check":"no-way-behind","screen":"s_board","element":"` + element + `","trigger":"release","words":"` + words + `","because":"later","by":"Bea","at":"2026-11-29T10:00:00Z"}}`
	}
	for name, tc := range map[string]struct {
		more     string
		accepted bool
		before   string
	}{
		"the same":       {accepted("Nothing is wired to “Go”.", "e_go"), true, ""},
		"other words":    {accepted("Nothing is wired to “Stop”.", "e_go"), false, "later"},
		"another place":  {accepted("Nothing is wired to “Go”.", "e_other"), false, ""},
		"nothing said":   {"", false, ""},
		"words and more": {accepted("Nothing is wired to “Go”.", "e_go") + `,{"op":"replace","path":"/s_board/elements/e_go/words","value":"Run"}`, false, "later"},
	} {
		found := false
		for _, f := range All.Run(patched(t, "["+broken+tc.more+"]")) {
			if f.Check != "no-way-behind" {
				continue
			}
			found = true
			if (f.Accepted != nil) != tc.accepted || f.Before != tc.before {
				t.Errorf("%s: accepted %+v, before %q", name, f.Accepted, f.Before)
			}
			if tc.accepted && (f.Accepted.Because != "later" || f.Accepted.By != "Bea" || f.Accepted.ID != "ac_1") {
				t.Errorf("%s: %+v", name, f.Accepted)
			}
		}
		if !found {
			t.Errorf("%s: it is not told at all", name)
		}
	}
}

func TestExpectationsReadAsSentences(t *testing.T) {
	p := patched(t, "").Project
	for want, e := range map[string]project.Expectation{
		"A never reaches “List”":                                            {What: "never", Roles: map[string]bool{"r_a": true}},
		"nobody ever reaches “List”":                                        {What: "never"},
		"no button leads A and B to “List”":                                 {What: "noButton", Roles: map[string]bool{"r_a": true, "r_b": true}},
		"no button leads anybody to “List”":                                 {What: "noButton"},
		"everybody reaches “List” within 1 press":                           {What: "within", Presses: 1},
		"B reaches “List” within 3 presses":                                 {What: "within", Presses: 3, Roles: map[string]bool{"r_b": true}},
		"whoever gets to “List” comes back to their start within 2 presses": {What: "back", Presses: 2},
		"B comes back from “List” within 2 presses":                         {What: "back", Presses: 2, Roles: map[string]bool{"r_b": true}},
		"“List” is reached only from “Board” or “Form”":                     {What: "from", From: map[string]bool{"s_board": true, "s_form": true}},
		"a role that is gone reaches “List” only from “Board”":              {What: "from", From: map[string]bool{"s_board": true}, Roles: map[string]bool{"r_gone": true}},
	} {
		e.Screen = "s_list"
		if got := check.ExpectationWords(p, &e); got != want {
			t.Errorf("%s, want %s", got, want)
		}
	}
	if got := check.ExpectationWords(p, &project.Expectation{Screen: "s_gone", What: "never"}); !strings.Contains(got, "a screen that is gone") {
		t.Error(got)
	}
}
