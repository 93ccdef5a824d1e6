package reach_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"math/rand/v2"
	"reflect"
	"slices"
	"testing"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/checks"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/stand"
)

// edit changes one screen: what an element does, or what it is called.
func (r maker) edit(entities map[string]json.RawMessage) (string, json.RawMessage) {
	var screens []stand.MadeScreen
	for _, id := range slices.Sorted(maps.Keys(entities)) {
		var s struct {
			Kind   string
			Inputs map[string]struct{ Table string }
		}
		if json.Unmarshal(entities[id], &s); s.Kind == "screen" {
			screens = append(screens, stand.MadeScreen{ID: id, Table: s.Inputs["i_"+id].Table})
		}
	}
	of := screens[r.IntN(len(screens))]
	var body m
	if err := json.Unmarshal(entities[of.ID], &body); err != nil {
		panic(err)
	}
	elements := body["elements"].(map[string]any)
	for _, key := range slices.Sorted(maps.Keys(elements)) { // so that each run makes the same edits
		e := elements[key].(map[string]any)
		switch {
		case r.Chance(40):
			e["words"] = "other"
			if e["kind"] == "list" {
				delete(e, "words")
			}
		case e["kind"] == "list":
			e["opened"] = r.Gate(of, e["table"].(string), screens)
		default:
			e["gate"] = r.Gate(of, "", screens)
		}
	}
	if r.Chance(20) {
		body["guard"] = r.Condition(of.Table, "", 1)
	}
	if r.Chance(15) {
		body["title"] = fmt.Sprint("Title ", r.IntN(4))
	}
	if r.Chance(20) {
		body["bare"] = r.Chance(50)
	}
	if r.Chance(20) {
		body["roles"] = r.Roles()
	}
	text, err := json.Marshal(body)
	if err != nil {
		panic(err)
	}
	return of.ID, text
}

// plainly takes out of entities what getting back may hang on: screens without a strip, dialogs, ways on entering, and
// what keeps people from their start.
func plainly(entities map[string]json.RawMessage) {
	for id, text := range entities {
		var body m
		if err := json.Unmarshal(text, &body); err != nil {
			panic(err)
		}
		if body["kind"] != "screen" {
			continue
		}
		var look func(v any)
		look = func(v any) {
			if v, is := v.(map[string]any); is {
				delete(v, "as")
				delete(v, "back")
				for _, one := range v {
					look(one)
				}
			}
		}
		delete(body, "bare")
		delete(body, "ways")
		if id == "s_0" {
			delete(body, "guard")
			delete(body, "roles")
		}
		look(body["elements"])
		out, err := json.Marshal(body)
		if err != nil {
			panic(err)
		}
		entities[id] = out
	}
}

func TestAnEditOfAPlainProjectIsProvenAgainAsFromNothing(t *testing.T) {
	provenAgain(t, 120, plainly)
}

// After each of many edits what is taken over from before is what is found from nothing.
func TestAnEditIsProvenAgainAsFromNothing(t *testing.T) {
	provenAgain(t, 40, func(map[string]json.RawMessage) {})
}

func provenAgain(t *testing.T, projects int, shape func(map[string]json.RawMessage)) {
	t.Helper()
	asBefore := 0
	sets := []map[string]bool{{"r_a": true}, {"r_b": true}, {"r_a": true, "r_b": true}}
	for seed := range projects {
		r := maker{stand.Maker{Rand: rand.New(rand.NewPCG(uint64(seed), 11))}}
		entities := r.Project()
		shape(entities)
		app := compiled(t, entities)
		g := reach.Of(app, nil)
		kept, err := checks.All.RunAfter(t.Context(), g, sets, nil)
		if err != nil {
			t.Fatal(err)
		}
		for n := range 6 {
			id, body := r.edit(entities)
			entities[id] = body
			shape(entities)
			body = entities[id]
			p, err := project.Redecode(app.Project, map[string]json.RawMessage{id: body})
			if err != nil {
				t.Fatal(err)
			}
			if app, err = plan.Recompile(app, p, []string{id}); err != nil {
				t.Fatal(err)
			}
			before := g
			g = reach.Of(app, g)
			if kept, err = checks.All.RunAfter(t.Context(), g, sets, kept); err != nil {
				t.Fatal(err)
			}
			fresh := reach.Of(compiled(t, entities), nil)
			for _, set := range sets {
				a, b := g.For(set), fresh.For(set)
				if a.As(before.For(set)) {
					asBefore++
				}
				if !reflect.DeepEqual(a.Cells, b.Cells) || !reflect.DeepEqual(a.Traps, b.Traps) {
					t.Fatalf("project %d, edit %d of %s, %v:\n%+v\n%+v", seed, n, id, set, a.Cells, b.Cells)
				}
				for _, screen := range g.Screens {
					if x, y := told(g, a, screen), told(fresh, b, screen); x != y {
						t.Fatalf("project %d, edit %d, the path to %s: %s, from nothing %s", seed, n, screen, x, y)
					}
				}
			}
			whole, err := checks.All.RunAfter(t.Context(), fresh, sets, nil)
			if err != nil {
				t.Fatal(err)
			}
			if x, y := said(kept.Findings), said(whole.Findings); x != y {
				t.Fatalf("project %d, edit %d of %s:\n%s\nfrom nothing\n%s", seed, n, id, x, y)
			}
		}
	}
	t.Logf("after %d of %d edits everybody gets where they did", asBefore, projects*6*len(sets))
}

func told(g *reach.Graph, r *reach.Result, screen string) string {
	out := ""
	for _, s := range r.Path(screen) {
		by, while := check.StepWords(g, s)
		out += fmt.Sprint(by, while, s.To(), "; ")
	}
	_, presses, proven := r.WayBack(screen)
	return fmt.Sprint(out, presses, proven)
}

func said(found []check.Finding) string {
	text, err := json.MarshalIndent(found, "", " ")
	if err != nil {
		panic(err)
	}
	return string(text)
}
