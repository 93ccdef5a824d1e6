package records

import (
	"fmt"
	"net/url"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

func (s *statement) where(q ask.Query) ([]string, error) {
	var out []string
	if q.Key != "" {
		sql, err := s.keyIs(q.Key)
		if err != nil {
			return nil, err
		}
		out = append(out, sql)
	}
	for _, m := range q.Match {
		sql, err := s.match(m)
		if err != nil {
			return nil, err
		}
		out = append(out, sql)
	}
	if q.Except != "" {
		sql, err := s.keyIs(q.Except)
		if err != nil {
			return nil, err
		}
		out = append(out, "not ("+sql+")")
	}
	if len(q.Find.Words) > 0 {
		sql, err := s.find(q.Find)
		if err != nil {
			return nil, err
		}
		out = append(out, sql)
	}
	for _, rule := range []*cond.Pred{q.Rights.Visible(q.Table.ID), q.Also} {
		if rule == nil {
			continue
		}
		sql, err := s.rule(rule)
		if err != nil {
			return nil, err
		}
		out = append(out, sql)
	}
	return out, nil
}

// keyIs writes that a record is the one of a key; one that cannot be a key is none.
func (s *statement) keyIs(key string) (string, error) {
	parts, columns := []string{key}, s.keyColumns()
	switch {
	case len(columns) == 0:
		return "", fmt.Errorf("table %s has no key", s.table.ID)
	case len(columns) > 1:
		parts = strings.Split(key, "~")
	}
	if len(parts) != len(columns) {
		return "false", nil
	}
	for i, k := range columns {
		part := parts[i]
		if len(parts) > 1 {
			var err error
			if part, err = url.PathUnescape(part); err != nil {
				return "false", nil
			}
		}
		columns[i] = k + " = " + s.arg(part)
	}
	return strings.Join(columns, " and "), nil
}

// find writes that each of some words stands in one of some fields, whatever its case: one condition, however
// many words. A word has no white space, so that it cannot run from one field into the next.
func (s *statement) find(f ask.Find) (string, error) {
	if len(f.Paths) == 0 {
		return "false", nil
	}
	fields := make([]string, len(f.Paths))
	for i, path := range f.Paths {
		sql, _, err := s.column(path)
		if err != nil {
			return "", err
		}
		fields[i] = "coalesce(" + sql + "::text, '')"
	}
	patterns := make([]string, len(f.Words))
	for i, word := range f.Words {
		patterns[i] = "%" + escapeLike(word) + "%"
	}
	return "(" + strings.Join(fields, ` || E'\n' || `) + ") ilike all(" + s.arg(patterns) + "::text[])", nil
}

// match writes one comparison, null-safe by what is bound: "is" with empty becomes "is null".
func (s *statement) match(m ask.Match) (string, error) {
	sql, field, err := s.column(m.Path)
	if err != nil {
		return "", err
	}
	empty := m.Value.IsNull() || m.Value.Kind() == cond.Text && m.Value.Wire() == "" && field.Type != "text"
	switch m.Compare {
	case "is":
		if empty {
			return sql + " is null", nil
		}
		return sql + " = " + s.arg(m.Value.Wire()), nil
	case "isNot":
		if empty {
			return sql + " is not null", nil
		}
		return sql + " is distinct from " + s.arg(m.Value.Wire()), nil
	case "empty", "notEmpty":
		if field.References != "" {
			// A parent that is hidden is not none.
			if sql, err = s.raw(m.Path); err != nil {
				return "", err
			}
		}
		if m.Compare == "empty" {
			return sql + " is null", nil
		}
		return sql + " is not null", nil
	case "contains":
		return sql + "::text ilike " + s.arg("%"+escapeLike(m.Value.Wire())+"%"), nil
	case "in":
		values := make([]string, len(m.Values))
		for i, v := range m.Values {
			values[i] = s.arg(v.Wire())
		}
		if len(values) == 0 {
			return "false", nil
		}
		return sql + " in (" + strings.Join(values, ", ") + ")", nil
	case "atLeast", "atMost", "below":
		if empty {
			return "true", nil
		}
		sign := map[string]string{"atLeast": ">=", "atMost": "<=", "below": "<"}[m.Compare]
		if len(field.Choices) > 0 {
			ranks := s.arg(field.Choices)
			return fmt.Sprintf("array_position(%s::text[], %s::text) %s array_position(%s::text[], %s::text)", ranks, sql, sign, ranks, s.arg(m.Value.Wire())), nil
		}
		return sql + " " + sign + " " + s.arg(m.Value.Wire()), nil
	}
	return "", fmt.Errorf("there is no comparison “%s”", m.Compare)
}

var likeEscaper = strings.NewReplacer(`\`, `\\`, `%`, `\%`, `_`, `\_`)

func escapeLike(s string) string { return likeEscaper.Replace(s) }

func whereClause(conditions []string) string {
	if len(conditions) == 0 {
		return ""
	}
	return " where " + strings.Join(conditions, " and ")
}
