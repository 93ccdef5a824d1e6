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
	Find  string     // what the first text of the title contains; "" for any
	Key   string     // just this record; "" for any
	Where *cond.Expr // only those of which it holds; nil for any
	Limit int
}

// Titles gives records of a table by title, in the table's order, for pickers: only what the
// user may view.
func Titles(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, wanted TitleQuery) ([]RecordTitle, error) {
	o, page, err := listed(ctx, a, user, records, now, wanted, nil)
	if err != nil {
		return nil, err
	}
	out := make([]RecordTitle, len(page.Rows))
	for i, r := range page.Rows {
		out[i] = RecordTitle{Key: r.Key, Title: o.World.Title(r, wanted.Table, "")}
	}
	return out, nil
}

// RecordValues is a record by its title, and what it holds in some fields, where the user may see that.
type RecordValues struct {
	Title  string
	Values map[string]string // by field; none for one that is empty
}

// Held gives what records of a table hold in some fields, as far as the user may view them.
func Held(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, table string, fields []string, limit int) ([]RecordValues, error) {
	o, page, err := listed(ctx, a, user, records, now, TitleQuery{Table: table, Limit: limit}, fields)
	if err != nil {
		return nil, err
	}
	out := make([]RecordValues, len(page.Rows))
	for i, r := range page.Rows {
		out[i] = RecordValues{Title: o.World.Title(r, table, ""), Values: map[string]string{}}
		for _, f := range fields {
			if v, ok := r.Values[f]; ok && v.Known() && !v.IsNull() {
				out[i].Values[f] = v.Wire()
			}
		}
	}
	return out, nil
}

// ForEquipment reads what tells which equipment belongs to a record, as far as the user may view it.
func ForEquipment(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, table, key string) (*ask.Row, error) {
	set := plan.Paths{}
	(&plan.Planner{App: a}).NeedEquipment(set, table)
	_, page, err := listed(ctx, a, user, records, now, TitleQuery{Table: table, Key: key, Limit: 1}, set.Sorted())
	if err != nil {
		return nil, err
	}
	if len(page.Rows) == 0 {
		return nil, ask.Refuse("no-record", "This record is not there any more.", "Choose another.")
	}
	return page.Rows[0], nil
}

// listed reads records of a table in its order, with what their titles need and some fields more; what the user may
// not see is hidden.
func listed(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, wanted TitleQuery, fields []string) (*Opening, ask.Page, error) {
	table := wanted.Table
	t := a.Project.Tables[table]
	rights, err := rights.Of(ctx, a, user, records, now)
	if err != nil {
		return nil, ask.Page{}, err
	}
	if t == nil || !rights.On(table).View {
		return nil, ask.Page{}, ask.Refuse("no-grant", "You may not view these records.", "Ask the person who runs this application for the right.")
	}
	o := &Opening{App: a, Rights: rights, World: &World{App: a, User: user, Moment: now}}
	set := plan.Paths{}
	(&plan.Planner{App: a}).NeedTitle(set, table, "")
	for _, f := range fields {
		set[f] = true
	}
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
	if wanted.Where != nil {
		for _, p := range wanted.Where.Root.Paths() {
			if p.Root == "record" && !o.MaySee(table, strings.Join(p.Segs, ".")) {
				return nil, ask.Page{}, ask.Refuse("no-grant", "You may not view what these records are chosen by.", "Choose them by something else.")
			}
		}
		q.Also = wanted.Where.Root.Bind(o.World)
	}
	page, err := records.Fetch(ctx, q)
	if err != nil {
		return nil, ask.Page{}, err
	}
	for _, r := range page.Rows {
		Hide(r, hidden)
	}
	return o, page, nil
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
	q, err := ofField(ctx, a, user, records, now, table, field)
	if err != nil {
		return nil, err
	}
	q.By, q.Limit = field, limit
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

// Extent gives the least and the most that a field of numbers has in the records that the user may view; none where
// there are no records.
func Extent(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, table, path string) ([]float64, error) {
	q, err := ofField(ctx, a, user, records, now, table, path)
	if err != nil {
		return nil, err
	}
	if f, _ := a.Project.FieldAt(table, path); f.Type != "whole" && f.Type != "number" && f.Type != "decimal" {
		return nil, ask.Refuse("bad-request", "“"+f.Label+"” is no number.", "Choose another field.")
	}
	q.Match = []ask.Match{{Path: path, Compare: "notEmpty"}}
	q.More = []ask.Measure{{Measure: "least", Of: path}, {Measure: "most", Of: path}}
	groups, err := records.Group(ctx, q)
	if err != nil || len(groups) == 0 || groups[0].N == 0 {
		return []float64{}, err
	}
	return groups[0].More, nil
}

// ofField begins a question about a field that the user may view.
func ofField(ctx context.Context, a *plan.App, user *ask.User, records ask.Records, now time.Time, table, path string) (ask.GroupQuery, error) {
	t := a.Project.Tables[table]
	if f, _ := a.Project.FieldAt(table, path); t == nil || f == nil {
		return ask.GroupQuery{}, ask.Refuse("no-element", "This field is not in the application any more.", "Load the page again.")
	}
	rights, err := rights.Of(ctx, a, user, records, now)
	if err != nil {
		return ask.GroupQuery{}, err
	}
	if !rights.MaySee(table, path) || !rights.On(table).View {
		return ask.GroupQuery{}, ask.Refuse("no-grant", "You may not view these records.", "Ask the person who runs this application for the right.")
	}
	return ask.GroupQuery{Table: t, Rights: rights}, nil
}
