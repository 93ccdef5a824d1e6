package plant

import (
	"context"
	"errors"
	"slices"
	"time"

	"ambergate/core/cond"
)

// Lead says which of several programs over one store talks to plants: one subscribes and writes, the others hear of the
// values from it.
type Lead interface {
	// Leads says whether this program may write, at this very moment.
	Leads() bool
	// Direct says whether it talks to plants itself: who leads, and who has lost all others from sight.
	Direct() bool
	// Turn gives a channel that is closed when either may have changed.
	Turn() <-chan struct{}
	// Values gives what the one that leads reads of nodes of a plant, all first and then what changes, until ctx ends or
	// that is lost, which is an error.
	Values(ctx context.Context, plant string, nodes []string, take func(Batch)) error
}

// Batch is what one program tells another of a plant.
type Batch struct {
	Good   bool   `json:"good"` // the values are
	Why    string `json:"why,omitempty"`
	Values []Told `json:"values,omitempty"`
}

// Told is one value as one program tells it another.
type Told struct {
	Node    string    `json:"node"`
	Kind    cond.Kind `json:"kind,omitempty"` // of the value; Unknown with the reason in its stead
	Value   string    `json:"value,omitempty"`
	Bad     bool      `json:"bad,omitempty"`
	Missing bool      `json:"missing,omitempty"`
	At      int64     `json:"at,omitempty"`      // Unix milliseconds, by the source’s clock
	Writing int64     `json:"writing,omitempty"` // Unix milliseconds; 0: no command is on its way
}

// ErrNoLead means that no program leads now.
var ErrNoLead = errors.New("no server talks to the plant at this moment")

var errTurned = errors.New("another program leads now")

// Leads says whether this program may write to the plant.
func (c *Client) Leads() bool { return c.lead == nil || c.lead.Leads() }

// changed notes that something of a node changed; the lock is held.
func (c *Client) changed(n *node) {
	c.turn++
	n.changed = c.turn
}

// Tell gives what changed of nodes after a turn (0: all that is known), and the turn that it is now.
func (c *Client) Tell(names []string, after uint64) (Batch, uint64) {
	c.mu.Lock()
	defer c.mu.Unlock()
	out := Batch{Good: c.good()}
	if c.away != nil && c.at == nil {
		out.Why = c.away.Error()
	}
	for _, name := range names {
		n := c.nodes[name]
		if n == nil || n.changed <= after {
			continue
		}
		told := Told{Node: name, Bad: n.bad, Missing: n.missing}
		if n.known {
			told.Kind, told.At, told.Value = n.now.Kind(), n.at.UnixMilli(), n.now.Wire()
			if !n.now.Known() {
				told.Value = n.now.Why()
			}
		}
		if !n.writing.IsZero() {
			told.Writing = n.writing.UnixMilli()
		}
		out.Values = append(out.Values, told)
	}
	return out, c.turn
}

// gathering is how long it is waited for more nodes that are to be watched, before the leading program is asked for all anew.
const gathering = 30 * time.Millisecond

// relay hears of the values from the program that leads, until that is lost or ctx ends.
func (c *Client) relay(ctx context.Context) error {
	c.mu.Lock()
	c.forget()
	c.mu.Unlock()
	for ctx.Err() == nil {
		c.mu.Lock()
		names := make([]string, 0, len(c.nodes))
		for name := range c.nodes {
			names = append(names, name)
		}
		c.mu.Unlock()
		slices.Sort(names)
		hearing, stop := context.WithCancel(ctx)
		more := make(chan bool, 1)
		go func() {
			select {
			case <-hearing.Done():
				more <- false
				return
			case <-c.wanted:
			}
			time.Sleep(gathering)
			select {
			case <-c.wanted:
			default:
			}
			more <- true
			stop()
		}()
		err := c.lead.Values(hearing, c.source, names, c.receive)
		stop()
		if again := <-more; !again {
			return err
		}
	}
	return nil
}

// receive takes what the leading program tells.
func (c *Client) receive(b Batch) {
	c.mu.Lock()
	c.relayed, c.away = true, nil
	if b.Why != "" {
		c.away = errors.New(b.Why)
	}
	if b.Good {
		c.alive = time.Now()
	} else {
		c.alive = time.Time{}
	}
	names := make([]string, 0, len(b.Values))
	for _, told := range b.Values {
		n := c.nodes[told.Node]
		if n == nil {
			continue
		}
		n.missing, n.bad, n.writing, n.value, n.id = told.Missing, told.Bad, time.Time{}, nil, nil
		if told.Writing != 0 {
			n.writing = time.UnixMilli(told.Writing)
		}
		if n.known = told.At != 0; n.known {
			n.at, n.now = time.UnixMilli(told.At), told.value()
			n.keep(time.Now())
		}
		c.changed(n)
		names = append(names, told.Node)
	}
	c.tell(names...)
	c.mu.Unlock()
	c.checkGood()
}

func (t Told) value() cond.Value {
	if t.Kind == cond.Unknown {
		return cond.UnknownBecause(t.Value)
	}
	v, err := cond.Parse(cond.Type{Kind: t.Kind}, t.Value)
	if err != nil {
		return cond.UnknownBecause("what the leading server told cannot be read")
	}
	return v
}
