package use

import (
	"context"
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// usualRows is how many rows a page of a list has, where its builder says nothing else.
const usualRows = 50

// ListQuery gives what the list asks for at this place, page by page.
func (o *Opening) ListQuery(e *plan.Element, after string) (ask.Query, []string, error) {
	spec := e.Listing()
	t := o.App.Project.Tables[spec.Table]
	main := o.Plan.Screen.MainList()
	isMain := main != nil && main.ID == e.ID
	match, err := o.Match(e.ID, spec.Table, isMain)
	if err != nil {
		return ask.Query{}, nil, err
	}
	if spec.Relation != "" {
		key := cond.NullValue
		if o.World.Record != nil {
			key = cond.Key(o.World.Record.Key)
		}
		match = append(match, ask.Match{Path: spec.Relation, Compare: "is", Value: key})
	}
	paths, hidden := o.Visible(spec.Table, e.RowPaths.Sorted())
	limit := spec.Rows
	// A main list grows while one looks at it: by few rows at a time, it would ask again and again until there is enough.
	if limit == 0 || isMain && after != "" {
		limit = max(limit, usualRows)
	}
	q := ask.Query{Table: t, Paths: paths, Match: match, Order: o.listOrder(spec, isMain), Limit: limit, After: after, Rights: o.Rights}
	if isMain {
		q.Find = o.find(spec)
	}
	return q, hidden, nil
}

// find gives what the place looks for, in the columns that the user sees.
func (o *Opening) find(spec *project.List) ask.Find {
	words := strings.Fields(o.At.Find)
	if len(words) == 0 {
		return ask.Find{}
	}
	f := ask.Find{Words: words}
	for _, c := range project.Ordered(spec.Columns) {
		field, _ := o.App.Project.FieldAt(spec.Table, c.Path)
		if field == nil || !o.MaySee(spec.Table, c.Path) {
			continue
		}
		path := c.Path
		if field.References != "" {
			path = o.App.TitlePath(field.References, c.Path)
		}
		if o.MaySee(spec.Table, path) {
			f.Paths = append(f.Paths, path)
		}
	}
	return f
}

func (o *Opening) listOrder(spec *project.List, isMain bool) []ask.Sort {
	order := plan.DeclaredOrder(o.App, spec)
	if isMain && len(o.At.Sort) > 0 {
		order = o.At.Sort
	}
	return o.sortable(spec.Table, grouped(spec.Group, order))
}

// grouped puts the field that rows stand under before all else that they are ordered by; one that it is ordered by
// anyhow keeps its direction.
func grouped(path string, order []ask.Sort) []ask.Sort {
	if path == "" {
		return order
	}
	first := ask.Sort{Path: path}
	rest := slices.DeleteFunc(slices.Clone(order), func(s ask.Sort) bool {
		if s.Path == path {
			first = s
		}
		return s.Path == path
	})
	return append([]ask.Sort{first}, rest...)
}

// order gives a declared order, as far as the user may see.
func (o *Opening) order(table string, declared map[string]*project.Order) []ask.Sort {
	var out []ask.Sort
	for _, s := range project.Ordered(declared) {
		out = append(out, ask.Sort{Path: s.Path, Desc: s.Desc})
	}
	return o.sortable(table, out)
}

// sortable leaves out what is gone or hidden; records sort by what stands first in their titles.
func (o *Opening) sortable(table string, order []ask.Sort) []ask.Sort {
	var out []ask.Sort
	for _, s := range order {
		c, _ := o.App.Project.FieldAt(table, s.Path)
		if c == nil || !o.MaySee(table, s.Path) {
			continue
		}
		if c.References != "" {
			if path := o.App.TitlePath(c.References, s.Path); o.MaySee(table, path) {
				s.Path = path
			}
		}
		out = append(out, s)
	}
	return out
}

// IsBadCursor says whether a list could not be read on from where it was left.
func IsBadCursor(err error) bool {
	r, ok := err.(*ask.Refusal)
	return ok && r.Code == "bad-cursor"
}

// AskCount counts what a list shows, as it is narrowed.
func (o *Opening) AskCount(round *ask.Round, e *plan.Element) error {
	q, _, err := o.ListQuery(e, "")
	if err != nil {
		return err
	}
	round.Count(q, func(n ask.Count) { o.Counts[e.ID] = n })
	return nil
}

// stretch is some rows of a list that follow each other, with the cursors to go on from.
type stretch struct {
	Rows         []*ask.Row
	Before, Next string
}

// AskList reads rows after a cursor, or back from it; without one from the start, or the end. What is done
// then is told of an error.
func (o *Opening) AskList(round *ask.Round, e *plan.Element, cursor string, back bool, then func(error) error) error {
	q, hidden, err := o.ListQuery(e, cursor)
	if err != nil {
		return err
	}
	q.Back = back
	if spec := e.Listing(); spec.InPlace || len(spec.Several)+len(spec.Menu) > 0 {
		q.Ask = o.Asks(q.Table.ID)
	}
	round.Fetch(q, func(page ask.Page, err error) error {
		if err == nil {
			o.Pages[e.ID] = stretchOf(page, hidden, cursor, back)
		}
		return then(err)
	})
	return nil
}

func stretchOf(page ask.Page, hidden []string, cursor string, back bool) stretch {
	for _, r := range page.Rows {
		Hide(r, hidden)
	}
	s := stretch{Rows: page.Rows}
	if len(page.Rows) > 0 {
		first, last := page.Rows[0].Cursor, page.Rows[len(page.Rows)-1].Cursor
		switch {
		case back:
			s.Before = page.Next
			if cursor != "" {
				s.Next = last
			}
		default:
			s.Next = page.Next
			if cursor != "" {
				s.Before = first
			}
		}
	}
	return s
}

// ShownOrder is the order as the columns know it.
func (o *Opening) ShownOrder(spec *project.List, isMain bool) []ask.Sort {
	order := plan.DeclaredOrder(o.App, spec)
	if isMain && len(o.At.Sort) > 0 {
		order = o.At.Sort
	}
	var out []ask.Sort
	for _, s := range order {
		if c, _ := o.App.Project.FieldAt(spec.Table, s.Path); c != nil && o.MaySee(spec.Table, s.Path) {
			out = append(out, s)
		}
	}
	return out
}

// RowOf fetches a row of a list by its key, as the list would, with its place in the list's order.
func (o *Opening) RowOf(ctx context.Context, e *plan.Element, key string, records ask.Records, lock bool) (*ask.Row, error) {
	var round ask.Round
	var found *ask.Row
	err := o.askRow(&round, e, key, lock, func(row *ask.Row, err error) error {
		found = row
		return err
	})
	if err != nil {
		return nil, err
	}
	return found, round.Run(ctx, records)
}

// askRow asks for what RowOf fetches. What is done then is told of an error.
func (o *Opening) askRow(round *ask.Round, e *plan.Element, key string, lock bool, then func(*ask.Row, error) error) error {
	spec := e.Listing()
	if !o.Rights.On(spec.Table).View {
		return ask.Refuse("no-grant", "You may not view these records.", "Ask the person who runs this application for the right.")
	}
	q, hidden, err := o.ListQuery(e, "")
	if err != nil {
		return err
	}
	q.Key, q.Limit, q.Lock, q.Ask = key, 1, lock, o.Asks(spec.Table)
	round.Fetch(q, func(page ask.Page, err error) error {
		if err != nil {
			return then(nil, err)
		}
		if len(page.Rows) == 0 {
			return then(nil, ask.Refuse("no-record", "This row is not in the list any more.", "The list has been loaded again."))
		}
		Hide(page.Rows[0], hidden)
		return then(page.Rows[0], nil)
	})
	return nil
}

// FirstRow stands the first row that is shown for whichever is pressed.
func (o *Opening) FirstRow(e *plan.Element, several bool) Aim {
	if rows := o.Pages[e.ID].Rows; len(rows) > 0 {
		return Aim{Row: rows[0], Element: e.ID, Several: several}
	}
	return Aim{}
}

// EditsInPlace says whether rows of a list can be edited where they stand, here.
func (o *Opening) EditsInPlace(spec *project.List) bool {
	t := o.App.Project.Tables[spec.Table]
	return spec.InPlace && t != nil && len(t.Key) > 0 && o.At.Mode != "add" && (spec.Relation == "" || o.World.Record != nil)
}

// RowColumns gives the columns of a list whose cells the user may edit, adding or not.
func (o *Opening) RowColumns(spec *project.List, adding bool) map[string]*project.Column {
	out := map[string]*project.Column{}
	t, grant := o.App.Project.Tables[spec.Table], o.Rights.On(spec.Table)
	for _, c := range spec.Columns {
		f := t.Fields[c.Path]
		if strings.Contains(c.Path, ".") || f == nil || f.ReadOnly || f.Type == "json" || f.Type == ask.PictureType || c.Path == spec.Relation || grant.ReadOnly[c.Path] || grant.Hidden[c.Path] || !adding && t.IsKey(c.Path) {
			continue
		}
		out[c.Path] = f
	}
	return out
}

// MayAddRow says why no row can be added to a list here, or "".
func (o *Opening) MayAddRow(e *plan.Element) string {
	spec := e.Listing()
	t := o.App.Project.Tables[spec.Table]
	switch {
	case t == nil:
		return "The table of this list is gone."
	case !o.EditsInPlace(spec):
		return "Rows cannot be added here."
	case !o.Rights.On(spec.Table).Add:
		return o.MayNot("add", t)
	}
	return ""
}
