package comes

import (
	"ambergate/core/check"
	"ambergate/core/cond/prove"
	"ambergate/core/plan"
	"ambergate/core/project"
)

var CalledUp = &check.Check{Name: "called-up", Doc: "a call-up that never comes, or does not for whom it is meant; two that come for one reason and lead elsewhere", Run: func(ix *check.Index, report func(check.Finding)) {
	for i, c := range ix.App.CallUps {
		s := ix.App.Project.Screens[c.Screen]
		if s == nil || c.While == nil {
			continue // told as what cannot be read
		}
		if prove.CanHold(c.While.Root) == prove.No {
			report(check.Finding{Severity: check.Doubtful, Entity: c.ID, Words: "“" + c.Name + "” never comes: its condition cannot hold.", Evidence: c.While.Root.Phrase()})
		}
		for _, r := range project.Ordered(ix.App.Project.Roles) {
			if why := ix.Refuses(s, "view", r.ID); c.Roles[r.ID] && why != "" {
				report(check.Finding{Severity: check.Doubtful, Entity: c.ID, Words: "“" + c.Name + "” does not come for " + r.Name + ": “" + s.Title + "” is shut to them.", Evidence: why})
			}
		}
		for _, other := range ix.App.CallUps[:i] {
			if other.While != nil && clash(c, other) {
				report(check.Finding{Severity: check.Doubtful, Entity: c.ID, Words: "“" + other.Name + "” and “" + c.Name + "” come at the same moment and lead to different screens: which is in front is chance.", Evidence: "Both come while " + c.While.Root.Phrase() + "."})
			}
		}
	}
}}

// clash says whether two call-ups come for the same reason, to the same people, with the same weight, after the same
// time, and lead to different screens.
func clash(a, b *plan.CallUp) bool {
	if a.Screen == b.Screen || a.Table != b.Table || a.Priority != b.Priority || a.For != b.For || a.While.Stored != b.While.Stored {
		return false
	}
	if len(a.Roles) > 0 && len(b.Roles) > 0 && !a.IsFor(b.Roles) {
		return false
	}
	for screen := range a.Only { // each from screens of its own: they never meet
		if b.From(screen) {
			return true
		}
	}
	return len(a.Only) == 0
}
