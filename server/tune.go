package server

import (
	"context"
	"os"
	"runtime/debug"
	"runtime/metrics"
	"time"
)

// How often garbage is collected, by measurement (bench/http on two cores): with 100, Go's own, a third of the time
// goes into it while little lives; beyond 400 little is gained. When much lives (thousands of open streams), 400
// would take five times that, and 75 is nearly as quick. (bench/people: under 2,000 people 100 MB live; with room for
// 160 MB a sixth of the time went into it.) Near the limit it is collected as often as it takes.
const (
	collectSeldom = 400       // percent of what lives
	collectOften  = 75        // percent of what lives
	roomy         = 320 << 20 // bytes that the heap may always have
	memoryLimit   = 1 << 30   // bytes
	tuneEvery     = time.Second
)

// Tune sets that for the program, where GOGC and GOMEMLIMIT do not say otherwise, and keeps it until ctx ends.
func Tune(ctx context.Context) {
	if os.Getenv("GOMEMLIMIT") == "" {
		debug.SetMemoryLimit(memoryLimit)
	}
	if os.Getenv("GOGC") != "" {
		return
	}
	debug.SetGCPercent(collectSeldom)
	go func() {
		set := collectSeldom
		live := []metrics.Sample{{Name: "/gc/heap/live:bytes"}}
		tick := time.NewTicker(tuneEvery)
		defer tick.Stop()
		for {
			select {
			case <-ctx.Done():
				return
			case <-tick.C:
			}
			metrics.Read(live)
			// Setting it stops the program for a moment, and begins a collection: only when it matters.
			if want := collectAt(live[0].Value.Uint64()); want < set*3/4 || want > set*4/3 {
				set = want
				debug.SetGCPercent(set)
			}
		}
	}()
}

// collectAt gives the percentage of what lives that garbage may come to.
func collectAt(live uint64) int {
	if live >= roomy {
		return collectOften
	}
	return int(min(max(100*(roomy-live)/max(live, 1), collectOften), collectSeldom))
}
