package cond

import (
	"testing"
	"time"
)

func TestLengthsOfTimeAreSaidInTheirLargestUnits(t *testing.T) {
	for length, want := range map[string]string{
		"168h": "7 days", "24h": "1 day", "36h": "1 day and 12 hours", "2h30m": "2 hours and 30 minutes", "1h": "1 hour", "90s": "1 minute and 30 seconds",
		"26h3m4s": "1 day, 2 hours, 3 minutes and 4 seconds", "-48h": "minus 2 days", "0s": "0 microseconds", "1500us": "1500 microseconds", "61s": "1 minute and 1 second",
	} {
		d, err := time.ParseDuration(length)
		if err != nil {
			t.Fatal(err)
		}
		if got := Span(d).Say(time.UTC); got != want {
			t.Errorf("%s is said %q, want %q", length, got, want)
		}
	}
}

func TestWholeNumbersAreGroupedFromFiveDigitsOn(t *testing.T) {
	for n, want := range map[int64]string{0: "0", 999: "999", 1234: "1234", 12345: "12,345", -12345: "-12,345", 1234567: "1,234,567"} {
		if got := Int(n).Say(time.UTC); got != want {
			t.Errorf("%d is said %q, want %q", n, got, want)
		}
	}
}
