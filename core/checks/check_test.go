package checks

import (
	"encoding/json"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"ambergate/core/check"
	_ "ambergate/core/kinds"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// sound gives the bodies of testdata/base.json, a small project without findings: a board, a list, a
// form with a parent; and after each further list of changes what they make of it.
func sound(t *testing.T, changes ...[]patch.Op) patch.Bodies {
	t.Helper()
	text, err := os.ReadFile("testdata/base.json")
	if err != nil {
		t.Fatal(err)
	}
	var bodies patch.Bodies
	if err := json.Unmarshal(text, &bodies); err != nil {
		t.Fatal(err)
	}
	for _, ops := range changes {
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
	}
	return bodies
}

func compiled(t *testing.T, bodies patch.Bodies) *plan.App {
	t.Helper()
	p, err := project.Decode(bodies.Texts())
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	return app
}

// patched gives the sound project with changes that are written in JSON.
func patched(t *testing.T, changes string) *plan.App {
	t.Helper()
	var ops []patch.Op
	if changes != "" {
		if err := json.Unmarshal([]byte(changes), &ops); err != nil {
			t.Fatal(err)
		}
	}
	return compiled(t, sound(t, ops))
}

// trial is one file of testdata: changes to the sound project, what its folder's check then finds,
// and changes near those in which it must find nothing.
type trial struct {
	Changes []patch.Op
	Near    []patch.Op
	Finds   []expected
	Other   []patch.Op // what the sound project is changed to, where another project stands beside it
	Gone    []check.Gone
}

type expected struct {
	At       string // screen, entity, element and trigger, as far as they are said
	Severity check.Severity
	Words    string
	Evidence string
	Mends    []string
}

func (c trial) run(t *testing.T, name string, changes ...[]patch.Op) []check.Finding {
	t.Helper()
	outside := check.Outside{Gone: c.Gone, Others: func(slug string) *plan.App {
		if slug != "other" || c.Other == nil {
			return nil
		}
		return compiled(t, sound(t, c.Other))
	}}
	app := compiled(t, sound(t, changes...))
	return slices.DeleteFunc(All.Sorted(append(All.Run(app), All.Against(app, outside)...)), func(f check.Finding) bool { return f.Check != name })
}

// each runs every trial of testdata as a test named by its check and file.
func each(t *testing.T, do func(t *testing.T, name string, c trial)) {
	for _, one := range All {
		files, err := filepath.Glob("testdata/" + one.Name + "/*.json")
		if err != nil || len(files) == 0 {
			t.Errorf("%s has no test project in testdata: %v", one.Name, err)
		}
		for _, file := range files {
			t.Run(strings.TrimSuffix(strings.TrimPrefix(file, "testdata/"), ".json"), func(t *testing.T) {
				text, err := os.ReadFile(file)
				if err != nil {
					t.Fatal(err)
				}
				var c trial
				if err := json.Unmarshal(text, &c); err != nil {
					t.Fatal(err)
				}
				do(t, one.Name, c)
			})
		}
	}
}

func TestEachCheckFindsWhatItsProjectsSay(t *testing.T) {
	each(t, func(t *testing.T, name string, c trial) {
		found := c.run(t, name, c.Changes)
		for i, f := range found {
			got := expected{At: strings.Join(strings.Fields(f.Screen+" "+f.Entity+" "+f.Element+" "+f.Trigger), " "), Severity: f.Severity, Words: f.Words, Evidence: f.Evidence}
			for _, m := range f.Mends {
				got.Mends = append(got.Mends, m.Words)
			}
			if i >= len(c.Finds) || said(t, got) != said(t, c.Finds[i]) {
				t.Errorf("finding %d is\n%s", i, said(t, got))
			}
		}
		if len(found) != len(c.Finds) || len(found) == 0 {
			t.Errorf("%d findings, want %d", len(found), len(c.Finds))
		}
		if c.Near == nil {
			return
		}
		for _, f := range c.run(t, name, c.Near) {
			t.Errorf("the near miss is flagged: %s", f.Words)
		}
	})
}

func said(t *testing.T, v any) string {
	text, err := json.Marshal(v)
	if err != nil {
		t.Fatal(err)
	}
	return string(text)
}

// Every mend with a patch makes its finding go away.
func TestMendsMend(t *testing.T) {
	tried := 0
	each(t, func(t *testing.T, name string, c trial) {
		for _, f := range c.run(t, name, c.Changes) {
			for _, m := range f.Mends {
				if m.Patch == nil {
					continue
				}
				tried++
				for _, after := range c.run(t, name, c.Changes, m.Patch) {
					if after.Screen == f.Screen && after.Entity == f.Entity && after.Element == f.Element && after.Words == f.Words {
						t.Errorf("after “%s” it still says: %s", m.Words, after.Words)
					}
				}
			}
		}
	})
	if tried < 10 {
		t.Errorf("only %d mends were tried", tried)
	}
}

func TestSoundProjectHasNoFindings(t *testing.T) {
	for _, f := range All.Run(patched(t, "")) {
		t.Errorf("%s on %s %s: %s", f.Check, f.Screen, f.Element, f.Words)
	}
}

// What stands outside is unknown until it is told: then nothing of it is found.
func TestNothingIsFoundOfWhatIsNotKnown(t *testing.T) {
	app := patched(t, `[{"op":"add","path":"/s_board/elements/e_far","value":{"kind":"button","pos":2,"cell":{"row":2,"col":1,"w":2},"words":"Far","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"project","project":"other","entry":"form"}}}}}}]`)
	if found := All.Against(app, check.Outside{}); len(found) > 0 {
		t.Errorf("%+v", found)
	}
}
