package server_test

import (
	"fmt"
	"net/http"
	"slices"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/kinds/element"
)

const lights = "LT.drive.lights"

// Two people press one button as fast as they can, 50 times a second together: each change at the plant is one press
// that was told “done”, no press that was refused did anything, and what was drawn otherwise is refused.
func TestEachTurnIsOnePress(t *testing.T) {
	presses := 100
	if testing.Short() {
		presses = 20
	}
	if up.Sim.Now(lights) == nil {
		t.Fatal("the simulated plant has no lights")
	}
	began, taken, turned := up.Sim.Now(lights), up.Sim.Taken(lights), up.Sim.Turned(lights)
	var wait sync.WaitGroup
	var done, refused, seen atomic.Int64
	for _, login := range []string{"jon", "sela"} {
		p := as(t, login)
		wait.Go(func() {
			shown := p.open("/drive-room?lift=2")
			for i := range presses {
				drawn := ""
				if i%2 == 0 {
					drawn = []string{"on", "off"}[i/2%2]
				}
				var status int
				var result api.PressResult
				var problem api.Problem
				for range 10 { // what nobody answered in time is sent again, as it is: it does nothing twice
					status, result, problem = p.press(shown, fmt.Sprintf("turn-%s-%04d", login, i), "e_light", map[string]any{"seen": drawn})
					if status != http.StatusServiceUnavailable && status != http.StatusGatewayTimeout {
						break
					}
				}
				switch {
				case status == http.StatusOK && result.Commands != nil && (*result.Commands)[0].State == "done":
					done.Add(1)
				case status == http.StatusOK && result.Commands != nil && slices.Contains([]string{"refused", "expired"}, (*result.Commands)[0].State), problem.Code == "pending", problem.Code == "greyed":
					refused.Add(1)
				case problem.Code == "seen-otherwise":
					seen.Add(1)
				default:
					t.Errorf("%s, press %d: %d %+v %+v", login, i, status, result, problem)
				}
				time.Sleep(20 * time.Millisecond)
			}
		})
	}
	wait.Wait()
	taken, turned = up.Sim.Taken(lights)-taken, up.Sim.Turned(lights)-turned
	t.Logf("of %d presses %d were done, %d refused, %d had seen it otherwise; the plant took %d writes and changed %d times", 2*presses, done.Load(), refused.Load(), seen.Load(), taken, turned)
	if int(done.Load()) != taken || taken != turned || done.Load() == 0 {
		t.Error("a change is not one press that was told “done”")
	}
	if odd := done.Load()%2 == 1; odd != (began != up.Sim.Now(lights)) {
		t.Errorf("it was %v, is %v after %d turns", began, up.Sim.Now(lights), done.Load())
	}
}

// What was sent stands in the log, with who sent it, from what to what, and what came of it; page by page.
func TestTheLogOfCommandsIsRead(t *testing.T) {
	jon, arno := as(t, "jon"), as(t, "arno")
	id := fmt.Sprintf("logged-%d", time.Now().UnixNano())
	until(t, "a command is sent", func() bool {
		status, _, _ := jon.press(jon.open("/drive-room?lift=2"), id, "e_light", nil)
		return status == http.StatusOK
	})
	var log, older []api.CommandLogged
	arno.must("GET", builds+"/commands", nil, &log)
	if len(log) == 0 || log[0].Who != "Jon Abeke" || log[0].Label != "line lighting" || log[0].Node != lights || log[0].State != "done" || log[0].Old == nil || *log[0].Old == log[0].Value {
		t.Fatalf("the log begins with %+v", log[:min(1, len(log))])
	}
	arno.must("GET", fmt.Sprintf("%s/commands?before=%d", builds, log[0].Id), nil, &older)
	if len(older) > 0 && older[0].Id >= log[0].Id {
		t.Errorf("older than %d: %+v", log[0].Id, older[0])
	}
	jon.refused("GET", builds+"/commands", nil, http.StatusForbidden, "no-builder")
}

// The button shows what is read back, also to those who did not press it.
func TestAButtonShowsWhatIsReadBack(t *testing.T) {
	jon, sela := as(t, "jon"), as(t, "sela")
	here, there := jon.open("/drive-room?lift=2"), sela.open("/drive-room?lift=2")
	before := lightOf(there)
	status, result, problem := jon.press(here, fmt.Sprintf("shown-%d", time.Now().UnixNano()), "e_light", map[string]any{"seen": before})
	if status != http.StatusOK || result.Commands == nil || (*result.Commands)[0].State != "done" {
		t.Fatalf("%d %+v %+v", status, result, problem)
	}
	for deadline := time.Now().Add(20 * time.Second); ; time.Sleep(50 * time.Millisecond) {
		if now := lightOf(sela.open("/drive-room?lift=2")); now != before && now != "unknown" {
			return
		}
		if time.Now().After(deadline) {
			t.Fatalf("the other person still sees %q", before)
		}
	}
}

func lightOf(s api.Shown) string {
	for _, e := range s.View.Elements {
		if e.ID == "e_light" {
			return e.View.(*element.ButtonView).Turned
		}
	}
	return ""
}
