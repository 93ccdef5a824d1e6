package rule

import (
	"strconv"
	"time"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Point is what the chosen point of a chart stands for: its value, or the end of its span of time or its range.
type Point struct {
	project.BindingHead
	base
	Value string `json:"value,omitempty"` // end: of a span of time or a range
}

// Chooses says that the point's own value is brought, not the end of its span.
func (spec *Point) Chooses() bool { return spec.Value == "" }

// OfChosen says that what it brings comes from what was chosen.
func (*Point) OfChosen() {}

// Give gives its value; the end is that of the last, where several were chosen together.
func (spec *Point) Give(x *use.Binding) cond.Value {
	wire := x.At.Point
	if spec.Value == "end" && x.At.PointTo != "" {
		wire = x.At.PointTo
	}
	if spec.Value == "end" && wire != "" && x.At.Step > 0 {
		start, err := strconv.ParseFloat(wire, 64)
		if err != nil {
			return cond.UnknownBecause("this point is no range of numbers")
		}
		wire = strconv.FormatFloat(start+x.At.Step, 'f', -1, 64)
	} else if spec.Value == "end" && wire != "" {
		day, err := time.Parse(time.DateOnly, wire)
		if err != nil {
			return cond.UnknownBecause("this point is no span of time")
		}
		wire = use.SpanEnd(day, x.At.Span).Format(time.DateOnly)
	}
	v, err := cond.Parse(x.Input.TypeOf(), wire)
	if err != nil {
		return cond.UnknownBecause(err.Error())
	}
	return v
}

// Say says it.
func (spec *Point) Say(*words.Writer, *project.Input) string {
	if spec.Value == "end" {
		return "the end of the chosen point"
	}
	return "the chosen point"
}

// Finds gives the table whose records the points stand for.
func (*Point) Finds(s plan.Scene, _ *cond.Expr) (string, bool) {
	if c := s.Points(); c != nil {
		if f, _ := s.App.Project.FieldAt(c.Table, c.By); f != nil && f.References != "" {
			return f.References, true
		}
	}
	return "", true
}
