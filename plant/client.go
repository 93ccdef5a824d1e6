// Package plant holds live values of a plant over OPC UA (IEC 62541): it subscribes rather
// than polls, keeps the newest value of each node with its quality, and writes. It is no
// safety function: interlocks live in the plant.
package plant

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"sync"
	"time"

	"github.com/gopcua/opcua"
	"github.com/gopcua/opcua/id"
	"github.com/gopcua/opcua/ua"

	"ambergate/core/ask"
	"ambergate/core/cond"
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
	stop      context.CancelFunc
	done      chan struct{}
}

// node is one watched value.
type node struct {
	name     string
	handle   uint32
	value    *ua.Variant
	status   ua.StatusCode
	known    bool
	at       time.Time // the source's own time
	watched  bool      // on the current subscription
	history  []Sample
	lastKept time.Time
}

// Sample is one value of a number in its history.
type Sample struct {
	At    int64   `json:"at"` // Unix milliseconds
	Value float64 `json:"value"`
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
	c.client, c.sub, c.index = client, sub, index
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
	c.client, c.sub, c.alive = nil, nil, time.Time{}
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

// keep adds the value to the node's history, once a second at the most.
func (n *node) keep(now time.Time) {
	if now.Sub(n.lastKept) < time.Second || n.value == nil {
		return
	}
	f, ok := valueOf(n.value).Float64()
	if !ok {
		return
	}
	n.lastKept = now
	n.history = append(n.history, Sample{At: now.UnixMilli(), Value: f})
	if len(n.history) > historyLength {
		n.history = n.history[len(n.history)-historyLength:]
	}
}

// Read gives the newest value of a node with its quality; it never waits. It implements nav.Tags.
func (c *Client) Read(ref ask.TagRef) ask.Reading {
	c.mu.Lock()
	defer c.mu.Unlock()
	n := c.nodes[ref.Node]
	switch {
	case c.client == nil:
		return ask.Reading{Value: cond.UnknownBecause("the plant is not connected")}
	case !c.good():
		return ask.Reading{Value: cond.UnknownBecause("the plant does not answer")}
	case n == nil || !n.known:
		return ask.Reading{Value: cond.UnknownBecause("not read yet")}
	case n.status != ua.StatusOK:
		return ask.Reading{Value: cond.UnknownBecause("the plant says this value is bad"), At: n.at.UnixMilli()}
	}
	return ask.Reading{Value: valueOf(n.value), At: n.at.UnixMilli()}
}

func valueOf(v *ua.Variant) cond.Value {
	switch x := v.Value().(type) {
	case bool:
		return cond.Bool(x)
	case int16:
		return cond.Int(int64(x))
	case int32:
		return cond.Int(int64(x))
	case int64:
		return cond.Int(x)
	case uint16:
		return cond.Int(int64(x))
	case uint32:
		return cond.Int(int64(x))
	case float32:
		return cond.Float(float64(x))
	case float64:
		return cond.Float(x)
	case string:
		return cond.String(x)
	}
	return cond.UnknownBecause("a value of a kind that is not shown")
}

// Watch begins to watch nodes and waits until each has a first value, or for at most the given time.
func (c *Client) Watch(ctx context.Context, names []string, wait time.Duration) {
	c.mu.Lock()
	fresh := false
	for _, name := range names {
		if c.nodes[name] == nil {
			n := &node{name: name, handle: uint32(len(c.nodes) + 1)}
			c.nodes[name], c.byHandle[n.handle] = n, n
			fresh = true
		}
	}
	connected := c.client != nil
	c.mu.Unlock()
	if !fresh || !connected {
		return
	}
	ctx, cancel := context.WithTimeout(ctx, wait)
	defer cancel()
	if err := c.monitor(ctx, names); err != nil {
		c.log.Warn("values cannot be watched", "error", err)
		return
	}
	for !c.allKnown(names) {
		select {
		case <-ctx.Done():
			return
		case <-time.After(10 * time.Millisecond):
		}
	}
}

func (c *Client) allKnown(names []string) bool {
	c.mu.Lock()
	defer c.mu.Unlock()
	for _, name := range names {
		if n := c.nodes[name]; n == nil || !n.known {
			return false
		}
	}
	return true
}

// History gives the samples of a node since a moment, oldest first.
func (c *Client) History(name string, since time.Time) []Sample {
	c.mu.Lock()
	defer c.mu.Unlock()
	out := []Sample{}
	if n := c.nodes[name]; n != nil {
		for _, s := range n.history {
			if s.At >= since.UnixMilli() {
				out = append(out, s)
			}
		}
	}
	return out
}

// Good says whether values are good now.
func (c *Client) Good() bool {
	c.mu.Lock()
	defer c.mu.Unlock()
	return c.good()
}

// Refused is the plant's no to a write.
type Refused struct{ Status ua.StatusCode }

// Error gives the plant's status.
func (r *Refused) Error() string { return "the plant refused: " + r.Status.Error() }

// ErrAway means that nothing was sent, since the plant is not there or its values are stale.
var ErrAway = errors.New("the plant is away; nothing was sent")

// Write sends a value to a node once. Errors: ErrAway and *Refused; with any other it is not
// known whether the value arrived.
func (c *Client) Write(ctx context.Context, name string, v cond.Value) error {
	c.mu.Lock()
	client, good, index := c.client, c.good(), c.index
	var like *ua.Variant
	if n := c.nodes[name]; n != nil {
		like = n.value
	}
	c.mu.Unlock()
	if !good {
		return ErrAway
	}
	variant, err := variantOf(v, like)
	if err != nil {
		return fmt.Errorf("%w: %w", ErrAway, err)
	}
	ctx, cancel := context.WithTimeout(ctx, writeLimit)
	defer cancel()
	response, err := client.Write(ctx, &ua.WriteRequest{NodesToWrite: []*ua.WriteValue{{
		NodeID: ua.NewStringNodeID(index, name), AttributeID: ua.AttributeIDValue,
		Value: &ua.DataValue{EncodingMask: ua.DataValueValue, Value: variant},
	}}})
	if err != nil {
		return fmt.Errorf("write %s: %w", name, err)
	}
	if len(response.Results) == 1 && response.Results[0] != ua.StatusOK {
		return &Refused{Status: response.Results[0]}
	}
	return nil
}

// variantOf writes a value in the type that the plant uses for the node, where that is known.
func variantOf(v cond.Value, like *ua.Variant) (*ua.Variant, error) {
	var native any
	switch v.Kind() {
	case cond.YesNo:
		native = v.True()
	case cond.Text:
		native = v.Wire()
	default:
		f, ok := v.Float64()
		if !ok {
			return nil, fmt.Errorf("a value of kind %s cannot be written", v.Kind())
		}
		native = f
		if like != nil {
			switch like.Value().(type) {
			case int16:
				native = int16(f)
			case int32:
				native = int32(f)
			case int64:
				native = int64(f)
			case float32:
				native = float32(f)
			}
		}
	}
	return ua.NewVariant(native)
}

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
