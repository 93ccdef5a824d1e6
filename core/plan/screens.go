package plan

import (
	"runtime"
	"sync"
	"sync/atomic"
)

// manyScreens is from where on screens are compiled side by side.
const manyScreens = 50

// compileScreens compiles screens of the project. What is noted of them stands in the order that is given, however they
// were compiled: each notes into an App of its own, of which the rest is the common one and only read.
func (a *App) compileScreens(ids []string) {
	workers := 1
	if len(ids) > manyScreens {
		workers = runtime.GOMAXPROCS(0)
	}
	noted, plans := make([]App, len(ids)), make([]*Screen, len(ids))
	var next atomic.Int64
	var fell atomic.Pointer[any]
	var done sync.WaitGroup
	for range workers {
		done.Go(func() {
			// What would end a request would end the program from here.
			defer func() {
				if why := recover(); why != nil {
					fell.Store(&why)
				}
			}()
			for i := int(next.Add(1)) - 1; i < len(ids); i = int(next.Add(1)) - 1 {
				noted[i] = *a
				noted[i].Problems, noted[i].Uses = nil, map[string][]Use{}
				b := Planner{App: &noted[i], Plan: &Screen{Screen: a.Project.Screens[ids[i]], RecordPaths: Paths{}, InputPaths: map[string]Paths{}, UserPaths: Paths{}}}
				b.screen()
				plans[i] = b.Plan
			}
		})
	}
	done.Wait()
	if why := fell.Load(); why != nil {
		panic(*why)
	}
	for i, id := range ids {
		a.Screens[id] = plans[i]
		a.Problems = append(a.Problems, noted[i].Problems...)
		for condition, uses := range noted[i].Uses {
			a.Uses[condition] = append(a.Uses[condition], uses...)
		}
	}
}
