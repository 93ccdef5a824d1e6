// Command rows measures what row rules cost on a list of a million records, with an index that
// serves the rule and without one. It prints a table of medians.
package main

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"time"

	"ambergate/bench/alone"
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/demo/stage"
)

const rounds = 15

const document = `{
 "project": {"kind":"project","title":"B","slug":"b","zone":"UTC"},
 "so_d": {"kind":"source","name":"B","type":"postgresql","connection":"tarnhorn","schema":"bench"},
 "t_o": {"kind":"table","source":"so_d","relation":"owners","label":"Owners","one":"owner","key":["f_id"],"title":"{record.f_id}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},"f_area":{"pos":2,"column":"area","alias":"area","label":"Area","type":"whole"}}},
 "t_r": {"kind":"table","source":"so_d","relation":"rows","label":"Rows","one":"row","key":["f_id"],"title":"{record.f_id}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},"f_owner":{"pos":2,"column":"owner_id","alias":"owner","label":"Owner","type":"record","references":"t_o"},
   "f_other":{"pos":3,"column":"other_id","alias":"other","label":"Other","type":"record","references":"t_o"},
   "f_state":{"pos":4,"column":"state","alias":"state","label":"State","type":"text"},"f_words":{"pos":5,"column":"words","alias":"words","label":"Words","type":"text"}}}
}`

// owner_id is indexed with the order of the list; other_id holds the same values without an index.
const load = `create schema bench; grant usage on schema bench to tarnhorn_app;
create table bench.owners (id integer primary key, area integer not null);
create table bench.rows (id integer primary key, owner_id integer not null references bench.owners, other_id integer not null, state text not null, words text not null);
insert into bench.owners select i, i %% 20 from generate_series(1, 1000) i;
insert into bench.rows select i, 1 + (i %% 1000 * 7919) %% 1000, 1 + (i %% 1000 * 7919) %% 1000, case when i %% 10 = 0 then 'open' else 'closed' end, 'row number ' || i from generate_series(1, 1000000) i;
create index on bench.rows (owner_id, id);
grant select on all tables in schema bench to tarnhorn_app; analyze;`

func main() { alone.Run(run) }

// rule is one row rule on the big table.
type rule struct{ pred *cond.Pred }

// Visible gives the rule for the big table, and none for the other.
func (r rule) Visible(table string) *cond.Pred {
	if table == "t_r" {
		return r.pred
	}
	return nil
}

// Counted is not used here.
func (rule) Counted(string, string) *cond.Pred { return nil }

func run(ctx context.Context, up *stage.Stage) error {
	if err := up.Exec(fmt.Sprintf(load)); err != nil {
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
	app, err := plan.Compile(p)
	if err != nil {
		return err
	}
	fmt.Printf("%-52s %10s %10s %10s %10s\n", "a list of 1,000,000 records, medians in ms", "first page", "later page", "count", "one record")
	for _, r := range []struct{ name, text string }{
		{"no row rule", ""},
		{"the owner is one, with an index (1 in 1,000)", `record.owner == key("7")`},
		{"the same without an index", `record.other == key("7")`},
		{"the state is one, without an index (1 in 10)", `record.state == "open"`},
		{"the owner's area is one, through the relation (1 in 20)", `record.owner.area == 7`},
		{"either of two, one of them indexed", `record.owner == key("7") || record.other == key("8")`},
	} {
		var pred *cond.Pred
		if r.text != "" {
			e, problem := app.RowRule("t_r", r.text)
			if problem != nil {
				return problem
			}
			pred = e.Root.Bind(nobody{})
		}
		if err := measure(ctx, up.Records.Reader(p), p.Tables["t_r"], r.name, rule{pred}); err != nil {
			return err
		}
	}
	return nil
}

// nobody is a user of whom nothing is asked.
type nobody struct{}

// Value knows nothing.
func (nobody) Value(*cond.Path) cond.Value { return cond.NullValue }

// HasRole has none.
func (nobody) HasRole(string) bool { return false }

// Now is any time.
func (nobody) Now() time.Time { return time.Time{} }

func measure(ctx context.Context, r ask.Records, t *project.Table, name string, rights ask.RowRules) error {
	q := ask.Query{Table: t, Paths: []string{"f_state", "f_words"}, Limit: 50, Rights: rights}
	first, err := r.Fetch(ctx, q)
	if err != nil {
		return err
	}
	after, one := q, q
	after.After, one.Key, one.Limit = first.Next, first.Rows[0].Key, 1
	fmt.Printf("%-52s", name)
	for _, do := range []func() error{
		func() error { _, err := r.Fetch(ctx, q); return err },
		func() error { _, err := r.Fetch(ctx, after); return err },
		func() error { _, err := r.Count(ctx, q); return err },
		func() error { _, err := r.Fetch(ctx, one); return err },
	} {
		var took []time.Duration
		for range rounds {
			began := time.Now()
			if err := do(); err != nil {
				return err
			}
			took = append(took, time.Since(began))
		}
		slices.Sort(took)
		fmt.Printf(" %10.2f", float64(took[rounds/2].Microseconds())/1000)
	}
	fmt.Println()
	return nil
}
