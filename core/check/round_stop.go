package check

import "ambergate/core/project"

var roundStop = &Check{Name: "round-stop", Doc: "a screen of a round that is gone, asks for a record, or is shut to whose round it is: it is passed over", Run: func(ix *Index, report func(Finding)) {
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		for _, stop := range project.Ordered(r.Round) {
			s := ix.App.Project.Screens[stop.Screen]
			switch {
			case s == nil:
				report(Finding{Severity: Broken, Entity: r.ID, Words: "A screen in the round of " + r.Name + " is gone."})
			case !s.Alone():
				report(Finding{Severity: Broken, Entity: r.ID, Words: "“" + s.Title + "” is passed over in the round of " + r.Name + ": it is opened with a record, and a round brings none."})
			default:
				if why := ix.refuses(s, "view", r.ID); why != "" {
					report(Finding{Severity: Doubtful, Entity: r.ID, Words: "“" + s.Title + "” is passed over in the round of " + r.Name + ".", Evidence: why})
				}
			}
		}
	}
}}
