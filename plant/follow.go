package plant

import (
	"slices"
	"sync"

	"ambergate/core/ask"
)

// Change is a value that the plant told of, as it was then.
type Change struct {
	Node    string
	Reading ask.Reading
}

// mostQueued is how many changes wait for who follows; of more, the oldest are forgotten.
const mostQueued = 10_000

// Follower gets each value that the plant tells of for its nodes, in order, and not the newest alone. Its nodes are
// sampled as fast as the plant can.
type Follower struct {
	*Listener // told when there is something, or when values became good or stale

	mu    sync.Mutex
	queue []Change
}

// Follow begins to follow nodes that are watched. Close it when done.
func (c *Client) Follow(names []string) *Follower {
	f := &Follower{Listener: &Listener{C: make(chan struct{}, 1), nodes: slices.Clone(names), client: c}}
	c.mu.Lock()
	c.followers[f] = true
	c.listeners.add(f.Listener)
	for _, name := range names {
		if n := c.nodes[name]; n != nil && !n.sharp {
			n.sharp = true
		}
	}
	c.mu.Unlock()
	c.want()
	return f
}

// Close ends the following.
func (f *Follower) Close() {
	f.client.mu.Lock()
	delete(f.client.followers, f)
	f.client.mu.Unlock()
	f.Listener.Close()
}

// Next takes what came since the last time, oldest first.
func (f *Follower) Next() []Change {
	f.mu.Lock()
	defer f.mu.Unlock()
	out := f.queue
	f.queue = nil
	return out
}

func (f *Follower) add(c Change) {
	f.mu.Lock()
	defer f.mu.Unlock()
	if f.queue = append(f.queue, c); len(f.queue) > mostQueued {
		f.queue = slices.Clone(f.queue[1:])
	}
}
