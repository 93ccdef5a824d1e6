package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"time"

	"github.com/spf13/cobra"

	"ambergate/cluster"
	"ambergate/plant"
	"ambergate/plant/certificate"
	"ambergate/records"
	"ambergate/server"
	"ambergate/server/base"
	"ambergate/store"
)

func serveCommand() *cobra.Command {
	c, o := newServeCommand()
	var file string
	c.Flags().StringVar(&file, "config", os.Getenv("AMBERGATE_CONFIG"), "a file (YAML) that says what no flag and no variable says")
	c.RunE = func(cmd *cobra.Command, _ []string) error {
		var said settings
		if file != "" {
			var err error
			if said, err = readSettings(file); err != nil {
				return err
			}
		}
		if err := fill(cmd.Flags(), said); err != nil {
			return err
		}
		o.issuer, o.plantsAt = said.Issuer.issuer(), plantsOf(o.plants, said.Plants)
		if wrong := o.wrong(); len(wrong) > 0 {
			return errors.New("it cannot be started like this:\n  " + strings.Join(wrong, "\n  "))
		}
		return runServe(cmd.Context(), *o)
	}
	return c
}

func newServeCommand() (*cobra.Command, *serveOptions) {
	o := &serveOptions{}
	c := &cobra.Command{
		Use:   "serve",
		Short: "Serve applications over one's own databases and plants",
		Long: `Serve applications over one's own databases and plants.

Each flag can be said by a variable of the environment too (AMBERGATE_ADDRESS for --address), and by a file (--config).
Without --store the program keeps what is its own in a private PostgreSQL cluster in its folder.`,
		Args: cobra.NoArgs,
	}
	c.Flags().StringVar(&o.address, "address", "127.0.0.1:8080", "where to serve")
	c.Flags().StringVar(&o.dir, "dir", "ambergate-data", "folder of the program: its key, and its private cluster where no store is named")
	c.Flags().StringVar(&o.store, "store", "", "connection string of the program's own database")
	c.Flags().StringArrayVar(&o.records, "records", nil, "NAME=CONNECTION of a record source; may be repeated")
	c.Flags().StringArrayVar(&o.plants, "plant", nil, "NAME=ENDPOINT,NAMESPACE of a plant; may be repeated")
	c.Flags().BoolVar(&o.secure, "behind-tls", false, "browsers reach it over TLS: cookies are sent over that alone")
	c.Flags().StringSliceVar(&o.proxies, "trusted-proxies", nil, "addresses or networks of proxies whose word is taken for where a request comes from")
	return c, o
}

// serveOptions is what a server is told when it starts.
type serveOptions struct {
	address, dir, store      string
	records, plants, proxies []string
	secure                   bool
	plantsAt                 map[string]plant.Settings // by name, wherever they were said
	issuer                   *base.Issuer
}

func runServe(ctx context.Context, o serveOptions) error {
	listener, err := listen(o.address)
	if err != nil {
		return err
	}
	defer listener.Close()
	log := slog.New(slog.NewTextHandler(os.Stderr, nil))
	slog.SetDefault(log)
	server.Tune(ctx)
	dsn := o.store
	if dsn == "" {
		own, stop, err := ownCluster(ctx, o.dir, log)
		if err != nil {
			return err
		}
		defer stop()
		dsn = own
	}
	st, err := store.Open(ctx, dsn, store.Usual, nil)
	if err != nil {
		return err
	}
	defer st.Close()
	secret, err := key(o.dir)
	if err != nil {
		return err
	}
	if err := st.UseKey(secret); err != nil {
		return err
	}
	shown, err := certificate.Kept(o.dir)
	if err != nil {
		return err
	}
	config := base.Config{Store: st, Certificate: shown, Records: map[string]*records.Source{}, Plants: map[string]*plant.Client{}, Log: log, Cookies: base.Cookies{Secure: o.secure}, Proxies: o.proxies, Issuer: o.issuer}
	for _, one := range o.records {
		name, dsn, _ := strings.Cut(one, "=")
		source, err := records.Open(ctx, dsn, nil)
		if err != nil {
			return err
		}
		defer source.Close()
		config.Records[name] = source
	}
	for name, at := range o.plantsAt {
		at.Own = config.Certificate
		client := plant.Open(at, name, log)
		defer client.Close()
		config.Plants[name] = client
	}
	srv, err := server.New(config)
	if err != nil {
		return err
	}
	defer srv.Close()
	if err := srv.Prepare(ctx); err != nil {
		return err
	}
	fmt.Printf("Amber Gate serves on http://%s\n", listener.Addr())
	if err := sayFirst(ctx, st, listener.Addr()); err != nil {
		return err
	}
	return serve(ctx, listener, srv)
}

// ownCluster starts the private cluster in the program's folder, and keeps it up.
func ownCluster(ctx context.Context, dir string, log *slog.Logger) (dsn string, stop func(), err error) {
	c, err := cluster.Start(ctx, dir)
	if err != nil {
		return "", nil, err
	}
	if dsn, err = c.Database(ctx, "ambergate", true); err != nil {
		c.Stop()
		return "", nil, err
	}
	keeping, end := context.WithCancel(ctx)
	kept := make(chan struct{})
	go func() {
		defer close(kept)
		c.Keep(keeping, func(what string, err error) { log.Warn(what, "error", err) })
	}()
	where, err := filepath.Abs(dir)
	if err != nil {
		where = dir
	}
	fmt.Printf("What is its own lies in %s\n", where)
	return dsn, func() { end(); <-kept; c.Stop() }, nil
}

// sayFirst prints the one address by which the first person comes in, as long as nobody is there.
func sayFirst(ctx context.Context, st *store.Store, at net.Addr) error {
	needed, err := st.NeedsFirst(ctx)
	if err != nil || !needed {
		return err
	}
	token, err := st.FirstLink(ctx, time.Now())
	if err != nil {
		return err
	}
	fmt.Printf("\nNobody is here yet. Who opens this address within 30 minutes becomes the first, and administers:\n\n  http://%s/first#%s\n\n", at, token)
	return nil
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
