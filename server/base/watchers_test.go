package base

import "testing"

func TestWatchersGetTheNewestNumber(t *testing.T) {
	w := NewWatchers()
	one, stop := w.Add("p")
	other, stopOther := w.Add("q")
	defer stopOther()
	for seq := range int64(5) {
		w.Tell("p", seq)
	}
	if got := <-one; got != 4 {
		t.Errorf("told %d, the newest is 4", got)
	}
	select {
	case got := <-other:
		t.Errorf("told of another project: %d", got)
	default:
	}
	stop()
	w.Tell("p", 9)
	select {
	case got := <-one:
		t.Errorf("told after it stopped: %d", got)
	default:
	}
}
