package plant

import (
	"ambergate/core/cond"
	"log/slog"
	"testing"
	"time"

	"github.com/gopcua/opcua/ua"

	"ambergate/plant/sim"
)

// Who follows gets each value in the order in which they came about, of several nodes too; who listens is told once.
func TestWhoFollowsGetsEachValue(t *testing.T) {
	c := &Client{nodes: map[string]*node{}, byHandle: map[uint32]*node{}, listeners: newListeners(), followers: map[*Follower]bool{}, wanted: make(chan struct{}, 1)}
	for i, name := range []string{"a", "b", "c"} {
		n := &node{name: name, handle: uint32(i + 1)}
		c.nodes[name], c.byHandle[n.handle] = n, n
	}
	f, l := c.Follow([]string{"a", "b"}), c.Listen([]string{"a"})
	if !c.nodes["a"].sharp || c.nodes["c"].sharp {
		t.Error("what is followed is not sampled faster, or all is")
	}
	base := time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC)
	item := func(handle uint32, value bool, ms int) *ua.MonitoredItemNotification {
		return &ua.MonitoredItemNotification{ClientHandle: handle, Value: &ua.DataValue{Value: ua.MustVariant(value), SourceTimestamp: base.Add(time.Duration(ms) * time.Millisecond)}}
	}
	c.take(&ua.DataChangeNotification{MonitoredItems: []*ua.MonitoredItemNotification{item(1, true, 10), item(1, false, 30), item(2, true, 20), item(3, true, 5)}})
	got := ""
	for _, change := range f.Next() {
		got += change.Node + "=" + change.Reading.Value.Wire() + " "
	}
	if got != "a=true b=true a=false " {
		t.Errorf("it got %s", got)
	}
	if again := f.Next(); len(again) != 0 {
		t.Errorf("and once more %v", again)
	}
	if len(l.C) != 1 || len(f.C) != 1 {
		t.Errorf("%d and %d signals", len(l.C), len(f.C))
	}
	f.Close()
	c.take(&ua.DataChangeNotification{MonitoredItems: []*ua.MonitoredItemNotification{item(1, true, 40)}})
	if late := f.Next(); len(late) != 0 || len(c.followers) != 0 {
		t.Errorf("closed, it gets %v", late)
	}
}

// A follower that takes nothing keeps the newest, and no more than a bound.
func TestAFollowerThatTakesNothingIsBounded(t *testing.T) {
	f := &Follower{}
	for i := range mostQueued + 50 {
		f.add(Change{Node: "a", Reading: (&node{known: true, now: cond.Int(int64(i))}).reading()})
	}
	got := f.Next()
	if len(got) != mostQueued || got[len(got)-1].Reading.Value.Wire() != "10049" {
		t.Errorf("%d changes wait, the last is %s", len(got), got[len(got)-1].Reading.Value.Wire())
	}
}

// What is on a screen already can be followed, and goes on to be read.
func TestWhatIsWatchedAlreadyIsFollowed(t *testing.T) {
	p := startSim(t, freePort(t))
	defer p.Close()
	c := Open(Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace}, "so_plant", slog.New(slog.DiscardHandler), nil)
	defer c.Close()
	within(t, 40*time.Second, "connected", c.Good)
	c.Watch(t.Context(), []string{"UT.wind.gust", "UT.drive.speed"}, 2*time.Second)
	f := c.Follow([]string{"UT.wind.gust"})
	defer f.Close()
	got := 0
	within(t, 40*time.Second, "changes of the wind", func() bool {
		got += len(f.Next())
		return got > 3
	})
	c.mu.Lock()
	defer c.mu.Unlock()
	if n := c.nodes["UT.wind.gust"]; !n.sampled || n.missing || c.nodes["UT.drive.speed"].sampled {
		t.Errorf("what is followed: %+v", n)
	}
}
