package server_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"net/url"
	"strings"
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

// For every person, screen, mode and sample of records, by address, pointer, press and picker: what the
// grants forbid is refused by the server. It prints how many combinations it tried.
func TestWhatTheGrantsForbidIsRefused(t *testing.T) {
	p := demoProject(t)
	tried, refused := 0, 0
	for _, person := range demo.People {
		roles := map[string]bool{}
		for _, r := range person.Roles[demo.ProjectID] {
			roles[r] = true
		}
		client := as(t, person.Login)
		for _, s := range p.Screens {
			for _, mode := range []string{"view", "edit", "add"} {
				for _, key := range []string{"1", "2", "87", "107"} {
					may, address := mayOpen(p, s, roles, mode, key)
					status, answer := client.call("POST", "/api/use/tarnhorn/open", map[string]string{"address": address})
					tried++
					if !may && status < 300 {
						t.Errorf("%s got into %s", person.Name, address)
					}
					if status >= 300 {
						refused++
						continue
					}
					holdView(t, p, roles, person.Name, answer)
				}
			}
		}
		for _, table := range p.Tables {
			status, _ := client.call("GET", "/api/use/tarnhorn/titles/"+table.ID, nil)
			tried++
			if may := p.GrantOf(roles, table.ID).View; may != (status == http.StatusOK) {
				t.Errorf("%s, titles of %s: %d, may view: %v", person.Name, table.ID, status, may)
			}
		}
	}
	t.Logf("%d combinations tried, %d refused", tried, refused)
	if tried < 400 || refused < 100 {
		t.Errorf("only %d tried and %d refused", tried, refused)
	}
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

// holdView looks for anything in an answer that the roles may not see or change.
func holdView(t *testing.T, p *project.Project, roles map[string]bool, who string, answer []byte) {
	t.Helper()
	var shown api.Shown
	if err := json.Unmarshal(answer, &shown); err != nil {
		t.Fatal(err)
	}
	record := p.Screens[shown.View.Screen].RecordTable()
	for _, e := range shown.View.Elements {
		if e.State == "hidden" {
			t.Errorf("%s is sent the hidden %s of %s", who, e.ID, shown.View.Screen)
		}
		if f := e.Field; f != nil {
			g := p.GrantOf(roles, record)
			if g.Hidden[f.Path] || f.Editable && (g.ReadOnly[f.Path] || shown.View.Mode == "view") {
				t.Errorf("%s may see or change %s of %s", who, f.Path, record)
			}
		}
		if l := e.List; l != nil {
			g := p.GrantOf(roles, l.Table)
			if !g.View && (len(l.Rows) > 0 || l.Refused == "") {
				t.Errorf("%s is sent rows of %s", who, l.Table)
			}
			for _, c := range l.Columns {
				if g.Hidden[strings.Split(c.Path, ".")[0]] {
					t.Errorf("%s is sent the hidden column %s", who, c.Path)
				}
			}
		}
		if c := e.Chart; c != nil && c.Refused == "" && !p.GrantOf(roles, p.Screens[shown.View.Screen].Elements[e.ID].Spec.(*project.Chart).Table).View {
			t.Errorf("%s is sent a chart", who)
		}
	}
}

// A press on every element of every screen that a person can open, whatever the browser may send:
// never a fault of the program, and nothing that the gate's roles forbid.
func TestEveryPressIsAnsweredInOrder(t *testing.T) {
	p := demoProject(t)
	tried := 0
	for _, person := range demo.People {
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
					for i, aim := range []map[string]any{{}, {"row": "1"}, {"row": "x'; --"}, {"point": "1"}, {"point": "no"}, {"values": map[string]string{"f_what": "x"}}, {"overlay": true}} {
						id := fmt.Sprintf("any-%s-%s-%s-%d", person.Login, s.ID, e.ID, i)
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
	}
	t.Logf("%d presses", tried)
	if tried < 300 {
		t.Errorf("only %d presses were tried", tried)
	}
}

func meets(a, b map[string]bool) bool {
	for r := range a {
		if a[r] && b[r] {
			return true
		}
	}
	return false
}
