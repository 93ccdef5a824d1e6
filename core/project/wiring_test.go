package project_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	_ "ambergate/core/kinds"

	"ambergate/core/project"
)

// screenWith is a screen whose one button has a gate.
func screenWith(gate string) []byte {
	return fmt.Appendf(nil, `{"kind":"screen","type":"menu","title":"x","slug":"x","elements":{"e_x":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":1},"words":"x","gate":%s}}}`, gate)
}

func TestGatesThatCannotBeReadAreRefused(t *testing.T) {
	move := func(m string) string { return `{"cases":{"c_1":{"pos":1,"move":` + m + `}}}` }
	for gate, want := range map[string]string{
		`{"use":"g_x","while":"true"}`:                                          "no parts of its own",
		`{"give":{"i_x":{"rule":"this"}}}`:                                      "uses no shared gate",
		`{"use":"g_x","give":{"i_x":null}}`:                                     "null stands at",
		`{"use":"g_x","give":{"i_x":{"rule":"nobody's"}}}`:                      "nobody's",
		`{"cases":{"c_1":null}}`:                                                "null stands at",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":null}}}}`:                         "null stands at",
		`{"unsaved":"later"}`:                                                   "later",
		move(`{"kind":"fly"}`):                                                  "fly",
		move(`{"kind":"screen","as":"balloon"}`):                                "balloon",
		move(`{"kind":"step","step":"sideways"}`):                               "sideways",
		move(`{"kind":"step","step":"next","none":"perhaps"}`):                  "perhaps",
		move(`{"kind":"along","step":"first"}`):                                 "first",
		move(`{"kind":"choice","by":"user.name"}`):                              "the screens it chooses from",
		move(`{"kind":"choice","by":"user.name","among":{"q_1":null}}`):         "null stands at",
		move(`{"kind":"project","project":"x"}`):                                "needs that and one of the screens",
		move(`{"kind":"address","address":"ftp://x.example/"}`):                 "begins with https:",
		move(`{"kind":"address","address":"https://{host}/x"}`):                 "says its host in full",
		move(`{"kind":"screen","bind":{"i_x":{"rule":"child","table":"t_x"}}}`): "needs its table and the field",
		move(`{"kind":"screen","bind":{"i_x":{"rule":"child","table":"t_x","path":"f_x","pick":"nearest"}}}`): "the date it is near by",
		move(`{"kind":"screen","bind":{"i_x":{"rule":"this","none":"panic"}}}`):                               "panic",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"filter","pos":1,"compare":"is"}}}}}`:                   "the field to narrow by",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"filter","pos":1,"path":"f_x","compare":"like"}}}}}`:    "like",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"sort","pos":1}}}}}`:                                    "the field to order by",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"find","pos":1}}}}}`:                                    "the words to look for",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"tab","pos":1,"block":"e_x"}}}}}`:                       "one of its tabs",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"export","pos":1}}}}}`:                                  "the list to save",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"print","pos":1,"copies":3}}}}}`:                        "copies",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"setVar","pos":1,"value":"1"}}}}}`:                      "the variable to set",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"drawer","pos":1,"how":"open"}}}}}`:                     "needs the drawer",
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"drawer","pos":1,"rail":"ra_x","how":"slam"}}}}}`:       "slam",
		move(`{"kind":"screen","target":"s_y","back":{}}`):                                                    "only a dialog or a drawer comes back",
		move(`{"kind":"screen","target":"s_y","as":"dialog","back":{"unsaved":"later"}}`):                     "when it comes back",
		move(`{"kind":"back","result":{"rule":"row"}}`):                                                       "knows nothing called",
		move(`{"kind":"close","result":{"rule":"picked"}}`):                                                   "picked",
		move(`{"kind":"screen","target":"s_y","spotRow":{"rule":"this"}}`):                                    "needs the list that it is in",
		move(`{"kind":"screen","target":"s_y","spot":"e_l","spotRow":{"rule":"nobody's"}}`):                   "nobody's",
	} {
		err := project.CheckEntity("s_x", screenWith(gate))
		if err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%s: %v, want %q", gate, err, want)
		}
	}
}

func TestGatesThatAreSoundAreRead(t *testing.T) {
	for _, gate := range []string{
		`{}`, `{"use":"g_x"}`, `{"use":"g_x","give":{"i_x":{"rule":"row"}}}`,
		`{"cases":{"c_1":{"pos":1,"move":{"kind":"address","address":"mailto:a@b.example{?subject}","with":{"subject":"user.name"}}}}}`,
		`{"cases":{"c_1":{"pos":1,"move":{"kind":"address","address":"https://x.example"}}}}`,
		`{"cases":{"c_1":{"pos":1,"move":{"kind":"out"}}}}`,
		`{"cases":{"c_1":{"pos":1,"move":{"kind":"close","result":{"rule":"row"}}}}}`,
		`{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_y","as":"drawer","back":{"use":"g_x","give":{"i_x":{"rule":"result"}}}}}}}`,
		`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"clear","pos":1,"all":true},"d_2":{"kind":"refresh","pos":2}}}}}`,
	} {
		if err := project.CheckEntity("s_x", screenWith(gate)); err != nil {
			t.Errorf("%s: %v", gate, err)
		}
	}
}

func TestWaysOfAScreen(t *testing.T) {
	for way, want := range map[string]string{
		`{"trigger":"swipe"}`:                 "direction",
		`{"trigger":"swipe","side":"north"}`:  "north",
		`{"trigger":"time","after":0.2}`:      "1 second to a day",
		`{"trigger":"time","after":1e9}`:      "1 second to a day",
		`{"trigger":"keys"}`:                  "its keys",
		`{"trigger":"keys","keys":"Hyper+X"}`: "Hyper",
		`{"trigger":"keys","keys":"x"}`:       "Ctrl or Alt and a key",
		`{"trigger":"keys","keys":"Shift+X"}`: "Ctrl or Alt and a key",
		`{"trigger":"shout"}`:                 "shout",
		`{"trigger":"left","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}`: "cannot lead anywhere",
		`null`:                                     "null stands at",
		`{"trigger":"swipe","side":"left"}`:        "",
		`{"trigger":"keys","keys":"F8"}`:           "",
		`{"trigger":"keys","keys":"Ctrl+Shift+E"}`: "",
		`{"trigger":"entered","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}`:            "",
		`{"trigger":"left","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"save","pos":1}}}}}}`: "",
	} {
		err := project.CheckEntity("s_x", fmt.Appendf(nil, `{"kind":"screen","type":"menu","title":"x","slug":"x","ways":{"w_1":%s}}`, way))
		if want == "" && err != nil || want != "" && (err == nil || !strings.Contains(err.Error(), want)) {
			t.Errorf("%s: %v, want %q", way, err, want)
		}
	}
}

func TestSharedGatesRailsAndPictures(t *testing.T) {
	for body, want := range map[string]string{
		`{"kind":"gate","pos":1,"gate":{}}`:                                                        "needs a name",
		`{"kind":"gate","pos":1,"name":"x"}`:                                                       "needs a name and a gate",
		`{"kind":"gate","pos":1,"name":"x","gate":{"use":"g_y"}}`:                                  "cannot use another",
		`{"kind":"gate","pos":1,"name":"x","gate":{},"inputs":{"i_x":null}}`:                       "null stands at",
		`{"kind":"gate","pos":1,"name":"x","gate":{}}`:                                             "",
		`{"kind":"project","title":"x","slug":"x","zone":"UTC","appearance":{"poem":"dark"}}`:      "poem",
		`{"kind":"project","title":" ","slug":"x"}`:                                                "needs a title",
		`{"kind":"project","title":"x","slug":"../x"}`:                                             "cannot stand in an address",
		`{"kind":"project","title":"x","slug":""}`:                                                 "cannot stand in an address",
		`{"kind":"project","title":"x","slug":"x","zone":"UTC","appearance":{"operator":"dusk"}}`:  "dusk",
		`{"kind":"project","title":"x","slug":"x","zone":"UTC","appearance":{"operator":"light"}}`: "",
		`{"kind":"rail","pos":1,"edge":"left","placed":{}}`:                                        "needs a name",
		`{"kind":"rail","pos":1,"name":"x","edge":"middle","placed":{}}`:                           "middle",
		`{"kind":"rail","pos":1,"name":"x","edge":"left","placed":{"kinds":{"poem":true}}}`:        "poem",
		`{"kind":"rail","pos":1,"name":"x","edge":"left","placed":{},"elements":{"e_x":{"kind":"list","pos":1,"cell":{"row":1,"col":1,"w":1},"table":"t_x","columns":{}}}}`: "list",
		`{"kind":"rail","pos":1,"name":"x","edge":"left","placed":{},"elements":{"e_x":null}}`:                                                                              "null stands at",
		`{"kind":"rail","pos":1,"name":"x","edge":"top","placed":{"tables":{"t_x":"record.f_x == 1"}}}`:                                                                     "",
		`{"kind":"picture","name":"x","digest":"12"}`:                                                                                                                       "the digest of its bytes",
		`{"kind":"picture","name":"x","digest":"` + strings.Repeat("0a", 32) + `"}`:                                                                                         "",
	} {
		var head struct{ Kind string }
		if err := json.Unmarshal([]byte(body), &head); err != nil {
			t.Fatal(err)
		}
		id := "x_1"
		if head.Kind == "project" {
			id = project.SettingsID
		}
		err := project.CheckEntity(id, []byte(body))
		if want == "" && err != nil || want != "" && (err == nil || !strings.Contains(err.Error(), want)) {
			t.Errorf("%s: %v, want %q", body, err, want)
		}
	}
}

func TestWhereAGateStands(t *testing.T) {
	for trigger, want := range map[string]string{"release": "gate", "press": "gate", "row": "opened", "point": "chosen", "changed": "changed", "menu.m_1": "menu/m_1/gate", "several.v_2": "several/v_2/gate", "swipe": "gate"} {
		if got := project.GatePlace(trigger); got != want {
			t.Errorf("%s stands at %s, want %s", trigger, got, want)
		}
	}
}

func TestARailStandsOnlyWhereAllOfItsRuleHolds(t *testing.T) {
	form := &project.Screen{Entity: project.Entity{ID: "s_f"}, Type: "form", Record: "i_r", Inputs: map[string]*project.Input{"i_r": {Item: project.Item{ID: "i_r"}, Type: "record", Table: "t_x"}}}
	menu := &project.Screen{Entity: project.Entity{ID: "s_m"}, Type: "menu"}
	for name, tc := range map[string]struct {
		placed     project.Placement
		form, menu bool
	}{
		"nothing said":   {project.Placement{}, true, true},
		"kinds":          {project.Placement{Kinds: map[string]bool{"form": true}}, true, false},
		"tables":         {project.Placement{Tables: map[string]string{"t_x": ""}}, true, false},
		"another table":  {project.Placement{Tables: map[string]string{"t_y": ""}}, false, false},
		"only":           {project.Placement{Only: map[string]bool{"s_m": true}}, false, true},
		"except":         {project.Placement{Except: map[string]bool{"s_m": true}}, true, false},
		"kind and table": {project.Placement{Kinds: map[string]bool{"menu": true}, Tables: map[string]string{"t_x": ""}}, false, false},
	} {
		r := &project.Rail{Placed: tc.placed}
		if r.On(form) != tc.form || r.On(menu) != tc.menu {
			t.Errorf("%s: on the form %v, on the menu %v", name, r.On(form), r.On(menu))
		}
	}
}

// Decoding side by side comes to the same, and tells what is wrong.
func TestManyEntitiesAreDecodedSideBySide(t *testing.T) {
	entities := map[string]json.RawMessage{project.SettingsID: json.RawMessage(`{"kind":"project","title":"x","slug":"x","zone":"UTC"}`)}
	for i := range 3 * 300 {
		entities[fmt.Sprintf("s_%d", i)] = fmt.Appendf(nil, `{"kind":"screen","type":"menu","title":"Screen %d","slug":"s%d"}`, i, i)
	}
	p, err := project.Decode(entities)
	if err != nil || len(p.Screens) != 3*300 || p.Screens["s_7"].Title != "Screen 7" || p.Settings == nil {
		t.Fatalf("%v", err)
	}
	entities["s_9"] = json.RawMessage(`{"kind":"screen","type":"poem","title":"x","slug":"x"}`)
	if _, err := project.Decode(entities); err == nil || !strings.Contains(err.Error(), "poem") {
		t.Errorf("%v", err)
	}
	again, err := project.Redecode(p, map[string]json.RawMessage{"s_7": json.RawMessage(`{"kind":"screen","type":"menu","title":"Other","slug":"o"}`), "s_8": nil})
	if err != nil || again.Screens["s_7"].Title != "Other" || again.Screens["s_8"] != nil || p.Screens["s_7"].Title != "Screen 7" || p.Screens["s_8"] == nil {
		t.Errorf("%v", err)
	}
	if _, err := project.Redecode(p, map[string]json.RawMessage{"s_7": json.RawMessage(`{"kind":"screen","type":"poem","title":"x","slug":"x"}`)}); err == nil {
		t.Error("what cannot be read is taken")
	}
}

func TestVariablesThatCannotBeReadAreRefused(t *testing.T) {
	for body, want := range map[string]string{
		`"alias":"x","label":"X","type":"text"`:                                "",
		`"alias":"x","label":"X","type":"date","start":"2026-11-24"`:           "",
		`"alias":"x","label":"X","type":"record","table":"t_x","screen":"s_x"`: "",
		`"alias":"x","label":"","type":"text"`:                                 "needs a label",
		`"alias":"My X","label":"X","type":"text"`:                             "small letters",
		`"alias":"x","label":"X","type":"picture"`:                             "picture",
		`"alias":"x","label":"X","type":"record"`:                              "names its table",
		`"alias":"x","label":"X","type":"text","table":"t_x"`:                  "any other does not",
		`"alias":"x","label":"X","type":"whole","start":"many"`:                "what it begins with",
		`"alias":"x","label":"X","type":"text","colour":"red"`:                 "colour",
	} {
		err := project.CheckEntity("v_x", []byte(`{"kind":"variable","pos":1,`+body+`}`))
		if want == "" && err != nil || want != "" && (err == nil || !strings.Contains(err.Error(), want)) {
			t.Errorf("%s: %v, want %q", body, err, want)
		}
	}
}

func TestTheGateOfATriggerHasItsPlace(t *testing.T) {
	for trigger, want := range map[string]string{
		"release": "gate", "row": "opened", "menu.m_1": "menu/m_1/gate", "several.n_1": "several/n_1/gate",
		"release/c_1": "gate/cases/c_1/move/back", "row/c_1/c_2": "opened/cases/c_1/move/back/cases/c_2/move/back",
	} {
		if got := project.GatePlace(trigger); got != want {
			t.Errorf("%s stands at %s, want %s", trigger, got, want)
		}
	}
	var outer *project.Gate
	if err := json.Unmarshal([]byte(`{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_x","as":"dialog","back":{}}}}}`), &outer); err != nil {
		t.Fatal(err)
	}
	all := project.AllGates(map[string]*project.Gate{"row": outer, "menu.m_1": nil})
	if len(all) != 2 || all["row"] != outer || all["row/c_1"] != outer.Cases["c_1"].Move.Back {
		t.Errorf("%v", all)
	}
}
