package records_test

import (
	"context"
	"errors"
	"fmt"
	"math"
	"reflect"
	"slices"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/records"
)

// points is a table with a key of two fields, which the demo's project does not use.
func points(p *project.Project) *project.Table {
	t := &project.Table{Entity: project.Entity{ID: "t_points"}, Source: "so_db", Relation: "inspection_points", Label: "Points", One: "point", Key: []string{"f_insp", "f_pos"}, Fields: map[string]*project.Column{
		"f_insp":     {Item: project.Item{ID: "f_insp"}, Column: "inspection_id", Alias: "inspection", Label: "Inspection", Type: "whole"},
		"f_pos":      {Item: project.Item{ID: "f_pos"}, Column: "pos", Alias: "pos", Label: "Position", Type: "whole"},
		"f_outcome":  {Item: project.Item{ID: "f_outcome"}, Column: "outcome", Alias: "outcome", Label: "Outcome", Type: "text", Choices: []string{"good", "watch", "bad"}},
		"f_measured": {Item: project.Item{ID: "f_measured"}, Column: "measured", Alias: "measured", Label: "Measured", Type: "decimal", Nullable: true},
	}}
	p.Tables[t.ID] = t
	return t
}

func TestKeysOfSeveralFields(t *testing.T) {
	p := tarnhorn(t)
	table := points(p)
	page := fetch(t, up.Records.Reader(p), ask.Query{Rights: ask.EveryRow, Table: table, Paths: []string{"f_outcome"}, Key: "3~2", Limit: 1})
	if len(page.Rows) != 1 || page.Rows[0].Key != "3~2" {
		t.Fatalf("%+v", page.Rows)
	}
	ctx := context.Background()
	err := up.Records.Try(ctx, p, func(press *records.Press) error {
		if err := press.Update(ctx, table, "3~2", map[string]cond.Value{"f_outcome": cond.String("bad")}); err != nil {
			return err
		}
		changed := fetch(t, press, ask.Query{Rights: ask.EveryRow, Table: table, Paths: []string{"f_outcome"}, Match: []ask.Match{{Path: "f_insp", Compare: "is", Value: cond.Int(3)}, {Path: "f_outcome", Compare: "is", Value: cond.String("bad")}}})
		if len(changed.Rows) != 1 || changed.Rows[0].Key != "3~2" {
			t.Errorf("changed were %v", keys(changed.Rows))
		}
		return nil
	})
	if err != nil {
		t.Error(err)
	}
	// Pages over such a table are whole as well.
	var got []string
	for after := ""; ; {
		page := fetch(t, up.Records.Reader(p), ask.Query{Rights: ask.EveryRow, Table: table, Order: []ask.Sort{{Path: "f_outcome", Desc: true}, {Path: "f_measured"}}, Limit: 97, After: after})
		got = append(got, keys(page.Rows)...)
		if after = page.Next; after == "" {
			break
		}
	}
	if want := scalar(t, "select count(*) from tarnhorn.inspection_points"); len(got) != want {
		t.Errorf("%d rows in pages, %d in all", len(got), want)
	}
	seen := map[string]bool{}
	for _, k := range got {
		if seen[k] {
			t.Fatalf("%s comes twice", k)
		}
		seen[k] = true
	}
}

func TestSumsAndRanges(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	groups, err := up.Records.Reader(p).Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_cabins"], By: "f_state", Measure: "sum", Of: "f_distance"})
	if err != nil {
		t.Fatal(err)
	}
	for _, g := range groups {
		if want := scalar(t, "select sum(distance_km)::int from tarnhorn.cabins where state = '"+g.Value.Wire()+"'"); int(g.N) != want {
			t.Errorf("%s sums to %v, want %d", g.Value.Wire(), g.N, want)
		}
	}
	day := stageDay(-10)
	for compare, sign := range map[string]string{"atLeast": ">=", "atMost": "<="} {
		n, err := up.Records.Reader(p).Count(ctx, ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_defects"], Match: []ask.Match{{Path: "f_due", Compare: compare, Value: cond.DateOf(day)}}})
		if err != nil {
			t.Fatal(err)
		}
		if want := scalar(t, "select count(*) from tarnhorn.defects where due_on "+sign+" '"+day.Format("2006-01-02")+"'"); n.N != want {
			t.Errorf("%s: %d, want %d", compare, n.N, want)
		}
	}
	byLift, err := up.Records.Reader(p).Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_defects"], By: "f_cabin.f_lift", Title: []string{"f_cabin.f_lift.f_name"}, Limit: 2})
	if err != nil || len(byLift) != 3 || byLift[2].Rest == 0 {
		t.Errorf("by a parent's parent: %+v %v", byLift, err)
	}
}

// Points along time: sums, means and highest values by day, week and month, the last ones in order.
func TestSpansOfTime(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	for _, tc := range []struct{ table, by, of, measure, span, sql string }{
		{"t_ridership", "f_hour", "f_riders", "sum", "week", "select sum(riders)::float8 from tarnhorn.ridership where date_trunc('week', hour at time zone 'UTC')::date = "},
		{"t_wind", "f_at", "f_gust", "most", "day", "select max(gust)::float8 from tarnhorn.wind where (at at time zone 'UTC')::date = "},
		{"t_wind", "f_at", "f_mean", "mean", "month", "select avg(mean)::float8 from tarnhorn.wind where date_trunc('month', at at time zone 'UTC')::date = "},
		{"t_wind", "f_at", "f_mean", "least", "quarter", "select min(mean)::float8 from tarnhorn.wind where date_trunc('quarter', at at time zone 'UTC')::date = "},
		{"t_inspections", "f_done", "", "count", "year", "select count(*)::float8 from tarnhorn.inspections where date_trunc('year', done_on)::date = "},
		{"t_inspections", "f_done", "", "count", "month", "select count(*)::float8 from tarnhorn.inspections where date_trunc('month', done_on)::date = "},
	} {
		groups, err := up.Records.Reader(p).Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables[tc.table], By: tc.by, Of: tc.of, Measure: tc.measure, Span: tc.span, Zone: "UTC", Limit: 5})
		if err != nil || len(groups) == 0 || len(groups) > 5 {
			t.Errorf("%s by %s: %d points, %v", tc.table, tc.span, len(groups), err)
			continue
		}
		before := ""
		for _, g := range groups {
			if g.Value.Wire() <= before {
				t.Errorf("%s comes after %s", g.Value.Wire(), before)
			}
			before = g.Value.Wire()
			if want := number(t, tc.sql+"'"+before+"'"); math.Abs(g.N-want) > 1e-6 {
				t.Errorf("%s of %s on %s is %v, want %v", tc.measure, tc.table, before, g.N, want)
			}
		}
	}
	for measure, sql := range map[string]string{"": "select count(*)::float8 from tarnhorn.cabins", "sum": "select sum(distance_km)::float8 from tarnhorn.cabins", "least": "select min(distance_km)::float8 from tarnhorn.cabins"} {
		of := ""
		if measure != "" {
			of = "f_distance"
		}
		groups, err := up.Records.Reader(p).Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_cabins"], Measure: measure, Of: of, Limit: 1})
		if want := number(t, sql); err != nil || len(groups) != 1 || math.Abs(groups[0].N-want) > 1e-6 {
			t.Errorf("%q of all cabins is %+v %v, want %v", measure, groups, err, want)
		}
	}
	if _, err := up.Records.Reader(p).Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_cabins"], By: "f_state", Span: "week"}); err == nil {
		t.Error("a text is cut into weeks")
	}
	if _, err := up.Records.Reader(p).Group(ctx, ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_wind"], By: "f_at", Span: "week'; drop table x; --"}); err == nil {
		t.Error("a span that does not exist is taken")
	}
}

// number asks the database for one number.
func number(t *testing.T, sql string) float64 {
	t.Helper()
	var n float64
	err := up.Records.Try(context.Background(), &project.Project{}, func(p *records.Press) error { return p.Scan(sql, &n) })
	if err != nil {
		t.Fatalf("%s: %v", sql, err)
	}
	return n
}

// What a project names and the database does not have is told.
func TestWhatIsMissingInTheDatabase(t *testing.T) {
	p := tarnhorn(t)
	if missing, err := up.Records.Missing(context.Background(), p, "so_db"); err != nil || len(missing) != 0 {
		t.Fatalf("%+v %v", missing, err)
	}
	p.Tables["t_cabins"].Fields["f_wear"].Column = "never_there"
	p.Tables["t_parts"].Relation = "no_such_table"
	missing, err := up.Records.Missing(context.Background(), p, "so_db")
	want := []records.Missing{{Table: "t_cabins", Field: "f_wear"}, {Table: "t_parts"}}
	if err != nil || !slices.Equal(missing, want) {
		t.Errorf("%+v %v", missing, err)
	}
	var r *ask.Refusal
	_, err = up.Records.Reader(p).Fetch(context.Background(), ask.Query{Rights: ask.EveryRow, Table: p.Tables["t_cabins"], Paths: []string{"f_wear"}, Limit: 1})
	if !errors.As(err, &r) || r.Code != "broken" {
		t.Errorf("a column that is gone: %v", err)
	}
}

func stageDay(days int) time.Time {
	return time.Date(2026, 11, 24, 0, 0, 0, 0, time.UTC).AddDate(0, 0, days)
}

func TestALockedRecordIsToldWithinAMoment(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	table := p.Tables["t_cabins"]
	held := make(chan struct{})
	release := make(chan struct{})
	done := make(chan error, 1)
	go func() {
		done <- up.Records.Try(ctx, p, func(press *records.Press) error {
			_, err := press.Fetch(ctx, ask.Query{Rights: ask.EveryRow, Table: table, Key: "9", Paths: []string{"f_number"}, Lock: true, Limit: 1})
			close(held)
			<-release
			return err
		})
	}()
	<-held
	began := time.Now()
	err := up.Records.Try(ctx, p, func(press *records.Press) error {
		_, err := press.Fetch(ctx, ask.Query{Rights: ask.EveryRow, Table: table, Key: "9", Paths: []string{"f_number"}, Lock: true, Limit: 1})
		return err
	})
	close(release)
	if err == nil || time.Since(began) > 20*time.Second {
		t.Errorf("a locked record gave %v after %s", err, time.Since(began))
	}
	if err := <-done; err != nil {
		t.Error(err)
	}
}

// Hardening: somebody changes the record between a press's first look at it and its own change. The database refuses
// such a press; it is begun anew, sees what the other one wrote, and the user learns nothing of it.
func TestAPressThatClashesIsBegunAnew(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	table := p.Tables["t_cabins"]
	before := scalar(t, `select distance_km from tarnhorn.cabins where id = 11`)
	look := func(press *records.Press, lock bool) (cond.Value, error) {
		page, err := press.Fetch(ctx, ask.Query{Rights: ask.EveryRow, Table: table, Key: "11", Paths: []string{"f_distance"}, Lock: lock, Limit: 1})
		if err != nil {
			return cond.Value{}, err
		}
		return page.Rows[0].Values["f_distance"], nil
	}
	for clashes, fails := range map[int]bool{1: false, records.Tries - 1: false, records.Tries: true} {
		begun := 0
		_, _, err := up.Records.Do(ctx, p, records.Stored{ID: fmt.Sprintf("clashes-%d", clashes), User: "a", Content: "c"}, func(press *records.Press) (any, error) {
			if _, err := look(press, false); err != nil {
				return nil, err
			}
			if begun++; begun <= clashes {
				if err := up.Exec(`update tarnhorn.cabins set distance_km = distance_km + 100 where id = 11`); err != nil {
					return nil, err
				}
			}
			is, err := look(press, true)
			if err != nil {
				return nil, err
			}
			km, _ := is.Float64()
			return nil, press.Update(ctx, table, "11", map[string]cond.Value{"f_distance": cond.Int(int64(km) + 1)})
		})
		if (err != nil) != fails || begun != min(clashes+1, records.Tries) {
			t.Errorf("after %d clashes it was begun %d times: %v", clashes, begun, err)
		}
		want := before + 100*clashes
		if !fails {
			want++
		}
		if before = scalar(t, `select distance_km from tarnhorn.cabins where id = 11`); before != want {
			t.Errorf("after %d clashes there is %d, want %d", clashes, before, want)
		}
	}
}

func TestWritingToWhatIsGone(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	err := up.Records.Try(ctx, p, func(press *records.Press) error {
		return press.Update(ctx, p.Tables["t_cabins"], "99999", map[string]cond.Value{"f_note": cond.String("x")})
	})
	var refusal *ask.Refusal
	if !errors.As(err, &refusal) || refusal.Code != "no-record" {
		t.Errorf("%v", err)
	}
}

func TestAQuestionOrAnErrorGivesThePressIdBack(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	ask := errors.New("asks first")
	press := records.Stored{ID: "asks-1", User: "a", Content: "c"}
	if _, _, err := up.Records.Do(ctx, p, press, func(*records.Press) (any, error) { return nil, ask }); !errors.Is(err, ask) {
		t.Fatal(err)
	}
	out, again, err := up.Records.Do(ctx, p, press, func(*records.Press) (any, error) { return "answered", nil })
	if err != nil || again || string(out) != `"answered"` {
		t.Errorf("%s %v %v", out, again, err)
	}
	out, again, err = up.Records.Do(ctx, p, press, func(*records.Press) (any, error) { t.Error("it ran again"); return nil, nil })
	if err != nil || !again || string(out) != `"answered"` {
		t.Errorf("%s %v %v", out, again, err)
	}
}

// A database without the table of presses is read, and nothing else: it says so before and on a press.
func TestADatabaseThatKeepsNoRecordOfPressesIsOnlyRead(t *testing.T) {
	ctx := context.Background()
	if up.Records.OnlyRead() {
		t.Error("the demo's can be changed")
	}
	if err := up.Exec(`alter table ambergate.press rename to gone_for_a_while`); err != nil {
		t.Fatal(err)
	}
	defer func() {
		if err := up.Exec(`alter table ambergate.gone_for_a_while rename to press`); err != nil {
			t.Fatal(err)
		}
	}()
	source, err := records.Open(ctx, up.Cluster.DSN(demo.AppRole, up.Cluster.Password, demo.Database), nil)
	if err != nil {
		t.Fatal(err)
	}
	defer source.Close()
	if !source.OnlyRead() {
		t.Error("it is taken for one that can be changed")
	}
	var r *ask.Refusal
	_, _, err = source.Do(ctx, tarnhorn(t), records.Stored{ID: "only-read-1", User: "a", Content: "c"}, func(*records.Press) (any, error) { return nil, nil })
	if !errors.As(err, &r) || r.Code != "only-read" {
		t.Errorf("a press: %v", err)
	}
	// A source that was believed to be changeable knows better after the first press.
	_, _, err = up.Records.Do(ctx, tarnhorn(t), records.Stored{ID: "only-read-2", User: "a", Content: "c"}, func(*records.Press) (any, error) { return nil, nil })
	if !errors.As(err, &r) || r.Code != "only-read" || !up.Records.OnlyRead() {
		t.Errorf("a press where it was believed: %v, only read: %v", err, up.Records.OnlyRead())
	}
}

// Several queries at once give what each gives by itself, whatever its direction, filter and rights.
func TestSeveralQueriesAtOnceAreThoseQueries(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	base := ask.Query{Table: p.Tables["t_defects"], Paths: []string{"f_code", "f_cabin.f_number", "f_due"}, Order: []ask.Sort{{Path: "f_severity", Desc: true}}, Limit: 3, Rights: ask.EveryRow}
	back, high, none := base, base, base
	back.Back = true
	high.Match = []ask.Match{{Path: "f_severity", Compare: "is", Value: cond.String("high")}, {Path: "f_code", Compare: "contains", Value: cond.String("21")}}
	none.Key = "no such key"
	qs := []ask.Query{base, back, high}
	pages := together(t, r, qs)
	for i, q := range qs {
		alone := fetch(t, r, q)
		if len(alone.Rows) == 0 || len(alone.Rows) != len(pages[i].Rows) || alone.Next != pages[i].Next {
			t.Fatalf("query %d: %d rows up to %q, alone %d up to %q", i, len(pages[i].Rows), pages[i].Next, len(alone.Rows), alone.Next)
		}
		for k, row := range alone.Rows {
			if got := pages[i].Rows[k]; got.Key != row.Key || got.Cursor != row.Cursor || got.Values["f_cabin.f_number"].Wire() != row.Values["f_cabin.f_number"].Wire() {
				t.Errorf("query %d, row %d: %+v, alone %+v", i, k, got, row)
			}
		}
	}
	// What cannot be a key finds nothing, and spoils nothing beside it.
	for _, qs := range [][]ask.Query{{none, base}, {base, none}} {
		for i, page := range together(t, r, qs) {
			if (len(page.Rows) == 0) != (qs[i].Key != "") {
				t.Errorf("query %d of %d beside what is no key: %d rows", i, len(qs), len(page.Rows))
			}
		}
	}
	count, group := base, ask.GroupQuery{Table: base.Table, By: "f_state", Rights: ask.EveryRow}
	bad := base
	bad.After = "no cursor"
	answers := r.Together(context.Background(), []ask.Question{{Fetch: &bad}, {Count: &count}, {Group: &group}})
	n, _ := r.Count(context.Background(), count)
	groups, _ := r.Group(context.Background(), group)
	if answers[0].Err == nil || answers[1].Err != nil || answers[1].Count != n || n.N == 0 || answers[2].Err != nil || !reflect.DeepEqual(answers[2].Groups, groups) || len(groups) == 0 {
		t.Errorf("a cursor that is none, a count and groups at once: %+v", answers)
	}
}

// together gives the pages of several queries that go to the database at once.
func together(t *testing.T, r *records.Reader, qs []ask.Query) []ask.Page {
	t.Helper()
	pages := make([]ask.Page, len(qs))
	var round ask.Round
	for i, q := range qs {
		round.Fetch(q, func(page ask.Page, err error) error {
			pages[i] = page
			return err
		})
	}
	if err := round.Run(context.Background(), r); err != nil {
		t.Fatal(err)
	}
	return pages
}

// What lies beyond the largest groups is one, and with them comes to what SQL counts; what is looked for narrows it.
func TestGroupsBeyondTheLargestAreOne(t *testing.T) {
	p := tarnhorn(t)
	r := up.Records.Reader(p)
	defects := p.Tables["t_defects"]
	all, err := r.Group(t.Context(), ask.GroupQuery{Table: defects, By: "f_cabin", Split: "f_state", Rights: ask.EveryRow, Limit: 3})
	if err != nil || len(all) != 4 {
		t.Fatalf("%d groups: %v", len(all), err)
	}
	var n, parts float64
	for _, g := range all {
		n += g.N
		for _, part := range g.Parts {
			parts += part.N
		}
	}
	want, cabins := float64(scalar(t, "select count(*) from tarnhorn.defects")), scalar(t, "select count(distinct coalesce(cabin_id, -1)) from tarnhorn.defects")
	if n != want || parts != want || all[3].Rest != cabins-3 || all[0].Rest != 0 || all[0].N < all[1].N {
		t.Errorf("%v in groups, %v in parts, want %v; %d beyond of %d", n, parts, want, all[3].Rest, cabins)
	}
	found, err := r.Group(t.Context(), ask.GroupQuery{Table: defects, Rights: ask.EveryRow, Find: ask.Find{Words: []string{"D-2240"}, Paths: []string{"f_code"}}})
	if err != nil || len(found) != 1 || found[0].N != 1 {
		t.Errorf("%+v %v", found, err)
	}
}
