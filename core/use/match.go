package use

import (
	"fmt"
	"strconv"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/project"
)

// Match gives what the screen's inputs and, for its main list, the place's filters narrow an element of a table by.
func (o *Opening) Match(element, table string, main bool) ([]ask.Match, error) {
	var out []ask.Match
	for _, in := range project.Ordered(o.Plan.Screen.Inputs) {
		v, several := o.World.Inputs[in.ID], o.severalOf(in)
		if in.Filter == "" || in.Except[element] || len(several) == 0 && (v.IsNull() || !v.Known()) {
			continue
		}
		path, c := o.App.Project.Narrows(in, table)
		if c == nil || !o.MaySee(table, path) {
			continue
		}
		if len(several) > 0 {
			out = append(out, ask.Match{Path: path, Compare: "in", Values: several})
			continue
		}
		from, to := v.Wire(), v.Wire()
		switch in.Compare {
		case "atLeast":
			to = ""
		case "atMost":
			from = ""
		case "below":
			out = append(out, ask.Match{Path: path, Compare: "below", Value: v})
			continue
		default:
			out = append(out, ask.Match{Path: path, Compare: "is", Value: v})
			continue
		}
		matches, err := o.rangeOf(path, c.TypeOf(), from, to)
		if err != nil {
			return nil, ask.Refuse("bad-input", "“"+in.Label+"” cannot narrow this: "+err.Error()+".", "Take it off.")
		}
		out = append(out, matches...)
	}
	if !main {
		return out, nil
	}
	for _, f := range o.At.Filters {
		c, _ := o.App.Project.FieldAt(table, f.Path)
		if c == nil || !o.MaySee(table, f.Path) {
			return nil, ask.Refuse("bad-filter", "This list cannot be filtered like that.", "Take the filter off.")
		}
		matches, err := o.matchesOf(f, c)
		if err != nil {
			return nil, ask.Refuse("bad-filter", "“"+c.Label+"” cannot be filtered like that: "+err.Error()+".", "Change or take off the filter.")
		}
		out = append(out, matches...)
	}
	return out, nil
}

func (o *Opening) matchesOf(f place.Filter, c *project.Column) ([]ask.Match, error) {
	t := c.TypeOf()
	t.Choices = nil // a filter for a value that is no choice finds nothing, which is true
	switch f.Compare {
	case "contains":
		path := f.Path
		if c.References != "" {
			path = o.App.TitlePath(c.References, f.Path)
			if !o.MaySee(o.Plan.Screen.ListTable(), path) {
				return nil, fmt.Errorf("its titles are not visible to you")
			}
		}
		return []ask.Match{{Path: path, Compare: "contains", Value: cond.String(f.Value)}}, nil
	case "in":
		m := ask.Match{Path: f.Path, Compare: "in"}
		for _, part := range place.SplitValues(f.Value) {
			v, err := cond.Parse(t, part)
			if err != nil {
				return nil, err
			}
			m.Values = append(m.Values, v)
		}
		return []ask.Match{m}, nil
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
	return []ask.Match{{Path: f.Path, Compare: f.Compare, Value: v}}, err
}

// rangeOf gives the comparisons of a range; days of a moment count whole, in the project's zone.
func (o *Opening) rangeOf(path string, t cond.Type, from, to string) ([]ask.Match, error) {
	var out []ask.Match
	for i, wire := range []string{from, to} {
		if wire == "" {
			continue
		}
		compare := []string{"atLeast", "atMost"}[i]
		if t.Kind == cond.Moment {
			if day, err := time.ParseInLocation("2006-01-02", wire, o.World.Moment.Location()); err == nil {
				if i == 1 {
					day, compare = day.AddDate(0, 0, 1), "below"
				}
				out = append(out, ask.Match{Path: path, Compare: compare, Value: cond.MomentOf(day)})
				continue
			}
		}
		v, err := cond.Parse(t, wire)
		if err != nil {
			return nil, err
		}
		out = append(out, ask.Match{Path: path, Compare: compare, Value: v})
	}
	return out, nil
}

// Days gives what holds for a date or moment from one day to another, both of them included.
func (o *Opening) Days(path string, t cond.Type, from, to time.Time) ([]ask.Match, error) {
	return o.rangeOf(path, t, from.Format(time.DateOnly), to.Format(time.DateOnly))
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
		return o.World.Moment.AddDate(0, 0, days).Format("2006-01-02"), nil
	}
	if from, err = day(a); err != nil {
		return "", "", err
	}
	to, err = day(b)
	return from, to, err
}
