package records

import (
	"math/big"
	"testing"
	"time"

	"github.com/jackc/pgx/v5/pgtype"

	"ambergate/core/cond"
	"ambergate/core/project"
)

func TestWhatTheDriverReadsBecomesValues(t *testing.T) {
	numeric := func(n int64, exp int32) pgtype.Numeric {
		return pgtype.Numeric{Int: big.NewInt(n), Exp: exp, Valid: true}
	}
	day := time.Date(2026, 11, 24, 0, 0, 0, 0, time.UTC)
	for _, tc := range []struct {
		field project.Column
		in    any
		kind  cond.Kind
		wire  string
	}{
		{project.Column{Type: "whole"}, int16(3), cond.Whole, "3"},
		{project.Column{Type: "whole"}, int32(-3), cond.Whole, "-3"},
		{project.Column{Type: "whole"}, int64(1) << 60, cond.Whole, "1152921504606846976"},
		{project.Column{Type: "whole"}, numeric(12, 2), cond.Whole, "1200"},
		{project.Column{Type: "text"}, int64(7), cond.Text, "7"},
		{project.Column{Type: "decimal"}, numeric(241, -2), cond.Decimal, "2.41"},
		{project.Column{Type: "decimal"}, numeric(5, 0), cond.Decimal, "5"},
		{project.Column{Type: "decimal"}, pgtype.Numeric{NaN: true, Valid: true}, cond.Unknown, ""},
		{project.Column{Type: "decimal"}, numeric(1, 5000), cond.Unknown, ""},
		{project.Column{Type: "decimal"}, pgtype.Numeric{}, cond.Null, ""},
		{project.Column{Type: "number"}, 2.5, cond.Number, "2.5"},
		{project.Column{Type: "number"}, float32(0.5), cond.Number, "0.5"},
		{project.Column{Type: "yesno"}, true, cond.YesNo, "true"},
		{project.Column{Type: "text"}, "words", cond.Text, "words"},
		{project.Column{Type: "date"}, day, cond.Date, "2026-11-24"},
		{project.Column{Type: "moment"}, day, cond.Moment, "2026-11-24T00:00:00Z"},
		{project.Column{Type: "record", References: "t_x"}, "12", cond.Record, "12"},
		{project.Column{Type: "text"}, nil, cond.Null, ""},
		{project.Column{Type: "text"}, [16]byte{0x12, 0x34}, cond.Text, "12340000-0000-0000-0000-000000000000"},
		{project.Column{Type: "text"}, map[string]any{"a": 1}, cond.Text, `{"a":1}`},
	} {
		v := valueOf(&tc.field, tc.in)
		if v.Kind() != tc.kind || v.Wire() != tc.wire {
			t.Errorf("%T %v as %s reads as %s %q, want %s %q", tc.in, tc.in, tc.field.Type, v.Kind(), v.Wire(), tc.kind, tc.wire)
		}
	}
}

func TestCursorsReadBack(t *testing.T) {
	cursor := writeCursor([]any{"a", nil, "ü~\"", ""})
	got, err := readCursor(cursor, 4)
	if err != nil {
		t.Fatal(err)
	}
	if *got[0] != "a" || got[1] != nil || *got[2] != "ü~\"" || *got[3] != "" {
		t.Errorf("%v", got)
	}
	for _, bad := range []string{"", "!!", "e30", cursor[:5], "bnVsbA"} {
		if _, err := readCursor(bad, 4); err == nil {
			t.Errorf("%q was read", bad)
		}
	}
	if _, err := readCursor(cursor, 3); err == nil {
		t.Error("a cursor of another order was read")
	}
}

func TestKeysOfSeveralPartsEscapeTheirSign(t *testing.T) {
	for part, want := range map[string]string{"a": "a", "a~b": "a%7Eb", "a/b c": "a%2Fb%20c", "%": "%25"} {
		if got := escapeKey(part, true); got != want {
			t.Errorf("%q becomes %q, want %q", part, got, want)
		}
		if got := escapeKey(part, false); got != part {
			t.Errorf("a key of one part was changed to %q", got)
		}
	}
}
