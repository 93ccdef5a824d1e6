package whole

import (
	"ambergate/core/check/reach"
	"ambergate/core/english"
	"ambergate/core/project"
)

// ShutWay is a way that is proven never to open for some who get to its screen.
type ShutWay struct {
	Element string `json:"element"`
	Trigger string `json:"trigger"`
	Roles   string `json:"roles"` // for whom, in words
}

// ShutWays tells those of a screen, for the roles that were looked at already: nothing is worked out for it.
func ShutWays(g *reach.Graph, screen string) []ShutWay {
	type key struct{ element, trigger string }
	edges := map[key][]*reach.Edge{}
	var order []key
	for _, e := range g.Edges(screen) {
		if e.Way.Element == nil || e.Along != nil {
			continue
		}
		k := key{e.Way.Element.ID, e.Way.Trigger}
		if edges[k] == nil {
			order = append(order, k)
		}
		edges[k] = append(edges[k], e)
	}
	var out []ShutWay
	for _, k := range order {
		var names []string
		open := false
		for _, role := range project.Ordered(g.App.Project.Roles) {
			r := g.Known(map[string]bool{role.ID: true})
			if r == nil || !r.Cells[screen].Led() {
				continue
			}
			shut := true
			for _, e := range edges[k] {
				shut = shut && r.HoldFrom(e) == reach.Never
			}
			if shut {
				names = append(names, role.Name)
			}
			open = open || !shut
		}
		if len(names) > 0 && open {
			out = append(out, ShutWay{k.element, k.trigger, english.List(names, "and")})
		}
	}
	return out
}
