package check

import (
	"ambergate/core/cond/compile"
	"ambergate/core/english"
)

var emptyEqualsEmpty = &Check{Name: "empty-equals-empty", Doc: "both sides of an equality in a guard or row rule may be empty: it then holds", Local: true, Run: func(ix *Index, report func(Finding)) {
	for _, s := range ix.conditions() {
		if s.what != "guard" && s.what != "row rule" {
			continue
		}
		for _, both := range compile.EmptyOnBothSides(s.node) {
			f := s.finding
			f.Severity, f.Evidence = Doubtful, both.Phrase()
			f.Words = english.Capital(s.words) + " also holds where both sides are empty: " + both.Phrase() + "."
			report(f)
		}
	}
}}
