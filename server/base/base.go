package base

import (
	"log/slog"
	"runtime/debug"
	"sync/atomic"
	"time"

	"github.com/jackc/pgx/v5"

	_ "ambergate/core/kinds"
	"ambergate/plant"
	"ambergate/plant/certificate"
	"ambergate/records"
	"ambergate/server/bounds"
	"ambergate/server/fleet"
	"ambergate/server/metrics"
	"ambergate/store"
)

// Config is what a server works with. It owns none of it: who made it closes it.
type Config struct {
	Store   *store.Store
	Records map[string]*records.Source // by name of the connection
	Plants  map[string]*plant.Client   // by name of the connection
	// Certificate is the program's own, which plants are shown; nil: only those are reached that ask for none.
	Certificate *certificate.Own
	Now         func() time.Time
	Log         *slog.Logger
	Cookies     Cookies
	Told        pgx.QueryTracer // of every statement over connections that are added; nil: nobody
	Issuer      *Issuer         // of OpenID Connect, by which people may sign in too; nil: none
	Limits      bounds.Limits   // the zero value: those that are usual
	Key         []byte          // that all servers over the store have; nil: one of this program alone
	Fleet       *fleet.Fleet    // the servers over the store; nil: this one is alone
	Proxies     []string        // addresses or networks of proxies whose word is taken for where a request comes from; none: nobody's
}

// Issuer is one of OpenID Connect, and what its word is worth here.
type Issuer struct {
	URL, Client, Secret string
	Name                string // what it is called on the page
	Login               string // the claim that says what somebody signs in by; preferred_username when absent
	Make                bool   // who is not known gets an account
	Claim               string // the claim that roles are given by; its values are texts
	Roles               []IssuerRole
}

// IssuerRole is a role that a value of the claim gives, both by name.
type IssuerRole struct{ Value, Application, Role string }

// Base is what both sides stand on: the compiled projects, who asks, and what is read from where.
type Base struct {
	Config
	Apps      *Apps
	Connected *Connections
	Sessions  *Sessions
	Edits     *Watchers
	Presence  *Presence
	CalledUp  *Watchers // tabs that want to know that something was called up, or ended
	Changes   *Changes
	Calls     *bounds.Shares
	Downloads *bounds.Shares
	Streams   *bounds.Shares
	Metrics   *metrics.Metrics
	Replicas  bool        // some database has one
	hears     atomic.Bool // what others change
	ending    chan struct{}
	leaving   chan struct{}
}

// New makes what both sides stand on. Without a clock it is the system's.
func New(c Config) *Base {
	if c.Now == nil {
		c.Now = time.Now
	}
	c.Limits = c.Limits.Filled()
	b := &Base{Config: c, Edits: NewWatchers(), Presence: &Presence{NewWatchers(), c.Store, c.Fleet.Name(), c.Log}, CalledUp: NewWatchers(), Changes: newChanges(), ending: make(chan struct{}), leaving: make(chan struct{}), Calls: bounds.NewShares(c.Limits.Calls), Downloads: bounds.NewShares(c.Limits.Downloads), Streams: bounds.NewShares(c.Limits.Streams), Metrics: metrics.New()}
	c.Store.KeepPlaces(c.Fleet.Alone)
	for _, r := range c.Records {
		b.Replicas = b.Replicas || r.Replicated()
	}
	b.Apps = newApps(c.Store, b.Metrics, b.believed)
	b.Connected = newConnections(c)
	b.Sessions = newSessions(b)
	return b
}

// Recovered, deferred in what runs by itself, lets a panic end that alone: it is logged with its stack.
func Recovered(log *slog.Logger, what string) {
	if r := recover(); r != nil {
		log.Error("a part of the program panicked", "part", what, "panic", r, "stack", string(debug.Stack()))
	}
}

// Leave says that the program is about to end: no more requests are to be sent to it.
func (b *Base) Leave() { close(b.leaving) }

// Leaving is closed when it is.
func (b *Base) Leaving() <-chan struct{} { return b.leaving }

// EndStreams lets every event stream end, which none would by itself: before the server stops.
func (b *Base) EndStreams() { close(b.ending) }

// Ending is closed when event streams are to end.
func (b *Base) Ending() <-chan struct{} { return b.ending }
