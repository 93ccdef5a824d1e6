package bounds

import (
	"slices"
	"testing"
	"time"

	"github.com/getkin/kin-openapi/openapi3"

	"ambergate/api"
)

// Of all calls that there are, these may take longer than an answer does.
func TestWhatGoesThroughAllOfAnApplicationMayTakeLonger(t *testing.T) {
	document, err := openapi3.NewLoader().LoadFromData(api.Document)
	if err != nil {
		t.Fatal(err)
	}
	usual := Limits{}.Filled()
	by := map[time.Duration][]string{}
	for path := range document.Paths.Map() {
		by[usual.Due(path)] = append(by[usual.Due(path)], path)
	}
	for due, want := range map[time.Duration][]string{
		usual.Whole: {"/api/build/{project}/reach", "/api/build/{project}/readiness", "/api/build/{project}/releases", "/api/build/{project}/walks/gone"},
		0:           {"/api/build/{project}/clips", "/api/build/{project}/events", "/api/use/{project}/csv", "/api/use/{project}/events"},
	} {
		slices.Sort(by[due])
		if !slices.Equal(by[due], want) {
			t.Errorf("%v: %q, want %q", due, by[due], want)
		}
	}
	if len(by[usual.Answer]) < 100 || len(by) != 3 {
		t.Errorf("%d of %d sorts are as usual", len(by[usual.Answer]), len(by))
	}
	if got := (Limits{Answer: 2 * time.Minute}).Filled().Due("/api/build/{project}/readiness"); got != 2*time.Minute {
		t.Errorf("where all answers may take two minutes, this one may take %v", got)
	}
}
