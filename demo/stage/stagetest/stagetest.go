// Package stagetest puts one demo up for all tests of a package, in a throwaway cluster.
package stagetest

import (
	"context"
	"fmt"
	"os"
	"testing"
	"time"

	"ambergate/demo/stage"
)

// Today is the day around which the tests' data is made.
var Today = time.Date(2026, 11, 24, 0, 0, 0, 0, time.UTC)

// Main runs a package's tests with a stage; to be called from TestMain.
func Main(m *testing.M, up **stage.Stage) {
	os.Exit(run(m, up))
}

func run(m *testing.M, up **stage.Stage) int {
	log := &logged{}
	s, end, err := stage.Throwaway(context.Background(), Today, &Statements, log)
	if err != nil {
		fmt.Fprintln(os.Stderr, "put the demo up for the tests:", err)
		return 1
	}
	defer end()
	*up = s
	s.Server.Drawn.Doubt(2)
	s.Store.Doubt(1)
	code := m.Run()
	if s.Server.Drawn.Wrong() {
		fmt.Fprintln(os.Stderr, "a screen that was kept as it was drawn differs from how it is drawn")
		code = 1
	}
	if wrong := s.Store.Wrong(); wrong != "" {
		fmt.Fprintln(os.Stderr, wrong)
		code = 1
	}
	found, err := leaks(context.Background(), s, log)
	if err != nil {
		fmt.Fprintln(os.Stderr, "look for secrets in plain words:", err)
		return 1
	}
	for _, where := range found {
		fmt.Fprintln(os.Stderr, "a password stands in plain words in", where)
		code = 1
	}
	return code
}
