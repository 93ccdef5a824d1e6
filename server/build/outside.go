package build

import (
	"context"
	"maps"
	"slices"
	"strings"

	"ambergate/core/check"
	"ambergate/core/project"
)

// missing finds what a project names and its databases do not have. A database that is away is no
// finding: nothing is known of it then.
func (s *Side) missing(ctx context.Context, p *project.Project) []check.Finding {
	var out []check.Finding
	for _, id := range slices.Sorted(maps.Keys(p.Sources)) {
		db := s.Records[p.Sources[id].Connection]
		if p.Sources[id].Type != "postgresql" || db == nil {
			continue
		}
		gone, err := db.Missing(ctx, p, id)
		if err != nil {
			s.Log.Warn("a database could not be compared with the project", "project", p.Settings.Slug, "source", id, "error", err)
			continue
		}
		for _, m := range gone {
			t := p.Tables[m.Table]
			f := check.Finding{Check: "gone-from-database", Severity: check.Broken, Entity: m.Table, Evidence: p.Sources[id].Schema + "." + t.Relation}
			if m.Column == "" {
				f.Words = "The table behind “" + t.Label + "” is gone from the database."
			} else {
				f.Words = "The column “" + m.Column + "” of " + strings.ToLower(t.Label) + ", shown as “" + t.Fields[m.Field].Label + "”, is gone from the database."
				f.Evidence += "." + m.Column
			}
			out = append(out, f)
		}
	}
	return out
}
