package use

import (
	"time"

	"ambergate/core/plan"
	"ambergate/core/project"
)

// SpanEnd gives the last day of the span that begins with a day.
func SpanEnd(day time.Time, span string) time.Time {
	switch span {
	case "week":
		return day.AddDate(0, 0, 6)
	case "month":
		return day.AddDate(0, 1, -1)
	case "quarter":
		return day.AddDate(0, 3, -1)
	case "year":
		return day.AddDate(1, 0, -1)
	}
	return day
}

// SpanStart gives the first day of the span that a day lies in; weeks begin on Monday (ISO 8601), as date_trunc has
// them too.
func SpanStart(day time.Time, span string) time.Time {
	switch span {
	case "week":
		return day.AddDate(0, 0, -(int(day.Weekday())+6)%7)
	case "month":
		return day.AddDate(0, 0, 1-day.Day())
	case "quarter":
		return time.Date(day.Year(), (day.Month()-1)/3*3+1, 1, 0, 0, 0, 0, day.Location())
	case "year":
		return time.Date(day.Year(), 1, 1, 0, 0, 0, 0, day.Location())
	}
	return day
}

// FirstPoint stands the first point that is shown for whichever is chosen.
func (o *Opening) FirstPoint(e *plan.Element) Aim {
	if groups := o.Groups[e.ID]; len(groups) > 0 {
		return Aim{Point: groups[0].Value.Wire(), Span: project.PointsOf(e.Element).Span}
	}
	return Aim{}
}
