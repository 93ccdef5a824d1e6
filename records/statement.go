package records

import (
	"fmt"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/project"
)

// statement builds one select: the table, the joins that its paths need, and parameters.
type statement struct {
	project *project.Project
	table   *project.Table
	joins   map[string]string // relation path → alias
	from    []string
	args    []any
}

func newStatement(p *project.Project, t *project.Table) *statement {
	s := &statement{project: p, table: t, joins: map[string]string{"": "t0"}}
	s.from = []string{relation(p, t) + " t0"}
	return s
}

func relation(p *project.Project, t *project.Table) string {
	schema := "public"
	if src := p.Sources[t.Source]; src != nil && src.Schema != "" {
		schema = src.Schema
	}
	return pgx.Identifier{schema, t.Relation}.Sanitize()
}

// column gives the SQL of a dotted path of field ids, adding the joins along the way.
func (s *statement) column(path string) (string, *project.Column, error) {
	prefix, name := "", path
	if i := strings.LastIndexByte(path, '.'); i >= 0 {
		prefix, name = path[:i], path[i+1:]
	}
	alias, table, err := s.join(prefix)
	if err != nil {
		return "", nil, err
	}
	f := table.Fields[name]
	if f == nil {
		return "", nil, fmt.Errorf("table %s has no field %s", table.ID, name)
	}
	return alias + "." + pgx.Identifier{f.Column}.Sanitize(), f, nil
}

// join gives the alias of the table at a relation path.
func (s *statement) join(path string) (string, *project.Table, error) {
	if path == "" {
		return "t0", s.table, nil
	}
	f, _ := s.project.FieldAt(s.table.ID, path)
	if f == nil || s.project.Tables[f.References] == nil {
		return "", nil, fmt.Errorf("table %s has no relation %s", s.table.ID, path)
	}
	parent := s.project.Tables[f.References]
	if alias, ok := s.joins[path]; ok {
		return alias, parent, nil
	}
	column, _, err := s.column(path)
	if err != nil {
		return "", nil, err
	}
	if len(parent.Key) != 1 {
		return "", nil, fmt.Errorf("table %s has a key of several fields and cannot be a parent yet", parent.ID)
	}
	alias := fmt.Sprintf("t%d", len(s.joins))
	s.joins[path] = alias
	key := pgx.Identifier{parent.Fields[parent.Key[0]].Column}.Sanitize()
	s.from = append(s.from, fmt.Sprintf("left join %s %s on %s.%s = %s", relation(s.project, parent), alias, alias, key, column))
	return alias, parent, nil
}

// arg adds a parameter and gives its place.
func (s *statement) arg(v any) string {
	s.args = append(s.args, v)
	return fmt.Sprintf("$%d", len(s.args))
}

// keyColumns gives the SQL of each part of the key.
func (s *statement) keyColumns() []string {
	out := make([]string, len(s.table.Key))
	for i, id := range s.table.Key {
		out[i] = "t0." + pgx.Identifier{s.table.Fields[id].Column}.Sanitize()
	}
	return out
}
