package place_test

import (
	"errors"
	"fmt"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/stand"
)

// Nobody burns a database with an address (hardening, critical 2).
func TestAnAddressAsksForNoMoreThanAnybodyNeeds(t *testing.T) {
	s := stand.New(t, "")
	many := func(n int, of func(i int) string) string {
		parts := make([]string, n)
		for i := range parts {
			parts[i] = of(i)
		}
		return strings.Join(parts, "&")
	}
	deep := "cabin" + strings.Repeat(".cabin", 40)
	for _, tc := range []struct {
		what, query string
		fits        bool
	}{
		{"twelve words", "~find=" + strings.Repeat("ab+", 12), true},
		{"thirteen words", "~find=" + strings.Repeat("ab+", 13), false},
		{"1,600 words", "~find=" + strings.Repeat("ab+", 1600), false},
		{"one long word", "~find=" + strings.Repeat("x", 201), false},
		{"letters of several bytes", "~find=" + strings.Repeat("ü", 200), true},
		{"what is no text", "~find=%ff%fe", false},
		{"two hundred values", "~filter.state=in:" + strings.Repeat("open|", 199) + "open", true},
		{"65,536 values", "~filter.state=in:" + strings.Repeat("a|", 65_535) + "a", false},
		{"a long value", "~filter.what=contains:" + strings.Repeat("x", 2001), false},
		{"nine orders", many(9, func(int) string { return "~sort=code" }), false},
		{"a path without end", "~filter." + deep + "=is:1", false},
		{"an order without end", "~sort=" + deep, false},
		{"a long input", "cabin=" + strings.Repeat("1", 2001), false},
		{"too many tabs", many(61, func(i int) string { return fmt.Sprintf("~tab.t%d=a", i) }), false},
		{"too much filled in", "~set.what=" + strings.Repeat("x", 20_001), false},
	} {
		p, err := place.Parse(s.App.Project, "defects", tc.query)
		if err == nil {
			_, err = p.Check(s.App.Project)
		}
		var r *ask.Refusal
		if fits := err == nil; fits != tc.fits || !fits && (!errors.As(err, &r) || r.Then == "") {
			t.Errorf("%s: %v", tc.what, err)
		}
	}
	p := place.Place{Screen: "s_list", Mode: "view", Filters: make([]place.Filter, 21)}
	if _, err := p.Check(s.App.Project); err == nil || !strings.Contains(err.Error(), "20 filters") {
		t.Errorf("21 filters: %v", err)
	}
}
