package joined

import (
	"context"
	"sync"
	"time"
)

// longest is how long a question waits for the same one that is under way: where that takes longer, both run beside
// each other.
const longest = 20 * time.Millisecond

// Questions lets those who ask the same at the same moment wait for one answer. Nobody gets an answer to a question that
// went out before their own: who comes while the same is under way waits, with all who come after, for the next. Safe
// for use by many at once; the zero value is ready.
type Questions[T any] struct {
	mu   sync.Mutex
	of   map[string]*question[T]
	told int // answers that somebody else asked for too
}

// question is one that is under way, or about to be.
type question[T any] struct {
	running int
	next    *turn[T] // of those who wait until it may run; nil for none
}

// turn is one time that a question is asked for several.
type turn[T any] struct {
	ctx     context.Context // ends when nobody waits any more
	end     context.CancelFunc
	run     func(context.Context) T
	waiting int
	begun   bool
	clock   *time.Timer
	done    chan struct{}
	answer  T
	failed  any // what it panicked with
}

// Ask gives the answer to a question: run's, or that of another who asks the same, by its key, and whose question goes
// out later than this call. In that case shared is true: others hold the same answer. An error is ctx's alone.
func (q *Questions[T]) Ask(ctx context.Context, key string, run func(context.Context) T) (answer T, shared bool, err error) {
	q.mu.Lock()
	if q.of == nil {
		q.of = map[string]*question[T]{}
	}
	of := q.of[key]
	if of == nil {
		of = &question[T]{running: 1}
		q.of[key] = of
		q.mu.Unlock()
		defer q.ended(key, of)
		return run(ctx), false, nil
	}
	t := of.next
	if t == nil {
		t = &turn[T]{run: run, done: make(chan struct{})}
		// Not of the first who waits: they may be answered and gone, with all that belongs to their call, before it ends.
		t.ctx, t.end = context.WithCancel(context.Background())
		of.next = t
		t.clock = time.AfterFunc(longest, func() {
			q.mu.Lock()
			defer q.mu.Unlock()
			q.begin(key, of, t)
		})
	} else {
		q.told++
	}
	t.waiting++
	q.mu.Unlock()
	select {
	case <-t.done:
		if t.failed != nil {
			panic(t.failed)
		}
		return t.answer, true, nil
	case <-ctx.Done():
		q.leave(key, of, t)
		return answer, false, ctx.Err()
	}
}

// begin asks for those who wait, once; the lock is held.
func (q *Questions[T]) begin(key string, of *question[T], t *turn[T]) {
	if t == nil || t.begun {
		return
	}
	t.begun, of.next = true, nil
	t.clock.Stop()
	of.running++
	go func() {
		defer t.end()
		defer close(t.done)
		defer q.ended(key, of)
		defer func() { t.failed = recover() }()
		t.answer = t.run(t.ctx)
	}()
}

// ended lets those run who waited for it.
func (q *Questions[T]) ended(key string, of *question[T]) {
	q.mu.Lock()
	defer q.mu.Unlock()
	of.running--
	q.begin(key, of, of.next)
	q.tidy(key, of)
}

// leave is for who does not wait any more; with the last of them the question ends.
func (q *Questions[T]) leave(key string, of *question[T], t *turn[T]) {
	q.mu.Lock()
	defer q.mu.Unlock()
	if t.waiting--; t.waiting > 0 {
		return
	}
	t.end()
	if !t.begun {
		t.begun, of.next = true, nil
		t.clock.Stop()
		q.tidy(key, of)
	}
}

func (q *Questions[T]) tidy(key string, of *question[T]) {
	if of.running == 0 && of.next == nil && q.of[key] == of {
		delete(q.of, key)
	}
}

// Told gives how often somebody got an answer that another asked for.
func (q *Questions[T]) Told() int {
	q.mu.Lock()
	defer q.mu.Unlock()
	return q.told
}

// Waiting gives how many questions are under way or waited for.
func (q *Questions[T]) Waiting() int {
	q.mu.Lock()
	defer q.mu.Unlock()
	return len(q.of)
}
