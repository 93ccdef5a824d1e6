package use

import (
	"fmt"
	"maps"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"sync"
	"time"
	"unicode/utf8"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Entered reads what a user typed into a field: its value, or in plain words what is wrong with it.
// A moment without a zone is meant in the project's.
func Entered(f *project.Column, wire string, zone *time.Location) (cond.Value, string) {
	if !f.Long {
		wire = strings.TrimSpace(wire)
	}
	if f.Type == ask.PictureType && wire != "" {
		if _, _, err := ask.PictureOf(wire); err != nil {
			return cond.NullValue, english.Sentence(err.Error())
		}
		return cond.String(wire), ""
	}
	if f.TypeOf().Kind == cond.Moment && wire != "" {
		for _, layout := range []string{"2006-01-02T15:04", "2006-01-02T15:04:05.999999", "2006-01-02 15:04"} {
			if m, err := time.ParseInLocation(layout, wire, zone); err == nil {
				wire = m.Format(time.RFC3339Nano)
				break
			}
		}
	}
	v, err := cond.Parse(f.TypeOf(), wire)
	if err == nil && v.Kind() == cond.Text && strings.TrimSpace(v.Wire()) == "" {
		v = cond.NullValue
	}
	switch {
	case err != nil:
		return v, english.Sentence(err.Error())
	case v.IsNull() && !f.Nullable:
		return v, "Fill in “" + f.Label + "”."
	case v.IsNull():
		return v, ""
	}
	return v, beyondBounds(f, v)
}

// Before reads what a field held when it was opened: as entered, but a picture by its digest.
func Before(f *project.Column, wire string, zone *time.Location) (cond.Value, string) {
	if f.Type == ask.PictureType && wire != "" {
		return cond.String(wire), ""
	}
	return Entered(f, wire, zone)
}

// Editing writes a value as an editor holds it, so that entered reads it back: a moment without a
// zone, in the project's.
func Editing(v cond.Value, zone *time.Location) string {
	if v.Kind() != cond.Moment {
		return v.Wire()
	}
	t, _ := v.Time()
	if t = t.In(zone); t.Second() != 0 || t.Nanosecond() != 0 {
		return t.Format("2006-01-02T15:04:05.999999")
	}
	return t.Format("2006-01-02T15:04")
}

// beyondBounds says what a value breaks of the field's declared bounds, or "".
func beyondBounds(f *project.Column, v cond.Value) string {
	if n, ok := v.Float64(); ok {
		unit := ""
		if f.Unit != "" {
			unit = " " + f.Unit
		}
		switch {
		case f.Min != nil && n < *f.Min && f.Max != nil, f.Max != nil && n > *f.Max && f.Min != nil:
			return fmt.Sprintf("%s must be from %s to %s%s.", f.Label, number(*f.Min), number(*f.Max), unit)
		case f.Min != nil && n < *f.Min:
			return fmt.Sprintf("%s must be %s%s or more.", f.Label, number(*f.Min), unit)
		case f.Max != nil && n > *f.Max:
			return fmt.Sprintf("%s must be %s%s or less.", f.Label, number(*f.Max), unit)
		}
	}
	if v.Kind() != cond.Text {
		return ""
	}
	text := v.Wire()
	if length := utf8.RuneCountInString(text); f.Longest > 0 && length > f.Longest {
		return fmt.Sprintf("%s is too long: %d characters of %d.", f.Label, length, f.Longest)
	}
	if f.Pattern == "" {
		return ""
	}
	if re := pattern(f.Pattern); re != nil && !re.MatchString(text) {
		if f.Example != "" {
			return fmt.Sprintf("%s must look like %s.", f.Label, f.Example)
		}
		return f.Label + " does not have the right form."
	}
	return ""
}

func number(f float64) string { return strconv.FormatFloat(f, 'f', -1, 64) }

// patterns holds compiled patterns of fields; there are as many as a project has.
var patterns sync.Map

// pattern compiles the regular expression that a whole text must fit; nil when it cannot be read.
func pattern(text string) *regexp.Regexp {
	if found, ok := patterns.Load(text); ok {
		return found.(*regexp.Regexp)
	}
	re, err := regexp.Compile(`^(?:` + text + `)$`)
	if err != nil {
		re = nil
	}
	patterns.Store(text, re)
	return re
}

// FilledIn gives what a new record begins with, by field, as the wire writes it: what the way here brought, and the
// defaults of the screen's fields.
func (o *Opening) FilledIn() map[string]string {
	if o.At.Mode != "add" || o.filled != nil {
		return o.filled
	}
	o.filled = maps.Clone(o.At.Set)
	if o.filled == nil {
		o.filled = map[string]string{}
	}
	for _, e := range o.Plan.Elements {
		of, is := e.Spec.(interface{ FieldPath() string })
		begins := e.Exprs["default"]
		if !is || begins == nil || e.Modes != nil && !e.Modes["add"] {
			continue
		}
		if _, brought := o.filled[of.FieldPath()]; brought {
			continue
		}
		if v := begins.Root.Eval(o.World); v.Known() && !v.IsNull() {
			o.filled[of.FieldPath()] = v.Wire()
		}
	}
	return o.filled
}

// askFilled asks for the titles of the records that the address fills a new one in with.
func (o *Opening) askFilled(round *ask.Round) error {
	if o.At.Mode != "add" {
		return nil
	}
	o.Filled = map[string]*ask.Row{}
	filled := o.FilledIn()
	for _, field := range slices.Sorted(maps.Keys(filled)) {
		f, _ := o.App.Project.FieldAt(o.Plan.Screen.RecordTable(), field)
		if f == nil || f.References == "" || !o.MaySee(o.Plan.Screen.RecordTable(), field) {
			continue
		}
		set := plan.Paths{}
		(&plan.Planner{App: o.App}).NeedTitle(set, f.References, "")
		err := o.askOne(round, ask.Query{Table: o.App.Project.Tables[f.References], Key: filled[field]}, set, func(row *ask.Row) error {
			o.Filled[field] = row
			return nil
		})
		if err != nil {
			return err
		}
	}
	return nil
}
