package cond

import (
	"strings"
	"testing"
	"time"
)

func TestValuesReadBackAsWritten(t *testing.T) {
	for _, tc := range []struct {
		kind Kind
		wire string
	}{
		{YesNo, "true"}, {Whole, "-12"}, {Whole, "9007199254740993"}, {Number, "2.5"}, {Decimal, "0.1"}, {Decimal, "-1234567890123.000001"}, {Decimal, "0.0000001"},
		{Text, "two words"}, {Date, "2026-11-24"}, {Moment, "2026-11-24T10:42:00.5Z"}, {Duration, "2h30m0s"}, {Record, "12~a%7Eb"},
	} {
		v, err := Parse(Type{Kind: tc.kind}, tc.wire)
		if err != nil || v.Wire() != tc.wire {
			t.Errorf("%s %s reads back as %s (%v)", tc.kind, tc.wire, v.Wire(), err)
		}
		text, err := v.MarshalJSON()
		if err != nil {
			t.Fatal(err)
		}
		var again Value
		if err := again.UnmarshalJSON(text); err != nil || again.Wire() != tc.wire || again.Kind() != v.Kind() {
			t.Errorf("%s %s is stored as %s and comes back as %s (%v)", tc.kind, tc.wire, text, again.Wire(), err)
		}
	}
}

func TestWrongValuesAreRefusedInWords(t *testing.T) {
	for _, tc := range []struct {
		t    Type
		wire string
	}{
		{Type{Kind: YesNo}, "perhaps"}, {Type{Kind: Whole}, "1.5"}, {Type{Kind: Whole}, "99999999999999999999"}, {Type{Kind: Number}, "NaN"}, {Type{Kind: Number}, "1e400"},
		{Type{Kind: Decimal}, "1e999999999"}, {Type{Kind: Decimal}, "1/3"}, {Type{Kind: Decimal}, strings.Repeat("9", 100)}, {Type{Kind: Date}, "2026-02-30"}, {Type{Kind: Date}, "24.11.2026"},
		{Type{Kind: Moment}, "soon"}, {Type{Kind: Duration}, "long"}, {Type{Kind: Text, Choices: []string{"a", "b"}}, "c"}, {Type{Kind: List}, "a"},
	} {
		if _, err := Parse(tc.t, tc.wire); err == nil || len(err.Error()) < 10 {
			t.Errorf("%s %q: %v", tc.t.Kind, tc.wire, err)
		}
	}
	for _, kind := range []Kind{YesNo, Whole, Number, Decimal, Date, Moment, Duration, Record} {
		if v, err := Parse(Type{Kind: kind}, ""); err != nil || !v.IsNull() {
			t.Errorf("an empty %s: %v %v", kind, v, err)
		}
	}
}

func TestNumbersCompareBySizeWhateverTheirKind(t *testing.T) {
	dec := func(s string) Value {
		v, err := Parse(Type{Kind: Decimal}, s)
		if err != nil {
			t.Fatal(err)
		}
		return v
	}
	ordered := []Value{Int(-3), dec("-2.5"), Float(-2.25), dec("0"), dec("0.0000001"), dec("0.1"), Float(0.5), Int(1), dec("1.000001"), dec("1.0000011"), Int(1 << 50), dec("1125899906842624.5"), Float(1e300)}
	for i, a := range ordered {
		for j, b := range ordered {
			c, ok := Compare(a, b)
			want := Order(int64(i), int64(j))
			if !ok || c != want {
				t.Errorf("%s against %s gives %d, want %d", a.Wire(), b.Wire(), c, want)
			}
		}
	}
	if !Equal(Int(2), dec("2.00")) || !Equal(Float(0.5), dec("0.5")) || Equal(String("2"), Int(2)) || Equal(NullValue, Int(0)) {
		t.Error("equality across kinds")
	}
}

func TestTimes(t *testing.T) {
	day := DateOf(time.Date(2026, 3, 1, 23, 0, 0, 0, time.UTC))
	if got := arithmetic(OpSub, day, Span(24*time.Hour)).Wire(); got != "2026-02-28" {
		t.Errorf("the day before is %s", got)
	}
	if got := arithmetic(OpAdd, day, Span(90*time.Minute)); got.Kind() != Moment || got.Wire() != "2026-03-01T01:30:00Z" {
		t.Errorf("an hour and a half into the day is %s", got.Wire())
	}
	if got := arithmetic(OpSub, day, DateOf(time.Date(2026, 2, 1, 0, 0, 0, 0, time.UTC))); got.Wire() != "672h0m0s" {
		t.Errorf("the span is %s", got.Wire())
	}
	if got := arithmetic(OpAdd, NullValue, Int(1)); !got.IsNull() {
		t.Errorf("empty plus one is %s", got.Kind())
	}
	if got := arithmetic(OpMul, Int(1<<62), Int(4)); got.Known() {
		t.Errorf("too large a product is %s", got.Wire())
	}
}
