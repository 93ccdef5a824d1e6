package bounds

import (
	"testing"
	"time"
)

func TestWhatGoesThroughAllOfAnApplicationMayTakeLonger(t *testing.T) {
	usual := Limits{}.Filled()
	for route, want := range map[string]time.Duration{
		"/api/use/:project/press":            usual.Answer,
		"/api/build/:project/edits":          usual.Answer,
		"/api/build/:project/readiness":      usual.Whole,
		"/api/build/:project/releases":       usual.Whole,
		"/api/build/:project/walks/gone":     usual.Whole,
		"/api/build/:project/reach":          usual.Whole,
		"/api/build/:project/reach/path":     usual.Answer,
		"/api/use/:project/events":           0,
		"/api/use/:project/lists/:list/csv":  0,
		"/api/build/:project/clips":          0,
		"/api/build/:project/releases/:n/to": usual.Answer,
	} {
		if got := usual.Due(route); got != want {
			t.Errorf("%s: %v, want %v", route, got, want)
		}
	}
	if got := (Limits{Answer: 2 * time.Minute}).Filled().Due("/api/build/:project/readiness"); got != 2*time.Minute {
		t.Errorf("where all answers may take two minutes, this one may take %v", got)
	}
}
