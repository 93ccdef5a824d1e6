package callup_test

import (
	"slices"
	"testing"
	"time"

	"ambergate/core/callup"
	"ambergate/core/cond"
)

var (
	yes  = cond.Bool(true)
	no   = cond.Bool(false)
	none = cond.UnknownBecause("the plant does not answer")
)

func TestOccurrences(t *testing.T) {
	type step struct {
		at   int // seconds
		v    cond.Value
		want []callup.Event
	}
	for what, tc := range map[string]struct {
		dwell time.Duration
		steps []step
	}{
		"true when it is first known opens one": {0, []step{{0, none, nil}, {1, yes, []callup.Event{callup.Began, callup.Front}}, {2, yes, nil}}},
		"a bad value in between is no end":      {0, []step{{0, yes, []callup.Event{callup.Began, callup.Front}}, {1, none, nil}, {2, yes, nil}, {3, no, []callup.Event{callup.Ended}}}},
		"off, and on again, is another":         {0, []step{{0, yes, []callup.Event{callup.Began, callup.Front}}, {1, no, []callup.Event{callup.Ended}}, {2, yes, []callup.Event{callup.Began, callup.Front}}}},
		"it waits, and comes if it is still on": {5 * time.Second, []step{{0, yes, []callup.Event{callup.Began}}, {4, yes, nil}, {5, yes, []callup.Event{callup.Front}}, {6, yes, nil}}},
		"it waits, and ends before":             {5 * time.Second, []step{{0, yes, []callup.Event{callup.Began}}, {4, no, []callup.Event{callup.Ended}}, {9, no, nil}}},
		"unknown at the end of its wait":        {5 * time.Second, []step{{0, yes, []callup.Event{callup.Began}}, {5, none, nil}, {8, yes, []callup.Event{callup.Front}}}},
		"off from the beginning":                {0, []step{{0, no, nil}, {1, none, nil}, {2, no, nil}}},
	} {
		m := callup.Machine{Dwell: tc.dwell}
		began := time.Date(2026, 11, 29, 10, 0, 0, 0, time.UTC)
		for _, s := range tc.steps {
			now := began.Add(time.Duration(s.at) * time.Second)
			if got := m.Step(now, s.v); !slices.Equal(got, s.want) {
				t.Errorf("%s: at %d s %v, want %v", what, s.at, got, s.want)
			}
			if at, waits := m.Due(); waits && (tc.dwell == 0 || at != began.Add(tc.dwell)) {
				t.Errorf("%s: at %d s it is due at %v", what, s.at, at)
			}
		}
	}
}
