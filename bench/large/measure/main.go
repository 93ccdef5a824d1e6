// Command measure builds on a project of a thousand screens over HTTP: how long it takes to open
// it, to have an edit acknowledged, to have it again after the edit, and to open any of its screens.
// It prints a table.
package main

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"slices"
	"strings"
	"time"

	"ambergate/bench/alone"
	"ambergate/bench/large"
	"ambergate/demo/stage"
	"ambergate/store"
)

func main() { alone.Run(run) }

func run(ctx context.Context, up *stage.Stage) error {
	if err := up.Exec(tables()); err != nil {
		return err
	}
	if err := up.Store.CreateProject(ctx, "p_large", large.Project(large.Full)); err != nil {
		return err
	}
	if err := up.Store.SetRights(ctx, "a_arno", "a_arno", "p_large", store.Rights{Builds: true}); err != nil {
		return err
	}
	server := httptest.NewServer(up.Server.Handler())
	defer server.Close()
	jar, err := cookiejar.New(nil)
	if err != nil {
		return fmt.Errorf("make the cookies: %w", err)
	}
	b := builder{base: server.URL, client: &http.Client{Jar: jar}}
	if err := b.call("POST", "/api/sign-in", map[string]string{"login": "arno", "password": "arno"}, nil); err != nil {
		return err
	}
	fmt.Printf("%d screens, %d gates, %d distinct conditions, %d roles\n\n", large.Full.Screens, large.Full.Screens*large.Full.GatesEach, large.Full.Conditions, large.Full.Roles)
	const project = "/api/build/large"
	opened, err := b.timed(1, func(int) error { return b.call("GET", project, nil, nil) })
	if err != nil {
		return err
	}
	show("opening the project (budget 2 s)", opened)
	shown, err := b.timed(40, func(i int) error {
		return b.call("POST", project+"/work", map[string]any{"as": "role:r_1", "screen": fmt.Sprintf("s_%d", i*23%1000)}, nil)
	})
	if err != nil {
		return err
	}
	show("opening a screen in build (budget 300 ms)", shown)
	words := "Go 0"
	edit := func(i int) error {
		path := fmt.Sprintf("/s_%d/elements/e_0/words", i*31%1000)
		next := fmt.Sprintf("Go on %d", i)
		return b.call("POST", project+"/edits", map[string]any{"patch": []any{map[string]any{"op": "test", "path": path, "value": words}, map[string]any{"op": "replace", "path": path, "value": next}}}, nil)
	}
	edits, err := b.timed(20, edit)
	if err != nil {
		return err
	}
	show("an edit acknowledged (budget 100 ms)", edits)
	var after []time.Duration
	for i := range 5 {
		if err := edit(100 + i); err != nil {
			return err
		}
		took, err := b.timed(1, func(int) error {
			return b.call("POST", project+"/work", map[string]any{"as": "role:r_1", "screen": "s_5"}, nil)
		})
		if err != nil {
			return err
		}
		after = append(after, took...)
	}
	show("a screen shown again after an edit", after)
	return nil
}

// tables makes what the screens are about: four tables of a hundred records.
func tables() string {
	var out strings.Builder
	for t := range 4 {
		columns := []string{"id integer generated always as identity primary key", "code text not null"}
		for n := range 20 {
			columns = append(columns, fmt.Sprintf("n%d integer", n))
		}
		if t > 0 {
			columns = append(columns, fmt.Sprintf("up_id integer references tarnhorn.large_%d", t-1))
		}
		fmt.Fprintf(&out, "create table tarnhorn.large_%d (%s);", t, strings.Join(columns, ", "))
		if t == 0 {
			fmt.Fprintf(&out, "insert into tarnhorn.large_0 (code, n1) select 'C' || i, i from generate_series(1, 100) i;")
		} else {
			fmt.Fprintf(&out, "insert into tarnhorn.large_%d (code, n1, up_id) select 'C' || i, i, i from generate_series(1, 100) i; create index on tarnhorn.large_%d (up_id);", t, t)
		}
		fmt.Fprintf(&out, "grant select on tarnhorn.large_%d to tarnhorn_app;", t)
	}
	return out.String()
}

type builder struct {
	base   string
	client *http.Client
}

func (b builder) call(method, path string, body, into any) error {
	text, err := json.Marshal(body)
	if err != nil {
		return fmt.Errorf("write the request: %w", err)
	}
	req, err := http.NewRequest(method, b.base+path, bytes.NewReader(text))
	if err != nil {
		return fmt.Errorf("make the request: %w", err)
	}
	req.Header.Set("Content-Type", "application/json")
	resp, err := b.client.Do(req)
	if err != nil {
		return fmt.Errorf("%s %s: %w", method, path, err)
	}
	defer resp.Body.Close()
	answer, err := io.ReadAll(resp.Body)
	if err != nil {
		return fmt.Errorf("read the answer: %w", err)
	}
	if resp.StatusCode >= 300 {
		return fmt.Errorf("%s %s: %d %.300s", method, path, resp.StatusCode, answer)
	}
	if into == nil {
		return nil
	}
	return json.Unmarshal(answer, into)
}

func (b builder) timed(n int, do func(i int) error) ([]time.Duration, error) {
	var out []time.Duration
	for i := range n {
		began := time.Now()
		if err := do(i); err != nil {
			return nil, err
		}
		out = append(out, time.Since(began))
	}
	return out, nil
}

func show(what string, took []time.Duration) {
	slices.Sort(took)
	fmt.Printf("%-44s median %6.0f ms, most %6.0f ms\n", what, ms(took[len(took)/2]), ms(took[len(took)-1]))
}

func ms(d time.Duration) float64 { return float64(d.Microseconds()) / 1000 }
