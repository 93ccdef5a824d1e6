package main

import (
	"context"
	"crypto/tls"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"os"
	"time"

	"ambergate/plant"
	"ambergate/server"
	"ambergate/server/fleet"
	"ambergate/store"
)

// joined makes this server one of those over a store, and takes the address where the others reach it. With a private
// cluster it is alone: nil.
func joined(o serveOptions, st *store.Store, key []byte, at net.Addr, log *slog.Logger) (*fleet.Fleet, net.Listener, error) {
	if o.store == "" {
		return nil, nil, nil
	}
	where := o.peers
	if where == "" {
		where = "127.0.0.1:0"
	}
	listener, err := net.Listen("tcp", where)
	if err != nil {
		return nil, nil, fmt.Errorf("take the address for other servers (--peers %s): %w", where, err)
	}
	host, err := os.Hostname()
	if err != nil {
		return nil, nil, fmt.Errorf("find the name of this machine: %w", err)
	}
	return fleet.New(fleet.Options{Store: st, Log: log, Name: host + " " + at.String(), Address: listener.Addr().String(), Version: version(), Key: key}), listener, nil
}

// servePeers answers other servers until it is stopped.
func servePeers(l net.Listener, f *fleet.Fleet, of *server.Server) (stop func(), err error) {
	config, err := f.ServerTLS()
	if err != nil {
		return nil, fmt.Errorf("answer other servers: %w", err)
	}
	plants := func(name string) *plant.Client { return of.Connected.Now().Plants[name] }
	srv := &http.Server{Handler: f.Handler(of.Handler(), plants), ReadHeaderTimeout: 5 * time.Second, IdleTimeout: 2 * time.Minute, ErrorLog: slog.NewLogLogger(slog.DiscardHandler, slog.LevelInfo)}
	done := make(chan struct{})
	go func() {
		defer close(done)
		if err := srv.Serve(tls.NewListener(l, config)); !errors.Is(err, http.ErrServerClosed) {
			slog.Error("other servers are not answered any more", "error", err)
		}
	}()
	return func() {
		closing, cancel := context.WithTimeout(context.Background(), time.Second)
		defer cancel()
		if srv.Shutdown(closing) != nil {
			_ = srv.Close() // those who still hear values hear them from another one
		}
		<-done
	}, nil
}
