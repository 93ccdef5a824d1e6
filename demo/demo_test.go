package demo

import (
	"testing"

	"ambergate/core/nav"
)

func TestDemoProjectCompiles(t *testing.T) {
	p, err := Decoded()
	if err != nil {
		t.Fatal(err)
	}
	app, err := nav.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	for _, problem := range app.Problems {
		t.Errorf("%s %s %s %q: %s", problem.Screen, problem.Element, problem.Where, problem.Text, problem.Problem.Message)
	}
}
