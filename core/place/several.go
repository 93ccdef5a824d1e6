package place

import (
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Several gives the values that an input of a place holds, as the wire writes each; none if it holds nothing.
func (p Place) Several(in *project.Input) []string {
	switch wire := p.Inputs[in.ID]; {
	case wire == "":
		return nil
	case in.Several:
		return SplitValues(wire)
	default:
		return []string{wire}
	}
}

// Toggled gives several values, as one input holds them, with one of them taken in, or out where it was in.
func Toggled(several, one string) string {
	values := SplitValues(several)
	if i := slices.Index(values, one); i >= 0 {
		return JoinValues(slices.Delete(values, i, i+1))
	}
	return JoinValues(append(values, one))
}

// Written gives a value as an input holds it.
func Written(in *project.Input, v cond.Value) string {
	if in.Several {
		return JoinValues([]string{v.Wire()})
	}
	return v.Wire()
}

// read gives the value of an input. That of several values is not known: which of them is meant cannot be said.
func read(in *project.Input, values []string) (cond.Value, error) {
	var v cond.Value
	for _, wire := range values {
		var err error
		if v, err = cond.Parse(in.TypeOf(), wire); err != nil {
			return v, err
		}
	}
	if len(values) > 1 {
		return cond.UnknownBecause("several are chosen"), nil
	}
	return v, nil
}
