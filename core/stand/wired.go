package stand

import (
	"fmt"
	"strings"
	"testing"

	"ambergate/core/cond"
)

// MustDecimal gives a decimal number.
func MustDecimal(t testing.TB, s string) cond.Value {
	t.Helper()
	v, err := cond.Parse(cond.Type{Kind: cond.Decimal}, s)
	if err != nil {
		t.Fatal(err)
	}
	return v
}

// WiredTo adds a button "e_try" with a gate to a screen, and whatever else a test needs.
func WiredTo(screen, gate string, more ...string) string {
	button := fmt.Sprintf(`{"op":"add","path":"/%s/elements/e_try","value":{"kind":"button","pos":90,"cell":{"row":9,"col":1,"w":2},"words":"Try","gate":%s}}`, screen, gate)
	return "[" + strings.Join(append([]string{button}, more...), ",") + "]"
}

// One is a gate of one case that moves.
func One(move string) string {
	return `{"cases":{"c_1":{"pos":1,"move":` + move + `}}}`
}

// Does is a gate of one case that does something and stays.
func Does(effects ...string) string {
	var parts []string
	for i, e := range effects {
		parts = append(parts, fmt.Sprintf(`"d_%d":{"pos":%d,%s}`, i, i, e))
	}
	return `{"cases":{"c_1":{"pos":1,"do":{` + strings.Join(parts, ",") + `}}}}`
}

// Date fills in the days of the defects, with Dated.
func (s *Stand) Date(t testing.TB) {
	t.Helper()
	for key, day := range map[string]string{"1": "2026-03-05", "2": "2026-08-01", "3": "2026-12-01"} {
		v, err := cond.Parse(cond.Type{Kind: cond.Date}, day)
		if err != nil {
			t.Fatal(err)
		}
		s.Data.Rows["t_defects"][key]["f_on"] = v
	}
}
