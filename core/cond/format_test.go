package cond_test

import (
	"testing"
	"time"

	"ambergate/core/cond"
	"ambergate/core/local"
)

func TestValuesAreWrittenAsAFormatSays(t *testing.T) {
	value := func(kind cond.Kind, wire string) cond.Value {
		v, err := cond.Parse(cond.Type{Kind: kind}, wire)
		if err != nil {
			t.Fatal(err)
		}
		return v
	}
	for _, c := range []struct {
		v            cond.Value
		format, want string
		german       string
	}{
		{cond.Int(1234567), "", "1,234,567", "1.234.567"},
		{cond.Int(1234567), "bare", "1234567", "1234567"},
		{cond.Int(7), "2", "7", "7"}, // a format of other types is as none
		{value(cond.Decimal, "12345.675"), "2", "12,345.68", "12.345,68"},
		{value(cond.Decimal, "-0.5"), "0", "-1", "-1"},
		{value(cond.Decimal, "12345678901234567890.125"), "1", "12,345,678,901,234,567,890.1", "12.345.678.901.234.567.890,1"},
		{cond.Float(2), "3", "2.000", "2,000"},
		{value(cond.Date, "2026-11-03"), "long", "Tuesday, 3 November 2026", "Dienstag, 3. November 2026"},
		{value(cond.Date, "2026-11-03"), "short", "2026-11-03", "03.11.26"},
		{value(cond.Date, "2026-11-03"), "month", "November 2026", "November 2026"},
		{value(cond.Moment, "2026-11-03T07:05:00Z"), "time", "07:05", "07:05"},
		{value(cond.Moment, "2026-11-03T07:05:00Z"), "day", "3 Nov 2026", "03.11.2026"},
		{cond.Bool(true), "mark", "✓", "✓"},
		{cond.Bool(false), "mark", "–", "–"},
		{cond.String("x"), "long", "x", "x"},
		{cond.NullValue, "long", "", ""},
	} {
		for language, want := range map[string]string{"en": c.want, "de": c.german} {
			if got := c.v.SayAs(local.Of(language), time.UTC, c.format); got != want && !c.v.IsNull() {
				t.Errorf("%s as %q in %s: %q, want %q", c.v.Wire(), c.format, language, got, want)
			}
		}
	}
}
