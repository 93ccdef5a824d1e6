package asks

import (
	"ambergate/core/check"
	"ambergate/core/english"
	"ambergate/core/patch"
)

var AlwaysShown = &check.Check{Name: "always-shown", Doc: "a condition that holds whatever the values", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, s := range ix.Conditions() {
		if s.ForSome(ix, true) {
			continue
		}
		f := s.Finding
		f.Severity, f.Evidence = check.Note, s.Node.Phrase()
		f.Words = "The condition of " + s.Words + " always holds."
		if s.What == "guard" || s.What == "row rule" {
			f.Words = english.Capital(s.Words) + " always holds: it keeps nobody out."
		}
		f.Mends = []check.Mend{{Words: "do without it", Patch: []patch.Op{{Op: "remove", Path: s.Path}}}}
		report(f)
	}
}}
