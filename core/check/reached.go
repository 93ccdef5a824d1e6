package check

import (
	"ambergate/core/check/reach"
	"ambergate/core/english"
	"ambergate/core/project"
	"ambergate/core/words"
)

// WhatLeads gives what leads where; found once.
func (ix *Index) WhatLeads() *reach.Graph {
	if ix.Graph == nil {
		ix.Graph = reach.Of(ix.App, nil)
	}
	return ix.Graph
}

// Who is a set of roles that somebody may have, with words for it.
type Who struct {
	Roles map[string]bool
	Name  string
}

// Everybody gives each role alone, and each set of several that people have.
func (ix *Index) Everybody() []Who {
	var out []Who
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		out = append(out, Who{map[string]bool{r.ID: true}, r.Name})
	}
	for _, set := range ix.Sets {
		if len(set) > 1 {
			out = append(out, Who{set, RolesNamed(ix.App.Project, set)})
		}
	}
	return out
}

// ResultOf gives where each of everybody gets.
func (ix *Index) ResultOf(all []Who) []*reach.Result {
	if ix.results == nil {
		for _, w := range all {
			ix.results = append(ix.results, ix.WhatLeads().For(w.Roles))
		}
	}
	return ix.results
}

// RolesNamed says who has a set of roles.
func RolesNamed(p *project.Project, roles map[string]bool) string {
	var names []string
	for _, r := range project.Ordered(p.Roles) {
		if roles[r.ID] {
			names = append(names, r.Name)
		}
	}
	return english.List(names, "and")
}

// StepWords says a step of a path: by what one goes on, and while what.
func StepWords(g *reach.Graph, s reach.Step) (by, while string) {
	e := s.Edges[0]
	by = EdgeWords(g, e)
	for _, more := range s.Edges[1:] {
		by += " or " + EdgeWords(g, more)
	}
	var parts []string
	for _, p := range s.Open.Left {
		parts = append(parts, p.Words())
	}
	if len(s.Edges) > 1 {
		return by, ""
	}
	return by, english.List(parts, "and")
}

// EdgeWords says what leads on: “Its cabin”, row of “Defects”, the call-up “Strong gusts”.
func EdgeWords(g *reach.Graph, e *reach.Edge) string {
	switch {
	case e.CallUp != nil:
		return "the call-up “" + e.CallUp.Name + "”"
	case e.Round != nil:
		return "the round of " + e.Round.Name
	case e.Way.Element == nil:
		return "Back"
	}
	out := words.Element(g.App, e.Way.Screen, e.Way.Element)
	if e.Along != nil {
		return "along “" + e.Along.Name + "”"
	}
	if e.Way.Element.Kind == "button" || e.Way.Rail != nil {
		return "“" + out + "”"
	}
	return out // a row of its records, a point of the chart
}

// PathWords says a path in one sentence: “Board”, “Go”, “List”.
func (ix *Index) PathWords(steps []reach.Step) string {
	var out []string
	for _, s := range steps {
		by, while := StepWords(ix.WhatLeads(), s)
		if while != "" {
			by += " while " + while
		}
		out = append(out, "by "+by+" to “"+ix.App.Project.Screens[s.To()].Title+"”")
	}
	return english.Capital(english.List(out, "then")) + "."
}
