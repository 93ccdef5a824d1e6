package check

var unreadableRight = &Check{Name: "unreadable-right", Doc: "a row rule, shared condition or figure that cannot be read", run: func(ix *index, report func(Finding)) {
	for _, p := range ix.app.Problems {
		if p.Entity != "" && ix.app.Project.Rails[p.Entity] == nil {
			report(Finding{Severity: Broken, Entity: p.Entity, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
}}
