package ask

import (
	"context"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Streamer reads records one after the other, however many there are.
type Streamer interface {
	// Each calls a function with each record of a query, in order, until it fails.
	Each(ctx context.Context, q Query, each func(*Row) error) error
	// Count counts what a query finds, up to its bound.
	Count(ctx context.Context, q Query) (Count, error)
}

// Sort is one part of the order of a screen's list.
type Sort struct {
	Path string `json:"path"`
	Desc bool   `json:"desc,omitempty"`
}

// Records reads the application's own tables. A query is one statement: parents come by
// joins, never by queries in a loop.
type Records interface {
	Fetch(ctx context.Context, q Query) (Page, error)
	Count(ctx context.Context, q Query) (Count, error)
	Group(ctx context.Context, q GroupQuery) ([]Group, error)
}

// Changer changes records within the transaction of one press.
type Changer interface {
	Records
	// Insert adds a record and gives its key.
	Insert(ctx context.Context, t *project.Table, values map[string]cond.Value) (string, error)
	// Update changes fields of a record that this transaction has fetched with Lock.
	Update(ctx context.Context, t *project.Table, key string, values map[string]cond.Value) error
	// Delete removes a record that this transaction has fetched with Lock.
	Delete(ctx context.Context, t *project.Table, key string) error
	// Hanging tells what refers to a record, as far as rights let it be seen.
	Hanging(ctx context.Context, t *project.Table, key string, rights RowRules) ([]Hanging, error)
}

// Hanging is records of one table that refer to a record which is to be deleted.
type Hanging struct {
	Label string `json:"label"`
	N     int    `json:"n"`
	Then  string `json:"then"` // what the database does to them: deleted, emptied, or kept, which forbids deleting
}

// HangingOf tells it of so many records of a table, with its word for one where there is just one.
func HangingOf(t *project.Table, n int, then string) Hanging {
	h := Hanging{Label: t.Label, N: n, Then: then}
	if n == 1 && t.One != "" {
		h.Label = t.One
	}
	return h
}

// Query asks for records of one table.
type Query struct {
	Table *project.Table
	Paths []string // dotted field ids; those of relations give the key they hold
	Key   string   // just this record
	Match []Match  // all must hold
	Order []Sort   // the key is added as the last
	Limit int
	Bound int    // how far it is counted exactly; 0: as is usual
	After string // cursor that reading goes on from; "" for the start, or with Back for the end
	Back  bool   // the records before the cursor, those nearest to it; still given in the list's order
	// Except leaves out the record of a key.
	Except string
	Find   Find
	Lock   bool // for update, until the transaction ends
	// Rights says which rows count, of this table and of those that paths go through; never nil.
	Rights RowRules
	Also   *cond.Pred            // a further thing that records must meet; nil for none
	Ask    map[string]*cond.Pred // told of each record, by name: whether it meets it; nil for always
}

// Match is one comparison that records must meet.
type Match struct {
	Path    string
	Compare string // is, isNot, contains, empty, notEmpty, atLeast, atMost, below, in
	Value   cond.Value
	Values  []cond.Value // of in
}

// Find asks for records in which each of some words stands in one of some fields.
type Find struct {
	Paths []string
	Words []string
}

// Page is records in order, with the cursor to go on from in the direction of reading; "" at the end.
type Page struct {
	Rows []*Row
	Next string
}

// Count is how many records there are, exact up to a bound.
type Count struct {
	N    int
	More bool // there are more than N
}

// Row is one record with the values that were asked for.
type Row struct {
	Table   string
	Key     string
	Version string // changes with each change of the record
	Cursor  string // its place in the order asked for
	Values  map[string]cond.Value
	May     map[string]bool // what was asked of it, by name
}

// GroupQuery counts or sums records by a field, and within that by another.
type GroupQuery struct {
	Table *project.Table
	By    string   // path; "" for all of them as one
	Title []string // paths that the words of a record need, when By is a relation
	Split string   // path of what divides each into parts; "" for none
	// SplitTitle are the paths that the words of a part's record need, when Split is a relation.
	SplitTitle []string
	SplitSpan  string    // of a date or moment: parts are spans of time
	Measure    string    // count, sum, mean or most
	Of         string    // path, of the others than count
	More       []Measure // what else is told of each point, in order
	Span       string    // of a date or moment: day, week or month; points come in the order of time then, the last ones
	Step       float64   // of a number: how wide the ranges are; the largest come, in the order of numbers
	Zone       string    // that days begin in, of moments
	Match      []Match
	Find       Find
	Limit      int // beyond it there is one last group that stands for the others; 0 for none
	// Rights says which rows count; never nil.
	Rights RowRules
}

// Measure is what is told of a group of records.
type Measure struct {
	Measure string // count, sum, mean, most or least
	Of      string // path, of the others than count
}

// Group is one point: its value, the title's values when it is a record, its measure and its parts.
type Group struct {
	Value cond.Value
	Row   *Row // of a relation, for its title; values under By
	N     float64
	More  []float64 // of each further measure
	Parts []GroupPart
	Rest  int // it stands for so many groups beyond the limit, and their sum
}

// GroupPart is the share of one value of the split. Those of no value, and those of records that the user may not
// see, are parts too: together they are the whole.
type GroupPart struct {
	Value  string
	Unseen bool
	Row    *Row // of a relation, for its title; values under Split
	N      float64
}

// AddPart adds to the share of a value.
func (g *Group) AddPart(part GroupPart) {
	for i := range g.Parts {
		if p := &g.Parts[i]; p.Value == part.Value && p.Unseen == part.Unseen {
			p.N += part.N
			return
		}
	}
	g.Parts = append(g.Parts, part)
}

// Value gives what a path of the user leads to; of asks for what the user's own record holds.
func (u *User) Value(p *cond.Path, of func(segs []string) cond.Value) cond.Value {
	switch p.First() {
	case "name":
		return cond.String(u.Name)
	case "login":
		return cond.String(u.Login)
	}
	if u.Record == "" {
		return cond.NullValue
	}
	if len(p.Segs) == 1 {
		return cond.Key(u.Record)
	}
	return of(p.Segs[1:])
}
