// Command streams measures with 200 browsers watching, over real event streams, how long it takes from a change in the
// plant to a lamp that shows it, and to each browser being called up; and what is left of goroutines and memory when
// all have gone. It prints a table. With MINUTES=30 it goes on for so long while others come and go and values change in
// bursts, and says each minute what is in use.
package main

import (
	"bufio"
	"context"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"os"
	"runtime"
	"slices"
	"strconv"
	"strings"
	"sync"
	"time"

	"ambergate/bench/alone"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/server"
	"ambergate/store"
)

const (
	browsers = 200
	changes  = 40
	pause    = 400 * time.Millisecond
	node     = "UT.drive.lights"
)

func main() {
	if err := run(); err != nil {
		fmt.Fprintln(os.Stderr, "bench:", err)
		os.Exit(1)
	}
}

func run() error {
	ctx, cancel := context.WithCancel(context.Background())
	defer cancel()
	server.Tune(ctx)
	up, end, err := stage.Throwaway(ctx, time.Now(), nil, io.Discard)
	if err != nil {
		return err
	}
	defer end()
	program := httptest.NewServer(up.Server.Handler())
	defer program.Close()
	watching := make(chan struct{})
	go func() { defer close(watching); up.Server.WatchCallUps(ctx) }()
	defer func() { cancel(); <-watching }()
	builder, err := signIn(program.URL, "arno")
	if err != nil {
		return err
	}
	// The call-up comes when the lights go out, at once, so that what is measured is the way of the news alone.
	patch := []any{
		map[string]any{"op": "replace", "path": "/cu_gusts/while", "value": "!record.equip.q_drive.g_lights"},
		map[string]any{"op": "remove", "path": "/cu_gusts/for"},
		map[string]any{"op": "remove", "path": "/cu_gusts/not"},
	}
	if err := builder.post("/api/build/tarnhorn/edits", map[string]any{"patch": patch}, nil); err != nil {
		return err
	}
	if err := alone.Release(builder.client, program.URL, "tarnhorn"); err != nil {
		return err
	}
	before := measured()
	heard := make(chan told, 100*browsers)
	watch, stop := context.WithCancel(ctx)
	var all sync.WaitGroup
	for i := range browsers {
		if err := open(watch, up, program.URL, i, heard, &all); err != nil {
			stop()
			return err
		}
	}
	time.Sleep(3 * time.Second) // first values, and the engine of the new release
	lamps, calls := measure(up, heard)
	if err := soak(watch, up, program.URL, heard); err != nil {
		stop()
		return err
	}
	during := measured()
	stop()
	all.Wait()
	http.DefaultClient.CloseIdleConnections()
	time.Sleep(3 * time.Second)
	runtime.GC()
	fmt.Printf("%-44s %8s %8s %8s %10s\n", fmt.Sprintf("%d browsers, %d changes", browsers, changes), "p50 ms", "p99 ms", "most ms", "heard")
	print("change in the plant to a lamp", lamps, browsers*changes)
	print("change in the plant to being called up", calls, browsers*changes/2)
	fmt.Printf("\ngoroutines: %d before, %d with all watching, %d after; memory in use: %d, %d, %d MB\n", before.goroutines, during.goroutines, measured().goroutines, before.mb, during.mb, measured().mb)
	return nil
}

// soak goes on for as many minutes as are wished: others come and go, values change in bursts, and each minute it says
// how many goroutines there are, and how much memory is in use after what is not has been let go.
func soak(ctx context.Context, up *stage.Stage, url string, heard chan told) error {
	minutes, _ := strconv.Atoi(os.Getenv("MINUTES")) // none: not at all
	for minute := range minutes {
		for end := time.Now().Add(time.Minute); time.Now().Before(end); {
			visit, leave := context.WithCancel(ctx)
			var visitors sync.WaitGroup
			for i := range 20 {
				if err := open(visit, up, url, browsers+i, heard, &visitors); err != nil {
					leave()
					return err
				}
			}
			for i := range 10_000 {
				up.Sim.Put("HS.drive.set_speed", float64(i%60)/10)
			}
			measure(up, heard)
			leave()
			visitors.Wait()
		}
		runtime.GC()
		now := measured()
		fmt.Printf("minute %d: %d goroutines, %d MB\n", minute+1, now.goroutines, now.mb)
	}
	return nil
}

// told is one thing that a stream told: which element, or that the tab is called up.
type told struct {
	what string
	at   time.Time
}

// measure turns the lights off and on, and notes when each browser hears of it.
func measure(up *stage.Stage, heard <-chan told) (lamps, calls []time.Duration) {
	for len(heard) > 0 {
		<-heard
	}
	for i := range changes {
		began := time.Now()
		up.Sim.Put(node, i%2 == 1)
		for end := time.After(pause); ; {
			select {
			case t := <-heard:
				if t.what == "lamp" {
					lamps = append(lamps, t.at.Sub(began))
				} else {
					calls = append(calls, t.at.Sub(began))
				}
				continue
			case <-end:
			}
			break
		}
	}
	return lamps, calls
}

// open signs somebody in, opens a drive room and listens to its stream until the context ends.
func open(ctx context.Context, up *stage.Stage, base string, i int, heard chan<- told, all *sync.WaitGroup) error {
	login := fmt.Sprintf("watcher%d", i)
	if err := up.Store.CreateAccount(ctx, store.Account{ID: "a_" + login, Login: login, Name: "Watcher"}, login); err != nil {
		return err
	}
	if err := up.Store.GiveRole(ctx, "a_"+login, demo.ProjectID, "r_oper"); err != nil {
		return err
	}
	b, err := signIn(base, login)
	if err != nil {
		return err
	}
	var shown struct {
		Trail string
		N     int
	}
	if err := b.post("/api/use/tarnhorn/open", map[string]any{"address": "/drive-room?lift=1"}, &shown); err != nil {
		return err
	}
	req, err := http.NewRequestWithContext(ctx, "GET", fmt.Sprintf("%s/api/use/tarnhorn/events?at=%s.%d.0", base, shown.Trail, shown.N), nil)
	if err != nil {
		return fmt.Errorf("ask for a stream: %w", err)
	}
	resp, err := b.client.Do(req)
	if err != nil {
		return fmt.Errorf("open a stream: %w", err)
	}
	all.Go(func() {
		defer resp.Body.Close()
		lines := bufio.NewScanner(resp.Body)
		lines.Buffer(nil, 1<<20)
		name := ""
		for lines.Scan() {
			line := lines.Text()
			switch {
			case strings.HasPrefix(line, "event: "):
				name = line[len("event: "):]
			case name == "callup" && strings.HasPrefix(line, "data: "):
				heard <- told{"call", time.Now()}
			case name == "live" && strings.Contains(line, `"e_light"`):
				heard <- told{"lamp", time.Now()}
			}
		}
	})
	return nil
}

type browser struct {
	base   string
	client *http.Client
}

func signIn(base, login string) (*browser, error) {
	jar, err := cookiejar.New(nil)
	if err != nil {
		return nil, fmt.Errorf("make a jar: %w", err)
	}
	b := &browser{base, &http.Client{Jar: jar}}
	return b, b.post("/api/sign-in", map[string]string{"login": login, "password": login}, nil)
}

func (b *browser) post(path string, body, into any) error {
	return alone.Post(b.client, b.base+path, body, into)
}

type use struct{ goroutines, mb int }

func measured() use {
	var m runtime.MemStats
	runtime.ReadMemStats(&m)
	return use{runtime.NumGoroutine(), int(m.HeapAlloc >> 20)}
}

func print(name string, all []time.Duration, wanted int) {
	slices.Sort(all)
	at := func(share float64) float64 {
		if len(all) == 0 {
			return 0
		}
		return float64(all[min(len(all)-1, int(share*float64(len(all))))].Microseconds()) / 1000
	}
	fmt.Printf("%-44s %8.1f %8.1f %8.1f %5d/%d\n", name, at(0.5), at(0.99), at(1), len(all), wanted)
}
