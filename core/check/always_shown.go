package check

import (
	"ambergate/core/english"
	"ambergate/core/patch"
)

var alwaysShown = &Check{Name: "always-shown", Doc: "a condition that holds whatever the values", Local: true, Run: func(ix *Index, report func(Finding)) {
	for _, s := range ix.conditions() {
		if s.forSome(ix, true) {
			continue
		}
		f := s.finding
		f.Severity, f.Evidence = Note, s.node.Phrase()
		f.Words = "The condition of " + s.words + " always holds."
		if s.what == "guard" || s.what == "row rule" {
			f.Words = english.Capital(s.words) + " always holds: it keeps nobody out."
		}
		f.Mends = []Mend{{Words: "do without it", Patch: []patch.Op{{Op: "remove", Path: s.path}}}}
		report(f)
	}
}}
