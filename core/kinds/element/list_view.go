package element

import (
	"ambergate/core/ask"
	"ambergate/core/use"
)

// ListView is a list as it is drawn: one stretch of it.
type ListView struct {
	Table   string            `json:"table"`
	Label   string            `json:"label"`
	Main    bool              `json:"main"` // the place's filters, sort and find are this list's
	Columns []ColumnView      `json:"columns"`
	Rows    []RowView         `json:"rows"`
	Before  string            `json:"before,omitempty"` // cursor to read back from; "" at the beginning
	Next    string            `json:"next,omitempty"`   // cursor to go on from; "" at the end
	Count   int               `json:"count"`
	More    bool              `json:"more,omitempty"` // there are more than count
	Sort    []ask.Sort        `json:"sort"`
	Opens   bool              `json:"opens,omitempty"`   // a row can be opened
	Chosen  string            `json:"chosen,omitempty"`  // key of the chosen row
	Top     string            `json:"top,omitempty"`     // key of the row that was at the top
	Choose  bool              `json:"choose,omitempty"`  // ways of the screen ask for the chosen row
	InPlace bool              `json:"inPlace,omitempty"` // rows are edited where they stand
	Adds    bool              `json:"adds,omitempty"`    // rows can be added where they stand
	Several []use.SeveralView `json:"several,omitempty"` // what can be done with chosen rows
	Menu    []use.EntryView   `json:"menu,omitempty"`    // what the rows' menus offer
	Refused string            `json:"refused,omitempty"`
	Cards   bool              `json:"cards,omitempty"`  // where it is narrow, each row is a card
	Height  string            `json:"height,omitempty"` // of the rows: low, tall
	Groups  map[string]int    `json:"groups,omitempty"` // how many rows stand under each heading
}

// ColumnView is one column of a list.
type ColumnView struct {
	Path     string   `json:"path"`
	Label    string   `json:"label"`
	Type     string   `json:"type"`
	Choices  []string `json:"choices,omitempty"`
	Graded   bool     `json:"graded,omitempty"`
	Unit     string   `json:"unit,omitempty"`
	Format   string   `json:"format,omitempty"` // how its values are written
	Width    float64  `json:"width"`
	Table    string   `json:"table,omitempty"` // of a relation
	Nullable bool     `json:"nullable,omitempty"`
	Edits    bool     `json:"edits,omitempty"` // its cells can be edited where they stand
	Adds     bool     `json:"adds,omitempty"`  // and in rows that are added
	Needed   bool     `json:"needed,omitempty"`
	Align    string   `json:"align,omitempty"`
	Look     string   `json:"look,omitempty"`
	Total    *float64 `json:"total,omitempty"`   // over all rows
	TotalOf  string   `json:"totalOf,omitempty"` // what that is: count, sum, mean, most, least
}

// RowView is one row: its cells in the order of the columns, and whether it opens.
type RowView struct {
	Key     string          `json:"key"`
	Title   string          `json:"title"`
	Cursor  string          `json:"cursor,omitempty"`
	Version string          `json:"version,omitempty"` // of rows that are edited in place
	Edits   bool            `json:"edits,omitempty"`   // the user may change this row
	Cells   []CellView      `json:"cells"`
	Open    bool            `json:"open,omitempty"`
	Reason  string          `json:"reason,omitempty"`
	Href    string          `json:"href,omitempty"`
	Menu    []use.EntryView `json:"menu,omitempty"`
	Face    *RowFaceView    `json:"face,omitempty"`
	Group   string          `json:"group,omitempty"` // heading that it stands under
}

// CellView is one value for people and, for records and choices, as the wire writes it.
type CellView struct {
	Words string `json:"words"`
	Value string `json:"value,omitempty"`
}
