package records

import (
	"context"
	"fmt"
	"slices"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// Missing is a table, or a column of one, that a project names and the database does not have.
type Missing struct {
	Table string // id in the project
	Field string // id in the project; "" when the table is missing
}

// Missing compares what a project names of one source with what the database has, in a stable order.
func (s *Source) Missing(ctx context.Context, p *project.Project, source string) ([]Missing, error) {
	src := p.Sources[source]
	if src == nil {
		return nil, nil
	}
	rows, err := s.pool.Query(ctx, `select c.relname, a.attname from pg_class c join pg_namespace n on n.oid = c.relnamespace
		join pg_attribute a on a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped where n.nspname = $1 and c.relkind in ('r', 'v', 'm', 'p', 'f')`, src.Schema)
	if err != nil {
		return nil, fmt.Errorf("read what the database has: %w", err)
	}
	has := map[string]map[string]bool{}
	var relation, column string
	if _, err := pgx.ForEachRow(rows, []any{&relation, &column}, func() error {
		if has[relation] == nil {
			has[relation] = map[string]bool{}
		}
		has[relation][column] = true
		return nil
	}); err != nil {
		return nil, fmt.Errorf("read what the database has: %w", err)
	}
	var out []Missing
	for id, t := range p.Tables {
		if t.Source != source {
			continue
		}
		if has[t.Relation] == nil {
			out = append(out, Missing{Table: id})
			continue
		}
		for field, f := range t.Fields {
			if !has[t.Relation][f.Column] {
				out = append(out, Missing{Table: id, Field: field})
			}
		}
	}
	slices.SortFunc(out, func(a, b Missing) int {
		return slices.Compare([]string{a.Table, a.Field}, []string{b.Table, b.Field})
	})
	return out, nil
}

// gone tells that a table or column is not there any more as what it is: the project and the
// database have come apart. Other errors come back as they are.
func gone(err error) error {
	if isOneOf(err, goneFrom) {
		return &ask.Refusal{Cause: err, Code: "broken", What: "Something that this screen reads is gone from the database, is of another kind there, or may not be read any more.", Then: "Tell the person who builds this application: the findings say what it is."}
	}
	return err
}
