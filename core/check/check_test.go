package check

import (
	"encoding/json"
	"testing"

	_ "ambergate/core/kinds"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// base is a small sound project: a board, a list, a form with a parent.
const base = `{
 "project": {"kind":"project","title":"T","slug":"t","zone":"UTC"},
 "r_a": {"kind":"role","pos":1,"name":"A","start":"s_board"},
 "r_b": {"kind":"role","pos":2,"name":"B","start":"s_board"},
 "t_x": {"kind":"table","source":"so_d","relation":"x","label":"Xs","one":"x","key":["f_id"],"title":"{record.f_name}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},
   "f_name":{"pos":2,"column":"name","alias":"name","label":"Name","type":"text"},
   "f_y":{"pos":3,"column":"y_id","alias":"y","label":"Y","type":"record","references":"t_y","nullable":true}}},
 "t_y": {"kind":"table","source":"so_d","relation":"y","label":"Ys","one":"y","key":["f_id"],"title":"{record.f_id}","fields":{"f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"}}},
 "gr_1": {"kind":"grant","role":"r_a","table":"t_x","view":true,"edit":true},
 "gr_2": {"kind":"grant","role":"r_a","table":"t_y","view":true},
 "gr_3": {"kind":"grant","role":"r_b","table":"t_x","view":true},
 "gr_4": {"kind":"grant","role":"r_b","table":"t_y","view":true},
 "s_board": {"kind":"screen","type":"menu","title":"Board","slug":"board","elements":{
   "e_go":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"Go","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}}}},
 "s_list": {"kind":"screen","type":"list","title":"List","slug":"list","elements":{
   "e_list":{"kind":"list","pos":1,"cell":{"row":1,"col":1,"w":12},"table":"t_x","columns":{},"opened":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_form","bind":{"i_x":{"rule":"row"}}}}}}}}},
 "s_form": {"kind":"screen","type":"form","title":"Form","slug":"form","record":"i_x","inputs":{"i_x":{"pos":1,"alias":"x","label":"X","type":"record","table":"t_x","required":true}},"elements":{
   "e_y":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"Its y","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_yform","bind":{"i_y":{"rule":"parent","path":"f_y","none":"grey"}}}}}}}}},
 "s_yform": {"kind":"screen","type":"form","title":"Y form","slug":"y","record":"i_y","inputs":{"i_y":{"pos":1,"alias":"y","label":"Y","type":"record","table":"t_y","required":true}}}
}`

func run(t *testing.T, changes string) []Finding {
	t.Helper()
	var bodies patch.Bodies
	if err := json.Unmarshal([]byte(base), &bodies); err != nil {
		t.Fatal(err)
	}
	var ops []patch.Op
	if changes != "" {
		if err := json.Unmarshal([]byte(changes), &ops); err != nil {
			t.Fatal(err)
		}
	}
	return Run(compiled(t, apply(t, bodies, ops)))
}

func apply(t *testing.T, bodies patch.Bodies, ops []patch.Op) patch.Bodies {
	t.Helper()
	touched, _, err := patch.Apply(bodies, ops)
	if err != nil {
		t.Fatal(err)
	}
	for id, body := range touched {
		bodies[id] = body
		if body == nil {
			delete(bodies, id)
		}
	}
	return bodies
}

func compiled(t *testing.T, bodies patch.Bodies) *plan.App {
	t.Helper()
	entities := map[string]json.RawMessage{}
	for id, body := range bodies {
		text, err := json.Marshal(body)
		if err != nil {
			t.Fatal(err)
		}
		entities[id] = text
	}
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

// Each check has a change that it must flag and one near it that it must not.
func TestEachCheckFlagsAndSpares(t *testing.T) {
	for _, tc := range []struct{ check, flagged, near string }{
		{"no-way-behind",
			`[{"op":"remove","path":"/s_board/elements/e_go/gate"}]`,
			`[{"op":"replace","path":"/s_board/elements/e_go/gate","value":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}]`},
		{"no-way-behind",
			`[{"op":"add","path":"/s_board/ways","value":{"w_a":{"pos":1,"trigger":"left","gate":{}}}}]`,
			`[{"op":"add","path":"/s_board/ways","value":{"w_a":{"pos":1,"trigger":"left","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"pos":1,"kind":"refresh"}}}}}}}}]`},
		{"broken-target",
			`[{"op":"remove","path":"/s_list"}]`,
			`[{"op":"replace","path":"/s_list/title","value":"Renamed"}]`},
		{"broken-target",
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"record.f_gone == 1"}]`,
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"record.f_name == \"x\""}]`},
		{"missing-input",
			`[{"op":"remove","path":"/s_list/elements/e_list/opened/cases/c_1/move/bind"}]`,
			`[{"op":"remove","path":"/s_list/elements/e_list/opened/cases/c_1/move/bind"},{"op":"add","path":"/s_list/elements/e_list/opened/cases/c_1/move/mode","value":"add"},{"op":"add","path":"/gr_1/add","value":true},{"op":"add","path":"/gr_3/add","value":true}]`},
		{"wrong-record",
			`[{"op":"replace","path":"/s_list/elements/e_list/opened/cases/c_1/move/target","value":"s_yform"},{"op":"replace","path":"/s_list/elements/e_list/opened/cases/c_1/move/bind","value":{"i_y":{"rule":"row"}}}]`,
			`[{"op":"replace","path":"/s_list/elements/e_list/opened/cases/c_1/move/target","value":"s_yform"},{"op":"replace","path":"/s_list/elements/e_list/opened/cases/c_1/move/bind","value":{"i_y":{"rule":"parent","path":"f_y","from":"row","none":"grey"}}}]`},
		{"may-be-none",
			`[{"op":"remove","path":"/s_form/elements/e_y/gate/cases/c_1/move/bind/i_y/none"}]`,
			`[{"op":"remove","path":"/s_form/elements/e_y/gate/cases/c_1/move/bind/i_y/none"},{"op":"remove","path":"/t_x/fields/f_y/nullable"}]`},
		{"no-way-back",
			`[{"op":"add","path":"/s_yform/bare","value":true}]`,
			`[{"op":"add","path":"/s_form/bare","value":true}]`}, // one press on, the strip is there
		{"dead-press",
			`[{"op":"add","path":"/s_yform/guard","value":"user.is(\"r_a\")"}]`,
			`[{"op":"add","path":"/s_yform/guard","value":"user.is(\"r_a\")"},{"op":"add","path":"/s_form/elements/e_y/gate/roles","value":{"r_a":true}}]`},
		{"dead-press",
			`[{"op":"add","path":"/s_yform/roles","value":{"r_a":true}}]`,
			`[{"op":"add","path":"/s_yform/roles","value":{"r_a":true,"r_b":true}}]`},
		{"unreadable-right",
			`[{"op":"add","path":"/gr_1/rows","value":"record.f_gone == 1"}]`,
			`[{"op":"add","path":"/gr_1/rows","value":"record.f_name == \"x\""}]`},
		{"unreadable-right",
			`[{"op":"add","path":"/gr_1/changes","value":"record.f_name.contains(\"x\")"}]`,
			`[{"op":"add","path":"/gr_1/changes","value":"user.is(\"A\") || record.f_y == null"}]`},
		{"unreadable-right",
			`[{"op":"add","path":"/c_x","value":{"kind":"condition","pos":1,"name":"odd","alias":"odd","table":"t_x","text":"record.nothing"}}]`,
			`[{"op":"add","path":"/c_x","value":{"kind":"condition","pos":1,"name":"odd","alias":"odd","table":"t_x","text":"record.f_id == 3"}}]`},
		{"never-shown",
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"record.f_id > 3 && record.f_id < 4"}]`,
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"record.f_id > 3 && record.f_id < 5"}]`},
		{"never-shown",
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"user.is(\"A\")"},{"op":"add","path":"/s_form/elements/e_y/gate/roles","value":{"r_b":true}}]`,
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"user.is(\"A\")"}]`},
		{"never-shown",
			`[{"op":"add","path":"/gr_1/rows","value":"record.f_name == \"x\" && record.f_name == \"y\""}]`,
			`[{"op":"add","path":"/gr_1/rows","value":"record.f_name == \"x\" || record.f_name == \"y\""}]`},
		{"always-shown",
			`[{"op":"add","path":"/s_form/guard","value":"record.f_name != \"x\" || record.f_name == \"x\""}]`,
			`[{"op":"add","path":"/s_form/guard","value":"record.f_name != \"x\" || record.f_id == 3"}]`},
		{"empty-equals-empty",
			`[{"op":"add","path":"/project/userTable","value":"t_y"},{"op":"add","path":"/gr_1/rows","value":"record.f_y == user.record"}]`,
			`[{"op":"add","path":"/project/userTable","value":"t_y"},{"op":"add","path":"/gr_1/rows","value":"record.f_y == user.record && record.f_y != null"}]`},
		{"wrong-record",
			`[{"op":"add","path":"/g_o","value":{"kind":"gate","pos":1,"name":"Open it","inputs":{"i_g":{"pos":1,"alias":"it","label":"It","type":"record","table":"t_y","required":true}},"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}},{"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_o","give":{"i_g":{"rule":"row"}}}}]`,
			`[{"op":"add","path":"/g_o","value":{"kind":"gate","pos":1,"name":"Open it","inputs":{"i_g":{"pos":1,"alias":"it","label":"It","type":"record","table":"t_x","required":true}},"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}},{"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_o","give":{"i_g":{"rule":"row"}}}}]`},
		{"missing-input",
			`[{"op":"add","path":"/g_o","value":{"kind":"gate","pos":1,"name":"Open it","inputs":{"i_g":{"pos":1,"alias":"it","label":"It","type":"record","table":"t_x","required":true}},"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}},{"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_o"}}]`,
			`[{"op":"add","path":"/g_o","value":{"kind":"gate","pos":1,"name":"Open it","inputs":{"i_g":{"pos":1,"alias":"it","label":"It","type":"record","table":"t_x","required":true}},"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}},{"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_o","give":{"i_g":{"rule":"row"}}}}]`},
		{"broken-target",
			`[{"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_o","give":{"i_g":{"rule":"row"}}}}]`,
			`[{"op":"add","path":"/g_o","value":{"kind":"gate","pos":1,"name":"Open it","inputs":{"i_g":{"pos":1,"alias":"it","label":"It","type":"record","table":"t_x","required":true}},"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}},{"op":"replace","path":"/s_list/elements/e_list/opened","value":{"use":"g_o","give":{"i_g":{"rule":"row"}}}}]`},
		{"may-be-none",
			`[{"op":"replace","path":"/s_form/elements/e_y/gate/cases/c_1/move/bind/i_y","value":{"rule":"last"}},{"op":"replace","path":"/s_form/elements/e_y/gate/cases/c_1/move/target","value":"s_form"},{"op":"add","path":"/s_form/elements/e_y/gate/cases/c_1/move/bind/i_x","value":{"rule":"next"}}]`,
			`[{"op":"replace","path":"/s_form/elements/e_y/gate/cases/c_1/move/target","value":"s_form"},{"op":"replace","path":"/s_form/elements/e_y/gate/cases/c_1/move/bind","value":{"i_x":{"rule":"next","none":"grey"}}}]`},
		{"broken-target",
			`[{"op":"add","path":"/s_form/elements/e_y/gate/cases/c_1/move/spot","value":"e_gone"}]`,
			`[{"op":"add","path":"/s_form/elements/e_y/gate/cases/c_1/move/mode","value":"view"}]`},
		{"broken-target",
			`[{"op":"replace","path":"/s_board/elements/e_go/gate","value":{"cases":{"c_1":{"pos":1,"move":{"kind":"choice","by":"user.name","among":{"q_1":{"pos":1,"target":"s_gone"}}}}}}}]`,
			`[{"op":"replace","path":"/s_board/elements/e_go/gate","value":{"cases":{"c_1":{"pos":1,"move":{"kind":"choice","by":"user.name","among":{"q_1":{"pos":1,"target":"s_list"}}}}}}}]`},
		{"asks-hidden",
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"record.f_name == \"x\""},{"op":"add","path":"/gr_3/hidden","value":{"f_name":true}}]`,
			`[{"op":"add","path":"/s_form/elements/e_y/gate/while","value":"record.f_name == \"x\""},{"op":"add","path":"/gr_3/hidden","value":{"f_y":true}}]`},
	} {
		flagged := false
		for _, f := range run(t, tc.flagged) {
			flagged = flagged || f.Check == tc.check
		}
		if !flagged {
			t.Errorf("%s does not flag %s", tc.check, tc.flagged)
		}
		for _, f := range run(t, tc.near) {
			if f.Check == tc.check {
				t.Errorf("%s flags the near miss %s: %s", tc.check, tc.near, f.Words)
			}
		}
	}
}

func TestSoundProjectHasNoFindings(t *testing.T) {
	for _, f := range run(t, "") {
		t.Errorf("%s on %s %s: %s", f.Check, f.Screen, f.Element, f.Words)
	}
}

// Every mend with a patch makes its finding go away.
func TestMendsMend(t *testing.T) {
	tried := 0
	for _, changes := range []string{
		`[{"op":"remove","path":"/s_list/elements/e_list/opened/cases/c_1/move/bind"}]`,
		`[{"op":"remove","path":"/s_form/elements/e_y/gate/cases/c_1/move/bind/i_y/none"}]`,
		`[{"op":"add","path":"/s_yform/bare","value":true}]`,
		`[{"op":"add","path":"/s_yform/guard","value":"user.is(\"r_a\")"}]`,
	} {
		for _, f := range run(t, changes) {
			for _, m := range f.Mends {
				if m.Patch == nil {
					continue
				}
				tried++
				var bodies patch.Bodies
				if err := json.Unmarshal([]byte(base), &bodies); err != nil {
					t.Fatal(err)
				}
				var ops []patch.Op
				if err := json.Unmarshal([]byte(changes), &ops); err != nil {
					t.Fatal(err)
				}
				bodies = apply(t, apply(t, bodies, ops), m.Patch)
				for _, after := range Run(compiled(t, bodies)) {
					if after.Check == f.Check && after.Screen == f.Screen && after.Element == f.Element {
						t.Errorf("%s: after “%s” it still says: %s", f.Check, m.Words, after.Words)
					}
				}
			}
		}
	}
	if tried < 4 {
		t.Errorf("only %d mends were tried", tried)
	}
}
