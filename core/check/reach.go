package check

import (
	"strings"

	"ambergate/core/cond/prove"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

var noWayBack = &Check{Name: "no-way-back", Doc: "no way back, up or home within two presses", run: func(ix *index, report func(Finding)) {
	leaves := map[string]bool{}    // by a press that goes back, up or home, or by the strip
	leads := map[string][]string{} // by a press, from screen to screen
	for _, id := range sortedScreens(ix.app) {
		leaves[id] = !ix.app.Screens[id].Screen.Bare
	}
	for _, w := range ix.ways {
		if w.of == nil || w.of.Move == nil || w.gate.Roles != nil || w.gate.While != "" {
			continue // proven for everyone, or not counted
		}
		switch w.of.Move.Kind {
		case "back", "home", "up", "close":
			leaves[w.screen.ID] = true
		default:
			for _, m := range w.targets() {
				leads[w.screen.ID] = append(leads[w.screen.ID], m.Target.ID)
			}
		}
	}
	starts := map[string]bool{}
	for _, r := range ix.app.Project.Roles {
		starts[r.Start] = true
	}
	for _, id := range sortedScreens(ix.app) {
		free := leaves[id] || starts[id]
		for _, next := range leads[id] {
			free = free || leaves[next] || starts[next]
		}
		if free {
			continue
		}
		s := ix.app.Screens[id].Screen
		report(Finding{Severity: Broken, Screen: id, Words: "No way back from “" + s.Title + "” within two presses.", Evidence: "It has no strip and no button that goes back, up or home.", Mends: []Mend{
			{Words: "add one", Patch: []patch.Op{BackButton(s)}},
			{Words: "show the strip", Patch: []patch.Op{{Op: "remove", Path: "/" + id + "/bare"}}},
		}})
	}
}}

// BackButton gives the operation that adds a button "Back" below everything on a screen.
func BackButton(s *project.Screen) patch.Op {
	row := 1
	for _, e := range s.Elements {
		row = max(row, e.Cell.Row+max(1, e.Cell.H))
	}
	button := map[string]any{
		"kind": "button", "pos": row * 10, "cell": project.Cell{Row: row, Col: 1, W: 2}, "words": "Back",
		"gate": map[string]any{"cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "back"}}}},
	}
	id := "e_back"
	for s.Elements[id] != nil {
		id += "x"
	}
	if s.Elements == nil {
		return patch.Op{Op: "add", Path: "/" + s.ID + "/elements", Value: encode(map[string]any{id: button})}
	}
	return patch.Op{Op: "add", Path: "/" + s.ID + "/elements/" + id, Value: encode(button)}
}

var deadPress = &Check{Name: "dead-press", Doc: "shown active to a role that a guard or grants refuse", run: func(ix *index, report func(Finding)) {
	said := map[string]bool{}
	for _, w := range ix.ways {
		for _, m := range w.targets() {
			f, found := ix.refusedTo(w, m)
			if !found {
				continue
			}
			if w.Rail != nil { // a rail is said once, not on every screen
				if said[w.At()+f.Words] {
					continue
				}
				said[w.At()+f.Words] = true
				f.Screen, f.Entity = "", w.Rail.ID
			}
			report(f)
		}
	}
}}

// refusedTo finds the roles that a way is shown to and its target refuses.
func (ix *index) refusedTo(w way, m *plan.Lead) (Finding, bool) {
	var refused, names []string
	why := ""
	for _, r := range project.Ordered(ix.app.Project.Roles) {
		if w.gate.Roles != nil && !w.gate.Roles[r.ID] || !ix.stands(w, r.ID) {
			continue
		}
		if reason := ix.refuses(m.Target, m.Mode, r.ID); reason != "" {
			refused, names, why = append(refused, r.ID), append(names, r.Name), reason
		}
	}
	if len(refused) == 0 {
		return Finding{}, false
	}
	who := strings.Join(names, ", ")
	f := w.finding(Doubtful, "“"+words.Element(ix.app, w.screen, w.element)+"” is shown to "+who+", whom “"+m.Target.Title+"” refuses.")
	f.Evidence = why
	if patch := withoutRoles(ix, w, refused); patch != nil && w.gate.Shared == nil {
		f.Mends = []Mend{{Words: "not for " + who, Patch: patch}}
	}
	return f, true
}

// stands says whether a role can be on the way's own screen at all,
// and see what the way starts from: rows of a list are only there for who may view them.
func (ix *index) stands(w way, role string) bool {
	table := ""
	if l := project.ListOf(w.element.Element); l != nil {
		table = l.Table
	} else if p := project.PointsOf(w.element.Element); p != nil {
		table = p.Table
	}
	if table != "" && !ix.grant(role, table).View {
		return false
	}
	if w.Rail != nil && w.Rail.Placed.Roles != nil && !w.Rail.Placed.Roles[role] {
		return false
	}
	return ix.refuses(w.screen, "view", role) == ""
}

// refuses says why a screen is shut to a role whatever the record: by its grants, or a guard
// that is false for the role alone. "" when it is not proven shut.
func (ix *index) refuses(s *project.Screen, mode, role string) string {
	roles := map[string]bool{role: true}
	if table := s.RecordTable(); table != "" {
		g := ix.grant(role, table)
		verb, may := "view", g.View
		switch mode {
		case "edit":
			verb, may = "change", g.Edit
		case "add":
			verb, may = "add", g.Add
		}
		if !may {
			return ix.app.Project.Roles[role].Name + " may not " + verb + " " + label(ix.app.Project, table) + "."
		}
	}
	if s.Roles != nil && !s.Roles[role] {
		return "The screen is not for " + ix.app.Project.Roles[role].Name + "."
	}
	if plan := ix.app.Screens[s.ID]; plan.Guard != nil && prove.CanHold(prove.WithRoles(plan.Guard.Root, roles)) == prove.No {
		return "The screen is open only while " + plan.Guard.Root.Phrase() + "."
	}
	return ""
}

// withoutRoles takes roles off a gate: those that are named, or all others where it was for everyone.
func withoutRoles(ix *index, w way, refused []string) []patch.Op {
	left := map[string]bool{}
	for id := range ix.app.Project.Roles {
		if w.gate.Roles == nil || w.gate.Roles[id] {
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
	if w.gate.Roles != nil {
		op = "replace"
	}
	return []patch.Op{{Op: op, Path: w.gatePath() + "/roles", Value: encode(left)}}
}

// Entered says in words which roles can be on a screen: those that are not proven shut out.
func Entered(app *plan.App, screen string) string {
	ix := &index{app: app}
	s := app.Project.Screens[screen]
	var names []string
	for _, r := range project.Ordered(app.Project.Roles) {
		if ix.refuses(s, "view", r.ID) == "" {
			names = append(names, r.Name)
		}
	}
	switch {
	case len(names) == 0:
		return "nobody"
	case len(names) == len(app.Project.Roles):
		return "everyone"
	}
	return strings.Join(names, ", ")
}

// Presses gives the fewest presses from the start of a set of roles to a screen, over all ways
// that the roles may use whatever the conditions; -1 when there is none.
func Presses(app *plan.App, screen string, roles map[string]bool) int {
	start := app.Project.StartOf(roles)
	if start == "" {
		return -1
	}
	leads := map[string][]string{}
	for _, w := range newIndex(app).ways {
		if !mayUse(w, roles) || w.element.Kind == "way" && !byHand(w.trigger) {
			continue
		}
		for _, m := range w.targets() {
			leads[w.screen.ID] = append(leads[w.screen.ID], m.Target.ID)
		}
	}
	distance := map[string]int{start: 0}
	for queue := []string{start}; len(queue) > 0; queue = queue[1:] {
		for _, next := range leads[queue[0]] {
			if _, seen := distance[next]; !seen {
				distance[next] = distance[queue[0]] + 1
				queue = append(queue, next)
			}
		}
	}
	if d, ok := distance[screen]; ok {
		return d
	}
	return -1
}

// byHand says whether users set a trigger off themselves.
func byHand(trigger string) bool {
	kind, _ := project.TriggerOf(trigger)
	_, does := kind.(interface{ ByHand() })
	return does
}

// mayUse says whether a set of roles gets to see a way: its gate, and the rail that it stands on.
func mayUse(w way, roles map[string]bool) bool {
	if w.Rail != nil && !anyOf(w.Rail.Placed.Roles, roles) {
		return false
	}
	return anyOf(w.gate.Roles, roles)
}

// anyOf says whether one of some roles is in a set; no set is everyone.
func anyOf(set, roles map[string]bool) bool {
	for r := range set {
		if roles[r] {
			return true
		}
	}
	return set == nil
}
