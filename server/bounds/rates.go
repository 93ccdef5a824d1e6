package bounds

import (
	"sync"

	"golang.org/x/time/rate"

	"ambergate/core/ask"
)

// Rates keeps to how often each person does something in a minute. Safe for use by many at once.
type Rates struct {
	mu   sync.Mutex
	most int
	of   map[string]*rate.Limiter
}

// NewRates lets each do so much in a minute; a quarter of it may come at once.
func NewRates(most int) *Rates { return &Rates{most: most, of: map[string]*rate.Limiter{}} }

// mostRated is of how many people is known what they did; beyond that it is begun anew.
const mostRated = 10_000

// Enter counts one; a *Refusal where it is too many.
func (r *Rates) Enter(person string) error {
	r.mu.Lock()
	defer r.mu.Unlock()
	own := r.of[person]
	if own == nil {
		if len(r.of) >= mostRated {
			clear(r.of)
		}
		own = rate.NewLimiter(rate.Limit(r.most)/60, max(1, r.most/4))
		r.of[person] = own
	}
	if !own.Allow() {
		return &ask.Refusal{Code: "busy", What: "There were more edits in a minute than one may make.", Then: "Wait a moment, then try again. Nothing was changed."}
	}
	return nil
}
