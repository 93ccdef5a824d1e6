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
	Menu     map[string]*Entry      `json:"menu,omitempty"`    // what a row's menu offers
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

// Entry is one line of the menu of a row or a point.
type Entry struct {
	ID    string  `json:"-"`
	Pos   float64 `json:"pos"`
	Words string  `json:"words"`
	Gate  *Gate   `json:"gate"`
}

// Position gives the place among others.
func (e *Entry) Position() float64 { return e.Pos }

// EntryTrigger names the trigger of an entry of a menu.
func EntryTrigger(id string) string { return "menu." + id }

func validateMenu(menu map[string]*Entry) error {
	for id, e := range menu {
		if e == nil || e.Words == "" || e.Gate == nil {
			return fmt.Errorf("entry %s of its menu needs words and a gate", id)
		}
		e.ID = id
	}
	return nil
}

func withMenu(all map[string]*Gate, menu map[string]*Entry) map[string]*Gate {
	for id, e := range menu {
		if all == nil {
			all = map[string]*Gate{}
		}
		all[EntryTrigger(id)] = e.Gate
	}
	return all
}

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
	return validateMenu(l.Menu)
}

// Gates gives the gate of an opened row, those of what is done with several, and those of a row's menu.
func (l *List) Gates() map[string]*Gate {
	all := gates("row", l.Opened)
	for id, a := range l.Several {
		if all == nil {
			all = map[string]*Gate{}
		}
		all[SeveralTrigger(id)] = a.Gate
	}
	return withMenu(all, l.Menu)
}

// Chart counts or sums records by one field.
type Chart struct {
	Table   string `json:"table"`
	By      string `json:"by"`             // path of the field that the points are made by
	Span    string `json:"span,omitempty"` // of a date or moment: day, week, month
	Label   string `json:"label,omitempty"`
	Measure string `json:"measure,omitempty"` // count (default), sum, mean, most
	Of      string `json:"of,omitempty"`      // of the others than count: the field
	Split   string `json:"split,omitempty"`   // path: each bar is divided by it
	Points  int    `json:"points,omitempty"`  // at most; default 12
	Chosen  *Gate  `json:"chosen,omitempty"`  // a point is chosen

	Menu map[string]*Entry `json:"menu,omitempty"` // what a point's menu offers
}

// Validate asks for a table and a field to count by.
func (c *Chart) Validate() error {
	if c.Table == "" || c.By == "" {
		return fmt.Errorf("a chart needs a table and a field to count by")
	}
	if c.Points < 0 || c.Points > 100 {
		return fmt.Errorf("a chart has 1 to 100 points")
	}
	if err := oneOf("span", c.Span, "", "day", "week", "month"); err != nil {
		return err
	}
	if err := validateMenu(c.Menu); err != nil {
		return err
	}
	if c.Split != "" && (c.Measure == "mean" || c.Measure == "most") {
		return fmt.Errorf("only a count or a sum can be divided into parts")
	}
	if c.Measure != "" && c.Measure != "count" && c.Of == "" {
		return fmt.Errorf("a %s needs its field", c.Measure)
	}
	return oneOf("measure", c.Measure, "", "count", "sum", "mean", "most")
}

// Gates gives the gate of a chosen point, and those of a point's menu.
func (c *Chart) Gates() map[string]*Gate { return withMenu(gates("point", c.Chosen), c.Menu) }
