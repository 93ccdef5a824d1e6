package gets

import (
	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/english"
	"ambergate/core/project"
)

var OpenByAddress = &check.Check{Name: "open-by-address", Doc: "a role may open a screen by its address though no way leads it there, while ways lead others", ByReach: true, Run: func(ix *check.Index, report func(check.Finding)) {
	roles := project.Ordered(ix.App.Project.Roles)
	results := ix.ResultOf(ix.Everybody()) // each role alone comes first, in this order
	for _, id := range ix.Screens() {
		s := ix.App.Project.Screens[id]
		if s.Offered {
			continue // other projects lead here
		}
		led := map[string]bool{}
		var open []string
		for i, r := range roles {
			switch cell := results[i].Cells[id]; {
			case cell.Led() || cell.Kind == reach.BySelf:
				led[r.ID] = true
			case cell.Kind == reach.ByAddress:
				open = append(open, r.Name)
			}
		}
		if len(led) == 0 || len(open) == 0 {
			continue
		}
		f := check.Finding{Severity: check.Note, Screen: id, Words: "No way leads " + english.List(open, "or") + " to “" + s.Title + "”, and its address opens it for them.", Evidence: "Who knows the address, or is sent it, gets in."}
		f.Mends = []check.Mend{{Words: "let only those in who are led there", Patch: check.PutRoles(s, led)}}
		report(f)
	}
}}
