package use

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

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
