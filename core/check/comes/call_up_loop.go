package comes

import (
	"ambergate/core/check"
	"ambergate/core/cond/prove"
	"ambergate/core/plan"
)

var CallUpLoop = &check.Check{Name: "call-up-loop", Doc: "two call-ups that can hold at once and answer each other", Run: func(ix *check.Index, report func(check.Finding)) {
	for i, a := range ix.App.CallUps {
		for _, b := range ix.App.CallUps[:i] {
			if a.While == nil || b.While == nil || a.Screen == b.Screen || !a.From(b.Screen) || !b.From(a.Screen) || a.Priority != b.Priority || !meet(a, b) {
				continue
			}
			if len(a.Only) == 0 && len(b.Only) == 0 {
				continue // each comes once, from wherever one works: they do not wait for each other
			}
			if prove.Together(a.While.Root, b.While.Root) == prove.No {
				continue
			}
			report(check.Finding{Severity: check.Doubtful, Entity: a.ID, Words: "“" + b.Name + "” and “" + a.Name + "” answer each other: each comes from the screen that the other brings.", Evidence: "Both may hold: " + b.While.Root.Phrase() + "; " + a.While.Root.Phrase() + "."})
		}
	}
}}

// meet says whether somebody may get both.
func meet(a, b *plan.CallUp) bool {
	if len(a.Roles) == 0 || len(b.Roles) == 0 {
		return true
	}
	return a.IsFor(b.Roles)
}
