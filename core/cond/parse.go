package cond

import (
	"fmt"
	"math/big"
	"strconv"
	"strings"
	"time"
)

// Parse reads a value of type t as Wire writes it. An empty text is the empty value,
// except for a text, where it is itself. The error says what was expected.
func Parse(t Type, wire string) (Value, error) {
	if wire == "" && t.Kind != Text {
		return NullValue, nil
	}
	switch t.Kind {
	case Text:
		if len(t.Choices) > 0 && wire == "" {
			return NullValue, nil
		}
		if len(t.Choices) > 0 && RankOf(t.Choices, wire) < 0 {
			return Value{}, fmt.Errorf("“%s” is not one of %s", wire, strings.Join(t.Choices, ", "))
		}
		return String(wire), nil
	case Record:
		return Key(wire), nil
	case YesNo:
		b, err := strconv.ParseBool(wire)
		if err != nil {
			return Value{}, fmt.Errorf("“%s” is neither true nor false", wire)
		}
		return Bool(b), nil
	case Whole:
		i, err := strconv.ParseInt(wire, 10, 64)
		if err != nil {
			return Value{}, fmt.Errorf("“%s” is not a whole number", wire)
		}
		return Int(i), nil
	case Number:
		f, err := strconv.ParseFloat(wire, 64)
		if err != nil || f != f || f > 1e300 || f < -1e300 {
			return Value{}, fmt.Errorf("“%s” is not a number", wire)
		}
		return Float(f), nil
	case Decimal:
		// A huge exponent would make a number of gigabytes from a few characters.
		if len(wire) > 60 || strings.ContainsAny(wire, "eE/_xX") {
			return Value{}, fmt.Errorf("“%s” is not a number. Type one like 2.5", wire)
		}
		r, ok := new(big.Rat).SetString(wire)
		if !ok {
			return Value{}, fmt.Errorf("“%s” is not a number. Type one like 2.5", wire)
		}
		return Exact(r), nil
	case Date:
		d, err := time.Parse("2006-01-02", wire)
		if err != nil {
			return Value{}, fmt.Errorf("“%s” is not a date like 2026-11-24", wire)
		}
		return DateOf(d), nil
	case Moment:
		for _, layout := range []string{time.RFC3339Nano, "2006-01-02T15:04:05", "2006-01-02T15:04"} {
			if m, err := time.Parse(layout, wire); err == nil {
				return MomentOf(m), nil
			}
		}
		return Value{}, fmt.Errorf("“%s” is not a moment like 2026-11-24T10:42:00Z", wire)
	case Duration:
		d, err := time.ParseDuration(wire)
		if err != nil {
			return Value{}, fmt.Errorf("“%s” is not a duration like 2h30m", wire)
		}
		return Span(d), nil
	}
	return Value{}, fmt.Errorf("a value of kind %s cannot be written in an address", t.Kind)
}

// RankOf gives where a choice stands among the declared ones; -1 where it is none.
func RankOf(choices []string, s string) int {
	for i, c := range choices {
		if c == s {
			return i
		}
	}
	return -1
}
