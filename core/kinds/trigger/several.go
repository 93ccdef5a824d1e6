package trigger

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Several is something that is done with chosen rows.
type Several struct{ byNameOnly }

// Place gives where the list keeps the gate.
func (Several) Place(id string) string { return "several/" + id + "/gate" }

// Say says it with its words.
func (Several) Say(e *project.Element, id string) string {
	if l := project.ListOf(e); l != nil && l.Several[id] != nil {
		return "“" + l.Several[id].Words + "” is pressed for chosen rows"
	}
	return "something that is gone is pressed for chosen rows"
}

// Sample stands the first row for those that are chosen.
func (Several) Sample(o *use.Opening, e *plan.Element) use.Aim { return o.FirstRow(e, true) }

// Follow does it with each of the rows.
func (Several) Follow(ctx context.Context, o *use.Opening, p press.Press, src ask.Changer) (press.Outcome, error) {
	return press.FollowSeveral(ctx, o, p, src)
}
