package records

import (
	"context"
	"sync"
	"time"
)

// claimed is whether a database has the table in which presses are claimed, and lets it be written to.
type claimed struct {
	mu      sync.Mutex
	missing bool
	until   time.Time // believed
}

// How long that is believed: whoever makes the table need not start the program anew, and it is not
// taken away while people work.
const (
	missingFor = 10 * time.Second
	claimedFor = 5 * time.Minute
)

// noClaims notes that a press found no table to be claimed in: from now on that is said before.
func (s *Source) noClaims() {
	s.claimed.mu.Lock()
	defer s.claimed.mu.Unlock()
	s.claimed.missing, s.claimed.until = true, time.Now().Add(missingFor)
}

// LookAgain lets it be asked anew whether anything can be changed: somebody has just made the table.
func (s *Source) LookAgain() {
	s.claimed.mu.Lock()
	defer s.claimed.mu.Unlock()
	s.claimed.until = time.Time{}
}

// OnlyRead says whether nothing can be changed in this database: a press could not be told from its
// repetition. Of a database that is away it is not known; then it is not said.
func (s *Source) OnlyRead() bool {
	s.claimed.mu.Lock()
	defer s.claimed.mu.Unlock()
	if time.Now().Before(s.claimed.until) {
		return s.claimed.missing
	}
	ctx, stop := context.WithTimeout(context.Background(), time.Second)
	defer stop()
	var may bool
	err := s.pool.QueryRow(ctx, `select coalesce(has_table_privilege(to_regclass('ambergate.press'), 'insert, update'), false)`).Scan(&may)
	s.claimed.missing = err == nil && !may
	s.claimed.until = time.Now().Add(claimedFor)
	if err != nil || s.claimed.missing {
		s.claimed.until = time.Now().Add(missingFor)
	}
	return s.claimed.missing
}
