// Package beside does things side by side, on all processors that there are.
package beside

import (
	"runtime"
	"sync"
	"sync/atomic"
)

// Each does something for each number from 0 to n-1, and comes back when all of it is done. Each is begun in the order of
// the numbers. A panic of one, which would end the program from where it happened, is the caller's.
func Each(n int, do func(i int)) {
	var next atomic.Int64
	var fell atomic.Pointer[any]
	var done sync.WaitGroup
	for range min(n, runtime.GOMAXPROCS(0)) {
		done.Go(func() {
			defer func() {
				if why := recover(); why != nil {
					fell.Store(&why)
				}
			}()
			for i := int(next.Add(1)) - 1; i < n; i = int(next.Add(1)) - 1 {
				do(i)
			}
		})
	}
	done.Wait()
	if why := fell.Load(); why != nil {
		panic(*why)
	}
}
