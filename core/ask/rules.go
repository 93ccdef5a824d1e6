package ask

import "ambergate/core/cond"

// RowRules says which rows of each table count for who asks. Every query carries one: what is
// read without any says so, by EveryRow.
type RowRules interface {
	// Visible gives what a record must meet to be seen; nil for every record.
	Visible(table string) *cond.Pred
	// Counted gives what a record must meet to count in a figure of a table.
	Counted(table, tally string) *cond.Pred
}

// EveryRow reads without row rules: for what the program asks for itself, never for what is shown.
var EveryRow RowRules = everyRow{}

type everyRow struct{}

// Visible lets every record through.
func (everyRow) Visible(string) *cond.Pred { return nil }

// Counted counts nothing: figures are for users.
func (everyRow) Counted(string, string) *cond.Pred { return cond.Nothing() }
