package plan

import (
	"maps"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// rowRule is the compiled row rule of a grant.
type rowRule struct {
	Rows, Changes *cond.Expr
	Broken        bool // a rule that cannot be read lets no row through
}

// compileRules compiles row rules, and the conditions of figures.
func (a *App) compileRules() {
	a.Rules, a.Tallies, a.RuleUser = map[string]rowRule{}, map[string]rowRule{}, Paths{}
	ruled := map[string]bool{}
	for _, id := range slices.Sorted(maps.Keys(a.Project.Grants)) {
		g := a.Project.Grants[id]
		words := "row rule of " + a.RoleName(g.Role) + " on " + a.TableLabel(g.Table)
		var r rowRule
		r.Rows = a.rule(&r, id, g.Table, words, g.Rows)
		r.Changes = a.rule(&r, id, g.Table, words, g.Changes)
		a.Rules[id] = r
		if g.Rows != "" || g.Changes != "" {
			ruled[g.Table] = true
		}
	}
	a.Ruled = slices.Sorted(maps.Keys(ruled))
	for _, id := range slices.Sorted(maps.Keys(a.Project.Tables)) {
		for _, tally := range project.Ordered(a.Project.Tables[id].Tallies) {
			var r rowRule
			r.Rows = a.rule(&r, id, tally.Of, "counted field “"+tally.Label+"” of "+a.TableLabel(id), tally.While)
			if child := a.Project.Tables[tally.Of]; child == nil || child.Fields[tally.By] == nil || child.Fields[tally.By].References != id {
				r.Broken = true
				a.Problems = append(a.Problems, Problem{Entity: id, Where: "counted field “" + tally.Label + "”", Text: tally.By, Problem: cond.Problem{Message: "The records that it counts do not refer to this table any more.", Length: 1}})
			}
			a.Tallies[id+"."+tally.ID] = r
		}
	}
	a.findParentsWithoutKey()
	for _, c := range project.Ordered(a.Project.Conditions) {
		e, problem := a.Compiler.Condition(a.Project.RowScope(c.Table), c.Text)
		if problem == nil {
			a.used(e.Root, Use{Entity: c.ID, Words: "condition “" + c.Name + "”"})
		} else {
			a.Problems = append(a.Problems, Problem{Entity: c.ID, Where: "condition “" + c.Name + "”", Text: c.Text, Problem: *problem})
		}
	}
}

func (a *App) rule(r *rowRule, entity, table, words, text string) *cond.Expr {
	if text == "" {
		return nil
	}
	e, problem := a.RowRule(table, text)
	if problem != nil {
		r.Broken = true
		a.Problems = append(a.Problems, Problem{Entity: entity, Where: words, Text: text, Problem: *problem})
		return nil
	}
	a.used(e.Root, Use{Entity: entity, Words: words})
	for _, p := range e.Root.Paths() {
		if p.Root == "user" && len(p.Segs) > 1 && p.Segs[0] == "record" {
			a.RuleUser[strings.Join(p.Segs[1:], ".")] = true
		}
	}
	return e
}

// RowRule compiles a condition that the database is to decide for the records of a table.
func (a *App) RowRule(table, text string) (*cond.Expr, *cond.Problem) {
	if a.Project.Tables[table] == nil {
		return nil, &cond.Problem{Message: "The table that this rule speaks of is gone.", Length: 1}
	}
	e, problem := a.Compiler.Condition(a.Project.RowScope(table), text)
	if problem != nil {
		return nil, problem
	}
	if problem := e.Root.Portable(); problem != nil {
		return nil, problem
	}
	return e, nil
}

// RoleName implements cond.Namer.
func (a *App) RoleName(id string) string {
	if r := a.Project.Roles[id]; r != nil {
		return r.Name
	}
	return "a role that is gone"
}

// TableLabel implements cond.Namer.
func (a *App) TableLabel(id string) string {
	if t := a.Project.Tables[id]; t != nil {
		return english.Lower(t.Label)
	}
	return "a table that is gone"
}

// findParentsWithoutKey notes relations to tables whose records one field cannot name.
func (a *App) findParentsWithoutKey() {
	for _, id := range slices.Sorted(maps.Keys(a.Project.Tables)) {
		for _, f := range project.Ordered(a.Project.Tables[id].Fields) {
			if parent := a.Project.Tables[f.References]; parent != nil && len(parent.Key) != 1 {
				words := "A record of " + parent.Label + " cannot be named by one field: its key has " + strconv.Itoa(len(parent.Key)) + "."
				a.Problems = append(a.Problems, Problem{Entity: id, Where: "field “" + f.Label + "”", Text: f.Alias, Problem: cond.Problem{Message: words, Length: 1}})
			}
		}
	}
}
