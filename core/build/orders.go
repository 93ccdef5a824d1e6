package build

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// ListOrder is one order in which records of a table are read, and where.
type ListOrder struct {
	Of     string     // children of one record: the path that names it; "" for all records
	Sort   []ask.Sort // before the key, which always comes last
	Words  string     // "began, the highest first"
	Places []string   // where: "“Stops”", "where “My open defects” leads"
}

// OrdersOf gives the orders that a project reads a table in: that of the table itself, those of
// lists, and those that ways let lists begin with. What a user sorts by is not among them.
func OrdersOf(a *plan.App, table string) []ListOrder {
	t := a.Project.Tables[table]
	if t == nil {
		return nil
	}
	var out []ListOrder
	add := func(of string, sort []ask.Sort, place string) {
		for i := range out {
			if out[i].Of == of && slices.Equal(out[i].Sort, sort) {
				if !slices.Contains(out[i].Places, place) {
					out[i].Places = append(out[i].Places, place)
				}
				return
			}
		}
		out = append(out, ListOrder{Of: of, Sort: sort, Words: words.Order(a, table, sort), Places: []string{place}})
	}
	add("", plan.DeclaredOrder(a, &project.List{Table: table}), "the table itself")
	for _, id := range slices.Sorted(maps.Keys(a.Project.Screens)) {
		s, compiled := a.Project.Screens[id], a.Screens[id]
		for _, e := range project.Ordered(s.Elements) {
			if l := project.ListOf(e); l != nil && l.Table == table {
				add(l.Relation, plan.DeclaredOrder(a, l), "“"+s.Title+"”")
			}
		}
		if compiled == nil {
			continue
		}
		for _, w := range compiled.Ways() {
			for _, c := range w.Gate.Cases {
				if m := c.Move.Only(); m != nil && m.Arrive != nil && len(m.Arrive.Sort) > 0 && m.Target != nil && a.Behind(m).ListTable() == table {
					var sort []ask.Sort
					for _, o := range project.Ordered(m.Arrive.Sort) {
						sort = append(sort, ask.Sort{Path: o.Path, Desc: o.Desc})
					}
					add("", sort, fmt.Sprintf("where “%s” on “%s” leads", words.Element(a, s, w.Element), s.Title))
				}
			}
		}
	}
	return out
}
