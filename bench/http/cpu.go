package main

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"syscall"
)

// postgres is the process of the cluster, whose children are its connections.
var postgres int

// computed is how long this program, with its clients, and PostgreSQL have computed, in seconds. Beside neighbours that take
// the machine it says more than requests a second.
func computed() (program, database float64) {
	var self syscall.Rusage
	_ = syscall.Getrusage(syscall.RUSAGE_SELF, &self) // it cannot fail for oneself
	program = seconds(self.Utime) + seconds(self.Stime)
	files, _ := filepath.Glob("/proc/[0-9]*/stat") // the pattern is right
	for _, file := range files {
		text, err := os.ReadFile(file)
		if err != nil {
			continue // it has ended
		}
		_, after, _ := strings.Cut(string(text), ") ")
		var state string
		var parent, skipped, user, system int
		if n, err := fmt.Sscan(after, &state, &parent, &skipped, &skipped, &skipped, &skipped, &skipped, &skipped, &skipped, &skipped, &skipped, &user, &system); n == 13 && err == nil && parent == postgres {
			database += float64(user+system) / 100 // of a second, on Linux
		}
	}
	return program, database
}

func seconds(t syscall.Timeval) float64 { return float64(t.Sec) + float64(t.Usec)/1e6 }
