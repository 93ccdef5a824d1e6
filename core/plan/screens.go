package plan

import "ambergate/core/beside"

// compileScreens compiles screens of the project. What is noted of them stands in the order that is given, however they
// were compiled: each notes into an App of its own, of which the rest is the common one and only read.
func (a *App) compileScreens(ids []string) {
	noted, plans := make([]App, len(ids)), make([]*Screen, len(ids))
	beside.Each(len(ids), func(i int) {
		noted[i] = *a
		noted[i].Problems, noted[i].Uses = nil, map[string][]Use{}
		b := Planner{App: &noted[i], Plan: &Screen{Screen: a.Project.Screens[ids[i]], RecordPaths: Paths{}, InputPaths: map[string]Paths{}, UserPaths: Paths{}}}
		b.screen()
		plans[i] = b.Plan
	})
	for i, id := range ids {
		a.Screens[id] = plans[i]
		a.Problems = append(a.Problems, noted[i].Problems...)
		for condition, uses := range noted[i].Uses {
			a.Uses[condition] = append(a.Uses[condition], uses...)
		}
	}
}
