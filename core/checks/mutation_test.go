package checks_test

import (
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"math/rand/v2"
	"os"
	"slices"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/checks"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
	uses "ambergate/core/use"
)

// Documents that are wrong in one place or a few are refused in words, or read, compiled and checked; none ends the
// program (hardening, critical 4: one edit did).

// wholes are the documents that are mutated: the ropeway of the core, and the demo's.
var wholes = func() (out []map[string]any) {
	texts := [][]byte{[]byte(stand.Ropeway)}
	for _, name := range []string{"tarnhorn", "stores"} {
		text, err := os.ReadFile("../../demo/project/" + name + ".json")
		if err != nil {
			panic(err)
		}
		texts = append(texts, text)
	}
	for _, text := range texts {
		var whole map[string]any
		if err := json.Unmarshal(text, &whole); err != nil {
			panic(err)
		}
		if of, nested := whole["entities"].(map[string]any); nested {
			whole = of
		}
		out = append(out, whole)
	}
	return out
}()

// node is a place in a document, and how another value is put there.
type node struct {
	value any
	put   func(any)
	drop  func()
}

func nodesOf(value any, put func(any), drop func(), into *[]node) {
	*into = append(*into, node{value, put, drop})
	switch v := value.(type) {
	case map[string]any:
		for _, key := range slices.Sorted(maps.Keys(v)) {
			nodesOf(v[key], func(x any) { v[key] = x }, func() { delete(v, key) }, into)
		}
	case []any:
		for i := range v {
			nodesOf(v[i], func(x any) { v[i] = x }, func() { v[i] = "" }, into)
		}
	}
}

// mutated gives one of the wholes with a few places changed, by a seed, and what was changed.
func mutated(seed uint64) (map[string]json.RawMessage, string) {
	r := rand.New(rand.NewPCG(seed, 13))
	whole := wholes[max(0, r.IntN(5)-2)] // the ropeway more often: its screens are opened too
	ids := slices.Sorted(maps.Keys(whole))
	out := map[string]json.RawMessage{}
	changed := map[string]any{}
	said := ""
	for range 1 + r.IntN(2) {
		id := ids[r.IntN(len(ids))]
		if changed[id] == nil {
			text, _ := json.Marshal(whole[id]) // it was read from JSON
			var body any
			_ = json.Unmarshal(text, &body)
			changed[id] = body
		}
		var nodes []node
		nodesOf(changed[id], func(x any) { changed[id] = x }, func() { changed[id] = map[string]any{} }, &nodes)
		at := nodes[r.IntN(len(nodes))]
		if r.IntN(3) > 0 { // another value of the same sort may well be read
			for range 50 {
				if _, text := at.value.(string); text {
					break
				}
				at = nodes[r.IntN(len(nodes))]
			}
			for range 50 {
				if other, text := values(whole, r).(string); text {
					said += fmt.Sprintf("%s: %.60s → %.60s; ", id, fmt.Sprint(at.value), other)
					at.put(other)
					break
				}
			}
			continue
		}
		values := []any{nil, map[string]any{}, []any{}, "", "x", -1, 1e300, true, map[string]any{"kind": "list"}, []any{nil}, map[string]any{"a": nil}, "record.", "\"", nodes[r.IntN(len(nodes))].value, values(whole, r)}
		if n := r.IntN(len(values) + 2); n < len(values) {
			text, _ := json.Marshal(values[n])
			var own any // so that nothing stands in two places
			_ = json.Unmarshal(text, &own)
			said += fmt.Sprintf("%s: %.60s → %.60s; ", id, fmt.Sprint(at.value), text)
			at.put(own)
		} else {
			said += fmt.Sprintf("%s: %.60s gone; ", id, fmt.Sprint(at.value))
			at.drop()
		}
	}
	for id, body := range whole {
		if other, is := changed[id]; is {
			body = other
		}
		out[id], _ = json.Marshal(body)
	}
	return out, said
}

// values gives a value from anywhere in a document.
func values(whole map[string]any, r *rand.Rand) any {
	ids := slices.Sorted(maps.Keys(whole))
	var nodes []node
	nodesOf(whole[ids[r.IntN(len(ids))]], func(any) {}, func() {}, &nodes)
	return nodes[r.IntN(len(nodes))].value
}

// survives reads, compiles and checks a document; it tells how far it got.
func survives(t *testing.T, entities map[string]json.RawMessage, said string) (came string) {
	defer func() {
		if p := recover(); p != nil {
			t.Errorf("%s: %v", said, p)
			panic(p)
		}
	}()
	p, err := project.Decode(entities)
	if err != nil {
		var wrong *project.StructureError
		if !errors.As(err, &wrong) || wrong.Reason == "" || wrong.Fault != "" {
			t.Errorf("%s: %v", said, err)
		}
		return "refused"
	}
	app, err := plan.Compile(p)
	if err != nil {
		return "not compiled"
	}
	checks.All.Run(app)
	if app.Project.Tables["t_defects"] == nil || app.Project.Settings.Title != "T" {
		return "checked" // it is the demo's, whose records are in a database
	}
	opened := use(t, stand.Of(app))
	if opened == 0 {
		return "checked"
	}
	return "opened"
}

// use opens every screen for two users, draws it as for a builder, and presses all that is on it.
func use(t *testing.T, s *stand.Stand) (opened int) {
	for _, user := range []*ask.User{s.Mira, s.Sela} {
		for id, screen := range s.App.Project.Screens {
			at := place.Place{Screen: id, Mode: "view", Inputs: map[string]string{}}
			for input := range screen.Inputs {
				at.Inputs[input] = "7"
			}
			src := s.Sources()
			src.Ghosts = true
			o, err := uses.Open(t.Context(), s.App, user, at, src)
			if err != nil {
				continue
			}
			opened++
			o.View()
			for _, e := range o.Pressable() {
				for trigger := range e.Gates {
					_, _ = press.Follow(t.Context(), o, press.Press{Element: e.ID, Trigger: trigger, Row: "7", Point: "open"}, s.Data)
				}
			}
		}
	}
	return opened
}

func TestMutatedDocumentsAreRefusedOrRead(t *testing.T) {
	n := uint64(1500)
	if testing.Short() {
		n = 300
	}
	came := map[string]int{}
	for seed := range n {
		entities, said := mutated(seed)
		came[survives(t, entities, said)]++
	}
	t.Logf("%d documents: %v", n, came)
	if came["refused"] < int(n/20) || came["opened"] < int(n/20) || came["checked"] < int(n/20) {
		t.Errorf("the mutations are all alike: %v", came)
	}
}

func FuzzMutatedDocuments(f *testing.F) {
	for seed := range uint64(20) {
		f.Add(seed)
	}
	f.Fuzz(func(t *testing.T, seed uint64) {
		entities, said := mutated(seed)
		survives(t, entities, said)
	})
}
