package server_test

import (
	"testing"

	"ambergate/api"
	"ambergate/core/project"
	"ambergate/core/walk"
)

// The stories of the demo are walks, and go through over its records; what they change is not kept.
func TestTheWalksOfTheDemoGoThrough(t *testing.T) {
	draft, err := up.Server.Apps.Draft(t.Context(), "p_tarnhorn")
	if err != nil {
		t.Fatal(err)
	}
	walks := project.Ordered(draft.App.Project.Walks)
	for round := range 2 { // the second finds what the first found
		results, err := up.Server.Walked(t.Context(), draft.Side(), walks)
		if err != nil {
			t.Fatal(err)
		}
		steps := 0
		for _, r := range results {
			if d := r.Differs; d != nil {
				t.Errorf("round %d, %s, step %d, %s: expected %s, found %s (%s)", round+1, r.Name, len(r.Steps)+1, d.Words, d.Expected, d.Found, d.Why)
			}
			steps += len(r.Steps)
		}
		t.Logf("%d walks, %d steps", len(results), steps)
	}
}

// A walk is told in words, gone, recorded with records by their titles; what an edit changes of it is found.
func TestWalksAreToldGoneAndRecorded(t *testing.T) {
	p := as(t, "arno")
	var told []api.WalkTold
	p.must("GET", built+"/walks", nil, &told)
	if len(told) < 6 || told[0].Name != "Mira’s worst defect, its cabin, its last inspection, and back" || told[0].Who != "Mira Holt, Technician" || told[0].Steps[1].Words != "presses “My open defects”" {
		t.Fatalf("%+v", told)
	}
	goes := func() walk.Result {
		t.Helper()
		var gone []walk.Result
		p.must("POST", built+"/walks/gone", map[string]any{"walks": []string{"wk_mine"}}, &gone)
		return gone[0]
	}
	if r := goes(); r.Differs != nil || len(r.Steps) != 17 || r.Steps[4].Stands != "Defect D-2107" {
		t.Errorf("%+v", r)
	}
	defer p.must("POST", built+"/undo", nil, nil)
	p.must("POST", built+"/edits", edits(map[string]any{"op": "replace", "path": "/s_defect/elements/e_cabin/gate/cases/c_1/move", "value": map[string]any{"kind": "home"}}), nil)
	if r := goes(); r.Differs == nil || r.Differs.Step != "w_07" || r.Differs.Screen != "s_wboard" {
		t.Errorf("its cabin is not led to any more, and it says %+v", r.Differs)
	}
	var named struct {
		Who   project.Walker
		Steps []project.WalkStep
	}
	p.must("POST", built+"/walks/recorded", map[string]any{"as": "a_mira", "steps": []map[string]any{{"pos": 1, "does": "press", "screen": "s_defects", "element": "e_list", "row": map[string]any{"key": "107"}}}}, &named)
	if named.Who.Name != "Mira Holt" || named.Who.Record == nil || named.Who.Record.Title != "Mira Holt" || !named.Who.Roles["r_tech"] || named.Steps[0].Row.Title != "D-2107" {
		t.Errorf("%+v %+v", named.Who, named.Steps[0].Row)
	}
}
