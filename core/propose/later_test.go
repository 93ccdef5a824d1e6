package propose_test

import (
	"strings"
	"testing"

	"ambergate/core/catalogue"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/propose"
)

// What is made later is an edit that fits, and leaves nothing to mend.
func TestLaterScreensAndADashboardOfATable(t *testing.T) {
	d := numbered(works())
	a, p := pumpsAlone(t, d)
	// A table that is taken in has no screens yet.
	var take *propose.Difference
	for _, one := range propose.Again(p, "so_works", d) {
		if strings.Contains(one.Words, "“repairs”") {
			take = &one
		}
	}
	grant := propose.ScreensFor(p, "t_pumps", d)
	if len(grant.Patch) != 0 || !strings.Contains(strings.Join(grant.Words, " "), "there already") {
		t.Errorf("screens that are there: %+v", grant)
	}
	ops := take.Patch
	p2 := patched(t, a, ops)
	screens := propose.ScreensFor(p2, "t_repairs", d)
	if len(screens.Patch) != 3 || screens.Screen == "" || len(screens.Words) != 3 {
		t.Fatalf("%q %d", screens.Words, len(screens.Patch))
	}
	ops = append(ops, screens.Patch...)
	p3 := patched(t, a, ops)
	app, err := plan.Compile(p3)
	if err != nil {
		t.Fatal(err)
	}
	for _, problem := range app.Problems {
		t.Errorf("%+v", problem)
	}
	list := p3.Screens[screens.Screen]
	if list == nil || list.Type != "list" || list.Up != "s_start" {
		t.Errorf("%+v", list)
	}
	dash := propose.DashboardFor(p, "t_pumps")
	if dash.Screen == "" || len(dash.Patch) != 2 {
		t.Fatalf("%+v", dash)
	}
	p4 := patched(t, a, dash.Patch)
	if app, err = plan.Compile(p4); err != nil {
		t.Fatal(err)
	}
	releasable(t, app)
	kinds := map[string]int{}
	for _, e := range p4.Screens[dash.Screen].Elements {
		kinds[e.Kind]++
	}
	if kinds["chart"] != 2 || kinds["list"] != 1 || kinds["button"] != 1 { // by site and state: pumps have no date
		t.Errorf("%v %q", kinds, dash.Words)
	}
	if none := propose.DashboardFor(p, "t_sites"); len(none.Patch) == 0 && !strings.Contains(none.Words[0], "nothing to count by") {
		t.Errorf("%+v", none)
	}
	guide := propose.StepsFor(p, "t_pumps")
	guided := patched(t, a, guide.Patch)
	if app, err = plan.Compile(guided); err != nil {
		t.Fatal(err)
	}
	releasable(t, app)
	steps, saves := 0, 0
	for id, e := range guided.Screens[guide.Screen].Elements {
		steps += len(project.TabsOf(e))
		if gate := e.Spec.Gates()["release"]; id == "e_finish" && gate != nil {
			saves++
		}
	}
	if steps < 2 || saves != 1 || !strings.Contains(guide.Words[0], "steps by which a pump is added") {
		t.Errorf("%d steps, %q", steps, guide.Words)
	}
	none := propose.OperatorFor(p, "t_pumps")
	if len(none.Patch) != 0 || !strings.Contains(none.Words[0], "no equipment") {
		t.Errorf("%+v", none)
	}
	taken := propose.ProposeEquipment(p, propose.EquipmentWish{Connection: "hall", Path: "/Hall"}, presses(), []propose.Keyed{pumpKeys("01", "02", "07")})
	p5 := patched(t, a, taken.Patch)
	operator := propose.OperatorFor(p5, "t_pumps")
	p6 := patched(t, a, append(taken.Patch, operator.Patch...))
	if app, err = plan.Compile(p6); err != nil {
		t.Fatal(err)
	}
	releasable(t, app)
	if s := p6.Screens[operator.Screen]; s == nil || s.Type != "operator" || len(operator.Words) != 2 {
		t.Errorf("%+v", operator.Words)
	}
}

// One more list or form is made whatever there is, with the ways that the first ones have.
func TestOneMoreListOrForm(t *testing.T) {
	d := numbered(works())
	a, p := proposed(t, d, all(d))
	for what, make := range map[string]func(*project.Project, string, *catalogue.Database) propose.Later{"list": propose.ListFor, "form": propose.FormFor} {
		made := make(p.Project, "t_pumps", d)
		if len(made.Patch) != 1 || made.Screen == "" || p.Project.Screens[made.Screen] != nil {
			t.Fatalf("%s: %+v", what, made)
		}
		after := patched(t, a, made.Patch)
		app, err := plan.Compile(after)
		if err != nil || len(app.Problems) > 0 {
			t.Errorf("%s: %v %+v", what, err, app.Problems)
		}
		kinds := map[string]int{}
		for _, e := range after.Screens[made.Screen].Elements {
			kinds[e.Kind]++
			if l := project.ListOf(e); l != nil && l.Opened == nil {
				t.Errorf("%s: no row of %s opens", what, e.ID)
			}
		}
		if kinds["list"] == 0 || what == "form" && (kinds["field"] < 3 || kinds["button"] < 5) {
			t.Errorf("%s: %v", what, kinds)
		}
		if gone := make(p.Project, "t_pumps", &catalogue.Database{}); gone.Screen != "" || len(gone.Words) != 1 {
			t.Errorf("%s of a table that is gone: %+v", what, gone)
		}
	}
}
