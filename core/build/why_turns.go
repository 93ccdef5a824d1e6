package build

import (
	"strings"

	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// askGuard notes what a screen's guard asks for.
func (q *asking) askGuard(screen *plan.Screen) {
	q.ask(rolesNode(q.app, screen.Screen.Roles), plan.RootOf(screen.Guard))
}

func (q *asking) ask(parts ...*cond.Node) {
	for _, p := range parts {
		if p != nil {
			q.asked = append(q.asked, p)
		}
	}
}

// rolesNode gives a set of roles as a condition; nil for everyone.
func rolesNode(a *plan.App, roles map[string]bool) *cond.Node {
	if roles == nil {
		return nil
	}
	var parts []*cond.Node
	for _, r := range project.Ordered(a.Project.Roles) {
		if roles[r.ID] {
			parts = append(parts, cond.AsksRole(cond.Role{ID: r.ID, Name: r.Name}))
		}
	}
	return cond.Any(parts...)
}

// turns works out the fewest parts that would have to change: of the conditions all together, and
// of the grants and row rules that refuse, here and at the target.
func (q *asking) turns() {
	q.turnsOf(q.out.Judged, false)
	if q.out.Leads != nil {
		q.turnsOf(q.out.Leads.Judged, true)
	}
	if all := cond.Every(q.asked...); all != nil {
		q.out.Turns = append(q.out.Turns, prove.Turns(all, q.world)...)
	}
}

// turnsOf adds what would have to change of what was judged; the guard of this screen is asked with the conditions.
func (q *asking) turnsOf(judged []Judged, guards bool) {
	for _, j := range judged {
		switch {
		case j.State == "passes":
		case j.What == "grant":
			q.out.Turns = append(q.out.Turns, prove.Turn{Words: "a grant for one of their roles (" + english.Small(strings.TrimSuffix(j.Words, ".")) + ")", Is: "no"})
		case j.What == "row-rule" && len(j.turns) == 0:
			q.out.Turns = append(q.out.Turns, prove.Turn{Words: j.Words, Is: "no"})
		case j.What == "row-rule" || j.What == "guard" && guards:
			q.out.Turns = append(q.out.Turns, j.turns...)
		}
	}
}
