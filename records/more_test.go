package records_test

import (
	"context"
	"errors"
	"testing"
	"time"

	"ambergate/core/cond"
	"ambergate/core/nav"
	"ambergate/core/project"
	"ambergate/records"
)

// points is a table with a key of two fields, which the demo's project does not use.
func points(p *project.Project) *project.Table {
	t := &project.Table{ID: "t_points", Source: "so_db", Relation: "inspection_points", Label: "Points", One: "point", Key: []string{"f_insp", "f_pos"}, Fields: map[string]*project.Column{
		"f_insp":     {ID: "f_insp", Column: "inspection_id", Alias: "inspection", Label: "Inspection", Type: "whole"},
		"f_pos":      {ID: "f_pos", Column: "pos", Alias: "pos", Label: "Position", Type: "whole"},
		"f_outcome":  {ID: "f_outcome", Column: "outcome", Alias: "outcome", Label: "Outcome", Type: "text", Choices: []string{"good", "watch", "bad"}},
		"f_measured": {ID: "f_measured", Column: "measured", Alias: "measured", Label: "Measured", Type: "decimal", Nullable: true},
	}}
	p.Tables[t.ID] = t
	return t
}

func TestKeysOfSeveralFields(t *testing.T) {
	p := tarnhorn(t)
	table := points(p)
	page := fetch(t, up.Records.Reader(p), nav.Query{Rights: nav.EveryRow, Table: table, Paths: []string{"f_outcome"}, Key: "3~2", Limit: 1})
	if len(page.Rows) != 1 || page.Rows[0].Key != "3~2" {
		t.Fatalf("%+v", page.Rows)
	}
	ctx := context.Background()
	err := up.Records.Try(ctx, p, func(press *records.Press) error {
		if err := press.Update(ctx, table, "3~2", map[string]cond.Value{"f_outcome": cond.String("bad")}); err != nil {
			return err
		}
		changed := fetch(t, press, nav.Query{Rights: nav.EveryRow, Table: table, Paths: []string{"f_outcome"}, Match: []nav.Match{{Path: "f_insp", Compare: "is", Value: cond.Int(3)}, {Path: "f_outcome", Compare: "is", Value: cond.String("bad")}}})
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
		page := fetch(t, up.Records.Reader(p), nav.Query{Rights: nav.EveryRow, Table: table, Order: []nav.Sort{{Path: "f_outcome", Desc: true}, {Path: "f_measured"}}, Limit: 97, After: after})
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
	groups, err := up.Records.Reader(p).Group(ctx, nav.GroupQuery{Rights: nav.EveryRow, Table: p.Tables["t_cabins"], By: "f_state", Measure: "sum", Of: "f_distance"})
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
		n, err := up.Records.Reader(p).Count(ctx, nav.Query{Rights: nav.EveryRow, Table: p.Tables["t_defects"], Match: []nav.Match{{Path: "f_due", Compare: compare, Value: cond.DateOf(day)}}})
		if err != nil {
			t.Fatal(err)
		}
		if want := scalar(t, "select count(*) from tarnhorn.defects where due_on "+sign+" '"+day.Format("2006-01-02")+"'"); n.N != want {
			t.Errorf("%s: %d, want %d", compare, n.N, want)
		}
	}
	byLift, err := up.Records.Reader(p).Group(ctx, nav.GroupQuery{Rights: nav.EveryRow, Table: p.Tables["t_defects"], By: "f_cabin.f_lift", Title: []string{"f_cabin.f_lift.f_name"}, Limit: 2})
	if err != nil || len(byLift) != 2 {
		t.Errorf("by a parent's parent: %+v %v", byLift, err)
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
			_, err := press.Fetch(ctx, nav.Query{Rights: nav.EveryRow, Table: table, Key: "9", Paths: []string{"f_number"}, Lock: true, Limit: 1})
			close(held)
			<-release
			return err
		})
	}()
	<-held
	began := time.Now()
	err := up.Records.Try(ctx, p, func(press *records.Press) error {
		_, err := press.Fetch(ctx, nav.Query{Rights: nav.EveryRow, Table: table, Key: "9", Paths: []string{"f_number"}, Lock: true, Limit: 1})
		return err
	})
	close(release)
	if err == nil || time.Since(began) > 3*time.Second {
		t.Errorf("a locked record gave %v after %s", err, time.Since(began))
	}
	if err := <-done; err != nil {
		t.Error(err)
	}
}

func TestWritingToWhatIsGone(t *testing.T) {
	p := tarnhorn(t)
	ctx := context.Background()
	err := up.Records.Try(ctx, p, func(press *records.Press) error {
		return press.Update(ctx, p.Tables["t_cabins"], "99999", map[string]cond.Value{"f_note": cond.String("x")})
	})
	var refusal *nav.Refusal
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
