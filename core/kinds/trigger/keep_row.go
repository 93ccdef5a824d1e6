package trigger

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
)

// KeepRow is set off by a row that was edited where it stands, when one leaves it.
type KeepRow struct{ byNameOnly }

// Place gives nothing: no gate is behind it.
func (KeepRow) Place(string) string { return "" }

// Say says it.
func (KeepRow) Say(*project.Element, string) string { return "a row was edited" }

// Follow writes the row.
func (KeepRow) Follow(ctx context.Context, o *use.Opening, p press.Press, src ask.Changer) (press.Outcome, error) {
	return press.KeepRow(ctx, o, p, src)
}
