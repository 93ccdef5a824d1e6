package plan

import (
	"ambergate/core/ask"
	"ambergate/core/project"
)

// DeclaredOrder gives the order of a list as it is declared: its own, else its table's.
func DeclaredOrder(a *App, spec *project.List) []ask.Sort {
	from := spec.Order
	if len(from) == 0 {
		from = a.Project.Tables[spec.Table].Order
	}
	var out []ask.Sort
	for _, s := range project.Ordered(from) {
		out = append(out, ask.Sort{Path: s.Path, Desc: s.Desc})
	}
	return out
}
