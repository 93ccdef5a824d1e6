package store_test

import (
	"testing"

	"ambergate/store"
)

// What takes back the newest own edit is told without taking it back; what others did since does not count.
func TestTheLastEditOfABuilder(t *testing.T) {
	id := newProject(t, "p_last")
	last := func(by string) int {
		t.Helper()
		inverse, err := up.Store.LastEdit(ctx, id, by)
		if err != nil {
			t.Fatal(err)
		}
		return len(inverse)
	}
	if n := last("a_arno"); n != 0 {
		t.Errorf("nothing was edited, and %d operations take it back", n)
	}
	for _, e := range [][2]string{{"a_arno", "One"}, {"a_nora", "Two"}} { // the later one can be taken back
		if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: e[0], Patch: edited(t, rename(e[1]))}); err != nil {
			t.Fatal(err)
		}
	}
	if last("a_arno") == 0 || last("a_nora") == 0 {
		t.Error("each has edited")
	}
	before := title(t, id, "s_cabin")
	if last("a_arno"); title(t, id, "s_cabin") != before {
		t.Error("asking takes it back")
	}
	if _, err := up.Store.Undo(ctx, id, "a_nora", ""); err != nil {
		t.Fatal(err)
	}
	if n := last("a_nora"); n != 0 {
		t.Errorf("what was undone is told: %d operations", n)
	}
}
