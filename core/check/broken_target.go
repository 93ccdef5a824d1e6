package check

import (
	"maps"
	"slices"

	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/core/words"
)

var brokenTarget = &Check{Name: "broken-target", Doc: "a target, field, tag or expression that is gone", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		if w.of == nil || w.of.Move == nil {
			continue
		}
		gone := false
		for _, m := range w.of.Move.Leads() {
			gone = gone || m.Target == nil
		}
		if gone {
			f := w.finding(Broken, "The screen that “"+words.Element(ix.app, w.screen, w.element)+"” led to is gone.")
			f.Mends = []Mend{{Words: "choose another", Chip: "target"}}
			report(f)
		}
		for _, m := range w.of.Move.Leads() {
			if m.Target == nil {
				continue
			}
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				if m.Target.Inputs[input] == nil {
					f := w.finding(Broken, "“"+m.Target.Title+"” no longer takes what this way brings.")
					f.Mends = []Mend{{Words: "bring it no more", Patch: []patch.Op{{Op: "remove", Path: w.bindPath(m) + "/" + input}}}}
					report(f)
				}
			}
			if m.Spot != "" {
				if _, ok := words.Spot(ix.app, m.Target, m.Spot); !ok {
					f := w.finding(Broken, "The spot of “"+m.Target.Title+"” that this way leads to is gone.")
					f.Mends = []Mend{{Words: "lead to the whole screen", Patch: []patch.Op{{Op: "remove", Path: w.gatePath() + "/cases/" + w.of.ID + "/move/spot"}}}}
					report(f)
				}
			}
		}
	}
	said := map[string]bool{}
	for _, p := range ix.app.Problems {
		if p.Screen == "" && p.Entity != "" && ix.app.Project.Rails[p.Entity] != nil && !said[p.Entity+p.Element+p.Where+p.Text] {
			said[p.Entity+p.Element+p.Where+p.Text] = true
			report(Finding{Severity: Broken, Entity: p.Entity, Element: p.Element, Words: "On the rail “" + ix.app.Project.Rails[p.Entity].Name + "” the " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
		if p.Screen != "" {
			report(Finding{Severity: Broken, Screen: p.Screen, Element: p.Element, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
	for _, id := range sortedScreens(ix.app) {
		s := ix.app.Screens[id].Screen
		if s.Up != "" && ix.app.Project.Screens[s.Up] == nil {
			report(Finding{Severity: Broken, Screen: id, Words: "The screen that is “up” from here is gone.", Mends: []Mend{{Words: "let up mean home", Patch: []patch.Op{{Op: "remove", Path: "/" + id + "/up"}}}}})
		}
	}
	for _, r := range project.Ordered(ix.app.Project.Roles) {
		if ix.app.Project.Screens[r.Start] == nil {
			report(Finding{Severity: Broken, Screen: "", Words: "The start screen of " + r.Name + " is gone."})
		}
	}
}}
