package records

import (
	"cmp"
	"context"
	"fmt"
	"strings"

	"ambergate/core/ask"
)

// countBound is how far a list is counted exactly where the query does not say.
const countBound = 10_000

// Count counts what a query finds, exactly up to a bound. With a cursor it counts what lies
// beyond it, in the query's direction.
func (r *Reader) Count(ctx context.Context, q ask.Query) (ask.Count, error) {
	a := r.alone(ctx, ask.Question{Count: &q})
	return a.Count, a.Err
}

func (r *Reader) preparedCount(q ask.Query) (asked, error) {
	if q.Rights == nil {
		return asked{}, errNoRights
	}
	f := &fetch{statement: newStatement(r.project, q.Table, q.Rights)}
	var stretches []probe
	if q.After != "" {
		if err := f.addOrder(q); err != nil {
			return asked{}, err
		}
		cursor, err := f.cursorOf(q)
		if err != nil {
			return asked{}, err
		}
		stretches = f.stretches(cursor, q.Back)
	} else {
		stretches = []probe{{}}
	}
	where, err := f.where(q)
	if err != nil {
		return asked{}, err
	}
	bound := cmp.Or(q.Bound, countBound)
	var parts []string
	for _, p := range stretches {
		parts = append(parts, fmt.Sprintf("select 1 from %s%s limit %d", strings.Join(f.from, " "), whereClause(append(p.where, where...)), bound+1))
	}
	sql := fmt.Sprintf("select count(*) from (select 1 from ((%s)) s limit %d) x", strings.Join(parts, ") union all ("), bound+1)
	var n int64
	return asked{
		sql: sql, args: f.args, doing: "count " + q.Table.Label, loose: true,
		take: func(values []any) error {
			n, _ = values[0].(int64)
			return nil
		},
		done: func() ask.Answer {
			return ask.Answer{Count: ask.Count{N: int(min(n, int64(bound))), More: n > int64(bound)}}
		},
	}, nil
}
