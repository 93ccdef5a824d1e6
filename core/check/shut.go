package check

import (
	"ambergate/core/check/reach"
	"ambergate/core/english"
	"ambergate/core/project"
)

// Shut says why a screen is shut to a set of roles whatever the record; "" where it is not proven shut.
func Shut(g *reach.Graph, roles map[string]bool, s *project.Screen) string {
	return newBare(g).refusesAll(s, "view", roles)
}

func newBare(g *reach.Graph) *Index { return &Index{App: g.App, Graph: g} }

// Closed says of something that leads to a screen why it does not lead a set of roles there.
func Closed(g *reach.Graph, roles map[string]bool, e *reach.Edge) string {
	out := EdgeWords(g, e)
	if e.From != nil {
		out += " on “" + e.From.Title + "”"
	}
	who := RolesNamed(g.App.Project, roles)
	r := g.For(roles)
	open := r.OpenFrom(e)
	switch {
	case e.From != nil && r.Cells[e.From.ID].Kind == reach.IsNever:
		return english.Capital(out) + ": “" + e.From.Title + "” itself is shut to " + who + "."
	case e.From != nil && !r.Cells[e.From.ID].Led() && open.Hold > reach.Never:
		return english.Capital(out) + ": no way leads " + who + " to “" + e.From.Title + "”."
	case e.ForOthers(roles):
		return english.Capital(out) + ": it is not for " + who + "."
	case open.Hold == reach.Never:
		return english.Capital(out) + ": it never opens for " + who + "."
	}
	return english.Capital(out) + "."
}

// Expect finds out how it is with an expectation, for those it is of among some sets of roles.
func Expect(g *reach.Graph, sets []map[string]bool, e *project.Expectation) Expected {
	ix := newBare(g)
	ix.Sets = sets
	return ix.expected(e)
}
