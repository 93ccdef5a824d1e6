// Command http measures view and press over HTTP beside a bare handler that does one
// primary-key select, on the same machine, in the same run. It prints a table.
package main

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"os"
	"runtime/pprof"
	"slices"
	"strconv"
	"sync"
	"time"

	"github.com/gin-gonic/gin"
	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgxpool"

	"ambergate/bench/alone"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/server"
	"ambergate/store"
)

const (
	clients  = 32
	duration = 5 * time.Second
)

func main() {
	if err := run(); err != nil {
		fmt.Fprintln(os.Stderr, "bench:", err)
		os.Exit(1)
	}
}

func run() error {
	ctx := context.Background()
	server.Tune(ctx) // as the program does
	began := time.Now()
	up, end, err := stage.Throwaway(ctx, time.Now(), nil, io.Discard)
	if err != nil {
		return err
	}
	defer end()
	fmt.Printf("new cluster, demo data, server ready: %.1f s\n\n", time.Since(began).Seconds())
	for i := range clients { // each is somebody else, since a person has a share
		a := store.Account{ID: "a_" + worker(i), Login: worker(i), Name: "Worker"}
		if err := up.Store.CreateAccount(ctx, a, a.Login); err != nil {
			return err
		}
		if err := up.Store.GiveRole(ctx, a.ID, demo.ProjectID, "r_tech"); err != nil {
			return err
		}
	}
	bare, err := bareHandler(ctx, up)
	if err != nil {
		return err
	}
	bareServer, program := httptest.NewServer(bare), httptest.NewServer(up.Server.Handler())
	defer bareServer.Close()
	defer program.Close()

	postgres = up.Cluster.PID()
	defects, err := openDefects(ctx, up)
	if err != nil {
		return err
	}
	form := func(screen string, i int) string { return fmt.Sprintf("%s?defect=%d", screen, defects[i%len(defects)]) }
	base := measure(func(i int) func() error {
		url := fmt.Sprintf("%s/one/%d", bareServer.URL, defects[i%len(defects)])
		return func() error { return get(http.DefaultClient, url) }
	})
	if err := fifty(program.URL); err != nil {
		return err
	}
	view, err := profiled("view", func() result {
		return measure(func(i int) func() error { return viewer(program.URL, form("/fifty", i), i) })
	})
	if err != nil {
		return err
	}
	rich := measure(func(i int) func() error { return viewer(program.URL, form("/defect", i), i) })
	press, err := profiled("press", func() result {
		return measure(func(i int) func() error { return presser(program.URL, form("/fifty", i), "e_again", i, true) })
	})
	if err != nil {
		return err
	}
	board := measure(func(i int) func() error { return presser(program.URL, form("/fifty", i), "e_board", i, false) })
	far := measure(func(i int) func() error { return presser(program.URL, form("/defect", i), "e_cabin", i, false) })
	fmt.Printf("%-40s %12s %10s %10s %12s %12s %12s\n", "32 clients, 5 s", "requests/s", "p50 ms", "p99 ms", "of bare", "CPU ms each", "of database")
	for _, row := range []struct {
		name string
		r    result
	}{{"bare handler, one select", base}, {"view: a record, 50 buttons", view}, {"view: the demo’s defect, neighbours", rich}, {"press: to a record, trail written", press}, {"press: to the demo’s board of 50 defects", board}, {"press: to the demo’s cabin, its lists", far}} {
		fmt.Printf("%-40s %12.0f %10.2f %10.2f %11.0f%% %12.2f %12.2f\n", row.name, row.r.rate, row.r.p50, row.r.p99, 100*row.r.rate/base.rate, row.r.cpu+row.r.database, row.r.database)
	}
	fmt.Printf("\npress p99 is %.1f times that of the bare handler\n", press.p99/base.p99)
	return nil
}

// profiled measures a row, and writes where its time goes, where CPU_PROFILE names a file, and what it allocates, where
// ALLOC_PROFILE does: of the first view, or of the press to a record, if PROFILE_OF says “press”.
func profiled(name string, row func() result) (result, error) {
	of := cmp.Or(os.Getenv("PROFILE_OF"), "view")
	if path := os.Getenv("CPU_PROFILE"); path != "" && of == name {
		f, err := os.Create(path)
		if err != nil {
			return result{}, fmt.Errorf("make the profile: %w", err)
		}
		defer f.Close()
		if err := pprof.StartCPUProfile(f); err != nil {
			return result{}, fmt.Errorf("begin the profile: %w", err)
		}
		defer pprof.StopCPUProfile()
	}
	out := row()
	if path := os.Getenv("ALLOC_PROFILE"); path != "" && of == name {
		f, err := os.Create(path)
		if err != nil {
			return result{}, fmt.Errorf("make the profile: %w", err)
		}
		defer f.Close()
		if err := pprof.Lookup("allocs").WriteTo(f, 0); err != nil {
			return result{}, fmt.Errorf("write the profile: %w", err)
		}
	}
	return out, nil
}

func worker(i int) string { return fmt.Sprintf("worker%d", i) }

// openDefects gives records, so that nearly each client has its own: people who look at the same one at the same moment cost less.
func openDefects(ctx context.Context, up *stage.Stage) ([]int, error) {
	conn, err := pgx.Connect(ctx, up.Cluster.DSN(demo.AppRole, up.Cluster.Password, demo.Database))
	if err != nil {
		return nil, fmt.Errorf("reach the records: %w", err)
	}
	defer conn.Close(ctx)
	rows, err := conn.Query(ctx, `select id from tarnhorn.defects where state <> 'closed' and cabin_id is not null order by id limit $1`, clients)
	if err != nil {
		return nil, fmt.Errorf("find defects: %w", err)
	}
	ids, err := pgx.CollectRows(rows, pgx.RowTo[int])
	if err == nil && len(ids) == 0 {
		err = errors.New("no defect is open")
	}
	return ids, err
}

func bareHandler(ctx context.Context, up *stage.Stage) (http.Handler, error) {
	config, err := pgxpool.ParseConfig(up.Cluster.DSN(demo.AppRole, up.Cluster.Password, demo.Database))
	if err != nil {
		return nil, fmt.Errorf("read the connection: %w", err)
	}
	config.MaxConns = 8
	pool, err := pgxpool.NewWithConfig(ctx, config)
	if err != nil {
		return nil, fmt.Errorf("prepare the pool: %w", err)
	}
	gin.SetMode(gin.ReleaseMode)
	engine := gin.New()
	engine.GET("/one/:id", func(c *gin.Context) {
		id, err := strconv.Atoi(c.Param("id"))
		if err != nil {
			c.Status(http.StatusBadRequest)
			return
		}
		var code, what string
		if err := pool.QueryRow(c, `select code, what from tarnhorn.defects where id = $1`, id).Scan(&code, &what); err != nil {
			c.Status(http.StatusInternalServerError)
			return
		}
		c.JSON(http.StatusOK, gin.H{"code": code, "what": what})
	})
	return engine, nil
}

// result is what a row of the table says; cpu is what one request computes, in ms: clients and server, and PostgreSQL, which
// counts in hundredths of a second.
type result struct{ rate, p50, p99, cpu, database float64 }

// measure runs all clients at once for the duration, after a moment to warm up.
func measure(client func(i int) func() error) result {
	var mu sync.Mutex
	var all []float64
	var wait sync.WaitGroup
	calls := make([]func() error, clients)
	for i := range clients {
		calls[i] = client(i) // signed in before the clock starts
	}
	start := time.Now().Add(500 * time.Millisecond)
	var program, database float64
	time.AfterFunc(500*time.Millisecond, func() { program, database = computed() })
	for _, call := range calls {
		wait.Add(1)
		go func() {
			defer wait.Done()
			var own []float64
			for time.Now().Before(start.Add(duration)) {
				began := time.Now()
				if err := call(); err != nil {
					fmt.Fprintln(os.Stderr, "bench:", err)
					return
				}
				if began.After(start) {
					own = append(own, time.Since(began).Seconds()*1000)
				}
			}
			mu.Lock()
			all = append(all, own...)
			mu.Unlock()
		}()
	}
	wait.Wait()
	after, afterThere := computed()
	program, database = (after-program)*1000, (afterThere-database)*1000
	slices.Sort(all)
	if len(all) == 0 {
		return result{}
	}
	return result{rate: float64(len(all)) / duration.Seconds(), p50: all[len(all)/2], p99: all[len(all)*99/100], cpu: program / float64(len(all)), database: database / float64(len(all))}
}

func get(c *http.Client, url string) error {
	resp, err := c.Get(url)
	if err != nil {
		return err
	}
	defer resp.Body.Close()
	_, err = io.Copy(io.Discard, resp.Body)
	return err
}

// fifty puts a form of a defect with 50 buttons into use, each with a condition of its own.
func fifty(base string) error {
	elements := map[string]any{"e_what": map[string]any{"kind": "field", "pos": 1, "path": "f_what", "cell": map[string]int{"row": 1, "col": 1, "w": 6}}}
	board := map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "screen", "target": "s_wboard"}}}
	button := func(i int, while string) map[string]any {
		return map[string]any{"kind": "button", "pos": 2 + i, "words": fmt.Sprintf("Way %d of {record.f_code}", i), "cell": map[string]int{"row": 2 + i/6, "col": 1 + i%6*2, "w": 2},
			"gate": map[string]any{"while": while, "otherwise": map[string]string{"grey": "Not now."}, "cases": board}}
	}
	again := map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "screen", "target": "s_fifty", "bind": map[string]any{"i_defect": map[string]any{"rule": "this"}}}}}
	for i := range 48 {
		elements[fmt.Sprintf("e_b%d", i)] = button(i, fmt.Sprintf(`record.f_state != "closed" && record.f_severity in ["high", "medium"] && (user.is("Technician") || record.f_hours > %d)`, i))
	}
	elements["e_board"] = button(48, `record.f_state != "closed"`)
	elements["e_again"] = button(49, `record.f_state != "closed"`)
	elements["e_again"].(map[string]any)["gate"].(map[string]any)["cases"] = again
	screen := map[string]any{"kind": "screen", "type": "form", "title": "Fifty", "heading": "Defect {record.f_code}", "slug": "fifty", "record": "i_defect", "bare": true, "elements": elements,
		"inputs": map[string]any{"i_defect": map[string]any{"alias": "defect", "label": "Defect", "pos": 1, "required": true, "table": "t_defects", "type": "record"}}}
	c, err := signedIn(base, "arno")
	if err != nil {
		return err
	}
	if err := alone.Post(c, base+"/api/build/tarnhorn/edits", map[string]any{"patch": []any{map[string]any{"op": "add", "path": "/s_fifty", "value": screen}}}, nil); err != nil {
		return err
	}
	return alone.Release(c, base, "tarnhorn")
}

type place struct {
	Trail   string `json:"trail"`
	N       int    `json:"n"`
	Release int    `json:"release"`
}

func signedIn(base, login string) (*http.Client, error) {
	jar, err := cookiejar.New(nil)
	if err != nil {
		return nil, err
	}
	c := &http.Client{Jar: jar}
	return c, alone.Post(c, base+"/api/sign-in", map[string]string{"login": login, "password": login}, nil)
}

// viewer opens the same place again and again: session, trail, record with its parents, buttons.
func viewer(base, address string, i int) func() error {
	c, err := signedIn(base, worker(i))
	var at place
	if err == nil {
		err = alone.Post(c, base+"/api/use/tarnhorn/open", map[string]string{"address": address}, &at)
	}
	return func() error {
		if err != nil {
			return err
		}
		return alone.Post(c, base+"/api/use/tarnhorn/open", map[string]any{"trail": at.Trail, "n": at.N}, nil)
	}
}

// presser presses a button that leads on: one round trip with the target resolved and the trail written. Further on, each
// press is on the place that the one before led to; else all are on the first, which is gone back to by them.
func presser(base, address, element string, i int, further bool) func() error {
	c, err := signedIn(base, worker(i))
	var at place
	if err == nil {
		err = alone.Post(c, base+"/api/use/tarnhorn/open", map[string]string{"address": address}, &at)
	}
	n := 0
	return func() error {
		if err != nil {
			return err
		}
		n++
		err := alone.Post(c, base+"/api/use/tarnhorn/press", map[string]any{"press": fmt.Sprintf("bench-%d-%d-%d", i, n, time.Now().UnixNano()), "trail": at.Trail, "n": at.N, "release": at.Release, "element": element}, nil)
		if further {
			at.N++
		}
		return err
	}
}
