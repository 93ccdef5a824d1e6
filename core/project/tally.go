package project

import "ambergate/core/cond"

// Tally is a declared figure over the records that refer to one: how many open defects a cabin has.
type Tally struct {
	Item
	Alias string `json:"alias"`
	Label string `json:"label"`
	Take  string `json:"take" jsonschema:"enum=count,enum=exists,enum=min,enum=max"` // count, exists, min, max
	Of    string `json:"of"`                                                         // the table counted
	By    string `json:"by"`                                                         // its relation to this table
	Path  string `json:"path,omitempty"`                                             // of min and max: its field
	While string `json:"while,omitempty"`                                            // condition on the records counted
}

// Takes are the kinds of figures.
var Takes = []string{"count", "exists", "min", "max"}

// column gives the figure in the form of a field: it cannot be changed.
func (p *Project) tallyColumn(t *Tally) *Column {
	c := &Column{Item: t.Item, Alias: t.Alias, Label: t.Label, ReadOnly: true, Type: "whole", Tally: t}
	switch t.Take {
	case "exists":
		c.Type = "yesno"
	case "min", "max":
		c.Nullable = true
		if of := p.Tables[t.Of]; of != nil && of.Fields[t.Path] != nil {
			f := of.Fields[t.Path]
			c.Type, c.Unit, c.Choices, c.Graded = f.Type, f.Unit, f.Choices, f.Graded
		}
	}
	return c
}

// tallyFields gives the figures of a table as names of it.
func (p *Project) tallyFields(t *Table) []cond.Field {
	var out []cond.Field
	for _, tally := range Ordered(t.Tallies) {
		out = append(out, cond.Field{ID: tally.ID, Alias: tally.Alias, Label: tally.Label, Type: p.tallyColumn(tally).TypeOf(), Far: true})
	}
	return out
}
