package stand

import (
	"context"
	"errors"
	"fmt"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/use"
)

// Chooser is a screen, opened as a dialog, whose rows close it with the cabin that was clicked.
const Chooser = `{"op":"add","path":"/s_choose","value":{"kind":"screen","type":"list","title":"Choose","slug":"choose","elements":{
  "e_list":{"kind":"list","pos":1,"cell":{"row":1,"col":1,"w":12},"table":"t_cabins","columns":{"k_1":{"pos":1,"path":"f_no"}},"opened":{"cases":{"c_1":{"pos":1,"move":{"kind":"close","result":{"rule":"row"}}}}}},
  "e_plain":{"kind":"button","pos":2,"cell":{"row":9,"col":1,"w":2},"words":"Never mind","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"close"}}}}}}}},
 {"op":"add","path":"/g_put","value":{"kind":"gate","pos":1,"name":"Put it on a cabin","inputs":{"i_it":{"pos":1,"alias":"it","label":"Cabin","type":"record","table":"t_cabins","required":true}},
  "gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1,"fields":{"f_cabin":"inputs.i_it"}}}}}}}}`

// Asks is a gate that opens the chooser and says what happens when it comes back.
func Asks(back string) string {
	return One(`{"kind":"screen","target":"s_choose","as":"dialog","back":` + back + `}`)
}

// Called gives the way of the button on trial as a builder who walks as a user is told it.
func (s *Stand) Called(t *testing.T, user *ask.User, address string) build.WayOut {
	t.Helper()
	src := s.Sources()
	src.Ghosts = true
	o, err := use.Open(t.Context(), s.App, user, s.Place(t, address), src)
	if err != nil {
		t.Fatal(err)
	}
	for _, w := range build.WaysCalled(t.Context(), o, src) {
		if w.Element == "e_try" {
			return w
		}
	}
	t.Fatal("the button has no way")
	return build.WayOut{}
}

// Adding is a gate that adds a defect and opens it.
func Adding(fields string) string {
	return fmt.Sprintf(`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"pos":1,"kind":"add","table":"t_defects","fields":{%s}}},"move":{"kind":"screen","target":"s_defect","mode":"edit","bind":{"i_d":{"rule":"saved","table":"t_defects"}}}}}}`, fields)
}

const Door = `"f_code":"\"D-\" + record.f_no","f_what":"\"Door\"","f_state":"\"open\"","f_cabin":"record","f_by":"user.record"`

// Over is a shared gate that opens a defect while that is open.
const Over = `{"op":"add","path":"/g_over","value":{"kind":"gate","pos":3,"name":"Open it","inputs":{"i_it":{"pos":1,"alias":"it","label":"Defect","type":"record","table":"t_defects","required":true}},
 "gate":{"while":"inputs.i_it.f_state == \"open\"","otherwise":{"grey":"{inputs.i_it.f_code} is {inputs.i_it.f_state}."},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"input","value":"i_it"}}}}}}}}`

// RowRules is the ropeway with row rules: technicians see cabins in service only, and change defects
// that are nobody's or their own.
const RowRules = `[
 {"op":"add","path":"/gr_2/rows","value":"record.f_state == \"in service\""},
 {"op":"add","path":"/gr_1/changes","value":"record.f_by == null || record.f_by == user.record"},
 {"op":"add","path":"/t_cabins/tallies","value":{"n_open":{"pos":1,"alias":"open","label":"Open defects","take":"count","of":"t_defects","by":"f_cabin","while":"record.f_state == \"open\""}}},
 {"op":"add","path":"/c_mine","value":{"kind":"condition","pos":1,"name":"open and mine","alias":"open_and_mine","table":"t_defects","text":"record.f_state == \"open\" && record.f_by == user.record"}}
]`

// NewRuled gives the ropeway with row rules.
func NewRuled(t testing.TB) *Stand {
	s := New(t, RowRules)
	if len(s.App.Problems) > 0 {
		t.Fatalf("%+v", s.App.Problems)
	}
	// D-3 hangs on cabin 008, which is on hold; D-2 is somebody else's.
	s.Data.Rows["t_defects"]["3"]["f_cabin"] = cond.Key("8")
	s.Data.Rows["t_staff"]["2"] = map[string]cond.Value{"f_id": cond.Int(2), "f_name": cond.String("Other")}
	s.Data.Rows["t_defects"]["2"]["f_by"] = cond.Key("2")
	return s
}

// Code gives the code of a refusal; "" for any other error.
func Code(err error) string {
	var r *ask.Refusal
	if errors.As(err, &r) {
		return r.Code
	}
	return ""
}

// SharedGate is one gate that a row, a button and a chart use, with a condition over its input.
const SharedGate = `[
 {"op":"add","path":"/g_open","value":{"kind":"gate","pos":1,"name":"Open the defect","inputs":{"i_it":{"pos":1,"alias":"it","label":"Defect","type":"record","table":"t_defects","required":true}},
   "gate":{"while":"inputs.i_it.f_state == \"open\"","otherwise":{"grey":"{inputs.i_it.f_code} is closed."},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"input","value":"i_it"}}}}}}}},
 {"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_open","give":{"i_it":{"rule":"row"}}}},
 {"op":"add","path":"/s_defect/elements/e_self","value":{"kind":"button","pos":9,"cell":{"row":8,"col":1,"w":2},"words":"Again","gate":{"use":"g_open","give":{"i_it":{"rule":"this"}}}}},
 {"op":"replace","path":"/s_chart/elements/e_chart/by","value":"f_by"},
 {"op":"replace","path":"/s_chart/elements/e_chart/chosen","value":{"use":"g_open","give":{"i_it":{"rule":"point"}}}}
]`

// Stepping gives the defect form buttons that step, in a given order of the list.
const Stepping = `[
 {"op":"add","path":"/s_defect/position","value":true},
 {"op":"add","path":"/s_defect/elements/e_prev","value":{"kind":"button","pos":10,"cell":{"row":3,"col":1,"w":2},"words":"Previous","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"previous"}}}}}},
 {"op":"add","path":"/s_defect/elements/e_next","value":{"kind":"button","pos":11,"cell":{"row":3,"col":3,"w":2},"words":"Next","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"next"}}}}}},
 {"op":"add","path":"/s_defect/elements/e_round","value":{"kind":"button","pos":12,"cell":{"row":3,"col":5,"w":2},"words":"Round","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"next","none":"round"}}}}}},
 {"op":"add","path":"/s_defect/elements/e_say","value":{"kind":"button","pos":13,"cell":{"row":3,"col":7,"w":2},"words":"Say","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"step","step":"next","none":"stay","reason":"No more."}}}}}},
 {"op":"add","path":"/s_defect/elements/e_fin","value":{"kind":"button","pos":14,"cell":{"row":3,"col":9,"w":2},"words":"Close, next","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1,"fields":{"f_state":"\"closed\""}}},"move":{"kind":"step","step":"next"}}}}}}
]`

// At opens a place for Mira.
func (s *Stand) At(t testing.TB, p place.Place) *use.Opening {
	t.Helper()
	o, err := use.Open(context.Background(), s.App, s.Mira, p, s.Sources())
	if err != nil {
		t.Fatal(err)
	}
	return o
}

// Kept is variables of every sort: a record and a number of the tab, a yes or no of one screen.
const Kept = `{"op":"add","path":"/v_lift","value":{"kind":"variable","pos":1,"label":"My lift","alias":"my_lift","type":"record","table":"t_lifts"}},
 {"op":"add","path":"/v_count","value":{"kind":"variable","pos":2,"label":"Round","alias":"round","type":"whole","start":"1"}},
 {"op":"add","path":"/v_area","value":{"kind":"variable","pos":3,"label":"Area","alias":"area","type":"text","choices":["north","south"]}},
 {"op":"add","path":"/v_more","value":{"kind":"variable","pos":4,"label":"More","alias":"more","type":"yesno","screen":"s_board","start":"false"}}`

// Place reads an address.
func (s *Stand) Place(t testing.TB, address string) place.Place {
	t.Helper()
	slug, query, _ := strings.Cut(address, "?")
	place, err := place.Parse(s.App.Project, slug, query)
	if err != nil {
		t.Fatal(err)
	}
	return place
}

// Dated gives the defects of the tests a day each: 1 in March, 2 in August, 3 next month.
const Dated = `{"op":"add","path":"/t_defects/fields/f_on","value":{"pos":9,"column":"on","alias":"on","label":"On","type":"date","nullable":true}}`
