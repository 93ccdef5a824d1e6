package reach_test

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"testing"

	"ambergate/core/cond"
	_ "ambergate/core/kinds"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Random small projects: two tables, two roles, up to six screens and ten gates, with guards, rails, dialogs, call-ups,
// rounds, back and home.

type m = map[string]any

type maker struct{ *rand.Rand }

func (r maker) one(of ...string) string { return of[r.IntN(len(of))] }

func (r maker) chance(percent int) bool { return r.IntN(100) < percent }

// condition over what a screen knows: its record, the chosen row, the user, the plant.
func (r maker) condition(record, row string, depth int) string {
	if depth > 0 && r.chance(45) {
		a, b := r.condition(record, row, depth-1), r.condition(record, row, depth-1)
		switch r.IntN(3) {
		case 0:
			return "(" + a + ") && (" + b + ")"
		case 1:
			return "(" + a + ") || (" + b + ")"
		}
		return "!(" + a + ")"
	}
	own := func(name, table string) string {
		if table == "t_y" {
			return r.one(name+".f_z", "!"+name+".f_z")
		}
		return r.one(name+".f_n > 2", name+".f_n < 3", name+".f_n == 5", name+".f_n != 5", name+".f_ok", "!"+name+".f_ok", name+".f_n == null", name+".f_y != null", name+".f_y.f_z", "("+name+".f_n > 1) == "+name+".f_ok")
	}
	options := []string{`user.is("r_a")`, `user.is("r_b")`, "tag.t_on", "!tag.t_on"}
	if record != "" {
		options = append(options, own("record", record), own("record", record), own("record", record))
	}
	if row != "" {
		options = append(options, own("row", row), own("row", row))
	}
	return r.one(options...)
}

func (r maker) roles() m {
	return m{r.one("r_a", "r_b"): true}
}

// maybe puts a part in with some chance.
func (r maker) maybe(into m, percent int, key string, value func() any) {
	if r.chance(percent) {
		into[key] = value()
	}
}

type made struct {
	id, table string // table of its record, or ""
	needs     bool
}

func (r maker) gate(from made, row string, screens []made) m {
	cases := m{}
	n := 1
	if r.chance(25) {
		n = 2
	}
	for i := range n {
		c := m{"pos": i + 1}
		if i < n-1 || r.chance(15) {
			c["when"] = r.condition(from.table, row, 1)
		}
		c["move"] = r.move(from, row, screens)
		cases[fmt.Sprint("c_", i)] = c
	}
	g := m{"cases": cases}
	r.maybe(g, 40, "while", func() any { return r.condition(from.table, row, 2) })
	r.maybe(g, 25, "roles", func() any { return r.roles() })
	return g
}

func (r maker) move(from made, row string, screens []made) m {
	switch r.IntN(9) {
	case 0:
		return m{"kind": r.one("back", "home", "up", "close")}
	}
	to := screens[r.IntN(len(screens))]
	move := m{"kind": "screen", "target": to.id}
	r.maybe(move, 30, "as", func() any { return r.one("dialog", "drawer", "replace") })
	if to.table == "" {
		return move
	}
	r.maybe(move, 35, "mode", func() any { return r.one("edit", "add") })
	bind := func() m {
		switch {
		case row == to.table && r.chance(80):
			return m{"rule": "row"}
		case from.table == to.table && r.chance(80):
			return m{"rule": "this"}
		case row == "t_x" && to.table == "t_y":
			return m{"rule": "parent", "path": "f_y", "from": "row"}
		case from.table == "t_x" && to.table == "t_y":
			return m{"rule": "parent", "path": "f_y"}
		}
		return m{"rule": "value", "value": "1"}
	}
	if r.chance(90) {
		b := bind()
		if r.chance(20) {
			b["none"] = r.one("grey", "stay", "add")
		}
		if r.chance(10) {
			b["none"], b["screen"] = "list", screens[r.IntN(len(screens))].id
		}
		move["bind"] = m{"i_" + to.id: b}
	}
	return move
}

func (r maker) project() map[string]json.RawMessage {
	out := map[string]json.RawMessage{}
	put := func(id string, body m) {
		text, err := json.Marshal(body)
		if err != nil {
			panic(err)
		}
		out[id] = text
	}
	put("project", m{"kind": "project", "title": "T", "slug": "t", "zone": "UTC"})
	put("so_d", m{"kind": "source", "name": "D", "type": "postgresql", "connection": "d", "schema": "d"})
	put("so_p", m{"kind": "source", "name": "P", "type": "opcua", "connection": "p"})
	put("t_on", m{"kind": "tag", "pos": 1, "source": "so_p", "alias": "t_on", "label": "On", "type": "yesno", "node": "on"})
	field := func(pos int, name, kind string, more m) m {
		f := m{"pos": pos, "column": name, "alias": name, "label": name, "type": kind}
		for k, v := range more {
			f[k] = v
		}
		return f
	}
	put("t_x", m{"kind": "table", "source": "so_d", "relation": "x", "label": "Xs", "one": "x", "key": []string{"f_id"}, "title": "{record.f_id}", "fields": m{
		"f_id": field(1, "id", "whole", nil), "f_n": field(2, "n", "whole", m{"nullable": true}), "f_ok": field(3, "ok", "yesno", nil), "f_y": field(4, "y", "record", m{"references": "t_y", "nullable": true})}})
	put("t_y", m{"kind": "table", "source": "so_d", "relation": "y", "label": "Ys", "one": "y", "key": []string{"f_id"}, "title": "{record.f_id}", "fields": m{
		"f_id": field(1, "id", "whole", nil), "f_z": field(2, "z", "yesno", nil)}})
	var screens []made
	for i := range 2 + r.IntN(5) {
		s := made{id: fmt.Sprint("s_", i)}
		if i > 0 {
			s.table = r.one("", "t_x", "t_x", "t_y")
		}
		s.needs = s.table != "" && r.chance(85)
		screens = append(screens, s)
	}
	for i, id := range []string{"r_a", "r_b"} {
		role := m{"kind": "role", "pos": i, "name": id, "start": "s_0"}
		if r.chance(8) {
			role["start"] = screens[r.IntN(len(screens))].id
		}
		r.maybe(role, 6, "idle", func() any { return 60 })
		if r.chance(8) {
			role["round"] = m{"p_1": m{"pos": 1, "screen": "s_0", "stay": 5}, "p_2": m{"pos": 2, "screen": screens[len(screens)-1].id, "stay": 5}}
			if len(screens) == 1 {
				delete(role, "round")
			}
		}
		put(id, role)
		for _, table := range []string{"t_x", "t_y"} {
			if r.chance(10) {
				continue
			}
			g := m{"kind": "grant", "role": id, "table": table, "view": true}
			r.maybe(g, 60, "edit", func() any { return true })
			r.maybe(g, 60, "add", func() any { return true })
			if table == "t_x" {
				r.maybe(g, 12, "rows", func() any { return r.one("record.f_ok", "record.f_n == 5") })
				r.maybe(g, 8, "hidden", func() any { return m{r.one("f_n", "f_y"): true} })
			} else {
				r.maybe(g, 8, "rows", func() any { return "record.f_z" })
			}
			put("g_"+id+table, g)
		}
	}
	gates := 0
	for _, s := range screens {
		body := m{"kind": "screen", "type": "form", "title": s.id, "slug": "s" + s.id[2:]}
		if s.table != "" {
			body["record"] = "i_" + s.id
			body["inputs"] = m{"i_" + s.id: m{"pos": 1, "alias": "it", "label": "It", "type": "record", "table": s.table, "required": s.needs}}
		}
		r.maybe(body, 25, "guard", func() any { return r.condition(s.table, "", 1) })
		r.maybe(body, 10, "roles", func() any { return r.roles() })
		r.maybe(body, 45, "bare", func() any { return true })
		r.maybe(body, 20, "up", func() any { return screens[r.IntN(len(screens))].id })
		elements := m{}
		for k := range 1 + r.IntN(3) {
			if gates++; gates > 10 {
				break
			}
			e := m{"pos": k, "cell": m{"row": k + 1, "col": 1, "w": 2}}
			r.maybe(e, 12, "shown", func() any { return r.condition(s.table, "", 1) })
			r.maybe(e, 8, "modes", func() any { return m{r.one("view", "edit", "add"): true} })
			if r.chance(30) {
				table := r.one("t_x", "t_y")
				e["kind"], e["table"], e["columns"], e["opened"] = "list", table, m{}, r.gate(s, table, screens)
			} else {
				e["kind"], e["words"], e["gate"] = "button", "go", r.gate(s, "", screens)
			}
			elements[fmt.Sprint("e_", s.id, k)] = e
		}
		body["elements"] = elements
		if r.chance(8) {
			body["ways"] = m{"w_" + s.id: m{"pos": 1, "trigger": "time", "after": 30, "gate": r.gate(s, "", screens)}}
		}
		put(s.id, body)
	}
	if r.chance(25) {
		rail := m{"kind": "rail", "pos": 1, "name": "Rail", "edge": "left", "elements": m{"e_r": m{"kind": "button", "pos": 1, "cell": m{"row": 1, "col": 1, "w": 1}, "words": "rail", "gate": r.gate(made{}, "", screens)}}}
		placed := m{}
		r.maybe(placed, 30, "roles", func() any { return r.roles() })
		r.maybe(placed, 30, "except", func() any { return m{screens[r.IntN(len(screens))].id: true} })
		r.maybe(placed, 20, "tables", func() any { return m{"t_x": r.one("", "record.f_ok")} })
		rail["placed"] = placed
		put("ra_1", rail)
	}
	if r.chance(15) {
		to := screens[r.IntN(len(screens))]
		c := m{"kind": "callUp", "pos": 1, "name": "Called", "while": r.one("tag.t_on", "!tag.t_on"), "screen": to.id}
		r.maybe(c, 30, "roles", func() any { return r.roles() })
		r.maybe(c, 30, "not", func() any { return m{screens[r.IntN(len(screens))].id: true} })
		put("cu_1", c)
	}
	return out
}

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
