package base

import (
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"net"
	"net/url"
	"reflect"
	"strconv"
	"sync"
	"sync/atomic"
	"time"

	"ambergate/plant"
	"ambergate/records"
	"ambergate/store"
)

// DatabaseSettings is where a database is, and who signs in to it: all but the password.
type DatabaseSettings struct {
	Host     string `json:"host"`
	Port     int    `json:"port"`
	Database string `json:"database"`
	Login    string `json:"login"`
	TLS      string `json:"tls"` // off, required, verified
}

// tlsModes are PostgreSQL's words (sslmode) for ours.
var tlsModes = map[string]string{"off": "disable", "required": "require", "verified": "verify-full"}

// DSN writes a connection string.
func (d DatabaseSettings) DSN(password string) string {
	mode := tlsModes[d.TLS]
	if mode == "" {
		mode = "verify-full"
	}
	u := url.URL{Scheme: "postgres", User: url.UserPassword(d.Login, password), Host: net.JoinHostPort(d.Host, strconv.Itoa(d.Port)), Path: "/" + d.Database, RawQuery: url.Values{"sslmode": {mode}, "connect_timeout": {"4"}}.Encode()}
	return u.String()
}

// Open is what is connected at a moment: those of the configuration, and those that were added in the program.
type Open struct {
	Records map[string]*records.Source
	Plants  map[string]*plant.Client
}

// Connections are what applications are connected to. Safe for use by many at once.
type Connections struct {
	config Config
	open   atomic.Pointer[Open]
	mu     sync.Mutex // while they change
	added  map[string]addedConnection
}

// addedConnection is one that was added in the program, as it was opened.
type addedConnection struct {
	kept   store.Connection
	source *records.Source
}

func newConnections(c Config) *Connections {
	out := &Connections{config: c, added: map[string]addedConnection{}}
	out.open.Store(&Open{Records: c.Records, Plants: c.Plants})
	return out
}

// Now gives what is connected. It is not changed.
func (c *Connections) Now() *Open { return c.open.Load() }

// Fixed says whether a connection stands in the configuration of the program.
func (c *Connections) Fixed(name string) bool {
	return c.config.Records[name] != nil || c.config.Plants[name] != nil
}

// closeAfter is how long what is connected no more is still there for those who use it at this moment.
const closeAfter = time.Minute

// Load connects what was added in the program, as it is kept now. One that cannot be opened is passed over: what is
// over it says so.
func (c *Connections) Load(ctx context.Context) error {
	c.mu.Lock()
	defer c.mu.Unlock()
	kept, err := c.config.Store.Connections(ctx)
	if err != nil {
		return fmt.Errorf("connect what was added: %w", err)
	}
	next := &Open{Records: maps.Clone(c.config.Records), Plants: c.config.Plants}
	if next.Records == nil {
		next.Records = map[string]*records.Source{}
	}
	added := map[string]addedConnection{}
	for _, k := range kept {
		if c.Fixed(k.Name) || k.Sealed || k.Kind != "postgresql" {
			continue
		}
		one := c.added[k.Name]
		if one.source == nil || !reflect.DeepEqual(one.kept, k) {
			var d DatabaseSettings
			if err := json.Unmarshal(k.Settings, &d); err != nil {
				return fmt.Errorf("read the connection %s: %w", k.Name, err)
			}
			// Its pools live until it is closed, not until whoever asked has the answer.
			source, err := records.Open(context.WithoutCancel(ctx), d.DSN(k.Secret), c.config.Told)
			if err != nil {
				c.config.Log.Warn("a connection cannot be opened", "connection", k.Name, "error", err)
				continue
			}
			one = addedConnection{kept: k, source: source}
		}
		added[k.Name], next.Records[k.Name] = one, one.source
	}
	for name, one := range c.added {
		if added[name].source != one.source {
			time.AfterFunc(closeAfter, one.source.Close)
		}
	}
	c.added = added
	c.open.Store(next)
	return nil
}

// Close closes what was added.
func (c *Connections) Close() {
	c.mu.Lock()
	defer c.mu.Unlock()
	for _, one := range c.added {
		one.source.Close()
	}
	c.added = map[string]addedConnection{}
}
