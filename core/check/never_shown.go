package check

var neverShown = &Check{Name: "never-shown", Doc: "a condition that contradicts itself or the roles it is for", Local: true, Run: func(ix *Index, report func(Finding)) {
	for _, s := range ix.conditions() {
		if s.forSome(ix, false) {
			continue
		}
		f := s.finding
		f.Severity, f.Evidence = Doubtful, s.node.Phrase()
		f.Words = map[string]string{
			"guard": "Nobody can be on this screen: " + s.words + " can never hold.", "way": s.words + " never opens: its condition can never hold.",
			"shown while": s.words + " never shows: its condition can never hold.", "row rule": "No record ever meets " + s.words + ".",
		}[s.what]
		report(f)
	}
}}
