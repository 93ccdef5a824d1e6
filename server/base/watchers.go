package base

import (
	"maps"
	"slices"
	"sync"
)

// Watchers are tabs that want to know of something of a project: builders' of edits, users' of what the plant calls up.
type Watchers struct {
	mu   sync.Mutex
	tabs map[chan int64]string // → project
}

// NewWatchers begins without any.
func NewWatchers() *Watchers { return &Watchers{tabs: map[chan int64]string{}} }

// Add gives a channel that the newest number of a project comes through, older ones dropped,
// and what ends that.
func (w *Watchers) Add(project string) (chan int64, func()) {
	ch := make(chan int64, 1)
	w.mu.Lock()
	w.tabs[ch] = project
	w.mu.Unlock()
	return ch, func() {
		w.mu.Lock()
		delete(w.tabs, ch)
		w.mu.Unlock()
	}
}

// Projects lists those that are watched, each once.
func (w *Watchers) Projects() []string {
	w.mu.Lock()
	defer w.mu.Unlock()
	all := map[string]bool{}
	for _, p := range w.tabs {
		all[p] = true
	}
	return slices.Collect(maps.Keys(all))
}

// Tell tells all tabs of a project the newest number.
func (w *Watchers) Tell(project string, seq int64) {
	w.mu.Lock()
	defer w.mu.Unlock()
	for ch, p := range w.tabs {
		if p != project {
			continue
		}
		select {
		case <-ch: // an older number that nobody took yet
		default:
		}
		select {
		case ch <- seq:
		default:
		}
	}
}
