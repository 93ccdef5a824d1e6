package leads

import (
	"maps"
	"slices"

	"ambergate/core/check"
	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/core/words"
)

var BrokenTarget = &check.Check{Name: "broken-target", Doc: "a target, field, tag or expression that is gone", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		if w.Of == nil || w.Of.Move == nil {
			continue
		}
		gone := false
		for _, m := range w.Of.Move.Leads() {
			gone = gone || m.Target == nil
		}
		if gone {
			f := w.Finding(check.Broken, "The screen that “"+words.Element(ix.App, w.Screen, w.Element)+"” led to is gone.")
			f.Mends = []check.Mend{{Words: "choose another", Chip: "target"}}
			report(f)
		}
		for _, m := range w.Of.Move.Leads() {
			if m.Target == nil {
				continue
			}
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				if m.Target.Inputs[input] == nil {
					f := w.Finding(check.Broken, "“"+m.Target.Title+"” no longer takes what this way brings.")
					f.Mends = []check.Mend{{Words: "bring it no more", Patch: []patch.Op{{Op: "remove", Path: w.BindPath(m) + "/" + input}}}}
					report(f)
				}
			}
			if m.Spot != "" {
				if _, ok := words.Spot(ix.App, ix.App.Behind(m), m.Spot); !ok {
					f := w.Finding(check.Broken, "The spot of “"+m.Target.Title+"” that this way leads to is gone.")
					f.Mends = []check.Mend{{Words: "lead to the whole screen", Patch: []patch.Op{{Op: "remove", Path: w.Wiring() + "/cases/" + w.Of.ID + "/move/spot"}}}}
					report(f)
				}
			}
		}
	}
	said := map[string]bool{}
	for _, p := range ix.App.Problems {
		if p.Screen == "" && p.Entity != "" && ix.App.Project.Rails[p.Entity] != nil && !said[p.Entity+p.Element+p.Where+p.Text] {
			said[p.Entity+p.Element+p.Where+p.Text] = true
			report(check.Finding{Severity: check.Broken, Entity: p.Entity, Element: p.Element, Words: "On the rail “" + ix.App.Project.Rails[p.Entity].Name + "” the " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
		if ix.LooksAt(p.Screen) {
			report(check.Finding{Severity: check.Broken, Screen: p.Screen, Element: p.Element, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
	for _, id := range ix.Screens() {
		s := ix.App.Screens[id].Screen
		if s.Up != "" && ix.App.Project.Screens[s.Up] == nil {
			report(check.Finding{Severity: check.Broken, Screen: id, Words: "The screen that is “up” from here is gone.", Mends: []check.Mend{{Words: "let up mean home", Patch: []patch.Op{{Op: "remove", Path: "/" + id + "/up"}}}}})
		}
	}
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		if ix.App.Project.Screens[r.Start] == nil {
			report(check.Finding{Severity: check.Broken, Screen: "", Words: "The start screen of " + r.Name + " is gone."})
		}
	}
}}
