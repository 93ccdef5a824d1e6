package trigger

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Point is a point that is chosen.
type Point struct{}

// Place gives where the chart keeps the gate of its points.
func (Point) Place(string) string { return "chosen" }

// Say says it.
func (Point) Say(*project.Element, string) string { return "a point is chosen" }

// Aim takes the point as it was chosen.
func (Point) Aim(_ context.Context, _ *use.Opening, e *plan.Element, _ *plan.Gate, p press.Press, _ ask.Changer) (use.Aim, error) {
	return aimPoint(e, p), nil
}

// Sample stands the first point for whichever is chosen.
func (Point) Sample(o *use.Opening, e *plan.Element) use.Aim { return o.FirstPoint(e) }

func aimPoint(e *plan.Element, p press.Press) use.Aim {
	at := use.Aim{Point: p.Point, PointTo: p.PointTo, Also: p.Also, Picked: p.Picked, Result: p.Result}
	if s := project.PointsOf(e.Element); s != nil {
		at.Span, at.Step = s.Span, s.Step
	}
	return at
}
