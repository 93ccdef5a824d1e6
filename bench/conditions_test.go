package bench

import (
	"fmt"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/cond/prove"
)

var spot = cond.Scope{"record": "t_d", "user": "user"}

// distinct is the nth of many different conditions.
func distinct(n int) string {
	return fmt.Sprintf(`record.state == "s%d" && (record.hours < %d.5 || record.count in [%d, %d]) && !(record.severity == "low")`, n, n%40, n%7, n%11)
}

// BenchmarkCompile2000 compiles 2,000 distinct conditions with a fresh compiler.
func BenchmarkCompile2000(b *testing.B) {
	schema := bigScreen(b).Project.Schema()
	b.ReportAllocs()
	for b.Loop() {
		c, err := compile.New(schema)
		if err != nil {
			b.Fatal(err)
		}
		for i := range 2_000 {
			if _, problem := c.Condition(spot, distinct(i)); problem != nil {
				b.Fatal(problem)
			}
		}
	}
}

func tree(b *testing.B, text string) *cond.Node {
	b.Helper()
	e, problem := bigScreen(b).Compiler.Condition(spot, text)
	if problem != nil {
		b.Fatal(problem)
	}
	return e.Root
}

// BenchmarkExplain explains one condition of five parts.
func BenchmarkExplain(b *testing.B) {
	n := tree(b, distinct(3))
	b.ReportAllocs()
	for b.Loop() {
		n.Explain(world{})
	}
}

// BenchmarkTurns works out the smallest change that would make it hold.
func BenchmarkTurns(b *testing.B) {
	n := tree(b, distinct(3))
	b.ReportAllocs()
	for b.Loop() {
		prove.Turns(n, world{})
	}
}

// BenchmarkRanges settles whether two conditions can hold together.
func BenchmarkRanges(b *testing.B) {
	x, y := tree(b, distinct(3)), tree(b, distinct(4))
	b.ReportAllocs()
	for b.Loop() {
		prove.Together(x, y)
	}
}

// BenchmarkBind puts the user and the day into a row rule, as each request does.
func BenchmarkBind(b *testing.B) {
	n := tree(b, distinct(3))
	b.ReportAllocs()
	for b.Loop() {
		n.Bind(world{})
	}
}
