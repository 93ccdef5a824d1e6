package build

import (
	"context"
	"maps"
	"slices"

	"ambergate/core/check"
	"ambergate/core/project"
)

// Outside gives what stands outside a project as its checks compare it.
func (s *Side) Outside(ctx context.Context, p *project.Project) check.Outside {
	return check.Outside{Others: s.Others(ctx), Gone: s.missing(ctx, p)}
}

// missing gives what a project names and its databases do not have. Of a database that is away
// nothing is known, so nothing is missing.
func (s *Side) missing(ctx context.Context, p *project.Project) []check.Gone {
	var out []check.Gone
	for _, id := range slices.Sorted(maps.Keys(p.Sources)) {
		db := s.Connected.Now().Records[p.Sources[id].Connection]
		if p.Sources[id].Type != "postgresql" || db == nil {
			continue
		}
		gone, err := db.Missing(ctx, p, id)
		if err != nil {
			s.Log.Warn("a database could not be compared with the project", "project", p.Settings.Slug, "source", id, "error", err)
			continue
		}
		for _, m := range gone {
			out = append(out, check.Gone{Table: m.Table, Field: m.Field})
		}
	}
	return out
}
