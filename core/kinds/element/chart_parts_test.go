package element_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/project"
	"ambergate/core/stand"
)

func divided(t *testing.T, s *stand.Stand) *element.ChartView {
	t.Helper()
	return stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_parts").View.(*element.ChartView)
}

const byParts = `[{"op":"add","path":"/s_board/elements/e_parts","value":{"kind":"chart","pos":30,"cell":{"row":30,"col":1,"w":6},"table":"t_defects","by":"f_state",%s}}]`

// Parts that are records are told by their titles, the largest first; those without one are a part too, and what is
// beyond as many as can be told apart is one.
func TestPointsAreDividedByRecords(t *testing.T) {
	s := stand.New(t, fmt.Sprintf(byParts, `"split":"f_cabin"`))
	rows := s.Data.Rows["t_defects"]
	for i := range 30 {
		row := map[string]cond.Value{}
		for path, v := range rows["1"] {
			row[path] = v
		}
		row["f_cabin"] = cond.Key(fmt.Sprint(50 + i%6))
		if i%6 == 5 {
			row["f_cabin"] = cond.NullValue
		}
		rows[fmt.Sprint(500+i)] = row
		s.Data.Rows["t_cabins"][fmt.Sprint(50+i%6)] = map[string]cond.Value{"f_no": cond.Int(int64(50 + i%6))}
	}
	v := divided(t, s)
	if len(v.Splits) != 4 || !strings.HasPrefix(v.Splits[3].Label, "others (") || !strings.Contains(v.Splits[0].Label, "5") {
		t.Errorf("parts: %+v", v.Splits)
	}
	for _, p := range v.Points {
		sum := 0.0
		for _, split := range v.Splits {
			sum += p.Parts[split.Value]
		}
		if sum != p.N {
			t.Errorf("%s: the parts come to %g of %g", p.Label, sum, p.N)
		}
	}
	grid := stand.New(t, fmt.Sprintf(byParts, `"shape":"grid","split":"f_cabin"`))
	grid.Data.Rows["t_defects"] = rows
	none := 0
	for _, split := range divided(t, grid).Splits {
		if split.Value == "" && split.Label == "none" {
			none++
		}
	}
	if v := divided(t, grid); none != 1 || len(v.Splits) < 6 {
		t.Errorf("of a grid: %+v", v.Splits)
	}
}

// Choices are parts in their own order, all of them; of time, the parts are spans as it goes.
func TestPartsKeepTheirOrder(t *testing.T) {
	v := divided(t, stand.New(t, strings.Replace(fmt.Sprintf(byParts, `"split":"f_state"`), `"by":"f_state"`, `"by":"f_cabin"`, 1)))
	var got []string
	for _, split := range v.Splits {
		got = append(got, split.Value)
	}
	if !slices.Equal(got, []string{"open", "closed"}) {
		t.Errorf("choices: %v", got)
	}
	if err := (&element.Chart{PointSource: project.PointSource{Table: "t_a", By: "f_a"}, Split: "f_b", SplitSpan: "fortnight"}).Validate(); err == nil {
		t.Error("a span that there is none of is taken")
	}
}
