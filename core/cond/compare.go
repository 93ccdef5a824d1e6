package cond

import (
	"math/big"
	"strings"
)

// Equal compares as the language's == does for known values: numbers by size whatever
// their kind, empty equal to empty alone, values of unlike kinds unequal.
func Equal(a, b Value) bool { return equal(&a, &b) }

func equal(a, b *Value) bool {
	if a.kind == Text && b.kind == Text {
		return a.s == b.s
	}
	if a.kind == Null || b.kind == Null {
		return a.kind == b.kind
	}
	if c, ok := compare(a, b); ok {
		return c == 0
	}
	switch {
	case a.kind == b.kind && a.kind == List:
		of, with := a.items(), b.items()
		if len(of) != len(with) {
			return false
		}
		for i := range of {
			if !equal(&of[i], &with[i]) {
				return false
			}
		}
		return true
	case a.kind == b.kind && a.kind == Record:
		return a.s == b.s
	}
	return false
}

// Compare orders two known values of comparable kinds; false when there is no order.
func Compare(a, b Value) (int, bool) { return compare(&a, &b) }

func compare(a, b *Value) (int, bool) {
	if a.kind == b.kind {
		switch a.kind {
		case Whole, YesNo, Date, Moment, Duration:
			return Order(a.i, b.i), true
		case Number:
			x, y := a.number(), b.number()
			return Order(x, y), x == x && y == y
		case Text:
			return strings.Compare(a.s, b.s), true
		case Decimal:
			if x, ok := a.inMillionths(); ok {
				if y, ok := b.inMillionths(); ok {
					return Order(x, y), true
				}
			}
			return a.dec.Cmp(b.dec), true
		}
		return 0, false
	}
	if a.kind == Number || b.kind == Number {
		// As the library and the database do: the exact side is rounded to the other's form.
		x, okx := a.Float64()
		y, oky := b.Float64()
		return Order(x, y), okx && oky && x == x && y == y
	}
	if x, ok := a.inMillionths(); ok {
		if y, ok := b.inMillionths(); ok {
			return Order(x, y), true
		}
	}
	if ta, ok := a.Time(); ok {
		if tb, ok := b.Time(); ok {
			return ta.Compare(tb), true
		}
		return 0, false
	}
	ra, oka := a.rat()
	rb, okb := b.rat()
	if oka && okb {
		return ra.Cmp(rb), true
	}
	return 0, false
}

// Order compares two numbers: -1, 0 or 1.
func Order[T int64 | float64](a, b T) int {
	switch {
	case a < b:
		return -1
	case a > b:
		return 1
	}
	return 0
}

func (v Value) rat() (*big.Rat, bool) {
	switch v.kind {
	case Whole:
		return new(big.Rat).SetInt64(v.i), true
	case Decimal:
		return v.dec, true
	case Number:
		r := new(big.Rat)
		return r, r.SetFloat64(v.number()) != nil
	}
	return nil, false
}
