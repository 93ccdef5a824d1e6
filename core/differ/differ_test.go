package differ_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"math/rand/v2"
	"os"
	"regexp"
	"slices"
	"strings"
	"testing"

	"ambergate/core/differ"
	_ "ambergate/core/kinds"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/stand"
)

// whole reads a project of a file; "" for the ropeway of the core.
func whole(t testing.TB, name string) map[string]json.RawMessage {
	t.Helper()
	text := []byte(stand.Ropeway)
	if name != "" {
		var err error
		if text, err = os.ReadFile("../../demo/project/" + name + ".json"); err != nil {
			t.Fatal(err)
		}
	}
	var out map[string]json.RawMessage
	if err := json.Unmarshal(text, &out); err != nil {
		t.Fatal(err)
	}
	if nested, is := out["entities"]; is {
		out = nil
		if err := json.Unmarshal(nested, &out); err != nil {
			t.Fatal(err)
		}
	}
	return out
}

func compiled(entities map[string]json.RawMessage) (differ.Side, error) {
	p, err := project.Decode(entities)
	if err != nil {
		return differ.Side{}, err
	}
	app, err := plan.Compile(p)
	return differ.Side{App: app, Entities: entities}, err
}

func side(t testing.TB, entities map[string]json.RawMessage) differ.Side {
	t.Helper()
	s, err := compiled(entities)
	if err != nil {
		t.Fatal(err)
	}
	return s
}

// edited applies a patch; an error where it does not fit, or makes what no project is.
func edited(was differ.Side, ops []patch.Op) (differ.Side, error) {
	bodies := patch.Bodies{}
	for id, text := range was.Entities {
		var body any
		if err := json.Unmarshal(text, &body); err != nil {
			return differ.Side{}, err
		}
		bodies[id] = body
	}
	touched, _, err := patch.Apply(bodies, ops)
	if err != nil {
		return differ.Side{}, err
	}
	changed := touched.Texts()
	entities := maps.Clone(was.Entities)
	for id, text := range changed {
		if entities[id] = text; text == nil {
			delete(entities, id)
		}
	}
	p, err := project.Redecode(was.App.Project, changed)
	if err != nil {
		return differ.Side{}, err
	}
	app, err := plan.Recompile(was.App, p, slices.Sorted(maps.Keys(changed)))
	return differ.Side{App: app, Entities: entities}, err
}

func ops(t testing.TB, text string) []patch.Op {
	t.Helper()
	var out []patch.Op
	if err := json.Unmarshal([]byte(text), &out); err != nil {
		t.Fatal(err)
	}
	return out
}

// What was changed is said as somebody would who saw it happen.
func TestDifferencesAreSaid(t *testing.T) {
	was := side(t, whole(t, "tarnhorn"))
	for _, tc := range []struct{ what, patch, want string }{
		{"a screen’s title", `[{"op":"replace","path":"/s_defects/title","value":"Faults"}]`, "The title of the screen “Defects”: “Faults” (was “Defects”)."},
		{"a label", `[{"op":"replace","path":"/t_cabins/fields/f_number/label","value":"No."}]`, "The label of the field “Number” of the table “Cabins”: “No.” (was “Number”)."},
		{"roles of a screen", `[{"op":"add","path":"/s_defects/roles","value":{"r_lead":true}}]`, "The roles of the screen “Defects”: Shift lead (was none)."},
		{"a screen that is gone", `[{"op":"remove","path":"/s_drive"}]`, "The screen “Drive room” is gone."},
		{"a name of a condition", `[{"op":"add","path":"/cn_new","value":{"kind":"condition","pos":9,"name":"hung up","alias":"hung_up","table":"t_cabins","text":"record.f_number == \"7\""}}]`, "The condition “hung up” is new: number is “7”."},
		{"a cell", `[{"op":"replace","path":"/s_cabin/elements/e_hold/cell/w","value":9}]`, "wide"},
	} {
		now, err := edited(was, ops(t, tc.patch))
		if err != nil {
			t.Errorf("%s: %v", tc.what, err)
			continue
		}
		var said []string
		for _, c := range differ.Of(was, now) {
			said = append(said, c.Sentence())
		}
		if len(said) != 1 || !strings.Contains(said[0], tc.want) {
			t.Errorf("%s: said\n%s\nwant\n%s", tc.what, strings.Join(said, "\n"), tc.want)
		}
	}
	if same := differ.Of(was, side(t, whole(t, "tarnhorn"))); len(same) > 0 {
		t.Errorf("the same differs: %v", same)
	}
}

// randomEdit makes a patch at a few places of a project.
func randomEdit(r *rand.Rand, entities map[string]json.RawMessage) []patch.Op {
	ids := slices.Sorted(maps.Keys(entities))
	var out []patch.Op
	for range 1 + r.IntN(3) {
		id := ids[r.IntN(len(ids))]
		var body any
		_ = json.Unmarshal(entities[id], &body) // it was read before
		at := []any{body}
		path := "/" + id
		for {
			of, is := body.(map[string]any)
			if !is || len(of) == 0 || len(at) > 1 && r.IntN(5) == 0 {
				break
			}
			keys := slices.Sorted(maps.Keys(of))
			key := keys[r.IntN(len(keys))]
			body = of[key]
			at = append(at, body)
			path += "/" + key
		}
		if strings.Count(path, "/") == 1 || strings.HasSuffix(path, "/kind") {
			continue
		}
		op := patch.Op{Op: "replace", Path: path}
		var value any
		switch v := body.(type) {
		case string:
			if value = v + " x"; strings.Contains(path, "/slug") || strings.Contains(v, "_") {
				value = v + "x"
			}
		case float64:
			value = v + float64(1+r.IntN(3))
		case bool:
			value = !v
		}
		if value == nil || r.IntN(4) == 0 {
			op.Op = "remove"
		} else {
			op.Value, _ = json.Marshal(value) // a plain value
		}
		out = append(out, op)
	}
	return out
}

// related says whether one place lies within the other.
func related(a, b string) bool {
	return a == b || strings.HasPrefix(a+"/", b+"/") || strings.HasPrefix(b+"/", a+"/")
}

var machineWords = regexp.MustCompile(`\b(s|e|f|t|r|g|gt|rl|c|i|v|wk|cn|gr)_[a-z0-9]+\b`)

// Whatever is edited is told, and nothing else is: held against the patches.
func TestSentencesNameJustWhatWasTouched(t *testing.T) {
	edits, told := 0, 0
	projects := map[string]map[string]json.RawMessage{"": whole(t, ""), "tarnhorn": whole(t, "tarnhorn"), "stores": whole(t, "stores")}
	for i := range 40 {
		projects[fmt.Sprintf("random %d", i)] = stand.Maker{Rand: rand.New(rand.NewPCG(uint64(i), 23))}.Project()
	}
	for name, entities := range projects {
		was := side(t, entities)
		r := rand.New(rand.NewPCG(7, uint64(len(name))))
		times := 120
		if strings.HasPrefix(name, "random") {
			times = 15
		}
		for n := range times {
			made := randomEdit(r, entities)
			now, err := edited(was, made)
			if err != nil || len(made) == 0 {
				continue
			}
			edits++
			changes := differ.Of(was, now)
			told += len(changes)
			for _, op := range made {
				if !slices.ContainsFunc(changes, func(c differ.Change) bool {
					return slices.ContainsFunc(c.Paths, func(p string) bool { return related(p, op.Path) })
				}) && !undone(was, now, op.Path) {
					t.Errorf("%s %d: nothing is said of %s %s", name, n, op.Op, op.Path)
				}
			}
			for _, c := range changes {
				for _, p := range c.Paths {
					if !slices.ContainsFunc(made, func(op patch.Op) bool { return related(p, op.Path) }) {
						t.Errorf("%s %d: %s was not touched, and it is said: %s", name, n, p, c.Sentence())
					}
				}
				if c.Thing == "" || c.Name == "" {
					t.Errorf("%s %d: %s has no name: %+v", name, n, c.At, c)
				}
				if strings.HasPrefix(name, "random") {
					continue // what is made at random is called by its ids
				}
				if word := machineWords.FindString(c.Thing); word != "" {
					t.Errorf("%s %d: %q is no word for people: %s (%v)", name, n, word, c.Sentence(), made)
				}
			}
		}
	}
	t.Logf("%d edits of %d projects were told in %d sentences", edits, len(projects), told)
	if edits < 600 {
		t.Errorf("only %d random edits could be made", edits)
	}
}

// undone says whether nothing is different at a place after all: a later operation took it back.
func undone(was, now differ.Side, path string) bool {
	return fmt.Sprint(valueAt(was, path)) == fmt.Sprint(valueAt(now, path))
}

func valueAt(s differ.Side, path string) any {
	segs := strings.Split(path[1:], "/")
	var at any
	if json.Unmarshal(s.Entities[segs[0]], &at) != nil {
		return nil
	}
	for _, seg := range segs[1:] {
		of, _ := at.(map[string]any)
		at = of[seg]
	}
	return at
}

// A way that leads elsewhere is told as its sentence was and is.
func TestAWayIsToldAsItsSentence(t *testing.T) {
	was := side(t, whole(t, "tarnhorn"))
	now, err := edited(was, ops(t, `[{"op":"replace","path":"/s_cabin/elements/e_hold/gate/confirm","value":"Really?"}]`))
	if err != nil {
		t.Fatal(err)
	}
	changes := differ.Of(was, now)
	if len(changes) != 1 || changes[0].Element != "e_hold" || !strings.HasPrefix(changes[0].Was, "When ") || !strings.Contains(changes[0].Now, "ask “Really?”") {
		t.Errorf("%+v", changes)
	}
}
