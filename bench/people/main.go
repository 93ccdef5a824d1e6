// Command people measures one server, as a program of its own, under people who think: 2,000 of them (PEOPLE), each with
// an event stream open, one in ten of a live screen, each pressing something every five seconds: a row, back, what is typed kept, a
// record saved, a chart. It prints a table of how long they wait, and what the server uses. With MINUTES=30 it goes on for
// so long while streams are opened anew, and prints each minute what is in use, which has to stay.
package main

import (
	"bufio"
	"context"
	"fmt"
	"math/rand/v2"
	"net/http"
	"net/http/cookiejar"
	"net/url"
	"os"
	"slices"
	"strconv"
	"sync"
	"sync/atomic"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/bench/alone"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/server/base"
	"ambergate/store"
)

const think = 5 * time.Second

func main() { alone.Run(run) }

func number(name string, usual int) int {
	if n, err := strconv.Atoi(os.Getenv(name)); err == nil {
		return n
	}
	return usual
}

func run(ctx context.Context, up *stage.Stage) error {
	people, minutes := number("PEOPLE", 2000), number("MINUTES", 1)
	p, err := alone.Start(up)
	if err != nil {
		return err
	}
	defer p.Stop()
	idle, err := p.Uses()
	if err != nil {
		return err
	}
	fmt.Printf("with nobody:            %s\n", idle)
	began := time.Now()
	all, err := comeIn(ctx, up, p, people)
	if err != nil {
		return err
	}
	fmt.Printf("%d people signed in, in %.0f s\n", people, time.Since(began).Seconds())
	ctx, leave := context.WithCancel(ctx)
	defer leave()
	var done sync.WaitGroup
	for _, one := range all {
		done.Go(func() { one.listen(ctx) })
		done.Go(func() { one.work(ctx) })
	}
	time.Sleep(7 * think) // all have begun
	forget(all)
	cpu, _ := p.CPU()
	began = time.Now()
	if path := os.Getenv("CPU_PROFILE"); path != "" {
		go p.Profile(path)
	}
	for minute := range minutes {
		time.Sleep(time.Minute)
		now, err := p.Uses()
		if err != nil {
			return err
		}
		fmt.Printf("minute %2d:              %s\n", minute+1, now)
	}
	took := time.Since(began)
	after, _ := p.CPU()
	table(all, took, people)
	fmt.Printf("\nthe server used %.0f %% of a core; PostgreSQL and the people are on the same machine\n", 100*(after-cpu).Seconds()/took.Seconds())
	leave()
	done.Wait()
	time.Sleep(5 * time.Second)
	gone, err := p.Uses()
	fmt.Printf("when all have gone:     %s\n", gone)
	return err
}

// comeIn makes people, and lets them sign in and open their two tabs, a few at a time.
func comeIn(ctx context.Context, up *stage.Stage, p *alone.Program, n int) ([]*person, error) {
	all := make([]*person, n)
	meant, err := onCabins(ctx, up)
	if err != nil {
		return nil, err
	}
	transport := &http.Transport{MaxIdleConnsPerHost: 4 * n, MaxIdleConns: 4 * n}
	var next atomic.Int64
	var failed atomic.Value
	var coming sync.WaitGroup
	for range 8 {
		coming.Go(func() {
			for failed.Load() == nil {
				i := int(next.Add(1)) - 1
				if i >= n {
					return
				}
				one, err := newPerson(ctx, up, p, transport, i)
				if err != nil {
					failed.Store(err)
					return
				}
				one.meant = meant
				all[i] = one
			}
		})
	}
	coming.Wait()
	if err, _ := failed.Load().(error); err != nil {
		return nil, err
	}
	return all, nil
}

type shown struct {
	Trail   string `json:"trail"`
	N       int    `json:"n"`
	Release int    `json:"release"`
	View    struct {
		Elements []struct {
			ID   string `json:"id"`
			List *struct {
				Rows []struct {
					Key string `json:"key"`
				} `json:"rows"`
			} `json:"list"`
		} `json:"elements"`
	} `json:"view"`
}

// row gives the key of a row that is shown, of those that are meant; "" for none.
func (s shown) row(i int, meant map[string]bool) string {
	var keys []string
	for _, e := range s.View.Elements {
		if e.List != nil {
			for _, r := range e.List.Rows {
				if meant[r.Key] {
					keys = append(keys, r.Key)
				}
			}
		}
	}
	if len(keys) == 0 {
		return ""
	}
	return keys[i%len(keys)]
}

// onCabins gives the defects that are on a cabin.
func onCabins(ctx context.Context, up *stage.Stage) (map[string]bool, error) {
	conn, err := pgx.Connect(ctx, up.Cluster.AdminDSN(demo.Database))
	if err != nil {
		return nil, fmt.Errorf("connect to the records: %w", err)
	}
	defer conn.Close(ctx)
	rows, err := conn.Query(ctx, `select id::text from tarnhorn.defects where cabin_id is not null`)
	if err != nil {
		return nil, fmt.Errorf("look for defects on cabins: %w", err)
	}
	keys, err := pgx.CollectRows(rows, pgx.RowTo[string])
	out := map[string]bool{}
	for _, key := range keys {
		out[key] = true
	}
	return out, err
}

// person is somebody with two tabs: one at work, one on a drive room.
type person struct {
	base      string
	client    *http.Client
	i         int
	tab, live shown
	pressed   int
	meant     map[string]bool // records that are pressed
	mu        sync.Mutex
	took      map[string][]float64 // ms, by what was done
	failed    map[string]int
}

func newPerson(ctx context.Context, up *stage.Stage, p *alone.Program, transport *http.Transport, i int) (*person, error) {
	login := fmt.Sprintf("people%d", i)
	if err := up.Store.CreateAccount(ctx, store.Account{ID: "a_" + login, Login: login, Name: "Worker"}, login); err != nil {
		return nil, err
	}
	for _, role := range []string{"r_tech", "r_oper"} {
		if err := up.Store.GiveRole(ctx, "a_"+login, demo.ProjectID, role); err != nil {
			return nil, err
		}
	}
	jar, err := cookiejar.New(nil)
	if err != nil {
		return nil, fmt.Errorf("make a jar: %w", err)
	}
	// Signing in costs a fifth of a second of computing, as it is to: the session begins in the store instead.
	in, err := up.Store.SignIn(ctx, store.Entering{Login: login, Password: login, Origin: "192.0.2.1", Now: time.Now()})
	if err != nil {
		return nil, err
	}
	where, err := url.Parse("http://" + p.Address)
	if err != nil {
		return nil, fmt.Errorf("read an address: %w", err)
	}
	jar.SetCookies(where, []*http.Cookie{{Name: base.SessionCookie, Value: in.Token, Path: "/"}})
	one := &person{base: "http://" + p.Address, client: &http.Client{Jar: jar, Transport: transport}, i: i, took: map[string][]float64{}, failed: map[string]int{}}
	watched := "/inspections" // by which they are called up
	if i%10 == 0 {
		watched = fmt.Sprintf("/drive-room?lift=%d", 1+i%3) // where something changes ten times a second
	}
	if err := one.post("/api/use/tarnhorn/open", map[string]any{"address": watched}, &one.live); err != nil {
		return nil, err
	}
	return one, one.post("/api/use/tarnhorn/open", map[string]any{"address": "/defects?~sort=code"}, &one.tab)
}

func (one *person) post(path string, body, into any) error {
	return alone.Post(one.client, one.base+path, body, into)
}

// listen keeps a stream open, and opens it anew every few minutes.
func (one *person) listen(ctx context.Context) {
	for ctx.Err() == nil {
		for_, end := context.WithTimeout(ctx, time.Minute+time.Duration(rand.IntN(240))*time.Second)
		one.hear(for_)
		end()
	}
}

func (one *person) hear(ctx context.Context) {
	req, err := http.NewRequestWithContext(ctx, "GET", fmt.Sprintf("%s/api/use/tarnhorn/events?at=%s.%d.0", one.base, one.live.Trail, one.live.N), nil)
	if err != nil {
		return
	}
	resp, err := one.client.Do(req)
	if err != nil {
		select {
		case <-ctx.Done():
		case <-time.After(time.Second):
		}
		return
	}
	defer resp.Body.Close()
	lines := bufio.NewScanner(resp.Body)
	lines.Buffer(nil, 1<<20)
	for lines.Scan() {
	}
}

// work does something every five seconds.
func (one *person) work(ctx context.Context) {
	select {
	case <-ctx.Done():
	case <-time.After(time.Duration(rand.Int64N(int64(6 * think)))): // nobody does the same at the same time
	}
	for ctx.Err() == nil {
		what, err := one.act()
		if err != nil && ctx.Err() == nil {
			one.mu.Lock()
			if one.failed[what]++; one.failed[what] == 1 && told.Add(1) <= 5 {
				fmt.Fprintln(os.Stderr, "bench:", what, err)
			}
			one.mu.Unlock()
		}
		select {
		case <-ctx.Done():
		case <-time.After(think*8/10 + time.Duration(rand.Int64N(int64(think*4/10)))):
		}
	}
}

// told is how many failures were printed.
var told atomic.Int64

const usePath = "/api/use/tarnhorn"

// anew lets the next answer be read over the last one.
func (one *person) anew() *shown {
	one.tab.View.Elements = nil
	return &one.tab
}

// act does the next thing: a row, what is typed there kept, back; now and then a chart, or a record saved.
func (one *person) act() (string, error) {
	n := one.pressed
	one.pressed++
	press := func(element string, more map[string]any) error {
		req := map[string]any{"press": fmt.Sprintf("people-%d-%d-%d", one.i, n, time.Now().UnixNano()), "trail": one.tab.Trail, "n": one.tab.N, "release": one.tab.Release, "element": element}
		for k, v := range more {
			req[k] = v
		}
		var out struct{ Shown *shown }
		one.tab.View.Elements = nil
		err := one.post(usePath+"/press", req, &out)
		if err == nil && out.Shown != nil {
			one.tab = *out.Shown
		}
		return err
	}
	timed := func(what string, do func() error) (string, error) {
		began := time.Now()
		err := do()
		one.mu.Lock()
		one.took[what] = append(one.took[what], float64(time.Since(began).Microseconds())/1000)
		one.mu.Unlock()
		return what, err
	}
	switch n % 6 {
	case 0:
		return timed("press: a row of a list", func() error { return press("e_list", map[string]any{"row": one.tab.row(one.i, one.meant)}) })
	case 1:
		return timed("press: on to a cabin", func() error { return press("e_cabin", nil) })
	case 2, 4:
		return timed("back", func() error {
			return one.post(usePath+"/go", map[string]any{"trail": one.tab.Trail, "n": one.tab.N, "to": "back"}, one.anew())
		})
	case 3:
		return timed("view: read again", func() error {
			return one.post(usePath+"/open", map[string]any{"trail": one.tab.Trail, "n": one.tab.N}, one.anew())
		})
	default:
		return timed("view: charts", func() error {
			var chart shown
			err := one.post(usePath+"/open", map[string]any{"address": "/defects-by-component"}, &chart)
			return err
		})
	}
}

func forget(all []*person) {
	for _, one := range all {
		one.mu.Lock()
		one.took = map[string][]float64{}
		one.mu.Unlock()
	}
}

func table(all []*person, took time.Duration, people int) {
	by := map[string][]float64{}
	failed := map[string]int{}
	var every []float64
	for _, one := range all {
		one.mu.Lock()
		for what, ms := range one.took {
			by[what] = append(by[what], ms...)
			every = append(every, ms...)
		}
		for what, n := range one.failed {
			failed[what] += n
		}
		one.mu.Unlock()
	}
	by["all"] = every
	fmt.Printf("\n%-28s %10s %9s %9s %9s %9s %8s\n", fmt.Sprintf("%d people, %.0f min", people, took.Minutes()), "a second", "p50 ms", "p90 ms", "p99 ms", "most ms", "failed")
	names := []string{}
	for what := range by {
		names = append(names, what)
	}
	slices.Sort(names)
	for _, what := range names {
		ms := by[what]
		slices.Sort(ms)
		at := func(share float64) float64 {
			if len(ms) == 0 {
				return 0
			}
			return ms[min(len(ms)-1, int(share*float64(len(ms))))]
		}
		fmt.Printf("%-28s %10.1f %9.1f %9.1f %9.1f %9.1f %8d\n", what, float64(len(ms))/took.Seconds(), at(0.5), at(0.9), at(0.99), at(1), failed[what])
	}
}
