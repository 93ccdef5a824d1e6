package records

import (
	"fmt"
	"net/url"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/nav"
)

func (s *statement) where(q nav.Query) ([]string, error) {
	var out []string
	if q.Key != "" {
		parts := strings.Split(q.Key, "~")
		if len(parts) != len(q.Table.Key) {
			return []string{"false"}, nil
		}
		for i, k := range s.keyColumns() {
			part, err := url.PathUnescape(parts[i])
			if err != nil {
				return []string{"false"}, nil
			}
			out = append(out, k+" = "+s.arg(part))
		}
	}
	for _, m := range q.Match {
		sql, err := s.match(m)
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

// match writes one comparison, null-safe by what is bound: "is" with empty becomes "is null".
func (s *statement) match(m nav.Match) (string, error) {
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
	case "atLeast", "atMost":
		if empty {
			return "true", nil
		}
		sign := map[string]string{"atLeast": ">=", "atMost": "<="}[m.Compare]
		if len(field.Choices) > 0 {
			ranks := s.arg(field.Choices)
			return fmt.Sprintf("array_position(%s::text[], %s::text) %s array_position(%s::text[], %s::text)", ranks, sql, sign, ranks, s.arg(m.Value.Wire())), nil
		}
		return sql + " " + sign + " " + s.arg(m.Value.Wire()), nil
	}
	return "", fmt.Errorf("there is no comparison %q", m.Compare)
}

var likeEscaper = strings.NewReplacer(`\`, `\\`, `%`, `\%`, `_`, `\_`)

func escapeLike(s string) string { return likeEscaper.Replace(s) }

func whereClause(conditions []string) string {
	if len(conditions) == 0 {
		return ""
	}
	return " where " + strings.Join(conditions, " and ")
}
