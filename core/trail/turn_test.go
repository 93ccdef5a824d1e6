package trail_test

import (
	"testing"

	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/trail"
	"ambergate/core/use"
)

func TestWhatAPressMakesOfTheTrail(t *testing.T) {
	to := &place.Place{Screen: "s_list"}
	moved := func(move, as string) press.Outcome {
		return press.Outcome{Kind: press.Moved, Move: move, As: as, To: to}
	}
	gone := func(move string) press.Outcome { return press.Outcome{Kind: press.Moved, Move: move} }
	for name, c := range map[string]struct {
		out         press.Outcome
		depth, over int
		want        trail.Turn
	}{
		"it stays":                              {press.Outcome{Kind: press.Stayed}, 0, 0, trail.Stays},
		"a row is chosen":                       {press.Outcome{Kind: press.Stayed, Choose: &use.Choice{List: "e_list", Row: "1"}}, 0, 0, trail.Chooses},
		"a row is being added":                  {press.Outcome{Kind: press.Stayed, Choose: &use.Choice{List: "e_list", Adding: true}}, 0, 0, trail.Stays},
		"a further place":                       {moved("screen", ""), 0, 0, trail.Adds},
		"in full, out of a dialog":              {moved("screen", ""), 1, 1, trail.Adds},
		"a dialog":                              {moved("screen", "dialog"), 0, 0, trail.Opens},
		"a drawer over a dialog":                {moved("screen", "drawer"), 1, 1, trail.Opens},
		"in place of this":                      {moved("screen", "replace"), 0, 0, trail.Replaces},
		"in place of what the dialog shows":     {moved("screen", "replace"), 1, 1, trail.Within},
		"a step":                                {moved("step", ""), 0, 0, trail.Adds},
		"a step within a dialog":                {moved("step", ""), 2, 2, trail.Within},
		"in a new tab":                          {moved("screen", "tab"), 0, 0, trail.Stays},
		"out of the application":                {press.Outcome{Kind: press.Moved, Move: "address", Leave: "mailto:a@b.example"}, 0, 0, trail.Stays},
		"signed out":                            {gone("out"), 0, 0, trail.Stays},
		"looked at otherwise":                   {moved("arrange", ""), 0, 0, trail.Looks},
		"looked at otherwise on entering":       {moved("arrange", "replace"), 0, 0, trail.Turned},
		"looked at otherwise within a dialog":   {moved("arrange", "replace"), 1, 1, trail.Looks},
		"closed":                                {gone("close"), 1, 1, trail.Closes},
		"closed below another":                  {gone("close"), 1, 2, trail.Closes},
		"closed where it stands in full":        {gone("close"), 0, 0, trail.Back},
		"back out of a dialog":                  {gone("back"), 1, 1, trail.Closes},
		"back":                                  {gone("back"), 0, 0, trail.Back},
		"forward":                               {gone("forward"), 0, 0, trail.Forward},
		"home":                                  {gone("home"), 0, 0, trail.Home},
		"home out of a dialog":                  {gone("home"), 1, 1, trail.Home},
		"nowhere that is named":                 {gone("up"), 0, 0, trail.Home},
		"a task is left":                        {gone("task"), 0, 0, trail.Leaves},
		"a task is left that lies over another": {gone("task"), 1, 1, trail.Closes},
		"a task goes on":                        {moved("task", ""), 0, 0, trail.Adds},
		"the dialog was closed by this press":   {moved("screen", ""), 2, 1, trail.Stays},
	} {
		if got := trail.After(c.out, c.depth, c.over); got != c.want {
			t.Errorf("%s: it %s, want %s", name, got, c.want)
		}
	}
}

// A record is stepped along the nearest list of its table that one came through; where none was, along nothing.
func TestTheListThatOneStepsAlong(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_defect/position","value":true}]`)
	board, list := place.Place{Screen: "s_board"}, place.Place{Screen: "s_list", Inputs: map[string]string{"i_cabin": "7"}, Find: "door"}
	other := place.Place{Screen: "s_list"}
	to := place.Place{Screen: "s_defect", Mode: "view", Inputs: map[string]string{"i_d": "1"}}
	if !trail.Asks(s.App, to) {
		t.Fatal("a defect tells its position, and it is not asked along which list")
	}
	trail.Along(s.App, &to, []place.Place{board, list, other})
	if to.From == nil || to.From.Screen != "s_list" || to.From.Inputs["i_cabin"] != "7" || to.From.Find != "door" {
		t.Errorf("%+v", to.From)
	}
	trail.Along(s.App, &to, []place.Place{other})
	if to.From.Find != "door" {
		t.Error("it knows its list, and takes another one")
	}
	alone := place.Place{Screen: "s_defect", Mode: "view"}
	trail.Along(s.App, &alone, []place.Place{board})
	if alone.From != nil {
		t.Errorf("no list was come through, and it has %+v", alone.From)
	}
	adding := place.Place{Screen: "s_defect", Mode: "add"}
	if trail.Asks(s.App, adding) || trail.Asks(s.App, board) {
		t.Error("nothing is stepped along there")
	}
}
