package words

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// May is whether a role may be on a screen, as far as that can be said without a record.
type May struct {
	Role  string `json:"role"`
	State string `json:"state"` // yes, no, depends
	Words string `json:"words"`
	By    string `json:"by,omitempty"` // what makes it no or depends: grant, roles, guard
}

// MayEnter says of each role alone whether it may be on a screen.
func MayEnter(a *plan.App, screen string) []May {
	out := []May{}
	for _, r := range project.Ordered(a.Project.Roles) {
		m := mayEnter(a, a.Screens[screen], map[string]bool{r.ID: true})
		m.Role = r.ID
		out = append(out, m)
	}
	return out
}

// mayEnter says it of a set of roles together.
func mayEnter(a *plan.App, of *plan.Screen, roles map[string]bool) May {
	s := of.Screen
	if t := a.Project.Tables[s.RecordTable()]; t != nil && !a.Project.GrantOf(roles, t.ID).View {
		return May{State: "no", By: "grant", Words: "may not view " + english.Lower(t.Label)}
	}
	if s.Roles != nil && !shared(s.Roles, roles) {
		return May{State: "no", By: "roles", Words: "it is for " + Roles(a, s.Roles)}
	}
	free := May{State: "yes", Words: "yes"}
	if l := s.MainList(); l != nil {
		if t := a.Project.Tables[project.ListOf(l).Table]; t != nil && !a.Project.GrantOf(roles, t.ID).View {
			free = May{State: "yes", By: "list", Words: "yes, but sees no " + english.Lower(t.Label)}
		}
	}
	switch {
	case of.BadGuard:
		return May{State: "no", By: "guard", Words: "the guard cannot be read"}
	case of.Guard == nil:
		return free
	}
	guard := prove.WithRoles(of.Guard.Root, roles)
	switch {
	case prove.CanHold(guard) == prove.No:
		return May{State: "no", By: "guard", Words: "only while " + of.Guard.Root.Phrase()}
	case prove.CanFail(guard) == prove.No && len(guard.Paths()) == 0:
		return free
	}
	return May{State: "depends", By: "guard", Words: "while " + of.Guard.Root.Phrase()}
}

// GuardSentence says who may be on a screen, with chips that can be edited: roles, guard.
func GuardSentence(a *plan.App, screen string) []Chunk {
	of := a.Screens[screen]
	if of == nil {
		return nil
	}
	w := Writer{Scene: plan.Scene{App: a}}
	w.chip(PartRoles, Roles(a, of.Screen.Roles), "")
	w.Plain(" may be here, ")
	switch {
	case of.BadGuard:
		w.Out = append(w.Out, Chunk{Text: "while “" + of.Screen.Guard + "”, which cannot be read", Part: PartGuard, Bad: true})
	case of.Guard != nil:
		w.Plain("while ")
		w.chip(PartGuard, of.Guard.Root.Phrase(), "")
	default:
		w.chip(PartGuard, "whatever the record", "")
	}
	if t := a.Project.Tables[of.Screen.RecordTable()]; t != nil {
		w.Plain(", if they may view ")
		w.chip(PartTable, english.Lower(t.Label), "")
	}
	w.Plain(".")
	return w.Out
}

// GrantSentence says what a role may do with a table, with chips that can be edited: verbs, rows,
// changes, hidden, readOnly. Without a grant it says that too.
func GrantSentence(a *plan.App, role, table string, g *project.Grant) []Chunk {
	w := Writer{Scene: plan.Scene{App: a}}
	w.Plain(a.RoleName(role) + " may ")
	verbs := GrantVerbs(g)
	label := a.TableLabel(table)
	if len(verbs) == 0 {
		w.chip(PartVerbs, "do nothing", "")
		w.Plain(" with " + label + ".")
		return w.Out
	}
	w.chip(PartVerbs, english.List(verbs, "and"), "")
	w.Plain(" " + label + ": ")
	rule := a.Rules[g.ID]
	w.rule(PartRows, "all of them", "those where ", g.Rows, rule.Rows)
	if g.Add || g.Edit || g.Delete {
		w.Plain("; change ")
		w.rule(PartChanges, "any of these", "only those where ", g.Changes, rule.Changes)
	}
	w.fields(PartHidden, "hidden from them: ", g.Hidden, table)
	if g.Edit || g.Add {
		w.fields(PartReadOnly, "not theirs to change: ", g.ReadOnly, table)
	}
	w.Plain(".")
	return w.Out
}

func (w *Writer) rule(part Part, none, lead, text string, e *cond.Expr) {
	switch {
	case text == "":
		w.chip(part, none, "")
	case e == nil:
		w.Out = append(w.Out, Chunk{Text: lead + "“" + text + "”, which cannot be read: none", Part: part, Bad: true})
	default:
		w.Plain(lead)
		w.chip(part, e.Root.Phrase(), "")
	}
}

func (w *Writer) fields(part Part, lead string, fields map[string]bool, table string) {
	var names []string
	t := w.App.Project.Tables[table]
	if t == nil {
		return
	}
	for _, f := range project.Ordered(t.Fields) {
		if fields[f.ID] {
			names = append(names, english.Lower(f.Label))
		}
	}
	w.Plain("; " + lead)
	if len(names) == 0 {
		names = []string{"nothing"}
	}
	w.chip(part, strings.Join(names, ", "), "")
}

// GrantVerbs gives the verbs that a grant allows, in their order; none for no grant.
func GrantVerbs(g *project.Grant) []string {
	var verbs []string
	if g == nil {
		return nil
	}
	for _, v := range project.Verbs {
		if g.May(v) {
			verbs = append(verbs, v)
		}
	}
	return verbs
}

// TableMay is what a user may do with one table, in words: for the users themselves.
type TableMay struct {
	Table  string   `json:"table"`
	Label  string   `json:"label"`
	Verbs  []string `json:"verbs"`
	Rows   string   `json:"rows,omitempty"`    // which ones; empty: all
	Change string   `json:"changes,omitempty"` // which of these may be changed; empty: all
	Hidden []string `json:"hidden,omitempty"`
}

// ScreenMay is a screen that a user may be on.
type ScreenMay struct {
	Title   string `json:"title"`
	Area    string `json:"area,omitempty"`
	Type    string `json:"type"`
	Address string `json:"address,omitempty"` // after /use/<project>; empty where a record must be chosen first
	While   string `json:"while,omitempty"`
}

// MayDo tells users what they may do: tables and screens, by name.
func MayDo(a *plan.App, user *ask.User) (tables []TableMay, screens []ScreenMay) {
	tables, screens = []TableMay{}, []ScreenMay{}
	for _, id := range slices.Sorted(maps.Keys(a.Project.Tables)) {
		t := a.Project.Tables[id]
		sum := a.Project.GrantOf(user.Roles, id)
		m := TableMay{Table: id, Label: t.Label, Verbs: GrantVerbs(&sum)}
		if len(m.Verbs) == 0 {
			continue
		}
		m.Rows, m.Change = rulesInWords(a, user.Roles, id)
		for _, f := range project.Ordered(t.Fields) {
			if sum.Hidden[f.ID] {
				m.Hidden = append(m.Hidden, f.Label)
			}
		}
		tables = append(tables, m)
	}
	for _, id := range slices.Sorted(maps.Keys(a.Screens)) {
		plan := a.Screens[id]
		may := mayEnter(a, plan, user.Roles)
		if may.State == "no" {
			continue
		}
		m := ScreenMay{Title: plan.Screen.Title, Area: plan.Screen.Area, Type: plan.Screen.Type}
		if may.State == "depends" {
			m.While = plan.Guard.Root.Phrase()
		}
		if !needsInput(plan.Screen) {
			m.Address = place.Place{Screen: id, Mode: "view", Inputs: map[string]string{}}.Address(a.Project)
		}
		screens = append(screens, m)
	}
	return tables, screens
}

// shared says whether two sets of roles have one in common.
func shared(a, b map[string]bool) bool {
	for r := range a {
		if a[r] && b[r] {
			return true
		}
	}
	return false
}

// rulesInWords says which records a set of roles may see and change; empty for all of them.
func rulesInWords(a *plan.App, roles map[string]bool, table string) (rows, changes string) {
	var seen, changed []string
	allSeen, allChanged, anyChange := false, false, false
	for _, g := range a.Project.GrantsOf(roles, table) {
		rule := a.Rules[g.ID]
		if g.View {
			allSeen = allSeen || g.Rows == ""
			if rule.Rows != nil {
				seen = append(seen, rule.Rows.Root.Phrase())
			}
		}
		if g.Edit || g.Delete {
			anyChange = true
			both := cond.Every(plan.RootOf(rule.Rows), plan.RootOf(rule.Changes))
			allChanged = allChanged || g.Rows == "" && g.Changes == ""
			if both != nil {
				changed = append(changed, both.Phrase())
			}
		}
	}
	if !allSeen {
		rows = strings.Join(seen, ", or ")
	}
	if anyChange && !allChanged {
		changes = strings.Join(changed, ", or ")
	}
	return rows, changes
}

func needsInput(s *project.Screen) bool {
	for _, in := range s.Inputs {
		if in.Required {
			return true
		}
	}
	return false
}
