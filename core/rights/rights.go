package rights

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Rights is what one user may see and do with the tables of a project, at one moment.
type Rights struct {
	app     *plan.App
	user    *ask.User
	asker   *Asker
	granted *plan.Granted // to the user's roles
	tables  map[string]*TableRights
	within  *Rights      // nobody sees further than these: those of a builder who walks as somebody real
	source  ask.OnlyRead // nil where everything can be changed
}

// Asker is all that row rules ask for besides the record: the user, with their own record, and the day.
type Asker struct {
	User *ask.User
	Own  *ask.Row // the user's own record; nil where there is none, or no rule asks of it
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
	return a.User.Value(p, func(segs []string) cond.Value {
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
	OnlyRead bool // nobody may change it here, whatever is granted
	rows     map[string]*cond.Pred
	own      bool // rows hang on more than the user's roles
}

// Rows gives what a record must meet for a verb; nil for every record.
func (t *TableRights) Rows(verb string) *cond.Pred { return t.rows[verb] }

// Of works out a user's rights; what row rules ask of the user's own record is fetched here.
func Of(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time) (*Rights, error) {
	r := &Rights{app: a, user: user, asker: &Asker{User: user, Day: now}, granted: a.GrantedTo(user.Roles), tables: map[string]*TableRights{}}
	r.source, _ = records.(ask.OnlyRead)
	if t := a.Project.Tables[a.Project.Settings.UserTable]; user.Record != "" && t != nil && len(a.RuleUser) > 0 {
		page, err := records.Fetch(ctx, ask.Query{Table: t, Paths: a.RuleUser.Sorted(), Key: user.Record, Limit: 1, Rights: ask.EveryRow})
		if err != nil {
			return nil, fmt.Errorf("read what the row rules ask of the user: %w", err)
		}
		if len(page.Rows) > 0 {
			r.asker.Own = page.Rows[0]
		}
	}
	if user.Within != nil {
		within, err := Of(ctx, a, user.Within, records, now)
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
	granted := r.granted.On(table)
	t := &TableRights{Grant: granted.Sum, rows: granted.Rows}
	t.own = t.rows == nil || r.within != nil
	if t.rows == nil {
		t.rows = make(map[string]*cond.Pred, len(project.Verbs))
		for _, verb := range project.Verbs {
			t.rows[verb] = r.rowsFor(granted.Each, verb)
		}
	}
	if r.within != nil {
		outer := r.within.On(table)
		t.Grant, t.rows = t.SeenWithin(outer.Grant), maps.Clone(t.rows)
		t.rows["view"] = cond.AllOf(t.rows["view"], outer.rows["view"])
	}
	if of := r.app.Project.Tables[table]; of != nil && r.source != nil && r.source.OnlyRead(of) {
		t.OnlyRead, t.Add, t.Edit, t.Delete = true, false, false, false
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
		rule := r.app.Rules[g.ID]
		if rule.Broken {
			continue
		}
		one := r.bind(rule.Rows)
		if verb != "view" {
			one = cond.AllOf(one, r.bind(rule.Changes))
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

// RowsKey names what row rules ask of the records of all tables that were asked for: two users with the same roles and
// the same key see the same records, and may do the same with them.
func (r *Rights) RowsKey() string {
	var out strings.Builder
	var own []string
	for table, t := range r.tables {
		if t.own {
			own = append(own, table)
		}
	}
	slices.Sort(own)
	for _, table := range own {
		for _, verb := range project.Verbs {
			if p := r.tables[table].rows[verb]; p != nil {
				out.WriteString(table + " " + verb + " " + p.Key() + "\n")
			}
		}
	}
	return out.String()
}

// Rows gives what a record of a table must meet for a verb; nil for every record.
func (r *Rights) Rows(verb, table string) *cond.Pred { return r.On(table).rows[verb] }

// Visible gives what a record must meet for the user to see it.
func (r *Rights) Visible(table string) *cond.Pred { return r.On(table).rows["view"] }

// Counted gives what a record must meet to count in a figure: to be visible, and what the figure asks for.
func (r *Rights) Counted(table, tally string) *cond.Pred {
	t := r.app.Project.Tables[table]
	rule, ok := r.app.Tallies[table+"."+tally]
	if t == nil || t.Tallies[tally] == nil || !ok || rule.Broken {
		return cond.Nothing()
	}
	return cond.AllOf(r.Visible(t.Tallies[tally].Of), r.bind(rule.Rows))
}

// OwnRows lets users see their own record whatever the rules on its table say.
type OwnRows struct{ *Rights }

// Visible lets every record of the users' table through: only the user's own is asked for.
func (o OwnRows) Visible(table string) *cond.Pred {
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
