// Command budgets reads what the other measurements printed, and prints what the budgets ask for beside what was measured,
// in one table: what is not reached, and what was not measured at all, stands there too. `make bench` ends with it.
package main

import (
	"cmp"
	"fmt"
	"os"
	"regexp"
	"strconv"

	"ambergate/core/english"
)

// row is one line of the budgets: where its figure stands in what was printed, and what it may be.
type row struct {
	what   string
	found  *regexp.Regexp // with the figure as its first group, and what it is held against as its second
	unit   string
	most   float64 // what it may be at the most
	least  float64 // or has to be at least
	factor float64 // of the figure as it is printed; 0: 1
	why    string  // it is not reached, where that is known
}

func rows() []row {
	ratio := func(a, b string) *regexp.Regexp {
		return regexp.MustCompile(`(?ms)^` + a + `\S*\s+\d+\s+([\d.]+) ns/op.*?^` + b + `\S*\s+\d+\s+([\d.]+) ns/op`)
	}
	line := func(begins, rest string) *regexp.Regexp {
		return regexp.MustCompile(`(?m)^` + begins + rest)
	}
	return []row{
		{what: "50 conditions evaluated, against the CEL library", found: ratio("BenchmarkOwnTree", "BenchmarkLibrary"), unit: "of it", most: 1},
		{what: "50 conditional buttons drawn, against the library’s evaluation alone", found: ratio("BenchmarkResolveScreen", "BenchmarkLibrary"), unit: "of it", most: 1,
			why: "as much of the time goes into writing the screen down as into deciding what stands on it; by the run it is at the budget or a fifth over it"},
		{what: "view, 50 buttons, of the bare handler’s requests", found: line("view: a record, 50 buttons", `\s+\S+\s+\S+\s+\S+\s+([\d.]+)%`), unit: "%", least: 60,
			why: "beside the bare handler’s select it knows who asks and where, asks what row rules allow, and sends more than 10 KB: a third of what it computes is its own, a quarter PostgreSQL’s, the rest HTTP, the clients and garbage"},
		{what: "press that moves, p99 of the bare handler’s", found: line("press p99 is ", `([\d.]+) times`), unit: "times", most: 3,
			why: "it reads two records and writes the trail, which is flushed to the disk before it is answered: half of what it computes is PostgreSQL’s"},
		{what: "check of 1,000 screens and 20,000 gates", found: line("BenchmarkCheck", `\S*\s+\d+\s+([\d.]+) ns/op`), unit: "ms", most: 1000, factor: 1e-6},
		{what: "check after one edit", found: line("BenchmarkAfterOneEdit", `\S*\s+\d+\s+([\d.]+) ns/op`), unit: "ms", most: 50, factor: 1e-6},
		{what: "next in a million rows, at the end against the beginning", found: line("a day with ties", `\s+([\d.]+)\s+[\d.]+\s+([\d.]+)`), unit: "of it", most: 1.5, factor: -1},
		{what: "a change in the plant to a lamp, median", found: line("change in the plant to a lamp", `\s+([\d.]+)`), unit: "ms", most: 150},
		{what: "a change in the plant to a lamp, p99", found: line("change in the plant to a lamp", `\s+[\d.]+\s+([\d.]+)`), unit: "ms", most: 400},
		{what: "a change in the plant to being called up, median", found: line("change in the plant to being called up", `\s+([\d.]+)`), unit: "ms", most: 150},
		{what: "a change in the plant to being called up, p99", found: line("change in the plant to being called up", `\s+[\d.]+\s+([\d.]+)`), unit: "ms", most: 400},
		{what: "5,000 tags that change each second", found: line(`\d+ screens of \d+, and one that follows all`, `\s+([\d.]+)%`), unit: "% of a core", most: 100},
		{what: "5,000 tags, of which the newest value is known", found: line(`\d+ screens of \d+, and one that follows all`, `\s+[\d.]+%\s+\S+\s+(\d+)/`), unit: "of 5000", least: 5000},
		{what: "users’ side, first load, gzip", found: line("first load, KB of JavaScript, gzip", `\s+([\d.]+)`), unit: "KB", most: 250},
		{what: "map of 1,000 screens, until it is drawn", found: line(`map of 1,?000 screens: until it is drawn[^\n]*\)`, `\s+([\d.]+) s`), unit: "s", most: 2},
		{what: "map of 1,000 screens, panned", found: line(`map of 1,?000 screens: panned \(budget[^\n]*\)`, `\s+([\d.]+) frames`), unit: "frames/s", least: 50},
		{what: "new cluster, demo data, server ready", found: line("new cluster, demo data, server ready: ", `([\d.]+) s`), unit: "s", most: 20},
		{what: "started again, with the store of a year", found: line("started, with the store of a year", `\s+([\d.]+) s`), unit: "s", most: 3},
		{what: "2,000 people who think, p99", found: line("all", `\s+[\d.]+\s+[\d.]+\s+[\d.]+\s+([\d.]+)`), unit: "ms", most: 250},
		{what: "press over the store of a year, while it is cleared, p99", found: line("press, while what is old is forgotten", `\s+\S+\s+\S+\s+([\d.]+)`), unit: "ms", most: 250},
	}
}

func main() {
	if len(os.Args) != 2 {
		fmt.Fprintln(os.Stderr, "budgets: name the file that the measurements were printed to")
		os.Exit(1)
	}
	text, err := os.ReadFile(os.Args[1])
	if err != nil {
		fmt.Fprintln(os.Stderr, "budgets:", err)
		os.Exit(1)
	}
	fmt.Printf("\n%-66s %22s %16s\n", "budgets", "measured", "budget")
	var missed []row
	for _, r := range rows() {
		fmt.Println(r.line(string(text)))
		if is, ok := r.figure(string(text)); ok && r.misses(is) {
			missed = append(missed, r)
		}
	}
	for _, r := range missed {
		fmt.Println("\nnot reached: " + r.what + ". " + cmp.Or(english.Capital(r.why), "It is not known why: measure it once more, on a machine that does nothing else") + ".")
	}
}

func (r row) misses(is float64) bool { return r.most > 0 && is > r.most || is < r.least }

// line tells one row of what was printed.
func (r row) line(printed string) string {
	budget := fmt.Sprintf("at most %g", r.most)
	if r.least > 0 {
		budget = fmt.Sprintf("at least %g", r.least)
	}
	is, ok := r.figure(printed)
	if !ok {
		return fmt.Sprintf("%-66s %22s %16s", r.what, "not measured", budget)
	}
	out := fmt.Sprintf("%-66s %22s %16s", r.what, fmt.Sprintf("%.4g %s", is, r.unit), budget)
	if r.misses(is) {
		out += "  not reached"
	}
	return out
}

// figure finds the figure of a row; one of two figures is the first over the second, or, with a factor of -1, the second
// over the first.
func (r row) figure(printed string) (float64, bool) {
	found := r.found.FindStringSubmatch(printed)
	if found == nil {
		return 0, false
	}
	is, err := strconv.ParseFloat(found[1], 64)
	if err != nil {
		return 0, false
	}
	if len(found) == 2 {
		return is * cmp.Or(r.factor, 1), true
	}
	other, err := strconv.ParseFloat(found[2], 64)
	if err != nil || other == 0 || is == 0 {
		return 0, false
	}
	if r.factor < 0 {
		return other / is, true
	}
	return is / other, true
}
