package alone

import (
	"bytes"
	"fmt"
	"io"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"time"

	"ambergate/demo/stage"
)

// Program is the server, as a process.
type Program struct {
	cmd              *exec.Cmd
	Address, metrics string
	dir              string
	Built            time.Duration // how long it took to build it
}

// Start starts it over the databases and the plant of a demo, and waits until it is ready.
func Start(up *stage.Stage) (*Program, error) {
	dir, err := os.MkdirTemp("", "ambergate-people")
	if err != nil {
		return nil, fmt.Errorf("make a folder: %w", err)
	}
	p := &Program{dir: dir}
	for _, at := range []*string{&p.Address, &p.metrics} {
		l, err := net.Listen("tcp", "127.0.0.1:0")
		if err != nil {
			return nil, fmt.Errorf("find a free address: %w", err)
		}
		*at = l.Addr().String()
		_ = l.Close()
	}
	binary, began := filepath.Join(dir, "ambergate"), time.Now()
	if out, err := exec.Command("go", "build", "-o", binary, "ambergate/cmd/ambergate").CombinedOutput(); err != nil {
		return nil, fmt.Errorf("build the program: %w\n%s", err, out)
	}
	p.Built = time.Since(began)
	p.cmd = exec.Command(binary, "serve", "--dir", dir, "--address", p.Address, "--metrics", p.metrics)
	p.cmd.Env = append(os.Environ(), up.Served()...)
	if err := p.cmd.Start(); err != nil {
		return nil, fmt.Errorf("start the program: %w", err)
	}
	for range 500 {
		if resp, err := http.Get("http://" + p.metrics + "/readyz"); err == nil {
			_ = resp.Body.Close()
			if resp.StatusCode == http.StatusOK {
				return p, nil
			}
		}
		time.Sleep(20 * time.Millisecond)
	}
	return nil, fmt.Errorf("the program is not ready")
}

// Stop ends it at once.
func (p *Program) Stop() {
	_ = p.cmd.Process.Kill()
	_ = p.cmd.Wait()
	_ = os.RemoveAll(p.dir)
}

// Uses tells what the program uses, by its own metrics.
func (p *Program) Uses() (string, error) {
	resp, err := http.Get("http://" + p.metrics + "/metrics")
	if err != nil {
		return "", fmt.Errorf("read the metrics: %w", err)
	}
	defer resp.Body.Close()
	text, err := io.ReadAll(resp.Body)
	if err != nil {
		return "", fmt.Errorf("read the metrics: %w", err)
	}
	value := func(name string) float64 {
		for line := range strings.Lines(string(text)) {
			if rest, ok := strings.CutPrefix(line, name+" "); ok {
				n, _ := strconv.ParseFloat(strings.TrimSpace(rest), 64)
				return n
			}
		}
		return 0
	}
	return fmt.Sprintf("%4.0f MB resident, %4.0f MB of heap, %6.0f goroutines, %5.0f files, %3.0f connections, %5.0f streams",
		value("process_resident_memory_bytes")/(1<<20), value("go_memstats_heap_alloc_bytes")/(1<<20), value("go_goroutines"), value("process_open_fds"),
		value(`ambergate_connections_open{database="store"}`)+value(`ambergate_connections_open{database="tarnhorn"}`), value(`ambergate_streams{of="users"}`)), nil
}

// Profile writes where the program computes for twenty seconds.
func (p *Program) Profile(path string) {
	resp, err := http.Get("http://" + p.metrics + "/debug/pprof/profile?seconds=20")
	if err != nil {
		fmt.Fprintln(os.Stderr, "bench: no profile:", err)
		return
	}
	defer resp.Body.Close()
	f, err := os.Create(path)
	if err == nil {
		_, err = io.Copy(f, resp.Body)
		_ = f.Close()
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "bench: no profile:", err)
	}
}

// CPU tells how long the program has computed (Linux, proc(5), in hundredths of a second).
func (p *Program) CPU() (time.Duration, error) {
	text, err := os.ReadFile(fmt.Sprintf("/proc/%d/stat", p.cmd.Process.Pid))
	if err != nil {
		return 0, fmt.Errorf("read what the program has computed: %w", err)
	}
	fields := strings.Fields(string(text[bytes.LastIndexByte(text, ')')+1:]))
	user, _ := strconv.Atoi(fields[11])
	system, _ := strconv.Atoi(fields[12])
	return time.Duration(user+system) * 10 * time.Millisecond, nil
}
