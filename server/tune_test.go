package server

import "testing"

func TestGarbageIsCollectedSeldomWhileLittleLives(t *testing.T) {
	const mb = 1 << 20
	for live, want := range map[uint64]int{0: 400, 20 * mb: 400, 32 * mb: 400, 40 * mb: 300, 80 * mb: 100, 100 * mb: 75, 900 * mb: 75} {
		if got := collectAt(live); got != want {
			t.Errorf("with %d MB: %d %%, want %d", live/mb, got, want)
		}
	}
}
