package near

import (
	"encoding/json"
	"slices"
	"sync/atomic"
	"time"
)

// Place is one place of a trail; of a neighbour the title alone counts.
type Place struct {
	N               int
	Title, Made     string
	Place, Overlays json.RawMessage
	Age             float64 // in seconds, when it was read
	Release         int
}

// Near is where a trail stands, what its tab keeps, and a place of it with its neighbours. It is never changed.
type Near struct {
	At           int
	Vars, Before json.RawMessage
	Press        *string
	Places       []Place
	Read         time.Time     `json:"-"`
	Made         *atomic.Value `json:"-"` // what was made of its texts, by who keeps it; nil where nobody does
}

// Stood gives places as they are when their trail stands elsewhere.
func Stood(was map[int]Near, at int) map[int]Near {
	now := make(map[int]Near, len(was))
	for n, is := range was {
		is.At = at
		now[n] = is
	}
	return now
}

// Appended gives places as they are when another was put behind one of them just now, and the trail stands there: what lay
// ahead is gone. Where the one before is not known, nothing is.
func Appended(was map[int]Near, next Place) map[int]Near {
	before, known := was[next.N-1]
	if !known {
		return nil
	}
	now := map[int]Near{}
	for n, is := range was {
		if n < next.N && n > next.N-placesKept {
			is.At = next.N
			now[n] = is
		}
	}
	to := before
	to.At, to.Read, to.Made = next.N, time.Now(), new(atomic.Value)
	to.Places = []Place{next}
	for _, p := range before.Places {
		if p.N == next.N-1 {
			to.Places = []Place{{N: p.N, Title: p.Title}, next}
		}
	}
	before.At = next.N
	before.Places = append(slices.DeleteFunc(slices.Clone(before.Places), func(p Place) bool { return p.N >= next.N }), Place{N: next.N, Title: next.Title})
	now[next.N-1], now[next.N] = before, to
	return now
}
