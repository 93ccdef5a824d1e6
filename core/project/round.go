package project

import "fmt"

// Stop is one screen of a round: screens that follow each other by themselves while nobody touches any.
type Stop struct {
	Item
	Screen string  `json:"screen"`
	Stay   float64 `json:"stay"` // seconds without a touch after which the next follows
}

// The bounds of a round.
const (
	shortestStay = 3 // seconds
	longestStay  = 24 * 3600
	mostStops    = 50
)

func (r *Role) validateRound() error {
	if len(r.Round) > mostStops {
		return fmt.Errorf("the round of “%s” has at most %d screens", r.Name, mostStops)
	}
	at := map[string]bool{}
	for _, s := range r.Round {
		if s.Stay < shortestStay || s.Stay > longestStay {
			return fmt.Errorf("in the round of “%s” a screen stays for %d seconds to a day", r.Name, shortestStay)
		}
		if at[s.Screen] {
			return fmt.Errorf("a screen is once in the round of “%s”", r.Name)
		}
		at[s.Screen] = true
	}
	return nil
}

// RoundOf gives the round for somebody with these roles, in its order: that of their first role by position; none where
// one of their roles has none, as who works is not to be led away.
func (p *Project) RoundOf(roles map[string]bool) []*Stop {
	var first *Role
	for _, r := range Ordered(p.Roles) {
		switch {
		case !roles[r.ID]:
		case len(r.Round) == 0:
			return nil
		case first == nil:
			first = r
		}
	}
	if first == nil {
		return nil
	}
	return Ordered(first.Round)
}
