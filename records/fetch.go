package records

import (
	"context"
	"errors"
	"fmt"
	"net/url"
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// Fetch runs one query as one statement. A key or filter value that cannot be one of the
// column's type finds nothing.
func (r *Reader) Fetch(ctx context.Context, q ask.Query) (ask.Page, error) {
	a := r.alone(ctx, ask.Question{Fetch: &q})
	return a.Page, a.Err
}

func (r *Reader) preparedFetch(q ask.Query) (asked, error) {
	f, err := r.prepareFetch(q)
	if err != nil {
		return asked{}, err
	}
	shape := func() string {
		if q.Lock {
			return "" // a union cannot lock
		}
		return q.Table.ID + "|" + strings.Join(q.Paths, ",") + fmt.Sprint("|", q.Order, f.asked, f.hidden)
	}
	var page ask.Page
	return asked{
		sql: f.sql, args: f.args, doing: "read " + q.Table.Label, shape: shape, loose: true,
		take: func(values []any) error {
			page.Rows = append(page.Rows, f.row(q, values))
			return nil
		},
		done: func() ask.Answer { return ask.Answer{Page: ended(page, q)} },
	}, nil
}

// fetch is a prepared select with the layout of its columns:
// version, key parts, order values, then the paths.
type fetch struct {
	*statement
	sql    string
	orders []orderPart
	fields []*project.Column
	asked  []string // what is told of each record
	hidden []string // paths of parents that a row rule may hide
}

// errNoRights means that a query was made without saying whose rights count. It is a fault of the program.
var errNoRights = errors.New("a query says nothing of rights")

func sortedAsks(asks map[string]*cond.Pred) []string {
	names := make([]string, 0, len(asks))
	for name := range asks {
		names = append(names, name)
	}
	slices.Sort(names)
	return names
}

func (r *Reader) prepareFetch(q ask.Query) (*fetch, error) {
	if q.Rights == nil {
		return nil, errNoRights
	}
	f := &fetch{statement: newStatement(r.project, q.Table, q.Rights)}
	columns := []string{f.version()}
	for _, k := range f.keyColumns() {
		columns = append(columns, k+"::text")
	}
	if err := f.addOrder(q); err != nil {
		return nil, err
	}
	for _, o := range f.orders {
		columns = append(columns, "("+o.sql+")::text")
	}
	for _, path := range q.Paths {
		sql, field, err := f.column(path)
		if err != nil {
			return nil, err
		}
		if field.References != "" {
			sql += "::text"
		}
		columns = append(columns, sql)
		f.fields = append(f.fields, field)
	}
	where, err := f.where(q)
	if err != nil {
		return nil, err
	}
	f.asked = sortedAsks(q.Ask)
	for _, name := range f.asked {
		sql, err := f.rule(q.Ask[name])
		if err != nil {
			return nil, err
		}
		columns = append(columns, "("+sql+") is true")
	}
	hidden, sql := f.hiddenParents()
	f.hidden, columns = hidden, append(columns, sql...)
	f.sql, err = f.assemble(q, columns, where)
	return f, err
}

// wholeRow gives the SQL that tells one record of a view from another, and one state of it from the next: by its
// fields alone, since the login may not read other columns.
func (s *statement) wholeRow() string {
	var columns []string
	for _, f := range project.Ordered(s.table.Fields) {
		columns = append(columns, "t0."+quoted(f.Column))
	}
	return "md5(row(" + strings.Join(columns, ", ") + ")::text)"
}

// version gives the SQL of what changes with each change of a record.
func (s *statement) version() string {
	if s.table.View {
		return s.wholeRow()
	}
	return "t0.xmin::text"
}

func (f *fetch) row(q ask.Query, values []any) *ask.Row {
	row := &ask.Row{Table: q.Table.ID, Values: make(map[string]cond.Value, len(q.Paths))}
	row.Version, _ = values[0].(string)
	values = values[1:]
	keys := make([]string, len(q.Table.Key))
	for i := range keys {
		text, _ := values[i].(string)
		keys[i] = escapeKey(text, len(keys) > 1)
	}
	row.Key = strings.Join(keys, "~")
	values = values[len(keys):]
	row.Cursor = writeCursor(values[:len(f.orders)])
	values = values[len(f.orders):]
	for i, path := range q.Paths {
		row.Values[path] = valueOf(f.fields[i], values[i])
	}
	f.tell(row, values[len(q.Paths):])
	return row
}

// tell notes what was asked of a record, and hides what lies behind hidden parents.
func (f *fetch) tell(row *ask.Row, values []any) {
	if len(f.asked) > 0 {
		row.May = map[string]bool{}
	}
	for i, name := range f.asked {
		row.May[name], _ = values[i].(bool)
	}
	for i, parent := range f.hidden {
		if hidden, _ := values[len(f.asked)+i].(bool); !hidden {
			continue
		}
		for path := range row.Values {
			if path == parent || strings.HasPrefix(path, parent+".") {
				row.Values[path] = cond.UnknownBecause(notVisible)
			}
		}
	}
}

// notVisible is what stands in the place of a record that a row rule hides.
const notVisible = "not visible to you"

func escapeKey(part string, composite bool) string {
	if !composite {
		return part
	}
	return strings.ReplaceAll(url.PathEscape(part), "~", "%7E")
}
