package checks

import (
	"encoding/json"
	"slices"
	"strings"
	"testing"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/plan"
	"ambergate/core/project"
)

func TestPressesFromTheStart(t *testing.T) {
	presses := func(app *plan.App, screen string, roles map[string]bool) int {
		cell := reach.Of(app, nil).For(roles).Cells[screen]
		if !cell.Led() {
			return -1
		}
		return cell.Presses
	}
	app := patched(t, "")
	a := map[string]bool{"r_a": true}
	for screen, want := range map[string]int{"s_board": 0, "s_list": 1, "s_form": 2, "s_yform": 3} {
		if got := presses(app, screen, a); got != want {
			t.Errorf("%s: %d presses, want %d", screen, got, want)
		}
	}
	only := patched(t, `[{"op":"add","path":"/s_board/elements/e_go/gate/roles","value":{"r_b":true}}]`)
	if got := presses(only, "s_list", a); got != -1 {
		t.Errorf("a role without the way needs %d presses", got)
	}
	if got := presses(only, "s_list", map[string]bool{"r_a": true, "r_b": true}); got != 1 {
		t.Errorf("both roles together need %d presses", got)
	}
}

func TestWhoCanEnter(t *testing.T) {
	for patch, want := range map[string]string{
		"":                                 "everyone",
		`[{"op":"remove","path":"/gr_4"}]`: "A",
		`[{"op":"add","path":"/s_yform/guard","value":"user.is(\"r_b\")"}]`:                           "B",
		`[{"op":"add","path":"/s_yform/guard","value":"user.is(\"r_b\") && !user.is(\"r_b\")"}]`:      "nobody",
		`[{"op":"add","path":"/s_yform/guard","value":"record.f_id > 3"}]`:                            "everyone", // it depends on the record
		`[{"op":"add","path":"/s_yform/guard","value":"user.is(\"r_a\") || record.f_id == 1"}]`:       "everyone",
		`[{"op":"add","path":"/s_yform/guard","value":"user.is(\"r_a\") && record.f_id == 1"}]`:       "A",
		`[{"op":"remove","path":"/gr_2"},{"op":"remove","path":"/gr_4"}]`:                             "nobody",
		`[{"op":"add","path":"/s_yform/guard","value":"user.login == \"x\" && user.is(\"r_none\")"}]`: "everyone", // a role that does not exist: the guard cannot be read, which is told elsewhere
	} {
		if got := check.Entered(patched(t, patch), "s_yform"); got != want {
			t.Errorf("%s: %s, want %s", patch, got, want)
		}
	}
}

func TestNoWayBackCountsOnlyWhatIsProven(t *testing.T) {
	flagged := func(patch, screen string) bool {
		for _, f := range All.Run(patched(t, patch)) {
			if f.Check == "no-way-back" && f.Screen == screen {
				return true
			}
		}
		return false
	}
	back := func(more string) string {
		return `[{"op":"add","path":"/s_yform/bare","value":true},{"op":"add","path":"/s_yform/elements","value":{"e_b":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"Back","gate":{` + more + `"cases":{"c_1":{"pos":1,"move":{"kind":"back"}}}}}}}]`
	}
	for _, tc := range []struct {
		what, patch string
		flagged     bool
	}{
		{"a button for everyone", back(""), false},
		{"a button for one role", back(`"roles":{"r_a":true},`), true},
		{"a button that may be shut", back(`"while":"record.f_id > 3",`), true},
		{"no button, but a start screen", `[{"op":"add","path":"/s_yform/bare","value":true},{"op":"replace","path":"/r_b/start","value":"s_yform"}]`, false},
	} {
		if got := flagged(tc.patch, "s_yform"); got != tc.flagged {
			t.Errorf("%s: flagged %v", tc.what, got)
		}
	}
}

func TestFindingsNameTheirPlaceAndStayTheSame(t *testing.T) {
	patch := `[{"op":"remove","path":"/s_yform"},{"op":"remove","path":"/s_board/elements/e_go/gate"},{"op":"add","path":"/s_form/up","value":"s_gone"},{"op":"replace","path":"/r_b/start","value":"s_gone"},{"op":"add","path":"/s_list/guard","value":"record.x"}]`
	first := All.Run(patched(t, patch))
	var said []string
	for _, f := range first {
		said = append(said, f.Check+" "+f.Screen+" "+f.Element)
		if f.Words == "" || f.Severity == "" {
			t.Errorf("%+v says nothing", f)
		}
	}
	for _, want := range []string{"broken-target s_form e_y", "broken-target s_form ", "broken-target s_list ", "broken-target  ", "no-way-behind s_board e_go"} {
		if !slices.Contains(said, want) {
			t.Errorf("%q is not among %v", want, said)
		}
	}
	for range 5 {
		again := All.Run(patched(t, patch))
		if len(again) != len(first) {
			t.Fatalf("%d findings, then %d", len(first), len(again))
		}
		for i := range again {
			if again[i].Words != first[i].Words || again[i].Screen != first[i].Screen {
				t.Fatalf("finding %d is %q, then %q", i, first[i].Words, again[i].Words)
			}
		}
	}
}

func TestADeadPressNamesWhomItIsShutTo(t *testing.T) {
	for _, f := range All.Run(patched(t, `[{"op":"remove","path":"/gr_4"}]`)) {
		if f.Check == "dead-press" && f.Screen == "s_form" {
			if !strings.Contains(f.Words, "shown to B") || f.Evidence != "B may not view Ys." || len(f.Mends) != 1 {
				t.Errorf("%+v", f)
			}
			return
		}
	}
	t.Error("it was not found")
}

func TestABackButtonFindsRoom(t *testing.T) {
	app := patched(t, "")
	op := check.BackButton(app.Project.Screens["s_list"])
	var e project.Element
	if err := json.Unmarshal(op.Value, &e); err != nil {
		t.Fatal(err)
	}
	if e.Cell.Row < 2 || e.Kind != "button" || e.Spec.Gates()["release"].Cases["c_1"].Move.Kind != "back" {
		t.Errorf("%+v", e)
	}
	if op := check.BackButton(app.Project.Screens["s_yform"]); !strings.HasSuffix(op.Path, "/elements") {
		t.Errorf("on an empty screen it goes to %s", op.Path)
	}
}
