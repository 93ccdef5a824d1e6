package reach_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"
	"testing"

	"ambergate/core/check/reach"
)

// small gives a project of two tables, two roles and a start with nothing on it, with further entities over it; nil takes
// one away.
func small(t *testing.T, more m) *reach.Graph {
	t.Helper()
	all := m{
		"project": m{"kind": "project", "title": "T", "slug": "t", "zone": "UTC"},
		"so_d":    m{"kind": "source", "name": "D", "type": "postgresql", "connection": "d", "schema": "d"},
		"so_p":    m{"kind": "source", "name": "P", "type": "opcua", "connection": "p"},
		"t_on":    m{"kind": "tag", "pos": 1, "source": "so_p", "alias": "on", "label": "On", "type": "yesno", "node": "on"},
		"t_x": m{"kind": "table", "source": "so_d", "relation": "x", "label": "Xs", "one": "x", "key": []string{"f_id"}, "title": "{record.f_id}", "fields": m{
			"f_id": m{"pos": 1, "column": "id", "alias": "id", "label": "id", "type": "whole"},
			"f_n":  m{"pos": 2, "column": "n", "alias": "n", "label": "n", "type": "whole", "nullable": true},
			"f_y":  m{"pos": 3, "column": "y", "alias": "y", "label": "y", "type": "record", "references": "t_y", "nullable": true}}},
		"t_y":  m{"kind": "table", "source": "so_d", "relation": "y", "label": "Ys", "one": "y", "key": []string{"f_id"}, "title": "{record.f_id}", "fields": m{"f_id": m{"pos": 1, "column": "id", "alias": "id", "label": "id", "type": "whole"}}},
		"r_a":  m{"kind": "role", "pos": 1, "name": "A", "start": "s_0"},
		"r_b":  m{"kind": "role", "pos": 2, "name": "B", "start": "s_0"},
		"g_ax": m{"kind": "grant", "role": "r_a", "table": "t_x", "view": true, "edit": true, "add": true},
		"g_ay": m{"kind": "grant", "role": "r_a", "table": "t_y", "view": true},
		"s_0":  menu("0"),
	}
	maps.Copy(all, more)
	entities := map[string]json.RawMessage{}
	for id, body := range all {
		if body == nil {
			continue
		}
		text, err := json.Marshal(body)
		if err != nil {
			t.Fatal(err)
		}
		entities[id] = text
	}
	return reach.Of(compiled(t, entities), nil)
}

// menu is a screen without a record, with buttons.
func menu(slug string, buttons ...m) m { return screen(slug, m{"type": "menu"}, buttons...) }

// form is a screen on a record of a table.
func form(slug, table string, buttons ...m) m {
	return screen(slug, m{"type": "form", "record": "i_it", "inputs": m{"i_it": m{"pos": 1, "alias": "it", "label": "It", "type": "record", "table": table, "required": true}}}, buttons...)
}

func screen(slug string, more m, buttons ...m) m {
	elements := m{}
	for i, b := range buttons {
		e := m{"pos": i, "cell": m{"row": i + 1, "col": 1, "w": 2}}
		maps.Copy(e, b)
		elements[fmt.Sprint("e_", i)] = e
	}
	out := m{"kind": "screen", "title": "S" + slug, "slug": "s" + slug, "elements": elements}
	maps.Copy(out, more)
	return out
}

// to is a button that opens a screen; more is put into its gate.
func to(target string, more ...m) m { return does(m{"kind": "screen", "target": target}, more...) }

// on is one that opens it on this record, or by another rule.
func on(target, rule string, more ...m) m {
	return does(m{"kind": "screen", "target": target, "bind": m{"i_it": m{"rule": rule}}}, more...)
}

func does(move m, more ...m) m {
	gate := m{"cases": m{"c_1": m{"pos": 1, "move": move}}}
	for _, part := range more {
		maps.Copy(gate, part)
	}
	return m{"kind": "button", "words": "go", "gate": gate}
}

// rows is a list whose rows open a form.
func rows(table, target string, more ...m) m {
	b := on(target, "row", more...)
	return m{"kind": "list", "table": table, "columns": m{}, "opened": b["gate"]}
}

func with(e m, more m) m {
	out := maps.Clone(e)
	maps.Copy(out, more)
	return out
}

// cell says a cell in short: sure 2, given 1 (a row in Xs), never.
func cell(g *reach.Graph, role, screen string) string {
	c := g.For(map[string]bool{role: true}).Cells[screen]
	out := string(c.Kind)
	if c.Led() {
		out += fmt.Sprint(" ", c.Presses)
	}
	if len(c.Given) > 0 {
		out += " (" + strings.Join(c.Given, ", ") + ")"
	}
	if c.Trapped {
		out += " trapped"
	}
	return out
}

func TestHowSurelySomebodyGetsSomewhere(t *testing.T) {
	lists := rows("t_x", "s_x")
	for name, tc := range map[string]struct {
		more m
		want map[string]string // "role screen": cell
	}{
		"one press":             {m{"s_0": menu("0", to("s_1")), "s_1": menu("1")}, map[string]string{"r_a s_0": "start 0", "r_a s_1": "sure 1", "r_b s_1": "sure 1"}},
		"the shorter of two":    {m{"s_0": menu("0", to("s_1"), to("s_2")), "s_1": menu("1", to("s_2")), "s_2": menu("2")}, map[string]string{"r_a s_2": "sure 1"}},
		"for others":            {m{"s_0": menu("0", to("s_1", m{"roles": m{"r_a": true}})), "s_1": menu("1")}, map[string]string{"r_a s_1": "sure 1", "r_b s_1": "by address"}},
		"shut to a role":        {m{"s_0": menu("0", to("s_1")), "s_1": with(menu("1"), m{"roles": m{"r_a": true}})}, map[string]string{"r_a s_1": "sure 1", "r_b s_1": "never"}},
		"no grant":              {m{"s_0": menu("0", lists), "s_x": form("x", "t_x")}, map[string]string{"r_a s_x": "given 1 (a row in Xs)", "r_b s_x": "never"}},
		"a condition":           {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", on("s_2", "this", m{"while": "record.f_n > 3"})), "s_2": form("2", "t_x")}, map[string]string{"r_a s_2": "maybe 2"}},
		"one that cannot hold":  {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", to("s_2", m{"while": "record.f_n > 3 && record.f_n < 3"})), "s_2": menu("2")}, map[string]string{"r_a s_2": "by address"}},
		"one that always holds": {m{"s_0": menu("0", to("s_1", m{"while": `user.is("r_a") || !user.is("r_a")`})), "s_1": menu("1")}, map[string]string{"r_a s_1": "sure 1", "r_b s_1": "sure 1"}},
		"by the role":           {m{"s_0": menu("0", to("s_1", m{"while": `user.is("r_a")`})), "s_1": menu("1")}, map[string]string{"r_a s_1": "sure 1", "r_b s_1": "by address"}},
		"two that together always hold": {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", to("s_2", m{"while": "record.f_n > 3"}), to("s_2", m{"while": "record.f_n <= 3 || record.f_n == null"})), "s_2": menu("2")},
			map[string]string{"r_a s_2": "given 2 (a row in Xs)"}},
		"two that leave a gap": {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", to("s_2", m{"while": "record.f_n > 3"}), to("s_2", m{"while": "record.f_n < 3"})), "s_2": menu("2")}, map[string]string{"r_a s_2": "maybe 2"}},
		"the plant": {m{"s_0": menu("0", to("s_1", m{"while": "tag.t_on || !tag.t_on"}), to("s_2", m{"while": "tag.t_on"})), "s_1": menu("1"), "s_2": menu("2")},
			map[string]string{"r_a s_1": "given 1 (the plant answers)", "r_a s_2": "maybe 1"}},
		"its parent": {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", does(m{"kind": "screen", "target": "s_y", "bind": m{"i_it": m{"rule": "parent", "path": "f_y", "none": "grey"}}})), "s_y": form("y", "t_y")},
			map[string]string{"r_a s_y": "given 2 (a row in Xs, its y)", "r_b s_y": "never"}},
		"a parent beyond row rules": {m{"g_ay": m{"kind": "grant", "role": "r_a", "table": "t_y", "view": true, "rows": "record.f_id > 3"}, "s_0": menu("0", lists), "s_x": form("x", "t_x", does(m{"kind": "screen", "target": "s_y", "bind": m{"i_it": m{"rule": "parent", "path": "f_y", "none": "grey"}}})), "s_y": form("y", "t_y")},
			map[string]string{"r_a s_y": "maybe 2"}},
		"where there is none": {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", does(m{"kind": "screen", "target": "s_y", "bind": m{"i_it": m{"rule": "parent", "path": "f_y", "none": "list", "screen": "s_1"}}})), "s_y": form("y", "t_y"), "s_1": menu("1")},
			map[string]string{"r_a s_1": "maybe 2"}},
		"the guard of the target, of this record": {m{"s_0": menu("0", lists), "s_x": with(form("x", "t_x", on("s_2", "this")), m{"guard": "record.f_n > 3"}), "s_2": with(form("2", "t_x"), m{"guard": "record.f_n > 1"})},
			map[string]string{"r_a s_x": "maybe 1", "r_a s_2": "maybe 2"}},
		"a guard that the way rules out": {m{"s_0": menu("0", lists), "s_x": with(form("x", "t_x", on("s_2", "this")), m{"guard": "record.f_n > 3"}), "s_2": with(form("2", "t_x"), m{"guard": "record.f_n < 1"})},
			map[string]string{"r_a s_2": "by address"}},
		"a hidden field": {m{"g_ax": m{"kind": "grant", "role": "r_a", "table": "t_x", "view": true, "hidden": m{"f_n": true}}, "s_0": menu("0", lists), "s_x": form("x", "t_x", to("s_2", m{"while": "record.f_n > 3 || record.f_n <= 3 || record.f_n == null"})), "s_2": menu("2")},
			map[string]string{"r_a s_2": "by address"}},
		"an earlier case takes it all": {m{"s_0": menu("0", m{"kind": "button", "words": "go", "gate": m{"cases": m{"c_1": m{"pos": 1, "move": m{"kind": "screen", "target": "s_1"}}, "c_2": m{"pos": 2, "when": "tag.t_on", "move": m{"kind": "screen", "target": "s_2"}}}}}), "s_1": menu("1"), "s_2": menu("2")},
			map[string]string{"r_a s_1": "sure 1", "r_a s_2": "maybe 1"}}, // that it is shadowed is a finding of its own
		"while it is only edited": {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", with(to("s_2"), m{"modes": m{"edit": true}})), "s_2": menu("2")}, map[string]string{"r_a s_2": "by address"}},
		"after Edit":              {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", with(to("s_2"), m{"modes": m{"edit": true}}), does(m{"kind": "screen", "target": "s_x", "mode": "edit", "bind": m{"i_it": m{"rule": "this"}}})), "s_2": menu("2")}, map[string]string{"r_a s_2": "given 3 (a row in Xs)"}},
		"through a dialog":        {m{"s_0": menu("0", does(m{"kind": "screen", "target": "s_1", "as": "dialog"})), "s_1": menu("1", to("s_2")), "s_2": menu("2")}, map[string]string{"r_a s_1": "sure 1", "r_a s_2": "sure 2"}},
		"a rail beside a dialog": {m{"ra_1": m{"kind": "rail", "pos": 1, "name": "R", "edge": "left", "placed": m{"only": m{"s_1": true}}, "elements": m{"e_r": with(to("s_2"), m{"pos": 1, "cell": m{"row": 1, "col": 1, "w": 1}})}}, "s_0": menu("0", does(m{"kind": "screen", "target": "s_1", "as": "dialog"})), "s_1": menu("1"), "s_2": menu("2")},
			map[string]string{"r_a s_2": "maybe 2"}},
		"a rail": {m{"ra_1": m{"kind": "rail", "pos": 1, "name": "R", "edge": "left", "placed": m{"roles": m{"r_a": true}}, "elements": m{"e_r": with(to("s_2"), m{"pos": 1, "cell": m{"row": 1, "col": 1, "w": 1}})}}, "s_2": menu("2")},
			map[string]string{"r_a s_2": "sure 1", "r_b s_2": "by address"}},
		"after some time": {m{"s_0": with(menu("0"), m{"ways": m{"w_1": m{"pos": 1, "trigger": "time", "after": 30, "gate": to("s_1")["gate"]}}}), "s_1": menu("1", to("s_2")), "s_2": menu("2")},
			map[string]string{"r_a s_1": "by itself", "r_a s_2": "by itself"}},
		"called up":     {m{"cu_1": m{"kind": "callUp", "pos": 1, "name": "C", "while": "tag.t_on", "screen": "s_1", "roles": m{"r_a": true}}, "s_1": menu("1")}, map[string]string{"r_a s_1": "by itself", "r_b s_1": "by address"}},
		"in a round":    {m{"r_a": m{"kind": "role", "pos": 1, "name": "A", "start": "s_0", "round": m{"p_1": m{"pos": 1, "screen": "s_0", "stay": 5}, "p_2": m{"pos": 2, "screen": "s_1", "stay": 5}}}, "s_1": menu("1")}, map[string]string{"r_a s_1": "by itself", "r_b s_1": "by address"}},
		"it saves":      {m{"s_0": menu("0", lists), "s_x": form("x", "t_x", m{"kind": "button", "words": "go", "gate": m{"cases": m{"c_1": m{"pos": 1, "do": m{"d_1": m{"kind": "save", "pos": 1}}, "move": m{"kind": "screen", "target": "s_2"}}}}}), "s_2": menu("2")}, map[string]string{"r_a s_2": "maybe 2"}},
		"no start":      {m{"r_b": m{"kind": "role", "pos": 2, "name": "B", "start": "s_gone"}}, map[string]string{"r_b s_0": "by address"}},
		"a shut start":  {m{"s_0": with(menu("0", to("s_1")), m{"roles": m{"r_a": true}}), "s_1": menu("1")}, map[string]string{"r_b s_0": "never", "r_b s_1": "by address"}},
		"not bound":     {m{"s_0": menu("0", to("s_x")), "s_x": form("x", "t_x")}, map[string]string{"r_a s_x": "by address"}},
		"a broken gate": {m{"s_0": menu("0", to("s_1", m{"while": "record.nonsense"})), "s_1": menu("1")}, map[string]string{"r_a s_1": "by address"}},
	} {
		g := small(t, tc.more)
		for at, want := range tc.want {
			role, screen, _ := strings.Cut(at, " ")
			if got := cell(g, role, screen); got != want {
				t.Errorf("%s: %s is %s, want %s", name, at, got, want)
			}
		}
	}
}

func TestWhoIsTrapped(t *testing.T) {
	bare := func(s m) m { return with(s, m{"bare": true}) }
	for name, tc := range map[string]struct {
		more m
		want string // the trapped screens of role A
	}{
		"the strip leads home":               {m{"s_0": menu("0", to("s_1")), "s_1": menu("1")}, ""},
		"nothing leads on":                   {m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1"))}, "s_1"},
		"a button back":                      {m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1", does(m{"kind": "back"})))}, ""},
		"a button back that may be shut":     {m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1", does(m{"kind": "back"}, m{"while": "tag.t_on"})))}, "s_1"},
		"back to a trap":                     {m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1", to("s_2"))), "s_2": bare(menu("2", does(m{"kind": "back"})))}, "s_1 s_2"},
		"round in a circle":                  {m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1", to("s_2"))), "s_2": bare(menu("2", to("s_1")))}, "s_1 s_2"},
		"a way to the start":                 {m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1", to("s_2"))), "s_2": bare(menu("2", to("s_0")))}, ""},
		"a dialog is closed":                 {m{"s_0": menu("0", does(m{"kind": "screen", "target": "s_1", "as": "dialog"})), "s_1": bare(menu("1"))}, ""},
		"a dialog over a trap":               {m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1", does(m{"kind": "screen", "target": "s_2", "as": "dialog"}))), "s_2": bare(menu("2"))}, "s_1 s_2"},
		"brought back when idle":             {m{"r_a": m{"kind": "role", "pos": 1, "name": "A", "start": "s_0", "idle": 60}, "s_0": menu("0", to("s_1")), "s_1": bare(menu("1"))}, ""},
		"led on after some time":             {m{"s_0": menu("0", to("s_1")), "s_1": with(bare(menu("1")), m{"ways": m{"w_1": m{"pos": 1, "trigger": "time", "after": 30, "gate": does(m{"kind": "home"})["gate"]}}})}, ""},
		"replaced: back leads before":        {m{"s_0": menu("0", to("s_1")), "s_1": menu("1", does(m{"kind": "screen", "target": "s_2", "as": "replace"})), "s_2": bare(menu("2", does(m{"kind": "back"})))}, ""},
		"the start replaced: back leads up":  {m{"s_0": menu("0", does(m{"kind": "screen", "target": "s_1", "as": "replace"})), "s_1": with(bare(menu("1", does(m{"kind": "back"}))), m{"up": "s_2"}), "s_2": bare(menu("2"))}, "s_1 s_2"},
		"home where the start may be shut":   {m{"s_0": with(menu("0", to("s_1")), m{"guard": "tag.t_on"}), "s_1": menu("1")}, "s_1"},
		"entering sends on, so nothing else": {m{"s_0": menu("0", to("s_1")), "s_1": with(bare(menu("1", does(m{"kind": "home"}))), m{"ways": m{"w_1": m{"pos": 1, "trigger": "entered", "gate": to("s_2", m{"while": "tag.t_on"})["gate"]}}}), "s_2": bare(menu("2"))}, "s_1 s_2"},
	} {
		g := small(t, tc.more)
		r := g.For(map[string]bool{"r_a": true})
		var got []string
		for _, id := range g.Screens {
			if r.Cells[id].Trapped {
				got = append(got, id)
			}
		}
		if strings.Join(got, " ") != tc.want {
			t.Errorf("%s: trapped in %v, want %s", name, got, tc.want)
		}
	}
}

func TestTheWayBackIsToldStepByStep(t *testing.T) {
	bare := func(s m) m { return with(s, m{"bare": true}) }
	g := small(t, m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1", to("s_2"), to("s_0"))), "s_2": bare(menu("2", does(m{"kind": "back"}), does(m{"kind": "screen", "target": "s_3", "as": "dialog"}))), "s_3": bare(menu("3"))})
	r := g.For(map[string]bool{"r_a": true})
	for screen, want := range map[string]string{"s_0": "", "s_1": "way>s_0", "s_2": "back>s_1 way>s_0", "s_3": "close>s_2 back>s_1 way>s_0"} {
		steps, presses, proven := r.WayBack(screen)
		var got []string
		for _, s := range steps {
			got = append(got, s.What+">"+s.To)
		}
		if strings.Join(got, " ") != want || presses != len(steps) || !proven {
			t.Errorf("%s: %v in %d (%v), want %s", screen, got, presses, proven, want)
		}
	}
	if _, _, proven := small(t, m{"s_0": menu("0", to("s_1")), "s_1": bare(menu("1"))}).For(map[string]bool{"r_a": true}).WayBack("s_1"); proven {
		t.Error("a way back is proven where there is none")
	}
}

func TestPathsAreTheShortestAndSurest(t *testing.T) {
	g := small(t, m{
		"s_0": menu("0", to("s_1"), to("s_2", m{"while": "tag.t_on"})), "s_1": menu("1", to("s_2"), to("s_3")), "s_2": menu("2", to("s_3")), "s_3": menu("3"),
	})
	r := g.For(map[string]bool{"r_a": true})
	said := func(steps []reach.Step) string {
		var out []string
		for _, s := range steps {
			out = append(out, s.To())
		}
		return strings.Join(out, ">")
	}
	if got := said(r.Path("s_2")); got != "s_1>s_2" { // surely in two, rather than maybe in one
		t.Errorf("the path to s_2 is %s", got)
	}
	paths, more := r.Paths("s_0", "s_3")
	var all []string
	for _, p := range paths {
		all = append(all, said(p))
	}
	if want := []string{"s_1>s_3", "s_2>s_3", "s_1>s_2>s_3"}; !slices.Equal(all, want) || more {
		t.Errorf("%v, want %v", all, want)
	}
	if p := paths[1][0]; p.Open.Hold != reach.Maybe || len(p.Open.Left) != 1 || p.Open.Left[0].Words() != "on is yes" {
		t.Errorf("the first step of the second path is %+v", p.Open)
	}
	for _, none := range [][2]string{{"s_3", "s_1"}, {"s_1", "s_1"}, {"s_gone", "s_1"}, {"s_1", "s_gone"}} {
		if paths, more := r.Paths(none[0], none[1]); len(paths) > 0 || more {
			t.Errorf("%v: %d paths", none, len(paths))
		}
	}
	if r.Path("s_gone") != nil || r.Path("s_0") != nil {
		t.Error("there is a path to the start, or to what is gone")
	}
}

// A search among many ways ends, and says that there are more.
func TestManyPathsAreBounded(t *testing.T) {
	more := m{}
	for i := range 12 {
		var buttons []m
		for k := range 12 {
			if k != i {
				buttons = append(buttons, to(fmt.Sprint("s_", k)))
			}
		}
		more[fmt.Sprint("s_", i)] = menu(fmt.Sprint(i), buttons...)
	}
	paths, further := small(t, more).For(map[string]bool{"r_a": true}).Paths("s_0", "s_11")
	if len(paths) == 0 || len(paths) > 60 || !further {
		t.Errorf("%d paths, further ones: %v", len(paths), further)
	}
	for i := 1; i < len(paths); i++ {
		if len(paths[i]) < len(paths[i-1]) {
			t.Errorf("path %d is shorter than the one before", i)
		}
	}
}

func TestSeveralRolesAddUp(t *testing.T) {
	g := small(t, m{"s_0": menu("0", to("s_1", m{"roles": m{"r_a": true}})), "s_1": menu("1", to("s_2", m{"roles": m{"r_b": true}})), "s_2": menu("2")})
	both := g.For(map[string]bool{"r_a": true, "r_b": true, "r_gone": false})
	if c := both.Cells["s_2"]; c.Kind != reach.IsSure || c.Presses != 2 {
		t.Errorf("both roles: %+v", c)
	}
	if got := cell(g, "r_a", "s_2") + cell(g, "r_b", "s_2"); got != "by addressby address" {
		t.Errorf("each alone: %s", got)
	}
	if reach.Roles(map[string]bool{"r_b": true, "r_a": true, "r_c": false}) != "r_a+r_b" {
		t.Error("a set of roles has no name of its own")
	}
	if g.Known(map[string]bool{"r_b": true, "r_a": true}) != both {
		t.Error("what was found out is not known")
	}
}
