package project

import "ambergate/core/cond"

// Condition is a condition with a name, shared by many. Its alias is a yes/no name under the
// record it speaks of: record.in_service.
type Condition struct {
	Listed
	Name  string `json:"name"`            // in service and mine
	Alias string `json:"alias"`           // in_service_and_mine
	Table string `json:"table,omitempty"` // whose records it speaks of; empty: of the user alone
	Text  string `json:"text"`
}

// Group names the group of names that the condition belongs to.
func (c *Condition) Group() string {
	if c.Table == "" {
		return "user"
	}
	return c.Table
}

// conditionFields gives the shared conditions of a group as names of it.
func (p *Project) conditionFields(group string) []cond.Field {
	var out []cond.Field
	for _, c := range Ordered(p.Conditions) {
		if c.Group() == group {
			out = append(out, cond.Field{ID: c.ID, Alias: c.Alias, Label: c.Name, Type: cond.Type{Kind: cond.YesNo}, Named: c.ID})
		}
	}
	return out
}

func (p *Project) named() map[string]cond.Named {
	out := make(map[string]cond.Named, len(p.Conditions))
	for id, c := range p.Conditions {
		out[id] = cond.Named{ID: id, Label: c.Name, Group: c.Group(), Text: c.Text}
	}
	return out
}
