package local

import (
	"testing"
	"time"
)

func TestNumbersAndDatesAsALanguageWritesThem(t *testing.T) {
	day := time.Date(2026, 11, 3, 14, 5, 0, 0, time.UTC)
	for tag, want := range map[string][6]string{
		"en":    {"1,234,567", "1234.50", "3 Nov 2026", "3 Nov 2026 14:05", "November 2026", "3 – 9 Nov 2026"},
		"en-US": {"1,234,567", "1234.50", "Nov 3, 2026", "Nov 3, 2026 2:05 pm", "November 2026", "Nov 3, 2026 – Nov 9, 2026"},
		"de":    {"1.234.567", "1234,50", "03.11.2026", "03.11.2026 14:05", "November 2026", "03.11.2026 – 09.11.2026"},
		"fr":    {"1\u202f234\u202f567", "1234,50", "3 nov. 2026", "3 nov. 2026 14:05", "novembre 2026", "3 nov. 2026 – 9 nov. 2026"},
	} {
		l := Of(tag)
		got := [6]string{l.Whole("1234567"), l.Decimal("1234.50"), l.Date(day), l.Moment(day), l.Month(day), l.Days(day, day.AddDate(0, 0, 6))}
		if got != want {
			t.Errorf("%s: %q, want %q", tag, got, want)
		}
	}
	if Of("xx") != English || Of("") != English || Known("xx") || !Known("") || !Known("de") {
		t.Error("a language that is not there")
	}
	for in, want := range map[string]string{"0": "0", "-9999": "-9999", "10000": "10,000", "-1234567": "-1,234,567"} {
		if got := English.Whole(in); got != want {
			t.Errorf("%s: %s", in, got)
		}
	}
}

// Each language has signs of its own, whatever they are made of.
func TestEveryLanguageHasItsSigns(t *testing.T) {
	for _, l := range All {
		if l.point != "." && l.point != "," || l.between == "" || l.between == l.point || len([]rune(l.between)) != 1 {
			t.Errorf("%s: %q and %q", l.Tag, l.point, l.between)
		}
	}
}
