package records_test

import (
	"context"
	"math/rand/v2"
	"slices"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

// orders gives random orders over fields with ties, empty values, ranks, parents and figures.
func orders(random *rand.Rand) []ask.Sort {
	paths := []string{"f_state", "f_severity", "f_due", "f_cabin.f_number", "f_hours", "f_what", "f_assigned", "f_cabin.n_open"}
	var out []ask.Sort
	for _, i := range random.Perm(len(paths))[:1+random.IntN(3)] {
		out = append(out, ask.Sort{Path: paths[i], Desc: random.IntN(2) == 0})
	}
	return out
}

// From each place of a list, reading forward and backward gives the neighbours that the whole list
// has there, and counting gives its position.
func TestNeighboursAreThoseOfTheWholeList(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	ctx := context.Background()
	random := rand.New(rand.NewPCG(5, 8))
	for range 20 {
		q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Order: orders(random), Match: []ask.Match{{Path: "f_severity", Compare: "isNot", Value: cond.String("low")}}}
		whole := fetch(t, r, q).Rows
		for range 12 {
			i := random.IntN(len(whole))
			one := q
			one.Key, one.Limit = whole[i].Key, 1
			at := fetch(t, r, one).Rows[0].Cursor // as a record opened by its key tells it
			if at != whole[i].Cursor {
				t.Fatalf("order %+v: the record tells another place than the list", q.Order)
			}
			step := q
			step.After, step.Limit = at, 1+random.IntN(4)
			after := keys(fetch(t, r, step).Rows)
			if want := keys(whole[i+1 : min(i+1+step.Limit, len(whole))]); !slices.Equal(after, want) {
				t.Fatalf("order %+v, after %d: %v, want %v", q.Order, i, after, want)
			}
			step.Back = true
			page := fetch(t, r, step)
			if want := keys(whole[max(0, i-step.Limit):i]); !slices.Equal(keys(page.Rows), want) {
				t.Fatalf("order %+v, before %d: %v, want %v", q.Order, i, keys(page.Rows), want)
			}
			if (page.Next == "") != (i-step.Limit <= 0) {
				t.Fatalf("before %d by %d: more %q", i, step.Limit, page.Next)
			}
			if n, err := r.Count(ctx, step); err != nil || n.N != i {
				t.Fatalf("order %+v: position %d is counted as %d, %v", q.Order, i, n.N, err)
			}
		}
		last := q
		last.Back, last.Limit = true, 3
		if got, want := keys(fetch(t, r, last).Rows), keys(whole[len(whole)-3:]); !slices.Equal(got, want) {
			t.Fatalf("order %+v, the end: %v, want %v", q.Order, got, want)
		}
	}
}

// The place on arrival stays good when the record has changed its values, left the list or is gone.
func TestAPlaceOutlivesItsRecord(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Order: []ask.Sort{{Path: "f_due"}, {Path: "f_severity", Desc: true}}}
	whole := fetch(t, r, q).Rows
	i := len(whole) / 2
	q.Match = []ask.Match{{Path: "f_code", Compare: "isNot", Value: cond.String("no such code")}}
	q.Except = whole[i+1].Key
	q.After, q.Limit = whole[i].Cursor, 1
	if got := keys(fetch(t, r, q).Rows); !slices.Equal(got, keys(whole[i+2:i+3])) {
		t.Errorf("after leaving one out: %v, want %v", got, keys(whole[i+2:i+3]))
	}
}

func TestFindLooksForEachWordInAnyField(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Paths: []string{"f_code", "f_what", "f_cabin.f_number"}}
	q.Find = ask.Find{Paths: q.Paths, Words: []string{"d-2107", "087"}}
	rows := fetch(t, r, q).Rows
	if len(rows) != 1 || rows[0].Values["f_code"].Wire() != "D-2107" {
		t.Errorf("found %v", keys(rows))
	}
	q.Find.Words = []string{"100%_"}
	if rows := fetch(t, r, q).Rows; len(rows) != 0 {
		t.Errorf("signs of patterns found %v", keys(rows))
	}
	q.Find.Words, q.Match = nil, []ask.Match{{Path: "f_severity", Compare: "in", Values: []cond.Value{cond.String("high"), cond.String("medium")}}}
	some, err := r.Count(context.Background(), q)
	q.Match[0].Values = q.Match[0].Values[:1]
	fewer, _ := r.Count(context.Background(), q)
	if err != nil || some.N == 0 || fewer.N >= some.N {
		t.Errorf("one of two: %v, %v, %v", some, fewer, err)
	}
}
