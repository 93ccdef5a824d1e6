package project

import "fmt"

// List shows records of a table: all that the inputs let through, or the children of the screen's record.
type List struct {
	Table    string                 `json:"table"`
	Relation string                 `json:"relation,omitempty"` // field of the table that names the screen's record
	Label    string                 `json:"label,omitempty"`
	Columns  map[string]*ListColumn `json:"columns"`
	Order    map[string]*Order      `json:"order,omitempty"`
	Opened   *Gate                  `json:"opened,omitempty"`  // a row is opened
	Rows     int                    `json:"rows,omitempty"`    // on one page; default 50
	InPlace  bool                   `json:"inPlace,omitempty"` // rows are edited where they stand
	Several  map[string]*Several    `json:"several,omitempty"` // what can be done with chosen rows
}

// Several is something that is done with each of the rows that were chosen, all or none.
type Several struct {
	ID    string  `json:"-"`
	Pos   float64 `json:"pos"`
	Words string  `json:"words"`
	Gate  *Gate   `json:"gate"`
}

// Position gives the place among others.
func (s *Several) Position() float64 { return s.Pos }

// SeveralTrigger names the trigger of what is done with chosen rows.
func SeveralTrigger(id string) string { return "several." + id }

// ListColumn is one column of a list.
type ListColumn struct {
	ID    string  `json:"-"`
	Pos   float64 `json:"pos"`
	Path  string  `json:"path"` // field ids joined by dots
	Label string  `json:"label,omitempty"`
	Width float64 `json:"width,omitempty"` // share of the width; default 1
}

// Position gives the place among others.
func (c *ListColumn) Position() float64 { return c.Pos }

// Validate asks for a table and bounds the page.
func (l *List) Validate() error {
	if l.Table == "" {
		return fmt.Errorf("a list needs a table")
	}
	if l.Rows < 0 || l.Rows > 500 {
		return fmt.Errorf("a page has 1 to 500 rows")
	}
	for id, c := range l.Columns {
		c.ID = id
	}
	for id, o := range l.Order {
		o.ID = id
	}
	for id, a := range l.Several {
		a.ID = id
		if a.Words == "" || a.Gate == nil {
			return fmt.Errorf("what is done with several rows needs words and a gate")
		}
	}
	return nil
}

// Gates gives the gate of an opened row, and those of what is done with several.
func (l *List) Gates() map[string]*Gate {
	all := gates("row", l.Opened)
	for id, a := range l.Several {
		if all == nil {
			all = map[string]*Gate{}
		}
		all[SeveralTrigger(id)] = a.Gate
	}
	return all
}

// Chart counts or sums records by one field.
type Chart struct {
	Table   string `json:"table"`
	By      string `json:"by"` // path of the field that the points are made by
	Label   string `json:"label,omitempty"`
	Measure string `json:"measure,omitempty"` // count (default), sum
	Of      string `json:"of,omitempty"`      // of a sum: the field
	Split   string `json:"split,omitempty"`   // path: each bar is divided by it
	Points  int    `json:"points,omitempty"`  // at most; default 12
	Chosen  *Gate  `json:"chosen,omitempty"`  // a point is chosen
}

// Validate asks for a table and a field to count by.
func (c *Chart) Validate() error {
	if c.Table == "" || c.By == "" {
		return fmt.Errorf("a chart needs a table and a field to count by")
	}
	if c.Points < 0 || c.Points > 100 {
		return fmt.Errorf("a chart has 1 to 100 points")
	}
	return oneOf("measure", c.Measure, "", "count", "sum")
}

// Gates gives the gate of a chosen point.
func (c *Chart) Gates() map[string]*Gate { return gates("point", c.Chosen) }
