package records

import (
	"fmt"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// ruleWriter renders a predicate over one row of a statement. What rules ask of parents is read as
// it is: rules are the project's own, and do not hide from themselves.
type ruleWriter struct {
	*statement
	table  *project.Table
	alias  string
	joined map[string]string // relation path → alias
	extra  []string          // joins that the rule needs
}

// around puts the joins that the rule needs behind the row's own table.
func (r *ruleWriter) around(source string) string {
	if len(r.extra) == 0 {
		return source
	}
	return "(" + source + " " + strings.Join(r.extra, " ") + ")"
}

// write renders the predicate. Within "and" and "or" an unknown of SQL counts as no; what is
// turned round says so itself.
func (r *ruleWriter) write(p *cond.Pred) (string, error) {
	switch p.Op {
	case cond.PredYes:
		return "true", nil
	case cond.PredNo:
		return "false", nil
	case cond.PredAll, cond.PredAny:
		parts := make([]string, len(p.Args))
		for i, a := range p.Args {
			part, err := r.write(a)
			if err != nil {
				return "", err
			}
			parts[i] = part
		}
		with := " and "
		if p.Op == cond.PredAny {
			with = " or "
		}
		return "(" + strings.Join(parts, with) + ")", nil
	}
	column, field, err := r.at(p.Path)
	if err != nil {
		return "", err
	}
	switch p.Op {
	case cond.PredEmpty:
		if p.Not {
			return column + " is not null", nil
		}
		return column + " is null", nil
	case cond.PredHolds:
		return turned(column, p.Not), nil
	case cond.PredIn:
		if len(p.Values) == 0 {
			return fmt.Sprint(p.Not), nil
		}
		items := make([]string, len(p.Values))
		for i, v := range p.Values {
			items[i] = r.constant(field, v)
		}
		return turned(column+" in ("+strings.Join(items, ", ")+")", p.Not), nil
	case cond.PredSame:
		return r.same(p, column, field)
	case cond.PredCompare:
		return r.compare(p, column, field)
	}
	return "", fmt.Errorf("there is no predicate %d", p.Op)
}

var signs = map[cond.Op]string{cond.OpEq: " = ", cond.OpLt: " < ", cond.OpLe: " <= ", cond.OpGt: " > ", cond.OpGe: " >= "}

// turned writes that something does not hold, or is unknown to SQL.
func turned(sql string, not bool) string {
	if not {
		return "(" + sql + ") is not true"
	}
	return sql
}

func (r *ruleWriter) compare(p *cond.Pred, column string, f *project.Column) (string, error) {
	value := r.constant(f, p.Value)
	if p.Sign == cond.OpEq {
		return turned(column+" = "+value, p.Not), nil
	}
	if len(f.Choices) > 0 {
		ranks := r.arg(f.Choices)
		return turned(fmt.Sprintf("array_position(%s::text[], %s::text)%sarray_position(%s::text[], %s::text)", ranks, column, signs[p.Sign], ranks, value), p.Not), nil
	}
	if f.Type == "text" {
		column += `::text collate "C"`
	}
	return turned(column+signs[p.Sign]+value, p.Not), nil
}

func (r *ruleWriter) same(p *cond.Pred, column string, f *project.Column) (string, error) {
	other, g, err := r.at(p.Other)
	if err != nil {
		return "", err
	}
	switch {
	case p.Sign == cond.OpEq:
		return turned(column+" is not distinct from "+other, p.Not), nil
	case len(f.Choices) > 0 || len(g.Choices) > 0:
		choices := f.Choices
		if len(g.Choices) > 0 {
			choices = g.Choices
		}
		ranks := r.arg(choices)
		return turned(fmt.Sprintf("array_position(%s::text[], %s::text)%sarray_position(%s::text[], %s::text)", ranks, column, signs[p.Sign], ranks, other), p.Not), nil
	case f.Type == "text":
		column, other = column+`::text collate "C"`, other+`::text collate "C"`
	}
	return turned(column+signs[p.Sign]+other, p.Not), nil
}

// constant writes a value so that it compares with a column as the language compares, and an
// index on the column still serves.
func (r *ruleWriter) constant(f *project.Column, v cond.Value) string {
	place := r.arg(v.Wire())
	switch v.Kind() {
	case cond.Whole:
		if f.Type == "number" {
			return place + "::float8"
		}
		return place + "::int8"
	case cond.Decimal, cond.Number:
		if f.Type == "number" || v.Kind() == cond.Number {
			return place + "::float8"
		}
		return place + "::numeric"
	case cond.Date:
		if f.Type == "moment" {
			return place + "::date::timestamptz"
		}
		return place + "::date"
	case cond.Moment:
		return place + "::timestamptz"
	case cond.YesNo:
		return place + "::boolean"
	}
	return place
}

// at gives the SQL of a path from the row, joining what it goes through.
func (r *ruleWriter) at(p *cond.Path) (string, *project.Column, error) {
	if len(p.Segs) == 0 { // the record itself
		key, err := keyOf(r.alias, r.table)
		return key, &project.Column{Type: "record", References: r.table.ID}, err
	}
	alias, table := r.alias, r.table
	for i, seg := range p.Segs {
		f := table.Fields[seg]
		if f == nil {
			// A rule of a newer release, asked in the tables of the one that the screen was drawn in.
			return "", nil, &ask.Refusal{Code: "broken", What: "The rules on " + strings.ToLower(table.Label) + " have changed since this screen was drawn.", Then: "Load the screen again."}
		}
		column := alias + "." + quoted(f.Column)
		if i == len(p.Segs)-1 {
			return column, f, nil
		}
		parent := r.project.Tables[f.References]
		if parent == nil {
			return "", nil, fmt.Errorf("table %s has no relation %s", table.ID, seg)
		}
		path := strings.Join(p.Segs[:i+1], ".")
		next, ok := r.joined[path]
		if !ok {
			next = r.statement.alias()
			key, err := keyOf(next, parent)
			if err != nil {
				return "", nil, err
			}
			r.joined[path] = next
			r.extra = append(r.extra, fmt.Sprintf("left join %s %s on %s = %s", relation(r.project, parent), next, key, column))
		}
		alias, table = next, parent
	}
	return "", nil, fmt.Errorf("the path %s ends nowhere", p.Key)
}

// rule writes a predicate over the statement's own table; its joins go with the others.
func (s *statement) rule(p *cond.Pred) (string, error) {
	if p == nil {
		return "true", nil
	}
	r := ruleWriter{statement: s, table: s.table, alias: "t0", joined: map[string]string{}}
	sql, err := r.write(p)
	s.from = append(s.from, r.extra...)
	return sql, err
}

// tally writes a figure over the records that refer to one, as a subquery of its own.
func (s *statement) tally(alias string, t *project.Table, tally *project.Tally) (string, error) {
	child := s.project.Tables[tally.Of]
	if child == nil || child.Fields[tally.By] == nil {
		return "", fmt.Errorf("figure %s counts records that are gone", tally.ID)
	}
	key, err := keyOf(alias, t)
	if err != nil {
		return "", err
	}
	at := s.alias()
	r := ruleWriter{statement: s, table: child, alias: at, joined: map[string]string{}}
	condition := "true"
	if p := s.rights.Counted(t.ID, tally.ID); p != nil {
		if condition, err = r.write(p); err != nil {
			return "", err
		}
	}
	of, _, err := r.at(&cond.Path{Segs: []string{pathOrKey(child, tally.Path)}})
	if err != nil {
		return "", err
	}
	from := fmt.Sprintf("from %s where %s.%s = %s and %s", r.around(relation(s.project, child)+" "+at), at, quoted(child.Fields[tally.By].Column), key, condition)
	switch tally.Take {
	case "exists":
		return "exists (select 1 " + from + ")", nil
	case "min", "max":
		return "(select " + tally.Take + "(" + of + ") " + from + ")", nil
	}
	return "(select count(*) " + from + ")", nil
}

func pathOrKey(t *project.Table, path string) string {
	if path == "" {
		return t.Key[0]
	}
	return path
}
