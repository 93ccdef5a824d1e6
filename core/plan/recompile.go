package plan

import (
	"maps"
	"reflect"
	"slices"

	"ambergate/core/project"
)

// Recompile compiles a project of which only some screens differ from a compiled one: those screens are compiled, and
// those that lead to one which is another Target by now; all others are shared. Where more than that differs, names that
// expressions may use among it, all is compiled.
func Recompile(old *App, p *project.Project, changed []string) (*App, error) {
	if !onlyScreens(old.Project, p, changed) {
		return Compile(p)
	}
	a := &App{
		Project: p, Compiler: old.Compiler, Screens: make(map[string]*Screen, len(old.Screens)), Titles: old.Titles,
		Rules: old.Rules, Ruled: old.Ruled, granted: &allGranted{}, Tallies: old.Tallies, Uses: map[string][]Use{}, RuleUser: old.RuleUser, Language: old.Language, CallUps: old.CallUps,
	}
	redo, others := map[string]bool{}, []string{}
	for _, id := range changed {
		redo[id] = true
		if !reflect.DeepEqual(TargetOf(old.Project.Screens[id]), TargetOf(p.Screens[id])) {
			others = append(others, id)
		}
	}
	for id, plan := range old.Screens {
		if !redo[id] && !(len(others) > 0 && plan.refersTo(others)) {
			a.Screens[id] = plan
		} else {
			redo[id] = true
		}
	}
	for _, problem := range old.Problems {
		if !redo[problem.on] {
			a.Problems = append(a.Problems, problem)
		}
	}
	for condition, uses := range old.Uses {
		a.Uses[condition] = slices.DeleteFunc(slices.Clone(uses), func(u Use) bool { return redo[u.Screen] })
	}
	maps.DeleteFunc(redo, func(id string, _ bool) bool { return p.Screens[id] == nil }) // those that were removed
	a.compileScreens(slices.Sorted(maps.Keys(redo)))
	return a, nil
}

// onlyScreens says whether nothing but screens differs, and of those nothing that expressions of
// others may speak of.
func onlyScreens(old, now *project.Project, changed []string) bool {
	for _, id := range changed {
		was, is := old.Screens[id], now.Screens[id]
		switch {
		case said(old, now, id):
			// nothing is compiled of it
		case was == nil && is == nil:
			return false
		case was == nil || is == nil:
			return false // it comes or goes: roles, rails and gates may name it
		case !reflect.DeepEqual(was.Inputs, is.Inputs) || was.Record != is.Record:
			return false
		case was.Title != is.Title && calledUp(now, id):
			return false // what is wrong with a call-up is said with the title
		}
	}
	return len(now.Rails) == 0 || !slices.ContainsFunc(changed, func(id string) bool {
		return old.Screens[id] != nil && old.Screens[id].Type != now.Screens[id].Type
	})
}

func calledUp(p *project.Project, screen string) bool {
	for _, c := range p.CallUps {
		if c.Screen == screen {
			return true
		}
	}
	return false
}

// said says whether an entity only says something of others.
func said(old, now *project.Project, id string) bool {
	return old.Expectations[id] != nil || now.Expectations[id] != nil || old.Acceptances[id] != nil || now.Acceptances[id] != nil || old.Walks[id] != nil || now.Walks[id] != nil
}

// refersTo says whether a way of the screen may lead to one of some screens.
func (p *Screen) refersTo(screens []string) bool {
	for _, w := range p.Ways() {
		for _, c := range w.Gate.Cases {
			for _, m := range c.Move.Leads() {
				if slices.Contains(screens, m.Lead.Target) {
					return true
				}
			}
		}
	}
	return false
}
