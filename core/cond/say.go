package cond

import (
	"strings"
	"time"
)

// Say writes a value for people: the project's own words are the choices; dates as in 12 Nov 2026,
// moments in a zone.
func (v Value) Say(zone *time.Location) string {
	switch v.Kind() {
	case YesNo:
		if v.True() {
			return "yes"
		}
		return "no"
	case Date:
		d, _ := v.Time()
		return d.Format("2 Jan 2006")
	case Moment:
		m, _ := v.Time()
		return m.In(zone).Format("2 Jan 2006 15:04")
	case Whole:
		return grouped(v.Wire())
	}
	return v.Wire()
}

// grouped writes a whole number of five digits or more with a comma at each thousand.
func grouped(digits string) string {
	sign := ""
	if strings.HasPrefix(digits, "-") {
		sign, digits = "-", digits[1:]
	}
	if len(digits) < 5 {
		return sign + digits
	}
	var parts []string
	for len(digits) > 3 {
		parts = append([]string{digits[len(digits)-3:]}, parts...)
		digits = digits[:len(digits)-3]
	}
	return sign + strings.Join(append([]string{digits}, parts...), ",")
}
