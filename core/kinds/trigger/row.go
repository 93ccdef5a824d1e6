package trigger

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Row is a row that is opened.
type Row struct{}

// Place gives where the list keeps the gate of its rows.
func (Row) Place(string) string { return "opened" }

// Say says it.
func (Row) Say(e *project.Element, _ string) string {
	if memberOf(e) == "point" {
		return "a point is pressed"
	}
	return "a row is opened"
}

// Aim fetches the chosen row, as the list would.
func (Row) Aim(ctx context.Context, o *use.Opening, e *plan.Element, _ *plan.Gate, p press.Press, src ask.Changer) (use.Aim, error) {
	return press.AimRow(ctx, o, e, p, src, false, false)
}

// Sample stands the first row for whichever is opened.
func (Row) Sample(o *use.Opening, e *plan.Element) use.Aim { return o.FirstRow(e, false) }
