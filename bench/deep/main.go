// Command deep measures an application that is proposed over a table of ten million records: what a browser asks of its
// list and its form, through the core and a real PostgreSQL. It prints medians.
package main

import (
	"context"
	"fmt"
	"slices"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/bench/alone"
	"ambergate/core/ask"
	"ambergate/core/checks"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/propose"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/records"
)

const rounds = 9

// readings has ten million records, its time indexed as somebody would who looks at the newest; its note is not.
const readings = `create schema deep; grant usage on schema deep to ` + demo.AppRole + `;
create table deep.meters (id integer primary key, code text not null unique, place text not null);
create table deep.readings (id bigint primary key, meter_id integer not null references deep.meters, taken_at timestamptz not null, kind text not null check (kind in ('hourly', 'daily', 'by hand')), value numeric(12,3) not null, note text);
insert into deep.meters select i, 'M-' || lpad(i::text, 4, '0'), 'place ' || i % 40 from generate_series(1, 2000) i;
insert into deep.readings select i, 1 + i % 2000, timestamptz '2020-01-01' + i * interval '15 seconds', (array['hourly', 'daily', 'by hand'])[1 + i % 3], i % 100000 / 10.0, case when i % 1000 = 0 then 'seal ' || i end from generate_series(1, 10000000) i;
create index on deep.readings (taken_at desc, id); create index on deep.readings (meter_id, taken_at desc, id);
grant select, insert, update, delete on all tables in schema deep to ` + demo.AppRole + `; analyze;`

func main() { alone.Run(run) }

func run(ctx context.Context, up *stage.Stage) error {
	began := time.Now()
	conn, err := pgx.Connect(ctx, up.Cluster.AdminDSN(demo.Database))
	if err != nil {
		return fmt.Errorf("connect: %w", err)
	}
	defer conn.Close(ctx)
	if _, err := conn.Exec(ctx, readings); err != nil {
		return fmt.Errorf("make ten million records: %w", err)
	}
	fmt.Printf("made in %s\n", time.Since(began).Round(time.Second))
	p, err := proposed(ctx, up.Records)
	if err != nil {
		return err
	}
	return measure(ctx, up.Records, p)
}

// proposed makes the application that the program itself proposes.
func proposed(ctx context.Context, source *records.Source) (*project.Project, error) {
	d, err := source.Catalogue(ctx)
	if err != nil {
		return nil, err
	}
	a, err := propose.Propose(d, propose.Wish{Title: "Meters", Connection: "tarnhorn", Tables: []propose.TableWish{{Schema: "deep", Name: "meters"}, {Schema: "deep", Name: "readings"}}})
	if err != nil {
		return nil, err
	}
	p, err := project.Decode(a.Entities)
	if err != nil {
		return nil, err
	}
	app, err := plan.Compile(p)
	if err != nil {
		return nil, err
	}
	fmt.Printf("proposed: readings in order of %s, %d findings\n", a.Tables[1].Order, len(checks.All.Run(app)))
	return p, nil
}

func measure(ctx context.Context, source *records.Source, p *project.Project) error {
	t := p.Tables["t_readings"]
	r := source.Reader(p)
	newest := ask.Query{Table: t, Rights: ask.EveryRow, Paths: []string{"f_taken_at", "f_meter_id", "f_value", "f_kind"}, Order: []ask.Sort{{Path: "f_taken_at", Desc: true}}, Limit: 50}
	page, err := r.Fetch(ctx, newest)
	if err != nil {
		return err
	}
	deep := newest
	deep.After, deep.Back = "", true // from the end
	one := ask.Query{Table: t, Rights: ask.EveryRow, Paths: []string{"f_value"}, Key: "5000000", Limit: 1}
	next := newest
	next.After, next.Limit = page.Rows[25].Cursor, 1
	ofMeter := newest
	ofMeter.Match = []ask.Match{{Path: "f_meter_id", Compare: "is", Value: cond.Key("1234")}}
	kind := newest
	kind.Match = []ask.Match{{Path: "f_kind", Compare: "is", Value: cond.String("by hand")}}
	note := newest
	note.Match = []ask.Match{{Path: "f_note", Compare: "contains", Value: cond.String("seal 9999000")}}
	byValue := newest
	byValue.Order = []ask.Sort{{Path: "f_value", Desc: true}}
	for _, m := range []struct {
		what  string
		query ask.Query
	}{
		{"the first stretch, newest first", newest}, {"the last stretch", deep}, {"one record by its key", one}, {"the next one", next}, {"of one meter, newest first", ofMeter}, {"of one kind (no index)", kind},
		{"a note that is looked for (no index)", note}, {"in order of its value (no index)", byValue},
	} {
		if err := told(m.what, func() error { _, err := r.Fetch(ctx, m.query); return err }); err != nil {
			return err
		}
		served, err := source.Served(ctx, p, m.query)
		if err != nil {
			return err
		}
		if served.Index != "" {
			fmt.Printf("   by %s\n", served.Index)
		} else if served.Would != "" {
			fmt.Printf("   %s\n", served.Would)
		} else {
			fmt.Println()
		}
	}
	for what, q := range map[string]ask.Query{"how many there are": {Table: t, Rights: ask.EveryRow}, "how many of one meter": {Table: t, Rights: ask.EveryRow, Match: ofMeter.Match}} {
		if err := told(what, func() error { _, err := r.Count(ctx, q); return err }); err != nil {
			return err
		}
		fmt.Println()
	}
	return nil
}

// told prints the median of what something takes; what is ended by a limit is told as such.
func told(what string, do func() error) error {
	var took []time.Duration
	for range rounds {
		began := time.Now()
		if err := do(); err != nil {
			fmt.Printf("%-42s ended after %d ms: %v", what, time.Since(began).Milliseconds(), err)
			return nil
		}
		took = append(took, time.Since(began))
		if time.Since(began) > 2*time.Second {
			break
		}
	}
	slices.Sort(took)
	fmt.Printf("%-42s %8.1f ms", what, float64(took[len(took)/2].Microseconds())/1000)
	return nil
}
