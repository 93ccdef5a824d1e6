package cond

import (
	"encoding/json"
	"fmt"
	"math"
	"math/big"
	"strconv"
	"strings"
	"time"
)

// The kinds of values. Unknown and Null are no types but states a value can be in.
const (
	Unknown Kind = iota
	Null
	YesNo
	Whole
	Number
	Decimal
	Text
	Date
	Moment
	Duration
	Record
	List
	Object // a named group of fields, such as inputs; never a value
)

var kindWords = [...]string{"unknown", "empty", "yesno", "whole", "number", "decimal", "text", "date", "moment", "duration", "record", "list", "object"}

// Value is one value of the language. The zero value is unknown without a reason.
type Value struct {
	kind Kind
	fine bool   // of a Decimal: i has it in millionths
	i    int64  // Whole; YesNo as 0 or 1; Date as days since 1970; Moment and Duration in microseconds; Number as its bits
	s    string // Text; key of a Record; the reason of an Unknown
	dec  *big.Rat
	list *[]Value // of a List that has any; values are copied all the time, and lists are few
}

// number gives a Number, which is kept as its bits.
func (v *Value) number() float64 { return math.Float64frombits(uint64(v.i)) }

// items gives those of a list.
func (v *Value) items() []Value {
	if v.list == nil {
		return nil
	}
	return *v.list
}

// UnknownBecause gives the unknown value with the reason that is told to users.
func UnknownBecause(reason string) Value { return Value{kind: Unknown, s: reason} }

// NullValue is the empty value.
var NullValue = Value{kind: Null}

// Bool, Int, Float, String, Key, DateOf, MomentOf, Span and Items make values of the kinds their names say.
func Bool(b bool) Value {
	if b {
		return Value{kind: YesNo, i: 1}
	}
	return Value{kind: YesNo}
}

// Int makes a whole number.
func Int(i int64) Value { return Value{kind: Whole, i: i} }

// Float makes a binary floating point number.
func Float(f float64) Value { return Value{kind: Number, i: int64(math.Float64bits(f))} }

// String makes a text.
func String(s string) Value { return Value{kind: Text, s: s} }

// Key makes a record value from its key as the wire writes it.
func Key(key string) Value { return Value{kind: Record, s: key} }

// millionths is the finest step of decimals that are compared as plain integers.
const millionths = 1_000_000

// Exact makes a decimal number. One that is a whole number of millionths, as most are, is kept
// as such too: comparing those takes nanoseconds.
func Exact(r *big.Rat) Value {
	v := Value{kind: Decimal, dec: r}
	denominator := r.Denom()
	if !r.Num().IsInt64() || !denominator.IsInt64() || millionths%denominator.Int64() != 0 {
		return v
	}
	n, factor := r.Num().Int64(), millionths/denominator.Int64()
	if n > -1<<40 && n < 1<<40 {
		v.i, v.fine = n*factor, true
	}
	return v
}

// inMillionths gives a whole or decimal number as millionths, where it is kept so.
func (v Value) inMillionths() (int64, bool) {
	switch {
	case v.kind == Decimal && v.fine:
		return v.i, true
	case v.kind == Whole && v.i > -1<<40 && v.i < 1<<40:
		return v.i * millionths, true
	}
	return 0, false
}

// DateOf makes a calendar date from the year, month and day of t.
func DateOf(t time.Time) Value {
	y, m, d := t.Date()
	return Value{kind: Date, i: time.Date(y, m, d, 0, 0, 0, 0, time.UTC).Unix() / 86400}
}

// MomentOf makes a point in time, to the microsecond.
func MomentOf(t time.Time) Value { return Value{kind: Moment, i: t.UnixMicro()} }

// Span makes a length of time, to the microsecond.
func Span(d time.Duration) Value { return Value{kind: Duration, i: d.Microseconds()} }

// Items makes a list.
func Items(v ...Value) Value { return Value{kind: List, list: &v} }

// Kind says what the value is.
func (v Value) Kind() Kind { return v.kind }

// Known is false for unknown values only: empty is known.
func (v Value) Known() bool { return v.kind != Unknown }

// IsNull says whether the value is empty.
func (v Value) IsNull() bool { return v.kind == Null }

// Why gives the reason of an unknown value, or "".
func (v Value) Why() string {
	if v.kind == Unknown {
		return v.s
	}
	return ""
}

// True says whether the value is a known yes.
func (v Value) True() bool { return v.kind == YesNo && v.i == 1 }

// KeyOf gives the key of a record value, or "".
func (v Value) KeyOf() string {
	if v.kind == Record {
		return v.s
	}
	return ""
}

// List gives the items of a list value.
func (v Value) List() []Value { return v.items() }

// Steps gives a whole number, or a date as the days since 1970: where neighbours are one apart.
func (v Value) Steps() (int64, bool) { return v.i, v.kind == Whole || v.kind == Date }

// Float64 gives any number as a binary floating point number; false for other kinds.
func (v Value) Float64() (float64, bool) {
	switch v.kind {
	case Whole:
		return float64(v.i), true
	case Number:
		return v.number(), true
	case Decimal:
		f, _ := v.dec.Float64()
		return f, true
	}
	return 0, false
}

// Time gives a date (at midnight UTC) or moment as a time; false for other kinds.
func (v Value) Time() (time.Time, bool) {
	switch v.kind {
	case Date:
		return time.Unix(v.i*86400, 0).UTC(), true
	case Moment:
		return time.UnixMicro(v.i).UTC(), true
	}
	return time.Time{}, false
}

// Wire writes the value as addresses and the API carry it; empty and unknown give "".
func (v Value) Wire() string {
	switch v.kind {
	case YesNo:
		return strconv.FormatBool(v.i == 1)
	case Whole:
		return strconv.FormatInt(v.i, 10)
	case Number:
		return strconv.FormatFloat(v.number(), 'g', -1, 64)
	case Decimal:
		return decimalText(v.dec)
	case Text, Record:
		return v.s
	case Date:
		t, _ := v.Time()
		return t.Format("2006-01-02")
	case Moment:
		t, _ := v.Time()
		return t.Format(time.RFC3339Nano)
	case Duration:
		return (time.Duration(v.i) * time.Microsecond).String()
	case List:
		parts := make([]string, len(v.items()))
		for i, item := range v.items() {
			parts[i] = item.Wire()
		}
		return strings.Join(parts, ",")
	}
	return ""
}

func decimalText(r *big.Rat) string {
	if r.IsInt() {
		return r.Num().String()
	}
	text := strings.TrimRight(r.FloatString(18), "0")
	return strings.TrimSuffix(text, ".")
}

// MarshalJSON writes the value with its kind, so that outcomes can be stored.
func (v Value) MarshalJSON() ([]byte, error) {
	return json.Marshal([2]string{v.kind.String(), v.Wire()})
}

// UnmarshalJSON reads what MarshalJSON wrote; lists come back as unknown.
func (v *Value) UnmarshalJSON(data []byte) error {
	var parts [2]string
	if err := json.Unmarshal(data, &parts); err != nil {
		return err
	}
	kind, ok := KindOf(parts[0])
	if !ok {
		return fmt.Errorf("there is no kind of value “%s”", parts[0])
	}
	switch kind {
	case Null:
		*v = NullValue
		return nil
	case Unknown, List, Object:
		*v = UnknownBecause("it was not stored")
		return nil
	}
	parsed, err := Parse(Type{Kind: kind}, parts[1])
	*v = parsed
	return err
}
