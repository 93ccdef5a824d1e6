package use

import (
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// SpanEnd gives the last day of the span that begins with a day.
func SpanEnd(day time.Time, span string) time.Time {
	switch span {
	case "week":
		return day.AddDate(0, 0, 6)
	case "month":
		return day.AddDate(0, 1, -1)
	case "quarter":
		return day.AddDate(0, 3, -1)
	case "year":
		return day.AddDate(1, 0, -1)
	}
	return day
}

// SpanStart gives the first day of the span that a day lies in; weeks begin on Monday (ISO 8601), as date_trunc has
// them too.
func SpanStart(day time.Time, span string) time.Time {
	switch span {
	case "week":
		return day.AddDate(0, 0, -(int(day.Weekday())+6)%7)
	case "month":
		return day.AddDate(0, 0, 1-day.Day())
	case "quarter":
		return time.Date(day.Year(), (day.Month()-1)/3*3+1, 1, 0, 0, 0, 0, day.Location())
	case "year":
		return time.Date(day.Year(), 1, 1, 0, 0, 0, 0, day.Location())
	}
	return day
}

// FirstPoint stands the first point that is shown for whichever is chosen.
func (o *Opening) FirstPoint(e *plan.Element) Aim {
	if groups := o.Groups[e.ID]; len(groups) > 0 {
		of := project.PointsOf(e.Element)
		return Aim{Point: groups[0].Value.Wire(), Span: of.Span, Step: of.Step}
	}
	return Aim{}
}

// OwnInput gives the input of this very screen that what is chosen is put into, so that it shows just that; "" where
// the gate leads elsewhere.
func (o *Opening) OwnInput(gate *plan.Gate) string {
	if gate == nil || len(gate.Cases) == 0 || gate.Shared != nil {
		return ""
	}
	m := gate.Cases[0].Move.Only()
	if m == nil || m.Target == nil || m.Target.ID != o.Plan.Screen.ID {
		return ""
	}
	for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
		if p, point := m.Bind[id].Spec.(interface{ Chooses() bool }); point && p.Chooses() {
			return id
		}
	}
	return ""
}

// choosesHere says whether something was chosen among points that may narrow their own screen.
func (o *Opening) choosesHere(at Aim) bool {
	if at.Point != "" {
		return true
	}
	e := o.Plan.Screen.Elements[at.Element]
	if at.Row == nil || e == nil {
		return false
	}
	_, own := e.Spec.(interface{ NarrowsOwn() })
	return own
}

// GroupWords says what a group of records has in common: the title of a record, or the value of a field.
func (o *Opening) GroupWords(table, path string, v cond.Value, row *ask.Row) string {
	f, _ := o.App.Project.FieldAt(table, path)
	switch {
	case f == nil:
		return ""
	case !v.Known():
		return v.Why()
	case v.IsNull():
		return "none"
	case f.References != "" && row != nil:
		return o.World.Title(row, f.References, path)
	}
	return o.World.Say(v, f.TypeOf())
}

// severalOf gives the values of an input that holds more than one; none otherwise.
func (o *Opening) severalOf(in *project.Input) []cond.Value {
	if !in.Several {
		return nil
	}
	wires := o.At.Several(in)
	if len(wires) < 2 {
		return nil
	}
	out := make([]cond.Value, 0, len(wires))
	for _, wire := range wires {
		if v, err := cond.Parse(in.TypeOf(), wire); err == nil {
			out = append(out, v)
		}
	}
	return out
}

// severalWords says which they are; of records, how many.
func (o *Opening) severalWords(in *project.Input, values []cond.Value) string {
	if t := o.App.Project.Tables[in.Table]; t != nil {
		return fmt.Sprintf("%d %s", len(values), english.Lower(t.Label))
	}
	parts := make([]string, len(values))
	for i, v := range values {
		parts[i] = o.World.Say(v, in.TypeOf())
	}
	return strings.Join(parts, " or ")
}

// IsChosen says whether a value is one of those that an input of the screen holds; of a span of time, whether it lies in
// what the screen is narrowed to.
func (o *Opening) IsChosen(input, value, span string) bool {
	in := o.Plan.Screen.Inputs[input]
	if in == nil || len(o.At.Several(in)) == 0 {
		return false
	}
	if span != "" && in.Compare == "atLeast" {
		for _, end := range project.Ordered(o.Plan.Screen.Inputs) {
			until := o.At.Inputs[end.ID]
			switch {
			case end.Filter != in.Filter || until == "":
			case span == "range" && end.Compare == "below":
				return numberOf(value) >= numberOf(o.At.Inputs[input]) && numberOf(value) < numberOf(until)
			case span != "range" && end.Compare == "atMost":
				return value >= o.At.Inputs[input] && value <= until
			}
		}
	}
	return slices.Contains(o.At.Several(in), value)
}

func numberOf(wire string) float64 {
	n, _ := strconv.ParseFloat(wire, 64)
	return n
}
