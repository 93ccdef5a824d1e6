package plant

import (
	"context"
	"errors"
	"fmt"
	"math"
	"time"

	"github.com/gopcua/opcua/ua"

	"ambergate/core/cond"
)

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
	at, good, drop := c.at, c.at != nil && c.good(), c.drop
	var like *ua.Variant
	var nodeID *ua.NodeID
	if n := c.nodes[name]; n != nil {
		like, nodeID = n.value, n.id
	}
	c.mu.Unlock()
	if !good {
		return ErrAway
	}
	ctx, cancel := context.WithTimeout(ctx, writeLimit)
	defer cancel()
	if nodeID == nil || like == nil {
		var err error
		if nodeID, like, err = c.lookUp(ctx, at, name); err != nil {
			return fmt.Errorf("%w: %w", ErrAway, err)
		}
	}
	variant, err := variantOf(v, like)
	if err != nil {
		return fmt.Errorf("%w: %w", ErrAway, err)
	}
	if !c.Leads() { // another one does by now: whatever took so long, nothing is sent any more
		return ErrAway
	}
	response, err := at.client.Write(ctx, &ua.WriteRequest{NodesToWrite: []*ua.WriteValue{{
		NodeID: nodeID, AttributeID: ua.AttributeIDValue,
		Value: &ua.DataValue{EncodingMask: ua.DataValueValue, Value: variant},
	}}})
	if err != nil {
		// What was not answered in time is told as unknown. Nothing that waits on this connection is to reach the plant
		// later: it is given up. The request carried its time limit too (OPC UA Part 4, RequestHeader.timeoutHint);
		// a plant that has read it already and does not look at that may still do it.
		if drop != nil {
			drop()
		}
		return fmt.Errorf("write %s: %w", name, err)
	}
	if len(response.Results) == 1 && response.Results[0] != ua.StatusOK {
		return &Refused{Status: response.Results[0]}
	}
	return nil
}

// freshLimit bounds how long a value is asked for just before something is written that follows from it.
const freshLimit = 300 * time.Millisecond

// Fresh asks the plant itself for the value of a node, past the subscription, and keeps it. Errors: ErrAway where it
// does not answer in time.
func (c *Client) Fresh(ctx context.Context, name string) (cond.Value, error) {
	c.mu.Lock()
	at, good := c.at, c.at != nil && c.good()
	var nodeID *ua.NodeID
	if n := c.nodes[name]; n != nil {
		nodeID = n.id
	}
	c.mu.Unlock()
	if !good {
		return cond.Value{}, ErrAway
	}
	ctx, cancel := context.WithTimeout(ctx, freshLimit)
	defer cancel()
	if nodeID == nil {
		var err error
		if nodeID, _, err = c.lookUp(ctx, at, name); err != nil {
			return cond.Value{}, fmt.Errorf("%w: %w", ErrAway, err)
		}
	}
	response, err := at.client.Read(ctx, &ua.ReadRequest{TimestampsToReturn: ua.TimestampsToReturnBoth, NodesToRead: []*ua.ReadValueID{{NodeID: nodeID, AttributeID: ua.AttributeIDValue}}})
	if err != nil || len(response.Results) != 1 {
		return cond.Value{}, fmt.Errorf("%w: read %s: %w", ErrAway, name, err)
	}
	read := response.Results[0]
	c.mu.Lock()
	defer c.mu.Unlock()
	n := c.nodes[name]
	if n == nil || read.Value == nil || read.Status != ua.StatusOK {
		return cond.UnknownBecause("the plant says this value is bad"), nil
	}
	n.take(read)
	c.changed(n)
	c.tell(name)
	return n.now, nil
}

// Writing marks a node as one that a command is on its way to, until it is called again without: all who look at it
// are told.
func (c *Client) Writing(name string, is bool) {
	c.mu.Lock()
	defer c.mu.Unlock()
	n := c.nodes[name]
	if n == nil || n.writing.IsZero() == !is {
		return
	}
	n.writing = time.Time{}
	if is {
		n.writing = time.Now()
	}
	c.changed(n)
	c.tell(name)
}

// lookUp finds a node that is written and was not read yet, and in which type the plant keeps it; nil where it does not say.
func (c *Client) lookUp(ctx context.Context, at *session, name string) (*ua.NodeID, *ua.Variant, error) {
	c.finding.Lock()
	defer c.finding.Unlock()
	nodeID, err := at.find(ctx, name)
	if err != nil {
		return nil, nil, err
	}
	like, err := at.client.Node(nodeID).Value(ctx)
	var status ua.StatusCode
	if err != nil && !errors.As(err, &status) {
		return nil, nil, fmt.Errorf("read %s before it is written: %w", name, err)
	}
	return nodeID, like, nil
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
			if native, ok = asType(f, like.Value()); !ok {
				return nil, fmt.Errorf("the plant keeps no value as great as %v there", f)
			}
		}
	}
	return ua.NewVariant(native)
}

// asType converts a number to the type of another value; not ok when it does not fit.
func asType(f float64, like any) (native any, ok bool) {
	whole := func(low, high float64) bool { return f >= low && f <= high }
	switch like.(type) {
	case int8:
		return int8(f), whole(math.MinInt8, math.MaxInt8)
	case int16:
		return int16(f), whole(math.MinInt16, math.MaxInt16)
	case int32:
		return int32(f), whole(math.MinInt32, math.MaxInt32)
	case int64:
		return int64(f), whole(math.MinInt64, math.MaxInt64)
	case uint8:
		return uint8(f), whole(0, math.MaxUint8)
	case uint16:
		return uint16(f), whole(0, math.MaxUint16)
	case uint32:
		return uint32(f), whole(0, math.MaxUint32)
	case uint64:
		return uint64(f), whole(0, math.MaxUint64)
	case float32:
		return float32(f), true
	}
	return f, true
}
