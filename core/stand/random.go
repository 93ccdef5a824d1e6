package stand

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
)

// Random small projects: two tables, two roles, up to six screens and ten gates, with guards, rails, dialogs, call-ups,
// rounds, back and home.

type m = map[string]any

// Maker makes projects at random.
type Maker struct{ *rand.Rand }

// One gives one of several.
func (r Maker) One(of ...string) string { return of[r.IntN(len(of))] }

// Chance is true so many times in a hundred.
func (r Maker) Chance(percent int) bool { return r.IntN(100) < percent }

// Condition gives one over what a screen knows: its record, the chosen row, the user, the plant.
func (r Maker) Condition(record, row string, depth int) string {
	if depth > 0 && r.Chance(45) {
		a, b := r.Condition(record, row, depth-1), r.Condition(record, row, depth-1)
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
			return r.One(name+".f_z", "!"+name+".f_z")
		}
		return r.One(name+".f_n > 2", name+".f_n < 3", name+".f_n == 5", name+".f_n != 5", name+".f_ok", "!"+name+".f_ok", name+".f_n == null", name+".f_y != null", name+".f_y.f_z", "("+name+".f_n > 1) == "+name+".f_ok")
	}
	options := []string{`user.is("r_a")`, `user.is("r_b")`, "tag.t_on", "!tag.t_on"}
	if record != "" {
		options = append(options, own("record", record), own("record", record), own("record", record))
	}
	if row != "" {
		options = append(options, own("row", row), own("row", row))
	}
	return r.One(options...)
}

// Roles gives one of the roles, or all.
func (r Maker) Roles() m {
	return m{r.One("r_a", "r_b"): true}
}

// Maybe puts a part in with some chance.
func (r Maker) Maybe(into m, percent int, key string, value func() any) {
	if r.Chance(percent) {
		into[key] = value()
	}
}

// MadeScreen is one of its screens.
type MadeScreen struct {
	ID, Table string // of its record; "" for none
	needs     bool
}

// Gate gives the wiring of something on a screen.
func (r Maker) Gate(from MadeScreen, row string, screens []MadeScreen) m {
	cases := m{}
	n := 1
	if r.Chance(25) {
		n = 2
	}
	for i := range n {
		c := m{"pos": i + 1}
		if i < n-1 || r.Chance(15) {
			c["when"] = r.Condition(from.Table, row, 1)
		}
		c["move"] = r.Move(from, row, screens)
		cases[fmt.Sprint("c_", i)] = c
	}
	g := m{"cases": cases}
	r.Maybe(g, 40, "while", func() any { return r.Condition(from.Table, row, 2) })
	r.Maybe(g, 25, "roles", func() any { return r.Roles() })
	return g
}

// Move gives where that leads.
func (r Maker) Move(from MadeScreen, row string, screens []MadeScreen) m {
	switch r.IntN(9) {
	case 0:
		return m{"kind": r.One("back", "home", "up", "close")}
	}
	to := screens[r.IntN(len(screens))]
	move := m{"kind": "screen", "target": to.ID}
	r.Maybe(move, 30, "as", func() any { return r.One("dialog", "drawer", "replace") })
	if to.Table == "" {
		return move
	}
	r.Maybe(move, 35, "mode", func() any { return r.One("edit", "add") })
	bind := func() m {
		switch {
		case row == to.Table && r.Chance(80):
			return m{"rule": "row"}
		case from.Table == to.Table && r.Chance(80):
			return m{"rule": "this"}
		case row == "t_x" && to.Table == "t_y":
			return m{"rule": "parent", "path": "f_y", "from": "row"}
		case from.Table == "t_x" && to.Table == "t_y":
			return m{"rule": "parent", "path": "f_y"}
		}
		return m{"rule": "value", "value": "1"}
	}
	if r.Chance(90) {
		b := bind()
		if r.Chance(20) {
			b["none"] = r.One("grey", "stay", "add")
		}
		if r.Chance(10) {
			b["none"], b["screen"] = "list", screens[r.IntN(len(screens))].ID
		}
		move["bind"] = m{"i_" + to.ID: b}
	}
	return move
}

// Project gives a whole project, as entities by id.
func (r Maker) Project() map[string]json.RawMessage {
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
	var screens []MadeScreen
	for i := range 2 + r.IntN(5) {
		s := MadeScreen{ID: fmt.Sprint("s_", i)}
		if i > 0 {
			s.Table = r.One("", "t_x", "t_x", "t_y")
		}
		s.needs = s.Table != "" && r.Chance(85)
		screens = append(screens, s)
	}
	for i, id := range []string{"r_a", "r_b"} {
		role := m{"kind": "role", "pos": i, "name": id, "start": "s_0"}
		if r.Chance(8) {
			role["start"] = screens[r.IntN(len(screens))].ID
		}
		r.Maybe(role, 6, "idle", func() any { return 60 })
		if r.Chance(8) {
			role["round"] = m{"p_1": m{"pos": 1, "screen": "s_0", "stay": 5}, "p_2": m{"pos": 2, "screen": screens[len(screens)-1].ID, "stay": 5}}
			if len(screens) == 1 {
				delete(role, "round")
			}
		}
		put(id, role)
		for _, table := range []string{"t_x", "t_y"} {
			if r.Chance(10) {
				continue
			}
			g := m{"kind": "grant", "role": id, "table": table, "view": true}
			r.Maybe(g, 60, "edit", func() any { return true })
			r.Maybe(g, 60, "add", func() any { return true })
			if table == "t_x" {
				r.Maybe(g, 12, "rows", func() any { return r.One("record.f_ok", "record.f_n == 5") })
				r.Maybe(g, 8, "hidden", func() any { return m{r.One("f_n", "f_y"): true} })
			} else {
				r.Maybe(g, 8, "rows", func() any { return "record.f_z" })
			}
			put("g_"+id+table, g)
		}
	}
	gates := 0
	for _, s := range screens {
		body := m{"kind": "screen", "type": "form", "title": s.ID, "slug": "s" + s.ID[2:]}
		if s.Table != "" {
			body["record"] = "i_" + s.ID
			body["inputs"] = m{"i_" + s.ID: m{"pos": 1, "alias": "it", "label": "It", "type": "record", "table": s.Table, "required": s.needs}}
		}
		r.Maybe(body, 25, "guard", func() any { return r.Condition(s.Table, "", 1) })
		r.Maybe(body, 10, "roles", func() any { return r.Roles() })
		r.Maybe(body, 45, "bare", func() any { return true })
		r.Maybe(body, 20, "up", func() any { return screens[r.IntN(len(screens))].ID })
		elements := m{}
		for k := range 1 + r.IntN(3) {
			if gates++; gates > 10 {
				break
			}
			e := m{"pos": k, "cell": m{"row": k + 1, "col": 1, "w": 2}}
			r.Maybe(e, 12, "shown", func() any { return r.Condition(s.Table, "", 1) })
			r.Maybe(e, 8, "modes", func() any { return m{r.One("view", "edit", "add"): true} })
			if r.Chance(30) {
				table := r.One("t_x", "t_y")
				e["kind"], e["table"], e["columns"], e["opened"] = "list", table, m{}, r.Gate(s, table, screens)
			} else {
				e["kind"], e["words"], e["gate"] = "button", "go", r.Gate(s, "", screens)
			}
			elements[fmt.Sprint("e_", s.ID, k)] = e
		}
		body["elements"] = elements
		if r.Chance(8) {
			body["ways"] = m{"w_" + s.ID: m{"pos": 1, "trigger": "time", "after": 30, "gate": r.Gate(s, "", screens)}}
		}
		put(s.ID, body)
	}
	if r.Chance(25) {
		rail := m{"kind": "rail", "pos": 1, "name": "Rail", "edge": "left", "elements": m{"e_r": m{"kind": "button", "pos": 1, "cell": m{"row": 1, "col": 1, "w": 1}, "words": "rail", "gate": r.Gate(MadeScreen{}, "", screens)}}}
		placed := m{}
		r.Maybe(placed, 30, "roles", func() any { return r.Roles() })
		r.Maybe(placed, 30, "except", func() any { return m{screens[r.IntN(len(screens))].ID: true} })
		r.Maybe(placed, 20, "tables", func() any { return m{"t_x": r.One("", "record.f_ok")} })
		rail["placed"] = placed
		put("ra_1", rail)
	}
	if r.Chance(15) {
		to := screens[r.IntN(len(screens))]
		c := m{"kind": "callUp", "pos": 1, "name": "Called", "while": r.One("tag.t_on", "!tag.t_on"), "screen": to.ID}
		r.Maybe(c, 30, "roles", func() any { return r.Roles() })
		r.Maybe(c, 30, "not", func() any { return m{screens[r.IntN(len(screens))].ID: true} })
		put("cu_1", c)
	}
	return out
}
