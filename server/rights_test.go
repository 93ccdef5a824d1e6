package server_test

import (
	"encoding/json"
	"fmt"
	"net/url"
	"sync/atomic"
	"testing"

	"ambergate/api"
	"ambergate/core/project"
	"ambergate/demo"
)

func demoProject(t *testing.T) *project.Project {
	t.Helper()
	p, err := demo.Decoded()
	if err != nil {
		t.Fatal(err)
	}
	return p
}

// mayOpen says whether the grants alone allow a screen; a guard may still refuse.
func mayOpen(p *project.Project, s *project.Screen, roles map[string]bool, mode, key string) (bool, string) {
	q := url.Values{}
	if mode != "view" {
		q.Set("~mode", mode)
	}
	if in := s.Inputs[s.Record]; in != nil && mode != "add" {
		q.Set(in.Alias, key)
	}
	address := "/" + s.Slug + "?" + q.Encode()
	table := s.RecordTable()
	if table == "" {
		return mode == "view", address
	}
	g := p.GrantOf(roles, table)
	return map[string]bool{"view": g.View, "edit": g.Edit && s.Type == "form", "add": g.Add && s.Type == "form"}[mode], address
}

// A press on every element of every screen that a person can open, whatever the browser may send:
// never a fault of the program, and nothing that the gate's roles forbid.
func TestEveryPressIsAnsweredInOrder(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := demoProject(t)
	var tried atomic.Int64
	t.Run("people", func(t *testing.T) {
		for _, person := range demo.People {
			t.Run(person.Login, func(t *testing.T) {
				t.Parallel() // each waits for the database most of the time
				tried.Add(int64(pressAll(t, p, person)))
			})
		}
	})
	t.Logf("%d presses", tried.Load())
	if tried.Load() < 300 {
		t.Errorf("only %d presses were tried", tried.Load())
	}
}

// pressAll presses, as one person, all that they may be shown, aimed at anything, and says how often.
func pressAll(t *testing.T, p *project.Project, person demo.Person) (tried int) {
	roles := map[string]bool{}
	for _, r := range person.Roles[demo.ProjectID] {
		roles[r] = true
	}
	client := as(t, person.Login)
	for _, s := range p.Screens {
		_, address := mayOpen(p, s, roles, "view", "1")
		status, answer := client.call("POST", "/api/use/tarnhorn/open", map[string]string{"address": address})
		if status >= 300 {
			continue
		}
		var shown api.Shown
		if err := json.Unmarshal(answer, &shown); err != nil {
			t.Fatal(err)
		}
		for _, e := range s.Elements {
			for trigger, g := range e.Spec.Gates() {
				forbidden := g.Roles != nil && !meets(g.Roles, roles)
				if g.Writes() && !forbidden {
					continue // those act; they are pressed by tests of their own
				}
				for i, aim := range []map[string]any{{}, {"row": "1"}, {"row": "x'; --"}, {"point": "1"}, {"point": "no"}, {"values": map[string]string{"f_what": "x"}}, {"depth": 1}} {
					id := fmt.Sprintf("any-%s-%s-%s-%s-%d", person.Login, s.ID, e.ID, trigger, i)
					aim["trigger"], aim["rows"] = trigger, []string{"1"}
					status, _, problem := client.press(shown, id, e.ID, aim)
					tried++
					if status >= 500 {
						t.Errorf("%s presses %s.%s (%s) with %v: %d %+v", person.Name, s.ID, e.ID, trigger, aim, status, problem)
					}
					if forbidden && status < 300 {
						t.Errorf("%s may press %s.%s", person.Name, s.ID, e.ID)
					}
				}
			}
		}
	}
	return tried
}

func meets(a, b map[string]bool) bool {
	for r := range a {
		if a[r] && b[r] {
			return true
		}
	}
	return false
}
