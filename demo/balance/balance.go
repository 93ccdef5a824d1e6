// Package balance is a small HTTP balancer in front of several servers, for the demo and for tests: an ordinary one takes
// its place where the program is used. It knows nothing of the program but which of its servers say that they are ready.
package balance

import (
	"context"
	"errors"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/http/httputil"
	"net/url"
	"sync"
	"sync/atomic"
	"time"
)

// How often it is asked which servers are ready, and how long one may take to say so.
const (
	askEvery  = 200 * time.Millisecond
	askWithin = time.Second
)

// Balancer passes each request on to one of several servers, in turn.
type Balancer struct {
	servers []*behind
	next    atomic.Uint64
	proxy   *httputil.ReverseProxy
	client  http.Client
}

type behind struct {
	address string
	ready   atomic.Bool
}

var errNone = errors.New("no server is ready")

// New makes a balancer over servers by their addresses, HOST:PORT. None counts as ready before it was asked.
func New(addresses []string) *Balancer {
	b := &Balancer{client: http.Client{Timeout: askWithin}}
	for _, a := range addresses {
		b.servers = append(b.servers, &behind{address: a})
	}
	dialer := &net.Dialer{Timeout: time.Second}
	transport := &http.Transport{
		MaxIdleConnsPerHost: 256, IdleConnTimeout: 30 * time.Second,
		// A server that does not take the connection has done nothing: the next one is asked.
		DialContext: func(ctx context.Context, network, address string) (net.Conn, error) {
			conn, err := dialer.DialContext(ctx, network, address)
			if err == nil {
				return conn, nil
			}
			for range b.servers {
				s := b.pick()
				if s == nil || s.address == address {
					continue
				}
				if conn, otherErr := dialer.DialContext(ctx, network, s.address); otherErr == nil {
					return conn, nil
				}
			}
			return nil, err
		},
	}
	b.proxy = &httputil.ReverseProxy{
		Transport:     transport,
		FlushInterval: -1,
		ErrorLog:      slog.NewLogLogger(slog.DiscardHandler, slog.LevelInfo),
		Rewrite: func(p *httputil.ProxyRequest) {
			if s := b.pick(); s != nil {
				p.SetURL(&url.URL{Scheme: "http", Host: s.address})
			}
			p.Out.Host = p.In.Host
			p.SetXForwarded()
		},
		ErrorHandler: func(w http.ResponseWriter, _ *http.Request, _ error) {
			w.Header().Set("Content-Type", "application/json; charset=utf-8")
			w.WriteHeader(http.StatusBadGateway)
			_, _ = io.WriteString(w, `{"code":"no-answer","what":"No server answers at this moment.","then":"Nothing is lost. This goes on by itself."}`)
		},
	}
	return b
}

// pick gives the next server that is ready; nil for none.
func (b *Balancer) pick() *behind {
	for range b.servers {
		if s := b.servers[b.next.Add(1)%uint64(len(b.servers))]; s.ready.Load() {
			return s
		}
	}
	return nil
}

// ServeHTTP passes a request on.
func (b *Balancer) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	b.proxy.ServeHTTP(w, r)
}

// Keep asks which servers are ready until the context ends.
func (b *Balancer) Keep(ctx context.Context) {
	var asking sync.WaitGroup
	defer asking.Wait()
	for _, s := range b.servers {
		asking.Go(func() {
			for ctx.Err() == nil {
				s.ready.Store(b.ask(ctx, s))
				select {
				case <-ctx.Done():
				case <-time.After(askEvery):
				}
			}
		})
	}
}

func (b *Balancer) ask(ctx context.Context, s *behind) bool {
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, "http://"+s.address+"/readyz", nil)
	if err != nil {
		return false
	}
	resp, err := b.client.Do(req)
	if err != nil {
		return false
	}
	_ = resp.Body.Close()
	return resp.StatusCode == http.StatusOK
}

// Ready waits until so many servers are ready; the error is that of the context.
func (b *Balancer) Ready(ctx context.Context, n int) error {
	for {
		ready := 0
		for _, s := range b.servers {
			if s.ready.Load() {
				ready++
			}
		}
		if ready >= n {
			return nil
		}
		select {
		case <-ctx.Done():
			return errors.Join(errNone, ctx.Err())
		case <-time.After(20 * time.Millisecond):
		}
	}
}
