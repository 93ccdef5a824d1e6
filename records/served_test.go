package records_test

import (
	"context"
	"math/rand/v2"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

// What is said to serve an order is made, and the database then reads the order with it.
func TestTheIndexThatIsNamedServes(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	random := rand.New(rand.NewPCG(11, 3))
	paths := []string{"f_state", "f_severity", "f_due", "f_hours", "f_what", "f_assigned", "f_code", "f_reported"}
	made := 0
	for range 40 {
		q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Limit: 50}
		for _, i := range random.Perm(len(paths))[:1+random.IntN(3)] {
			q.Order = append(q.Order, ask.Sort{Path: paths[i], Desc: random.IntN(2) == 0})
		}
		before, err := up.Records.Served(ctx, p, q)
		if err != nil {
			t.Fatalf("%+v: %v", q.Order, err)
		}
		if before.Index != "" {
			continue
		}
		if before.Would == "" {
			t.Fatalf("%+v: no index is named", q.Order)
		}
		if err := up.Exec(strings.Replace(before.Would, "create index on", "create index named_here on", 1)); err != nil {
			t.Fatalf("%s: %v", before.Would, err)
		}
		made++
		after, err := up.Records.Served(ctx, p, q)
		if err != nil || after.Index != "named_here" || after.Would != "" {
			t.Errorf("%+v: with %s it is read by %+v, %v", q.Order, before.Would, after, err)
		}
		if err := up.Exec("drop index tarnhorn.named_here"); err != nil {
			t.Fatal(err)
		}
	}
	if made < 20 {
		t.Errorf("only %d orders had no index", made)
	}
}

func TestOrdersThatNoIndexServesAndChildrenThatOneFinds(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	defects := p.Tables["t_defects"]
	served := func(q ask.Query) string {
		t.Helper()
		q.Rights, q.Limit = ask.EveryRow, 20
		s, err := up.Records.Served(ctx, p, q)
		if err != nil {
			t.Fatal(err)
		}
		return s.Index + "|" + s.Would
	}
	if got := served(ask.Query{Table: defects, Order: []ask.Sort{{Path: "f_cabin.f_number"}}}); got != "|" {
		t.Errorf("by a parent: %s", got)
	}
	if got := served(ask.Query{Table: defects}); got != "defects_pkey|" {
		t.Errorf("by the key: %s", got)
	}
	child := ask.Query{Table: defects, Match: []ask.Match{{Path: "f_cabin", Compare: "is", Value: cond.Key("7")}}, Order: []ask.Sort{{Path: "f_due", Desc: true}}}
	if got := served(child); !strings.HasPrefix(got, "defects_") || !strings.HasSuffix(got, "|") {
		t.Errorf("of a cabin: %s", got)
	}
	child.Match[0].Path, child.Match[0].Value = "f_hours", cond.Int(3)
	if got := served(child); got != `|create index on "tarnhorn"."defects" ("hours", "due_on" desc nulls last, "id")` {
		t.Errorf("by a field that no index finds: %s", got)
	}
	if n, err := up.Records.Size(ctx, p, p.Tables["t_lifts"]); err != nil || n < 0 || n > 3 {
		t.Errorf("three lifts are %d, %v", n, err)
	}
}
