package plan_test

import (
	"encoding/json"
	"fmt"
	"reflect"
	"testing"

	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/stand"
	"ambergate/core/words"
)

// What is compiled anew after an edit says the same as all compiled anew.
func TestRecompilingSaysTheSame(t *testing.T) {
	for name, changes := range map[string]string{
		"a button":         `[{"op":"replace","path":"/s_cabin/elements/e_add/words","value":"Other words"}]`,
		"a gate":           `[{"op":"replace","path":"/s_board/elements/e_mine/gate","value":{"while":"user.name == \"Mira\"","cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_chart"}}}}}]`,
		"a title":          `[{"op":"replace","path":"/s_cabin/title","value":"The cabin"}]`,
		"a type":           `[{"op":"replace","path":"/s_cabin/type","value":"operator"}]`,
		"an input":         `[{"op":"add","path":"/s_list/inputs/i_new","value":{"pos":9,"alias":"new","label":"New","type":"text"}}]`,
		"a field":          `[{"op":"replace","path":"/t_defects/fields/f_state/alias","value":"stage"}]`,
		"a screen gone":    `[{"op":"remove","path":"/s_cabin"}]`,
		"a screen more":    `[{"op":"add","path":"/s_more","value":{"kind":"screen","type":"menu","title":"More","slug":"more"}}]`,
		"broken":           `[{"op":"replace","path":"/s_defect/elements/e_close/gate/while","value":"record.f_gone == 1"}]`,
		"another language": `[{"op":"add","path":"/project/language","value":"de"}]`,
		"an element gone":  `[{"op":"remove","path":"/s_defect/elements/e_cabin"}]`,
	} {
		before := stand.New(t, "").App
		after := stand.New(t, changes).App
		var ops []patch.Op
		if err := json.Unmarshal([]byte(changes), &ops); err != nil {
			t.Fatal(err)
		}
		var bodies patch.Bodies
		if err := json.Unmarshal([]byte(stand.Ropeway), &bodies); err != nil {
			t.Fatal(err)
		}
		touched, _, err := patch.Apply(bodies, ops)
		if err != nil {
			t.Fatal(err)
		}
		p, err := project.Redecode(before.Project, touched.Texts())
		if err != nil {
			t.Fatal(err)
		}
		got, err := plan.Recompile(before, p, touched.IDs())
		if err != nil {
			t.Fatal(err)
		}
		if diff := same(got, after); diff != "" {
			t.Errorf("%s: %s", name, diff)
		}
		// Nothing that every compiled project has is forgotten.
		for i := range reflect.TypeFor[plan.App]().NumField() {
			if reflect.ValueOf(*got).Field(i).IsZero() != reflect.ValueOf(*after).Field(i).IsZero() {
				t.Errorf("%s: %s", name, reflect.TypeFor[plan.App]().Field(i).Name)
			}
		}
		if got.Language != after.Language {
			t.Errorf("%s: numbers are written in %s", name, got.Language.Tag)
		}
		if diff := same(before, stand.New(t, "").App); diff != "" {
			t.Errorf("%s: the old one was changed: %s", name, diff)
		}
	}
}

// same says in words how two compiled projects differ in what their ways say; "" when they do not.
func same(a, b *plan.App) string {
	if len(a.Screens) != len(b.Screens) || len(a.Problems) != len(b.Problems) {
		return fmt.Sprintf("%d and %d screens, %d and %d problems", len(a.Screens), len(b.Screens), len(a.Problems), len(b.Problems))
	}
	for id, plan := range a.Screens {
		other := b.Screens[id]
		if other == nil {
			return id + " is missing"
		}
		x, y := plan.Ways(), other.Ways()
		if len(x) != len(y) {
			return id + " has other ways"
		}
		for i := range x {
			if s, t := stand.SentenceText(words.Sentence(a, x[i].Screen, x[i].Element, x[i].Trigger)), stand.SentenceText(words.Sentence(b, y[i].Screen, y[i].Element, y[i].Trigger)); s != t {
				return id + ": " + s + " / " + t
			}
		}
	}
	return ""
}
