package checks_test

import (
	"fmt"
	"strings"
	"testing"

	"ambergate/core/checks"
	"ambergate/core/stand"
)

// A screen of three hundred elements in groups is drawn whole, and nothing is found on it that is not there.
func TestThreeHundredElementsOnOneScreen(t *testing.T) {
	var ops []string
	for i := range 300 {
		row, col := 100+i/12*2+1, i%12+1
		ops = append(ops, fmt.Sprintf(`{"op":"add","path":"/s_cabin/elements/e_many%d","value":{"kind":"button","pos":%d,"cell":{"row":%d,"col":%d,"w":1},"words":"No %d","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}}`, i, i, row, col, i))
	}
	for i := range 25 {
		ops = append(ops, fmt.Sprintf(`{"op":"add","path":"/s_cabin/elements/e_frame%d","value":{"kind":"group","pos":%d,"cell":{"row":%d,"col":1,"w":12,"h":2},"words":"Group %d"}}`, i, i, 100+i*2, i))
	}
	s := stand.New(t, `[`+strings.Join(ops, ",")+`]`)
	there := 0
	for _, e := range s.MustOpen(t, s.Mira, "cabin?cabin=7").View().Elements {
		if strings.HasPrefix(e.ID, "e_many") {
			there++
		}
	}
	if there != 300 {
		t.Errorf("%d of 300 are drawn", there)
	}
	for _, f := range checks.All.Run(s.App) {
		if strings.HasPrefix(f.Element, "e_many") || strings.HasPrefix(f.Element, "e_frame") {
			t.Errorf("%s: %s", f.Element, f.Words)
		}
	}
	if e := s.App.ElementAt("s_cabin", "e_many13"); e.Around == nil || e.Around.ID != "e_frame1" {
		t.Errorf("it stands in %+v", e.Around)
	}
}
