package words

import (
	"maps"
	"slices"

	"ambergate/core/plan"
	"ambergate/core/project"
)

// Uses gives uses with the words of the elements that they are of.
func Uses(a *plan.App, uses []plan.Use) []plan.Use {
	out := make([]plan.Use, len(uses))
	for i, u := range uses {
		if e := a.ElementAt(u.Screen, u.Element); e != nil {
			s := a.Project.Screens[u.Screen]
			u.Words = "“" + Element(a, s, e) + "” on “" + s.Title + "”"
		}
		out[i] = u
	}
	return out
}

// UsesOf gives the ways through a shared gate, in a stable order.
func UsesOf(a *plan.App, gate string) []plan.Use {
	out := []plan.Use{}
	for _, id := range slices.Sorted(maps.Keys(a.Screens)) {
		of := a.Screens[id]
		for _, w := range of.Ways() {
			if w.Gate.Shared != nil && w.Gate.Shared.ID == gate && w.Rail == nil && !w.Gate.Inner {
				out = append(out, plan.Use{Screen: id, Element: w.Element.ID, Words: "“" + Element(a, of.Screen, w.Element) + "” on “" + of.Screen.Title + "”"})
			}
		}
	}
	for _, r := range project.Ordered(a.Project.Rails) {
		for _, e := range project.Ordered(r.Elements) {
			for _, g := range project.AllGates(e.Spec.Gates()) {
				if g != nil && g.Use == gate {
					out = append(out, plan.Use{Screen: r.ID, Element: e.ID, Words: "a button on the rail “" + r.Name + "”"})
				}
			}
		}
	}
	return out
}
