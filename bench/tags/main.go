// Command tags measures what 5,000 values of a plant that change each second take: the share of one core, and how many
// of the changes come to who follows each of them. The plant is another process. It prints a table.
package main

import (
	"bufio"
	"bytes"
	"context"
	"fmt"
	"log/slog"
	"net"
	"os"
	"os/exec"
	"runtime"
	"strconv"
	"strings"
	"syscall"
	"time"

	"ambergate/core/ask"
	"ambergate/plant"
	"ambergate/plant/sim"
)

const (
	tags    = 5000
	seconds = 20
	screens = 200 // listeners, each of fifty values
	shown   = 50
	asPlant = "BENCH_PLANT"
)

func main() {
	run := measure
	if os.Getenv(asPlant) != "" {
		run = be
	}
	if err := run(); err != nil {
		fmt.Fprintln(os.Stderr, "bench:", err)
		os.Exit(1)
	}
}

// be is the plant: it says its port, and changes all values each second until its input ends.
func be() error {
	free, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return fmt.Errorf("find a port: %w", err)
	}
	port := free.Addr().(*net.TCPAddr).Port
	_ = free.Close() // the plant takes it
	p, err := sim.Start(port, []string{"UT"}, 1)
	if err != nil {
		return err
	}
	defer p.Close()
	values := map[string]any{}
	put := func(v float64) {
		for i := range tags {
			values[name(i)] = v
		}
		p.PutAll(values)
	}
	put(0)
	fmt.Println(p.Endpoint())
	lines := bufio.NewScanner(os.Stdin)
	for v := 1.0; lines.Scan(); v++ {
		put(v)
	}
	return nil
}

func name(i int) string { return "bench.v" + strconv.Itoa(i) }

func measure() (err error) {
	child := exec.Command(os.Args[0])
	child.Env = append(os.Environ(), asPlant+"=1")
	var said bytes.Buffer // told where anything goes wrong: it may have ended by itself
	child.Stderr = &said
	in, err := child.StdinPipe()
	if err != nil {
		return fmt.Errorf("start the plant: %w", err)
	}
	out, err := child.StdoutPipe()
	if err != nil {
		return fmt.Errorf("start the plant: %w", err)
	}
	if err := child.Start(); err != nil {
		return fmt.Errorf("start the plant: %w", err)
	}
	defer func() {
		in.Close()
		ended := child.Wait()
		if err != nil {
			err = fmt.Errorf("%w; the plant ended with %v, and said:\n%s", err, ended, said.String())
		}
	}()
	endpoint := ""
	for lines := bufio.NewScanner(out); endpoint == "" && lines.Scan(); {
		if strings.HasPrefix(lines.Text(), "opc.tcp:") {
			endpoint = lines.Text()
		}
	}
	c := plant.Open(plant.Settings{Endpoint: endpoint, Namespace: sim.Namespace}, "bench", slog.New(slog.DiscardHandler), nil)
	defer c.Close()
	for end := time.Now().Add(20 * time.Second); !c.Good(); time.Sleep(50 * time.Millisecond) {
		if time.Now().After(end) {
			return fmt.Errorf("the plant at %q does not answer", endpoint)
		}
	}
	all := make([]string, tags)
	for i := range all {
		all[i] = name(i)
	}
	c.Watch(context.Background(), all, 30*time.Second)
	f := c.Follow(all)
	defer f.Close()
	for i := range screens {
		l := c.Listen(all[i*17%(tags-shown):][:shown])
		defer l.Close()
	}
	time.Sleep(5 * time.Second) // sampled anew
	f.Next()
	began, cpu := time.Now(), used()
	heard := 0
	for range seconds {
		next := time.Now().Add(time.Second)
		if _, err := fmt.Fprintln(in); err != nil {
			return fmt.Errorf("let the plant go on: %w", err)
		}
		for time.Now().Before(next) {
			time.Sleep(10 * time.Millisecond)
			heard += len(f.Next())
		}
	}
	took := time.Since(began)
	time.Sleep(3 * time.Second) // what was on its way
	heard += len(f.Next())
	newest := 0
	for _, n := range all {
		if c.Read(ask.TagRef{Node: n}).Value.Wire() == strconv.Itoa(seconds) {
			newest++
		}
	}
	var memory runtime.MemStats
	runtime.ReadMemStats(&memory)
	fmt.Printf("%-44s %10s %14s %10s %8s\n", fmt.Sprintf("%d values, each changing once a second", tags), "of a core", "heard", "newest", "memory")
	fmt.Printf("%-44s %9.0f%% %14s %10s %5d MB\n", fmt.Sprintf("%d screens of %d, and one that follows all", screens, shown), 100*float64(used()-cpu)/float64(took), fmt.Sprintf("%d/%d", heard, tags*seconds), fmt.Sprintf("%d/%d", newest, tags), memory.HeapAlloc>>20)
	if newest < tags {
		return fmt.Errorf("of %d values the newest is not known", tags-newest)
	}
	return nil
}

// used gives how long this process has had a core so far.
func used() time.Duration {
	var u syscall.Rusage
	if err := syscall.Getrusage(syscall.RUSAGE_SELF, &u); err != nil {
		panic("the time of a core is not told: " + err.Error())
	}
	return time.Duration(u.Utime.Nano() + u.Stime.Nano())
}
