package element_test

import (
	"strings"
	"testing"

	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/project"
	"ambergate/core/stand"
)

func listed(t *testing.T, s *stand.Stand, p place.Place) *element.ListView {
	t.Helper()
	return stand.Element(t, s.At(t, p).View(), "e_list").View.(*element.ListView)
}

// Under headings the rows are ordered by them first, and a heading counts all of its rows and not those of a page.
func TestRowsStandUnderHeadings(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/group","value":"f_state"},{"op":"add","path":"/s_list/elements/e_list/rows","value":2}]`)
	v := listed(t, s, s.Place(t, "defects"))
	if len(v.Rows) != 2 || v.Rows[0].Group != "closed" || v.Rows[1].Group != "open" || v.Groups["open"] != 2 || v.Groups["closed"] != 1 {
		t.Errorf("%+v %v", v.Rows, v.Groups)
	}
	// Ordered by a column, within the headings; by the heading itself, the other way round.
	p := s.Place(t, "defects?~sort=-code")
	if v := listed(t, s, p); v.Rows[0].Group != "closed" || v.Rows[1].Key != "3" {
		t.Errorf("by code: %+v", v.Rows)
	}
	if v := listed(t, s, s.Place(t, "defects?~sort=-state")); v.Rows[0].Group != "open" {
		t.Errorf("by state: %+v", v.Rows)
	}
	if v := listed(t, s, s.Place(t, "defects?~filter.state=is:open")); v.Groups["closed"] != 0 || v.Groups["open"] != 2 {
		t.Errorf("filtered: %v", v.Groups)
	}
}

func TestHeadingsAreTheTitlesOfRecords(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/group","value":"f_cabin"}]`)
	v := listed(t, s, s.Place(t, "defects"))
	if v.Groups["007"] != 2 || v.Groups["none"] != 1 {
		t.Errorf("%v", v.Groups)
	}
	s = stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/group","value":"f_gone"}]`)
	if v := listed(t, s, s.Place(t, "defects")); len(s.App.Problems) != 1 || v.Groups != nil || len(v.Rows) != 3 {
		t.Errorf("a field that is gone: %+v %v", s.App.Problems, v.Groups)
	}
}

func TestTheFootCountsAllRows(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/rows","value":1},{"op":"add","path":"/s_list/elements/e_list/columns/k_9","value":{"pos":9,"path":"f_state","total":"count","align":"middle"}},
	 {"op":"add","path":"/s_list/elements/e_list/columns/k_8","value":{"pos":10,"path":"f_what","total":"sum"}}]`)
	v := listed(t, s, s.Place(t, "defects"))
	at := map[string]element.ColumnView{}
	for _, c := range v.Columns {
		at[c.Path] = c
	}
	if c := at["f_state"]; c.Total == nil || *c.Total != 3 || c.TotalOf != "count" || c.Align != "middle" {
		t.Errorf("%+v", c)
	}
	if c := at["f_what"]; c.Total != nil {
		t.Errorf("the sum of texts is %v", *c.Total)
	}
	if len(v.Rows) != 1 {
		t.Errorf("%d rows", len(v.Rows))
	}
	for wrong, c := range map[string]project.ListColumn{"align": {Align: "up"}, "look": {Look: "dial"}, "total": {Total: "median"}} {
		if err := c.Validate(); err == nil || !strings.Contains(err.Error(), wrong) {
			t.Errorf("%s: %v", wrong, err)
		}
	}
}

// A list of few rows at first grows by many: it is not asked for again and again.
func TestWhatFollowsOnAShortPageIsALongOne(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/rows","value":1}]`)
	o := s.At(t, s.Place(t, "defects"))
	first := stand.Element(t, o.View(), "e_list").View.(*element.ListView)
	more, err := element.More(t.Context(), o, s.Sources(), "e_list", first.Next, false)
	if err != nil {
		t.Fatal(err)
	}
	if len(first.Rows) != 1 || len(more.Rows) != 2 || more.Next != "" {
		t.Errorf("first %d rows, then %d, and %q to go on from", len(first.Rows), len(more.Rows), more.Next)
	}
}
