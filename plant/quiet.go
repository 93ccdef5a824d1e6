package plant

import (
	"context"
	"fmt"
	"reflect"
	"slices"
	"time"

	"github.com/gopcua/opcua"
	"github.com/gopcua/opcua/ua"
)

// quietFor is how long nothing is heard of a value before it is read.
const quietFor = 5 * time.Second

// keepReading reads what nothing was heard of for a while, as long as the connection lasts. A plant tells a change once:
// where that message is lost (a busy machine had given up its request by then), a lamp would show what was for as long as
// the value stays what it is.
func (c *Client) keepReading(ctx context.Context, client *opcua.Client) {
	tick := time.NewTicker(quietFor / 2)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
		for some := range slices.Chunk(c.quiet(time.Now()), mostAtOnce) {
			if err := c.readQuiet(ctx, client, some); err != nil {
				break // the watchdog tells whether the plant answers
			}
		}
	}
}

// quiet gives the nodes on the subscription of which nothing was heard for a while.
func (c *Client) quiet(now time.Time) []*node {
	c.mu.Lock()
	defer c.mu.Unlock()
	var out []*node
	for _, n := range c.nodes {
		if n.watched && !n.missing && n.item != 0 && n.id != nil && now.Sub(n.heard) >= quietFor {
			out = append(out, n)
		}
	}
	return out
}

// readQuiet reads some nodes, and takes what is not as it was heard, unless more was heard of it meanwhile.
func (c *Client) readQuiet(ctx context.Context, client *opcua.Client, nodes []*node) error {
	ctx, cancel := context.WithTimeout(ctx, quietFor)
	defer cancel()
	asked := time.Now()
	request := &ua.ReadRequest{TimestampsToReturn: ua.TimestampsToReturnBoth}
	c.mu.Lock()
	for _, n := range nodes {
		request.NodesToRead = append(request.NodesToRead, &ua.ReadValueID{NodeID: n.id, AttributeID: ua.AttributeIDValue})
	}
	c.mu.Unlock()
	response, err := client.Read(ctx, request)
	if err != nil {
		return fmt.Errorf("read %d values: %w", len(nodes), err)
	}
	c.mu.Lock()
	defer c.mu.Unlock()
	var other []*ua.MonitoredItemNotification
	for i, read := range response.Results {
		if i == len(nodes) || read.Status != ua.StatusOK || read.Value == nil || nodes[i].heard.After(asked) {
			continue
		}
		n := nodes[i]
		n.heard = asked
		if !n.known || n.bad || n.value == nil || !reflect.DeepEqual(n.value.Value(), read.Value.Value()) {
			other = append(other, &ua.MonitoredItemNotification{ClientHandle: n.handle, Value: read})
		}
	}
	if len(other) > 0 {
		c.log.Warn("changes of values were not told by the plant, and are read", "values", len(other), "first", c.byHandle[other[0].ClientHandle].name)
		c.taken(other)
	}
	return nil
}
