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

// Kinds of connections, as sources of a project name them too.
const (
	KindDatabase = "postgresql"
	KindPlant    = "plant"
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

// addedConnection is one that was added in the program, as it was opened: a database or a plant.
type addedConnection struct {
	kept   store.Connection
	source *records.Source
	plant  *plant.Client
}

func (a addedConnection) close() {
	if a.source != nil {
		a.source.Close()
	}
	if a.plant != nil {
		a.plant.Close()
	}
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

// Holds says whether a plant is still what a connection leads to.
func (c *Connections) Holds(p *plant.Client) bool {
	for _, one := range c.Now().Plants {
		if one == p {
			return true
		}
	}
	return false
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
	next := &Open{Records: map[string]*records.Source{}, Plants: map[string]*plant.Client{}}
	maps.Copy(next.Records, c.config.Records)
	maps.Copy(next.Plants, c.config.Plants)
	added := map[string]addedConnection{}
	for _, k := range kept {
		if c.Fixed(k.Name) || k.Sealed {
			continue
		}
		one := c.added[k.Name]
		if !reflect.DeepEqual(one.kept, k) {
			if one, err = c.opened(ctx, k); err != nil {
				c.config.Log.Warn("a connection cannot be opened", "connection", k.Name, "error", err)
				continue
			}
		}
		added[k.Name] = one
		if one.source != nil {
			next.Records[k.Name] = one.source
		}
		if one.plant != nil {
			next.Plants[k.Name] = one.plant
		}
	}
	for name, one := range c.added {
		if now := added[name]; now.source != one.source || now.plant != one.plant {
			time.AfterFunc(closeAfter, one.close)
		}
	}
	c.added = added
	c.open.Store(next)
	return nil
}

// opened opens one. It lives until it is closed, not until whoever asked has the answer.
func (c *Connections) opened(ctx context.Context, k store.Connection) (addedConnection, error) {
	one := addedConnection{kept: k}
	switch k.Kind {
	case KindDatabase:
		var d DatabaseSettings
		if err := json.Unmarshal(k.Settings, &d); err != nil {
			return one, fmt.Errorf("read it: %w", err)
		}
		source, err := records.Open(context.WithoutCancel(ctx), d.DSN(k.Secret), c.config.Told)
		if err != nil {
			return one, err
		}
		one.source = source
	case KindPlant:
		var p PlantSettings
		if err := json.Unmarshal(k.Settings, &p); err != nil {
			return one, fmt.Errorf("read it: %w", err)
		}
		one.plant = plant.Open(plantOf(c.config, p, k.Secret), k.Name, c.config.Log, c.config.Fleet.Lead())
	default:
		return one, fmt.Errorf("a connection of the kind %q is not known", k.Kind)
	}
	return one, nil
}

// Close closes what was added.
func (c *Connections) Close() {
	c.mu.Lock()
	defer c.mu.Unlock()
	for _, one := range c.added {
		one.close()
	}
	c.added = map[string]addedConnection{}
}
