package propose

import (
	"regexp"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/catalogue"
	"ambergate/core/project"
)

// The forms in which the database writes conditions (pg_get_constraintdef) that say something a form can tell before
// anything is sent. What has any other form is still the database's to judge.
var (
	oneOfForm   = regexp.MustCompile(`^CHECK \(+"?([^"()]+?)"?\)?(?:::[a-z ]+)? = ANY \(+ARRAY\[(.*)\]\)*(?:::[a-z ]+\[\])?\)+$`)
	quoted      = regexp.MustCompile(`'((?:[^']|'')*)'`)
	boundForm   = regexp.MustCompile(`^\(*("[^"]+"|[\p{L}_][\p{L}\p{N}_$]*)\)*(?:::[a-z ]+)? (>=|<=|>|<) \(*'?(-?[0-9]+(?:\.[0-9]+)?)'?\)*(?:::[a-z ]+)?\)*$`)
	lengthForm  = regexp.MustCompile(`^CHECK \(+(?:char_length|length|character_length)\("?([^"()]+?)"?\)?(?:::text)?\) (<=|<) ([0-9]+)\)+$`)
	patternForm = regexp.MustCompile(`^CHECK \(+"?([^"()]+?)"?\)?(?:::text)? ~ '\^((?:[^'\\]|\\.)*)\$'(?:::text)?\)+$`)
)

// conditions reads into a field what the conditions on its column say, and tells what was found.
func conditions(t *catalogue.Table, c *catalogue.Column, f *project.Column) (why string) {
	checks := slices.Clone(t.Checks)
	for _, check := range c.Checks { // of a domain, which calls it VALUE
		checks = append(checks, regexp.MustCompile(`\bVALUE\b`).ReplaceAllLiteralString(check, c.Name))
	}
	for _, check := range checks {
		check = strings.TrimSuffix(check, " NOT VALID")
		if said := readCondition(check, c.Name, f); said != "" {
			why = said
		}
	}
	return why
}

func readCondition(check, column string, f *project.Column) string {
	if m := oneOfForm.FindStringSubmatch(check); m != nil && m[1] == column && f.Type == "text" {
		f.Choices = nil
		for _, q := range quoted.FindAllStringSubmatch(m[2], -1) {
			f.Choices = append(f.Choices, strings.ReplaceAll(q[1], "''", "'"))
		}
		return "from a check: " + strconv.Itoa(len(f.Choices)) + " values"
	}
	if m := lengthForm.FindStringSubmatch(check); m != nil && m[1] == column && f.Type == "text" {
		n, err := strconv.Atoi(m[3])
		if err != nil {
			return ""
		}
		if m[2] == "<" {
			n--
		}
		f.Longest = n
		return "length from a check"
	}
	if m := patternForm.FindStringSubmatch(check); m != nil && m[1] == column && f.Type == "text" {
		if _, err := regexp.Compile(m[2]); err == nil {
			f.Pattern = m[2]
			return "form from a check"
		}
	}
	return readRange(check, column, f)
}

// readRange reads the least and the most of a number, where nothing else stands in the condition.
func readRange(check, column string, f *project.Column) (why string) {
	if !slices.Contains([]string{"whole", "number", "decimal"}, f.Type) || strings.Contains(check, " OR ") || strings.Contains(check, "NOT ") {
		return ""
	}
	for _, part := range strings.Split(strings.TrimPrefix(check, "CHECK "), " AND ") {
		m := boundForm.FindStringSubmatch(part)
		if m == nil || strings.Trim(m[1], `"`) != column {
			continue
		}
		n, err := strconv.ParseFloat(m[3], 64)
		if err != nil {
			continue
		}
		step := 0.0
		if f.Type == "whole" {
			step = 1
		}
		switch m[2] {
		case ">=":
			f.Min = &n
		case "<=":
			f.Max = &n
		case ">":
			n += step
			f.Min = &n
		case "<":
			n -= step
			f.Max = &n
		}
		why = "range from a check"
	}
	return why
}
