package check

import (
	"ambergate/core/cond/prove"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// shutAsk is a screen, in a mode.
type shutAsk struct {
	screen *project.Screen
	mode   string
}

// Refusing gives the roles that a screen is shut to, in their order; found once.
func (ix *Index) Refusing(s *project.Screen, mode string) []string {
	key := shutAsk{s, mode}
	out, known := ix.shutTo[key]
	if !known {
		for _, r := range project.Ordered(ix.App.Project.Roles) {
			if ix.Refuses(s, mode, r.ID) != "" {
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

// Stands says whether a role can be on the way's own screen at all,
// and see what the way starts from: rows of a list are only there for who may view them.
func (ix *Index) Stands(w Way, role string) bool {
	table := ""
	if l := project.ListOf(w.Element.Element); l != nil {
		table = l.Table
	} else if p := project.PointsOf(w.Element.Element); p != nil {
		table = p.Table
	}
	if table != "" && !ix.Grant(role, table).View {
		return false
	}
	if w.Rail != nil && w.Rail.Placed.Roles != nil && !w.Rail.Placed.Roles[role] {
		return false
	}
	return ix.Refuses(w.Screen, "view", role) == ""
}

// Refuses says why a screen is shut to a role whatever the record: by its grants, or a guard
// that is false for the role alone. "" when it is not proven shut.
func (ix *Index) Refuses(s *project.Screen, mode, role string) string {
	key := refusedAsk{s, mode, role}
	why, known := ix.refused[key]
	if !known {
		why = ix.RefusesAll(s, mode, map[string]bool{role: true})
		if ix.refused == nil {
			ix.refused = map[refusedAsk]string{}
		}
		ix.refused[key] = why
	}
	return why
}

// refusedAsk is one question to refuses, which many ways to the same screen ask.
type refusedAsk struct {
	screen     *project.Screen
	mode, role string
}

// RefusesAll says it of a set of roles.
func (ix *Index) RefusesAll(s *project.Screen, mode string, roles map[string]bool) string {
	if table := s.RecordTable(); table != "" {
		g := ix.grantOf(roles, table)
		verb, may := "view", g.View
		switch mode {
		case "edit":
			verb, may = "change", g.Edit
		case "add":
			verb, may = "add", g.Add
		}
		if !may {
			return RolesNamed(ix.App.Project, roles) + " may not " + verb + " " + Label(ix.App.Project, table) + "."
		}
	}
	if !anyOf(s.Roles, roles) {
		return "The screen is not for " + RolesNamed(ix.App.Project, roles) + "."
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
		if ix.Refuses(s, "view", r.ID) == "" {
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
