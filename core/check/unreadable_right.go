package check

var unreadableRight = &Check{Name: "unreadable-right", Doc: "a row rule, shared condition or counted field that cannot be read", Run: func(ix *Index, report func(Finding)) {
	for _, p := range ix.App.Problems {
		if p.Entity != "" && ix.App.Project.Rails[p.Entity] == nil {
			report(Finding{Severity: Broken, Entity: p.Entity, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
}}
