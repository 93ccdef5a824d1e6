// Command wholemap opens the map and the table of reach of a project of 1,000 screens, and of one of 300, in a browser:
// how long it takes until they are drawn, and how many frames a second are drawn while they are panned and scrolled. It
// prints a table.
package main

import (
	"context"
	"fmt"
	"net/http/httptest"
	"os"
	"os/exec"

	"ambergate/bench/alone"
	"ambergate/bench/large"
	"ambergate/demo/stage"
	"ambergate/store"
)

func main() { alone.Run(run) }

func run(ctx context.Context, up *stage.Stage) error {
	for slug, size := range map[string]large.Size{"large": large.Full, "middle": {Screens: 300, GatesEach: 20, Conditions: 600, Roles: 20}} {
		if err := up.Store.CreateProject(ctx, "p_"+slug, large.Named(size, slug)); err != nil {
			return err
		}
		if err := up.Store.SetRights(ctx, "a_arno", "a_arno", "p_"+slug, store.Rights{Builds: true}); err != nil {
			return err
		}
	}
	server := httptest.NewServer(up.Server.Handler())
	defer server.Close()
	measure := exec.CommandContext(ctx, "node", "../bench/wholemap/measure.mjs", server.URL)
	measure.Dir, measure.Stdout, measure.Stderr = "e2e", os.Stdout, os.Stderr
	if err := measure.Run(); err != nil {
		return fmt.Errorf("measure in the browser: %w", err)
	}
	return nil
}
