// Command worst measures what one person, or many strangers, can take from everybody else: twenty people work,
// first alone, then beside one who searches and downloads as fast as may be, then beside a thousand attempts to
// sign in at once. It prints a table, and the most memory that the program had.
package main

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"net/http/cookiejar"
	"net/url"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"slices"
	"sync"
	"time"

	"ambergate/bench/alone"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/store"
)

const (
	people   = 20
	duration = 6 * time.Second
	think    = 100 * time.Millisecond
)

func main() { alone.Run(run) }

func run(ctx context.Context, up *stage.Stage) error {
	for i := range people {
		a := store.Account{ID: fmt.Sprintf("a_worker%d", i), Login: fmt.Sprintf("worker%d", i), Name: "Worker"}
		if err := up.Store.CreateAccount(ctx, a, a.Login); err != nil {
			return err
		}
		if err := up.Store.GiveRole(ctx, a.ID, demo.ProjectID, "r_tech"); err != nil {
			return err
		}
	}
	p, err := start(up)
	if err != nil {
		return err
	}
	defer p.stop()
	var workers []*browser
	for i := range people {
		b, err := p.signIn(fmt.Sprintf("worker%d", i))
		if err != nil {
			return err
		}
		workers = append(workers, b)
	}
	greedy, err := p.signIn("sela")
	if err != nil {
		return err
	}
	fmt.Printf("%-54s %8s %10s %10s %10s\n", "20 people, each opening a form every 100 ms", "calls", "p50 ms", "p99 ms", "memory MB")
	row := func(name string, r result) {
		fmt.Printf("%-54s %8d %10.1f %10.1f %10d\n", name, r.n, r.p50, r.p99, p.peak())
	}
	fmt.Printf("%-54s %30s %10d\n", "21 people signed in, one after the other", "", p.peak())
	work(workers, duration)
	p.peak()
	row("alone", work(workers, duration))
	stop := make(chan struct{})
	told := worst(greedy, stop)
	row("beside one who searches and downloads, 16 at once", work(workers, duration))
	close(stop)
	fmt.Printf("%54s %s\n", "that one was told", told())
	flooded := p.flood(1000)
	row("beside 1,000 attempts to sign in at once", work(workers, duration))
	fmt.Printf("%54s %s\n", "the attempts were told", flooded())
	return nil
}

// program is the program as a process of its own.
type program struct {
	run     *exec.Cmd
	address string
	dir     string
}

func start(up *stage.Stage) (*program, error) {
	dir, err := os.MkdirTemp("", "ambergate-worst")
	if err != nil {
		return nil, fmt.Errorf("make a folder: %w", err)
	}
	binary := filepath.Join(dir, "ambergate")
	if out, err := exec.Command("go", "build", "-o", binary, "ambergate/cmd/ambergate").CombinedOutput(); err != nil {
		return nil, fmt.Errorf("build the program: %w\n%s", err, out)
	}
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return nil, fmt.Errorf("find a port: %w", err)
	}
	p := &program{address: l.Addr().String(), dir: dir}
	_ = l.Close() // it was only asked for its number
	c := up.Cluster
	p.run = exec.Command(binary, "serve", "--dir", dir, "--address", p.address, "--store", c.DSN("ambergate", c.Password, "ambergate"), "--records", "tarnhorn="+c.DSN(demo.AppRole, c.Password, demo.Database))
	if err := p.run.Start(); err != nil {
		return nil, fmt.Errorf("start the program: %w", err)
	}
	for range 400 {
		if conn, err := net.DialTimeout("tcp", p.address, time.Second); err == nil {
			_ = conn.Close()
			return p, nil
		}
		time.Sleep(10 * time.Millisecond)
	}
	return nil, fmt.Errorf("the program does not answer")
}

func (p *program) stop() {
	_ = p.run.Process.Kill()
	_ = p.run.Wait() // it was killed
	_ = os.RemoveAll(p.dir)
}

var highWater = regexp.MustCompile(`VmHWM:\s+(\d+) kB`)

// peak is the most memory that it had since it was asked last, in MB.
func (p *program) peak() int {
	text, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", p.run.Process.Pid))
	if err != nil {
		return 0
	}
	var kb int
	if m := highWater.FindSubmatch(text); m != nil {
		_, _ = fmt.Sscan(string(m[1]), &kb) // it is digits
	}
	_ = os.WriteFile(fmt.Sprintf("/proc/%d/clear_refs", p.run.Process.Pid), []byte("5"), 0) // begins anew
	return kb / 1024
}

type browser struct {
	p      *program
	client http.Client
}

func (p *program) signIn(login string) (*browser, error) {
	jar, err := cookiejar.New(nil)
	if err != nil {
		return nil, fmt.Errorf("make a jar: %w", err)
	}
	b := &browser{p: p, client: http.Client{Jar: jar, Timeout: 20 * time.Second}}
	status, err := b.post("/api/sign-in", map[string]string{"login": login, "password": login}, nil)
	if err == nil && status != http.StatusOK {
		err = fmt.Errorf("sign in as %s: %d", login, status)
	}
	return b, err
}

func (b *browser) post(path string, body, into any) (int, error) {
	text, err := json.Marshal(body)
	if err != nil {
		return 0, fmt.Errorf("write the body: %w", err)
	}
	resp, err := b.client.Post("http://"+b.p.address+path, "application/json", bytes.NewReader(text))
	if err != nil {
		return 0, fmt.Errorf("call %s: %w", path, err)
	}
	defer resp.Body.Close()
	answer, err := io.ReadAll(resp.Body)
	if err == nil && into != nil {
		err = json.Unmarshal(answer, into)
	}
	return resp.StatusCode, err
}

type result struct {
	n        int
	p50, p99 float64
}

// work lets everybody work for a while.
func work(workers []*browser, long time.Duration) result {
	var mu sync.Mutex
	var all []float64
	var wait sync.WaitGroup
	end := time.Now().Add(long)
	for i, b := range workers {
		wait.Go(func() {
			time.Sleep(time.Duration(i) * think / people)
			for time.Now().Before(end) {
				began := time.Now()
				status, err := b.post("/api/use/tarnhorn/open", map[string]string{"address": "/defect?defect=107"}, nil)
				took := time.Since(began)
				if err != nil || status != http.StatusOK {
					took = time.Minute // it is to be seen
				}
				mu.Lock()
				all = append(all, float64(took.Microseconds())/1000)
				mu.Unlock()
				time.Sleep(think)
			}
		})
	}
	wait.Wait()
	slices.Sort(all)
	return result{n: len(all), p50: all[len(all)/2], p99: all[len(all)*99/100]}
}

// worst lets one person search and download as fast as may be; what it gives tells what they were answered.
func worst(b *browser, stop <-chan struct{}) func() string {
	told := map[int]int{}
	var mu sync.Mutex
	note := func(status int, _ error) {
		mu.Lock()
		told[status]++
		mu.Unlock()
	}
	var shown struct {
		Trail string
		N     int
	}
	note(b.post("/api/use/tarnhorn/open", map[string]string{"address": "/defects"}, &shown))
	find := url.QueryEscape("a e i o u n r s t l d c")
	for i := range 16 {
		go func() {
			for {
				select {
				case <-stop:
					return
				default:
				}
				if i%4 == 0 {
					resp, err := b.client.Get(fmt.Sprintf("http://%s/api/use/tarnhorn/csv?trail=%s&n=%d&element=e_list", b.p.address, shown.Trail, shown.N))
					if err == nil {
						note(resp.StatusCode, nil)
						time.Sleep(time.Second) // who reads nothing for a while
						_ = resp.Body.Close()
					}
					continue
				}
				note(b.post("/api/use/tarnhorn/open", map[string]string{"address": "/stops?~find=" + find}, nil))
			}
		}()
	}
	return func() string {
		mu.Lock()
		defer mu.Unlock()
		return fmt.Sprint(told)
	}
}

// flood lets strangers try to sign in, all at once.
func (p *program) flood(n int) func() string {
	told := map[int]int{}
	var mu sync.Mutex
	for i := range n {
		go func() {
			b := &browser{p: p, client: http.Client{Timeout: 20 * time.Second}}
			status, _ := b.post("/api/sign-in", map[string]string{"login": fmt.Sprintf("stranger%d", i%50), "password": "guess"}, nil)
			mu.Lock()
			told[status]++
			mu.Unlock()
		}()
	}
	return func() string {
		mu.Lock()
		defer mu.Unlock()
		return fmt.Sprint(told)
	}
}
