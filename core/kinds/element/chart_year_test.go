package element_test

import (
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/stand"
)

// A month is compared with that of the year before; one without records then counts as none, and before the first
// record nothing is known.
func TestAChartTellsWhatItWasAYearBefore(t *testing.T) {
	s := stand.New(t, `[`+stand.Dated+`,{"op":"add","path":"/s_board/elements/e_months","value":{"kind":"chart","pos":30,"cell":{"row":30,"col":1,"w":6},"table":"t_defects","by":"f_on","span":"month","points":3,"before":true}}]`)
	for key, day := range map[string]string{"1": "2026-03-05", "2": "2025-03-20", "3": "2026-04-01"} {
		v, err := cond.Parse(cond.Type{Kind: cond.Date}, day)
		if err != nil {
			t.Fatal(err)
		}
		s.Data.Rows["t_defects"][key]["f_on"] = v
	}
	v := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_months").View.(*element.ChartView)
	at := map[string]*float64{}
	for _, p := range v.Points {
		at[p.Value] = p.Before
	}
	if n := at["2026-03-01"]; n == nil || *n != 1 {
		t.Errorf("March: %v", n)
	}
	if n := at["2026-04-01"]; n == nil || *n != 0 {
		t.Errorf("April, of which there was none: %v", n)
	}
	if n, there := at["2025-03-01"]; there && n != nil {
		t.Errorf("before the first record: %v", *n)
	}
}
