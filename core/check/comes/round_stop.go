package comes

import (
	"ambergate/core/check"
	"ambergate/core/project"
)

var RoundStop = &check.Check{Name: "round-stop", Doc: "a screen of a round that is gone, asks for a record, or is shut to whose round it is: it is passed over", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		for _, stop := range project.Ordered(r.Round) {
			s := ix.App.Project.Screens[stop.Screen]
			switch {
			case s == nil:
				report(check.Finding{Severity: check.Broken, Entity: r.ID, Words: "A screen in the round of " + r.Name + " is gone."})
			case !s.Alone():
				report(check.Finding{Severity: check.Broken, Entity: r.ID, Words: "“" + s.Title + "” is passed over in the round of " + r.Name + ": it is opened with a record, and a round brings none."})
			default:
				if why := ix.Refuses(s, "view", r.ID); why != "" {
					report(check.Finding{Severity: check.Doubtful, Entity: r.ID, Words: "“" + s.Title + "” is passed over in the round of " + r.Name + ".", Evidence: why})
				}
			}
		}
	}
}}
