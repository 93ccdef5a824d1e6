package gets

import (
	"ambergate/core/check"
	"ambergate/core/check/reach"
)

var ShutStart = &check.Check{Name: "shut-start", Doc: "a start screen that is shut to whose start it is, or may be", Run: func(ix *check.Index, report func(check.Finding)) {
	all := ix.Everybody()
	results := ix.ResultOf(all)
	for i, w := range all {
		s := ix.App.Project.Screens[results[i].Start]
		if s == nil {
			continue // told as what is gone
		}
		f := check.Finding{Severity: check.Broken, Screen: s.ID, Words: "“" + s.Title + "” is the start of " + w.Name + ", and never opens for them."}
		switch results[i].Cells[s.ID].Kind {
		case reach.IsStart, reach.IsSure, reach.IsGiven:
			continue
		case reach.IsMaybe:
			f.Severity, f.Words = check.Doubtful, "“"+s.Title+"” is the start of "+w.Name+", and may be shut to them."
		}
		f.Evidence = ix.RefusesAll(s, "view", w.Roles)
		if !s.Alone() {
			f.Evidence = "It is opened with a record, and a start brings none."
		} else if guard := ix.App.Screens[s.ID].Guard; f.Evidence == "" && guard != nil {
			f.Evidence = "It is open only while " + guard.Root.Phrase() + "."
		}
		report(f)
	}
}}
