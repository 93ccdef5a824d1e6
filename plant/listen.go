package plant

// Listener is told when one of its nodes changes, or the quality of all.
type Listener struct {
	C      chan struct{} // holds one signal; changes in between are not lost, only told once
	nodes  map[string]bool
	client *Client
}

// Listen begins to listen to nodes. Close it when done.
func (c *Client) Listen(names []string) *Listener {
	l := &Listener{C: make(chan struct{}, 1), nodes: map[string]bool{}, client: c}
	for _, n := range names {
		l.nodes[n] = true
	}
	c.mu.Lock()
	c.listeners[l] = true
	c.mu.Unlock()
	return l
}

// Close ends the listening.
func (l *Listener) Close() {
	l.client.mu.Lock()
	delete(l.client.listeners, l)
	l.client.mu.Unlock()
}

func (l *Listener) signal() {
	select {
	case l.C <- struct{}{}:
	default:
	}
}
