package records

import (
	"context"
	"fmt"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// referring is a foreign key of another table that refers to one. It is read from the catalog,
// since what the database does on deleting is decided there.
type referring struct {
	schema, table string
	columns, to   []string // of the other table, and of this one, in the same order
	action        string   // as pg_constraint writes it: a, r, c, n, d
}

const referringSQL = `select n.nspname, c.relname,
	(select array_agg(a.attname order by k.i) from unnest(f.conkey) with ordinality k(num, i) join pg_attribute a on a.attrelid = f.conrelid and a.attnum = k.num),
	(select array_agg(a.attname order by k.i) from unnest(f.confkey) with ordinality k(num, i) join pg_attribute a on a.attrelid = f.confrelid and a.attnum = k.num),
	f.confdeltype::text
	from pg_constraint f join pg_class c on c.oid = f.conrelid join pg_namespace n on n.oid = c.relnamespace
	where f.contype = 'f' and f.confrelid = to_regclass($1) and f.conparentid = 0 and has_schema_privilege(n.oid, 'usage') and has_table_privilege(c.oid, 'select') order by 1, 2, 3`

// deletes says in words what the database does with what refers to a deleted record.
var deletes = map[string]string{"a": "kept", "r": "kept", "c": "deleted", "n": "emptied", "d": "emptied"}

// Hanging tells what refers to a record: of tables that the project knows what the rights let be
// seen, of others only how much it is.
func (r *Reader) Hanging(ctx context.Context, t *project.Table, key string, rights ask.RowRules) ([]ask.Hanging, error) {
	rows, err := r.db.Query(ctx, referringSQL, relation(r.project, t))
	if err != nil {
		return nil, fmt.Errorf("find what refers to %s: %w", t.Label, err)
	}
	found, err := pgx.CollectRows(rows, func(row pgx.CollectableRow) (f referring, err error) {
		err = row.Scan(&f.schema, &f.table, &f.columns, &f.to, &f.action)
		return f, err
	})
	if err != nil {
		return nil, fmt.Errorf("find what refers to %s: %w", t.Label, err)
	}
	var out []ask.Hanging
	for _, f := range found {
		h, err := r.hangingBy(ctx, t, key, f, rights)
		if err != nil {
			return nil, err
		}
		if h.N > 0 {
			out = append(out, h)
		}
	}
	return out, nil
}

func (r *Reader) hangingBy(ctx context.Context, t *project.Table, key string, f referring, rights ask.RowRules) (ask.Hanging, error) {
	h := ask.Hanging{Label: strings.ReplaceAll(f.table, "_", " "), Then: deletes[f.action]}
	for _, child := range r.project.Tables {
		if relation(r.project, child) != (pgx.Identifier{f.schema, f.table}).Sanitize() {
			continue
		}
		for _, field := range child.Fields {
			if field.References == t.ID && len(f.columns) == 1 && field.Column == f.columns[0] {
				n, err := r.Count(ctx, ask.Query{Table: child, Rights: rights, Match: []ask.Match{{Path: field.ID, Compare: "is", Value: cond.Key(key)}}})
				return ask.HangingOf(child, n.N, h.Then), err
			}
		}
	}
	s := newStatement(r.project, t, ask.EveryRow)
	where, err := s.keyIs(key)
	if err != nil {
		return h, err
	}
	on := make([]string, len(f.columns))
	for i := range f.columns {
		on[i] = "c." + pgx.Identifier{f.columns[i]}.Sanitize() + " = t0." + pgx.Identifier{f.to[i]}.Sanitize()
	}
	sql := fmt.Sprintf("select count(*) from (select 1 from %s t0 join %s c on %s where %s limit %d) x", relation(r.project, t), pgx.Identifier{f.schema, f.table}.Sanitize(), strings.Join(on, " and "), where, countBound)
	if err := r.db.QueryRow(ctx, sql, s.args...).Scan(&h.N); err != nil {
		return h, fmt.Errorf("count what refers to %s: %w", t.Label, err)
	}
	return h, nil
}
