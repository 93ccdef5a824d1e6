// Command ambergate is the program: the server, the demo, the simulated plant, and applications as files.
package main

import (
	"context"
	"errors"
	"fmt"
	"maps"
	"os"
	"os/signal"
	"runtime/debug"
	"slices"
	"strings"
	"syscall"
	_ "time/tzdata" // zones, on machines that have none

	"github.com/spf13/cobra"

	"ambergate/core/ask"
)

// version tells from which state of the source the program was built.
func version() string {
	info, ok := debug.ReadBuildInfo()
	if !ok {
		return "unknown"
	}
	out := info.Main.Version
	for _, s := range info.Settings {
		if s.Key == "vcs.revision" && len(s.Value) >= 12 && !strings.Contains(out, s.Value[:12]) {
			out += " " + s.Value[:12]
		}
	}
	return out
}

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	root := &cobra.Command{
		Use:           "ambergate",
		Short:         "Wires navigation across forms, dashboards and operator screens, and runs the result",
		Version:       version(),
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.AddCommand(demoCommand(), serveCommand(), plantCommand(), configCommand(), exportCommand(), importCommand(), schemaCommand(), checkCommand(), walkCommand(), issuerCommand())
	if err := root.ExecuteContext(ctx); err != nil {
		var fields *ask.FieldErrors
		if errors.As(err, &fields) {
			for _, name := range slices.Sorted(maps.Keys(fields.Fields)) {
				fmt.Fprintf(os.Stderr, "ambergate: %s: %s\n", name, fields.Fields[name])
			}
		} else if !errors.Is(err, errBroken) { // what is broken was said
			fmt.Fprintln(os.Stderr, "ambergate:", err)
		}
		stop()
		os.Exit(1)
	}
}
