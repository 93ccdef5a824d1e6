package plant

import (
	"cmp"
	"math"
	"slices"
	"time"

	"github.com/gopcua/opcua/ua"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

// node is one watched value.
type node struct {
	name     string
	handle   uint32
	id       *ua.NodeID  // as it was found on the current connection, or on one before
	value    *ua.Variant // as the plant sent it, with its type; nil for one that was relayed
	now      cond.Value
	bad      bool // the plant says so
	known    bool
	at       time.Time // the source's own time
	heard    time.Time // when it was told or read last
	watched  bool      // on the current subscription, or found not to be there
	missing  bool      // the plant has no such node
	sharp    bool      // somebody follows each of its values: it is sampled as fast as the plant can
	item     uint32    // what the subscription calls it; 0 for not on it
	sampled  bool      // as fast as that already
	writing  time.Time // since when a command to it is on its way; zero for none
	changed  uint64    // the client’s turn when it changed last
	history  []Sample
	lastKept time.Time
}

// Sample is one value of a number in its history.
type Sample struct {
	At    int64   `json:"at"` // Unix milliseconds
	Value float64 `json:"value"`
}

// keep adds the value to the node's history, once a second at the most.
func (n *node) keep(now time.Time) {
	if now.Sub(n.lastKept) < time.Second {
		return
	}
	f, ok := n.now.Float64()
	if !ok {
		return
	}
	n.lastKept = now
	n.history = append(n.history, Sample{At: now.UnixMilli(), Value: f})
	if len(n.history) > historyLength {
		n.history = n.history[len(n.history)-historyLength:]
	}
}

// Read gives the newest value of a node with its quality; it never waits. It implements ask.Tags.
func (c *Client) Read(ref ask.TagRef) ask.Reading {
	c.mu.Lock()
	defer c.mu.Unlock()
	n := c.nodes[ref.Node]
	switch {
	case c.at == nil && !c.relayed:
		return ask.Reading{Value: cond.UnknownBecause("the plant is not connected")}
	case !c.good():
		return ask.Reading{Value: cond.UnknownBecause("the plant does not answer")}
	case n != nil && n.missing:
		return ask.Reading{Value: cond.UnknownBecause("the plant has no such value")}
	case n == nil || !n.known:
		return ask.Reading{Value: cond.UnknownBecause("not read yet")}
	}
	return n.reading()
}

// reading is the value as it was read last, whether the plant answers or not.
func (n *node) reading() ask.Reading {
	if n.bad {
		return ask.Reading{Value: cond.UnknownBecause("the plant says this value is bad"), At: n.at.UnixMilli()}
	}
	out := ask.Reading{Value: n.now, At: n.at.UnixMilli()}
	if !n.writing.IsZero() {
		out.Writing = n.writing.UnixMilli()
	}
	return out
}

func valueOf(v *ua.Variant) cond.Value {
	if v == nil {
		return cond.UnknownBecause("the plant gives no value")
	}
	switch x := v.Value().(type) {
	case bool:
		return cond.Bool(x)
	case int8:
		return cond.Int(int64(x))
	case int16:
		return cond.Int(int64(x))
	case int32:
		return cond.Int(int64(x))
	case int64:
		return cond.Int(x)
	case uint8:
		return cond.Int(int64(x))
	case uint16:
		return cond.Int(int64(x))
	case uint32:
		return cond.Int(int64(x))
	case uint64:
		if x <= math.MaxInt64 {
			return cond.Int(int64(x))
		}
	case float32:
		return cond.Float(float64(x))
	case float64:
		return cond.Float(x)
	case string:
		return cond.String(x)
	case *ua.LocalizedText:
		if x != nil {
			return cond.String(x.Text)
		}
	}
	return cond.UnknownBecause("a value of a kind that is not shown")
}

// Seed puts samples of an earlier run before those of a node that is watched; ones that are not older are left out.
func (c *Client) Seed(name string, earlier []Sample) {
	c.mu.Lock()
	defer c.mu.Unlock()
	n := c.nodes[name]
	if n == nil {
		return
	}
	if len(n.history) > 0 {
		first := n.history[0].At
		i := slices.IndexFunc(earlier, func(s Sample) bool { return s.At >= first })
		if i >= 0 {
			earlier = earlier[:i]
		}
	}
	n.history = slices.Concat(earlier, n.history)
	n.history = n.history[max(0, len(n.history)-historyLength):]
}

// History gives the samples of a node since a moment, oldest first. What it was at that moment is the first of them.
func (c *Client) History(name string, since time.Time) []Sample {
	c.mu.Lock()
	defer c.mu.Unlock()
	out := []Sample{}
	if n := c.nodes[name]; n != nil {
		from := since.UnixMilli()
		i := n.firstAt(from)
		if i > 0 && from <= time.Now().UnixMilli() {
			out = append(out, Sample{At: from, Value: n.history[i-1].Value})
		}
		out = append(out, n.history[i:]...)
	}
	return out
}

// Since gives the samples of a node that are later than a moment (Unix milliseconds), oldest first.
func (c *Client) Since(name string, after int64) []Sample {
	c.mu.Lock()
	defer c.mu.Unlock()
	n := c.nodes[name]
	if n == nil {
		return nil
	}
	return slices.Clone(n.history[n.firstAt(after+1):])
}

// firstAt gives the index of the first sample that is not earlier than a moment.
func (n *node) firstAt(at int64) int {
	i, _ := slices.BinarySearchFunc(n.history, at, func(s Sample, at int64) int { return cmp.Compare(s.At, at) })
	return i
}
