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
	"ambergate/server/bounds"
	"ambergate/store"
	"ambergate/store/hashing"
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
		o.issuer, o.plantsAt, o.limits = said.Issuer.issuer(), plantsOf(o.plants, said.Plants), said.Limits
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
	c.Flags().StringVar(&o.peers, "peers", "", "where other servers over the same store reach this one, HOST:PORT; when absent on loopback alone")
	c.Flags().StringArrayVar(&o.records, "records", nil, "NAME=CONNECTION of a record source; may be repeated")
	c.Flags().StringArrayVar(&o.replicas, "replica", nil, "NAME=CONNECTION of a streaming replica of a record source, for reading; may be repeated")
	c.Flags().StringArrayVar(&o.plants, "plant", nil, "NAME=ENDPOINT,NAMESPACE of a plant; may be repeated")
	c.Flags().StringVar(&o.metrics, "metrics", "", "where to tell what is counted and timed (Prometheus), HOST:PORT; when absent nowhere")
	c.Flags().StringVar(&o.logs, "log", "text", "how to log: text or json")
	c.Flags().StringVar(&o.logLevel, "log-level", "info", "what to log: debug (every call), info, warn or error")
	c.Flags().StringVar(&o.cert, "tls-cert", "", "certificate to serve over TLS with, a PEM file; read again when it changes")
	c.Flags().StringVar(&o.certKey, "tls-key", "", "its key, a PEM file")
	c.Flags().DurationVar(&o.drain, "drain", 0, "how long it goes on answering after it was told to end, while it says that it is not ready; 1s where there are other servers")
	c.Flags().BoolVar(&o.secure, "behind-tls", false, "browsers reach it over TLS: cookies are sent over that alone")
	c.Flags().StringSliceVar(&o.proxies, "trusted-proxies", nil, "addresses or networks of proxies whose word is taken for where a request comes from")
	return c, o
}

// serveOptions is what a server is told when it starts.
type serveOptions struct {
	address, dir, store      string
	peers, metrics           string
	replicas                 []string
	logs, logLevel           string
	cert, certKey            string
	drain                    time.Duration
	limits                   bounds.Limits
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
	log := logger(o.logs, o.logLevel)
	slog.SetDefault(log)
	listener, err = secured(ctx, listener, o, log)
	if err != nil {
		return err
	}
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
	st, err := store.Open(ctx, dsn, hashing.Usual, nil)
	if err != nil {
		return err
	}
	defer st.Close()
	secret, err := key(o.dir)
	if err != nil {
		return err
	}
	if keyOpen(o.dir) {
		log.Warn("others on this machine can read the key: let only who runs the program read it (chmod 600)", "file", filepath.Join(o.dir, keyFile))
	}
	if err := st.UseKey(secret); err != nil {
		return err
	}
	shown, err := certificate.Kept(o.dir)
	if err != nil {
		return err
	}
	together, peers, err := joined(o, st, secret, listener.Addr(), log)
	if err != nil {
		return err
	}
	config := base.Config{Store: st, Key: secret, Fleet: together, Certificate: shown, Records: map[string]*records.Source{}, Plants: map[string]*plant.Client{}, Log: log, Limits: o.limits, Cookies: base.Cookies{Secure: o.secure || o.cert != ""}, Proxies: o.proxies, Issuer: o.issuer}
	for _, one := range o.records {
		name, dsn, _ := strings.Cut(one, "=")
		source, err := records.Open(ctx, dsn, nil)
		if err != nil {
			return err
		}
		defer source.Close()
		config.Records[name] = source
	}
	for _, one := range o.replicas {
		name, dsn, _ := strings.Cut(one, "=")
		if err := config.Records[name].AddReplica(ctx, dsn, nil); err != nil {
			return err
		}
	}
	for name, at := range o.plantsAt {
		at.Own = config.Certificate
		client := plant.Open(at, name, log, together.Lead())
		defer client.Close()
		config.Plants[name] = client
	}
	srv, err := server.New(config)
	if err != nil {
		return err
	}
	defer srv.Close()
	if peers != nil {
		stop, err := servePeers(peers, together, srv)
		if err != nil {
			return err
		}
		defer stop()
	}
	if err := srv.Prepare(ctx); err != nil {
		return err
	}
	if o.metrics != "" {
		stop, err := serveMetrics(o.metrics, srv)
		if err != nil {
			return err
		}
		defer stop()
	}
	scheme := "http"
	if o.cert != "" {
		scheme = "https"
	}
	fmt.Printf("Amber Gate serves on %s://%s\n", scheme, listener.Addr())
	if err := sayFirst(ctx, st, listener.Addr()); err != nil {
		return err
	}
	if o.drain == 0 && together != nil {
		o.drain = drainWithOthers
	}
	return serve(ctx, listener, srv, o.drain)
}

// drainWithOthers is long enough for balancers that ask each second which servers are ready.
const drainWithOthers = time.Second

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

// serve answers until the context ends, goes on for a while in which it says that it is not ready, and then lets running
// requests finish: a press that began is done.
func serve(ctx context.Context, l net.Listener, of *server.Server, drain time.Duration) error {
	srv := &http.Server{Handler: of.Handler(), ReadHeaderTimeout: 5 * time.Second, ReadTimeout: 30 * time.Second, IdleTimeout: 2 * time.Minute}
	// What the server does by itself goes on until the last request has ended: a press that is under way still leads.
	keeping, stop := context.WithCancel(context.WithoutCancel(ctx))
	kept := make(chan struct{})
	go func() { defer close(kept); of.Keep(keeping) }()
	defer func() { stop(); <-kept }()
	failed := make(chan error, 1)
	go func() { failed <- srv.Serve(l) }()
	select {
	case err := <-failed:
		return fmt.Errorf("serve: %w", err)
	case <-ctx.Done():
	}
	of.Leave()
	select {
	case <-time.After(drain):
	case err := <-failed:
		return fmt.Errorf("serve: %w", err)
	}
	of.EndStreams() // they would never finish by themselves
	closing, cancel := context.WithTimeout(context.Background(), finishWithin)
	defer cancel()
	err := srv.Shutdown(closing)
	of.EndHolds(closing) // while this server may still write
	if err != nil {
		return fmt.Errorf("stop serving: %w", err)
	}
	return nil
}
