package checks

import (
	"encoding/json"
	"maps"
	"slices"
	"testing"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// draft is a project that is edited, with what was found in it so far.
type draft struct {
	bodies patch.Bodies
	app    *plan.App
	graph  *reach.Graph
	found  *check.Found
}

func drafted(t *testing.T, bodies patch.Bodies) *draft {
	d := &draft{bodies: bodies, app: compiled(t, bodies)}
	d.graph = reach.Of(d.app, nil)
	d.look(t, nil)
	return d
}

func (d *draft) look(t *testing.T, old *check.Found) {
	t.Helper()
	var err error
	if d.found, err = All.RunAfter(t.Context(), d.graph, nil, old); err != nil {
		t.Fatal(err)
	}
}

// edit changes one screen, and finds again what that changes.
func (d *draft) edit(t *testing.T, id string, change func(body map[string]any)) {
	t.Helper()
	body := d.bodies[id].(map[string]any)
	change(body)
	text, err := json.Marshal(body)
	if err != nil {
		t.Fatal(err)
	}
	p, err := project.Redecode(d.app.Project, map[string]json.RawMessage{id: text})
	if err != nil {
		t.Fatal(err)
	}
	if d.app, err = plan.Recompile(d.app, p, []string{id}); err != nil {
		t.Fatal(err)
	}
	d.graph = reach.Of(d.app, d.graph)
	d.look(t, d.found)
	if got, want := said(t, d.found.Findings), said(t, All.Run(compiled(t, d.bodies))); got != want {
		t.Fatalf("after an edit of %s\n%s\nfrom nothing\n%s", id, got, want)
	}
}

// elements gives those of a screen, to be changed.
func elements(body map[string]any) map[string]any {
	if body["elements"] == nil {
		body["elements"] = map[string]any{}
	}
	return body["elements"].(map[string]any)
}

// Whatever a check finds, after each edit of a screen near it or far from it the same is found as from nothing.
func TestAfterAnEditEachCheckFindsAsFromNothing(t *testing.T) {
	each(t, func(t *testing.T, _ string, c trial) {
		d := drafted(t, sound(t, c.Changes))
		for _, id := range slices.Sorted(maps.Keys(d.app.Project.Screens)) {
			d.edit(t, id, func(body map[string]any) {
				elements(body)["f_more"] = map[string]any{"kind": "button", "pos": 99, "cell": map[string]any{"row": 40, "col": 1, "w": 2}, "words": "More", "gate": map[string]any{"while": `user.name == "N" && user.name == "O"`, "cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "screen", "target": "s_list"}}}}}
			})
			d.edit(t, id, func(body map[string]any) { body["title"], body["guard"] = "Another", `user.name == "N"` })
			d.edit(t, id, func(body map[string]any) {
				body["roles"] = map[string]any{"r_b": true}
				delete(elements(body), slices.Min(slices.Collect(maps.Keys(elements(body)))))
			})
			d.edit(t, id, func(body map[string]any) {
				delete(body, "guard")
				for _, e := range elements(body) {
					e.(map[string]any)["pos"] = 7
				}
			})
		}
	})
}

// What is found of a shared gate is told once, and goes on being told when the screen where it was told uses it no more.
func TestASharedGateIsToldOfOnce(t *testing.T) {
	use := `{"kind":"button","pos":9,"cell":{"row":30,"col":1,"w":2},"words":"Shared","gate":{"use":"g_o"}}`
	var ops []patch.Op
	if err := json.Unmarshal([]byte(`[
		{"op":"add","path":"/g_o","value":{"kind":"gate","pos":1,"name":"Never","gate":{"while":"user.name == \"N\" && user.name == \"O\"","cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}},
		{"op":"add","path":"/s_board/elements/e_shared","value":`+use+`},
		{"op":"add","path":"/s_list/elements/e_shared","value":`+use+`}]`), &ops); err != nil {
		t.Fatal(err)
	}
	d := drafted(t, sound(t, ops))
	told := func() (on []string) {
		for _, f := range d.found.Findings {
			if f.Check == "never-shown" {
				on = append(on, f.Screen)
			}
		}
		return on
	}
	if on := told(); !slices.Equal(on, []string{"s_board"}) {
		t.Fatalf("told on %v", on)
	}
	d.edit(t, "s_board", func(body map[string]any) { delete(elements(body), "e_shared") })
	if on := told(); !slices.Equal(on, []string{"s_list"}) {
		t.Errorf("then on %v", on)
	}
}
