package plant

import (
	"context"
	"log/slog"
	"testing"
	"time"

	"github.com/gopcua/opcua/ua"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/plant/sim"
)

// A change that the plant told and that was lost on its way does not stay untold.
func TestAChangeThatWasLostIsRead(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := startSim(t, freePort(t))
	c := Open(Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace}, "so_plant", slog.New(slog.DiscardHandler), nil)
	defer c.Close()
	within(t, 40*time.Second, "connected", c.Good)
	const name = "UT.drive.running"
	running := func() bool { return c.Read(ask.TagRef{Source: "so_plant", Node: name}).Value.True() }
	c.Watch(context.Background(), []string{name}, 2*time.Second)
	within(t, 10*time.Second, "running", running)
	heard := c.Listen([]string{name})
	defer heard.Close()
	c.mu.Lock()
	n := c.nodes[name] // as it would be, had the message that it runs been lost
	n.value, n.now = ua.MustVariant(false), cond.Bool(false)
	c.mu.Unlock()
	within(t, 5*quietFor, "running again", running)
	select {
	case <-heard.C:
	default:
		t.Error("who listens was not told")
	}
}
