package server

import (
	"context"
	"errors"
	"fmt"
	"net/http"
	"net/url"
	"runtime/debug"
	"strings"
	"sync"
	"time"
	"unicode/utf8"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	_ "ambergate/core/kinds"
	"ambergate/records"
	"ambergate/server/administer"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/server/build"
	"ambergate/server/recorded"
	"ambergate/server/release"
	"ambergate/server/use"
	"ambergate/store"
)

// Server answers requests: those of the two sides, and what belongs to neither.
type Server struct {
	*base.Base
	*users
	*builders
	*releases
	*administrators
	handler http.Handler
}

type (
	users    = use.Side
	builders = build.Side
	releases = release.Side

	administrators = administer.Side
)

// New prepares a server.
func New(c base.Config) (*Server, error) {
	b := base.New(c)
	builds := build.New(b)
	s := &Server{Base: b, users: use.New(b), builders: builds, releases: release.New(builds), administrators: administer.New(b)}
	gin.SetMode(gin.ReleaseMode)
	engine := gin.New()
	engine.HandleMethodNotAllowed = true
	if err := engine.SetTrustedProxies(c.Proxies); err != nil {
		return nil, fmt.Errorf("read the addresses of trusted proxies: %w", err)
	}
	engine.ContextWithFallback = true // a request's end ends what is done for it
	engine.Use(answer.LogTo(s.Log), s.noted, s.headers, s.recoverPanics, readable, s.bounded)
	engine.NoMethod(func(c *gin.Context) {
		answer.Fail(c, &ask.Refusal{Code: "no-such-call", What: "This call does not exist in this form.", Then: "See the API document."})
	})
	api.RegisterHandlersWithOptions(engine, s, api.GinServerOptions{ErrorHandler: func(c *gin.Context, err error, _ int) {
		answer.Fail(c, &ask.Refusal{Code: "bad-request", What: "This call cannot be read: " + err.Error() + ".", Then: "See the API document."})
	}})
	engine.GET("/api/openapi.yaml", func(c *gin.Context) { c.Data(http.StatusOK, "application/yaml", api.Document) })
	engine.GET("/api/issuer", s.BeginAtIssuer)
	engine.GET(administer.CallbackPath, s.EndAtIssuer)
	engine.NoRoute(s.client)
	protection := http.NewCrossOriginProtection()
	protection.SetDenyHandler(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		s.setHeaders(w.Header())
		answer.WriteProblem(w, http.StatusForbidden, api.Problem{Code: "cross-origin", What: "This call came from another site.", Then: answer.Ptr("Use the application itself.")})
	}))
	s.handler = protection.Handler(engine)
	s.measure()
	return s, nil
}

// Handler gives the HTTP handler of everything.
func (s *Server) Handler() http.Handler { return s.handler }

// Prepare settles what an earlier run left behind.
func (s *Server) Prepare(ctx context.Context) error {
	if err := s.Connected.Load(ctx); err != nil {
		return fmt.Errorf("prepare the server: %w", err)
	}
	if s.Fleet != nil {
		s.Fleet.OnLead(s.settle)
		if err := s.Fleet.Join(ctx); err != nil {
			return fmt.Errorf("prepare the server: %w", err)
		}
		s.Fleet.BeKnown(ctx)
		return nil
	}
	leading, err := s.settle(ctx)
	if err != nil {
		return fmt.Errorf("prepare the server: %w", err)
	}
	leading()
	return nil
}

// settle ends what an earlier run, or the server that led before, left of plants: what was sent, and then what was held.
func (s *Server) settle(ctx context.Context) (leading func(), err error) {
	if err := s.Store.SettleCommands(ctx); err != nil {
		return nil, err
	}
	return s.users.SettleHolds(ctx)
}

// Close lets go what is held, and closes what the server connected to by itself.
func (s *Server) Close() {
	ctx, cancel := context.WithTimeout(context.Background(), 3*time.Second)
	defer cancel()
	s.users.EndHolds(ctx)
	s.Connected.Close()
}

// How often what is old is forgotten, and after how long it is tried again where that failed, or another server led.
const (
	forgetEvery = time.Hour
	forgetAgain = time.Minute
)

// Keep watches what the plant calls up, reads the databases again once, and forgets what is old again and again, until
// the context ends.
func (s *Server) Keep(ctx context.Context) {
	var watching sync.WaitGroup
	defer watching.Wait()
	if s.Fleet != nil {
		watching.Go(func() { s.Fleet.Keep(ctx) })
	}
	watching.Go(func() { s.Hear(ctx) })
	watching.Go(func() { s.TellRecords(ctx) })
	watching.Go(func() { s.WatchCallUps(ctx) })
	watching.Go(func() { recorded.New(s.Base).Keep(ctx) })
	watching.Go(func() { s.KeepUsed(ctx) })
	s.TellDifferences(ctx, s.Log)
	for {
		next := forgetAgain
		if s.forgetOld(ctx) {
			next = forgetEvery
		}
		select {
		case <-ctx.Done():
			return
		case <-time.After(next):
		}
	}
}

// KeepUsed keeps how often ways are pressed until the context ends.
func (s *Server) KeepUsed(ctx context.Context) { s.users.KeepUsed(ctx) }

// WatchCallUps watches what the plant calls up until the context ends.
func (s *Server) WatchCallUps(ctx context.Context) { s.users.CallUps.Keep(ctx) }

// forgetOld says whether all that is old was forgotten.
func (s *Server) forgetOld(ctx context.Context) (all bool) {
	defer base.Recovered(s.Log, "forget what is old")
	if !s.Fleet.Leads() { // one server does it for all
		return false
	}
	all = true
	if err := s.Store.ForgetOld(ctx, s.Now()); err != nil && ctx.Err() == nil {
		s.Log.Warn("what is old could not be forgotten; it is tried again in a minute", "error", err)
		all = false
	}
	for name, r := range s.Connected.Now().Records {
		if err := r.ForgetOld(ctx, s.Now()); err != nil && ctx.Err() == nil {
			s.Log.Warn("old presses could not be forgotten", "source", name, "error", err)
			all = all && errors.Is(err, records.ErrMayNotForget) // which it will not in a minute either
		}
	}
	return all
}

func (s *Server) recoverPanics(c *gin.Context) {
	defer func() {
		if r := recover(); r != nil {
			if err, ok := r.(error); ok && errors.Is(err, http.ErrAbortHandler) {
				panic(r)
			}
			s.Log.Error("a request panicked", "path", c.Request.URL.Path, "panic", r, "stack", string(debug.Stack()))
			answer.Fail(c, errors.New("the request panicked"))
		}
	}()
	c.Request = c.Request.WithContext(store.From(c.Request.Context(), c.ClientIP()))
	limits := s.Limits
	most := limits.Body
	if strings.HasSuffix(c.FullPath(), "/pictures") {
		most = limits.Picture
	}
	if strings.HasSuffix(c.FullPath(), "/clips") {
		most = limits.Clip
	}
	if strings.HasPrefix(c.FullPath(), "/api/imports") {
		most = limits.File
	}
	c.Request.Body = http.MaxBytesReader(c.Writer, c.Request.Body, most)
	c.Next()
}

// bounded ends what takes too long. A database that is there and does not answer in time is told as late.
func (s *Server) bounded(c *gin.Context) {
	due := s.Limits.Due(c.FullPath())
	if due == 0 {
		c.Next()
		return
	}
	ctx, cancel := context.WithTimeout(c.Request.Context(), due)
	defer cancel()
	if s.Fleet != nil { // cut off from the store: asked again, another server answers
		if heard := s.Fleet.Heard(); heard.Err() == nil {
			defer context.AfterFunc(heard, cancel)()
		}
	}
	c.Request = c.Request.WithContext(ctx)
	c.Next()
}

// readable refuses addresses that are no text: no database takes them.
func readable(c *gin.Context) {
	whole, err := url.QueryUnescape(c.Request.URL.RawQuery)
	if path := c.Request.URL.Path; err != nil || !utf8.ValidString(path+whole) || strings.ContainsRune(path+whole, 0) {
		answer.Fail(c, &ask.Refusal{Code: "bad-address", What: "This address cannot be read.", Then: "Check it, or go home."})
		return
	}
	c.Next()
}

// headers are the same for every answer: nothing is kept by caches, no script but ours runs.
func (s *Server) headers(c *gin.Context) {
	s.setHeaders(c.Writer.Header())
	c.Next()
}

func (s *Server) setHeaders(h http.Header) {
	h.Set("Cache-Control", "no-store")
	h.Set("Content-Security-Policy", "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; media-src 'self' blob:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'")
	h.Set("X-Content-Type-Options", "nosniff")
	h.Set("Referrer-Policy", "same-origin")
	if s.Cookies.Secure { // RFC 6797
		h.Set("Strict-Transport-Security", "max-age=31536000")
	}
}

// GetStatus tells what the program can reach; by name only to who is signed in.
func (s *Server) GetStatus(c *gin.Context) {
	ctx, cancel := context.WithTimeout(c, 2*time.Second)
	defer cancel()
	status := api.Status{Store: s.Store.Ping(ctx) == nil, Sources: map[string]bool{}}
	if _, err := s.Sessions.Who(c, ""); err != nil {
		c.JSON(http.StatusOK, status)
		return
	}
	for name, r := range s.Connected.Now().Records {
		status.Sources[name] = r.Ping(ctx) == nil
	}
	for name, p := range s.Connected.Now().Plants {
		status.Sources[name] = p.Good()
	}
	c.JSON(http.StatusOK, status)
}
