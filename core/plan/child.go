package plan

import "ambergate/core/cond"

// Child is what is to be found for one child rule of a screen: the first, last or nearest of
// the records that name another.
type Child struct {
	Table, Path string     // of the record that is found: its table, and its field that names the other
	From        string     // record (default), row, or the id of an input that is a record
	Pick        string     // first, last (default), nearest (to now)
	Order       string     // path it is the first or last by; empty: the table's own order
	While       *cond.Expr // of those that meet this condition; nil for all
	Bad         bool       // its condition or relation cannot be read
}

// Finds notes what is to be found for a child rule.
func (b *Planner) Finds(key string, p *Child) {
	if b.Plan.Found == nil {
		b.Plan.Found = map[string]*Child{}
	}
	b.Plan.Found[key] = p
	b.Asks(Needs{Children: Names{key: true}})
}
