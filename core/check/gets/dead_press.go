package gets

import (
	"strings"

	"ambergate/core/check"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/words"
)

var DeadPress = &check.Check{Name: "dead-press", Doc: "shown active to a role that a guard or grants refuse", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		for _, m := range w.Targets() {
			if f, found := refusedTo(ix, w, m); found {
				report(f)
			}
		}
	}
}}

// refusedTo finds the roles that a way is shown to and its target refuses.
func refusedTo(ix *check.Index, w check.Way, m *plan.Lead) (check.Finding, bool) {
	var refused, names []string
	why := ""
	for _, id := range ix.Refusing(ix.App.Behind(m), m.Mode) {
		if w.Gate.Roles != nil && !w.Gate.Roles[id] || !ix.Stands(w, id) {
			continue
		}
		refused, names, why = append(refused, id), append(names, ix.App.Project.Roles[id].Name), ix.Refuses(ix.App.Behind(m), m.Mode, id)
	}
	if len(refused) == 0 {
		return check.Finding{}, false
	}
	who := strings.Join(names, ", ")
	f := w.Finding(check.Doubtful, "“"+words.Element(ix.App, w.Screen, w.Element)+"” is shown to "+who+", whom “"+m.Target.Title+"” refuses.")
	f.Evidence = why
	if patch := withoutRoles(ix, w, refused); patch != nil && w.Gate.Shared == nil {
		f.Mends = []check.Mend{{Words: "not for " + who, Patch: patch}}
	}
	return f, true
}

// withoutRoles takes roles off a gate: those that are named, or all others where it was for everyone.
func withoutRoles(ix *check.Index, w check.Way, refused []string) []patch.Op {
	left := map[string]bool{}
	for id := range ix.App.Project.Roles {
		if w.Gate.Roles == nil || w.Gate.Roles[id] {
			left[id] = true
		}
	}
	for _, id := range refused {
		delete(left, id)
	}
	if len(left) == 0 {
		return nil
	}
	op := "add"
	if w.Gate.Roles != nil {
		op = "replace"
	}
	return []patch.Op{{Op: op, Path: w.Wiring() + "/roles", Value: check.Encode(left)}}
}
