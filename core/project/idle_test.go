package project_test

import (
	"testing"

	"ambergate/core/project"
)

// Who has several roles waits as long as the most patient of them; one that never goes back keeps them there.
func TestTheIdleRuleOfSeveralRoles(t *testing.T) {
	p := &project.Project{Roles: map[string]*project.Role{
		"r_a": {Name: "A", Idle: 60, Warn: 5}, "r_b": {Name: "B", Idle: 180, Warn: 10}, "r_c": {Name: "C"},
	}}
	for _, tc := range []struct {
		roles       []string
		after, warn float64
	}{{[]string{"r_a"}, 60, 5}, {[]string{"r_a", "r_b"}, 180, 10}, {[]string{"r_a", "r_c"}, 0, 0}, {nil, 0, 0}, {[]string{"r_gone"}, 0, 0}} {
		roles := map[string]bool{}
		for _, r := range tc.roles {
			roles[r] = true
		}
		if after, warn := p.IdleOf(roles); after != tc.after || warn != tc.warn {
			t.Errorf("%v: after %g, told %g before; want %g, %g", tc.roles, after, warn, tc.after, tc.warn)
		}
	}
}
