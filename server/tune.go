package server

import (
	"os"
	"runtime/debug"
)

// How often garbage is collected, by measurement (bench/http on two cores): with 100, Go's own, a third
// of the time goes into it; beyond 400 little is gained. Near the limit it is collected as often as it takes.
const (
	collectAt   = 400     // percent of what lives
	memoryLimit = 1 << 30 // bytes
)

// Tune sets that for the program, where GOGC and GOMEMLIMIT do not say otherwise.
func Tune() {
	if os.Getenv("GOGC") == "" {
		debug.SetGCPercent(collectAt)
	}
	if os.Getenv("GOMEMLIMIT") == "" {
		debug.SetMemoryLimit(memoryLimit)
	}
}
