package main

import (
	"context"
	"fmt"
	"log/slog"
	"os"
	"slices"
	"time"

	"github.com/spf13/cobra"

	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/server"
)

func demoCommand() *cobra.Command {
	var dir, address string
	var plantPort, servers int
	c := &cobra.Command{
		Use:   "demo",
		Short: "Run Tarnhorn Ropeway with a private database and a simulated plant",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			return runDemo(cmd.Context(), dir, address, plantPort, servers)
		},
	}
	c.Flags().StringVar(&dir, "dir", ".demo", "folder of the private cluster")
	c.Flags().StringVar(&address, "address", "127.0.0.1:8080", "where to serve")
	c.Flags().IntVar(&plantPort, "plant-port", 0, "port of the simulated plant on loopback (0: any free one)")
	c.Flags().IntVar(&servers, "servers", 1, "how many servers to run over the one database, behind a small balancer")
	return c
}

func runDemo(ctx context.Context, dir, address string, plantPort, servers int) error {
	listener, err := listen(address)
	if err != nil {
		return err
	}
	defer listener.Close()
	log := slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: slog.LevelInfo}))
	slog.SetDefault(log)
	server.Tune(ctx)
	began := time.Now()
	up, err := stage.Up(ctx, stage.Options{Dir: dir, PlantPort: plantPort, Today: time.Now(), Log: log})
	if err != nil {
		return err
	}
	defer up.Down()
	if err := up.Administered(ctx); err != nil {
		return err
	}
	kept := make(chan struct{})
	keeping, stopKeeping := context.WithCancel(ctx)
	go func() {
		defer close(kept)
		up.Cluster.Keep(keeping, func(what string, err error) { log.Warn(what, "error", err) })
	}()
	defer func() { stopKeeping(); <-kept }() // before the database is stopped for good
	fmt.Printf("\n  Tarnhorn Ropeway is up (%.1f s): http://%s\n\n  Sign in with a name as its own password:\n", time.Since(began).Seconds(), listener.Addr())
	for _, p := range append(slices.Clone(demo.People), demo.Runs) {
		fmt.Printf("    %-6s %-12s %s\n", p.Login, p.Name, p.Does)
	}
	if err := printCode(ctx, up); err != nil {
		return err
	}
	fmt.Printf("\n  The simulated plant: %s\n  Ctrl+C stops everything; the data stays. `make demo-reset` starts afresh.\n\n", up.Sim.Endpoint())
	if servers > 1 {
		return runServers(ctx, up, dir, listener, servers)
	}
	return serve(ctx, listener, up.Server, 0)
}

// printCode tells how a browser becomes the visitors' display, as long as none is.
func printCode(ctx context.Context, up *stage.Stage) error {
	code, err := up.DisplayCode(ctx)
	if err == nil && code != "" {
		fmt.Printf("\n  The visitors' display: open /display in a browser of its own and type %s\n", code)
	}
	return err
}
