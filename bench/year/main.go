// Command year measures one server, as a program of its own, over the store of a year: ten million places of trails
// (PLACES), two million presses noted at the records, a hundred thousand drafts. How long it takes to start, how long views
// and presses take while what is old is forgotten, how long forgetting takes, and views and presses after it. It prints a
// table.
package main

import (
	"context"
	"fmt"
	"net/http"
	"net/http/cookiejar"
	"net/url"
	"os"
	"slices"
	"strconv"
	"sync"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/bench/alone"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/server/base"
	"ambergate/store"
)

const (
	placesEach = 200 // of a trail
	clients    = 8
	measured   = 10 * time.Second
	people     = 500
)

func main() { alone.Run(run) }

// What is made: over a year, evenly. Trails are of many people, as many of each as there may be.
const (
	makePeople = `insert into account (id, login, name, password) select 'a_year' || i, 'year' || i, 'Year', '' from generate_series(1, $1) i`
	makeTrails = `insert into trail (id, account, project, at, seen_at) select 'year-' || i, 'a_year' || 1 + i % $2, $3, 200, now() - i * interval '365 days' / $1 from generate_series(1, $1) i`
	makePlaces = `insert into place (trail, n, place, title, made_at) select 'year-' || t, n, '{"screen":"s_defect","mode":"view","inputs":{"i_defect":"107"},"from":{"screen":"s_defects","element":"e_list","cursor":"D-2107"}}', 'Defect D-2107', now() from generate_series($1::int, $2::int) t, generate_series(1, 200) n`
	makeDrafts = `insert into draft (id, account, project, tab, work, screen, title, base, vals, at) select 'year-' || i, 'a_year' || 1 + i % $2, $3, 'year-' || 1 + i % $4, 'w' || i, 's_defect', 'Defect', '{}', '{"f_what":"half a sentence, typed and left"}', now() - i * interval '365 days' / $1 from generate_series(1, $1) i`
	makePress  = `insert into ambergate.press (id, user_id, content, outcome, at) select 'year-' || i, 'a_mira', md5(i::text), '{"kind":"moved","to":{"screen":"s_defect","mode":"view"}}', now() - i * interval '365 days' / $1 from generate_series(1, $1) i`
)

func run(ctx context.Context, up *stage.Stage) error {
	places, err := strconv.Atoi(os.Getenv("PLACES"))
	if err != nil {
		places = 10_000_000
	}
	trails := places / placesEach
	began := time.Now()
	if err := fill(ctx, up, trails); err != nil {
		return err
	}
	var size string
	if err := ask(ctx, up, "ambergate", `select pg_size_pretty(pg_database_size('ambergate'))`, &size); err != nil {
		return err
	}
	fmt.Printf("made %d places, %d presses, %d drafts in %.0f s: the store has %s\n\n", places, places/5, places/100, time.Since(began).Seconds(), size)
	start := time.Now()
	p, err := alone.Start(up)
	if err != nil {
		return err
	}
	defer p.Stop()
	started := time.Since(start) - p.Built
	tokens, err := sessions(ctx, up)
	if err != nil {
		return err
	}
	fmt.Printf("%-44s %10s %9s %9s\n", "", "a second", "p50 ms", "p99 ms")
	fmt.Printf("%-44s %28.1f s\n", "started, with the store of a year", started.Seconds())
	row("view, while what is old is forgotten", measure(p, tokens, false))
	row("press, while what is old is forgotten", measure(p, tokens, true))
	began = time.Now()
	for time.Since(began) < 20*time.Minute { // by the moment of the start: what is made grows older all the time
		var trailsLeft, pressesLeft int
		if err := ask(ctx, up, "ambergate", `select count(*) from trail where seen_at < $1::timestamptz - interval '30 days'`, &trailsLeft, start); err != nil {
			return err
		}
		if err := ask(ctx, up, demo.Database, `select count(*) from ambergate.press where at < $1::timestamptz - interval '30 days'`, &pressesLeft, start); err != nil {
			return err
		}
		if trailsLeft+pressesLeft == 0 {
			break
		}
		time.Sleep(time.Second)
	}
	fmt.Printf("%-44s %28.0f s\n", "all that is old is forgotten, after", time.Since(began).Seconds()+2*measured.Seconds())
	row("view, after it", measure(p, tokens, false))
	row("press, after it", measure(p, tokens, true))
	return nil
}

func ask(ctx context.Context, up *stage.Stage, database, sql string, into any, args ...any) error {
	conn, err := pgx.Connect(ctx, up.Cluster.AdminDSN(database))
	if err != nil {
		return fmt.Errorf("connect: %w", err)
	}
	defer conn.Close(ctx)
	return conn.QueryRow(ctx, sql, args...).Scan(into)
}

func fill(ctx context.Context, up *stage.Stage, trails int) error {
	conn, err := pgx.Connect(ctx, up.Cluster.AdminDSN("ambergate"))
	if err != nil {
		return fmt.Errorf("connect: %w", err)
	}
	defer conn.Close(ctx)
	do := func(sql string, args ...any) {
		if err == nil {
			_, err = conn.Exec(ctx, sql, args...)
		}
	}
	do(`set synchronous_commit = off`)
	do(makePeople, people)
	do(makeTrails, trails, people, demo.ProjectID)
	for from := 1; from <= trails; from += 2500 {
		do(makePlaces, from, min(trails, from+2499))
	}
	do(makeDrafts, trails*placesEach/100, people, demo.ProjectID, trails)
	do(`analyze`)
	if err != nil {
		return fmt.Errorf("make the store of a year: %w", err)
	}
	records, err := pgx.Connect(ctx, up.Cluster.AdminDSN(demo.Database))
	if err != nil {
		return fmt.Errorf("connect: %w", err)
	}
	defer records.Close(ctx)
	if _, err := records.Exec(ctx, makePress, trails*placesEach/5); err != nil {
		return fmt.Errorf("make the presses of a year: %w", err)
	}
	return nil
}

// sessions lets some people come in.
func sessions(ctx context.Context, up *stage.Stage) (tokens []string, err error) {
	for i := range clients {
		login := fmt.Sprintf("now%d", i)
		if err := up.Store.CreateAccount(ctx, store.Account{ID: "a_" + login, Login: login, Name: "Now"}, login); err != nil {
			return nil, err
		}
		if err := up.Store.GiveRole(ctx, "a_"+login, demo.ProjectID, "r_tech"); err != nil {
			return nil, err
		}
		in, err := up.Store.SignIn(ctx, store.Entering{Login: login, Password: login, Origin: "192.0.2.1", Now: time.Now()})
		if err != nil {
			return nil, err
		}
		tokens = append(tokens, in.Token)
	}
	return tokens, nil
}

type shown struct {
	Trail   string `json:"trail"`
	N       int    `json:"n"`
	Release int    `json:"release"`
}

// measure lets all clients view, or press, one thing after the other for a while.
func measure(p *alone.Program, tokens []string, presses bool) []float64 {
	var mu sync.Mutex
	var all []float64
	var wait sync.WaitGroup
	for i, token := range tokens {
		wait.Go(func() {
			own, err := one(p, token, i, presses)
			if err != nil {
				fmt.Fprintln(os.Stderr, "bench:", err)
			}
			mu.Lock()
			defer mu.Unlock()
			all = append(all, own...)
		})
	}
	wait.Wait()
	return all
}

func one(p *alone.Program, token string, i int, presses bool) (took []float64, err error) {
	at, err := url.Parse("http://" + p.Address)
	if err != nil {
		return nil, fmt.Errorf("read an address: %w", err)
	}
	jar, err := cookiejar.New(nil)
	if err != nil {
		return nil, fmt.Errorf("make a jar: %w", err)
	}
	jar.SetCookies(at, []*http.Cookie{{Name: base.SessionCookie, Value: token, Path: "/"}})
	client := &http.Client{Jar: jar}
	post := func(path string, body, into any) error {
		return alone.Post(client, at.String()+"/api/use/tarnhorn/"+path, body, into)
	}
	var tab shown
	if err := post("open", map[string]any{"address": "/defect?defect=107"}, &tab); err != nil {
		return nil, err
	}
	for end, n := time.Now().Add(measured), 0; time.Now().Before(end); n++ {
		began := time.Now()
		if presses {
			var out struct{}
			err = post("press", map[string]any{"press": fmt.Sprintf("now-%d-%d-%d", i, n, began.UnixNano()), "trail": tab.Trail, "n": tab.N, "release": tab.Release, "element": "e_cabin"}, &out)
		} else {
			err = post("open", map[string]any{"trail": tab.Trail, "n": tab.N}, &tab)
		}
		if err != nil {
			return took, err
		}
		took = append(took, float64(time.Since(began).Microseconds())/1000)
	}
	return took, nil
}

func row(name string, all []float64) {
	slices.Sort(all)
	if len(all) == 0 {
		fmt.Printf("%-44s nothing was answered\n", name)
		return
	}
	fmt.Printf("%-44s %10.0f %9.1f %9.1f\n", name, float64(len(all))/measured.Seconds(), all[len(all)/2], all[len(all)*99/100])
}
