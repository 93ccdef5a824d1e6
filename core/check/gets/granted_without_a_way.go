package gets

import (
	"maps"
	"slices"

	"ambergate/core/check"
	"ambergate/core/english"
)

var GrantedWithoutAWay = &check.Check{Name: "granted-without-a-way", Doc: "a role may add, edit or delete records, and nothing that it reaches does it", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, id := range slices.Sorted(maps.Keys(ix.App.Project.Grants)) {
		g := ix.App.Project.Grants[id]
		role, table := ix.App.Project.Roles[g.Role], ix.App.Project.Tables[g.Table]
		if role == nil || table == nil {
			continue
		}
		does := ix.DoesOf(role.ID)
		var idle []string
		for _, verb := range []string{"add", "edit", "delete"} {
			if g.May(verb) && !does[[2]string{verb, g.Table}] {
				idle = append(idle, verb)
			}
		}
		if len(idle) == 0 {
			continue
		}
		report(check.Finding{Severity: check.Note, Entity: id, Words: role.Name + " may " + english.List(idle, "and") + " " + english.Lower(table.Label) + ", and nothing that they reach does it.", Evidence: "A right that nobody uses is one that nobody misses."})
	}
}}
