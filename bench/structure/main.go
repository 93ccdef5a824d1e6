// Command structure measures how long a large database takes to be read, and to be proposed of: 400 tables with 6,000
// columns, generated; and 40 of its tables as an application.
package main

import (
	"context"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/bench/alone"
	"ambergate/core/checks"
	_ "ambergate/core/kinds"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/propose"
	"ambergate/demo"
	"ambergate/demo/stage"
)

const (
	tables  = 400
	columns = 15
	chosen  = 40
)

func main() { alone.Run(run) }

func run(ctx context.Context, up *stage.Stage) error {
	conn, err := pgx.Connect(ctx, up.Cluster.AdminDSN(demo.Database))
	if err != nil {
		return err
	}
	defer conn.Close(ctx)
	if _, err := conn.Exec(ctx, generated()); err != nil {
		return fmt.Errorf("make a large database: %w", err)
	}
	began := time.Now()
	d, err := up.Records.Catalogue(ctx)
	if err != nil {
		return err
	}
	count := 0
	for _, t := range d.Tables {
		count += len(t.Columns)
	}
	fmt.Printf("read %d tables, %d columns: %d ms (3,000)\n", len(d.Tables), count, time.Since(began).Milliseconds())
	w := propose.Wish{Title: "Large", Connection: "tarnhorn"}
	for i := range chosen {
		w.Tables = append(w.Tables, propose.TableWish{Schema: "large", Name: fmt.Sprintf("table_%d", i)})
	}
	began = time.Now()
	a, err := propose.Propose(d, w)
	if err != nil {
		return err
	}
	fmt.Printf("propose %d tables, %d screens, %d ways: %d ms (2,000)\n", len(a.Tables), len(a.Screens), len(a.Ways), time.Since(began).Milliseconds())
	began = time.Now()
	p, err := project.Decode(a.Entities)
	if err != nil {
		return err
	}
	app, err := plan.Compile(p)
	if err != nil {
		return err
	}
	found := checks.All.Run(app)
	fmt.Printf("compile and check it: %d ms, %d findings\n", time.Since(began).Milliseconds(), len(found))
	return nil
}

// generated is the statement that makes the tables, each hanging on two before it.
func generated() string {
	var sql strings.Builder
	sql.WriteString("create schema large;\n")
	for i := range tables {
		fmt.Fprintf(&sql, "create table large.table_%d (id integer generated always as identity primary key, code text not null unique, name text, state text check (state in ('new', 'open', 'closed'))", i)
		for k := range columns - 6 {
			fmt.Fprintf(&sql, ", value_%d %s", k, []string{"integer", "text", "date", "numeric(10,2)", "boolean"}[k%5])
		}
		for k := range 2 {
			if i > k {
				fmt.Fprintf(&sql, ", parent_%d_id integer references large.table_%d", k, (i-1-k)/(k+1))
			} else {
				fmt.Fprintf(&sql, ", parent_%d_id integer", k)
			}
		}
		sql.WriteString(");\n")
	}
	return sql.String() + "grant usage on schema large to " + demo.AppRole + "; grant all on all tables in schema large to " + demo.AppRole
}
