package server_test

import (
	"testing"
	"time"

	"ambergate/api"
	"ambergate/server/recorded"
	"ambergate/store"
)

// What trends show is kept though nobody looks, and there again for the next start; builders see it on the stage.
func TestTrendsGoOnOverARestart(t *testing.T) {
	now := time.Now()
	const node = "LT.wind.gust"
	earlier := store.Samples{Plant: "ropeway", Node: node, At: []int64{now.Add(-20 * time.Minute).UnixMilli(), now.Add(-19 * time.Minute).UnixMilli()}, Values: []float64{77, 78}}
	old := store.Samples{Plant: "ropeway", Node: node, At: []int64{now.Add(-2 * time.Hour).UnixMilli()}, Values: []float64{1}}
	for _, s := range []store.Samples{old, earlier} {
		if err := up.Store.KeepSamples(t.Context(), []store.Samples{s}, now.Add(-90*time.Minute)); err != nil {
			t.Fatal(err)
		}
	}
	k := recorded.New(up.Server.Base)
	until(t, "it is kept", func() bool {
		k.Once(t.Context(), true)
		kept, err := up.Store.SamplesOf(t.Context(), "ropeway", node, now)
		return err == nil && len(kept.At) > 0 && kept.At[len(kept.At)-1] >= now.UnixMilli() // a busy one keeps what was before with it
	})
	kept, err := up.Store.SamplesOf(t.Context(), "ropeway", node, time.Time{})
	if err != nil || kept.Values[0] != 77 {
		t.Errorf("what is older than an hour is still there: %v %v", kept, err)
	}

	begins := func(who string, trend api.Trend) {
		line := trend["l_2"]
		if len(line) < 3 || line[0].Value != 77 || line[1].Value != 78 {
			t.Errorf("%s sees %d samples: %v", who, len(line), line[:min(len(line), 3)])
		}
	}
	jon := as(t, "jon")
	shown := jon.open("/line-overview")
	var trend api.Trend
	jon.must("GET", "/api/use/tarnhorn/trend?trail="+shown.Trail+"&n=1&element=e_trend", nil, &trend)
	begins("an operator", trend)
	trend = nil
	as(t, "arno").must("POST", "/api/build/tarnhorn/work/trend", map[string]any{"work": map[string]any{"screen": "s_over", "as": "a_jon"}, "element": "e_trend"}, &trend)
	begins("a builder", trend)
}
