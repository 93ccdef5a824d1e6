package plant

import (
	"context"
	"fmt"
	"log/slog"
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
	endpoint  string
	namespace string
	source    string // id by which nav names the plant
	log       *slog.Logger

	mu        sync.Mutex
	nodes     map[string]*node
	byHandle  map[uint32]*node
	client    *opcua.Client
	sub       *opcua.Subscription
	index     uint16    // of the namespace on the server
	alive     time.Time // when the watchdog last held
	wasGood   bool
	listeners map[*Listener]bool
	drop      context.CancelFunc // gives the connection up, for a new one
	stop      context.CancelFunc
	done      chan struct{}
}

// Open begins to connect to an endpoint such as opc.tcp://127.0.0.1:4840; nodes are looked up by
// name in the namespace with the given URI. source is the name that readings are asked by.
func Open(endpoint, namespace, source string, log *slog.Logger) *Client {
	ctx, stop := context.WithCancel(context.Background())
	c := &Client{
		endpoint: endpoint, namespace: namespace, source: source, log: log,
		nodes: map[string]*node{}, byHandle: map[uint32]*node{}, listeners: map[*Listener]bool{}, stop: stop, done: make(chan struct{}),
	}
	go c.run(ctx)
	return c
}

// Close ends the connection and waits until all is still.
func (c *Client) Close() {
	c.stop()
	<-c.done
}

func (c *Client) run(ctx context.Context) {
	defer close(c.done)
	for ctx.Err() == nil {
		if err := c.session(ctx); err != nil && ctx.Err() == nil {
			c.log.Warn("the plant is away", "endpoint", c.endpoint, "error", err)
		}
		c.lost()
		select {
		case <-ctx.Done():
		case <-time.After(reconnectWait):
		}
	}
}

// session connects, subscribes to everything watched, and keeps the watchdog until it fails.
// Reconnecting is done here and not in the library, so that one place knows the state.
func (c *Client) session(ctx context.Context) error {
	ctx, drop := context.WithCancel(ctx)
	defer drop()
	client, err := opcua.NewClient(c.endpoint, opcua.SecurityMode(ua.MessageSecurityModeNone), opcua.AutoReconnect(false),
		opcua.DialTimeout(2*time.Second), opcua.RequestTimeout(2*time.Second))
	if err != nil {
		return fmt.Errorf("prepare the connection: %w", err)
	}
	if err := client.Connect(ctx); err != nil {
		return fmt.Errorf("connect: %w", err)
	}
	defer func() {
		closing, cancel := context.WithTimeout(context.WithoutCancel(ctx), time.Second)
		defer cancel()
		_ = client.Close(closing) // the other side may be gone
	}()
	index, err := client.FindNamespace(ctx, c.namespace)
	if err != nil {
		return fmt.Errorf("find the namespace %s: %w", c.namespace, err)
	}
	notifications := make(chan *opcua.PublishNotificationData, 256)
	sub, err := client.Subscribe(ctx, &opcua.SubscriptionParameters{Interval: publishEvery}, notifications)
	if err != nil {
		return fmt.Errorf("subscribe: %w", err)
	}
	c.mu.Lock()
	c.client, c.sub, c.index, c.drop = client, sub, index, drop
	names := make([]string, 0, len(c.nodes))
	for name, n := range c.nodes {
		n.watched = false
		names = append(names, name)
	}
	c.mu.Unlock()
	if err := c.monitor(ctx, names); err != nil {
		return err
	}
	c.log.Info("the plant is connected", "endpoint", c.endpoint)
	return c.serve(ctx, client, notifications)
}

func (c *Client) serve(ctx context.Context, client *opcua.Client, notifications <-chan *opcua.PublishNotificationData) error {
	watchdog := make(chan error, 1)
	watching, stop := context.WithCancel(ctx)
	defer stop()
	go c.watchdog(watching, client, watchdog)
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
		for l := range c.listeners {
			l.signal()
		}
	}
}

func (c *Client) good() bool { return c.client != nil && time.Since(c.alive) < staleAfter }

func (c *Client) lost() {
	c.mu.Lock()
	c.client, c.sub, c.drop, c.alive = nil, nil, nil, time.Time{}
	c.mu.Unlock()
	c.checkGood()
}

// monitor puts nodes on the subscription. Without a connection they wait for the next one.
func (c *Client) monitor(ctx context.Context, names []string) error {
	c.mu.Lock()
	sub := c.sub
	var items []*ua.MonitoredItemCreateRequest
	for _, name := range names {
		n := c.nodes[name]
		if n == nil || n.watched {
			continue
		}
		n.watched = true
		item := opcua.NewMonitoredItemCreateRequestWithDefaults(ua.NewStringNodeID(c.index, name), ua.AttributeIDValue, n.handle)
		item.RequestedParameters.SamplingInterval = float64(publishEvery.Milliseconds())
		items = append(items, item)
	}
	c.mu.Unlock()
	if sub == nil || len(items) == 0 {
		return nil
	}
	if _, err := sub.Monitor(ctx, ua.TimestampsToReturnBoth, items...); err != nil {
		return fmt.Errorf("watch %d values: %w", len(items), err)
	}
	return nil
}

func (c *Client) take(data *ua.DataChangeNotification) {
	c.mu.Lock()
	defer c.mu.Unlock()
	changed := map[string]bool{}
	for _, item := range data.MonitoredItems {
		n := c.byHandle[item.ClientHandle]
		if n == nil || item.Value == nil {
			continue
		}
		n.value, n.status, n.known = item.Value.Value, item.Value.Status, true
		n.at = item.Value.SourceTimestamp
		if n.at.IsZero() {
			n.at = item.Value.ServerTimestamp
		}
		n.keep(time.Now())
		changed[n.name] = true
	}
	for l := range c.listeners {
		for name := range changed {
			if l.nodes[name] {
				l.signal()
				break
			}
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
