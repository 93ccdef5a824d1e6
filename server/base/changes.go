package base

import (
	"maps"
	"slices"
	"sync"
)

// Changes counts the presses that changed records, by project: who watches a place asks again whether it is
// still open when there were more. Safe for use by many at once.
type Changes struct {
	mu     sync.Mutex
	of     map[string]int
	untold map[string]bool // projects of which the other servers do not know yet
}

func newChanges() *Changes { return &Changes{of: map[string]int{}, untold: map[string]bool{}} }

// Done notes a press that changed records of a project.
func (w *Changes) Done(project string) {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.of[project]++
	w.untold[project] = true
}

// Heard notes one on another server.
func (w *Changes) Heard(project string) {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.of[project]++
}

// take gives the projects of which the other servers do not know yet.
func (w *Changes) take() []string {
	w.mu.Lock()
	defer w.mu.Unlock()
	out := slices.Collect(maps.Keys(w.untold))
	clear(w.untold)
	return out
}

// Of gives how many there were.
func (w *Changes) Of(project string) int {
	w.mu.Lock()
	defer w.mu.Unlock()
	return w.of[project]
}
