package asks

import (
	"ambergate/core/check"
	"ambergate/core/project"
)

var AsksHidden = &check.Check{Name: "asks-hidden", Doc: "a condition looks at a field that a role it is for may not see: for them it is never known", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	var narrowed []*project.Role // from whom something is kept
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		if ix.KeptFrom(r.ID) {
			narrowed = append(narrowed, r)
		}
	}
	if len(narrowed) == 0 {
		return
	}
	for _, s := range ix.Conditions() {
		if s.What == "row rule" {
			continue // rules are the project's own: they see everything
		}
		for _, r := range narrowed {
			if s.Roles != nil && !s.Roles[r.ID] {
				continue
			}
			if field := ix.HiddenFor(s, r.ID); field != "" {
				f := s.Finding
				f.Severity, f.Evidence = check.Doubtful, s.Node.Phrase()
				f.Words = "The condition of " + s.Words + " looks at " + field + ", which is hidden from " + r.Name + ": for them it is never known."
				report(f)
			}
		}
	}
}}
