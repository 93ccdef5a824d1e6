package check

import (
	"ambergate/core/patch"
	"ambergate/core/project"
)

var noWayBack = &Check{Name: "no-way-back", Doc: "no way back, up or home within two presses", run: func(ix *index, report func(Finding)) {
	leaves := map[string]bool{}    // by a press that goes back, up or home, or by the strip
	leads := map[string][]string{} // by a press, from screen to screen
	for _, id := range sortedScreens(ix.app) {
		leaves[id] = !ix.app.Screens[id].Screen.Bare
	}
	for _, w := range ix.ways {
		if w.of == nil || w.of.Move == nil || w.gate.Roles != nil || w.gate.While != "" {
			continue // proven for everyone, or not counted
		}
		switch w.of.Move.Kind {
		case "back", "home", "up", "close":
			leaves[w.screen.ID] = true
		default:
			for _, m := range w.targets() {
				leads[w.screen.ID] = append(leads[w.screen.ID], m.Target.ID)
			}
		}
	}
	starts := map[string]bool{}
	for _, r := range ix.app.Project.Roles {
		starts[r.Start] = true
	}
	for _, id := range sortedScreens(ix.app) {
		free := leaves[id] || starts[id]
		for _, next := range leads[id] {
			free = free || leaves[next] || starts[next]
		}
		if free {
			continue
		}
		s := ix.app.Screens[id].Screen
		report(Finding{Severity: Broken, Screen: id, Words: "No way back from “" + s.Title + "” within two presses.", Evidence: "It has no strip and no button that goes back, up or home.", Mends: []Mend{
			{Words: "add one", Patch: []patch.Op{BackButton(s)}},
			{Words: "show the strip", Patch: []patch.Op{{Op: "remove", Path: "/" + id + "/bare"}}},
		}})
	}
}}

// BackButton gives the operation that adds a button "Back" below everything on a screen.
func BackButton(s *project.Screen) patch.Op {
	row := 1
	for _, e := range s.Elements {
		row = max(row, e.Cell.Row+max(1, e.Cell.H))
	}
	button := map[string]any{
		"kind": "button", "pos": row * 10, "cell": project.Cell{Row: row, Col: 1, W: 2}, "words": "Back",
		"gate": map[string]any{"cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "back"}}}},
	}
	id := "e_back"
	for s.Elements[id] != nil {
		id += "x"
	}
	if s.Elements == nil {
		return patch.Op{Op: "add", Path: "/" + s.ID + "/elements", Value: encode(map[string]any{id: button})}
	}
	return patch.Op{Op: "add", Path: "/" + s.ID + "/elements/" + id, Value: encode(button)}
}
