package plant

import "slices"

// Listener is told when one of its nodes changes, or the quality of all.
type Listener struct {
	C      chan struct{} // holds one signal; changes in between are not lost, only told once
	nodes  []string
	client *Client
}

// listeners are those who listen, and, by node, to what: a plant may tell of thousands of changes a second.
type listeners struct {
	all map[*Listener]bool
	of  map[string]map[*Listener]bool
}

func newListeners() listeners {
	return listeners{all: map[*Listener]bool{}, of: map[string]map[*Listener]bool{}}
}

func (ls listeners) add(l *Listener) {
	ls.all[l] = true
	for _, n := range l.nodes {
		if ls.of[n] == nil {
			ls.of[n] = map[*Listener]bool{}
		}
		ls.of[n][l] = true
	}
}

func (ls listeners) remove(l *Listener) {
	delete(ls.all, l)
	for _, n := range l.nodes {
		if delete(ls.of[n], l); len(ls.of[n]) == 0 {
			delete(ls.of, n)
		}
	}
}

// Listen begins to listen to nodes. Close it when done.
func (c *Client) Listen(names []string) *Listener {
	l := &Listener{C: make(chan struct{}, 1), nodes: slices.Clone(names), client: c}
	c.mu.Lock()
	c.listeners.add(l)
	c.mu.Unlock()
	return l
}

// Close ends the listening.
func (l *Listener) Close() {
	l.client.mu.Lock()
	l.client.listeners.remove(l)
	l.client.mu.Unlock()
}

func (l *Listener) signal() {
	select {
	case l.C <- struct{}{}:
	default:
	}
}
