package records

import (
	"testing"
	"time"
)

func TestAReplicaIsFarEnough(t *testing.T) {
	now := time.Now()
	ago := func(s float64) time.Time { return now.Add(-time.Duration(s * float64(time.Second))) }
	marks := []mark{{100, ago(8)}, {200, ago(6)}, {300, ago(3)}, {400, ago(1)}}
	for name, tc := range map[string]struct {
		at     Position
		known  time.Time
		marks  []mark
		needed Position
		want   bool
	}{
		"as far as is needed":              {250, ago(0.1), marks, 250, true},
		"not as far":                       {250, ago(0.1), marks, 251, false},
		"it has not said for long":         {250, ago(2), marks, 0, false},
		"more than five seconds behind":    {150, ago(0.1), marks, 0, false},
		"a little behind":                  {200, ago(0.1), marks, 0, true},
		"nothing is known of the database": {250, ago(0.1), nil, 0, false},
		"little is known of it":            {300, ago(0.1), marks[2:], 0, true},
		"it never said":                    {0, time.Time{}, marks, 0, false},
	} {
		r := &replica{at: tc.at, known: tc.known, marks: tc.marks}
		if got := r.has(tc.needed, now); got != tc.want {
			t.Errorf("%s: %v", name, got)
		}
	}
}
