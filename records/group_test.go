package records_test

import (
	"fmt"
	"math"
	"testing"

	"ambergate/core/ask"
)

// Ranges of a number hold what SQL counts between their ends, in the order of numbers.
func TestRangesOfANumber(t *testing.T) {
	p := tarnhorn(t)
	const step = 5000
	groups, err := up.Records.Reader(p).Group(t.Context(), ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_cabins"], By: "f_distance", Step: step, Limit: 100})
	if err != nil || len(groups) < 2 {
		t.Fatalf("%+v %v", groups, err)
	}
	all, last := 0.0, -math.MaxFloat64
	for _, g := range groups {
		from, ok := g.Value.Float64()
		if !ok || from <= last || math.Mod(from, step) != 0 {
			t.Errorf("%v comes after %v", g.Value, last)
		}
		last = from
		if want := scalar(t, fmt.Sprintf("select count(*) from tarnhorn.cabins where distance_km >= %d and distance_km < %d", int(from), int(from)+step)); int(g.N) != want {
			t.Errorf("from %v: %v, want %d", from, g.N, want)
		}
		all += g.N
	}
	if want := scalar(t, "select count(*) from tarnhorn.cabins"); int(all) != want {
		t.Errorf("%v in all, want %d", all, want)
	}
	// Of few that are shown, the largest; what stands for the others is last.
	few, err := up.Records.Reader(p).Group(t.Context(), ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_cabins"], By: "f_distance", Step: step, Limit: 2})
	if err != nil || len(few) != 3 || few[2].Rest != len(groups)-2 {
		t.Errorf("%+v %v", few, err)
	}
	// A fraction as a step, of a decimal.
	tenths, err := up.Records.Reader(p).Group(t.Context(), ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_wind"], By: "f_gust", Step: 0.5, Limit: 10})
	if err != nil || len(tenths) == 0 {
		t.Fatal(err)
	}
	for _, g := range tenths {
		if g.Rest > 0 || !g.Value.Known() || g.Value.IsNull() {
			continue
		}
		from, _ := g.Value.Float64()
		if want := scalar(t, fmt.Sprintf("select count(*) from tarnhorn.wind where gust >= %[1]v and gust < %[1]v + 0.5", from)); int(g.N) != want {
			t.Errorf("gusts from %v: %v, want %d", from, g.N, want)
		}
	}
}

func TestSeveralMeasuresOfAPoint(t *testing.T) {
	p := tarnhorn(t)
	groups, err := up.Records.Reader(p).Group(t.Context(), ask.GroupQuery{Rights: ask.EveryRow, Table: p.Tables["t_cabins"], By: "f_state", Limit: 20,
		More: []ask.Measure{{Measure: "mean", Of: "f_distance"}, {Measure: "most", Of: "f_distance"}}})
	if err != nil || len(groups) < 2 {
		t.Fatalf("%+v %v", groups, err)
	}
	for _, g := range groups {
		of := " from tarnhorn.cabins where state = '" + g.Value.Wire() + "'"
		want := []float64{number(t, "select count(*)::float8"+of), number(t, "select avg(distance_km)::float8"+of), number(t, "select max(distance_km)::float8"+of)}
		if got := append([]float64{g.N}, g.More...); fmt.Sprint(got) != fmt.Sprint(want) {
			t.Errorf("%s: %v, want %v", g.Value.Wire(), got, want)
		}
	}
}
