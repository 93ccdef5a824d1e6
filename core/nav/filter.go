package nav

import (
	"fmt"
	"strconv"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// match gives what the screen's inputs and, for its main list, the place's filters narrow a list by.
func (o *Opening) match(table string, main bool) ([]Match, error) {
	var out []Match
	for _, in := range project.Ordered(o.plan.Screen.Inputs) {
		v := o.world.inputs[in.ID]
		if in.Filter == "" || v.IsNull() || !v.Known() {
			continue
		}
		path, c := o.app.Project.Narrows(in, table)
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

func (o *Opening) matchesOf(f Filter, c *project.Column) ([]Match, error) {
	t := c.TypeOf()
	t.Choices = nil // a filter for a value that is no choice finds nothing, which is true
	switch f.Compare {
	case "contains":
		path := f.Path
		if c.References != "" {
			path = o.app.titlePath(c.References, f.Path)
			if !o.maySee(o.plan.Screen.ListTable(), path) {
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

// titlePath gives the path that stands first in the titles of a relation's records: what they are
// sorted and searched by.
func (a *App) titlePath(table, relation string) string {
	if title := a.titles[table]; title != nil {
		for _, p := range title.Paths() {
			if f, _ := a.Project.FieldAt(table, p.Key); f != nil && f.References == "" {
				return project.JoinPath(relation, p.Key)
			}
		}
	}
	return relation
}
