package element

import (
	"fmt"
	"math"
	"strconv"

	"ambergate/core/ask"
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
