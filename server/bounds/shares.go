package bounds

import (
	"context"
	"sync"
	"time"

	"ambergate/core/ask"
)

// shareWait is how long what is more than one may have under way at once waits, so that nobody takes the databases from
// everybody else.
const shareWait = 5 * time.Second

// Shares keeps to what each person may have under way. Safe for use by many at once.
type Shares struct {
	mu   sync.Mutex
	most int
	of   map[string]*share
}

type share struct {
	places chan struct{}
	users  int // that have a place or wait for one
}

// NewShares gives each so many at once.
func NewShares(most int) *Shares { return &Shares{most: most, of: map[string]*share{}} }

// own gives the share of a person; the lock is held.
func (s *Shares) own(person string) *share {
	own := s.of[person]
	if own == nil {
		own = &share{places: make(chan struct{}, s.most)}
		s.of[person] = own
	}
	return own
}

// Now takes a place of a person's for something that lasts; a *Refusal where none is free.
func (s *Shares) Now(person string) (leave func(), err error) {
	s.mu.Lock()
	defer s.mu.Unlock()
	own := s.own(person)
	if own.users >= s.most {
		return nil, &ask.Refusal{Code: "busy", What: "You have as many windows open here as one may.", Then: "Close some of them; what is shown here does not change by itself until then."}
	}
	own.users++
	return func() {
		s.mu.Lock()
		defer s.mu.Unlock()
		if own.users--; own.users == 0 {
			delete(s.of, person)
		}
	}, nil
}

// Enter takes a place of a person's, waiting a while for one; a *Refusal where there is none by then.
func (s *Shares) Enter(ctx context.Context, person string) (leave func(), err error) {
	s.mu.Lock()
	own := s.own(person)
	own.users++
	s.mu.Unlock()
	gone := func() {
		s.mu.Lock()
		defer s.mu.Unlock()
		if own.users--; own.users == 0 {
			delete(s.of, person)
		}
	}
	leave = func() { <-own.places; gone() }
	select {
	case own.places <- struct{}{}:
		return leave, nil
	default:
	}
	timer := time.NewTimer(shareWait)
	defer timer.Stop()
	select {
	case own.places <- struct{}{}:
		return leave, nil
	case <-ctx.Done():
		gone()
		return nil, ctx.Err()
	case <-timer.C:
		gone()
		return nil, &ask.Refusal{Code: "busy", What: "You have as much under way already as one may.", Then: "Wait until some of it is done, then try again."}
	}
}
