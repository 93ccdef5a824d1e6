package server

import "testing"

func TestGarbageIsCollectedSeldomWhileLittleLives(t *testing.T) {
	const mb = 1 << 20
	for live, want := range map[uint64]int{0: 400, 20 * mb: 400, 64 * mb: 400, 80 * mb: 300, 160 * mb: 100, 200 * mb: 75, 900 * mb: 75} {
		if got := collectAt(live); got != want {
			t.Errorf("with %d MB: %d %%, want %d", live/mb, got, want)
		}
	}
}
