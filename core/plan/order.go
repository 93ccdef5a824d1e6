package plan

import (
	"ambergate/core/ask"
	"ambergate/core/project"
)

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
