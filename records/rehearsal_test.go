package records_test

import (
	"errors"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/records"
)

// What is changed in a rehearsal is seen within it alone, and gone when it ends.
func TestARehearsalIsGivenUp(t *testing.T) {
	p := tarnhorn(t)
	r := records.NewRehearsal(p, func(*project.Table) (*records.Source, error) { return up.Records, nil })
	cabins, defects := p.Tables["t_cabins"], p.Tables["t_defects"]
	before := scalar(t, `select count(*) from tarnhorn.defects`)
	one := ask.Query{Rights: ask.EveryRow, Table: cabins, Key: "87", Paths: []string{"f_note"}, Lock: true, Limit: 1}
	if page := fetch(t, r, one); len(page.Rows) != 1 {
		t.Fatalf("%+v", page)
	}
	if err := r.Update(t.Context(), cabins, "87", map[string]cond.Value{"f_note": cond.String("rehearsed")}); err != nil {
		t.Fatal(err)
	}
	key, err := r.Insert(t.Context(), defects, map[string]cond.Value{"f_what": cond.String("Rehearsed"), "f_severity": cond.String("low"), "f_state": cond.String("open"), "f_component": cond.Key("1"), "f_lift": cond.Key("1")})
	if err != nil {
		t.Fatal(err)
	}
	if page := fetch(t, r, one); page.Rows[0].Values["f_note"].Wire() != "rehearsed" {
		t.Errorf("within it the cabin is noted %v", page.Rows[0].Values["f_note"])
	}
	what := ask.Query{Rights: ask.EveryRow, Table: defects, Match: []ask.Match{{Path: "f_what", Compare: "is", Value: cond.String("Rehearsed")}}}
	if n, err := r.Count(t.Context(), what); err != nil || n.N != 1 {
		t.Errorf("within it %d were added, %v", n.N, err)
	}
	if groups, err := r.Group(t.Context(), ask.GroupQuery{Rights: ask.EveryRow, Table: defects, By: "f_what", Match: what.Match}); err != nil || len(groups) != 1 || groups[0].N != 1 {
		t.Errorf("within it they are %+v, %v", groups, err)
	}
	if _, err := r.Hanging(t.Context(), cabins, "87", ask.EveryRow); err != nil {
		t.Error(err)
	}
	one.Lock = false // it would wait for the rehearsal
	if page := fetch(t, up.Records.Reader(p), one); page.Rows[0].Values["f_note"].Wire() == "rehearsed" {
		t.Error("it is seen outside")
	}
	if err := r.Delete(t.Context(), defects, key); err != nil {
		t.Error(err)
	}
	if err := r.End(t.Context()); err != nil {
		t.Fatal(err)
	}
	if err := r.End(t.Context()); err != nil {
		t.Errorf("ended twice: %v", err)
	}
	if after := scalar(t, `select count(*) from tarnhorn.defects`); after != before || scalar(t, `select count(*) from tarnhorn.cabins where note = 'rehearsed'`) != 0 {
		t.Errorf("%d defects before, %d after", before, after)
	}
}

// Where a table's database is not there, that is what it says; nothing is begun.
func TestARehearsalWithoutADatabase(t *testing.T) {
	p := tarnhorn(t)
	none := errors.New("no database")
	r := records.NewRehearsal(p, func(*project.Table) (*records.Source, error) { return nil, none })
	table := p.Tables["t_cabins"]
	_, fetched := r.Fetch(t.Context(), ask.Query{Table: table})
	_, counted := r.Count(t.Context(), ask.Query{Table: table})
	_, grouped := r.Group(t.Context(), ask.GroupQuery{Table: table})
	_, inserted := r.Insert(t.Context(), table, nil)
	_, hangs := r.Hanging(t.Context(), table, "1", ask.EveryRow)
	for what, err := range map[string]error{"fetch": fetched, "count": counted, "group": grouped, "insert": inserted, "hang": hangs, "update": r.Update(t.Context(), table, "1", nil), "delete": r.Delete(t.Context(), table, "1")} {
		if !errors.Is(err, none) {
			t.Errorf("%s: %v", what, err)
		}
	}
	if err := r.End(t.Context()); err != nil {
		t.Error(err)
	}
}
