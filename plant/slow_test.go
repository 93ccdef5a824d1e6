package plant

import (
	"context"
	"errors"
	"io"
	"log/slog"
	"net"
	"runtime"
	"strconv"
	"sync/atomic"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/plant/sim"
)

// slowed leads a port to a plant; what the plant answers is let through after a delay, which can be changed.
func slowed(t *testing.T, plantPort int, delay *atomic.Int64) (port int) {
	t.Helper()
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = listener.Close() }) // what is on it ends with its ends
	go func() {
		for {
			client, err := listener.Accept()
			if err != nil {
				return
			}
			go func() {
				defer client.Close()
				plant, err := net.Dial("tcp", "127.0.0.1:"+strconv.Itoa(plantPort))
				if err != nil {
					return
				}
				defer plant.Close()
				go func() {
					_, _ = io.Copy(plant, client) // until one of them ends
					plant.Close()
				}()
				chunk := make([]byte, 64<<10)
				for {
					n, err := plant.Read(chunk)
					time.Sleep(time.Duration(delay.Load()))
					if _, writeErr := client.Write(chunk[:n]); err != nil || writeErr != nil {
						return
					}
				}
			}()
		}
	}()
	return listener.Addr().(*net.TCPAddr).Port
}

// A plant that takes two seconds for an answer is not believed: its values are stale, nothing is written, and what was
// under way is not known. When it is quick again all is as before, and nothing of it is left over.
func TestAPlantThatIsSlow(t *testing.T) {
	before := runtime.NumGoroutine()
	plantPort := freePort(t)
	p := startSim(t, plantPort)
	var delay atomic.Int64
	port := slowed(t, plantPort, &delay)
	c := Open(Settings{Endpoint: "opc.tcp://127.0.0.1:" + strconv.Itoa(port), Namespace: sim.Namespace}, "so_plant", slog.New(slog.DiscardHandler), nil)
	within(t, 40*time.Second, "connected", c.Good)
	c.Watch(t.Context(), []string{"UT.drive.speed", "UT.drive.lights"}, 2*time.Second)
	known := func() bool { return c.Read(ask.TagRef{Node: "UT.drive.speed"}).Value.Known() }
	within(t, 40*time.Second, "the speed", known)

	delay.Store(int64(2 * time.Second))
	within(t, 40*time.Second, "stale", func() bool { return !c.Good() && !known() })
	if err := c.Write(t.Context(), "UT.drive.lights", cond.Bool(false)); !errors.Is(err, ErrAway) {
		t.Errorf("a write to a plant that does not answer: %v", err)
	}
	if p.Taken("UT.drive.lights") != 0 {
		t.Error("it took a write that was refused")
	}
	delay.Store(0)
	within(t, 90*time.Second, "quick again", func() bool { return c.Good() && known() })
	if err := c.Write(t.Context(), "UT.drive.lights", cond.Bool(false)); err != nil || p.Now("UT.drive.lights") != false {
		t.Errorf("a write to a plant that answers again: %v", err)
	}
	c.Close()
	p.Close()
	within(t, 40*time.Second, "nothing is left over", func() bool { return runtime.NumGoroutine() <= before+6 })
}

// Started again with other nodes, the plant has no such values; with those of before, they are there again. Ten thousand
// changes at once come to the newest value.
func TestAPlantThatIsBuiltAnew(t *testing.T) {
	port := freePort(t)
	p := startSim(t, port)
	c := Open(Settings{Endpoint: p.Endpoint(), Namespace: sim.Namespace}, "so_plant", slog.New(slog.DiscardHandler), nil)
	defer c.Close()
	within(t, 40*time.Second, "connected", c.Good)
	c.Watch(context.Background(), []string{"UT.drive.set_speed"}, 2*time.Second)
	read := func() cond.Value { return c.Read(ask.TagRef{Node: "UT.drive.set_speed"}).Value }
	within(t, 40*time.Second, "the set speed", func() bool { return read().Known() })
	for i := range 10_000 {
		p.Put("UT.drive.set_speed", float64(i%5))
	}
	p.Put("UT.drive.set_speed", 5.5)
	within(t, 40*time.Second, "the newest of ten thousand", func() bool { f, ok := read().Float64(); return ok && f == 5.5 })

	p.Close()
	within(t, 40*time.Second, "it is away", func() bool { return !read().Known() })
	other, err := sim.Start(port, []string{"XX"}, 1)
	if err != nil {
		t.Fatal(err)
	}
	within(t, 90*time.Second, "other nodes", func() bool { return c.Good() && !read().Known() })
	if why := read().Why(); why == "" {
		t.Error("it does not say why the value is not known")
	}
	other.Close()
	again := startSim(t, port)
	defer again.Close()
	within(t, 90*time.Second, "those of before", func() bool { return c.Good() && read().Known() })
}
