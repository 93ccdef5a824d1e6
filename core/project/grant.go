package project

import (
	"slices"
	"strings"
)

// Grant is what a role may do with a table, and with which of its records. Without a grant a role
// may do nothing; several for one role and table add up, each with its own row rule.
type Grant struct {
	Entity
	Role     string          `json:"role"`
	Table    string          `json:"table"`
	View     bool            `json:"view,omitempty"`
	Add      bool            `json:"add,omitempty"`
	Edit     bool            `json:"edit,omitempty"`
	Delete   bool            `json:"delete,omitempty"`
	Rows     string          `json:"rows,omitempty"`     // row rule: the condition that records meet which the grant speaks of; empty: all
	Changes  string          `json:"changes,omitempty"`  // a further one for add, edit and delete, before the change and after
	Hidden   map[string]bool `json:"hidden,omitempty"`   // fields
	ReadOnly map[string]bool `json:"readOnly,omitempty"` // fields
}

// Verbs are what a grant can allow, in the order they are told.
var Verbs = []string{"view", "add", "edit", "delete"}

// May says whether the grant allows a verb.
func (g *Grant) May(verb string) bool {
	switch verb {
	case "view":
		return g.View
	case "add":
		return g.Add
	case "edit":
		return g.Edit
	case "delete":
		return g.Delete
	}
	return false
}

// GrantsOf gives the grants that a set of roles has on a table, by id.
func (p *Project) GrantsOf(roles map[string]bool, table string) []*Grant {
	var out []*Grant
	for _, g := range p.Grants {
		if g.Table == table && roles[g.Role] {
			out = append(out, g)
		}
	}
	slices.SortFunc(out, func(a, b *Grant) int { return strings.Compare(a.ID, b.ID) })
	return out
}

// GrantOf adds up what a set of roles may do with a table, whatever the record. A field is hidden
// or read only when every grant to view, or to edit, says so.
func (p *Project) GrantOf(roles map[string]bool, table string) Grant {
	sum := Grant{Table: table}
	for _, g := range p.GrantsOf(roles, table) {
		if g.View {
			sum.Hidden = meet(sum.View, sum.Hidden, g.Hidden)
		}
		if g.Edit || g.Add {
			sum.ReadOnly = meet(sum.Edit || sum.Add, sum.ReadOnly, g.ReadOnly)
		}
		sum.View = sum.View || g.View
		sum.Add = sum.Add || g.Add
		sum.Edit = sum.Edit || g.Edit
		sum.Delete = sum.Delete || g.Delete
	}
	return sum
}

// SeenWithin gives the grant with nothing to be seen that another does not show.
func (g Grant) SeenWithin(other Grant) Grant {
	g.View = g.View && other.View
	g.Hidden = union(g.Hidden, other.Hidden)
	return g
}

func union(a, b map[string]bool) map[string]bool {
	out := map[string]bool{}
	for _, from := range []map[string]bool{a, b} {
		for f, in := range from {
			if in {
				out[f] = true
			}
		}
	}
	return out
}

func meet(hasOther bool, a, b map[string]bool) map[string]bool {
	out := map[string]bool{}
	for f := range b {
		if b[f] && (!hasOther || a[f]) {
			out[f] = true
		}
	}
	return out
}
