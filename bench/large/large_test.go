package large_test

import (
	"encoding/json"
	"testing"

	"ambergate/bench/large"
	"ambergate/core/build"
	"ambergate/core/check"
	"ambergate/core/check/reach"
	_ "ambergate/core/kinds"
	"ambergate/core/plan"
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
		app, err := plan.Compile(p)
		if err != nil || len(app.Problems) > 0 {
			b.Fatal(err, app.Problems[:1])
		}
	}
}

func BenchmarkCheck(b *testing.B) {
	app, err := plan.Compile(decoded(b))
	if err != nil {
		b.Fatal(err)
	}
	for b.Loop() {
		check.Run(app)
	}
}

func BenchmarkWaysIn(b *testing.B) {
	app, err := plan.Compile(decoded(b))
	if err != nil {
		b.Fatal(err)
	}
	for b.Loop() {
		build.WaysIn(app, "s_1", nil)
	}
}

// After one edit of one screen: what an edit costs before the screen can be shown again.
func BenchmarkRecompile(b *testing.B) {
	entities := large.Project(large.Full)
	old, err := plan.Compile(decoded(b))
	if err != nil {
		b.Fatal(err)
	}
	for b.Loop() {
		p, err := project.Redecode(old.Project, map[string]json.RawMessage{"s_7": entities["s_7"]})
		if err != nil {
			b.Fatal(err)
		}
		if _, err := plan.Recompile(old, p, []string{"s_7"}); err != nil {
			b.Fatal(err)
		}
	}
}

// BenchmarkReach finds out where each role gets, from nothing, and again after an edit of one screen.
func BenchmarkReach(b *testing.B) {
	p := decoded(b)
	app, err := plan.Compile(p)
	if err != nil {
		b.Fatal(err)
	}
	walk := func(g *reach.Graph) (maybe, all int) {
		for r := range app.Project.Roles {
			for _, cell := range g.For(map[string]bool{r: true}).Cells {
				all++
				if cell.Kind == reach.IsMaybe {
					maybe++
				}
			}
		}
		return maybe, all
	}
	b.Run("whole", func(b *testing.B) {
		b.ReportAllocs()
		for b.Loop() {
			maybe, all := walk(reach.Of(app, nil))
			b.ReportMetric(100*float64(maybe)/float64(all), "%maybe")
		}
	})
}
