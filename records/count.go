package records

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
)

// countBound is how far a list is counted exactly.
const countBound = 10_000

// Count counts what a query finds, exactly up to a bound. With a cursor it counts what lies
// beyond it, in the query's direction.
func (r *Reader) Count(ctx context.Context, q ask.Query) (ask.Count, error) {
	if q.Rights == nil {
		return ask.Count{}, errNoRights
	}
	f := &fetch{statement: newStatement(r.project, q.Table, q.Rights)}
	var stretches []probe
	if q.After != "" {
		if err := f.addOrder(q); err != nil {
			return ask.Count{}, err
		}
		cursor, err := f.cursorOf(q)
		if err != nil {
			return ask.Count{}, err
		}
		stretches = f.stretches(cursor, q.Back)
	} else {
		stretches = []probe{{}}
	}
	where, err := f.where(q)
	if err != nil {
		return ask.Count{}, err
	}
	var parts []string
	for _, p := range stretches {
		parts = append(parts, fmt.Sprintf("select 1 from %s%s limit %d", strings.Join(f.from, " "), whereClause(append(p.where, where...)), countBound+1))
	}
	sql := fmt.Sprintf("select count(*) from (select 1 from ((%s)) s limit %d) x", strings.Join(parts, ") union all ("), countBound+1)
	var n int
	if err := r.db.QueryRow(ctx, sql, f.args...).Scan(&n); err != nil && !errors.Is(err, pgx.ErrNoRows) {
		return ask.Count{}, notFoundIfMisfit(err, "count "+q.Table.Label)
	}
	if n > countBound {
		return ask.Count{N: countBound, More: true}, nil
	}
	return ask.Count{N: n}, nil
}
