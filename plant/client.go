package plant

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"maps"
	"slices"
	"sync"
	"time"

	"github.com/gopcua/opcua"
	"github.com/gopcua/opcua/id"
	"github.com/gopcua/opcua/ua"
)

// How often things happen, and how old they may be.
const (
	publishEvery  = 100 * time.Millisecond
	watchdogEvery = 400 * time.Millisecond
	watchdogLimit = 500 * time.Millisecond
	staleAfter    = 1500 * time.Millisecond // three watchdog intervals and a bit
	writeLimit    = 2 * time.Second
	reconnectWait = 500 * time.Millisecond
)

// Client is one plant. It connects by itself, again and again, until it is closed.
type Client struct {
	settings Settings
	source   string // id by which nav names the plant
	log      *slog.Logger
	lead     Lead // nil: this program alone talks to the plant

	finding sync.Mutex // one looks for nodes at a time

	mu        sync.Mutex
	nodes     map[string]*node
	byHandle  map[uint32]*node
	at        *session // nil while it is not connected
	relayed   bool     // values come from the program that leads, and that says they are good
	turn      uint64   // counts what changed of any node
	sub       *opcua.Subscription
	away      error     // why it was not connected the last time; nil when it was
	alive     time.Time // when the watchdog last held
	wasGood   bool
	listeners listeners
	followers map[*Follower]bool
	drop      context.CancelFunc // gives the connection up, for a new one
	wanted    chan struct{}      // there is something new to watch
	stop      context.CancelFunc
	done      chan struct{}
}

// Open begins to connect. source is the name that readings are asked by; lead says whether this program talks to the
// plant itself or hears of it from another one that does, nil: itself, always.
func Open(settings Settings, source string, log *slog.Logger, lead Lead) *Client {
	ctx, stop := context.WithCancel(context.Background())
	c := &Client{
		settings: settings, source: source, log: log, lead: lead,
		nodes: map[string]*node{}, byHandle: map[uint32]*node{}, listeners: newListeners(), followers: map[*Follower]bool{},
		wanted: make(chan struct{}, 1), stop: stop, done: make(chan struct{}),
	}
	go c.run(ctx)
	return c
}

// Close ends the connection and waits until all is still.
func (c *Client) Close() {
	c.stop()
	<-c.done
}

// Closed says whether it was closed: nothing reaches the plant through it any more.
func (c *Client) Closed() bool {
	select {
	case <-c.done:
		return true
	default:
		return false
	}
}

func (c *Client) run(ctx context.Context) {
	defer close(c.done)
	for ctx.Err() == nil {
		var turn <-chan struct{} // never, where this program is alone
		if c.lead != nil {
			turn = c.lead.Turn()
		}
		turned, err := c.untilTurn(ctx)
		if err != nil && ctx.Err() == nil {
			c.failed(err)
			if !errors.Is(err, ErrNoLead) { // who leads says so
				c.log.Warn("the plant is away", "endpoint", c.settings.Endpoint, "error", err)
			}
		}
		c.lost()
		if turned {
			continue
		}
		select {
		case <-ctx.Done():
		case <-turn:
		case <-time.After(reconnectWait):
		}
	}
}

// untilTurn talks to the plant, or hears of it, until that fails or who leads has changed.
func (c *Client) untilTurn(ctx context.Context) (turned bool, err error) {
	if c.lead == nil {
		return false, c.session(ctx)
	}
	turn, direct := c.lead.Turn(), c.lead.Direct()
	ctx, stop := context.WithCancelCause(ctx)
	defer stop(nil)
	go func() {
		for {
			select {
			case <-ctx.Done():
				return
			case <-turn:
			}
			if turn = c.lead.Turn(); c.lead.Direct() != direct {
				stop(errTurned)
				return
			}
		}
	}()
	if direct {
		err = c.session(ctx)
	} else {
		err = c.relay(ctx)
	}
	return errors.Is(context.Cause(ctx), errTurned), err
}

// session connects, subscribes to everything watched, and keeps the watchdog until it fails.
// Reconnecting is done here and not in the library, so that one place knows the state.
func (c *Client) session(ctx context.Context) error {
	ctx, drop := context.WithCancel(ctx)
	defer drop()
	client, err := connect(ctx, c.settings)
	if err != nil {
		return err
	}
	defer closeSoon(ctx, client)
	all, err := client.NamespaceArray(ctx)
	if err != nil {
		return fmt.Errorf("read the namespaces: %w", err)
	}
	usual := slices.Index(all, c.settings.Namespace)
	if usual < 0 && c.settings.Namespace != "" {
		return fmt.Errorf("%w: %s", ErrNamespace, c.settings.Namespace)
	}
	notifications := make(chan *opcua.PublishNotificationData, 256)
	sub, err := client.Subscribe(ctx, &opcua.SubscriptionParameters{Interval: publishEvery}, notifications)
	if err != nil {
		return fmt.Errorf("subscribe: %w", err)
	}
	c.mu.Lock()
	c.at = &session{client: client, namespaces: all, usual: uint16(max(0, usual)), paths: map[string]*ua.NodeID{}}
	c.sub, c.drop, c.away = sub, drop, nil
	c.forget()
	c.mu.Unlock()
	c.log.Info("the plant is connected", "endpoint", c.settings.Endpoint)
	return c.serve(ctx, client, notifications)
}

// forget takes no value of before for one of now: until it is read over this connection it is not known. The lock is held.
func (c *Client) forget() {
	for _, n := range c.nodes {
		n.watched, n.id, n.missing, n.known = false, nil, false, false
		c.changed(n)
	}
}

func (c *Client) serve(ctx context.Context, client *opcua.Client, notifications <-chan *opcua.PublishNotificationData) error {
	watchdog := make(chan error, 1)
	watching, stop := context.WithCancel(ctx)
	defer stop()
	go c.watchdog(watching, client, watchdog)
	go c.keepWatching(watching)
	go c.keepReading(watching, client)
	for {
		select {
		case <-ctx.Done():
			return nil
		case err := <-watchdog:
			return err
		case n := <-notifications:
			if n.Error != nil {
				return fmt.Errorf("read the subscription: %w", n.Error)
			}
			if data, ok := n.Value.(*ua.DataChangeNotification); ok {
				c.take(data)
			}
		}
	}
}

// watchdog reads the server's clock: a frozen server is noticed by that alone.
func (c *Client) watchdog(ctx context.Context, client *opcua.Client, failed chan<- error) {
	misses := 0
	for {
		reading, cancel := context.WithTimeout(ctx, watchdogLimit)
		_, err := client.Node(ua.NewNumericNodeID(0, id.Server_ServerStatus_CurrentTime)).Value(reading)
		cancel()
		switch {
		case ctx.Err() != nil:
			return
		case err == nil:
			misses = 0
			c.mu.Lock()
			c.alive = time.Now()
			c.mu.Unlock()
		default:
			misses++
		}
		c.checkGood()
		if misses == 6 {
			failed <- fmt.Errorf("the plant's clock cannot be read: %w", err)
			return
		}
		select {
		case <-ctx.Done():
			return
		case <-time.After(watchdogEvery):
		}
	}
}

// checkGood tells all listeners when values become stale or good again.
func (c *Client) checkGood() {
	c.mu.Lock()
	defer c.mu.Unlock()
	good := c.good()
	if good != c.wasGood {
		c.wasGood = good
		for l := range c.listeners.all {
			l.signal()
		}
	}
}

func (c *Client) good() bool {
	return (c.at != nil || c.relayed) && time.Since(c.alive) < staleAfter
}

func (c *Client) failed(err error) {
	c.mu.Lock()
	defer c.mu.Unlock()
	c.away = err
}

// Away says why it is not connected; nil when it is, or was not tried yet.
func (c *Client) Away() error {
	c.mu.Lock()
	defer c.mu.Unlock()
	return c.away
}

func (c *Client) lost() {
	c.mu.Lock()
	c.at, c.sub, c.drop, c.alive, c.relayed = nil, nil, nil, time.Time{}, false
	c.mu.Unlock()
	c.checkGood()
}

func (c *Client) take(data *ua.DataChangeNotification) {
	c.mu.Lock()
	defer c.mu.Unlock()
	c.taken(slices.Clone(data.MonitoredItems))
}

// taken keeps what was told or read of several nodes. The lock is held.
func (c *Client) taken(items []*ua.MonitoredItemNotification) {
	// What happened first counts first.
	slices.SortStableFunc(items, func(a, b *ua.MonitoredItemNotification) int { return sourceTime(a).Compare(sourceTime(b)) })
	changed := map[string]bool{}
	for _, item := range items {
		n := c.byHandle[item.ClientHandle]
		if n == nil || item.Value == nil {
			continue
		}
		n.take(item.Value)
		c.changed(n)
		changed[n.name] = true
		if n.sharp {
			for f := range c.followers {
				if c.listeners.of[n.name][f.Listener] {
					f.add(Change{n.name, n.reading()})
				}
			}
		}
	}
	c.tell(slices.Collect(maps.Keys(changed))...)
}

func sourceTime(item *ua.MonitoredItemNotification) time.Time {
	if item.Value == nil {
		return time.Time{}
	}
	return item.Value.SourceTimestamp
}

// take keeps what was read.
func (n *node) take(read *ua.DataValue) {
	n.value, n.now, n.bad, n.known, n.at = read.Value, valueOf(read.Value), read.Status != ua.StatusOK, true, read.SourceTimestamp
	if n.at.IsZero() {
		n.at = read.ServerTimestamp
	}
	n.heard = time.Now()
	n.keep(n.heard)
}

// tell signals all who listen to one of the nodes; the lock is held.
func (c *Client) tell(names ...string) {
	for _, name := range names {
		for l := range c.listeners.of[name] {
			l.signal()
		}
	}
}

const historyLength = 3600 // samples, one a second

// Good says whether values are good now.
func (c *Client) Good() bool {
	c.mu.Lock()
	defer c.mu.Unlock()
	return c.good()
}

// Settings gives what it was opened with, without what is secret.
func (c *Client) Settings() Settings {
	s := c.settings
	s.Password = ""
	return s
}
