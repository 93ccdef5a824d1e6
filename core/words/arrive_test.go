package words_test

import (
	"fmt"
	"strings"
	"testing"

	"ambergate/core/stand"
)

// arriving is a gate that opens the defects narrowed and ordered at first.
func arriving(filters, sort string) string {
	return stand.One(fmt.Sprintf(`{"kind":"screen","target":"s_list","arrive":{"filters":{%s},"sort":{%s}}}`, filters, sort))
}

func TestWhatAListIsNarrowedToIsSaidInWords(t *testing.T) {
	for name, tc := range map[string]struct{ filters, sort, want string }{
		"a choice":    {`"a_1":{"pos":1,"path":"f_state","compare":"isNot","value":"closed"}`, ``, "open Defects where state is not closed, in full."},
		"a record":    {`"a_1":{"pos":1,"path":"f_cabin","compare":"is","value":"7"}`, ``, "open Defects where cabin is 007, in full."},
		"empty":       {`"a_1":{"pos":1,"path":"f_cabin","compare":"empty"}`, ``, "open Defects where cabin is empty, in full."},
		"past days":   {`"a_1":{"pos":1,"path":"f_on","compare":"days","value":"-7..0"}`, ``, "open Defects where on the last 7 days, in full."},
		"a number":    {`"a_1":{"pos":1,"path":"f_hours","compare":"atLeast","value":"2.5"}`, ``, "open Defects where hours is at least 2.5, in full."},
		"a range":     {`"a_1":{"pos":1,"path":"f_hours","compare":"between","value":"1..3"}`, ``, "open Defects where hours 1 to 3, in full."},
		"two":         {`"a_2":{"pos":2,"path":"f_hours","compare":"atMost","value":"9"},"a_1":{"pos":1,"path":"f_state","compare":"is","value":"open"}`, ``, "open Defects where state is open and hours is at most 9, in full."},
		"an order":    {``, `"a_1":{"pos":1,"path":"f_hours","desc":true},"a_2":{"pos":2,"path":"f_code"}`, "open Defects, ordered by hours, the highest first, then by code, in full."},
		"both":        {`"a_1":{"pos":1,"path":"f_state","compare":"is","value":"open"}`, `"a_1":{"pos":1,"path":"f_on"}`, "open Defects where state is open, ordered by on, in full."},
		"a lost path": {`"a_1":{"pos":1,"path":"f_gone","compare":"is","value":"open"}`, ``, "open Defects, in full."},
	} {
		s := stand.New(t, stand.WiredTo("s_board", arriving(tc.filters, tc.sort), stand.Dated))
		if got := stand.SentenceText(s.Called(t, s.Mira, "board").Sentence); !strings.HasSuffix(got, tc.want) {
			t.Errorf("%s: %s", name, got)
		}
	}
}
