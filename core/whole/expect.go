package whole

import (
	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/project"
)

// Expected is what is expected of who gets to a screen, and whether it is so.
type Expected struct {
	ID     string     `json:"id"`
	Screen string     `json:"screen"`
	Words  string     `json:"words"`
	Kept   check.Kept `json:"kept"`
	Why    string     `json:"why,omitempty"`
	Keys   []string   `json:"keys"`  // of those it is expected of
	Steps  []Step     `json:"steps"` // the path that breaks it
}

func expectations(g *reach.Graph, who []Who) []Expected {
	out := []Expected{}
	p := g.App.Project
	var sets []map[string]bool
	for _, w := range who {
		sets = append(sets, w.Set())
	}
	for _, e := range project.Ordered(p.Expectations) {
		if p.Screens[e.Screen] == nil {
			continue // a finding tells of it
		}
		is := check.Expect(g, sets, e)
		one := Expected{ID: e.ID, Screen: e.Screen, Words: check.ExpectationWords(p, e), Kept: is.Kept, Why: is.Why, Keys: []string{}, Steps: stepsOf(g, is.Steps)}
		if len(e.Roles) > 0 {
			one.Keys = append(one.Keys, reach.Roles(e.Roles))
		} else {
			for _, w := range who {
				one.Keys = append(one.Keys, w.Key)
			}
		}
		out = append(out, one)
	}
	return out
}
