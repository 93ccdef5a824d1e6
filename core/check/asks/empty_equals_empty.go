package asks

import (
	"ambergate/core/check"
	"ambergate/core/cond/compile"
	"ambergate/core/english"
)

var EmptyEqualsEmpty = &check.Check{Name: "empty-equals-empty", Doc: "both sides of an equality in a guard or row rule may be empty: it then holds", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, s := range ix.Conditions() {
		if s.What != "guard" && s.What != "row rule" {
			continue
		}
		for _, both := range compile.EmptyOnBothSides(s.Node) {
			f := s.Finding
			f.Severity, f.Evidence = check.Doubtful, both.Phrase()
			f.Words = english.Capital(s.Words) + " also holds where both sides are empty: " + both.Phrase() + "."
			report(f)
		}
	}
}}
