package outside

import (
	"strings"

	"ambergate/core/check"
)

var GoneFromDatabase = &check.Check{Name: "gone-from-database", Doc: "a table or column that the application names and its database does not have", Outside: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, g := range ix.Outside.Gone {
		t := ix.App.Project.Tables[g.Table]
		if t == nil {
			continue
		}
		f := check.Finding{Severity: check.Broken, Entity: g.Table, Evidence: t.Relation, Words: "The table behind “" + t.Label + "” is gone from the database."}
		if source := ix.App.Project.Sources[t.Source]; source != nil {
			f.Evidence = source.Schema + "." + t.Relation
		}
		if column := t.Fields[g.Field]; column != nil {
			f.Words = "The column “" + column.Column + "” of " + strings.ToLower(t.Label) + ", shown as “" + column.Label + "”, is gone from the database."
			f.Evidence += "." + column.Column
		}
		report(f)
	}
}}
