package project_test

import (
	"encoding/json"
	"strings"
	"testing"

	"ambergate/core/project"
)

func stop(pos float64, screen string) *project.Stop {
	s := &project.Stop{Screen: screen, Stay: 20}
	s.Pos = pos
	return s
}

// A round is that of the first role; who has a role without one is not led away from their work.
func TestTheRoundOfSeveralRoles(t *testing.T) {
	role := func(id string, pos float64, stops ...*project.Stop) *project.Role {
		r := &project.Role{Name: id, Round: map[string]*project.Stop{}}
		r.ID, r.Pos = id, pos
		for _, s := range stops {
			r.Round[s.Screen] = s
		}
		return r
	}
	p := &project.Project{Roles: map[string]*project.Role{
		"r_a": role("r_a", 2, stop(2, "s_2"), stop(1, "s_1")), "r_b": role("r_b", 1, stop(1, "s_3")), "r_c": role("r_c", 3),
	}}
	for roles, want := range map[string]string{"r_a": "s_1 s_2", "r_a r_b": "s_3", "r_a r_c": "", "": "", "r_gone": ""} {
		has := map[string]bool{}
		for _, r := range strings.Fields(roles) {
			has[r] = true
		}
		var got []string
		for _, s := range p.RoundOf(has) {
			got = append(got, s.Screen)
		}
		if strings.Join(got, " ") != want {
			t.Errorf("%q: %v, want %q", roles, got, want)
		}
	}
}

var settings = json.RawMessage(`{"kind":"project","title":"Shop","slug":"shop","zone":"UTC"}`)

func TestARoundIsBounded(t *testing.T) {
	for what, round := range map[string]string{
		"a stay of one second": `{"a":{"pos":1,"screen":"s_x","stay":1}}`,
		"a stay of two days":   `{"a":{"pos":1,"screen":"s_x","stay":172800}}`,
		"a screen twice":       `{"a":{"pos":1,"screen":"s_x","stay":5},"b":{"pos":2,"screen":"s_x","stay":5}}`,
	} {
		role := json.RawMessage(`{"kind":"role","pos":1,"name":"R","start":"s_x","round":` + round + `}`)
		if _, err := project.Decode(map[string]json.RawMessage{"project": settings, "r_x": role}); err == nil || !strings.Contains(err.Error(), "round") {
			t.Errorf("%s is taken: %v", what, err)
		}
	}
}
