package large_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"regexp"
	"testing"

	"ambergate/bench/large"
	"ambergate/core/build"
	"ambergate/core/check/reach"
	"ambergate/core/checks"
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
		checks.All.Run(app)
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

// BenchmarkAfterOneEdit compiles one screen anew, proves who gets where again and runs all checks: what there is to do
// before the findings of an edit are there.
func BenchmarkAfterOneEdit(b *testing.B) {
	entities := large.Project(large.Full)
	p, err := project.Decode(entities)
	if err != nil {
		b.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		b.Fatal(err)
	}
	target := regexp.MustCompile(`"target":"s_\d+"`)
	for name, edit := range map[string]func(i int, body []byte) []byte{
		"words": func(_ int, body []byte) []byte {
			return bytes.ReplaceAll(body, []byte(`"words":"Go 3"`), []byte(`"words":"Go on"`))
		},
		"condition": func(_ int, body []byte) []byte { return bytes.ReplaceAll(body, []byte(` > `), []byte(` >= `)) },
		"target": func(i int, body []byte) []byte {
			first := target.Find(body)
			return bytes.Replace(body, first, fmt.Appendf(nil, `"target":"s_%d"`, (i+4)%1000), 1)
		},
	} {
		b.Run(name, func(b *testing.B) {
			g := reach.Of(app, nil)
			c, err := checks.All.RunAfter(b.Context(), g, nil, nil)
			if err != nil {
				b.Fatal(err)
			}
			now, at, i := app, g, 0
			for b.Loop() {
				n := i * 37 % 1000
				id := fmt.Sprintf("s_%d", n)
				i++
				body := edit(n, entities[id])
				next, err := project.Redecode(now.Project, map[string]json.RawMessage{id: body})
				if err != nil {
					b.Fatal(err)
				}
				if now, err = plan.Recompile(now, next, []string{id}); err != nil {
					b.Fatal(err)
				}
				at = reach.Of(now, at)
				if c, err = checks.All.RunAfter(b.Context(), at, nil, c); err != nil {
					b.Fatal(err)
				}
			}
		})
	}
}
