package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"os"
	"strings"
	"syscall"
	"time"

	"github.com/spf13/cobra"

	"ambergate/demo"
	"ambergate/plant"
	"ambergate/records"
	"ambergate/server"
	"ambergate/server/base"
	"ambergate/store"
)

func serveCommand() *cobra.Command {
	var address, storeDSN string
	var sources, plants []string
	c := &cobra.Command{
		Use:   "serve",
		Short: "Serve projects over databases and plants that exist already",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			return runServe(cmd.Context(), address, storeDSN, sources, plants)
		},
	}
	c.Flags().StringVar(&address, "address", "127.0.0.1:8080", "where to serve")
	c.Flags().StringVar(&storeDSN, "store", os.Getenv("AMBERGATE_STORE"), "connection string of the program's own database (or AMBERGATE_STORE)")
	c.Flags().StringArrayVar(&sources, "records", nil, "NAME=CONNECTION of a record source; may be repeated")
	c.Flags().StringArrayVar(&plants, "plant", nil, "NAME=ENDPOINT,NAMESPACE of a plant; may be repeated")
	return c
}

func runServe(ctx context.Context, address, storeDSN string, sources, plants []string) error {
	if storeDSN == "" {
		return errors.New("the program's own database is not named: use --store or AMBERGATE_STORE")
	}
	listener, err := listen(address)
	if err != nil {
		return err
	}
	defer listener.Close()
	log := slog.New(slog.NewTextHandler(os.Stderr, nil))
	slog.SetDefault(log)
	server.Tune()
	st, err := store.Open(ctx, storeDSN, nil)
	if err != nil {
		return err
	}
	defer st.Close()
	config := base.Config{Store: st, Records: map[string]*records.Source{}, Plants: map[string]*plant.Client{}, Pictures: demo.Picture, Log: log}
	for _, one := range sources {
		name, dsn, ok := strings.Cut(one, "=")
		if !ok {
			return fmt.Errorf("--records %s: write NAME=CONNECTION", one)
		}
		source, err := records.Open(ctx, dsn, nil)
		if err != nil {
			return err
		}
		defer source.Close()
		config.Records[name] = source
	}
	for _, one := range plants {
		name, rest, _ := strings.Cut(one, "=")
		endpoint, namespace, ok := strings.Cut(rest, ",")
		if !ok {
			return fmt.Errorf("--plant %s: write NAME=ENDPOINT,NAMESPACE", one)
		}
		client := plant.Open(endpoint, namespace, name, log)
		defer client.Close()
		config.Plants[name] = client
	}
	srv, err := server.New(config)
	if err != nil {
		return err
	}
	if err := srv.Prepare(ctx); err != nil {
		return err
	}
	fmt.Printf("Amber Gate serves on http://%s\n", listener.Addr())
	return serve(ctx, listener, srv.Handler())
}

// listen takes the address first of all, so that a taken port is told before anything is started.
func listen(address string) (net.Listener, error) {
	l, err := net.Listen("tcp", address)
	if errors.Is(err, syscall.EADDRINUSE) {
		return nil, fmt.Errorf("the address %s is taken by another program: stop it, or choose another with --address (make demo ADDRESS=127.0.0.1:8081)", address)
	}
	if err != nil {
		return nil, fmt.Errorf("serve on %s: %w", address, err)
	}
	return l, nil
}

// serve answers until the context ends, then lets running requests finish.
func serve(ctx context.Context, l net.Listener, handler http.Handler) error {
	streams, endStreams := context.WithCancel(context.Background())
	defer endStreams()
	srv := &http.Server{Handler: handler, ReadHeaderTimeout: 5 * time.Second, ReadTimeout: 30 * time.Second, IdleTimeout: 2 * time.Minute,
		BaseContext: func(net.Listener) context.Context { return streams }}
	failed := make(chan error, 1)
	go func() { failed <- srv.Serve(l) }()
	select {
	case err := <-failed:
		return fmt.Errorf("serve: %w", err)
	case <-ctx.Done():
	}
	endStreams() // event streams would never finish by themselves
	closing, cancel := context.WithTimeout(context.Background(), 5*time.Second)
	defer cancel()
	if err := srv.Shutdown(closing); err != nil {
		return fmt.Errorf("stop serving: %w", err)
	}
	return nil
}
