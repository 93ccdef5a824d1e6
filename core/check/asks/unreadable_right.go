package asks

import (
	"ambergate/core/check"
)

var UnreadableRight = &check.Check{Name: "unreadable-right", Doc: "a row rule, shared condition or counted field that cannot be read", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, p := range ix.App.Problems {
		if p.Entity != "" && ix.App.Project.Rails[p.Entity] == nil {
			report(check.Finding{Severity: check.Broken, Entity: p.Entity, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
}}
