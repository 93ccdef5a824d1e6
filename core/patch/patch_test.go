package patch_test

import (
	"encoding/json"
	"errors"
	"math/rand/v2"
	"reflect"
	"strings"
	"testing"

	_ "ambergate/core/kinds"

	"ambergate/core/patch"
	"ambergate/core/project"
)

func bodies(t testing.TB, text string) patch.Bodies {
	t.Helper()
	var b patch.Bodies
	if err := json.Unmarshal([]byte(text), &b); err != nil {
		t.Fatal(err)
	}
	return b
}

func ops(t testing.TB, text string) []patch.Op {
	t.Helper()
	var o []patch.Op
	if err := json.Unmarshal([]byte(text), &o); err != nil {
		t.Fatal(err)
	}
	return o
}

const small = `{"s_a":{"kind":"screen","title":"A","elements":{"e_1":{"pos":1,"cell":{"row":1}}}},"s_b":{"kind":"screen","title":"B"}}`

func TestApplyAndItsInverse(t *testing.T) {
	for _, changes := range []string{
		`[{"op":"replace","path":"/s_a/title","value":"New"}]`,
		`[{"op":"test","path":"/s_a/title","value":"A"},{"op":"replace","path":"/s_a/title","value":"New"},{"op":"remove","path":"/s_b"}]`,
		`[{"op":"add","path":"/s_c","value":{"kind":"screen"}},{"op":"add","path":"/s_c/title","value":"C"}]`,
		`[{"op":"remove","path":"/s_a/elements/e_1"},{"op":"add","path":"/s_a/elements/e_2","value":{"pos":2}}]`,
		`[{"op":"replace","path":"/s_a","value":{"kind":"screen","title":"whole"}}]`,
		`[{"op":"remove","path":"/s_b"},{"op":"add","path":"/s_b","value":{"kind":"screen","title":"again"}}]`,
		`[{"op":"add","path":"/s_a/note~1with~0signs","value":1}]`,
	} {
		before := bodies(t, small)
		touched, inverse, err := patch.Apply(before, ops(t, changes))
		if err != nil {
			t.Errorf("%s: %v", changes, err)
			continue
		}
		if !reflect.DeepEqual(before, bodies(t, small)) {
			t.Errorf("%s changed what it was given", changes)
		}
		after := bodies(t, small)
		merge(after, touched)
		back, _, err := patch.Apply(after, inverse)
		if err != nil {
			t.Errorf("%s: its inverse: %v", changes, err)
			continue
		}
		merge(after, back)
		if !reflect.DeepEqual(after, bodies(t, small)) {
			t.Errorf("%s: its inverse gives %v", changes, after)
		}
	}
}

func merge(into, touched patch.Bodies) {
	for id, body := range touched {
		if body == nil {
			delete(into, id)
		} else {
			into[id] = body
		}
	}
}

func TestPatchesThatDoNotFit(t *testing.T) {
	for _, tc := range []struct {
		patch string
		stale bool
		words string
	}{
		{`[{"op":"test","path":"/s_a/title","value":"B"}]`, true, "changed meanwhile"},
		{`[{"op":"replace","path":"/s_a/gone","value":1}]`, false, "not there"},
		{`[{"op":"remove","path":"/s_x"}]`, false, "not there"},
		{`[{"op":"add","path":"/s_a","value":{}}]`, false, "there already"},
		{`[{"op":"add","path":"/no legal id","value":{}}]`, false, "no legal id"},
		{`[{"op":"add","path":"/s_a/title/deep","value":1}]`, false, "no parts"},
		{`[{"op":"move","path":"/s_a/title","value":1}]`, false, "no operation"},
		{`[{"op":"add","path":"s_a","value":1}]`, false, "begins with /"},
		{`[{"op":"add","path":"/s_a//x","value":1}]`, false, "empty"},
		{`[{"op":"add","path":"/s_a/x"}]`, false, "needs a value"},
	} {
		_, _, err := patch.Apply(bodies(t, small), ops(t, tc.patch))
		var wrong *patch.Error
		if !errors.As(err, &wrong) || wrong.Stale != tc.stale || !strings.Contains(wrong.Reason, tc.words) {
			t.Errorf("%s: %v, want stale %v and %q", tc.patch, err, tc.stale, tc.words)
		}
	}
}

// Random patches that fit are taken back exactly by their inverse.
func TestRandomPatchesAreTakenBack(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 1))
	state := bodies(t, small)
	names := []string{"a", "b", "c"}
	applied := 0
	for range 4000 {
		path := "/s_" + names[r.IntN(3)]
		for range r.IntN(3) {
			path += "/" + names[r.IntN(3)]
		}
		value := json.RawMessage([]string{`1`, `"x"`, `{"a":{"b":1}}`, `null`, `[1,2]`}[r.IntN(5)])
		op := patch.Op{Op: []string{"add", "replace", "remove"}[r.IntN(3)], Path: path, Value: value}
		touched, inverse, err := patch.Apply(state, []patch.Op{op})
		if err != nil {
			continue
		}
		applied++
		next := bodies(t, encode(t, state))
		merge(next, touched)
		back, _, err := patch.Apply(next, inverse)
		if err != nil {
			t.Fatalf("%+v: inverse %+v: %v", op, inverse, err)
		}
		again := bodies(t, encode(t, next))
		merge(again, back)
		if encode(t, again) != encode(t, state) {
			t.Fatalf("%+v: %s became %s", op, encode(t, state), encode(t, again))
		}
		state = next
	}
	if applied < 200 {
		t.Errorf("only %d patches fitted", applied)
	}
}

func encode(t testing.TB, v any) string {
	t.Helper()
	text, err := json.Marshal(v)
	if err != nil {
		t.Fatal(err)
	}
	return string(text)
}

func FuzzApply(f *testing.F) {
	f.Add(`[{"op":"add","path":"/s_a/x","value":{"y":1}}]`)
	f.Add(`[{"op":"remove","path":"/s_a"},{"op":"test","path":"/s_a","value":null}]`)
	f.Fuzz(func(t *testing.T, text string) {
		var changes []patch.Op
		if json.Unmarshal([]byte(text), &changes) != nil {
			return
		}
		touched, _, err := patch.Apply(bodies(t, small), changes)
		var wrong *patch.Error
		if err != nil && !errors.As(err, &wrong) {
			t.Fatalf("%v is no PatchError", err)
		}
		for id, body := range touched {
			if body != nil {
				_ = project.CheckEntity(id, json.RawMessage(encode(t, body)))
			}
		}
	})
}
