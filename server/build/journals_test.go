package build

import (
	"testing"

	"ambergate/core/press"
)

func TestJournalsBelongToTheirBuilder(t *testing.T) {
	j := newJournals()
	id := j.add("", "a", practised{press: press.Press{Element: "e_1"}})
	if again := j.add(id, "a", practised{press: press.Press{Element: "e_2"}}); again != id {
		t.Errorf("the journal became %s", again)
	}
	if got := j.of(id, "a"); len(got) != 2 || got[1].press.Element != "e_2" {
		t.Errorf("%+v", got)
	}
	if got := j.of(id, "b"); got != nil {
		t.Errorf("another builder reads %+v", got)
	}
	if other := j.add(id, "b", practised{}); other == id || len(j.of(id, "a")) != 2 {
		t.Error("another builder goes on with it")
	}
	if got := j.of("", "a"); got != nil {
		t.Errorf("no journal holds %+v", got)
	}
}
