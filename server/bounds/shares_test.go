package bounds

import (
	"context"
	"errors"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"ambergate/core/ask"
)

func TestNobodyHasMoreUnderWayThanTheirShare(t *testing.T) {
	s := NewShares(3)
	var now, most atomic.Int64
	var wait sync.WaitGroup
	for range 40 {
		wait.Add(1)
		go func() {
			defer wait.Done()
			leave, err := s.Enter(t.Context(), "greedy")
			if err != nil {
				t.Error(err)
				return
			}
			defer leave()
			n := now.Add(1)
			for old := most.Load(); n > old && !most.CompareAndSwap(old, n); old = most.Load() {
			}
			time.Sleep(2 * time.Millisecond)
			now.Add(-1)
		}()
	}
	wait.Wait()
	if most.Load() > 3 {
		t.Errorf("%d at once", most.Load())
	}
	if len(s.of) != 0 {
		t.Errorf("%d shares are kept of people who have nothing under way", len(s.of))
	}
}

func TestWhoWaitsInVainIsToldSoAndOthersAreNot(t *testing.T) {
	s := NewShares(1)
	leave, err := s.Enter(t.Context(), "greedy")
	if err != nil {
		t.Fatal(err)
	}
	began := time.Now()
	other, err := s.Enter(t.Context(), "other")
	if err != nil || time.Since(began) > time.Second {
		t.Errorf("somebody else waits: %v", err)
	}
	other()
	ctx, cancel := context.WithCancel(t.Context())
	cancel()
	if _, err := s.Enter(ctx, "greedy"); !errors.Is(err, context.Canceled) {
		t.Errorf("who has gone: %v", err)
	}
	if testing.Short() {
		t.Skip("takes long")
	}
	var r *ask.Refusal
	if _, err := s.Enter(t.Context(), "greedy"); !errors.As(err, &r) || r.Code != "busy" {
		t.Errorf("in vain: %v", err)
	}
	leave()
	if again, err := s.Enter(t.Context(), "greedy"); err != nil {
		t.Errorf("afterwards: %v", err)
	} else {
		again()
	}
}
