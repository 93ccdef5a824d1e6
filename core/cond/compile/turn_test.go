package compile_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/cond/prove"
)

func TestTheSmallestChangeThatWouldDo(t *testing.T) {
	c := compiler(t)
	w := world{values: map[string]cond.Value{"record.f_state": cond.String("closed"), "record.f_count": cond.Int(1), "record.f_done": cond.Bool(false), "record.f_temp": cond.UnknownBecause("stale")}, roles: map[string]bool{"r_tech": true}}
	for text, want := range map[string]string{
		`record.state == "closed"`:                                                           "",
		`record.state == "open"`:                                                             "state is “open” (closed)",
		`record.state != "closed" && record.count > 2`:                                       "state is not “closed”, or empty (closed); count is more than 2 (1)",
		`record.state == "open" || record.count > 2 && record.done`:                          "state is “open” (closed)",
		`record.done && record.count > 1 || record.state == "open" && user.is("Technician")`: "state is “open” (closed)",
		`!(record.state == "closed" || record.count == 1)`:                                   "state is not “closed”, or empty (closed); count is not 1 (1)",
		`record.urgent`:         "state is “open” (closed); count is more than 1 (1)",
		`user.is("Shift lead")`: "the user is Shift lead ()",
		`record.temperature < 80.0 && record.count == 1`:             "temperature is less than 80 °C ()",
		`record.count == 1 ? record.done : record.state == "closed"`: "done is yes ()",
		// What would undo a part that holds is no way: the two may not both be so.
		`(record.state == "open" || record.count == 3) && (record.state == "waiting" || record.count == 4 || record.done)`: "state is “open” (closed); count is 4 (1)",
		`record.state == "open" && record.state == "waiting"`:                                                              "",
	} {
		var got []string
		for _, turn := range prove.Turns(compiled1(t, c, text), w) {
			got = append(got, turn.Words+" ("+turn.Value+")")
		}
		if strings.Join(got, "; ") != want {
			t.Errorf("%s: %s, want %s", text, strings.Join(got, "; "), want)
		}
	}
}

// The change proposed is one that does turn it: among the worlds that meet all of it, some make
// the condition hold; and no single comparison would have done where several are named.
func TestProposedChangesTurnTheCondition(t *testing.T) {
	c, m := compiler(t), seeded(16)
	tried := 0
	for range 200 {
		tree := compiled1(t, c, m.condition(2))
		w := m.known()
		turns := prove.Turns(tree, w)
		if len(turns) == 0 {
			if !tree.Eval(w).True() && prove.CanHold(tree) == prove.Yes {
				t.Errorf("%s could hold, and nothing is proposed", tree.Phrase())
			}
			continue
		}
		if tree.Eval(w).True() {
			t.Errorf("%s holds and %v is to change", tree.Phrase(), turns)
		}
		if prove.CanHold(tree) == prove.No {
			t.Errorf("%s can never hold, and %v is proposed", tree.Phrase(), turns)
		}
		tried++
	}
	if tried < 50 {
		t.Errorf("only %d were proposed for", tried)
	}
}
