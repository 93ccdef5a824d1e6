package store_test

import (
	"testing"
	"time"

	"ambergate/store"
)

func TestPressesAreCountedByTheWeek(t *testing.T) {
	s, id := up.Store, newProject(t, "p_used")
	now := time.Date(2026, 11, 25, 12, 0, 0, 0, time.UTC) // a Wednesday
	way := store.Used{Project: id, Screen: "s_a", Element: "e_a", Trigger: "release", N: 3}
	other := store.Used{Project: "p_gone", Screen: "s_a", Element: "e_a", Trigger: "release", N: 9}
	for _, at := range []time.Time{now, now.Add(-24 * time.Hour), now.AddDate(0, 0, -7), now.AddDate(0, 0, -100)} {
		if err := s.AddUsed(t.Context(), at, []store.Used{way, other}); err != nil {
			t.Fatal(err)
		}
	}
	used, err := s.UsedWays(t.Context(), id, now)
	if err != nil || len(used) != 1 || used[0].Week != 6 || used[0].N != 9 {
		t.Errorf("%+v, %v: want 6 of this week, 9 of ten", used, err)
	}
}
