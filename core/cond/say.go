package cond

import (
	"fmt"
	"time"

	"ambergate/core/english"
	"ambergate/core/local"
)

// Say writes a value for people: the project's own words are the choices; dates as in 12 Nov 2026,
// moments in a zone.
func (v Value) Say(zone *time.Location) string { return v.SayIn(local.English, zone) }

// SayIn writes a value for people; numbers and dates as a language does.
func (v Value) SayIn(l *local.Language, zone *time.Location) string {
	if l == nil {
		l = local.English
	}
	switch v.Kind() {
	case YesNo:
		if v.True() {
			return "yes"
		}
		return "no"
	case Date:
		d, _ := v.Time()
		return l.Date(d)
	case Moment:
		m, _ := v.Time()
		return l.Moment(m.In(zone))
	case Whole:
		return l.Whole(v.Wire())
	case Number, Decimal:
		return l.Decimal(v.Wire())
	case Duration:
		return spanWords(v.i)
	}
	return v.Wire()
}

// spanUnits are what a length of time is said in, in microseconds.
var spanUnits = []struct {
	word   string
	length int64
}{{"day", 86_400_000_000}, {"hour", 3_600_000_000}, {"minute", 60_000_000}, {"second", 1_000_000}}

// spanWords says a length of time: “7 days”, “2 hours and 30 minutes”.
func spanWords(micros int64) string {
	if micros < 0 {
		return "minus " + spanWords(-micros)
	}
	var parts []string
	for _, u := range spanUnits {
		n := micros / u.length
		micros -= n * u.length
		switch {
		case n == 1:
			parts = append(parts, "1 "+u.word)
		case n > 1:
			parts = append(parts, fmt.Sprintf("%d %ss", n, u.word))
		}
	}
	if micros > 0 || len(parts) == 0 {
		parts = append(parts, fmt.Sprintf("%d microseconds", micros))
	}
	return english.List(parts, "and")
}
