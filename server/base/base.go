package base

import (
	"log/slog"
	"time"

	_ "ambergate/core/kinds"
	"ambergate/plant"
	"ambergate/records"
	"ambergate/store"
)

// Config is what a server works with. It owns none of it: who made it closes it.
type Config struct {
	Store    *store.Store
	Records  map[string]*records.Source // by name of the connection
	Plants   map[string]*plant.Client   // by name of the connection
	Pictures func(name string) ([]byte, error)
	Now      func() time.Time
	Log      *slog.Logger
}

// Base is what both sides stand on: the compiled projects, who asks, and what is read from where.
type Base struct {
	Config
	Apps     *Apps
	Sessions *Sessions
	Edits    *Watchers
}

// New makes what both sides stand on. Without a clock it is the system's.
func New(c Config) *Base {
	if c.Now == nil {
		c.Now = time.Now
	}
	b := &Base{Config: c, Edits: newWatchers()}
	b.Apps = newApps(c.Store)
	b.Sessions = newSessions(b)
	return b
}
