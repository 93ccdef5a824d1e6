package plan

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// Rail is a rail as it stands on one screen: compiled with that screen's names.
type Rail struct {
	Rail     *project.Rail
	Elements []*Element
	While    *cond.Expr // on the screen's record; nil for always
	Bad      bool       // the condition cannot be read: it stands nowhere
}

// rails compiles the rails that stand on the screen, with its names.
func (b *Planner) rails() {
	for _, r := range project.Ordered(b.App.Project.Rails) {
		if !r.On(b.Plan.Screen) {
			continue
		}
		plan := &Rail{Rail: r}
		b.Element, b.rail = nil, r
		b.Scope = b.App.Project.Scope(b.Plan.Screen, "")
		if while := r.Placed.Tables[b.Plan.Screen.RecordTable()]; while != "" {
			plan.While = b.Condition("placement of “"+r.Name+"”", while)
			plan.Bad = plan.While == nil
		}
		for _, e := range project.Ordered(r.Elements) {
			plan.Elements = append(plan.Elements, b.planElement(e))
		}
		b.Plan.Rails = append(b.Plan.Rails, plan)
	}
	b.Element, b.rail = nil, nil
}
