package cond

import (
	"math/big"
	"slices"
	"strconv"
	"strings"
	"time"

	"ambergate/core/local"
)

// Formats are the ways to write a value that is not written as usual, by its kind: numbers with so many digits behind
// the point, or as they are, without anything between thousands; days with their name, in figures, or as their month;
// moments as their day or their time; yes and no as a mark.
var Formats = map[Kind][]string{
	Whole:   {"bare"},
	Number:  {"bare", "0", "1", "2", "3"},
	Decimal: {"bare", "0", "1", "2", "3"},
	Date:    {"long", "short", "month"},
	Moment:  {"day", "time", "long"},
	YesNo:   {"mark"},
}

// FormatNames gives all of them, sorted.
func FormatNames() []string {
	var all []string
	for _, of := range Formats {
		all = append(all, of...)
	}
	slices.Sort(all)
	return slices.Compact(all)
}

// SayAs says the value as a format of its kind has it; as SayIn does, where that is none of them.
func (v Value) SayAs(l *local.Language, zone *time.Location, format string) string {
	if l == nil {
		l = local.English
	}
	if !slices.Contains(Formats[v.Kind()], format) {
		return v.SayIn(l, zone)
	}
	at, _ := v.Time()
	if v.Kind() == Moment {
		at = at.In(zone)
	}
	switch format {
	case "bare":
		return v.Wire()
	case "long":
		if v.Kind() == Moment {
			return l.DateLong(at) + " " + l.Time(at)
		}
		return l.DateLong(at)
	case "short":
		return l.DateShort(at)
	case "month":
		return l.Month(at)
	case "day":
		return l.Date(at)
	case "time":
		return l.Time(at)
	case "mark":
		if v.True() {
			return "✓"
		}
		return "–"
	}
	digits, err := strconv.Atoi(format)
	n, ok := new(big.Rat).SetString(v.Wire()) // exactly, as decimals are
	if err != nil || !ok {
		return v.SayIn(l, zone)
	}
	whole, part, _ := strings.Cut(n.FloatString(digits), ".")
	if whole = l.Whole(whole); part == "" {
		return whole
	}
	return whole + l.Decimal("."+part)
}
