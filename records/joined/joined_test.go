package joined

import (
	"context"
	"errors"
	"fmt"
	"sync"
	"sync/atomic"
	"testing"
	"time"
)

// gate is a question whose answers come when they are let: each is the number of times that it was asked.
type gate struct {
	asked atomic.Int64
	let   chan struct{}
}

func (g *gate) run(context.Context) int64 {
	n := g.asked.Add(1)
	<-g.let
	return n
}

// until waits for something that other goroutines bring about.
func until(t *testing.T, what string, is func() bool) {
	t.Helper()
	for end := time.Now().Add(20 * time.Second); !is(); time.Sleep(time.Millisecond) {
		if time.Now().After(end) {
			t.Fatal("not " + what)
		}
	}
}

// underWay asks a question that waits until it is let.
func underWay(t *testing.T, q *Questions[int64]) *gate {
	t.Helper()
	g := &gate{let: make(chan struct{})}
	go func() { _, _, _ = q.Ask(t.Context(), "one", g.run) }()
	until(t, "asked", func() bool { return g.asked.Load() == 1 })
	return g
}

// ends lets the question be answered, and waits until nothing of it is left.
func (g *gate) ends(t *testing.T, q *Questions[int64]) {
	t.Helper()
	close(g.let)
	until(t, "tidied", func() bool { return q.Waiting() == 0 })
}

func TestWhoComesWhileTheSameIsAskedGetsALaterAnswer(t *testing.T) {
	var q Questions[int64]
	g := gate{let: make(chan struct{})}
	got := make(chan string, 3)
	ask := func() {
		n, shared, err := q.Ask(t.Context(), "one", g.run)
		got <- fmt.Sprint(n, shared, err)
	}
	go ask()
	until(t, "asked", func() bool { return g.asked.Load() == 1 })
	go ask()
	until(t, "the second waits", func() bool {
		q.mu.Lock()
		defer q.mu.Unlock()
		of := q.of["one"]
		return of.next != nil || of.running == 2
	})
	close(g.let)
	if first, second := <-got, <-got; first+second != "1 false <nil>2 true <nil>" && first+second != "2 true <nil>1 false <nil>" {
		t.Errorf("%s, then %s", first, second)
	}
	if n, _, _ := q.Ask(t.Context(), "one", g.run); n != 3 {
		t.Errorf("an answer of before is given: the one to question %d", n)
	}
	until(t, "tidied", func() bool { return q.Waiting() == 0 })
}

// Whoever asks gets an answer to a question that went out after they asked, however many ask, whatever they ask.
func TestNoAnswerIsOlderThanItsQuestion(t *testing.T) {
	var q Questions[int64]
	var clock, asked atomic.Int64
	var wait sync.WaitGroup
	for i := range 16 {
		wait.Go(func() {
			for k := range 300 {
				began := clock.Add(1)
				out, _, err := q.Ask(t.Context(), fmt.Sprint((i+k)%3), func(context.Context) int64 {
					asked.Add(1)
					at := clock.Add(1)
					time.Sleep(50 * time.Microsecond)
					return at
				})
				if err != nil || out <= began {
					t.Errorf("asked at %d, answered as of %d: %v", began, out, err)
				}
			}
		})
	}
	wait.Wait()
	if n := asked.Load(); n == 16*300 || q.Told() == 0 {
		t.Errorf("%d questions of 4800 went out, %d answers told to others", n, q.Told())
	}
	until(t, "tidied", func() bool { return q.Waiting() == 0 })
}

// One that takes long does not keep the others for as long.
func TestNobodyWaitsLongForTheSameThatIsUnderWay(t *testing.T) {
	var q Questions[int64]
	g := gate{let: make(chan struct{})}
	for range 2 {
		go func() { _, _, _ = q.Ask(t.Context(), "one", g.run) }()
	}
	until(t, "asked twice beside each other", func() bool { return g.asked.Load() == 2 })
	close(g.let)
	until(t, "tidied", func() bool { return q.Waiting() == 0 })
}

func TestWhoGoesLeavesTheOthersTheirAnswer(t *testing.T) {
	var q Questions[int64]
	g := underWay(t, &q)
	going, gone := context.WithCancel(t.Context())
	left, stays := make(chan error, 1), make(chan int64, 1)
	go func() { _, _, err := q.Ask(going, "one", g.run); left <- err }()
	until(t, "asked again", func() bool { return g.asked.Load() == 2 }) // for who will go
	go func() { n, _, _ := q.Ask(t.Context(), "one", g.run); stays <- n }()
	gone()
	if err := <-left; !errors.Is(err, context.Canceled) {
		t.Errorf("who goes is told %v", err)
	}
	close(g.let)
	if n := <-stays; n != 3 {
		t.Errorf("who stays is told the answer to question %d", n)
	}
	until(t, "tidied", func() bool { return q.Waiting() == 0 })
}

// What nobody waits for any more is not asked on.
func TestAQuestionEndsWithTheLastWhoWaits(t *testing.T) {
	var q Questions[int64]
	g := underWay(t, &q)
	going, gone := context.WithCancel(t.Context())
	ended, told := make(chan error, 1), make(chan error, 1)
	go func() {
		_, _, err := q.Ask(going, "one", func(ctx context.Context) int64 {
			g.asked.Add(1)
			<-ctx.Done()
			ended <- ctx.Err()
			return 0
		})
		told <- err
	}()
	until(t, "asked again", func() bool { return g.asked.Load() == 2 })
	gone()
	if err := errors.Join(<-told, <-ended); !errors.Is(err, context.Canceled) {
		t.Error(err)
	}
	g.ends(t, &q)
}

func TestWhatPanicsDoesSoForEachWhoAsked(t *testing.T) {
	var q Questions[int64]
	g := underWay(t, &q)
	told := make(chan any, 1)
	go func() {
		defer func() { told <- recover() }()
		_, _, _ = q.Ask(t.Context(), "one", func(context.Context) int64 { panic("broken") })
	}()
	if got := <-told; got != "broken" {
		t.Errorf("told %v", got)
	}
	g.ends(t, &q)
}
