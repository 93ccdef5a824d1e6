package plant

import (
	"context"
	"errors"
	"fmt"

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
	client, good, index, drop := c.client, c.good(), c.index, c.drop
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
