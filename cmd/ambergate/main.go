// Command ambergate is the program: the server, the demo and the simulated plant.
package main

import (
	"context"
	"fmt"
	"os"
	"os/signal"
	"syscall"

	"github.com/spf13/cobra"
)

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	root := &cobra.Command{
		Use:           "ambergate",
		Short:         "Wires navigation across forms, dashboards and operator screens, and runs the result",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.AddCommand(demoCommand(), serveCommand(), plantCommand())
	if err := root.ExecuteContext(ctx); err != nil {
		fmt.Fprintln(os.Stderr, "ambergate:", err)
		stop()
		os.Exit(1)
	}
}
