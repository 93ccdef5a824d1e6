package large_test

import (
	"testing"

	"ambergate/bench/large"
	"ambergate/core/check"
	"ambergate/core/nav"
	"ambergate/core/project"
)

func decoded(b *testing.B) *project.Project {
	b.Helper()
	p, err := project.Decode(large.Project(large.Full))
	if err != nil {
		b.Fatal(err)
	}
	return p
}

func BenchmarkDecode(b *testing.B) {
	entities := large.Project(large.Full)
	for b.Loop() {
		if _, err := project.Decode(entities); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkCompile(b *testing.B) {
	p := decoded(b)
	for b.Loop() {
		app, err := nav.Compile(p)
		if err != nil || len(app.Problems) > 0 {
			b.Fatal(err, app.Problems[:1])
		}
	}
}

func BenchmarkCheck(b *testing.B) {
	app, err := nav.Compile(decoded(b))
	if err != nil {
		b.Fatal(err)
	}
	for b.Loop() {
		check.Run(app)
	}
}

func BenchmarkWaysIn(b *testing.B) {
	app, err := nav.Compile(decoded(b))
	if err != nil {
		b.Fatal(err)
	}
	for b.Loop() {
		app.WaysIn("s_1", nil)
	}
}
