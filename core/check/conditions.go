package check

import (
	"maps"
	"slices"
	"sort"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/cond/prove"
	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
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
func (ix *index) conditions() []stated {
	if ix.stated == nil {
		ix.stated = ix.findConditions()
	}
	return ix.stated
}

func (ix *index) findConditions() []stated {
	out := []stated{}
	said := map[string]bool{}
	for _, id := range sortedScreens(ix.app) {
		plan := ix.app.Screens[id]
		if plan.Guard != nil {
			out = append(out, stated{what: "guard", words: "the guard of “" + plan.Screen.Title + "”", node: plan.Guard.Root, finding: Finding{Screen: id}, path: "/" + id + "/guard", roles: plan.Screen.Roles})
		}
		for _, e := range plan.Elements {
			words := "“" + words.Element(ix.app, plan.Screen, e) + "”"
			if e.ShownWhile != nil {
				out = append(out, stated{what: "shown while", words: words, node: e.ShownWhile.Root, finding: Finding{Screen: id, Element: e.ID}, path: "/" + id + "/elements/" + e.ID + "/shown", roles: plan.Screen.Roles})
			}
		}
		for _, w := range plan.Ways() {
			if w.Gate.Condition == nil || said[w.Wiring()] {
				continue
			}
			said[w.Wiring()] = w.Rail != nil || w.Gate.Shared != nil // once, however many screens it stands on
			words := "“" + words.Element(ix.app, plan.Screen, w.Element) + "”"
			out = append(out, stated{what: "way", words: words, node: w.Gate.Condition.Root, finding: Finding{Screen: id, Element: w.Element.ID, Trigger: w.Trigger}, path: w.Wiring() + "/while", roles: w.Gate.Roles})
		}
	}
	return append(out, ix.rowRules()...)
}

func (ix *index) rowRules() []stated {
	var out []stated
	p := ix.app.Project
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
			if e, problem := ix.app.RowRule(g.Table, text); problem == nil {
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
func (ix *index) can(t turn) bool {
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
func (s stated) forSome(ix *index, fail bool) bool {
	asked := false
	for r := range ix.app.Project.Roles {
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

var neverShown = &Check{Name: "never-shown", Doc: "a condition that contradicts itself or the roles it is for", run: func(ix *index, report func(Finding)) {
	for _, s := range ix.conditions() {
		if s.forSome(ix, false) {
			continue
		}
		f := s.finding
		f.Severity, f.Evidence = Doubtful, s.node.Phrase()
		f.Words = map[string]string{
			"guard": "Nobody can be on this screen: " + s.words + " can never hold.", "way": s.words + " never opens: its condition can never hold.",
			"shown while": s.words + " never shows: its condition can never hold.", "row rule": "No record ever meets " + s.words + ".",
		}[s.what]
		report(f)
	}
}}

var alwaysShown = &Check{Name: "always-shown", Doc: "a condition that holds whatever the values", run: func(ix *index, report func(Finding)) {
	for _, s := range ix.conditions() {
		if s.forSome(ix, true) {
			continue
		}
		f := s.finding
		f.Severity, f.Evidence = Note, s.node.Phrase()
		f.Words = "The condition of " + s.words + " always holds."
		if s.what == "guard" || s.what == "row rule" {
			f.Words = english.Capital(s.words) + " always holds: it keeps nobody out."
		}
		f.Mends = []Mend{{Words: "do without it", Patch: []patch.Op{{Op: "remove", Path: s.path}}}}
		report(f)
	}
}}

var emptyEqualsEmpty = &Check{Name: "empty-equals-empty", Doc: "both sides of an equality in a guard or row rule may be empty: it then holds", run: func(ix *index, report func(Finding)) {
	for _, s := range ix.conditions() {
		if s.what != "guard" && s.what != "row rule" {
			continue
		}
		for _, both := range compile.EmptyOnBothSides(s.node) {
			f := s.finding
			f.Severity, f.Evidence = Doubtful, both.Phrase()
			f.Words = english.Capital(s.words) + " also holds where both sides are empty: " + both.Phrase() + "."
			report(f)
		}
	}
}}

var unreadableRight = &Check{Name: "unreadable-right", Doc: "a row rule, shared condition or figure that cannot be read", run: func(ix *index, report func(Finding)) {
	for _, p := range ix.app.Problems {
		if p.Entity != "" && ix.app.Project.Rails[p.Entity] == nil {
			report(Finding{Severity: Broken, Entity: p.Entity, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
}}

var asksHidden = &Check{Name: "asks-hidden", Doc: "a condition looks at a field that a role it is for may not see: for them it is never known", run: func(ix *index, report func(Finding)) {
	for _, s := range ix.conditions() {
		if s.what == "row rule" {
			continue // rules are the project's own: they see everything
		}
		for _, r := range project.Ordered(ix.app.Project.Roles) {
			if s.roles != nil && !s.roles[r.ID] {
				continue
			}
			if field := ix.hiddenFor(s, r.ID); field != "" {
				f := s.finding
				f.Severity, f.Evidence = Doubtful, s.node.Phrase()
				f.Words = "The condition of " + s.words + " looks at " + field + ", which is hidden from " + r.Name + ": for them it is never known."
				report(f)
			}
		}
	}
}}

// hiddenAsk is one question to hiddenFor, which many ways with the same condition ask.
type hiddenAsk struct {
	node              *cond.Node
	role, record, row string
}

// hiddenFor gives the words of a field that a condition reads and a role that may view the record may not see.
func (ix *index) hiddenFor(s stated, role string) string {
	scope := ix.app.Project.Scope(ix.app.Screens[s.finding.Screen].Screen, ix.app.RowTable(s.finding.Screen, s.finding.Element))
	ask := hiddenAsk{s.node, role, scope["record"], scope["row"]}
	words, known := ix.hidden[ask]
	if !known {
		words = ix.findHidden(s, role, scope)
		if ix.hidden == nil {
			ix.hidden = map[hiddenAsk]string{}
		}
		ix.hidden[ask] = words
	}
	return words
}

func (ix *index) findHidden(s stated, role string, scope cond.Scope) string {
	for _, p := range s.node.Paths() {
		table := scope[p.Root]
		if p.Root != "record" && p.Root != "row" || !ix.grant(role, table).View {
			continue
		}
		for _, seg := range p.Segs {
			grant := ix.grant(role, table)
			if !grant.View || grant.Hidden[seg] {
				return p.Words()
			}
			f, _ := ix.app.Project.FieldAt(table, seg)
			if f == nil || f.References == "" {
				break
			}
			table = f.References
		}
	}
	return ""
}
