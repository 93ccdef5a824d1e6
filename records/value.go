package records

import (
	"encoding/json"
	"fmt"
	"math/big"
	"time"

	"github.com/jackc/pgx/v5/pgtype"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// valueOf turns what the driver read into a value of the field's declared type.
func valueOf(f *project.Column, v any) cond.Value {
	if v == nil {
		return cond.NullValue
	}
	if f.References != "" {
		text, _ := v.(string)
		return cond.Key(text)
	}
	switch x := v.(type) {
	case bool:
		return cond.Bool(x)
	case int16:
		return whole(f, int64(x))
	case int32:
		return whole(f, int64(x))
	case int64:
		return whole(f, x)
	case float32:
		return cond.Float(float64(x))
	case float64:
		return cond.Float(x)
	case string:
		return cond.String(x)
	case time.Time:
		if f.Type == "date" {
			return cond.DateOf(x)
		}
		return cond.MomentOf(x)
	case pgtype.Numeric:
		return numeric(f, x)
	case [16]byte:
		return cond.String(fmt.Sprintf("%x-%x-%x-%x-%x", x[0:4], x[4:6], x[6:8], x[8:10], x[10:]))
	}
	if text, err := json.Marshal(v); err == nil {
		return cond.String(string(text))
	}
	return cond.UnknownBecause("a value of a kind that is not shown")
}

func whole(f *project.Column, i int64) cond.Value {
	if f.Type == "text" {
		return cond.String(fmt.Sprint(i))
	}
	return cond.Int(i)
}

func numeric(f *project.Column, n pgtype.Numeric) cond.Value {
	if !n.Valid {
		return cond.NullValue
	}
	if n.NaN || n.InfinityModifier != pgtype.Finite || n.Exp > 1000 || n.Exp < -1000 {
		return cond.UnknownBecause("not a number")
	}
	r := new(big.Rat).SetInt(n.Int)
	scale := new(big.Int).Exp(big.NewInt(10), big.NewInt(int64(abs(n.Exp))), nil)
	if n.Exp < 0 {
		r.Quo(r, new(big.Rat).SetInt(scale))
	} else {
		r.Mul(r, new(big.Rat).SetInt(scale))
	}
	if f.Type == "whole" && r.IsInt() && r.Num().IsInt64() {
		return cond.Int(r.Num().Int64())
	}
	return cond.Exact(r)
}

func abs(i int32) int32 {
	if i < 0 {
		return -i
	}
	return i
}
