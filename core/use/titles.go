package use

import (
	"context"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/rights"
)

// TitleOf gives the title of a record by its key; the key itself where it is not to be had.
func (o *Opening) TitleOf(ctx context.Context, src Sources, table, key string) string {
	t := o.App.Project.Tables[table]
	if t == nil {
		return key
	}
	set := plan.Paths{}
	(&plan.Planner{App: o.App}).NeedTitle(set, table, "")
	row, err := o.FetchOne(ctx, src, ask.Query{Table: t, Key: key}, set)
	if err != nil || row == nil {
		return key
	}
	return o.World.Title(row, table, "")
}

// RecordTitle is a record by its key and title.
type RecordTitle struct{ Key, Title string }

// TitleQuery asks for records of a table by title.
type TitleQuery struct {
	Table string
	Find  string // what the first text of the title contains; "" for any
	Key   string // just this record; "" for any
	Limit int
}

// Titles gives records of a table by title, in the table's order, for pickers: only what the
// user may view.
func Titles(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, wanted TitleQuery) ([]RecordTitle, error) {
	table := wanted.Table
	t := a.Project.Tables[table]
	rights, err := rights.Of(ctx, a, user, records, now)
	if err != nil {
		return nil, err
	}
	if t == nil || !rights.On(table).View {
		return nil, ask.Refuse("no-grant", "You may not view these records.", "Ask the person who runs this application for the right.")
	}
	o := &Opening{App: a, Rights: rights, World: &World{App: a, User: user, Moment: now}}
	set := plan.Paths{}
	(&plan.Planner{App: a}).NeedTitle(set, table, "")
	paths, hidden := o.Visible(table, set.Sorted())
	q := ask.Query{Table: t, Paths: paths, Key: wanted.Key, Limit: wanted.Limit, Rights: rights}
	for _, s := range project.Ordered(t.Order) {
		if o.MaySee(table, s.Path) {
			q.Order = append(q.Order, ask.Sort{Path: s.Path, Desc: s.Desc})
		}
	}
	if find := sought(wanted.Find); find != "" && len(paths) > 0 {
		q.Match = append(q.Match, ask.Match{Path: paths[0], Compare: "contains", Value: cond.String(find)})
	}
	page, err := records.Fetch(ctx, q)
	if err != nil {
		return nil, err
	}
	out := make([]RecordTitle, len(page.Rows))
	for i, r := range page.Rows {
		Hide(r, hidden)
		out[i] = RecordTitle{Key: r.Key, Title: o.World.Title(r, table, "")}
	}
	return out, nil
}

// sought is what is looked for, as far as anybody types it.
func sought(find string) string {
	const most = 200 // characters
	runes := []rune(strings.TrimSpace(find))
	return string(runes[:min(len(runes), most)])
}

// Values gives the different values that a field has in the records that the user may view, those
// that most records have first; narrowed by a text that they contain.
func Values(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, table, field, find string, limit int) ([]string, error) {
	t := a.Project.Tables[table]
	if t == nil || t.Fields[field] == nil {
		return nil, ask.Refuse("no-element", "This field is not in the application any more.", "Load the page again.")
	}
	rights, err := rights.Of(ctx, a, user, records, now)
	if err != nil {
		return nil, err
	}
	if !rights.MaySee(table, field) || !rights.On(table).View {
		return nil, ask.Refuse("no-grant", "You may not view these records.", "Ask the person who runs this application for the right.")
	}
	q := ask.GroupQuery{Table: t, By: field, Limit: limit, Rights: rights}
	if find = sought(find); find != "" {
		q.Match = []ask.Match{{Path: field, Compare: "contains", Value: cond.String(find)}}
	}
	groups, err := records.Group(ctx, q)
	if err != nil {
		return nil, err
	}
	out := []string{}
	for _, g := range groups {
		if g.Value.Known() && !g.Value.IsNull() {
			out = append(out, g.Value.Wire())
		}
	}
	return out, nil
}
