package words_test

import (
	"testing"

	"ambergate/core/ask"
	"ambergate/core/stand"
	"ambergate/core/words"
)

// An order from its end is said by what it orders.
func TestOrdersAreSaidByTheKindOfTheField(t *testing.T) {
	s := stand.New(t, `[
	 {"op":"add","path":"/t_defects/fields/f_on","value":{"pos":9,"column":"on","alias":"on","label":"On","type":"date","nullable":true}},
	 {"op":"add","path":"/t_defects/fields/f_seen","value":{"pos":10,"column":"seen","alias":"seen","label":"Seen","type":"moment","nullable":true}},
	 {"op":"add","path":"/t_defects/fields/f_fixed","value":{"pos":11,"column":"fixed","alias":"fixed","label":"Fixed","type":"yesno","nullable":true}},
	 {"op":"add","path":"/t_defects/fields/f_rank","value":{"pos":12,"column":"rank","alias":"rank","label":"Rank","type":"text","choices":["low","high"],"nullable":true}}]`)
	for path, want := range map[string]string{
		"f_on": "on, newest first", "f_seen": "seen, newest first", "f_fixed": "fixed, yes first", "f_rank": "rank, the highest first", "f_what": "what, Z to A", "f_hours": "hours, the highest first",
		"f_cabin.f_no": "cabin’s number, Z to A", "f_gone": "a field that is gone",
	} {
		if got := words.Order(s.App, "t_defects", []ask.Sort{{Path: path, Desc: true}}); got != want {
			t.Errorf("%s is said %q, want %q", path, got, want)
		}
	}
	if got := words.Order(s.App, "t_defects", []ask.Sort{{Path: "f_on"}, {Path: "f_what", Desc: true}}); got != "on, then what, Z to A" {
		t.Errorf("two of them: %q", got)
	}
	if got := words.Order(s.App, "t_defects", nil); got != "the key" {
		t.Errorf("none: %q", got)
	}
}
