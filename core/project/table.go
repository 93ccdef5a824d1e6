package project

import (
	"slices"
	"strings"

	"ambergate/core/cond"
)

// Table is a table or view of a source, with the fields that the project uses.
type Table struct {
	Entity
	Source   string             `json:"source"`
	Relation string             `json:"relation"`       // its name in the database
	Label    string             `json:"label"`          // Defects
	One      string             `json:"one"`            // defect
	View     bool               `json:"view,omitempty"` // it is a view: its records have no version of their own
	Key      []string           `json:"key"`            // fields, in the order of the key; none: records can be listed, not opened
	Title    string             `json:"title"`          // template over record: what one record is called
	Order    map[string]*Order  `json:"order,omitempty"`
	Fields   map[string]*Column `json:"fields"`
	Tallies  map[string]*Tally  `json:"tallies,omitempty"`
}

// Column is one field of a table.
type Column struct {
	Item
	Column     string   `json:"column"`           // its name in the database
	Number     int      `json:"number,omitempty"` // the database's own for the column, which stays when it is renamed there; 0: not known
	Alias      string   `json:"alias"`            // as expressions write it
	Label      string   `json:"label"`
	Type       string   `json:"type"` // yesno, whole, number, decimal, text, json (shown, not edited), picture (bytes), date, moment, record
	Long       bool     `json:"long,omitempty"`
	Choices    []string `json:"choices,omitempty"` // in order of rank
	Graded     bool     `json:"graded,omitempty"`  // the choices are grades: shown with a mark that fills with the rank
	Unit       string   `json:"unit,omitempty"`
	Nullable   bool     `json:"nullable,omitempty"`
	Min        *float64 `json:"min,omitempty"`        // of a number: the least it may be
	Max        *float64 `json:"max,omitempty"`        // of a number: the most
	Longest    int      `json:"longest,omitempty"`    // of a text: characters at most
	Pattern    string   `json:"pattern,omitempty"`    // of a text: a regular expression that all of it must fit
	Example    string   `json:"example,omitempty"`    // of a pattern: a text that fits, shown where one does not
	Default    string   `json:"default,omitempty"`    // what the database fills in when nothing is given, in words
	Secret     bool     `json:"secret,omitempty"`     // never kept in drafts
	References string   `json:"references,omitempty"` // of a record: the table
	Back       string   `json:"back,omitempty"`       // of a record: what these records are to that one, in the plural: its open defects
	ReadOnly   bool     `json:"readOnly,omitempty"`   // made by the database
	Tally      *Tally   `json:"-"`                    // of a declared figure
}

// Order is one part of a sort order.
type Order struct {
	Item
	Path string `json:"path"` // field ids joined by dots
	Desc bool   `json:"desc,omitempty"`
}

func (t *Table) called(id string) {
	t.ID = id
	call(t.Fields)
	call(t.Tallies)
	call(t.Order)
}

// TypeOf gives the type of a column in the language of conditions.
func (c *Column) TypeOf() cond.Type {
	kind, ok := cond.KindOf(c.Type)
	if !ok {
		kind = cond.Text
	}
	return cond.Type{Kind: kind, Table: c.References, Choices: c.Choices, Nullable: c.Nullable, Unit: c.Unit}
}

// IsKey says whether the field is part of the key.
func (t *Table) IsKey(field string) bool { return slices.Contains(t.Key, field) }

// FieldAt follows a dotted path of field ids from a table: the last field, and the table it is in.
func (p *Project) FieldAt(table, path string) (*Column, *Table) {
	t := p.Tables[table]
	parts := strings.Split(path, ".")
	for i, part := range parts {
		if t == nil {
			return nil, nil
		}
		f := t.Fields[part]
		if tally := t.Tallies[part]; f == nil && tally != nil {
			f = p.tallyColumn(tally)
		}
		if f == nil {
			return nil, nil
		}
		if i == len(parts)-1 {
			return f, t
		}
		t = p.Tables[f.References]
	}
	return nil, nil
}

// JoinPath puts a dotted path behind another; either may be empty.
func JoinPath(prefix, path string) string {
	if prefix == "" {
		return path
	}
	if path == "" {
		return prefix
	}
	return prefix + "." + path
}

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
