package place

import (
	"net/url"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/local"
	"ambergate/core/project"
)

// Compares are the comparisons that a list can be filtered by. A filter's value is as the wire writes it;
// in: values joined by "|", each escaped as in a path; between: two joined by "..", either may be missing;
// days: two whole numbers of days from today, joined by "..", either may be missing.
var Compares = []string{"is", "isNot", "contains", "empty", "notEmpty", "atLeast", "atMost", "in", "between", "days"}

// SplitValues reads several values that are one filter value: joined by "|", each escaped as in a path.
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

// JoinValues writes several values as SplitValues reads them; a single one as it is, as far as it can be.
func JoinValues(values []string) string {
	parts := make([]string, len(values))
	for i, v := range values {
		parts[i] = joined.Replace(v)
	}
	return strings.Join(parts, "|")
}

var joined = strings.NewReplacer("%", "%25", "|", "%7C")

// Words says what the filter lets through, as a language writes it; days and moments in a zone.
func (f Filter) Words(c *project.Column, l *local.Language, zone *time.Location) string {
	say := func(wire string) string {
		if v, err := cond.Parse(cond.Type{Kind: c.TypeOf().Kind}, wire); err == nil {
			return v.SayIn(l, zone)
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
func NarrowedWords(of *project.Project, p Place) []string {
	s := of.Screens[p.Screen]
	if s == nil {
		return nil
	}
	var words []string
	for _, f := range p.Filters {
		if c, _ := of.FieldAt(s.ListTable(), f.Path); c != nil && c.References == "" {
			words = append(words, english.Lower(c.Label)+" "+f.Words(c, local.English, time.UTC))
		}
	}
	if p.Find != "" {
		words = append(words, "“"+p.Find+"”")
	}
	return words
}

// Filter narrows a screen's list by one of its columns.
type Filter struct {
	Path    string `json:"path"`
	Compare string `json:"compare"` // of Compares
	Value   string `json:"value,omitempty"`
}
