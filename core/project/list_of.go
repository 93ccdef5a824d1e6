package project

import (
	"sort"
	"strings"
)

// MainList gives the topmost list of the screen that is not a child list; nil when there is none.
// The filters, the order and what is looked for at a place are this list's.
func (s *Screen) MainList() *Element {
	var lists []*Element
	for _, e := range s.Elements {
		if l, ok := e.Spec.(*List); ok && l.Relation == "" {
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
		return l.Spec.(*List).Table
	}
	return ""
}

// Narrows gives the field of a table that an input narrows by: the first of its paths that the
// table has; nil when it has none.
func (p *Project) Narrows(in *Input, table string) (string, *Column) {
	for _, path := range strings.Fields(in.Filter) {
		if c, _ := p.FieldAt(table, path); c != nil {
			return path, c
		}
	}
	return "", nil
}
