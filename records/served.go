package records

import (
	"context"
	"encoding/json"
	"fmt"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// Served says how the database reads an order of records.
type Served struct {
	Index string // that serves it; "" if none does
	Would string // the statement that makes one; "" where one serves it already, or none can
}

// Served asks the database's own planner whether an index serves the order of a query from any
// place in it; of the children of one record, whether one finds them. It is asked with the slow
// ways forbidden, so that the answer holds however few records there are by now.
func (s *Source) Served(ctx context.Context, p *project.Project, q ask.Query) (Served, error) {
	f, err := (&Reader{db: s.pool, project: p}).prepareFetch(q)
	if err != nil {
		return Served{}, err
	}
	children := len(q.Match) > 0
	tx, err := s.pool.BeginTx(ctx, pgx.TxOptions{AccessMode: pgx.ReadOnly})
	if err != nil {
		return Served{}, fmt.Errorf("ask how an order is read: %w", err)
	}
	defer func() { _ = tx.Rollback(ctx) }()
	forbidden := []string{"enable_seqscan", "enable_bitmapscan", "enable_hashjoin", "enable_mergejoin"}
	if !children { // those of one record are few: they may be sorted
		forbidden = append(forbidden, "enable_sort", "enable_incremental_sort")
	}
	for _, way := range forbidden {
		if _, err := tx.Exec(ctx, "set local "+way+" = off"); err != nil {
			return Served{}, fmt.Errorf("ask how an order is read: %w", err)
		}
	}
	var text []byte
	if err := tx.QueryRow(ctx, "explain (format json) "+f.sql, f.args...).Scan(&text); err != nil {
		return Served{}, fmt.Errorf("ask how %s is read: %w", q.Table.Label, gone(err))
	}
	var plans []struct{ Plan planNode }
	if err := json.Unmarshal(text, &plans); err != nil || len(plans) == 0 {
		return Served{}, fmt.Errorf("read how %s is read: %w", q.Table.Label, err)
	}
	index, sorts := plans[0].Plan.index(children)
	if index != "" && (children || !sorts) {
		return Served{Index: index}, nil
	}
	return Served{Would: f.serving(q)}, nil
}

// planNode is what is looked at of a plan.
type planNode struct {
	Type      string     `json:"Node Type"`
	Alias     string     `json:"Alias"`
	Index     string     `json:"Index Name"`
	Condition string     `json:"Index Cond"`
	Plans     []planNode `json:"Plans"`
}

// index gives the index that the table itself is read by, and whether anything is sorted. To find
// records with it takes a condition: else all of them are gone through.
func (n planNode) index(find bool) (name string, sorts bool) {
	if n.Alias == "t0" && (n.Condition != "" || !find) {
		name = n.Index
	}
	sorts = strings.Contains(n.Type, "Sort")
	for _, child := range n.Plans {
		of, sorted := child.index(find)
		if name == "" {
			name = of
		}
		sorts = sorts || sorted
	}
	return name, sorts
}

// serving writes the statement that makes an index for a query; "" where none can serve it.
func (f *fetch) serving(q ask.Query) string {
	var columns []string
	for _, m := range q.Match {
		c := f.table.Fields[m.Path]
		if c == nil {
			return ""
		}
		columns = append(columns, pgx.Identifier{c.Column}.Sanitize())
	}
	for i, o := range q.Order {
		c := f.table.Fields[o.Path]
		if c == nil || c.Tally != nil || c.Type == ask.PictureType || c.Type == "json" {
			return "" // of another table, or counted over others
		}
		column := pgx.Identifier{c.Column}.Sanitize()
		nullable := c.Nullable
		if len(c.Choices) > 0 {
			quoted := make([]string, len(c.Choices))
			for k, choice := range c.Choices {
				quoted[k] = "'" + strings.ReplaceAll(choice, "'", "''") + "'"
			}
			column, nullable = "array_position(array["+strings.Join(quoted, ", ")+"]::text[], "+column+"::text)", true
		}
		if o.Desc {
			column += " desc"
			if nullable && (i > 0 || len(q.Match) > 0) {
				column += " nulls last"
			}
		}
		columns = append(columns, column)
	}
	if len(f.table.Key) == 0 || f.table.View {
		return ""
	}
	for _, k := range f.table.Key {
		columns = append(columns, pgx.Identifier{f.table.Fields[k].Column}.Sanitize())
	}
	return "create index on " + relation(f.project, f.table) + " (" + strings.Join(columns, ", ") + ")"
}

// Size estimates how many records a table has, as the database itself last counted.
func (s *Source) Size(ctx context.Context, p *project.Project, t *project.Table) (int, error) {
	var n float64
	err := s.pool.QueryRow(ctx, "select coalesce((select reltuples from pg_class where oid = to_regclass($1)), 0)", relation(p, t)).Scan(&n)
	if err != nil {
		return 0, fmt.Errorf("ask how large %s is: %w", t.Label, err)
	}
	return max(0, int(n)), nil
}
