package element

import (
	"fmt"
	"math"
	"strconv"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/local"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Measured is a further measure of the points of a chart.
type Measured struct {
	Measure string `json:"measure,omitempty" jsonschema:"enum=count,enum=sum,enum=mean,enum=most,enum=least"` // count (default), sum, mean, most, least
	Of      string `json:"of,omitempty"`                                                                      // of the others than count: the field
}

func (m *Measured) validate() error {
	if m == nil {
		return nil
	}
	if m.Measure != "" && m.Measure != "count" && m.Of == "" {
		return fmt.Errorf("a %s needs its field", m.Measure)
	}
	return project.OneOf("measure", m.Measure, append([]string{""}, project.Measures...)...)
}

// paths are the fields that it reads; some may be "".
func (spec *Chart) paths() []string {
	out := []string{spec.By, spec.Split, spec.Of}
	for _, m := range []*Measured{spec.Against, spec.Size} {
		if m != nil {
			out = append(out, m.Of)
		}
	}
	return out
}

// more are its measures besides the first.
func (spec *Chart) more() []ask.Measure {
	var out []ask.Measure
	for _, m := range []*Measured{spec.Against, spec.Size} {
		if m != nil {
			out = append(out, ask.Measure{Measure: m.Measure, Of: m.Of})
		}
	}
	return out
}

// measured says a measure in words, and its unit.
func (spec *Chart) measured(o *use.Opening, m *Measured) (unit, words string) {
	t := o.App.Project.Tables[spec.Table]
	f, _ := o.App.Project.FieldAt(spec.Table, m.Of)
	switch {
	case t == nil:
		return "", ""
	case f == nil:
		return "", english.Lower(t.Label)
	}
	words = map[string]string{"sum": "", "mean": "average ", "most": "most ", "least": "least "}[m.Measure] + english.Lower(f.Label)
	if f.Unit != "" {
		words += ", " + f.Unit
	}
	return f.Unit, words
}

func numberWords(l *local.Language, n float64) string {
	digits := strconv.FormatFloat(n, 'f', -1, 64)
	if n == math.Trunc(n) {
		return l.Whole(digits)
	}
	return l.Decimal(digits)
}

// spansOfAYear is how many spans lie between one and that of a year before.
var spansOfAYear = map[string]int{"day": 366, "week": 53, "month": 12, "quarter": 4, "year": 1}

// yearBefore is the name under which an opening keeps the points of a chart with those of the year before.
func yearBefore(element string) string { return element + "~before" }

// aYearBefore gives the first day of the span that a span is compared with: the same day, month or quarter of the year
// before; the week 52 weeks before.
func aYearBefore(day time.Time, span string) time.Time {
	if span == "week" {
		return day.AddDate(0, 0, -7*52)
	}
	return day.AddDate(-1, 0, 0)
}

// yearBefore gives what a point was a year before; nil where nothing was kept as far back as that. A span without
// records counts as nothing.
func (spec *Chart) yearBefore(all []ask.Group) func(cond.Value) *float64 {
	at := map[string]float64{}
	first := ""
	for _, g := range all {
		at[g.Value.Wire()] = g.N
		if first == "" {
			first = g.Value.Wire()
		}
	}
	return func(v cond.Value) *float64 {
		day, ok := v.Time()
		if !ok || first == "" {
			return nil
		}
		then := aYearBefore(day, spec.Span).Format(time.DateOnly)
		n, there := at[then]
		if adds := spec.Measure == "" || spec.Measure == "count" || spec.Measure == "sum"; !there && (then < first || !adds) {
			return nil
		}
		return &n
	}
}
