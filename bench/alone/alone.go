// Package alone runs a measurement over a demo of its own, which is thrown away after it.
//
//   - alone.go: the frame of every such command
//   - program.go, post.go: the program as a process beside it, and calls to it
package alone

import (
	"context"
	"fmt"
	"io"
	"os"
	"time"

	"ambergate/demo/stage"
)

// Run puts a demo up and measures on it; what goes wrong is printed, and ends the program with 1.
func Run(measure func(ctx context.Context, up *stage.Stage) error) {
	if err := run(measure); err != nil {
		fmt.Fprintln(os.Stderr, "bench:", err)
		os.Exit(1)
	}
}

func run(measure func(ctx context.Context, up *stage.Stage) error) error {
	ctx := context.Background()
	up, end, err := stage.Throwaway(ctx, time.Now(), nil, io.Discard)
	if err != nil {
		return err
	}
	defer end()
	return measure(ctx, up)
}
