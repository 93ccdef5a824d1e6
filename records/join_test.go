package records_test

import (
	"context"
	"strconv"
	"sync"
	"sync/atomic"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/records"
)

// Many who ask the same at once: each sees what was committed before they asked, and what they do with it is theirs alone.
func TestThoseWhoAskTheSameEachGetTheirOwnNewestAnswer(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	if err := up.Exec(`update tarnhorn.defects set hours = 0 where id = 107`); err != nil {
		t.Fatal(err)
	}
	defer func() { _ = up.Exec(`update tarnhorn.defects set hours = null where id = 107`) }()
	q := ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Key: "107", Paths: []string{"f_code", "f_hours"}}
	questions := []ask.Question{{Fetch: &q}, {Group: &ask.GroupQuery{Table: q.Table, By: "f_state", Rights: ask.EveryRow}}}
	var committed atomic.Int64
	over := make(chan struct{})
	var wait sync.WaitGroup
	wait.Go(func() {
		defer close(over)
		for i := int64(1); i <= 60; i++ {
			if err := up.Exec(`update tarnhorn.defects set hours = ` + strconv.FormatInt(i, 10) + ` where id = 107`); err != nil {
				t.Error(err)
				return
			}
			committed.Store(i)
		}
	})
	for i := range 12 {
		wait.Go(func() {
			for asked := true; asked; {
				select {
				case <-over:
					asked = false
				default:
				}
				before := committed.Load()
				answers := r.Together(context.Background(), questions[:1+i%2])
				if answers[0].Err != nil || len(answers[0].Page.Rows) != 1 {
					t.Errorf("%+v", answers[0])
					return
				}
				row := answers[0].Page.Rows[0]
				if hours, err := strconv.ParseFloat(row.Values["f_hours"].Wire(), 64); err != nil || int64(hours) < before || row.Values["f_code"].Wire() != "D-2107" {
					t.Errorf("%v hours, %d were committed before: %v", row.Values, before, err)
					return
				}
				row.Values["f_code"] = cond.UnknownBecause("hidden") // as one does who may not see it
				for k := range answers[len(answers)-1].Groups {
					answers[len(answers)-1].Groups[k].N = -1
				}
			}
		})
	}
	wait.Wait()
	if up.Records.Joined() == 0 {
		t.Error("nobody was told what another asked for")
	}
	for _, g := range r.Together(context.Background(), questions)[1].Groups {
		if g.N < 0 {
			t.Errorf("another’s change stands in %+v", g)
		}
	}
}

// Two questions that differ in a value alone are two.
func TestWhoAsksForAnotherRecordGetsThat(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	all := fetch(t, r, ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Limit: 3}).Rows
	var wait sync.WaitGroup
	for i := range 12 {
		wait.Go(func() {
			key := all[i%len(all)].Key
			for range 40 {
				page, err := r.Fetch(context.Background(), ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Key: key, Paths: []string{"f_code"}})
				if err != nil || len(page.Rows) != 1 || page.Rows[0].Key != key {
					t.Errorf("%s: %+v, %v", key, page.Rows, err)
					return
				}
			}
		})
	}
	wait.Wait()
}

func TestOnlyParametersAreNumberedAnew(t *testing.T) {
	for sql, want := range map[string]string{
		`select $1, $12 from t where x = $2`:               `select $4, $15 from t where x = $5`,
		`select "price$1", 'costs $2 "', "a""$3" where $1`: `select "price$1", 'costs $2 "', "a""$3" where $4`,
	} {
		if got := records.Renumbered(sql, 3); got != want {
			t.Errorf("%s becomes %s", sql, got)
		}
	}
}
