package near

import (
	"hash/maphash"
	"sync"
	"sync/atomic"
	"time"

	"github.com/hashicorp/golang-lru/v2/simplelru"
)

// How many trails are kept, in how many parts, and how many places of each. What is written to one trail makes doubtful
// what is read of another of its part meanwhile: there are many parts.
const (
	parts        = 512
	trailsInPart = 16
	placesKept   = 4
)

// keptFor is how long a place is believed after it was read. This server knows of every write but those of people who
// write to the store by other means. Who reads a screen for a while presses within it.
const keptFor = 30 * time.Second

// doubtFor is how long nothing is kept after a write of which it is not known what became: it may go through later.
const doubtFor = 15 * time.Second

// Owner is whose trail it is, and of which project.
type Owner struct{ Account, Project string }

// Kept keeps places. A nil one keeps nothing.
type Kept struct {
	alone func() (since time.Time, is bool)
	ended atomic.Bool
	seed  maphash.Seed
	parts [parts]part
}

// part keeps the trails of which a share has its hash.
type part struct {
	mu      sync.Mutex
	trails  *simplelru.LRU[string, *trail]
	version uint64 // becomes another with each write that begins or ends
	writing int
	doubted time.Time // until when nothing is kept
}

type trail struct {
	of     Owner
	read   time.Time // the oldest of what follows
	places map[int]Near
}

// New keeps places while alone says that no other server writes, since when that is so without a break.
func New(alone func() (since time.Time, is bool)) *Kept {
	k := &Kept{alone: alone, seed: maphash.MakeSeed()}
	for i := range k.parts {
		trails, err := simplelru.NewLRU[string, *trail](trailsInPart, nil)
		if err != nil {
			panic(err) // only for a size that is none
		}
		k.parts[i].trails = trails
	}
	return k
}

func (k *Kept) part(trail string) *part { return &k.parts[maphash.String(k.seed, trail)%parts] }

// believed gives what is kept of a trail, under the lock of its part; nil for nothing.
func (k *Kept) believed(p *part, name string) *trail {
	t, ok := p.trails.Get(name)
	if !ok {
		return nil
	}
	since, alone := k.alone()
	if !alone || k.ended.Load() || t.read.Before(since) || time.Since(t.read) > keptFor {
		p.trails.Remove(name)
		return nil
	}
	return t
}

// End lets nothing be kept any more.
func (k *Kept) End() { k.ended.Store(true) }

// Find gives a place of somebody's trail, if it is kept.
func (k *Kept) Find(name string, n int, of Owner) (Near, bool) {
	if k == nil {
		return Near{}, false
	}
	p := k.part(name)
	p.mu.Lock()
	defer p.mu.Unlock()
	t := k.believed(p, name)
	if t == nil || t.of != of {
		return Near{}, false
	}
	found, ok := t.places[n]
	return found, ok
}

// Read is to be called before a place is read. What it gives keeps what was read, unless something was written meanwhile.
func (k *Kept) Read(name string) (keep func(n int, of Owner, is Near)) {
	if k == nil {
		return func(int, Owner, Near) {}
	}
	p, began := k.part(name), time.Now()
	p.mu.Lock()
	version, writing := p.version, p.writing
	p.mu.Unlock()
	return func(n int, of Owner, is Near) {
		p.mu.Lock()
		defer p.mu.Unlock()
		if _, alone := k.alone(); !alone || writing > 0 || p.version != version || time.Now().Before(p.doubted) {
			return
		}
		t := k.believed(p, name)
		if t == nil || t.of != of || len(t.places) >= placesKept {
			t = &trail{of: of, read: began, places: map[int]Near{}}
			p.trails.Add(name, t)
		}
		is.Read, is.Made = began, new(atomic.Value)
		t.places[n] = is
	}
}

// Write lets something be written to a trail. What is kept of it is forgotten, unless it can be told what becomes of it:
// then gets the places that are kept, by their number, and gives those that are known now; nil for no such.
func (k *Kept) Write(name string, write func() error, then func(was map[int]Near) map[int]Near) error {
	if k == nil {
		return write()
	}
	p := k.part(name)
	p.mu.Lock()
	was, quiet := k.believed(p, name), p.writing == 0
	p.trails.Remove(name)
	p.version++
	p.writing++
	version := p.version
	p.mu.Unlock()
	err := write()
	p.mu.Lock()
	defer p.mu.Unlock()
	quiet = quiet && p.version == version
	p.version++
	p.writing--
	p.trails.Remove(name)
	if err != nil {
		p.doubted = time.Now().Add(doubtFor)
		return err
	}
	if was == nil || then == nil || !quiet || time.Now().Before(p.doubted) {
		return nil
	}
	if places := then(was.places); len(places) > 0 {
		p.trails.Add(name, &trail{of: was.of, read: was.read, places: places})
	}
	return nil
}
