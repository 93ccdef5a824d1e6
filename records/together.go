package records

import (
	"context"
	"fmt"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/ask"
)

// parameter is a place for a value in a statement; nothing else begins with a dollar there.
var parameter = regexp.MustCompile(`\$(\d+)`)

// FetchAll runs several queries of one shape (the same table, paths and order) as one statement. Where
// a key or filter value cannot be one of its column’s type, nothing is found of any.
func (r *Reader) FetchAll(ctx context.Context, qs []ask.Query) ([]ask.Page, error) {
	var parts []string
	var args []any
	fetches := make([]*fetch, len(qs))
	for i, q := range qs {
		f, err := r.prepareFetch(q)
		if err != nil {
			return nil, err
		}
		fetches[i] = f
		sql := parameter.ReplaceAllStringFunc(f.sql, func(at string) string {
			n, _ := strconv.Atoi(at[1:]) // it is digits
			return fmt.Sprintf("$%d", n+len(args))
		})
		parts = append(parts, fmt.Sprintf("(select %d, x.* from (%s) x)", i, sql))
		args = append(args, f.args...)
	}
	rows, err := r.db.Query(ctx, strings.Join(parts, " union all "), args...)
	if err != nil {
		return make([]ask.Page, len(qs)), notFoundIfMisfit(err, "read "+qs[0].Table.Label)
	}
	defer rows.Close()
	pages := make([]ask.Page, len(qs))
	for rows.Next() {
		values, err := rows.Values()
		if err != nil {
			return nil, fmt.Errorf("read a row of %s: %w", qs[0].Table.Label, err)
		}
		i, _ := values[0].(int32)
		pages[i].Rows = append(pages[i].Rows, fetches[i].row(qs[i], values[1:]))
	}
	if err := rows.Err(); err != nil {
		return make([]ask.Page, len(qs)), notFoundIfMisfit(err, "read "+qs[0].Table.Label)
	}
	for i, q := range qs {
		pages[i] = ended(pages[i], q)
	}
	return pages, nil
}

// ended cuts what was read beyond a query's limit, and gives it in the list's order.
func ended(page ask.Page, q ask.Query) ask.Page {
	if q.Limit > 0 && len(page.Rows) > q.Limit {
		page.Rows = page.Rows[:q.Limit]
		page.Next = page.Rows[q.Limit-1].Cursor
	}
	if q.Back {
		slices.Reverse(page.Rows)
	}
	return page
}
