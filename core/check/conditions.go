package check

import (
	"maps"
	"slices"
	"sort"

	"ambergate/core/cond"
	"ambergate/core/cond/prove"
)

// Stated is one condition of the project with the place where it stands.
type Stated struct {
	What    string // guard, way, shown while, row rule
	Words   string // of the place, for people
	Node    *cond.Node
	Finding Finding
	Path    string          // JSON Pointer, for mends
	Roles   map[string]bool // who is asked at all; nil for everyone
}

// Conditions lists every condition that decides something, in a stable order; one of a rail or of a shared gate on each
// screen where it stands.
func (ix *Index) Conditions() []Stated {
	if ix.stated == nil {
		ix.stated = ix.findConditions()
	}
	return ix.stated
}

func (ix *Index) findConditions() []Stated {
	out := []Stated{}
	for _, id := range ix.Screens() {
		out = append(out, ix.statedOn(id)...)
	}
	return append(out, ix.rowRules()...)
}

// statedOn lists the conditions of one screen.
func (ix *Index) statedOn(id string) []Stated {
	if known, is := ix.statedBy[id]; is {
		return known
	}
	var out []Stated
	plan := ix.App.Screens[id]
	if plan.Guard != nil {
		out = append(out, Stated{What: "guard", Words: "the guard of “" + plan.Screen.Title + "”", Node: plan.Guard.Root, Finding: Finding{Screen: id}, Path: "/" + id + "/guard", Roles: plan.Screen.Roles})
	}
	for _, e := range plan.Elements {
		if e.ShownWhile != nil {
			out = append(out, Stated{What: "shown while", Words: "“" + ix.Words(plan.Screen, e) + "”", Node: e.ShownWhile.Root, Finding: Finding{Screen: id, Element: e.ID}, Path: "/" + id + "/elements/" + e.ID + "/shown", Roles: plan.Screen.Roles})
		}
	}
	for _, w := range plan.Ways() {
		if w.Gate.Condition != nil {
			out = append(out, Stated{What: "way", Words: "“" + ix.Words(plan.Screen, w.Element) + "”", Node: w.Gate.Condition.Root, Finding: Way{Way: w}.OfGate("", ""), Path: w.Wiring() + "/while", Roles: w.Gate.Roles})
		}
	}
	if ix.statedBy == nil {
		ix.statedBy = map[string][]Stated{}
	}
	ix.statedBy[id] = out
	return out
}

func (ix *Index) rowRules() []Stated {
	var out []Stated
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
				out = append(out, Stated{What: "row rule", Words: "the row rule of " + role.Name + " on " + Label(p, g.Table), Node: e.Root, Finding: Finding{Entity: id}, Path: "/" + id + "/" + field, Roles: map[string]bool{g.Role: true}})
			}
		}
	}
	sort.SliceStable(out, func(i, j int) bool { return out[i].Path < out[j].Path })
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

// ForSome says whether the condition can hold, or fail, for any of the roles that are asked.
func (s Stated) ForSome(ix *Index, fail bool) bool {
	if !ix.asksRoles(s.Node) && len(ix.App.Project.Roles) > 0 {
		return ix.can(turn{s.Node, "", fail}) // it is the same for each of them
	}
	asked := false
	for r := range ix.App.Project.Roles {
		if s.Roles != nil && !s.Roles[r] {
			continue
		}
		asked = true
		if ix.can(turn{s.Node, r, fail}) {
			return true
		}
	}
	return !asked || s.Roles == nil && ix.can(turn{s.Node, "", fail}) // people may have several roles
}
