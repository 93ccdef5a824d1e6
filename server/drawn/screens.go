package drawn

import (
	"bytes"
	"fmt"
	"log/slog"
	"sync"
	"weak"

	"github.com/hashicorp/golang-lru/v2/simplelru"

	"ambergate/core/plan"
	"ambergate/core/use"
)

// Of is what a screen was drawn of.
type Of struct {
	App   weak.Pointer[plan.App] // as it was compiled: a release of the same number may be another, once restored
	Place string                 // what else is known before anything is read: place, roles
	Sum   uint64                 // what was read, as ask.Noted counts it
}

// most is how many bytes of screens are kept, mostOf how many of one.
const (
	most   = 32 << 20
	mostOf = 1 << 20
)

// Screens keeps the screens that were looked at last. Safe for use by many at once.
type Screens struct {
	log   *slog.Logger
	every int // one of so many is drawn again all the same, and compared

	mu    sync.Mutex
	kept  *simplelru.LRU[Of, *use.View]
	size  int
	found int
	wrong bool
}

// New gives a place for screens. One of many that are found there is drawn again all the same and compared with what was
// kept. Should they ever differ, that is logged and nothing is kept any more.
func New(log *slog.Logger) *Screens {
	s := &Screens{log: log, every: 500}
	kept, err := simplelru.NewLRU(1<<20, func(of Of, v *use.View) { s.size -= sizeOf(of, v) })
	if err != nil {
		panic("a number of screens is wrong: " + err.Error())
	}
	s.kept = kept
	return s
}

// View gives a screen as it is drawn: as it was kept, or by draw, which says whether it follows from what is told of it
// alone. The view is the caller's own; what it leads to is never to be changed.
func (s *Screens) View(of Of, draw func() (v *use.View, follows bool)) (*use.View, error) {
	kept, doubted := s.find(of)
	if kept != nil && !doubted {
		out := *kept
		return &out, nil
	}
	v, follows := draw()
	if !follows || v.Mode != "view" {
		return v, nil // what is typed into it is compared with its elements
	}
	var text bytes.Buffer
	if err := v.Write(&text); err != nil {
		return nil, fmt.Errorf("write screen %s: %w", v.Screen, err)
	}
	now := *v
	now.Elements, now.Written = nil, bytes.Clone(text.Bytes())
	if kept != nil && !bytes.Equal(kept.Written, now.Written) {
		s.differs(v.Screen)
	} else if kept == nil {
		s.keep(of, &now)
	}
	out := now
	return &out, nil
}

func (s *Screens) find(of Of) (kept *use.View, doubted bool) {
	s.mu.Lock()
	defer s.mu.Unlock()
	kept, _ = s.kept.Get(of)
	if kept != nil {
		s.found++
		doubted = s.found%s.every == 0
	}
	return kept, doubted
}

func (s *Screens) keep(of Of, v *use.View) {
	size := sizeOf(of, v)
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.wrong || size > mostOf || s.kept.Contains(of) {
		return
	}
	s.kept.Add(of, v)
	for s.size += size; s.size > most; {
		s.kept.RemoveOldest()
	}
}

func (s *Screens) differs(screen string) {
	s.mu.Lock()
	s.wrong = true
	s.kept.Purge()
	s.mu.Unlock()
	s.log.Error("a screen that was kept differs from how it is drawn; none is kept any more", "screen", screen)
}

// Doubt sets how many of those that are found are drawn again and compared: one of every so many.
func (s *Screens) Doubt(every int) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.every = every
}

// Kept gives how often a screen was found, and about how many bytes are kept.
func (s *Screens) Kept() (found, size int) {
	s.mu.Lock()
	defer s.mu.Unlock()
	return s.found, s.size
}

// Wrong says whether a screen was found that differed from how it is drawn.
func (s *Screens) Wrong() bool {
	s.mu.Lock()
	defer s.mu.Unlock()
	return s.wrong
}

// sizeOf is about how many bytes a kept screen takes.
func sizeOf(of Of, v *use.View) int { return 2048 + len(of.Place) + len(v.Written) }
