package project_test

import (
	"encoding/json"
	"strings"
	"testing"

	"ambergate/core/project"
)

func TestStructureErrorsNameTheirPlace(t *testing.T) {
	for body, words := range map[string]string{
		`{"kind":"nothing"}`:                                                                                                                      `no kind “nothing”`,
		`{"kind":"screen","type":"list"}`:                                                                                                         "title and a slug",
		`{"kind":"screen","type":"poster","title":"A","slug":"a"}`:                                                                                "kind of screen",
		`{"kind":"screen","type":"menu","title":"A","slug":"a","colour":"red"}`:                                                                   "colour",
		`{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":{"kind":"slider"}}}`:                                             "kind of element",
		`{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":{"kind":"button","words":"x","size":3}}}`:                        "size",
		`{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":{"kind":"button","words":"x","cell":{"row":-1,"col":1,"w":1}}}}`: "off the grid",
		`{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":{"kind":"button","words":"x","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"jump"}}}}}}}`:              "no move",
		`{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":{"kind":"button","words":"x","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1}}}}}}}}`: "sets no field",
		`{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":{"kind":"trend","minutes":500,"words":"x","lines":{}}}}`:                                                "1 to 60 minutes",
		`[]`: "array",
	} {
		err := project.CheckEntity("s_a", json.RawMessage(body))
		if err == nil || !strings.Contains(err.Error(), words) || !strings.Contains(err.Error(), "s_a") {
			t.Errorf("%s: %v, want %q", body, err, words)
		}
	}
}

func TestElementsReadBackAsWritten(t *testing.T) {
	text := `{"kind":"button","pos":3,"cell":{"row":1,"col":2,"w":3},"modes":{"view":true},"words":"Go","gate":{"roles":{"r_a":true},"while":"true","otherwise":{"grey":"no"},"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"save","pos":1}},"move":{"kind":"back"}}}}}`
	var e project.Element
	if err := json.Unmarshal([]byte(text), &e); err != nil {
		t.Fatal(err)
	}
	out, err := json.Marshal(&e)
	if err != nil {
		t.Fatal(err)
	}
	var again project.Element
	if err := json.Unmarshal(out, &again); err != nil {
		t.Fatal(err)
	}
	second, err := json.Marshal(&again)
	if err != nil || string(second) != string(out) {
		t.Errorf("%s reads back as %s (%v)", out, second, err)
	}
	if g := again.Spec.Gates()["release"]; !strings.Contains(string(out), `"words":"Go"`) || !g.Roles["r_a"] || g.Cases["c_1"].Move.Kind != "back" {
		t.Errorf("lost something: %s", second)
	}
}

func TestGrantsAddUp(t *testing.T) {
	p := &project.Project{Grants: map[string]*project.Grant{
		"g1": {Role: "a", Table: "t", View: true, Hidden: map[string]bool{"x": true, "y": true}},
		"g2": {Role: "b", Table: "t", View: true, Edit: true, Hidden: map[string]bool{"y": true}, ReadOnly: map[string]bool{"z": true}},
		"g3": {Role: "a", Table: "u", View: true},
	}}
	one := p.GrantOf(map[string]bool{"a": true}, "t")
	if !one.View || one.Edit || !one.Hidden["x"] || !one.Hidden["y"] {
		t.Errorf("a alone: %+v", one)
	}
	both := p.GrantOf(map[string]bool{"a": true, "b": true}, "t")
	if !both.Edit || both.Hidden["x"] || !both.Hidden["y"] || !both.ReadOnly["z"] {
		t.Errorf("both: %+v", both)
	}
	if none := p.GrantOf(map[string]bool{"c": true}, "t"); none.View || none.Add || none.Edit || none.Delete {
		t.Errorf("without a grant: %+v", none)
	}
}

func TestOldSlugsStillLead(t *testing.T) {
	p := &project.Project{Screens: map[string]*project.Screen{"s_1": {Entity: project.Entity{ID: "s_1"}, Slug: "new", OldSlugs: map[string]bool{"old": true}}, "s_2": {Entity: project.Entity{ID: "s_2"}, Slug: "other"}}}
	if s := p.ScreenBySlug("old"); s == nil || s.ID != "s_1" {
		t.Error("the old slug leads nowhere")
	}
	if p.ScreenBySlug("none") != nil {
		t.Error("an unknown slug leads somewhere")
	}
}

func TestAPaletteHasItsNamesAndColours(t *testing.T) {
	settings := func(palette string) map[string]json.RawMessage {
		return map[string]json.RawMessage{"project": json.RawMessage(`{"kind":"project","title":"T","slug":"t","zone":"UTC","palette":` + palette + `}`)}
	}
	for palette, right := range map[string]bool{
		`{"ground":{"light":"#ffffff","dark":"#101010"},"bad":{"dark":"#ff8877"}}`: true, `{}`: true, `{"ground":{}}`: true,
		`{"other":{"light":"#ffffff"}}`: false, `{"ink":{"light":"red"}}`: false, `{"ink":{"light":"#FFF"}}`: false, `{"ink":{"light":"#ffffff;}"}}`: false, `{"ink":{"bright":"#ffffff"}}`: false,
	} {
		if _, err := project.Decode(settings(palette)); (err == nil) != right {
			t.Errorf("%s: %v", palette, err)
		}
	}
}

func TestTheStyleOfAnApplication(t *testing.T) {
	for style, right := range map[string]bool{
		`{}`: true,
		`{"colours":{"co_roof":{"pos":1,"name":"Roof","light":"#aa3311","dark":"#ff8877"}},"buttons":{"main":{"colour":"co_roof"},"plain":{"colour":"going","drawn":"outlined"},"stop":{"colour":"#aa0000"}},"corners":"round","text":"large","logo":"im_a"}`: true,
		`{"colours":{"roof":{"pos":1,"name":"Roof","light":"#aa3311","dark":"#ff8877"}}}`: false,
		`{"colours":{"co_roof":{"pos":1,"name":"","light":"#aa3311","dark":"#ff8877"}}}`:  false,
		`{"colours":{"co_roof":{"pos":1,"name":"Roof","light":"#aa3311"}}}`:               false,
		`{"buttons":{"sign":{"colour":"going"}}}`:                                         false,
		`{"buttons":{"main":{"colour":"red"}}}`:                                           false,
		`{"buttons":{"main":{"colour":"#aa0000; } *"}}}`:                                  false,
		`{"buttons":{"main":{"colour":""}}}`:                                              false,
		`{"buttons":{"main":{"colour":"going","drawn":"dotted"}}}`:                        false,
		`{"corners":"cut"}`: false, `{"text":"huge"}`: false,
	} {
		p, err := project.Decode(map[string]json.RawMessage{"project": json.RawMessage(`{"kind":"project","title":"T","slug":"t","zone":"UTC","style":` + style + `}`)})
		if (err == nil) != right {
			t.Errorf("%s: %v", style, err)
		}
		if right && p.Settings.Style.Colours != nil && (!p.Settings.HasColour("co_roof") || p.Settings.HasColour("co_none") || !p.Settings.HasColour("going")) {
			t.Error("which colours there are")
		}
	}
	if none := (&project.Settings{}); none.HasColour("co_roof") || !none.HasColour("") || !none.HasColour("#aabbcc") {
		t.Error("which colours there are without any of one’s own")
	}
}
