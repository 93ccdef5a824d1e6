package gets

import (
	"ambergate/core/check"
	"ambergate/core/english"
	"ambergate/core/project"
)

var Expectation = &check.Check{Name: "expectation", Doc: "something that the project expects of who gets where does not hold", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, e := range project.Ordered(ix.App.Project.Expectations) {
		s := ix.App.Project.Screens[e.Screen]
		if s == nil {
			report(check.Finding{Severity: check.Broken, Entity: e.ID, Words: "An expectation is about a screen that is gone.", Mends: []check.Mend{forget(e.ID)}})
			continue
		}
		out := ix.Expected(e)
		if out.Kept == check.IsKept {
			continue
		}
		f := check.Finding{Severity: check.Broken, Screen: s.ID, Entity: e.ID, Words: "It is expected that " + check.ExpectationWords(ix.App.Project, e) + ". " + out.Why, Evidence: evidence(ix, out)}
		if out.Kept == check.IsPerhaps {
			f.Severity = check.Doubtful
		}
		f.Mends = append(f.Mends, guardAgainst(ix, e, out)...)
		report(f)
	}
}}

func forget(id string) check.Mend {
	return check.Mend{Words: "forget it", Patch: check.Removal(id)}
}

func evidence(ix *check.Index, out check.Expected) string {
	if len(out.Steps) == 0 {
		return ""
	}
	return ix.PathWords(out.Steps)
}

// guardAgainst shuts a screen to who is never to reach it: its roles become all others.
func guardAgainst(ix *check.Index, e *project.Expectation, out check.Expected) []check.Mend {
	if e.What != "never" || len(e.Roles) != 1 || out.Kept != check.IsBroken {
		return nil
	}
	s := ix.App.Project.Screens[e.Screen]
	left := map[string]bool{}
	var names []string
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		if !e.Roles[r.ID] && (s.Roles == nil || s.Roles[r.ID]) {
			left[r.ID] = true
			names = append(names, r.Name)
		}
	}
	if len(left) == 0 {
		return nil
	}
	return []check.Mend{{Words: "let only " + english.List(names, "and") + " in", Patch: check.PutRoles(s, left)}}
}
