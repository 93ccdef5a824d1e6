package records

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"sort"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// groupRows is how many combinations of value and split are read at the most.
const groupRows = 5_000

// Group counts or sums records by a field and within that by another. Groups come largest first.
func (r *Reader) Group(ctx context.Context, q ask.GroupQuery) ([]ask.Group, error) {
	a := r.alone(ctx, ask.Question{Group: &q})
	return a.Groups, a.Err
}

func (r *Reader) preparedGroup(q ask.GroupQuery) (asked, error) {
	if q.Rights == nil {
		return asked{}, errNoRights
	}
	s := newStatement(r.project, q.Table, q.Rights)
	by, field, err := "null::text", &project.Column{Type: "text"}, error(nil)
	if q.By != "" {
		if by, field, err = s.column(q.By); err != nil {
			return asked{}, err
		}
	}
	columns := []string{by}
	if field.References != "" {
		columns[0] += "::text"
	}
	split := "null::text"
	if q.Split != "" {
		if split, err = s.split(q); err != nil {
			return asked{}, err
		}
	}
	measure, err := s.measure(ask.Measure{Measure: q.Measure, Of: q.Of})
	if err != nil {
		return asked{}, err
	}
	more := make([]string, len(q.More))
	for i, m := range q.More {
		if more[i], err = s.measure(m); err != nil {
			return asked{}, err
		}
	}
	if q.Span != "" {
		if columns[0], err = s.span(by, field, q.Span, q); err != nil {
			return asked{}, err
		}
		day := *field
		day.Type, field = "date", &day
	}
	if q.Step > 0 {
		columns[0] = fmt.Sprintf("(floor((%s)::numeric / %[2]s) * %[2]s)::float8", by, s.arg(q.Step)+"::numeric")
		number := *field
		number.Type, field = "number", &number
	}
	titles := make([]*project.Column, 0, len(q.Title)+len(q.SplitTitle))
	for _, path := range slices.Concat(q.Title, q.SplitTitle) {
		sql, f, err := s.column(path)
		if err != nil {
			return asked{}, err
		}
		if f.References != "" {
			sql += "::text"
		}
		titles = append(titles, f)
		columns = append(columns, sql)
	}
	where, err := s.where(ask.Query{Table: q.Table, Match: q.Match, Find: q.Find, Rights: q.Rights})
	if err != nil {
		return asked{}, err
	}
	kept := "2 desc nulls last" // of more than are read, the largest, or the last of time
	if q.Span != "" {
		kept = "5 desc nulls last"
	}
	all := append([]string{split, measure, s.unseen(q.By), s.unseen(q.Split)}, columns...)
	sql := fmt.Sprintf("select %s from %s%s group by %s order by %s limit %d", strings.Join(append(all, more...), ", "), strings.Join(s.from, " "), whereClause(where), groupPlaces(len(all)), kept, groupRows)
	byValue := map[string]*ask.Group{}
	return asked{
		sql: sql, args: s.args, doing: "count " + q.Table.Label,
		take: func(values []any) error {
			addGroup(byValue, q, field, titles, values)
			return nil
		},
		done: func() ask.Answer {
			switch {
			case q.Span != "":
				return ask.Answer{Groups: latest(byValue, q.Limit)}
			case q.Step > 0:
				return ask.Answer{Groups: rising(largest(byValue, q.Limit))}
			}
			return ask.Answer{Groups: largest(byValue, q.Limit)}
		},
	}, nil
}

// measures are what a point shows besides a count, over a column.
var measures = map[string]string{"sum": "coalesce(sum(%s), 0)::float8", "mean": "coalesce(avg(%s), 0)::float8", "most": "coalesce(max(%s), 0)::float8", "least": "coalesce(min(%s), 0)::float8"}

// measure writes what is told of a group.
func (s *statement) measure(m ask.Measure) (string, error) {
	over := measures[m.Measure]
	if over == "" {
		return "count(*)::float8", nil
	}
	of, _, err := s.column(m.Of)
	if err != nil {
		return "", err
	}
	return fmt.Sprintf(over, of), nil
}

// split writes the column of the parts, as text.
func (s *statement) split(q ask.GroupQuery) (string, error) {
	column, field, err := s.column(q.Split)
	if err == nil && q.SplitSpan != "" {
		column, err = s.span(column, field, q.SplitSpan, q)
	}
	return column + "::text", err
}

// unseen says of a path whether it leads through a record that the user may not see.
func (s *statement) unseen(path string) string {
	unseen := "false"
	for join, at := range s.joins {
		if at.ruled && (join == path || strings.HasPrefix(path, join+".")) {
			unseen += " or " + at.link + " is not null and " + at.key + " is null"
		}
	}
	return unseen
}

// rising puts ranges in the order of their numbers; what stands for the others stays last.
func rising(groups []ask.Group) []ask.Group {
	slices.SortStableFunc(groups, func(a, b ask.Group) int {
		if a.Rest > 0 || b.Rest > 0 {
			return a.Rest - b.Rest
		}
		x, _ := a.Value.Float64()
		y, _ := b.Value.Float64()
		return cmp.Compare(x, y)
	})
	return groups
}

// span cuts a column of time down to the first day of its day, week or month.
func (s *statement) span(column string, field *project.Column, span string, q ask.GroupQuery) (string, error) {
	if !slices.Contains(project.Spans, span) || field.Type != "date" && field.Type != "moment" {
		return "", fmt.Errorf("count %s by %s: no span of time", q.Table.Label, span)
	}
	if field.Type == "moment" {
		zone := q.Zone
		if zone == "" {
			zone = "UTC"
		}
		s.args = append(s.args, zone)
		column = fmt.Sprintf("timezone($%d, %s)", len(s.args), column)
	}
	return fmt.Sprintf("date_trunc('%s', %s)::date", span, column), nil
}

// groupPlaces names every selected column but the measure, which is the second.
func groupPlaces(n int) string {
	places := []string{"1"}
	for i := 3; i <= n; i++ {
		places = append(places, fmt.Sprint(i))
	}
	return strings.Join(places, ", ")
}

// leading is how many columns stand before the titles: part, measure, the unseen of value and part, value.
const leading = 5

func addGroup(groups map[string]*ask.Group, q ask.GroupQuery, field *project.Column, titles []*project.Column, values []any) {
	n, _ := values[1].(float64)
	value := valueOf(field, values[4])
	if unseen, _ := values[2].(bool); unseen {
		value = cond.UnknownBecause(notVisible)
	}
	id := value.Kind().String() + value.Wire()
	g := groups[id]
	if g == nil {
		g = &ask.Group{Value: value, Row: titled(q.Table.ID, q.Title, titles, values[leading:])}
		groups[id] = g
	}
	g.N += n
	for _, v := range values[len(values)-len(q.More):] { // a chart of several measures has no parts: there is one row for each value
		m, _ := v.(float64)
		g.More = append(g.More, m)
	}
	if q.Split == "" {
		return
	}
	part := ask.GroupPart{N: n}
	part.Value, _ = values[0].(string) // none is a part too: what is not divided would be missing in the sum
	if unseen, _ := values[3].(bool); unseen {
		part.Value, part.Unseen = "", true
	} else if len(q.SplitTitle) > 0 {
		own := len(q.Title)
		part.Row = titled(q.Table.ID, q.SplitTitle, titles[own:], values[leading+own:])
	}
	g.AddPart(part)
}

// titled gives the values that the words of a record need.
func titled(table string, paths []string, columns []*project.Column, values []any) *ask.Row {
	row := &ask.Row{Table: table, Values: map[string]cond.Value{}}
	for i, path := range paths {
		row.Values[path] = valueOf(columns[i], values[i])
	}
	return row
}

// latest gives the last points in the order of time; those without a time are left out.
func latest(groups map[string]*ask.Group, limit int) []ask.Group {
	var out []ask.Group
	for _, g := range groups {
		if g.Value.Known() && !g.Value.IsNull() {
			out = append(out, *g)
		}
	}
	sort.Slice(out, func(i, j int) bool { return out[i].Value.Wire() < out[j].Value.Wire() })
	if limit > 0 && len(out) > limit {
		out = out[len(out)-limit:]
	}
	return out
}

func largest(groups map[string]*ask.Group, limit int) []ask.Group {
	out := make([]ask.Group, 0, len(groups))
	for _, g := range groups {
		sortParts(g.Parts)
		out = append(out, *g)
	}
	sort.Slice(out, func(i, j int) bool {
		if out[i].N != out[j].N {
			return out[i].N > out[j].N
		}
		return out[i].Value.Wire() < out[j].Value.Wire()
	})
	if limit > 0 && len(out) > limit {
		out = append(out[:limit], rest(out[limit:]))
	}
	return out
}

// rest is one group in the stead of several: their sum, and that of each part.
func rest(of []ask.Group) ask.Group {
	g := ask.Group{Value: cond.NullValue, Row: &ask.Row{Values: map[string]cond.Value{}}, Rest: len(of)}
	for _, one := range of {
		g.N += one.N
		for _, p := range one.Parts {
			g.AddPart(p)
		}
	}
	sortParts(g.Parts)
	return g
}

func sortParts(parts []ask.GroupPart) {
	slices.SortFunc(parts, func(a, b ask.GroupPart) int { return strings.Compare(a.Value, b.Value) })
}
