package leads

import (
	"ambergate/core/check"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

var NoWayBehind = &check.Check{Name: "no-way-behind", Doc: "a button that does nothing", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, id := range ix.Screens() {
		plan := ix.App.Screens[id]
		for _, e := range plan.Elements {
			trigger := project.UnwiredTrigger(e.Element)
			if trigger != "" && (len(e.Gates) == 0 || emptyGate(e)) {
				report(check.Finding{Severity: check.Broken, Screen: id, Element: e.ID, Trigger: trigger, Words: "Nothing is wired to “" + words.Element(ix.App, plan.Screen, e) + "”.", Mends: []check.Mend{{Words: "wire it", Chip: "target"}}})
			}
		}
		for _, e := range plan.Off {
			way := project.WayOf(e.Element)
			if way == nil || !emptyGate(e) {
				continue
			}
			f := check.Finding{Severity: check.Broken, Screen: id, Element: e.ID, Trigger: way.Trigger, Words: "“When " + words.Element(ix.App, plan.Screen, e) + "” does nothing yet.", Mends: []check.Mend{{Words: "wire it", Chip: "target"}}}
			if way.OnLeaving() {
				f.Mends[0].Chip = "do"
			}
			report(f)
		}
	}
}}

// emptyGate says whether one of an element's gates neither does anything nor leads anywhere.
func emptyGate(e *plan.Element) bool {
	for trigger, g := range e.Gates {
		if _, back := project.OpenedBy(trigger); back || g.Gone {
			continue // said as such
		}
		if len(g.Cases) == 0 {
			return true
		}
		for _, c := range g.Cases {
			if c.Move == nil && len(c.Effects) == 0 {
				return true
			}
		}
	}
	return false
}
