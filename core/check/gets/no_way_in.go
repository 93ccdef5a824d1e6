package gets

import (
	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/english"
)

var NoWayIn = &check.Check{Name: "no-way-in", Doc: "a screen that no role reaches by any way", ByReach: true, Run: func(ix *check.Index, report func(check.Finding)) {
	everybody := ix.Everybody()
	results := ix.ResultOf(everybody)
	for _, id := range ix.Screens() {
		s := ix.App.Project.Screens[id]
		if s.Offered {
			continue // other projects lead here
		}
		led := false
		var opens []string
		for i, w := range everybody {
			switch cell := results[i].Cells[id]; {
			case cell.Led() || cell.Kind == reach.BySelf:
				led = true
			case cell.Kind == reach.ByAddress && len(w.Roles) == 1:
				opens = append(opens, w.Name)
			}
		}
		if led || len(everybody) == 0 {
			continue
		}
		f := check.Finding{Severity: check.Doubtful, Screen: id, Words: "Nobody gets to “" + s.Title + "”: no way leads there that could be open.", Evidence: "Its address opens it for nobody either."}
		if len(opens) > 0 {
			f.Evidence = "Only its address opens it, for " + english.List(opens, "and") + "."
		}
		report(f)
	}
}}
