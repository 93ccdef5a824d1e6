package check

import (
	"ambergate/core/cond/prove"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// stands says whether a role can be on the way's own screen at all,
// and see what the way starts from: rows of a list are only there for who may view them.
func (ix *Index) stands(w Way, role string) bool {
	table := ""
	if l := project.ListOf(w.Element.Element); l != nil {
		table = l.Table
	} else if p := project.PointsOf(w.Element.Element); p != nil {
		table = p.Table
	}
	if table != "" && !ix.grant(role, table).View {
		return false
	}
	if w.Rail != nil && w.Rail.Placed.Roles != nil && !w.Rail.Placed.Roles[role] {
		return false
	}
	return ix.refuses(w.Screen, "view", role) == ""
}

// refuses says why a screen is shut to a role whatever the record: by its grants, or a guard
// that is false for the role alone. "" when it is not proven shut.
func (ix *Index) refuses(s *project.Screen, mode, role string) string {
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
			return ix.App.Project.Roles[role].Name + " may not " + verb + " " + label(ix.App.Project, table) + "."
		}
	}
	if s.Roles != nil && !s.Roles[role] {
		return "The screen is not for " + ix.App.Project.Roles[role].Name + "."
	}
	if plan := ix.App.Screens[s.ID]; plan.Guard != nil && prove.CanHold(prove.WithRoles(plan.Guard.Root, roles)) == prove.No {
		return "The screen is open only while " + plan.Guard.Root.Phrase() + "."
	}
	return ""
}

// Entered says in words which roles can be on a screen: those that are not proven shut out.
func Entered(app *plan.App, screen string) string {
	ix := &Index{App: app}
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
	return english.List(names, "or")
}

// Presses gives the fewest presses from the start of a set of roles to a screen, over all ways
// that the roles may use whatever the conditions; -1 when there is none.
func Presses(app *plan.App, screen string, roles map[string]bool) int {
	start := app.Project.StartOf(roles)
	if start == "" {
		return -1
	}
	leads := map[string][]string{}
	for _, w := range newIndex(app, Outside{}).Ways {
		if !mayUse(w, roles) || w.Element.Kind == "way" && !byHand(w.Trigger) {
			continue
		}
		for _, m := range w.Targets() {
			leads[w.Screen.ID] = append(leads[w.Screen.ID], m.Target.ID)
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
func mayUse(w Way, roles map[string]bool) bool {
	if w.Rail != nil && !anyOf(w.Rail.Placed.Roles, roles) {
		return false
	}
	return anyOf(w.Gate.Roles, roles)
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
