package whole_test

import (
	"encoding/json"
	"strings"
	"testing"

	"ambergate/core/check/reach"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/whole"
	"ambergate/demo"
)

// changed is the demo with a patch, and who gets where in it.
func changed(t *testing.T, was *reach.Graph, ops string) *reach.Graph {
	t.Helper()
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	var list []patch.Op
	if err := json.Unmarshal([]byte(ops), &list); err != nil {
		t.Fatal(err)
	}
	bodies := patch.Bodies{}
	for id, text := range entities {
		var body any
		if err := json.Unmarshal(text, &body); err != nil {
			t.Fatal(err)
		}
		bodies[id] = body
	}
	touched, _, err := patch.Apply(bodies, list)
	if err != nil {
		t.Fatal(err)
	}
	p, err := project.Redecode(was.App.Project, touched.Texts())
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Recompile(was.App, p, touched.IDs())
	if err != nil {
		t.Fatal(err)
	}
	return reach.Of(app, was)
}

// What is different in who gets where is told in sentences; who got where they got before is not told of.
func TestWhatIsDifferentInWhoGetsWhereIsTold(t *testing.T) {
	was := tarnhorn(t)
	button := func(screen, target string) string {
		return `{"op":"add","path":"/` + screen + `/elements/e_told","value":{"kind":"button","pos":90,"cell":{"row":30,"col":1,"w":2},"words":"There","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"` + target + `"}}}}}}`
	}
	for _, tc := range []struct {
		what, ops string
		want      []string
		not       string
	}{
		{"other words", `[{"op":"replace","path":"/s_cabins/heading","value":"All"}]`, nil, ""},
		{"a shorter way", "[" + button("s_wboard", "s_season") + "]", []string{"Builder reaches “Season” in 1 press; it was 2 presses."}, "Office"},
		{"a screen that is gone", `[{"op":"remove","path":"/s_parts"}]`, []string{"reached “Parts”, which is gone."}, ""},
		{"a screen that is new", `[{"op":"add","path":"/s_new","value":{"kind":"screen","type":"notice","title":"News","slug":"news"}},` + button("s_wboard", "s_new") + "]", []string{"reach “News” in 1 press, which is new."}, "Everybody now"},
		{"a screen that is shut", `[{"op":"add","path":"/s_cabins/roles","value":{"r_lead":true}}]`, []string{"no longer get to “Cabins”, by its address neither", "“Cabins”"}, "Shift lead no longer"},
		{"nobody any more", `[{"op":"add","path":"/s_cabins/guard","value":"false"}]`, []string{"Nobody reaches “Cabins” any more."}, ""},
		{"another start", `[{"op":"replace","path":"/r_office/start","value":"s_day"}]`, []string{"Office now starts on “Day board”"}, ""},
	} {
		now := changed(t, was, tc.ops)
		told := whole.Told(now, whole.Sets(now.App.Project, nil), was)
		all := strings.Join(told, "\n")
		if len(tc.want) == 0 && len(told) != 0 {
			t.Errorf("%s: nothing is different, and it says %q", tc.what, told)
		}
		for _, want := range tc.want {
			if !strings.Contains(all, want) {
				t.Errorf("%s: it does not say %q:\n%s", tc.what, want, all)
			}
		}
		if tc.not != "" && strings.Contains(all, tc.not) {
			t.Errorf("%s: it says %q:\n%s", tc.what, tc.not, all)
		}
	}
	if told := whole.Told(was, each(was), was); len(told) != 0 {
		t.Errorf("the same differs: %q", told)
	}
}

// Who has several roles is told of only where it is otherwise than with each of them.
func TestWhoHasSeveralRolesIsNotToldTwice(t *testing.T) {
	was := tarnhorn(t)
	now := changed(t, was, `[{"op":"remove","path":"/s_drive"}]`)
	who := whole.Sets(now.App.Project, []map[string]bool{{"r_tech": true, "r_oper": true}})
	for _, s := range whole.Told(now, who, was) {
		if strings.Contains(s, "Drive room") && strings.Contains(s, "both") {
			t.Errorf("it says of both what it says of one: %s", s)
		}
	}
}
