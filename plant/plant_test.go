package plant

import (
	"context"
	"errors"
	"log/slog"
	"net"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/plant/sim"
)

func startSim(t *testing.T, port int) *sim.Plant {
	t.Helper()
	p, err := sim.Start(port, []string{"UT"}, 1)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

func freePort(t *testing.T) int {
	t.Helper()
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	defer l.Close()
	return l.Addr().(*net.TCPAddr).Port
}

// within waits for something to become true; it fails the test when it does not.
func within(t *testing.T, limit time.Duration, what string, ok func() bool) {
	t.Helper()
	deadline := time.Now().Add(limit)
	for !ok() {
		if time.Now().After(deadline) {
			t.Fatalf("not within %s: %s", limit, what)
		}
		time.Sleep(20 * time.Millisecond)
	}
}

func TestValuesCommandsAndLoss(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	port := freePort(t)
	p := startSim(t, port)
	c := Open(Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace}, "so_plant", slog.New(slog.DiscardHandler), nil)
	defer c.Close()
	within(t, 40*time.Second, "connected", c.Good)
	ctx := context.Background()
	read := func(name string) cond.Value { return c.Read(ask.TagRef{Source: "so_plant", Node: name}).Value }

	names := []string{"UT.drive.running", "UT.drive.speed", "UT.drive.stop", "UT.wind.alarm", "UT.none"}
	c.Watch(ctx, names, 2*time.Second)
	// A busy machine may take longer for the first values than a screen would wait.
	within(t, 40*time.Second, "running", func() bool { return read("UT.drive.running").True() })
	if v := read("UT.none"); v.Known() {
		t.Errorf("a node that is not there reads %v", v.Wire())
	}

	listener := c.Listen([]string{"UT.drive.running"})
	defer listener.Close()
	if err := c.Write(ctx, "UT.drive.stop", cond.Bool(true)); err != nil {
		t.Fatal(err)
	}
	within(t, 40*time.Second, "stopped after the command", func() bool { v := read("UT.drive.running"); return v.Known() && !v.True() })
	select {
	case <-listener.C:
	case <-time.After(time.Second):
		t.Error("the listener was not told")
	}

	var refused *Refused
	if err := c.Write(ctx, "UT.drive.speed", cond.Float(3)); !errors.As(err, &refused) {
		t.Errorf("writing a reading gave %v, want a refusal", err)
	}
	if err := c.Write(ctx, "UT.drive.stop", cond.String("yes")); !errors.As(err, &refused) {
		t.Errorf("writing a text to a bit gave %v, want a refusal", err)
	}

	p.Close()
	within(t, 40*time.Second, "values unknown after the plant went", func() bool { return !read("UT.drive.running").Known() })
	if err := c.Write(ctx, "UT.drive.start", cond.Bool(true)); !errors.Is(err, ErrAway) {
		t.Errorf("writing to a plant that is away gave %v", err)
	}
	p = startSim(t, port)
	defer p.Close()
	var first cond.Value
	within(t, 40*time.Second, "back by itself", func() bool {
		for range 2000 { // the first that is told, however soon another one follows
			if first = read("UT.drive.running"); first.Known() {
				return true
			}
		}
		return false
	})
	if !first.True() {
		t.Error("the line runs since the plant began anew, and how it was before is told as how it is")
	}
}

// A screen waits for first values only a moment. What takes longer has to be read all the same: it is not asked for again.
func TestWhatIsNotReadInTimeIsWatchedAllTheSame(t *testing.T) {
	p := startSim(t, freePort(t))
	defer p.Close()
	c := Open(Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace}, "so_plant", slog.New(slog.DiscardHandler), nil)
	defer c.Close()
	within(t, 40*time.Second, "connected", c.Good)
	gone, leave := context.WithCancel(t.Context())
	leave()
	for _, name := range []string{"UT.drive.running", "UT.drive.speed"} {
		c.Watch(gone, []string{name}, 0)
		within(t, 40*time.Second, name, func() bool { return c.Read(ask.TagRef{Source: "so_plant", Node: name}).Value.Known() })
	}
}
