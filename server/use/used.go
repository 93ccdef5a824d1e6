package use

import (
	"context"
	"errors"
	"sync"
	"time"

	"ambergate/api"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// used counts presses until they are kept: how often each way is pressed, not by whom.
type used struct {
	mu sync.Mutex
	n  map[store.Used]int64
}

// keptEvery is how often counts are kept. Those since then are lost when the server dies: nobody misses them.
const keptEvery = 5 * time.Second

// mostUsed bounds how many ways are counted between two times.
const mostUsed = 50_000

func (u *used) add(project, screen, element, trigger string) {
	u.mu.Lock()
	defer u.mu.Unlock()
	if u.n == nil {
		u.n = map[store.Used]int64{}
	}
	if len(u.n) < mostUsed {
		u.n[store.Used{Project: project, Screen: screen, Element: element, Trigger: trigger}]++
	}
}

func (u *used) take() []store.Used {
	u.mu.Lock()
	defer u.mu.Unlock()
	var out []store.Used
	for way, n := range u.n {
		way.N = n
		out = append(out, way)
	}
	u.n = nil
	return out
}

// KeepUsed keeps how often ways are pressed, again and again until the context ends, and then once more.
func (s *Side) KeepUsed(ctx context.Context) {
	tick := time.NewTicker(keptEvery)
	defer tick.Stop()
	for {
		select {
		case <-tick.C:
			s.keepUsed(ctx)
		case <-ctx.Done():
			last, cancel := context.WithTimeout(context.WithoutCancel(ctx), 2*time.Second)
			s.keepUsed(last)
			cancel()
			return
		}
	}
}

func (s *Side) keepUsed(ctx context.Context) {
	defer base.Recovered(s.Log, "count presses")
	counts := s.used.take()
	if len(counts) == 0 {
		return
	}
	if err := s.Store.AddUsed(ctx, s.Now(), counts); err != nil {
		s.Log.Warn("presses were not counted", "error", err)
	}
}

// countPress notes a press of a way.
func (v *Visit) countPress(screen, element, trigger string) {
	if e := v.App.ElementAt(screen, element); e != nil && trigger == "" {
		trigger, _ = e.GateOn("")
	}
	v.server.used.add(v.project, screen, element, trigger)
}

// notePress counts what a press came to.
func (s *Side) notePress(out *api.PressResult, err error) {
	switch {
	case errors.Is(err, answer.ErrAnswered): // the server that did it counts it
	case err != nil:
		_, problem := answer.Describe(err)
		s.Metrics.Press(problem.Code)
	default:
		s.Metrics.Press(out.Kind)
		if out.Shown != nil && out.Kind == "moved" {
			s.Metrics.Went()
		}
	}
}
