package asks

import (
	"ambergate/core/check"
)

var NeverShown = &check.Check{Name: "never-shown", Doc: "a condition that contradicts itself or the roles it is for", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, s := range ix.Conditions() {
		if s.ForSome(ix, false) {
			continue
		}
		f := s.Finding
		f.Severity, f.Evidence = check.Doubtful, s.Node.Phrase()
		f.Words = map[string]string{
			"guard": "Nobody can be on this screen: " + s.Words + " can never hold.", "way": s.Words + " never opens: its condition can never hold.",
			"shown while": s.Words + " never shows: its condition can never hold.", "row rule": "No record ever meets " + s.Words + ".",
		}[s.What]
		report(f)
	}
}}
