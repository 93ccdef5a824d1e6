package looks

import (
	"ambergate/core/check"
)

var SameWords = &check.Check{Name: "same-words", Doc: "two buttons of one screen with the same words that lead to different places", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	ix.Pairs(func(a, b *check.Labelled) bool {
		alike := a.Words == b.Words && a.Target != b.Target
		if alike {
			report(check.Finding{Severity: check.Doubtful, Screen: a.Screen, Element: b.Element, Words: "Two things on this screen are called “" + a.Words + "”: one opens “" + ix.Title(a.Target) + "”, the other “" + ix.Title(b.Target) + "”."})
		}
		return alike
	})
}}

var CopyNotChanged = &check.Check{Name: "copy-not-changed", Doc: "two buttons of one screen that do exactly the same; words that name another screen than the one that opens", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	ix.Pairs(func(a, b *check.Labelled) bool {
		alike := a.Words != b.Words && a.Same(b)
		if alike {
			report(check.Finding{Severity: check.Note, Screen: a.Screen, Element: b.Element, Words: "“" + a.Words + "” and “" + b.Words + "” do exactly the same.", Evidence: "Perhaps one was copied from the other and not wired anew."})
		}
		return alike
	})
	titles := map[string]string{}
	for id, s := range ix.App.Project.Screens {
		if other := titles[s.Title]; other == "" || id < other {
			titles[s.Title] = id
		}
	}
	for _, id := range ix.Screens() {
		for _, l := range ix.LabelledOn(id) {
			if other := titles[l.Words]; other != "" && other != l.Target && l.Target != id && ix.Title(l.Target) != l.Words {
				report(check.Finding{Severity: check.Doubtful, Screen: id, Element: l.Element, Words: "“" + l.Words + "” opens “" + ix.Title(l.Target) + "”, though another screen is called “" + l.Words + "”."})
			}
		}
	}
}}
