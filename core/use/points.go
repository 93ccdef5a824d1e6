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
