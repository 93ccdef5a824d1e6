package base

import "sync"

// Changes counts the presses that changed records, by project: who watches a place asks again whether it is
// still open when there were more. Safe for use by many at once.
type Changes struct {
	mu sync.Mutex
	of map[string]int
}

func newChanges() *Changes { return &Changes{of: map[string]int{}} }

// Done notes a press that changed records of a project.
func (w *Changes) Done(project string) {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.of[project]++
}

// Of gives how many there were.
func (w *Changes) Of(project string) int {
	w.mu.Lock()
	defer w.mu.Unlock()
	return w.of[project]
}
