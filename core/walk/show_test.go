package walk_test

import (
	"testing"

	"ambergate/core/stand"
	"ambergate/core/use"
	"ambergate/core/walk"
)

func TestAStepIsShown(t *testing.T) {
	s := stand.New(t, "")
	show := func(step, all string) walk.Shown {
		t.Helper()
		out, err := walk.Show(t.Context(), s.App, walkOf(t, `{"name":"Mira","roles":{"r_tech":true},"record":{"title":"Mira"}}`, all), walk.World{Records: s.Data}, step)
		if err != nil {
			t.Fatal(err)
		}
		return out
	}
	screen := func(v *use.View) string {
		if v == nil {
			return ""
		}
		return v.Screen
	}
	all := steps(mine, openD1, atD1, itsCabin, `{"does":"press","element":"e_dlg"}`, atBoard)
	for step, want := range map[string][4]string{
		"": {"s_board"}, "w_001": {"s_list"}, "w_003": {"s_defect"}, "w_005": {"s_list", "s_cabin", "dialog"}, "w_006": {"s_list", "s_cabin", "dialog", "s_board"},
	} {
		out := show(step, all)
		if got := [4]string{screen(out.Stands), screen(out.Below), out.Over, screen(out.Expected)}; got != want || (out.Differs != nil) != (step == "w_006") {
			t.Errorf("at %q: %v, want %v (%+v)", step, got, want, out.Differs)
		}
	}
	// Where it differs earlier, that is shown, with the screen where it was to be.
	out := show("w_003", steps(mine, `{"does":"press","screen":"s_defect","element":"e_close"}`, atD1))
	if out.Differs == nil || screen(out.Stands) != "s_list" || screen(out.Expected) != "" {
		t.Errorf("%+v", out)
	}
}
