package walk_test

import (
	"testing"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/core/stand"
	"ambergate/core/walk"
)

// What was recorded by keys is found again by titles, where those find just one.
func TestRecordsAreNamedByTheirTitles(t *testing.T) {
	s := stand.New(t, "")
	s.Data.Rows["t_defects"]["4"] = map[string]cond.Value{"f_id": cond.Int(4), "f_code": cond.String("D-3"), "f_what": cond.String("Twin"), "f_state": cond.String("open")}
	steps := []*project.WalkStep{
		{Does: "press", Screen: "s_list", Element: "e_list", Row: &project.Named{Key: "1"}},
		{Does: "press", Screen: "s_list", Element: "e_list", Row: &project.Named{Key: "4"}},
		{Does: "claim", Is: "at", Screen: "s_defect", Inputs: map[string]*project.Named{"i_d": {Key: "1"}}},
		{Does: "press", Screen: "s_board", Element: "e_mine"},
		{Does: "press", Screen: "s_list", Element: "e_list", Row: &project.Named{Key: "99"}},
	}
	if err := walk.Name(t.Context(), s.App, s.Mira, s.Data, time.Now(), steps); err != nil {
		t.Fatal(err)
	}
	if got := *steps[0].Row; got != (project.Named{Title: "D-1"}) {
		t.Errorf("%+v", got)
	}
	if got := *steps[1].Row; got != (project.Named{Key: "4"}) {
		t.Errorf("two have this title, and it is named by it: %+v", got)
	}
	if got := *steps[2].Inputs["i_d"]; got != (project.Named{Title: "D-1"}) {
		t.Errorf("%+v", got)
	}
	if got := *steps[4].Row; got != (project.Named{Key: "99"}) {
		t.Errorf("%+v", got)
	}
	own, err := walk.Own(t.Context(), s.App, s.Mira, s.Data, time.Now())
	if err != nil || own == nil || *own != (project.Named{Title: "Mira"}) {
		t.Errorf("%+v %v", own, err)
	}
	if own, err := walk.Own(t.Context(), s.App, s.Sela, s.Data, time.Now()); err != nil || own != nil {
		t.Errorf("she has a record: %+v %v", own, err)
	}
}

// Steps are said as they are taken, without going them: an element by where it stands.
func TestStepsAreSaidWithoutGoingThem(t *testing.T) {
	s := stand.New(t, "")
	w := walkOf(t, `{"name":"Mira","roles":{"r_tech":true}}`, mine+","+openD1+","+atD1+`,{"does":"press","element":"e_close","yes":true},{"does":"type","values":{"f_what":"x"}},`+back+`,{"does":"claim","is":"greyed","element":"e_cabin","screen":"s_defect","words":"On no cabin."},{"does":"plant","plant":{"so_p/UT.speed":4.50,"so_p/UT.running":false}}`)
	want := []string{
		"presses “Mine”", "opens “D-1”, a row of defects", "stands on “Defect” with “D-1”, “Defect D-1”", "presses “Close”, and says yes", "types “x” into “What”", "goes back",
		"“Its cabin” is greyed: On no cabin.", "meanwhile the plant says so_p/UT.running is off and so_p/UT.speed is 4.5",
	}
	for i, told := range walk.Tell(s.App, w) {
		if told.Words != want[i] {
			t.Errorf("%q, want %q", told.Words, want[i])
		}
	}
}
