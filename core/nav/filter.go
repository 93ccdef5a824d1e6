package nav

import (
	"fmt"
	"net/url"
	"strconv"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Compares are the comparisons that a list can be filtered by. A filter's value is as the wire writes it;
// in: values joined by "|", each escaped as in a path; between: two joined by "..", either may be missing;
// days: two whole numbers of days from today, joined by "..", either may be missing.
var Compares = []string{"is", "isNot", "contains", "empty", "notEmpty", "atLeast", "atMost", "in", "between", "days"}

// match gives what the screen's inputs and, for its main list, the place's filters narrow a list by.
func (o *Opening) match(table string, main bool) ([]Match, error) {
	var out []Match
	for _, in := range project.Ordered(o.plan.Screen.Inputs) {
		v := o.world.inputs[in.ID]
		if in.Filter == "" || v.IsNull() || !v.Known() {
			continue
		}
		path, c := o.app.narrows(in, table)
		if c == nil || !o.maySee(table, path) {
			continue
		}
		from, to := v.Wire(), v.Wire()
		switch in.Compare {
		case "atLeast":
			to = ""
		case "atMost":
			from = ""
		default:
			out = append(out, Match{Path: path, Compare: "is", Value: v})
			continue
		}
		matches, err := o.rangeOf(path, c.TypeOf(), from, to)
		if err != nil {
			return nil, refuse("bad-input", "“"+in.Label+"” cannot narrow this: "+err.Error()+".", "Take it off.")
		}
		out = append(out, matches...)
	}
	if !main {
		return out, nil
	}
	for _, f := range o.place.Filters {
		c, _ := o.app.Project.FieldAt(table, f.Path)
		if c == nil || !o.maySee(table, f.Path) {
			return nil, refuse("bad-filter", "This list cannot be filtered like that.", "Take the filter off.")
		}
		matches, err := o.matchesOf(f, c)
		if err != nil {
			return nil, refuse("bad-filter", "“"+c.Label+"” cannot be filtered like that: "+err.Error()+".", "Change or take off the filter.")
		}
		out = append(out, matches...)
	}
	return out, nil
}

// narrows gives the field of a table that an input narrows by: the first of its paths that the table has.
func (a *App) narrows(in *project.Input, table string) (string, *project.Column) {
	for _, path := range strings.Fields(in.Filter) {
		if c, _ := a.Project.FieldAt(table, path); c != nil {
			return path, c
		}
	}
	return "", nil
}

func (o *Opening) matchesOf(f Filter, c *project.Column) ([]Match, error) {
	t := c.TypeOf()
	t.Choices = nil // a filter for a value that is no choice finds nothing, which is true
	switch f.Compare {
	case "contains":
		path := f.Path
		if c.References != "" {
			path = o.app.titlePath(c.References, f.Path)
			if !o.maySee(listTable(o.plan.Screen), path) {
				return nil, fmt.Errorf("its titles are not visible to you")
			}
		}
		return []Match{{Path: path, Compare: "contains", Value: cond.String(f.Value)}}, nil
	case "in":
		m := Match{Path: f.Path, Compare: "in"}
		for _, part := range SplitValues(f.Value) {
			v, err := cond.Parse(t, part)
			if err != nil {
				return nil, err
			}
			m.Values = append(m.Values, v)
		}
		return []Match{m}, nil
	case "between":
		from, to, ok := strings.Cut(f.Value, "..")
		if !ok {
			return nil, fmt.Errorf("a range is written as two values with two dots between")
		}
		return o.rangeOf(f.Path, t, from, to)
	case "days":
		from, to, err := o.daysOf(f.Value)
		if err != nil {
			return nil, err
		}
		return o.rangeOf(f.Path, t, from, to)
	}
	v, err := cond.Parse(t, f.Value)
	return []Match{{Path: f.Path, Compare: f.Compare, Value: v}}, err
}

// rangeOf gives the comparisons of a range; days of a moment count whole, in the project's zone.
func (o *Opening) rangeOf(path string, t cond.Type, from, to string) ([]Match, error) {
	var out []Match
	for i, wire := range []string{from, to} {
		if wire == "" {
			continue
		}
		compare := []string{"atLeast", "atMost"}[i]
		if t.Kind == cond.Moment {
			if day, err := time.ParseInLocation("2006-01-02", wire, o.world.now.Location()); err == nil {
				if i == 1 {
					day, compare = day.AddDate(0, 0, 1), "below"
				}
				out = append(out, Match{Path: path, Compare: compare, Value: cond.MomentOf(day)})
				continue
			}
		}
		v, err := cond.Parse(t, wire)
		if err != nil {
			return nil, err
		}
		out = append(out, Match{Path: path, Compare: compare, Value: v})
	}
	return out, nil
}

// daysOf turns days counted from today into dates.
func (o *Opening) daysOf(text string) (from, to string, err error) {
	a, b, ok := strings.Cut(text, "..")
	if !ok {
		return "", "", fmt.Errorf("days are written as two numbers with two dots between")
	}
	day := func(n string) (string, error) {
		if n == "" {
			return "", nil
		}
		days, err := strconv.Atoi(n)
		if err != nil || days < -100_000 || days > 100_000 {
			return "", fmt.Errorf("“%s” is no number of days", n)
		}
		return o.world.now.AddDate(0, 0, days).Format("2006-01-02"), nil
	}
	if from, err = day(a); err != nil {
		return "", "", err
	}
	to, err = day(b)
	return from, to, err
}

// JoinValues writes several values as one filter value.
func JoinValues(values []string) string {
	out := make([]string, len(values))
	for i, v := range values {
		out[i] = url.PathEscape(v)
	}
	return strings.Join(out, "|")
}

// SplitValues reads what JoinValues wrote.
func SplitValues(text string) []string {
	if text == "" {
		return nil
	}
	parts := strings.Split(text, "|")
	for i, p := range parts {
		if v, err := url.PathUnescape(p); err == nil {
			parts[i] = v
		}
	}
	return parts
}

// titlePath gives the path that stands first in the titles of a relation's records: what they are
// sorted and searched by.
func (a *App) titlePath(table, relation string) string {
	if title := a.titles[table]; title != nil {
		for _, p := range title.Paths() {
			if f, _ := a.Project.FieldAt(table, p.Key); f != nil && f.References == "" {
				return join(relation, p.Key)
			}
		}
	}
	return relation
}

// filterWords says what a filter lets through.
func (o *Opening) filterWords(f Filter, c *project.Column) string {
	say := func(wire string) string {
		if v, err := cond.Parse(cond.Type{Kind: c.TypeOf().Kind}, wire); err == nil {
			return o.world.say(v, c.TypeOf())
		}
		return wire
	}
	switch f.Compare {
	case "isNot":
		return "not " + say(f.Value)
	case "contains":
		return "contains “" + f.Value + "”"
	case "empty":
		return "empty"
	case "notEmpty":
		return "not empty"
	case "atLeast":
		return "from " + say(f.Value)
	case "atMost":
		return "up to " + say(f.Value)
	case "in":
		parts := SplitValues(f.Value)
		for i := range parts {
			parts[i] = say(parts[i])
		}
		return strings.Join(parts, " or ")
	case "between":
		from, to, _ := strings.Cut(f.Value, "..")
		return rangeWords(say(from), say(to))
	case "days":
		return dayWords(f.Value)
	}
	return say(f.Value)
}

func rangeWords(from, to string) string {
	switch {
	case from == "":
		return "up to " + to
	case to == "":
		return "from " + from
	}
	return from + " to " + to
}

// dayWords says a range of days counted from today as people do.
func dayWords(text string) string {
	known := map[string]string{
		"0..0": "today", "-1..-1": "yesterday", "1..1": "tomorrow", "..-1": "before today", "1..": "after today", "..0": "until today", "0..": "from today on",
	}
	if words, ok := known[text]; ok {
		return words
	}
	from, to, _ := strings.Cut(text, "..")
	switch {
	case to == "0" && strings.HasPrefix(from, "-"):
		return "the last " + from[1:] + " days"
	case from == "0":
		return "the next " + to + " days"
	}
	return rangeWords(from, to) + " days from today"
}

// NarrowedWords says what a place's list is narrowed by, as far as the place itself says it.
func (a *App) NarrowedWords(p Place) []string {
	s := a.Project.Screens[p.Screen]
	if s == nil {
		return nil
	}
	o := &Opening{app: a, world: &world{app: a}}
	var words []string
	for _, f := range p.Filters {
		if c, _ := a.Project.FieldAt(listTable(s), f.Path); c != nil && c.References == "" {
			words = append(words, lowerLabel(c.Label)+" "+o.filterWords(f, c))
		}
	}
	if p.Find != "" {
		words = append(words, "“"+p.Find+"”")
	}
	return words
}
