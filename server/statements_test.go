package server_test

import (
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/demo/stage/stagetest"
)

// The short way of a press: what is believed for a second has ended, as after a while of thinking.
func TestAPressTakesFewStatements(t *testing.T) {
	for _, tc := range []struct {
		what    string
		most    int
		login   string
		address string
		element string
		more    func(shown api.Shown) map[string]any
	}{
		{"opening a row", 6, "mira", "/defects", "e_list", func(api.Shown) map[string]any { return map[string]any{"row": "107"} }},
		{"a sign", 5, "mira", "", "e_cabins", nil},
		{"Edit", 6, "mira", "/defect?defect=107", "e_edit", nil},
		{"saving", 12, "mira", "/defect?defect=107&~mode=edit", "e_save", func(shown api.Shown) map[string]any {
			was := fieldWords(shown, "f_what")
			return map[string]any{"values": map[string]string{"f_what": was + "!"}, "base": map[string]string{"f_what": was}, "version": shown.View.Record.Version}
		}},
	} {
		p := as(t, tc.login)
		pressed := func(shown api.Shown) api.Shown {
			if tc.more == nil {
				return p.pressed(shown, tc.element, nil)
			}
			return p.pressed(shown, tc.element, tc.more(shown))
		}
		count := func() []string {
			shown := p.open(tc.address)
			time.Sleep(1200 * time.Millisecond)
			return stagetest.Statements.During(func() { pressed(shown) })
		}
		pressed(p.open(tc.address)) // what is compiled once is there
		told := count()
		if len(told) > tc.most { // what is believed for longer may just have ended
			told = count()
		}
		t.Logf("%s: %d", tc.what, len(told))
		if len(told) > tc.most {
			t.Errorf("%s takes %d statements, at most %d:\n%s", tc.what, len(told), tc.most, strings.Join(told, "\n"))
		}
	}
}

// What a screen shows beyond its own record is asked for in one go, and what hangs on that in a second.
func TestAScreenTakesFewTripsToItsDatabase(t *testing.T) {
	const store = 4 // who asks, the trail and the new place: trips to the program's own store
	for _, tc := range []struct {
		login, address string
		most           int
	}{
		{"mira", "/defects", store + 2},        // the rows, how many there are
		{"sela", "/season", store + 1},         // two charts
		{"mira", "/cabin?cabin=87", store + 4}, // the cabin, its neighbours, all the rest; and, in the store, which tasks were begun
		{"sela", "/inspection?inspection=20", store + 3},
	} {
		p := as(t, tc.login)
		p.open(tc.address) // what is compiled once is there
		told, trips := []string{}, tc.most+1
		for tries := 0; tries < 2 && trips > tc.most; tries++ { // what is believed for longer may just have ended
			told = stagetest.Statements.During(func() { p.open(tc.address) })
			trips = stagetest.Statements.Trips()
		}
		t.Logf("%s: %d statements in %d trips", tc.address, len(told), trips)
		if trips > tc.most {
			t.Errorf("%s takes %d trips, at most %d:\n%s", tc.address, trips, tc.most, strings.Join(told, "\n"))
		}
	}
}
