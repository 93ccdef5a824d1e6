package use

import (
	"math/big"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// SayAs says a value as a format of project.Formats has it; as usual, where that does not suit its type.
func (w *World) SayAs(v cond.Value, f *project.Column, format string) string {
	l := w.App.Language
	if !v.Known() || v.IsNull() || !slices.Contains(project.Formats[f.Type], format) {
		return w.Say(v, f.TypeOf())
	}
	at, _ := v.Time()
	if f.Type == "moment" {
		at = at.In(w.Moment.Location())
	}
	switch format {
	case "bare":
		return v.Wire()
	case "long":
		if f.Type == "moment" {
			return l.DateLong(at) + " " + l.Time(at)
		}
		return l.DateLong(at)
	case "short":
		return l.DateShort(at)
	case "month":
		return l.Month(at)
	case "day":
		return l.Date(at)
	case "time":
		return l.Time(at)
	case "mark":
		if v.True() {
			return "✓"
		}
		return "–"
	}
	digits, err := strconv.Atoi(format)
	n, ok := new(big.Rat).SetString(v.Wire()) // exactly, as decimals are
	if err != nil || !ok {
		return w.Say(v, f.TypeOf())
	}
	whole, part, _ := strings.Cut(n.FloatString(digits), ".")
	if whole = l.Whole(whole); part == "" {
		return whole
	}
	return whole + l.Decimal("."+part)
}
