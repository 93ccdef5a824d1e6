package reach_test

import (
	"encoding/json"
	"fmt"
	"testing"

	"ambergate/core/cond"
	_ "ambergate/core/kinds"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/stand"
)

type m = map[string]any

// maker makes random small projects, and worlds for them.
type maker struct{ stand.Maker }

func compiled(t *testing.T, entities map[string]json.RawMessage) *plan.App {
	t.Helper()
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	return app
}

// world is all that conditions ask of, and which rows there are.
type world struct {
	rows  map[string]map[string]map[string]cond.Value
	on    bool
	whole bool // everything is there that may be: rows in each table, all relations
}

// worlds gives every world of at most one row in each table, and some with two.
func worlds(r maker) []world {
	var out []world
	for _, on := range []bool{true, false} {
		for y := range 3 {
			ys := map[string]map[string]cond.Value{}
			if y > 0 {
				ys["1"] = map[string]cond.Value{"f_id": cond.Int(1), "f_z": cond.Bool(y == 1)}
			}
			add := func(whole bool, xs ...map[string]cond.Value) {
				w := world{on: on, whole: whole && y > 0, rows: map[string]map[string]map[string]cond.Value{"t_x": {}, "t_y": ys}}
				for i, x := range xs {
					x["f_id"] = cond.Int(int64(i + 1))
					w.rows["t_x"][fmt.Sprint(i+1)] = x
				}
				out = append(out, w)
			}
			x := func(n, ok, rel int) map[string]cond.Value {
				row := map[string]cond.Value{"f_n": cond.NullValue, "f_ok": cond.Bool(ok == 1), "f_y": cond.NullValue}
				if n > 0 {
					row["f_n"] = cond.Int(int64(n - 1))
				}
				if rel == 1 && y > 0 {
					row["f_y"] = cond.Key("1")
				}
				return row
			}
			add(false)
			for _, n := range []int{0, 1, 6} {
				for ok := range 2 {
					for rel := range min(y, 1) + 1 {
						add(rel == 1, x(n, ok, rel))
					}
				}
			}
			for range 2 {
				a, b := r.IntN(2), r.IntN(2)
				add(a == 1 && b == 1, x([]int{0, 1, 6}[r.IntN(3)], r.IntN(2), a), x([]int{0, 1, 6}[r.IntN(3)], r.IntN(2), b))
			}
		}
	}
	return out
}
