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
	var o serveOptions
	c := &cobra.Command{
		Use:   "serve",
		Short: "Serve projects over databases and plants that exist already",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			return runServe(cmd.Context(), o)
		},
	}
	c.Flags().StringVar(&o.address, "address", "127.0.0.1:8080", "where to serve")
	c.Flags().StringVar(&o.store, "store", os.Getenv("AMBERGATE_STORE"), "connection string of the program's own database (or AMBERGATE_STORE)")
	c.Flags().StringArrayVar(&o.records, "records", nil, "NAME=CONNECTION of a record source; may be repeated")
	c.Flags().StringArrayVar(&o.plants, "plant", nil, "NAME=ENDPOINT,NAMESPACE of a plant; may be repeated")
	c.Flags().BoolVar(&o.secure, "behind-tls", false, "browsers reach it over TLS: cookies are sent over that alone")
	c.Flags().StringSliceVar(&o.proxies, "trusted-proxies", nil, "addresses or networks of proxies whose word is taken for where a request comes from")
	return c
}

// serveOptions is what a server is told when it starts.
type serveOptions struct {
	address, store           string
	records, plants, proxies []string
	secure                   bool
}

func runServe(ctx context.Context, o serveOptions) error {
	if o.store == "" {
		return errors.New("the program's own database is not named: use --store or AMBERGATE_STORE")
	}
	listener, err := listen(o.address)
	if err != nil {
		return err
	}
	defer listener.Close()
	log := slog.New(slog.NewTextHandler(os.Stderr, nil))
	slog.SetDefault(log)
	server.Tune(ctx)
	st, err := store.Open(ctx, o.store, store.Usual, nil)
	if err != nil {
		return err
	}
	defer st.Close()
	config := base.Config{Store: st, Records: map[string]*records.Source{}, Plants: map[string]*plant.Client{}, Pictures: demo.Picture, Log: log, Cookies: base.Cookies{Secure: o.secure}, Proxies: o.proxies}
	for _, one := range o.records {
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
	for _, one := range o.plants {
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
	return serve(ctx, listener, srv)
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

// finishWithin is how long running requests may take to finish when the program is to stop.
const finishWithin = 10 * time.Second

// serve answers until the context ends, then lets running requests finish: a press that began is done.
func serve(ctx context.Context, l net.Listener, of *server.Server) error {
	srv := &http.Server{Handler: of.Handler(), ReadHeaderTimeout: 5 * time.Second, ReadTimeout: 30 * time.Second, IdleTimeout: 2 * time.Minute}
	keeping, stop := context.WithCancel(ctx)
	defer stop()
	go of.Keep(keeping)
	failed := make(chan error, 1)
	go func() { failed <- srv.Serve(l) }()
	select {
	case err := <-failed:
		return fmt.Errorf("serve: %w", err)
	case <-ctx.Done():
	}
	of.EndStreams() // they would never finish by themselves
	closing, cancel := context.WithTimeout(context.Background(), finishWithin)
	defer cancel()
	if err := srv.Shutdown(closing); err != nil {
		return fmt.Errorf("stop serving: %w", err)
	}
	return nil
}
