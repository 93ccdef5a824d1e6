package records

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/nav"
)

// countBound is how far a list is counted exactly.
const countBound = 10_000

// Count counts what a query finds, exactly up to a bound. With a cursor it counts what lies
// beyond it, in the query's direction.
func (r *Reader) Count(ctx context.Context, q nav.Query) (nav.Count, error) {
	if q.Rights == nil {
		return nav.Count{}, errNoRights
	}
	f := &fetch{statement: newStatement(r.project, q.Table, q.Rights)}
	var stretches []probe
	if q.After != "" {
		if err := f.addOrder(q); err != nil {
			return nav.Count{}, err
		}
		cursor, err := f.cursorOf(q)
		if err != nil {
			return nav.Count{}, err
		}
		stretches = f.stretches(cursor, q.Back)
	} else {
		stretches = []probe{{}}
	}
	where, err := f.where(q)
	if err != nil {
		return nav.Count{}, err
	}
	var parts []string
	for _, p := range stretches {
		parts = append(parts, fmt.Sprintf("select 1 from %s%s limit %d", strings.Join(f.from, " "), whereClause(append(p.where, where...)), countBound+1))
	}
	sql := fmt.Sprintf("select count(*) from (select 1 from ((%s)) s limit %d) x", strings.Join(parts, ") union all ("), countBound+1)
	var n int
	if err := r.db.QueryRow(ctx, sql, f.args...).Scan(&n); err != nil && !errors.Is(err, pgx.ErrNoRows) {
		return nav.Count{}, notFoundIfMisfit(err, "count "+q.Table.Label)
	}
	if n > countBound {
		return nav.Count{N: countBound, More: true}, nil
	}
	return nav.Count{N: n}, nil
}
