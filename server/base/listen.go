package base

import (
	"context"
	"sync"

	"ambergate/plant"
)

// Listen joins the signals of several plants into one.
func Listen(ctx context.Context, byPlant map[*plant.Client][]string, signals chan<- struct{}) (stop func()) {
	ctx, cancel := context.WithCancel(ctx)
	var wait sync.WaitGroup
	for p, names := range byPlant {
		l := p.Listen(names)
		wait.Add(1)
		go func() {
			defer wait.Done()
			defer l.Close()
			for {
				select {
				case <-ctx.Done():
					return
				case <-l.C:
					select {
					case signals <- struct{}{}:
					default:
					}
				}
			}
		}()
	}
	return func() { cancel(); wait.Wait() }
}
