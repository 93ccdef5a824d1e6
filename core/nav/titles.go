package nav

import (
	"context"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

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
func (a *App) Titles(ctx context.Context, user *User, records Records, now time.Time, wanted TitleQuery) ([]RecordTitle, error) {
	table := wanted.Table
	t := a.Project.Tables[table]
	rights, err := a.RightsOf(ctx, user, records, now)
	if err != nil {
		return nil, err
	}
	if t == nil || !rights.On(table).View {
		return nil, refuse("no-grant", "Your role may not view these records.", "")
	}
	o := &Opening{app: a, rights: rights, world: &world{app: a, user: user, now: now}}
	set := pathSet{}
	(&planner{app: a}).needTitle(set, table, "")
	paths, hidden := o.visible(table, set.sorted())
	q := Query{Table: t, Paths: paths, Key: wanted.Key, Limit: wanted.Limit, Rights: rights}
	for _, s := range project.Ordered(t.Order) {
		if o.maySee(table, s.Path) {
			q.Order = append(q.Order, Sort{Path: s.Path, Desc: s.Desc})
		}
	}
	if find := strings.TrimSpace(wanted.Find); find != "" && len(paths) > 0 {
		q.Match = append(q.Match, Match{Path: paths[0], Compare: "contains", Value: cond.String(find)})
	}
	page, err := records.Fetch(ctx, q)
	if err != nil {
		return nil, err
	}
	out := make([]RecordTitle, len(page.Rows))
	for i, r := range page.Rows {
		hide(r, hidden)
		out[i] = RecordTitle{Key: r.Key, Title: o.world.title(r, table, "")}
	}
	return out, nil
}

// Values gives the different values that a field has in the records that the user may view, those
// that most records have first; narrowed by a text that they contain.
func (a *App) Values(ctx context.Context, user *User, records Records, now time.Time, table, field, find string, limit int) ([]string, error) {
	t := a.Project.Tables[table]
	if t == nil || t.Fields[field] == nil {
		return nil, refuse("no-element", "This field is not in the project any more.", "Load the project again.")
	}
	rights, err := a.RightsOf(ctx, user, records, now)
	if err != nil {
		return nil, err
	}
	if !rights.MaySee(table, field) || !rights.On(table).View {
		return nil, refuse("no-grant", "Your role may not view these records.", "")
	}
	q := GroupQuery{Table: t, By: field, Limit: limit, Rights: rights}
	if find = strings.TrimSpace(find); find != "" {
		q.Match = []Match{{Path: field, Compare: "contains", Value: cond.String(find)}}
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
