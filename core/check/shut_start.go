package check

import "ambergate/core/check/reach"

var shutStart = &Check{Name: "shut-start", Doc: "a start screen that is shut to whose start it is, or may be", Run: func(ix *Index, report func(Finding)) {
	all := ix.everybody()
	results := ix.resultOf(all)
	for i, w := range all {
		s := ix.App.Project.Screens[results[i].Start]
		if s == nil {
			continue // told as what is gone
		}
		f := Finding{Severity: Broken, Screen: s.ID, Words: "“" + s.Title + "” is the start of " + w.name + ", and never opens for them."}
		switch results[i].Cells[s.ID].Kind {
		case reach.IsStart, reach.IsSure, reach.IsGiven:
			continue
		case reach.IsMaybe:
			f.Severity, f.Words = Doubtful, "“"+s.Title+"” is the start of "+w.name+", and may be shut to them."
		}
		f.Evidence = ix.refusesAll(s, "view", w.roles)
		if !s.Alone() {
			f.Evidence = "It is opened with a record, and a start brings none."
		} else if guard := ix.App.Screens[s.ID].Guard; f.Evidence == "" && guard != nil {
			f.Evidence = "It is open only while " + guard.Root.Phrase() + "."
		}
		report(f)
	}
}}
