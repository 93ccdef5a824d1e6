package check

import (
	"maps"
	"slices"
	"sort"

	"ambergate/core/cond"
	"ambergate/core/cond/prove"
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

// conditions lists every condition that decides something, in a stable order; one of a rail or of a shared gate on each
// screen where it stands.
func (ix *Index) conditions() []stated {
	if ix.stated == nil {
		ix.stated = ix.findConditions()
	}
	return ix.stated
}

func (ix *Index) findConditions() []stated {
	out := []stated{}
	for _, id := range ix.screens() {
		out = append(out, ix.statedOn(id)...)
	}
	return append(out, ix.rowRules()...)
}

// statedOn lists the conditions of one screen.
func (ix *Index) statedOn(id string) []stated {
	if known, is := ix.statedBy[id]; is {
		return known
	}
	var out []stated
	plan := ix.App.Screens[id]
	if plan.Guard != nil {
		out = append(out, stated{what: "guard", words: "the guard of “" + plan.Screen.Title + "”", node: plan.Guard.Root, finding: Finding{Screen: id}, path: "/" + id + "/guard", roles: plan.Screen.Roles})
	}
	for _, e := range plan.Elements {
		if e.ShownWhile != nil {
			out = append(out, stated{what: "shown while", words: "“" + ix.words(plan.Screen, e) + "”", node: e.ShownWhile.Root, finding: Finding{Screen: id, Element: e.ID}, path: "/" + id + "/elements/" + e.ID + "/shown", roles: plan.Screen.Roles})
		}
	}
	for _, w := range plan.Ways() {
		if w.Gate.Condition != nil {
			out = append(out, stated{what: "way", words: "“" + ix.words(plan.Screen, w.Element) + "”", node: w.Gate.Condition.Root, finding: Way{Way: w}.ofGate("", ""), path: w.Wiring() + "/while", roles: w.Gate.Roles})
		}
	}
	if ix.statedBy == nil {
		ix.statedBy = map[string][]stated{}
	}
	ix.statedBy[id] = out
	return out
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

// asksRoles says whether a condition asks who the user is.
func (ix *Index) asksRoles(n *cond.Node) bool {
	asks, known := ix.asks[n]
	if !known {
		asks = len(n.RolesAsked()) > 0
		if ix.asks == nil {
			ix.asks = map[*cond.Node]bool{}
		}
		ix.asks[n] = asks
	}
	return asks
}

// forSome says whether the condition can hold, or fail, for any of the roles that are asked.
func (s stated) forSome(ix *Index, fail bool) bool {
	if !ix.asksRoles(s.node) && len(ix.App.Project.Roles) > 0 {
		return ix.can(turn{s.node, "", fail}) // it is the same for each of them
	}
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
