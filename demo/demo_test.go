package demo

import (
	"testing"

	"ambergate/core/check"
	"ambergate/core/checks"
	"ambergate/core/plan"
	"ambergate/core/project"
)

func TestDemoProjectsCompile(t *testing.T) {
	for id := range Projects {
		entities, err := Entities(id)
		if err != nil {
			t.Fatal(err)
		}
		p, err := project.Decode(entities)
		if err != nil {
			t.Fatal(err)
		}
		app, err := plan.Compile(p)
		if err != nil {
			t.Fatal(err)
		}
		for _, problem := range app.Problems {
			t.Errorf("%s: %s %s %s %q: %s", id, problem.Screen, problem.Element, problem.Where, problem.Text, problem.Problem.Message)
		}
		for _, f := range checks.All.Run(app) {
			if f.Severity == check.Broken {
				t.Errorf("%s: %s %s: %s", id, f.Screen, f.Element, f.Words)
			}
		}
	}
}
