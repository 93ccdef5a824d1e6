package records

import (
	"context"
	"fmt"
	"slices"

	"github.com/jackc/pgx/v5"

	"ambergate/core/catalogue"
	"ambergate/database"
)

// forReading is for reading the structure of a database: large ones take a while.
var forReading = database.Limits{Connections: 1, Statement: "20s", Lock: "2s", Idle: "20s"}

// Tables and views that a login may know of, with what it may do with them. What belongs to the database or to this
// program is left out.
const tablesSQL = `select c.oid, n.nspname, c.relname, c.relkind::text, coalesce(obj_description(c.oid, 'pg_class'), ''), c.reltuples::bigint,
	has_table_privilege(c.oid, 'select') or has_any_column_privilege(c.oid, 'select'), has_table_privilege(c.oid, 'insert') or has_any_column_privilege(c.oid, 'insert'),
	has_table_privilege(c.oid, 'update') or has_any_column_privilege(c.oid, 'update'), has_table_privilege(c.oid, 'delete'), not has_table_privilege(c.oid, 'select'), row_security_active(c.oid)
	from pg_class c join pg_namespace n on n.oid = c.relnamespace
	where c.relkind in ('r', 'p', 'v', 'm') and not c.relispartition and n.nspname not in ('pg_catalog', 'information_schema', 'ambergate') and n.nspname not like 'pg\_%' and has_schema_privilege(n.oid, 'usage')
	order by 2, 3`

// Columns, with the plain type below domains, and an enumerated type's values.
const columnsSQL = `with recursive base(oid, base, mod) as (
		select t.oid, t.oid, -1 from pg_type t where t.typtype <> 'd'
		union all select d.oid, b.base, case when d.typtypmod >= 0 then d.typtypmod else b.mod end from pg_type d join base b on d.typbasetype = b.oid where d.typtype = 'd'
	)
	select a.attrelid, a.attname, a.attnum, format_type(a.atttypid, a.atttypmod), bt.typname, case when t.typtype = 'd' then t.typname else '' end,
	coalesce((select array_agg(e.enumlabel::text order by e.enumsortorder) from pg_enum e where e.enumtypid = bt.oid), '{}'), bt.typcategory = 'A',
	a.attnotnull or t.typnotnull, coalesce(pg_get_expr(d.adbin, d.adrelid), t.typdefault, ''), a.attgenerated <> '', a.attidentity <> '',
	case when bt.typname in ('varchar', 'bpchar') then greatest(case when a.atttypmod >= 0 then a.atttypmod else b.mod end - 4, 0) else 0 end,
	case when bt.typname = 'numeric' and case when a.atttypmod >= 0 then a.atttypmod else b.mod end >= 4 then ((case when a.atttypmod >= 0 then a.atttypmod else b.mod end) - 4) & 65535 else 0 end,
	coalesce((select array_agg(pg_get_constraintdef(k.oid, true)) from pg_constraint k where k.contypid = a.atttypid and k.contype = 'c'), '{}'),
	coalesce(col_description(a.attrelid, a.attnum), ''), has_column_privilege(a.attrelid, a.attnum, 'select'), has_column_privilege(a.attrelid, a.attnum, 'insert') or has_column_privilege(a.attrelid, a.attnum, 'update')
	from pg_attribute a join pg_type t on t.oid = a.atttypid join base b on b.oid = a.atttypid join pg_type bt on bt.oid = b.base left join pg_attrdef d on d.adrelid = a.attrelid and d.adnum = a.attnum
	where a.attrelid = any($1) and a.attnum > 0 and not a.attisdropped order by a.attrelid, a.attnum`

// Keys, references and conditions.
const constraintsSQL = `select k.conrelid, k.contype::text, array(select a.attname::text from unnest(k.conkey) with ordinality u(n, i) join pg_attribute a on a.attrelid = k.conrelid and a.attnum = u.n order by u.i),
	coalesce(fn.nspname, ''), coalesce(f.relname, ''), array(select a.attname::text from unnest(k.confkey) with ordinality u(n, i) join pg_attribute a on a.attrelid = k.confrelid and a.attnum = u.n order by u.i),
	case when k.contype = 'c' then pg_get_constraintdef(k.oid, true) else '' end
	from pg_constraint k left join pg_class f on f.oid = k.confrelid left join pg_namespace fn on fn.oid = f.relnamespace
	where k.conrelid = any($1) and k.conparentid = 0 and k.contype in ('p', 'u', 'f', 'c') order by k.conrelid, k.contype, k.conname`

// Indexes over plain columns that serve any query; unique ones are keys too.
const indexesSQL = `select i.indrelid, i.indisunique and i.indimmediate and i.indpred is null, array(select a.attname::text from unnest(i.indkey::int2[]) with ordinality u(n, o) join pg_attribute a on a.attrelid = i.indrelid and a.attnum = u.n where u.o <= i.indnkeyatts order by u.o)
	from pg_index i where i.indrelid = any($1) and i.indisvalid and i.indpred is null and not 0 = any(i.indkey::int2[]) order by i.indrelid, i.indexrelid`

// Catalogue reads the structure of the database in one snapshot, as far as the login may know it.
func (s *Source) Catalogue(ctx context.Context) (*catalogue.Database, error) {
	d := &catalogue.Database{Tables: []*catalogue.Table{}}
	tx, err := s.whole.BeginTx(ctx, pgx.TxOptions{IsoLevel: pgx.RepeatableRead, AccessMode: pgx.ReadOnly})
	if err != nil {
		return nil, fmt.Errorf("read the structure of the database: %w", err)
	}
	defer func() { _ = tx.Rollback(context.WithoutCancel(ctx)) }() // nothing was changed
	if err := readCatalogue(ctx, tx, d); err != nil {
		return nil, fmt.Errorf("read the structure of the database: %w", err)
	}
	return d, nil
}

func readCatalogue(ctx context.Context, tx pgx.Tx, d *catalogue.Database) error {
	if _, err := tx.Exec(ctx, `set local statement_timeout = '`+forReading.Statement+`'`); err != nil {
		return err
	}
	if err := tx.QueryRow(ctx, `select current_database()`).Scan(&d.Name); err != nil {
		return err
	}
	r := catalogueReader{ctx: ctx, tx: tx, of: map[uint32]*catalogue.Table{}}
	for _, read := range []func(*catalogue.Database) error{r.tables, r.columns, r.constraints, r.indexes} {
		if err := read(d); err != nil {
			return err
		}
	}
	return nil
}

type catalogueReader struct {
	ctx context.Context
	tx  pgx.Tx
	ids []uint32
	of  map[uint32]*catalogue.Table
}

var kindOfRelation = map[string]string{"r": catalogue.Plain, "p": catalogue.Partitioned, "v": catalogue.View, "m": catalogue.Materialised}

func (r *catalogueReader) tables(d *catalogue.Database) error {
	rows, err := r.tx.Query(r.ctx, tablesSQL)
	if err != nil {
		return err
	}
	var id uint32
	var kind string
	var t catalogue.Table
	_, err = pgx.ForEachRow(rows, []any{&id, &t.Schema, &t.Name, &kind, &t.Comment, &t.Rows, &t.Select, &t.Insert, &t.Update, &t.Delete, &t.Parts, &t.RowSecurity}, func() error {
		one := t
		one.Kind = kindOfRelation[kind]
		if one.IsView() && kind == "v" {
			one.Rows = -1
		}
		d.Tables = append(d.Tables, &one)
		r.ids, r.of[id] = append(r.ids, id), &one
		return nil
	})
	return err
}

func (r *catalogueReader) columns(*catalogue.Database) error {
	rows, err := r.tx.Query(r.ctx, columnsSQL, r.ids)
	if err != nil {
		return err
	}
	var table uint32
	var c catalogue.Column
	_, err = pgx.ForEachRow(rows, []any{&table, &c.Name, &c.Number, &c.Type, &c.Base, &c.Domain, &c.Enum, &c.Array, &c.NotNull, &c.Default, &c.Generated, &c.Identity, &c.Length, &c.Scale, &c.Checks, &c.Comment, &c.Select, &c.Change}, func() error {
		one := c
		r.of[table].Columns = append(r.of[table].Columns, &one)
		c.Enum, c.Checks = nil, nil // the next row must not write into these
		return nil
	})
	return err
}

func (r *catalogueReader) constraints(*catalogue.Database) error {
	rows, err := r.tx.Query(r.ctx, constraintsSQL, r.ids)
	if err != nil {
		return err
	}
	defer rows.Close()
	for rows.Next() {
		var table uint32
		var kind, condition string
		var columns []string
		var f catalogue.Foreign
		if err := rows.Scan(&table, &kind, &columns, &f.Schema, &f.Table, &f.To, &condition); err != nil {
			return err
		}
		t := r.of[table]
		switch kind {
		case "p":
			t.Primary = columns
		case "u":
			t.Unique = append(t.Unique, columns)
		case "f":
			f.Columns = columns
			t.Foreign = append(t.Foreign, f)
		case "c":
			t.Checks = append(t.Checks, condition)
		}
	}
	return rows.Err()
}

func (r *catalogueReader) indexes(*catalogue.Database) error {
	rows, err := r.tx.Query(r.ctx, indexesSQL, r.ids)
	if err != nil {
		return err
	}
	defer rows.Close()
	for rows.Next() {
		var table uint32
		var unique bool
		var columns []string
		if err := rows.Scan(&table, &unique, &columns); err != nil {
			return err
		}
		t := r.of[table]
		t.Indexes = append(t.Indexes, columns)
		if unique && !slices.Equal(t.Primary, columns) && !t.HasKey(columns) {
			t.Unique = append(t.Unique, columns)
		}
	}
	return rows.Err()
}
