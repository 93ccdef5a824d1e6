package trail

import (
	"ambergate/core/place"
	"ambergate/core/plan"
)

// Sought is how many places back the list is sought that a record is stepped along.
const Sought = 30

// Asks says whether it matters for a place which list it was come from.
func Asks(a *plan.App, to place.Place) bool { return to.From == nil && a.StepsAlong(to) != "" }

// Along notes on a place the list that its record is stepped along: the nearest before it that lists its table. The places
// before it come nearest first.
func Along(a *plan.App, to *place.Place, before []place.Place) {
	if !Asks(a, *to) {
		return
	}
	table := a.StepsAlong(*to)
	for _, p := range before {
		if from := place.ListOf(a.Project, p, table); from != nil {
			to.From = from
			return
		}
	}
}
