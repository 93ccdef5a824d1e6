package plan

import "ambergate/core/cond"

// Use is a place where a shared condition is used.
type Use struct {
	Screen  string `json:"screen,omitempty"`
	Element string `json:"element,omitempty"`
	Entity  string `json:"entity,omitempty"`
	Words   string `json:"words"`
}

// used notes where an expression uses shared conditions.
func (a *App) used(n *cond.Node, at Use) {
	for _, id := range n.NamedUsed() {
		a.Uses[id] = append(a.Uses[id], at)
	}
}
