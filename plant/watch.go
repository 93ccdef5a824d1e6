package plant

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/gopcua/opcua"
	"github.com/gopcua/opcua/ua"
)

// Watch begins to watch nodes and waits until each has a first value, or for at most the given time. What had no value
// by then is watched all the same.
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
	connected := c.at != nil || c.relayed
	c.mu.Unlock()
	if !fresh || !connected {
		return
	}
	c.want()
	ctx, cancel := context.WithTimeout(ctx, wait)
	defer cancel()
	for !c.allKnown(names) {
		select {
		case <-ctx.Done():
			return
		case <-time.After(10 * time.Millisecond):
		}
	}
}

// want lets whoever keeps watching look what is to be watched.
func (c *Client) want() {
	select {
	case c.wanted <- struct{}{}:
	default:
	}
}

func (c *Client) allKnown(names []string) bool {
	c.mu.Lock()
	defer c.mu.Unlock()
	for _, name := range names {
		if n := c.nodes[name]; n == nil || !n.known && !n.missing {
			return false
		}
	}
	return true
}

// keepWatching puts on the subscription whatever is to be watched, as long as the connection lasts. It is not done by
// those who ask: they wait for a moment only, and what took longer would never be read.
func (c *Client) keepWatching(ctx context.Context) {
	for {
		var again <-chan time.Time
		if err := c.monitor(ctx); err != nil && ctx.Err() == nil {
			c.log.Warn("values cannot be watched; tried again", "error", err)
			again = time.After(reconnectWait)
		}
		select {
		case <-ctx.Done():
			return
		case <-c.wanted:
		case <-again:
		}
	}
}

// monitor puts on the subscription what is not there yet. A node that the plant does not have is looked for again at
// the next connection; until then it is not read.
func (c *Client) monitor(ctx context.Context) error {
	c.finding.Lock()
	defer c.finding.Unlock()
	c.mu.Lock()
	at, sub := c.at, c.sub
	var slow []*node
	for _, n := range c.nodes {
		if at != nil && n.watched && n.sharp && !n.sampled && n.item != 0 {
			slow = append(slow, n)
		}
	}
	c.mu.Unlock()
	if err := c.sharpen(ctx, sub, slow); err != nil {
		return err
	}
	c.mu.Lock()
	var wanted []*node
	for _, n := range c.nodes {
		if at != nil && !n.watched {
			wanted = append(wanted, n)
		}
	}
	c.mu.Unlock()
	var items []*ua.MonitoredItemCreateRequest
	var asked []*node
	for _, n := range wanted {
		nodeID, err := at.find(ctx, n.name)
		if ctx.Err() != nil || errors.Is(err, context.DeadlineExceeded) || errors.Is(err, ua.StatusBadTimeout) {
			return fmt.Errorf("find %s: %w", n.name, err)
		}
		c.mu.Lock()
		n.id, n.missing, n.watched = nodeID, err != nil, err != nil
		n.item, n.sampled = 0, n.sharp
		c.changed(n)
		sharp := n.sharp
		c.mu.Unlock()
		if err != nil {
			c.log.Warn("a value is not there", "node", n.name, "error", err)
			continue
		}
		item := opcua.NewMonitoredItemCreateRequestWithDefaults(nodeID, ua.AttributeIDValue, n.handle)
		item.RequestedParameters.SamplingInterval, item.RequestedParameters.QueueSize = sampling(sharp)
		items, asked = append(items, item), append(asked, n)
	}
	for from := 0; from < len(items); from += mostAtOnce {
		to := min(len(items), from+mostAtOnce)
		if err := c.put(ctx, sub, items[from:to], asked[from:to]); err != nil {
			return err
		}
	}
	return nil
}

// mostAtOnce is how many values are put on a subscription, or taken off it, by one request: plants bound it.
const mostAtOnce = 500

func (c *Client) put(ctx context.Context, sub *opcua.Subscription, items []*ua.MonitoredItemCreateRequest, asked []*node) error {
	response, err := sub.Monitor(ctx, ua.TimestampsToReturnBoth, items...)
	c.mu.Lock()
	defer c.mu.Unlock()
	if err != nil {
		for _, n := range asked { // what it was is not what it is
			n.known = false
			c.changed(n)
		}
		return fmt.Errorf("watch %d values: %w", len(items), err)
	}
	for i, result := range response.Results {
		if result.StatusCode != ua.StatusOK { // nothing of it will come over this connection
			asked[i].known = false
		}
		asked[i].watched, asked[i].missing = true, result.StatusCode == ua.StatusBadNodeIDUnknown
		asked[i].item = result.MonitoredItemID
		c.changed(asked[i])
	}
	return nil
}

// sampling gives how often, in milliseconds, a value is looked at by the plant, and how many of them wait to be told.
func sampling(sharp bool) (interval float64, queue uint32) {
	if sharp {
		return 0, 100 // as fast as it can
	}
	return float64(publishEvery.Milliseconds()), 10
}

// sharpen takes nodes off the subscription that are on it already, so that they come back sampled faster. Changing them
// in place would be shorter, but not every plant can, and some are silent after it.
func (c *Client) sharpen(ctx context.Context, sub *opcua.Subscription, nodes []*node) error {
	for some := range slices.Chunk(nodes, mostAtOnce) {
		items := make([]uint32, len(some))
		for i, n := range some {
			items[i] = n.item
		}
		if _, err := sub.Unmonitor(ctx, items...); err != nil {
			return fmt.Errorf("sample %d values faster: %w", len(items), err)
		}
		c.mu.Lock()
		for _, n := range some {
			n.watched = false
		}
		c.mu.Unlock()
	}
	return nil
}
