package nav

import (
	"fmt"
	"maps"
	"slices"
	"strings"

	"ambergate/core/project"
)

// ListOrder is one order in which records of a table are read, and where.
type ListOrder struct {
	Of     string   // children of one record: the path that names it; "" for all records
	Sort   []Sort   // before the key, which always comes last
	Words  string   // "began, the highest first"
	Places []string // where: "“Stops”", "where “My open defects” leads"
}

// OrdersOf gives the orders that a project reads a table in: that of the table itself, those of
// lists, and those that ways let lists begin with. What a user sorts by is not among them.
func (a *App) OrdersOf(table string) []ListOrder {
	t := a.Project.Tables[table]
	if t == nil {
		return nil
	}
	var out []ListOrder
	add := func(of string, sort []Sort, place string) {
		for i := range out {
			if out[i].Of == of && slices.Equal(out[i].Sort, sort) {
				if !slices.Contains(out[i].Places, place) {
					out[i].Places = append(out[i].Places, place)
				}
				return
			}
		}
		out = append(out, ListOrder{Of: of, Sort: sort, Words: a.orderWords(table, sort), Places: []string{place}})
	}
	add("", declaredOrder(a, &project.List{Table: table}), "the table itself")
	for _, id := range slices.Sorted(maps.Keys(a.Project.Screens)) {
		s, compiled := a.Project.Screens[id], a.Screens[id]
		for _, e := range project.Ordered(s.Elements) {
			if l := project.ListOf(e); l != nil && l.Table == table {
				add(l.Relation, declaredOrder(a, l), "“"+s.Title+"”")
			}
		}
		if compiled == nil {
			continue
		}
		for _, w := range compiled.Ways() {
			for _, c := range w.Gate.Cases {
				if m := c.Move.Only(); m != nil && m.Arrive != nil && len(m.Arrive.Sort) > 0 && m.Target != nil && m.Target.ListTable() == table {
					var sort []Sort
					for _, o := range project.Ordered(m.Arrive.Sort) {
						sort = append(sort, Sort{Path: o.Path, Desc: o.Desc})
					}
					add("", sort, fmt.Sprintf("where “%s” on “%s” leads", a.ElementWords(s, w.Element), s.Title))
				}
			}
		}
	}
	return out
}

// orderWords says an order.
func (a *App) orderWords(table string, sort []Sort) string {
	var parts []string
	for _, s := range sort {
		words := a.pathLabels(table, s.Path)
		if words == "" {
			words = "a field that is gone"
		}
		if s.Desc {
			words += ", the highest first"
		}
		parts = append(parts, words)
	}
	if len(parts) == 0 {
		return "the key"
	}
	return strings.Join(parts, ", then ")
}

// PathWords says a path of relations of a table: "cabin’s lift"; "" where a part is gone.
func (a *App) PathWords(table, path string) string { return a.pathLabels(table, path) }
