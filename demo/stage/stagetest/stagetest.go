// Package stagetest puts one demo up for all tests of a package, in a throwaway cluster.
package stagetest

import (
	"context"
	"fmt"
	"log/slog"
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
	dir, err := os.MkdirTemp("", "ambergate-test")
	if err != nil {
		fmt.Fprintln(os.Stderr, "make a folder for the test cluster:", err)
		return 1
	}
	defer os.RemoveAll(dir)
	if err := os.Chmod(dir, 0o711); err != nil {
		fmt.Fprintln(os.Stderr, "open the folder of the test cluster:", err)
		return 1
	}
	slog.SetDefault(slog.New(slog.DiscardHandler))
	s, err := stage.Up(context.Background(), stage.Options{Dir: dir, Today: Today, Log: slog.New(slog.DiscardHandler)})
	if err != nil {
		fmt.Fprintln(os.Stderr, "put the demo up for the tests:", err)
		return 1
	}
	defer s.Down()
	*up = s
	return m.Run()
}
