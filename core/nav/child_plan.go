package nav

import "ambergate/core/cond"

// childPlan is what is to be found for one child rule of a screen: the first, last or nearest of
// the records that name another.
type childPlan struct {
	Table, Path string     // of the record that is found: its table, and its field that names the other
	From        string     // record (default), row, or the id of an input that is a record
	Pick        string     // first, last (default), nearest (to now)
	Order       string     // path it is the first or last by; empty: the table's own order
	While       *cond.Expr // of those that meet this condition; nil for all
	Bad         bool       // its condition or relation cannot be read
}

// finds notes what is to be found for a child rule.
func (b *planner) finds(key string, p *childPlan) {
	if b.plan.kin == nil {
		b.plan.kin = map[string]*childPlan{}
	}
	b.plan.kin[key] = p
	b.asks(needs{children: stepSet{key: true}})
}
