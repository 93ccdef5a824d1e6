package ask_test

import (
	"testing"

	"ambergate/core/ask"
	"ambergate/core/project"
)

func TestWhatHangsOnARecordIsCalledAsManyAsThereAre(t *testing.T) {
	parts := &project.Table{Label: "Parts used", One: "part used"}
	for n, want := range map[int]string{0: "Parts used", 1: "part used", 2: "Parts used"} {
		if h := ask.HangingOf(parts, n, "deleted"); h.Label != want || h.N != n || h.Then != "deleted" {
			t.Errorf("%d: %+v", n, h)
		}
	}
	if h := ask.HangingOf(&project.Table{Label: "Parts used"}, 1, "kept"); h.Label != "Parts used" {
		t.Errorf("a table without a word for one: %+v", h)
	}
}
