package nav

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// RowRules says which rows of each table count for who asks. Every query carries one: what is
// read without any says so, by EveryRow.
type RowRules interface {
	// Visible gives what a record must meet to be seen; nil for every record.
	Visible(table string) *cond.Pred
	// Counted gives what a record must meet to count in a figure of a table.
	Counted(table, tally string) *cond.Pred
}

// EveryRow reads without row rules: for what the program asks for itself, never for what is shown.
var EveryRow RowRules = everyRow{}

type everyRow struct{}

// Visible lets every record through.
func (everyRow) Visible(string) *cond.Pred { return nil }

// Counted counts nothing: figures are for users.
func (everyRow) Counted(string, string) *cond.Pred { return cond.Nothing() }

// rowRule is the compiled row rule of a grant.
type rowRule struct {
	rows, changes *cond.Expr
	broken        bool // a rule that cannot be read lets no row through
}

// compileRules compiles row rules, and the conditions of figures.
func (a *App) compileRules() {
	a.rules, a.tallies, a.ruleUser = map[string]rowRule{}, map[string]rowRule{}, pathSet{}
	for _, id := range slices.Sorted(maps.Keys(a.Project.Grants)) {
		g := a.Project.Grants[id]
		words := "row rule of " + a.roleName(g.Role) + " on " + a.tableLabel(g.Table)
		var r rowRule
		r.rows = a.rule(&r, id, g.Table, words, g.Rows)
		r.changes = a.rule(&r, id, g.Table, words, g.Changes)
		a.rules[id] = r
	}
	for _, id := range slices.Sorted(maps.Keys(a.Project.Tables)) {
		for _, tally := range project.Ordered(a.Project.Tables[id].Tallies) {
			var r rowRule
			r.rows = a.rule(&r, id, tally.Of, "figure “"+tally.Label+"” of "+a.tableLabel(id), tally.While)
			if child := a.Project.Tables[tally.Of]; child == nil || child.Fields[tally.By] == nil || child.Fields[tally.By].References != id {
				r.broken = true
				a.Problems = append(a.Problems, Problem{Entity: id, Where: "figure “" + tally.Label + "”", Text: tally.By, Problem: cond.Problem{Message: "The records that it counts do not refer to this table any more.", Length: 1}})
			}
			a.tallies[id+"."+tally.ID] = r
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
		r.broken = true
		a.Problems = append(a.Problems, Problem{Entity: entity, Where: words, Text: text, Problem: *problem})
		return nil
	}
	a.used(e.Root, Use{Entity: entity, Words: words})
	for _, p := range e.Root.Paths() {
		if p.Root == "user" && len(p.Segs) > 1 && p.Segs[0] == "record" {
			a.ruleUser[strings.Join(p.Segs[1:], ".")] = true
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

func (a *App) roleName(id string) string {
	if r := a.Project.Roles[id]; r != nil {
		return r.Name
	}
	return "a role that is gone"
}

func (a *App) tableLabel(id string) string {
	if t := a.Project.Tables[id]; t != nil {
		return english.Lower(t.Label)
	}
	return "a table that is gone"
}

// Rights is what one user may see and do with the tables of a project, at one moment.
type Rights struct {
	app    *App
	user   *User
	asker  *Asker
	tables map[string]*TableRights
	within *Rights // nobody sees further than these: those of a builder who walks as somebody real
}

// Asker is all that row rules ask for besides the record: the user, with their own record, and the day.
type Asker struct {
	User *User
	Own  *Row // the user's own record; nil where there is none, or no rule asks of it
	Day  time.Time
}

// HasRole says whether the user has a role.
func (a *Asker) HasRole(role string) bool { return a.User.Roles[role] }

// Now is the moment of the request.
func (a *Asker) Now() time.Time { return a.Day }

// Value gives what a path of the user leads to; nothing else is known here.
func (a *Asker) Value(p *cond.Path) cond.Value {
	if p.Root != "user" {
		return cond.UnknownBecause(p.Root + " is not available here")
	}
	return a.User.value(p, func(segs []string) cond.Value {
		if a.Own == nil {
			return cond.UnknownBecause("there is no record")
		}
		if v, ok := a.Own.Values[strings.Join(segs, ".")]; ok {
			return v
		}
		return cond.UnknownBecause("this value was not fetched")
	})
}

// Asker gives what rules ask for of the user.
func (r *Rights) Asker() *Asker { return r.asker }

// TableRights is what the user may do with one table: the grants added up, and for each verb the
// records it holds for; nil for all.
type TableRights struct {
	project.Grant
	rows map[string]*cond.Pred
}

// Rows gives what a record must meet for a verb; nil for every record.
func (t *TableRights) Rows(verb string) *cond.Pred { return t.rows[verb] }

// RightsOf works out a user's rights; what row rules ask of the user's own record is fetched here.
func (a *App) RightsOf(ctx context.Context, user *User, records Records, now time.Time) (*Rights, error) {
	r := &Rights{app: a, user: user, asker: &Asker{User: user, Day: now}, tables: map[string]*TableRights{}}
	if t := a.Project.Tables[a.Project.Settings.UserTable]; user.Record != "" && t != nil && len(a.ruleUser) > 0 {
		page, err := records.Fetch(ctx, Query{Table: t, Paths: a.ruleUser.sorted(), Key: user.Record, Limit: 1, Rights: EveryRow})
		if err != nil {
			return nil, fmt.Errorf("read what the row rules ask of the user: %w", err)
		}
		if len(page.Rows) > 0 {
			r.asker.Own = page.Rows[0]
		}
	}
	if user.Within != nil {
		within, err := a.RightsOf(ctx, user.Within, records, now)
		if err != nil {
			return nil, err
		}
		r.within = within
	}
	return r, nil
}

// On gives what the user may do with a table, worked out once.
func (r *Rights) On(table string) *TableRights {
	if t, ok := r.tables[table]; ok {
		return t
	}
	t := &TableRights{Grant: r.app.Project.GrantOf(r.user.Roles, table), rows: map[string]*cond.Pred{}}
	grants := r.app.Project.GrantsOf(r.user.Roles, table)
	for _, verb := range project.Verbs {
		t.rows[verb] = r.rowsFor(grants, verb)
	}
	if r.within != nil {
		outer := r.within.On(table)
		t.Grant = t.SeenWithin(outer.Grant)
		t.rows["view"] = cond.AllOf(t.rows["view"], outer.rows["view"])
	}
	r.tables[table] = t
	return t
}

// rowsFor gives the records that some grant allows a verb for.
func (r *Rights) rowsFor(grants []*project.Grant, verb string) *cond.Pred {
	any := cond.Nothing()
	for _, g := range grants {
		if !g.May(verb) {
			continue
		}
		rule := r.app.rules[g.ID]
		if rule.broken {
			continue
		}
		one := r.bind(rule.rows)
		if verb != "view" {
			one = cond.AllOf(one, r.bind(rule.changes))
		}
		any = cond.AnyOf(any, one)
	}
	return any
}

func (r *Rights) bind(e *cond.Expr) *cond.Pred {
	if e == nil {
		return nil
	}
	if p := e.Root.Bind(r.asker); p.Op != cond.PredYes {
		return p
	}
	return nil
}

// Rows gives what a record of a table must meet for a verb; nil for every record.
func (r *Rights) Rows(verb, table string) *cond.Pred { return r.On(table).rows[verb] }

// Visible gives what a record must meet for the user to see it.
func (r *Rights) Visible(table string) *cond.Pred { return r.On(table).rows["view"] }

// Counted gives what a record must meet to count in a figure: to be visible, and what the figure asks for.
func (r *Rights) Counted(table, tally string) *cond.Pred {
	t := r.app.Project.Tables[table]
	rule, ok := r.app.tallies[table+"."+tally]
	if t == nil || t.Tallies[tally] == nil || !ok || rule.broken {
		return cond.Nothing()
	}
	return cond.AllOf(r.Visible(t.Tallies[tally].Of), r.bind(rule.rows))
}

// ownRows lets users see their own record whatever the rules on its table say.
type ownRows struct{ *Rights }

// Visible lets every record of the users' table through: only the user's own is asked for.
func (o ownRows) Visible(table string) *cond.Pred {
	if table == o.app.Project.Settings.UserTable {
		return nil
	}
	return o.Rights.Visible(table)
}

// MaySee says whether the user may see what a path leads to, by grants alone: the tables along
// the way, and no hidden field.
func (r *Rights) MaySee(table, path string) bool {
	own := table == r.app.Project.Settings.UserTable
	for _, part := range strings.Split(path, ".") {
		grant := r.On(table).Grant
		if own && table == r.app.Project.Settings.UserTable {
			grant.View = true // the user's own record is theirs to be told of
		}
		if !grant.View || grant.Hidden[part] {
			return false
		}
		f, _ := r.app.Project.FieldAt(table, part)
		if f == nil {
			return false
		}
		if f.Tally != nil {
			return r.mayCount(f.Tally)
		}
		table = f.References
	}
	return true
}

func (r *Rights) mayCount(t *project.Tally) bool {
	grant := r.On(t.Of).Grant
	return grant.View && !grant.Hidden[t.By] && (t.Path == "" || !grant.Hidden[t.Path])
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
