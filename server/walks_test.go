package server_test

import (
	"testing"

	"ambergate/core/project"
)

// The stories of the demo are walks, and go through over its records; what they change is not kept.
func TestTheWalksOfTheDemoGoThrough(t *testing.T) {
	draft, err := up.Server.Apps.Draft(t.Context(), "p_tarnhorn")
	if err != nil {
		t.Fatal(err)
	}
	walks := project.Ordered(draft.App.Project.Walks)
	for round := range 2 { // the second finds what the first found
		results, err := up.Server.Walked(t.Context(), draft.App, walks)
		if err != nil {
			t.Fatal(err)
		}
		steps := 0
		for _, r := range results {
			if d := r.Differs; d != nil {
				t.Errorf("round %d, %s, step %d, %s: expected %s, found %s (%s)", round+1, r.Name, len(r.Steps)+1, d.Words, d.Expected, d.Found, d.Why)
			}
			steps += len(r.Steps)
		}
		t.Logf("%d walks, %d steps", len(results), steps)
	}
}
