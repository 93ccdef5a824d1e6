// Package catalogue is the structure of a database as it was read: tables, their columns, keys and rights. It knows
// no database and no project; records reads it, propose makes a project's tables of it.
//
//   - catalogue.go: what was read
package catalogue

import "slices"

// The kinds of what holds records.
const (
	Plain        = "table"
	Partitioned  = "partitioned"
	View         = "view"
	Materialised = "materialised"
)

// Database is what a login sees of a database, read in one snapshot.
type Database struct {
	Name   string   `json:"name"`
	Tables []*Table `json:"tables"` // by schema and name
}

// Table is a table or a view.
type Table struct {
	Schema      string     `json:"schema"`
	Name        string     `json:"name"`
	Kind        string     `json:"kind"`
	Comment     string     `json:"comment,omitempty"`
	Rows        int64      `json:"rows"` // as the database estimates; -1: it does not know
	Columns     []*Column  `json:"columns"`
	Primary     []string   `json:"primary,omitempty"` // its columns, in order
	Unique      [][]string `json:"unique,omitempty"`  // other keys that no two records share
	Indexes     [][]string `json:"indexes,omitempty"`
	Foreign     []Foreign  `json:"foreign,omitempty"`
	Checks      []string   `json:"checks,omitempty"` // conditions, as the database writes them
	Select      bool       `json:"select"`           // what the login may do, with some column at least
	Insert      bool       `json:"insert"`
	Update      bool       `json:"update"`
	Delete      bool       `json:"delete"`
	Parts       bool       `json:"parts,omitempty"`       // the login may read some of its columns alone
	RowSecurity bool       `json:"rowSecurity,omitempty"` // the database shows the login some of its records
}

// Column is one column.
type Column struct {
	Name      string   `json:"name"`
	Number    int      `json:"number"` // stays when the column is renamed (pg_attribute.attnum)
	Type      string   `json:"type"`   // as the database writes it: numeric(38,12)
	Base      string   `json:"base"`   // the plain type below domains: numeric
	Domain    string   `json:"domain,omitempty"`
	Enum      []string `json:"enum,omitempty"` // the values of an enumerated type, in order
	Array     bool     `json:"array,omitempty"`
	NotNull   bool     `json:"notNull,omitempty"`
	Default   string   `json:"default,omitempty"`
	Generated bool     `json:"generated,omitempty"` // worked out by the database
	Identity  bool     `json:"identity,omitempty"`  // numbered by the database
	Length    int      `json:"length,omitempty"`    // of a text: characters at most
	Scale     int      `json:"scale,omitempty"`     // of a decimal number: places
	Checks    []string `json:"checks,omitempty"`    // of its domain
	Comment   string   `json:"comment,omitempty"`
	Select    bool     `json:"select"`
	Change    bool     `json:"change"` // the login may insert or update it
}

// Foreign is a foreign key.
type Foreign struct {
	Columns []string `json:"columns"`
	Schema  string   `json:"schema"` // of the table that it names
	Table   string   `json:"table"`
	To      []string `json:"to"`
}

// Find gives a table by its names; nil when it is not there.
func (d *Database) Find(schema, name string) *Table {
	for _, t := range d.Tables {
		if t.Schema == schema && t.Name == name {
			return t
		}
	}
	return nil
}

// Column gives a column by its name; nil when it is not there.
func (t *Table) Column(name string) *Column {
	for _, c := range t.Columns {
		if c.Name == name {
			return c
		}
	}
	return nil
}

// IsUnique says whether no two records share the value of a column.
func (t *Table) IsUnique(column string) bool {
	one := []string{column}
	return slices.Equal(t.Primary, one) || slices.ContainsFunc(t.Unique, func(key []string) bool { return slices.Equal(key, one) })
}

// IsView says whether its records are made from those of others.
func (t *Table) IsView() bool { return t.Kind == View || t.Kind == Materialised }

// HasKey says whether some columns, in this order, are one of the keys besides the primary one.
func (t *Table) HasKey(columns []string) bool {
	return slices.ContainsFunc(t.Unique, func(key []string) bool { return slices.Equal(key, columns) })
}
