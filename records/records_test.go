package records_test

import (
	"context"
	"errors"
	"fmt"
	"math/rand/v2"
	"slices"
	"sync"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/demo/stage/stagetest"
	"ambergate/records"
)

var up *stage.Stage

func TestMain(m *testing.M) { stagetest.Main(m, &up) }

func tarnhorn(t testing.TB) *project.Project {
	t.Helper()
	p, err := demo.Decoded()
	if err != nil {
		t.Fatal(err)
	}
	return p
}

func fetch(t testing.TB, r ask.Records, q ask.Query) ask.Page {
	t.Helper()
	page, err := r.Fetch(context.Background(), q)
	if err != nil {
		t.Fatal(err)
	}
	return page
}

func TestOneRecordWithItsParents(t *testing.T) {
	p := tarnhorn(t)
	page := fetch(t, up.Records.Reader(p), ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Key: "107", Paths: []string{"f_code", "f_cabin", "f_cabin.f_number", "f_cabin.f_lift.f_name", "f_hours", "f_due"}})
	if len(page.Rows) != 1 {
		t.Fatalf("%d rows", len(page.Rows))
	}
	row := page.Rows[0]
	for path, want := range map[string]string{"f_code": "D-2107", "f_cabin": "87", "f_cabin.f_number": "087", "f_cabin.f_lift.f_name": "Upper Tarn", "f_hours": "", "f_due": "2026-11-23"} {
		if got := row.Values[path].Wire(); got != want {
			t.Errorf("%s is %q, want %q", path, got, want)
		}
	}
	if row.Version == "" || row.Values["f_due"].Kind() != cond.Date {
		t.Errorf("row %+v", row)
	}
}

func TestKeysAndFiltersThatDoNotFitFindNothing(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	for _, q := range []ask.Query{
		{Key: "abc"}, {Key: "99999999999999999999"}, {Key: "1~2"}, {Key: "1; drop table tarnhorn.defects"},
		{Match: []ask.Match{{Path: "f_due", Compare: "is", Value: cond.String("soon")}}},
		{Match: []ask.Match{{Path: "f_cabin", Compare: "is", Value: cond.Key("x")}}},
	} {
		q.Rights, q.Table, q.Paths = ask.EveryRow, p.Tables["t_defects"], []string{"f_code"}
		if page := fetch(t, r, q); len(page.Rows) != 0 {
			t.Errorf("%+v finds %d", q, len(page.Rows))
		}
	}
}

// Pages put one behind the other are the whole list in its order: with ties, empty values,
// both directions, choices by rank and parents.
func TestPagesAreTheWholeListInOrder(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	table := p.Tables["t_defects"]
	paths := []string{"f_state", "f_severity", "f_due", "f_cabin.f_number", "f_hours", "f_what"}
	random := rand.New(rand.NewPCG(3, 3))
	for try := range 25 {
		var order []ask.Sort
		for _, i := range random.Perm(len(paths))[:1+random.IntN(3)] {
			order = append(order, ask.Sort{Path: paths[i], Desc: random.IntN(2) == 0})
		}
		match := []ask.Match{{Path: "f_severity", Compare: "isNot", Value: cond.String("low")}}
		whole := keys(fetch(t, r, ask.Query{Rights: ask.EveryRow, Table: table, Match: match, Order: order}).Rows)
		var got []string
		after := ""
		for {
			page := fetch(t, r, ask.Query{Rights: ask.EveryRow, Table: table, Match: match, Order: order, Limit: 1 + try, After: after})
			got = append(got, keys(page.Rows)...)
			if after = page.Next; after == "" {
				break
			}
		}
		if !slices.Equal(got, whole) {
			t.Fatalf("order %+v in pages of %d: %v, want %v", order, 1+try, got, whole)
		}
	}
	_, err := r.Fetch(context.Background(), ask.Query{Rights: ask.EveryRow, Table: table, Limit: 5, After: "nonsense"})
	var refusal *ask.Refusal
	if !errors.As(err, &refusal) || refusal.Code != "bad-cursor" {
		t.Errorf("a wrong cursor: %v", err)
	}
}

func keys(rows []*ask.Row) []string {
	out := make([]string, len(rows))
	for i, r := range rows {
		out[i] = r.Key
	}
	return out
}

func TestFiltersCountsAndGroups(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	ctx := context.Background()
	table := p.Tables["t_defects"]
	for _, tc := range []struct {
		match ask.Match
		sql   string
	}{
		{ask.Match{Path: "f_cabin", Compare: "empty"}, "cabin_id is null"},
		{ask.Match{Path: "f_cabin", Compare: "is", Value: cond.NullValue}, "cabin_id is null"},
		{ask.Match{Path: "f_assigned", Compare: "isNot", Value: cond.Key("1")}, "assigned_id is distinct from 1"},
		{ask.Match{Path: "f_severity", Compare: "atLeast", Value: cond.String("medium")}, "severity in ('medium','high')"},
		{ask.Match{Path: "f_what", Compare: "contains", Value: cond.String("100%_")}, "what like '%100\\%\\_%'"},
		{ask.Match{Path: "f_what", Compare: "contains", Value: cond.String("SEAL")}, "what ilike '%seal%'"},
	} {
		count, err := r.Count(ctx, ask.Query{Rights: ask.EveryRow, Table: table, Match: []ask.Match{tc.match}})
		if err != nil {
			t.Fatal(err)
		}
		if want := scalar(t, "select count(*) from tarnhorn.defects where "+tc.sql); count.N != want {
			t.Errorf("%+v counts %d, want %d", tc.match, count.N, want)
		}
	}
	groups, err := r.Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: table, By: "f_component", Title: []string{"f_component.f_name"}, Split: "f_severity", Limit: 100})
	if err != nil {
		t.Fatal(err)
	}
	total := 0.0
	for i, g := range groups {
		total += g.N
		parts := 0.0
		for _, part := range g.Parts {
			parts += part.N
		}
		if parts != g.N || g.Row.Values["f_component.f_name"].Wire() == "" || i > 0 && g.N > groups[i-1].N {
			t.Errorf("group %+v", g)
		}
	}
	if want := scalar(t, "select count(*) from tarnhorn.defects"); int(total) != want {
		t.Errorf("the groups count %v of %d", total, want)
	}
	months, err := r.Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: table, By: "f_cabin", Split: "f_reported", SplitSpan: "month", Zone: "Europe/Zurich", Limit: 100})
	if err != nil {
		t.Fatal(err)
	}
	of := ask.Group{}
	for _, g := range months {
		for _, part := range g.Parts {
			of.AddPart(part)
		}
	}
	for _, part := range of.Parts {
		if want := scalar(t, "select count(*) from tarnhorn.defects where to_char(reported_on, 'YYYY-MM-01') = '"+part.Value+"'"); int(part.N) != want {
			t.Errorf("%s: %v of %d", part.Value, part.N, want)
		}
	}
}

func scalar(t testing.TB, sql string) int {
	t.Helper()
	var n int
	err := up.Records.Try(context.Background(), &project.Project{}, func(p *records.Press) error { return p.Scan(sql, &n) })
	if err != nil {
		t.Fatal(err)
	}
	return n
}

func TestAPressHappensOnce(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	table := p.Tables["t_cabins"]
	before := scalar(t, "select distance_km from tarnhorn.cabins where id = 5")
	run := func(press *records.Press) (any, error) {
		page, err := press.Fetch(ctx, ask.Query{Rights: ask.EveryRow, Table: table, Key: "5", Paths: []string{"f_distance"}, Lock: true, Limit: 1})
		if err != nil {
			return nil, err
		}
		km, _ := page.Rows[0].Values["f_distance"].Float64()
		return map[string]string{"moved": "yes"}, press.Update(ctx, table, "5", map[string]cond.Value{"f_distance": cond.Int(int64(km) + 1)})
	}
	// Twenty presses, each sent three times at once: each counts once.
	var wait sync.WaitGroup
	var mu sync.Mutex
	failed := 0
	for i := range 20 {
		for range 3 {
			wait.Add(1)
			go func() {
				defer wait.Done()
				outcome, _, err := up.Records.Do(ctx, p, records.Stored{ID: fmt.Sprintf("once-%d", i), User: "a", Content: "c"}, run)
				mu.Lock()
				defer mu.Unlock()
				if err != nil {
					failed++
				} else if string(outcome) != `{"moved": "yes"}` && string(outcome) != `{"moved":"yes"}` {
					t.Errorf("outcome %s", outcome)
				}
			}()
		}
	}
	wait.Wait()
	for i := range 20 { // what ran into locks is sent again, as a browser does
		if _, _, err := up.Records.Do(ctx, p, records.Stored{ID: fmt.Sprintf("once-%d", i), User: "a", Content: "c"}, run); err != nil {
			t.Fatal(err)
		}
	}
	if after := scalar(t, "select distance_km from tarnhorn.cabins where id = 5"); after != before+20 {
		t.Errorf("moved by %d, want 20 (%d first tries failed)", after-before, failed)
	}
	_, _, err := up.Records.Do(ctx, p, records.Stored{ID: "once-1", User: "b", Content: "c"}, run)
	if !errors.Is(err, records.ErrOtherPress) {
		t.Errorf("another user's press id: %v", err)
	}
	_, _, err = up.Records.Do(ctx, p, records.Stored{ID: "once-1", User: "a", Content: "other"}, run)
	if !errors.Is(err, records.ErrOtherPress) {
		t.Errorf("the same id for something else: %v", err)
	}
}

func TestAFailedPressLeavesNothing(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	no := errors.New("no")
	_, _, err := up.Records.Do(ctx, p, records.Stored{ID: "fails-1", User: "a", Content: "c"}, func(press *records.Press) (any, error) {
		if err := press.Update(ctx, p.Tables["t_cabins"], "6", map[string]cond.Value{"f_distance": cond.Int(1)}); err != nil {
			return nil, err
		}
		return nil, no
	})
	if !errors.Is(err, no) || scalar(t, "select count(*) from tarnhorn.cabins where id = 6 and distance_km = 1") != 0 {
		t.Errorf("after a refusal: %v", err)
	}
	if scalar(t, "select count(*) from ambergate.press where id = 'fails-1'") != 0 {
		t.Error("a refused press is remembered as done")
	}
}

func TestDatabaseErrorsStandBesideTheirField(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	for _, tc := range []struct {
		table, key string
		values     map[string]cond.Value
		field      string
	}{
		{"t_cabins", "5", map[string]cond.Value{"f_number": cond.String("087")}, "f_number"}, // unique
		{"t_cabins", "5", map[string]cond.Value{"f_number": cond.String("1")}, "f_number"},   // check
		{"t_cabins", "5", map[string]cond.Value{"f_lift": cond.Key("99")}, "f_lift"},         // foreign key
		{"t_cabins", "5", map[string]cond.Value{"f_state": cond.NullValue}, "f_state"},       // not null
		{"t_cabins", "5", map[string]cond.Value{"f_wear": cond.String("123456789")}, ""},     // too large: the database does not say where
		{"t_defects", "", map[string]cond.Value{"f_what": cond.String("x"), "f_component": cond.Key("1"), "f_severity": cond.String("awful")}, "f_severity"},
	} {
		err := up.Records.Try(ctx, p, func(press *records.Press) error {
			if tc.key == "" {
				_, err := press.Insert(ctx, p.Tables[tc.table], tc.values)
				return err
			}
			return press.Update(ctx, p.Tables[tc.table], tc.key, tc.values)
		})
		var fields *ask.FieldErrors
		var refusal *ask.Refusal
		switch {
		case errors.As(err, &fields):
			if fields.Fields[tc.field] == "" {
				t.Errorf("%v: %v, want it beside %s", tc.values, fields.Fields, tc.field)
			}
		case errors.As(err, &refusal):
			if tc.field != "" {
				t.Errorf("%v: %v, want it beside %s", tc.values, refusal, tc.field)
			}
		default:
			t.Errorf("%v: %v", tc.values, err)
		}
	}
}

func TestPracticeGivesTheSameKeysAgain(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	values := map[string]cond.Value{"f_what": cond.String("Practised"), "f_component": cond.Key("1"), "f_severity": cond.String("low"), "f_state": cond.String("open")}
	var made []string
	add := func(press *records.Press) error {
		_, err := press.Insert(ctx, p.Tables["t_defects"], values)
		made = press.Made()
		return err
	}
	if err := up.Records.Try(ctx, p, add); err != nil {
		t.Fatal(err)
	}
	first := made
	err := up.Records.Try(ctx, p, func(press *records.Press) error {
		press.Replay(first)
		return add(press)
	})
	if err != nil || !slices.Equal(made, first) {
		t.Errorf("replayed as %v, want %v (%v)", made, first, err)
	}
	if scalar(t, "select count(*) from tarnhorn.defects where what = 'Practised'") != 0 {
		t.Error("practice left a record behind")
	}
}

func TestTheSourcesLoginKnowsNothingOfTheStore(t *testing.T) {
	err := up.Records.Try(context.Background(), &project.Project{}, func(p *records.Press) error {
		var n int
		return p.Scan("select count(*) from pg_roles where rolname = current_user and (rolsuper or rolcreatedb or rolcreaterole)", &n)
	})
	if err != nil {
		t.Fatal(err)
	}
	if n := scalar(t, "select count(*) from information_schema.tables where table_name in ('account', 'session', 'entity')"); n != 0 {
		t.Error("the record source's login sees the program's own tables")
	}
}
