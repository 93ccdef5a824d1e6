package check

import (
	"ambergate/core/check/reach"
	"ambergate/core/project"
)

// Shut says why a screen is shut to a set of roles whatever the record; "" where it is not proven shut.
func Shut(g *reach.Graph, roles map[string]bool, s *project.Screen) string {
	return newBare(g).RefusesAll(s, "view", roles)
}

func newBare(g *reach.Graph) *Index { return &Index{App: g.App, Graph: g} }

// Closed says of something that leads to a screen what it is, and why it does not lead a set of roles there.
func Closed(g *reach.Graph, roles map[string]bool, e *reach.Edge) (what, why string) {
	what = EdgeWords(g, e)
	if e.From != nil {
		what += " on “" + e.From.Title + "”"
	}
	who := RolesNamed(g.App.Project, roles)
	r := g.For(roles)
	open := r.OpenFrom(e)
	switch {
	case e.From != nil && r.Cells[e.From.ID].Kind == reach.IsNever:
		return what, "on screens that are shut to " + who
	case e.ForOthers(roles):
		return what, "not for " + who
	case open.Hold == reach.Never:
		return what, "never open for " + who
	case e.From != nil && !r.Cells[e.From.ID].Led():
		return what, "on screens that no way leads " + who + " to"
	}
	return what, "not proven shut"
}

// Expect finds out how it is with an expectation, for those it is of among some sets of roles.
func Expect(g *reach.Graph, sets []map[string]bool, e *project.Expectation) Expected {
	ix := newBare(g)
	ix.Sets = sets
	return ix.Expected(e)
}
