package element

import (
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

// spansOfAYear is how many spans lie between one and that of a year before.
var spansOfAYear = map[string]int{"day": 366, "week": 53, "month": 12, "quarter": 4, "year": 1}

// yearBefore is the name under which an opening keeps the points of a chart with those of the year before.
func yearBefore(element string) string { return element + "~before" }

// aYearBefore gives the first day of the span that a span is compared with: the same day, month or quarter of the year
// before; the week 52 weeks before.
func aYearBefore(day time.Time, span string) time.Time {
	if span == "week" {
		return day.AddDate(0, 0, -7*52)
	}
	return day.AddDate(-1, 0, 0)
}

// yearBefore gives what a point was a year before; nil where nothing was kept as far back as that. A span without
// records counts as nothing.
func (spec *Chart) yearBefore(all []ask.Group) func(cond.Value) *float64 {
	at := map[string]float64{}
	first := ""
	for _, g := range all {
		at[g.Value.Wire()] = g.N
		if first == "" {
			first = g.Value.Wire()
		}
	}
	return func(v cond.Value) *float64 {
		day, ok := v.Time()
		if !ok || first == "" {
			return nil
		}
		then := aYearBefore(day, spec.Span).Format(time.DateOnly)
		n, there := at[then]
		if adds := spec.Measure == "" || spec.Measure == "count" || spec.Measure == "sum"; !there && (then < first || !adds) {
			return nil
		}
		return &n
	}
}
