package project

import (
	"sort"
	"strings"

	"ambergate/core/cond"
)

// List is what an element that lists records of a table holds: all that the inputs let through, or
// the children of the screen's record. Places, steps and presses speak of it, so it stands here
// and not with its kind.
type List struct {
	Table    string                 `json:"table"`
	Relation string                 `json:"relation,omitempty"` // field of the table that names the screen's record
	Label    string                 `json:"label,omitempty"`
	Columns  map[string]*ListColumn `json:"columns"`
	Order    map[string]*Order      `json:"order,omitempty"`
	Opened   *Gate                  `json:"opened,omitempty"`                                 // a row is opened
	Rows     int                    `json:"rows,omitempty"`                                   // on one page; default 50
	InPlace  bool                   `json:"inPlace,omitempty"`                                // rows are edited where they stand
	Several  map[string]*Several    `json:"several,omitempty"`                                // what can be done with chosen rows
	Menu     map[string]*Entry      `json:"menu,omitempty"`                                   // what a row's menu offers
	Group    string                 `json:"group,omitempty"`                                  // path: rows stand under a heading for each of its values
	Cards    bool                   `json:"cards,omitempty"`                                  // where it is narrow, each row is a card
	Height   string                 `json:"height,omitempty" jsonschema:"enum=low,enum=tall"` // of the rows
}

// ListColumn is one column of a list.
type ListColumn struct {
	Item
	Path   string  `json:"path"` // field ids joined by dots
	Label  string  `json:"label,omitempty"`
	Width  float64 `json:"width,omitempty"`                                                                 // share of the width; default 1
	Align  string  `json:"align,omitempty" jsonschema:"enum=left,enum=middle,enum=right"`                   // numbers right, all else left, if none is said
	Look   string  `json:"look,omitempty" jsonschema:"enum=bar"`                                            // bar: of a number, how much it is of the most that is shown
	Format string  `json:"format,omitempty"`                                                                // how its values are written, of cond.Formats; as usual, if none is said
	Total  string  `json:"total,omitempty" jsonschema:"enum=count,enum=sum,enum=mean,enum=most,enum=least"` // at the foot, over all rows and not those that are shown
}

// Validate refuses looks that do not exist.
func (c *ListColumn) Validate() error {
	if err := OneOf("align", c.Align, "", "left", "middle", "right"); err != nil {
		return err
	}
	if err := OneOf("look", c.Look, "", "bar"); err != nil {
		return err
	}
	if err := OneOf("format", c.Format, append([]string{""}, cond.FormatNames()...)...); err != nil {
		return err
	}
	return OneOf("total", c.Total, append([]string{""}, Measures...)...)
}

// Several is something that is done with each of the rows that were chosen, all or none.
type Several struct {
	Item
	Words string `json:"words"`
	Gate  *Gate  `json:"gate"`
}

// SeveralTrigger names the trigger of what is done with chosen rows.
func SeveralTrigger(id string) string { return "several." + id }

// ListOf gives the list that an element is; nil when it is none.
func ListOf(e *Element) *List {
	if l, ok := e.Spec.(interface{ Listing() *List }); ok {
		return l.Listing()
	}
	return nil
}

// MainList gives the topmost list of the screen that is not a child list; nil when there is none.
// The filters, the order and what is looked for at a place are this list's.
func (s *Screen) MainList() *Element {
	var lists []*Element
	for _, e := range s.Elements {
		_, beside := e.Spec.(interface{ BesideLists() })
		if l := ListOf(e); l != nil && l.Relation == "" && !beside {
			lists = append(lists, e)
		}
	}
	if len(lists) == 0 {
		return nil
	}
	sort.Slice(lists, func(i, j int) bool {
		if lists[i].Cell.Row != lists[j].Cell.Row {
			return lists[i].Cell.Row < lists[j].Cell.Row
		}
		return lists[i].ID < lists[j].ID
	})
	return lists[0]
}

// ListTable gives the table of the screen's main list, or "".
func (s *Screen) ListTable() string {
	if l := s.MainList(); l != nil {
		return ListOf(l).Table
	}
	return ""
}

// Narrows gives the field of a table that an input narrows by: the first of its paths that the table has; nil when it
// has none. A path may be that of one table alone, which stands before it: t_pumps:f_state. A record narrows by a field
// that holds such a record.
func (p *Project) Narrows(in *Input, table string) (string, *Column) {
	for _, path := range strings.Fields(in.Filter) {
		if of, own, alone := strings.Cut(path, ":"); alone {
			if of != table {
				continue
			}
			path = own
		}
		c, _ := p.FieldAt(table, path)
		if c == nil || in.Type == "record" && in.Table != "" && c.References != in.Table {
			continue
		}
		return path, c
	}
	return "", nil
}
