package check

import (
	"strings"

	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

var deadPress = &Check{Name: "dead-press", Doc: "shown active to a role that a guard or grants refuse", Local: true, Run: func(ix *Index, report func(Finding)) {
	for _, w := range ix.Ways {
		for _, m := range w.Targets() {
			if f, found := ix.refusedTo(w, m); found {
				report(f)
			}
		}
	}
}}

// refusedTo finds the roles that a way is shown to and its target refuses.
func (ix *Index) refusedTo(w Way, m *plan.Lead) (Finding, bool) {
	var refused, names []string
	why := ""
	for _, id := range ix.refusing(ix.App.Behind(m), m.Mode) {
		if w.Gate.Roles != nil && !w.Gate.Roles[id] || !ix.stands(w, id) {
			continue
		}
		refused, names, why = append(refused, id), append(names, ix.App.Project.Roles[id].Name), ix.refuses(ix.App.Behind(m), m.Mode, id)
	}
	if len(refused) == 0 {
		return Finding{}, false
	}
	who := strings.Join(names, ", ")
	f := w.Finding(Doubtful, "“"+words.Element(ix.App, w.Screen, w.Element)+"” is shown to "+who+", whom “"+m.Target.Title+"” refuses.")
	f.Evidence = why
	if patch := withoutRoles(ix, w, refused); patch != nil && w.Gate.Shared == nil {
		f.Mends = []Mend{{Words: "not for " + who, Patch: patch}}
	}
	return f, true
}

// shutAsk is a screen, in a mode.
type shutAsk struct {
	screen *project.Screen
	mode   string
}

// refusing gives the roles that a screen is shut to, in their order; found once.
func (ix *Index) refusing(s *project.Screen, mode string) []string {
	key := shutAsk{s, mode}
	out, known := ix.shutTo[key]
	if !known {
		for _, r := range project.Ordered(ix.App.Project.Roles) {
			if ix.refuses(s, mode, r.ID) != "" {
				out = append(out, r.ID)
			}
		}
		if ix.shutTo == nil {
			ix.shutTo = map[shutAsk][]string{}
		}
		ix.shutTo[key] = out
	}
	return out
}

// withoutRoles takes roles off a gate: those that are named, or all others where it was for everyone.
func withoutRoles(ix *Index, w Way, refused []string) []patch.Op {
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
	return []patch.Op{{Op: op, Path: w.Wiring() + "/roles", Value: encode(left)}}
}
