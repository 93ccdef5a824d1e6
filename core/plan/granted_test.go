package plan_test

import (
	"reflect"
	"sync"
	"testing"

	"ambergate/core/project"
	"ambergate/core/stand"
)

// What is noted of a set of roles is what its grants come to; whether a record must meet something is known only where no
// grant asks of it.
func TestWhatRolesAreGrantedIsWorkedOutOnceAndRight(t *testing.T) {
	app := stand.NewRuled(t).App
	free, ruled := 0, 0
	var sets []map[string]bool
	for a := range app.Project.Roles {
		for b := range app.Project.Roles {
			sets = append(sets, map[string]bool{a: true, b: true})
		}
	}
	sets = append(sets, nil, map[string]bool{"r_tech": false})
	var wait sync.WaitGroup
	for range 4 { // several ask at once
		wait.Go(func() {
			for _, roles := range sets {
				for table := range app.Project.Tables {
					app.GrantedTo(roles).On(table)
				}
			}
		})
	}
	wait.Wait()
	for _, roles := range sets {
		if got := app.GrantedTo(roles); got.Start != app.Project.StartOf(roles) || len(got.Names) > len(roles) {
			t.Errorf("%v start from %q, and are called %v", roles, got.Start, got.Names)
		}
		for table := range app.Project.Tables {
			got := app.GrantedTo(roles).On(table)
			if !reflect.DeepEqual(got.Sum, app.Project.GrantOf(roles, table)) || !reflect.DeepEqual(got.Each, app.Project.GrantsOf(roles, table)) {
				t.Errorf("%v on %s: %+v", roles, table, got)
			}
			rules := false
			for _, g := range got.Each {
				rules = rules || g.Rows != "" || g.Changes != ""
			}
			if rules != (got.Rows == nil) {
				t.Errorf("%v on %s: rules %v, and what a record must meet is %v", roles, table, rules, got.Rows)
			}
			if rules {
				ruled++
				continue
			}
			free++
			for _, verb := range project.Verbs {
				if may := got.Sum.May(verb); may != (got.Rows[verb] == nil) {
					t.Errorf("%v on %s: %s is granted: %v, %v", roles, table, verb, may, got.Rows[verb])
				}
			}
		}
	}
	if free == 0 || ruled == 0 {
		t.Errorf("%d without and %d with a rule", free, ruled)
	}
	if names := app.GrantedTo(map[string]bool{"r_tech": true, "r_none": true}).Names; !reflect.DeepEqual(names, []string{"Technician"}) {
		t.Errorf("a technician is called %v", names)
	}
	if app.GrantedTo(nil).On("t_none").Sum.View {
		t.Error("a table that is not there is granted")
	}
}
