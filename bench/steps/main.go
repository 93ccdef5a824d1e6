// Command steps measures next and previous in a list of a million records, at its beginning and at
// its end, in orders with ties, empty values and both directions, and holds what they find against
// a full sort. It prints a table of medians.
package main

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"time"

	"ambergate/bench/alone"
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/demo/stage"
	"ambergate/records"
)

const (
	rounds = 21
	all    = 1_000_000
)

const document = `{
 "project": {"kind":"project","title":"B","slug":"b","zone":"UTC"},
 "so_d": {"kind":"source","name":"B","type":"postgresql","connection":"tarnhorn","schema":"bench"},
 "t_r": {"kind":"table","source":"so_d","relation":"steps","label":"Rows","one":"row","key":["f_id"],"title":"{record.f_id}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},"f_day":{"pos":2,"column":"day","alias":"day","label":"Day","type":"date"},
   "f_due":{"pos":3,"column":"due","alias":"due","label":"Due","type":"date","nullable":true},"f_rank":{"pos":4,"column":"rank","alias":"rank","label":"Rank","type":"whole"},
   "f_seen":{"pos":6,"column":"seen","alias":"seen","label":"Seen","type":"date","nullable":true},
   "f_words":{"pos":5,"column":"words","alias":"words","label":"Words","type":"text"}}}
}`

// day has ties, due is empty for one in seven; the last order has no index.
const load = `create schema bench; grant usage on schema bench to tarnhorn_app;
create table bench.steps (id integer primary key, day date not null, due date, rank integer not null, words text not null, seen date);
insert into bench.steps select i, date '2000-01-01' + (i::bigint * 7919 % 9000)::int, case when i % 7 > 0 then date '2000-01-01' + (i::bigint * 104729 % 9000)::int end, i % 5, 'row ' || i, case when i % 50 > 0 then date '2000-01-01' + (i::bigint * 15485863 % 9000)::int end from generate_series(1, 1000000) i;
create index on bench.steps (day, id); create index on bench.steps (due, id); create index on bench.steps (rank, day desc, id); create index on bench.steps (rank, due, id); create index on bench.steps (seen desc, day desc, id);
grant select on all tables in schema bench to tarnhorn_app; analyze;`

func main() { alone.Run(run) }

func run(ctx context.Context, up *stage.Stage) error {
	if err := up.Exec(load); err != nil {
		return err
	}
	var entities map[string]json.RawMessage
	if err := json.Unmarshal([]byte(document), &entities); err != nil {
		return fmt.Errorf("read the project: %w", err)
	}
	p, err := project.Decode(entities)
	if err != nil {
		return err
	}
	fmt.Printf("%-46s %9s %9s %9s %9s %9s %9s\n", "next, previous, position; medians in ms", "next 10", "prev 10", "next 990k", "prev 990k", "pos. 10", "pos. 990k")
	for _, o := range []struct {
		name  string
		order []ask.Sort
		match []ask.Match
	}{
		{"the key alone", nil, nil},
		{"a day with ties", []ask.Sort{{Path: "f_day"}}, nil},
		{"a day with ties, newest first", []ask.Sort{{Path: "f_day", Desc: true}}, nil},
		{"a day that may be empty", []ask.Sort{{Path: "f_due"}}, nil},
		{"a day that may be empty, newest first", []ask.Sort{{Path: "f_due", Desc: true}}, nil},
		{"a rank, then the newest day (mixed)", []ask.Sort{{Path: "f_rank"}, {Path: "f_day", Desc: true}}, nil},
		{"narrowed to one rank, by a day that may be empty", []ask.Sort{{Path: "f_due"}}, []ask.Match{{Path: "f_rank", Compare: "is", Value: cond.Int(3)}}},
		{"seen last, few never, then the newest day", []ask.Sort{{Path: "f_seen", Desc: true}, {Path: "f_day", Desc: true}}, nil},
		{"words, without an index", []ask.Sort{{Path: "f_words"}}, nil},
	} {
		q := ask.Query{Table: p.Tables["t_r"], Rights: ask.EveryRow, Order: o.order, Match: o.match}
		if err := measure(ctx, up.Records, p, q, o.name); err != nil {
			return fmt.Errorf("%s: %w", o.name, err)
		}
	}
	return nil
}

// measure takes the whole list once, by a full sort, and then steps around two of its places.
func measure(ctx context.Context, source *records.Source, p *project.Project, q ask.Query, name string) error {
	r := source.Reader(p)
	var keys []string
	var cursors [2]string
	n := all
	if len(q.Match) > 0 {
		n /= 5
	}
	places := [2]int{9, n - n/100 - 1}
	err := source.Snapshot(ctx, p, func(whole *records.Reader) error {
		return whole.Each(ctx, q, func(row *ask.Row) error {
			for i, place := range places {
				if len(keys) == place {
					cursors[i] = row.Cursor
				}
			}
			keys = append(keys, row.Key)
			return nil
		})
	})
	if err != nil {
		return err
	}
	if len(keys) != n {
		return fmt.Errorf("%d records, not %d", len(keys), n)
	}
	fmt.Printf("%-46s", name)
	for i, place := range places {
		for _, back := range []bool{false, true} {
			step := q
			step.After, step.Back, step.Limit = cursors[i], back, 1
			want := keys[place+1]
			if back {
				want = keys[place-1]
			}
			took, err := median(func() error {
				page, err := r.Fetch(ctx, step)
				if err == nil && (len(page.Rows) != 1 || page.Rows[0].Key != want) {
					err = fmt.Errorf("place %d, back %v: not the neighbour of the full sort, %s", place, back, want)
				}
				return err
			})
			if err != nil {
				return err
			}
			fmt.Print(took)
		}
	}
	for _, cursor := range cursors {
		before := q
		before.After, before.Back = cursor, true
		took, err := median(func() error { _, err := r.Count(ctx, before); return err })
		if err != nil {
			return err
		}
		fmt.Print(took)
	}
	fmt.Println()
	return nil
}

func median(do func() error) (string, error) {
	var took []time.Duration
	for range rounds {
		began := time.Now()
		if err := do(); err != nil {
			if strings.Contains(err.Error(), "57014") {
				return fmt.Sprintf(" %9s", "too long"), nil
			}
			return "", err
		}
		took = append(took, time.Since(began))
	}
	slices.Sort(took)
	return fmt.Sprintf(" %9.2f", float64(took[rounds/2].Microseconds())/1000), nil
}
