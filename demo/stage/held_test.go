package stage_test

import (
	"fmt"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/fault"
)

// Killed at each point of a button that is held: the tag is false again when the program is back, whoever made it so
// before, and nothing is kept as held.
func TestKilledWhileSomethingIsHeld(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	const node = "HS.drive.inch"
	p := built(t)
	soon := func(what string, is func() bool) {
		t.Helper()
		for deadline := time.Now().Add(30 * time.Second); !is(); time.Sleep(20 * time.Millisecond) {
			if time.Now().After(deadline) {
				t.Fatalf("not in half a minute: %s", what)
			}
		}
	}
	for _, point := range fault.OfHolds {
		p.start(point)
		b := p.browser("jon")
		var shown api.Shown
		if err := b.call("POST", usePath+"/open", map[string]any{"address": "/drive-room?lift=3"}, &shown); err != nil {
			t.Fatal(err)
		}
		press := func(element, id string) (result api.PressResult, err error) {
			err = b.call("POST", usePath+"/press", api.PressRequest{Press: id, Trail: shown.Trail, N: shown.N, Release: shown.Release, Element: element}, &result)
			return result, err
		}
		soon("the line stands", func() bool {
			if running, _ := up.Sim.Now("HS.drive.running").(bool); !running {
				return true
			}
			_, _ = press("e_stop", fmt.Sprintf("still-%s-%d", point, time.Now().UnixNano()))
			return false
		})
		time.Sleep(300 * time.Millisecond) // what is shown follows
		before := up.Sim.Taken(node)
		result, err := press("e_inch", "held-"+point)
		if point == fault.HoldReleased {
			if err != nil || result.Commands == nil || (*result.Commands)[0].State != "done" {
				t.Fatalf("%s: it is not held: %+v %v", point, result.Commands, err)
			}
			_ = b.call("DELETE", usePath+"/holds/held-"+point, nil, nil) // it may die before it answers
		}
		if !p.died() {
			t.Fatalf("%s: the program lives, and says %+v %v", point, result.Commands, err)
		}
		if point == fault.HoldWritten && up.Sim.Taken(node) != before+1 {
			t.Errorf("%s: the plant took %d writes", point, up.Sim.Taken(node)-before)
		}
		died := up.Sim.Taken(node)
		p.start("")
		soon("false is written again: "+point, func() bool {
			return up.Sim.Taken(node) > died && up.Sim.Now(node) == false && counted(t, "ambergate", `select count(*) from plant_hold`) == 0
		})
		p.kill()
	}
	t.Logf("%d kills, one at each point", len(fault.OfHolds))
}
