package main

import (
	"context"
	"crypto/tls"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"net/http/pprof"
	"os"
	"sync/atomic"
	"time"

	"ambergate/server"
)

func levelOf(name string) (slog.Level, error) {
	var level slog.Level
	err := level.UnmarshalText([]byte(name))
	return level, err
}

// logger logs to the standard error output, as lines of text or of JSON.
func logger(form, level string) *slog.Logger {
	least, err := levelOf(level)
	if err != nil {
		least = slog.LevelInfo
	}
	if options := (&slog.HandlerOptions{Level: least}); form == "json" {
		return slog.New(slog.NewJSONHandler(os.Stderr, options))
	} else {
		return slog.New(slog.NewTextHandler(os.Stderr, options))
	}
}

// serveMetrics tells what is counted and timed at an address of its own, and whether the program lives and is ready.
func serveMetrics(address string, of *server.Server) (stop func(), err error) {
	l, err := listen(address)
	if err != nil {
		return nil, err
	}
	mux := http.NewServeMux()
	mux.Handle("GET /metrics", of.Metrics.Handler())
	mux.Handle("GET /healthz", of.Handler())
	mux.Handle("GET /readyz", of.Handler())
	// Where the time goes, and the memory (go tool pprof); this address is not everybody’s.
	mux.HandleFunc("GET /debug/pprof/", pprof.Index)
	mux.HandleFunc("GET /debug/pprof/profile", pprof.Profile)
	srv := &http.Server{Handler: mux, ReadHeaderTimeout: 5 * time.Second}
	go func() {
		if err := srv.Serve(l); !errors.Is(err, http.ErrServerClosed) {
			slog.Error("metrics are not told any more", "error", err)
		}
	}()
	return func() { _ = srv.Close() }, nil
}

// certificateLooked is how often it is looked whether a certificate was renewed.
const certificateLooked = 10 * time.Second

// secured serves over TLS where a certificate is named, which is read again whenever its file changes.
func secured(ctx context.Context, l net.Listener, o serveOptions, log *slog.Logger) (net.Listener, error) {
	if o.cert == "" {
		return l, nil
	}
	var shown atomic.Pointer[tls.Certificate]
	read := func() error {
		pair, err := tls.LoadX509KeyPair(o.cert, o.certKey)
		if err != nil {
			return fmt.Errorf("read the certificate: %w", err)
		}
		shown.Store(&pair)
		return nil
	}
	if err := read(); err != nil {
		return nil, err
	}
	go func() {
		was := changedAt(o.cert, o.certKey)
		tick := time.NewTicker(certificateLooked)
		defer tick.Stop()
		for {
			select {
			case <-ctx.Done():
				return
			case <-tick.C:
			}
			now := changedAt(o.cert, o.certKey)
			if now == was {
				continue
			}
			if err := read(); err != nil {
				log.Warn("the renewed certificate is not used; the one from before is", "error", err)
				continue
			}
			was = now
			log.Info("the certificate was renewed", "file", o.cert)
		}
	}()
	return tls.NewListener(l, &tls.Config{
		MinVersion: tls.VersionTLS12, NextProtos: []string{"h2", "http/1.1"},
		GetCertificate: func(*tls.ClientHelloInfo) (*tls.Certificate, error) { return shown.Load(), nil },
	}), nil
}

// changedAt tells when files were changed last, as text.
func changedAt(files ...string) string {
	out := ""
	for _, f := range files {
		if info, err := os.Stat(f); err == nil {
			out += info.ModTime().String() + "|"
		}
	}
	return out
}
