package records

import (
	"context"
	"errors"
	"fmt"
	"net/url"
	"slices"
	"strings"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/core/cond"
	"ambergate/core/nav"
	"ambergate/core/project"
)

// countBound is how far a list is counted exactly.
const countBound = 10_000

// Fetch runs one query as one statement. A key or filter value that cannot be one of the
// column's type finds nothing.
func (r *Reader) Fetch(ctx context.Context, q nav.Query) (nav.Page, error) {
	f, err := r.prepareFetch(q)
	if err != nil {
		return nav.Page{}, err
	}
	rows, err := r.db.Query(ctx, f.sql, f.args...)
	if err != nil {
		return nav.Page{}, notFoundIfMisfit(err, "read "+q.Table.Label)
	}
	defer rows.Close()
	var page nav.Page
	var cursors []string
	for rows.Next() {
		values, err := rows.Values()
		if err != nil {
			return nav.Page{}, fmt.Errorf("read a row of %s: %w", q.Table.Label, err)
		}
		row, cursor := f.row(q, values)
		page.Rows = append(page.Rows, row)
		cursors = append(cursors, cursor)
	}
	if err := rows.Err(); err != nil {
		return nav.Page{}, notFoundIfMisfit(err, "read "+q.Table.Label)
	}
	if q.Limit > 0 && len(page.Rows) > q.Limit {
		page.Rows = page.Rows[:q.Limit]
		page.Next = cursors[q.Limit-1]
	}
	return page, nil
}

// notFoundIfMisfit lets "abc" as a number's key find nothing rather than fail.
func notFoundIfMisfit(err error, doing string) error {
	var pg *pgconn.PgError
	if errors.As(err, &pg) && (pg.Code == "22P02" || pg.Code == "22003" || pg.Code == "22007" || pg.Code == "22008") {
		return nil
	}
	return fmt.Errorf("%s: %w", doing, err)
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

type orderPart struct {
	sql      string
	desc     bool
	nullable bool
}

func (r *Reader) prepareFetch(q nav.Query) (*fetch, error) {
	if q.Rights == nil {
		return nil, errNoRights
	}
	f := &fetch{statement: newStatement(r.project, q.Table, q.Rights)}
	if len(q.Table.Key) == 0 {
		return nil, fmt.Errorf("table %s has no key", q.Table.ID)
	}
	columns := []string{"t0.xmin::text"}
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

func (f *fetch) addOrder(q nav.Query) error {
	if q.Key != "" {
		return nil
	}
	for _, o := range q.Order {
		sql, field, err := f.column(o.Path)
		if err != nil {
			return err
		}
		if len(field.Choices) > 0 {
			// Choices have an order of their own.
			sql = fmt.Sprintf("array_position(%s::text[], %s::text)", f.arg(field.Choices), sql)
		}
		f.orders = append(f.orders, orderPart{sql, o.Desc, field.Nullable || strings.Contains(o.Path, ".")})
	}
	for _, k := range f.keyColumns() {
		f.orders = append(f.orders, orderPart{sql: k})
	}
	return nil
}

// assemble writes the whole statement. A page after a cursor is one probe per prefix of the
// order, each of which an index can serve, put together again in order.
func (f *fetch) assemble(q nav.Query, columns, where []string) (string, error) {
	from := strings.Join(f.from, " ")
	if q.After == "" {
		sql := "select " + strings.Join(columns, ", ") + " from " + from + whereClause(where) + f.orderBy()
		if q.Limit > 0 {
			sql += fmt.Sprintf(" limit %d", q.Limit+1)
		}
		if q.Lock {
			sql += " for update of t0"
		}
		return sql, nil
	}
	cursor, err := readCursor(q.After, len(f.orders))
	if err != nil {
		return "", err
	}
	var probes []string
	for i := range f.orders {
		for _, beyond := range f.beyond(i, cursor[i]) {
			conditions := append(slices.Clone(where), f.equalPrefix(cursor[:i])...)
			conditions = append(conditions, beyond)
			probes = append(probes, fmt.Sprintf("(select %s from %s%s%s limit %d)", strings.Join(columns, ", "), from, whereClause(conditions), f.orderBy(), q.Limit+1))
		}
	}
	// The probes are disjoint and each is in order; together they are ordered by which prefix they share.
	slices.Reverse(probes)
	return fmt.Sprintf("select * from (%s) pages limit %d", strings.Join(probes, " union all "), q.Limit+1), nil
}

func (f *fetch) orderBy() string {
	if len(f.orders) == 0 {
		return ""
	}
	parts := make([]string, len(f.orders))
	for i, o := range f.orders {
		parts[i] = o.sql
		if o.desc {
			parts[i] += " desc"
		}
		parts[i] += " nulls last"
	}
	return " order by " + strings.Join(parts, ", ")
}

func (f *fetch) row(q nav.Query, values []any) (*nav.Row, string) {
	row := &nav.Row{Table: q.Table.ID, Values: make(map[string]cond.Value, len(q.Paths))}
	row.Version, _ = values[0].(string)
	values = values[1:]
	keys := make([]string, len(q.Table.Key))
	for i := range keys {
		text, _ := values[i].(string)
		keys[i] = escapeKey(text, len(keys) > 1)
	}
	row.Key = strings.Join(keys, "~")
	values = values[len(keys):]
	cursor := writeCursor(values[:len(f.orders)])
	values = values[len(f.orders):]
	for i, path := range q.Paths {
		row.Values[path] = valueOf(f.fields[i], values[i])
	}
	f.tell(row, values[len(q.Paths):])
	return row, cursor
}

// tell notes what was asked of a record, and hides what lies behind hidden parents.
func (f *fetch) tell(row *nav.Row, values []any) {
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

// Count counts what a query finds, exactly up to a bound.
func (r *Reader) Count(ctx context.Context, q nav.Query) (nav.Count, error) {
	if q.Rights == nil {
		return nav.Count{}, errNoRights
	}
	s := newStatement(r.project, q.Table, q.Rights)
	where, err := s.where(nav.Query{Table: q.Table, Match: q.Match, Rights: q.Rights, Also: q.Also})
	if err != nil {
		return nav.Count{}, err
	}
	sql := fmt.Sprintf("select count(*) from (select 1 from %s%s limit %d) x", strings.Join(s.from, " "), whereClause(where), countBound+1)
	var n int
	if err := r.db.QueryRow(ctx, sql, s.args...).Scan(&n); err != nil && !errors.Is(err, pgx.ErrNoRows) {
		return nav.Count{}, notFoundIfMisfit(err, "count "+q.Table.Label)
	}
	if n > countBound {
		return nav.Count{N: countBound, More: true}, nil
	}
	return nav.Count{N: n}, nil
}
