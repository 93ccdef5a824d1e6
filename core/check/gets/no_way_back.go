package gets

import (
	"ambergate/core/check"
	"ambergate/core/patch"
)

var NoWayBack = &check.Check{Name: "no-way-back", Doc: "no way back, up or home within two presses", Run: func(ix *check.Index, report func(check.Finding)) {
	leaves := map[string]bool{}    // by a press that goes back, up or home, or by the strip
	over := map[string]bool{}      // also while it lies over another screen, as a dialog: by one that goes up or home
	leads := map[string][]string{} // by a press, from screen to screen
	opens := map[string][]string{} // by a press, dialogs and drawers: closing one is no way on
	for _, id := range ix.Screens() {
		leaves[id] = !ix.App.Screens[id].Screen.Bare
	}
	for _, w := range ix.Ways {
		if w.Of == nil || w.Of.Move == nil || w.Gate.Roles != nil || w.Gate.While != "" {
			continue // proven for everyone, or not counted
		}
		switch w.Of.Move.Kind {
		case "home", "up":
			leaves[w.Screen.ID], over[w.Screen.ID] = true, true
		case "back", "close":
			leaves[w.Screen.ID] = true
		default:
			to := leads
			if as := w.Of.Move.As; as == "dialog" || as == "drawer" {
				to = opens
			}
			for _, m := range w.Targets() {
				to[w.Screen.ID] = append(to[w.Screen.ID], m.Target.ID)
			}
		}
	}
	starts := map[string]bool{}
	for _, r := range ix.App.Project.Roles {
		starts[r.Start] = true
	}
	for _, id := range ix.Screens() {
		free := leaves[id] || starts[id]
		for _, next := range leads[id] {
			free = free || leaves[next] || starts[next]
		}
		for _, next := range opens[id] {
			free = free || over[next]
		}
		if free {
			continue
		}
		s := ix.App.Screens[id].Screen
		report(check.Finding{Severity: check.Broken, Screen: id, Words: "No way back from “" + s.Title + "” within two presses.", Evidence: "It has no strip and no button that goes back, up or home.", Mends: []check.Mend{
			{Words: "add one", Patch: []patch.Op{check.BackButton(s)}},
			{Words: "show the strip", Patch: []patch.Op{{Op: "remove", Path: "/" + id + "/bare"}}},
		}})
	}
}}
