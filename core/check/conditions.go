package check

import (
	"maps"
	"slices"
	"sort"

	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/words"
)

// stated is one condition of the project with the place where it stands.
type stated struct {
	what    string // guard, way, shown while, row rule
	words   string // of the place, for people
	node    *cond.Node
	finding Finding
	path    string          // JSON Pointer, for mends
	roles   map[string]bool // who is asked at all; nil for everyone
}

// conditions lists every condition that decides something, in a stable order.
func (ix *Index) conditions() []stated {
	if ix.stated == nil {
		ix.stated = ix.findConditions()
	}
	return ix.stated
}

func (ix *Index) findConditions() []stated {
	out := []stated{}
	said := map[string]bool{}
	for _, id := range sortedScreens(ix.App) {
		plan := ix.App.Screens[id]
		if plan.Guard != nil {
			out = append(out, stated{what: "guard", words: "the guard of “" + plan.Screen.Title + "”", node: plan.Guard.Root, finding: Finding{Screen: id}, path: "/" + id + "/guard", roles: plan.Screen.Roles})
		}
		for _, e := range plan.Elements {
			words := "“" + words.Element(ix.App, plan.Screen, e) + "”"
			if e.ShownWhile != nil {
				out = append(out, stated{what: "shown while", words: words, node: e.ShownWhile.Root, finding: Finding{Screen: id, Element: e.ID}, path: "/" + id + "/elements/" + e.ID + "/shown", roles: plan.Screen.Roles})
			}
		}
		for _, w := range plan.Ways() {
			if w.Gate.Condition == nil || said[w.Wiring()] {
				continue
			}
			said[w.Wiring()] = w.Rail != nil || w.Gate.Shared != nil // once, however many screens it stands on
			words := "“" + words.Element(ix.App, plan.Screen, w.Element) + "”"
			out = append(out, stated{what: "way", words: words, node: w.Gate.Condition.Root, finding: Way{Way: w}.Finding("", ""), path: w.Wiring() + "/while", roles: w.Gate.Roles})
		}
	}
	return append(out, ix.rowRules()...)
}

func (ix *Index) rowRules() []stated {
	var out []stated
	p := ix.App.Project
	for _, id := range slices.Sorted(maps.Keys(p.Grants)) {
		g := p.Grants[id]
		role, table := p.Roles[g.Role], p.Tables[g.Table]
		if role == nil || table == nil {
			continue
		}
		for field, text := range map[string]string{"rows": g.Rows, "changes": g.Changes} {
			if text == "" {
				continue
			}
			if e, problem := ix.App.RowRule(g.Table, text); problem == nil {
				out = append(out, stated{what: "row rule", words: "the row rule of " + role.Name + " on " + label(p, g.Table), node: e.Root, finding: Finding{Entity: id}, path: "/" + id + "/" + field, roles: map[string]bool{g.Role: true}})
			}
		}
	}
	sort.SliceStable(out, func(i, j int) bool { return out[i].path < out[j].path })
	return out
}

// turn is one way that a condition can turn out for a role.
type turn struct {
	node *cond.Node
	role string // "" for whoever
	fail bool
}

// can says whether a condition can hold, or fail, for a role. Many ways share a condition: it is
// found out once.
func (ix *Index) can(t turn) bool {
	known, found := ix.turns[t]
	if found {
		return known
	}
	n := t.node
	if t.role != "" {
		n = prove.WithRoles(n, map[string]bool{t.role: true})
	}
	if t.fail {
		known = prove.CanFail(n) != prove.No
	} else {
		known = prove.CanHold(n) != prove.No
	}
	if ix.turns == nil {
		ix.turns = map[turn]bool{}
	}
	ix.turns[t] = known
	return known
}

// forSome says whether the condition can hold, or fail, for any of the roles that are asked.
func (s stated) forSome(ix *Index, fail bool) bool {
	asked := false
	for r := range ix.App.Project.Roles {
		if s.roles != nil && !s.roles[r] {
			continue
		}
		asked = true
		if ix.can(turn{s.node, r, fail}) {
			return true
		}
	}
	return !asked || s.roles == nil && ix.can(turn{s.node, "", fail}) // people may have several roles
}
