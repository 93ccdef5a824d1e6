package server_test

import (
	"context"
	"fmt"
	"net/http"
	"sync"
	"testing"
	"time"

	"ambergate/api"
)

// followed opens an event stream, and gives its events by name as they come; closed when it ends.
func followed(ctx context.Context, t *testing.T, p *person, path string) <-chan string {
	t.Helper()
	req, err := http.NewRequestWithContext(ctx, "GET", server(t).URL+path, nil)
	if err != nil {
		t.Fatal(err)
	}
	resp, err := p.client.Do(req)
	if err != nil || resp.StatusCode != http.StatusOK {
		t.Fatalf("%s: %v", path, err)
	}
	names := make(chan string, 1000)
	go func() {
		defer close(names)
		defer resp.Body.Close()
		events := newEventReader(resp.Body)
		for {
			name, _, err := events.next()
			if err != nil {
				return
			}
			names <- name
		}
	}()
	return names
}

// endsWith waits for the end of a stream, and gives its last event but signs of life.
func endsWith(t *testing.T, names <-chan string, within time.Duration) (last string) {
	t.Helper()
	end := time.After(within)
	for {
		select {
		case name, more := <-names:
			if !more {
				return last
			}
			if name != "alive" && name != "live" {
				last = name
			}
		case <-end:
			t.Fatalf("the stream goes on after %s", within)
		}
	}
}

func eventsOf(slug string, shown api.Shown) string {
	return fmt.Sprintf("/api/use/%s/events?at=%s.%d.0", slug, shown.Trail, shown.N)
}

// Hardening, high 6: streams went on for a minute after a release, and after the guard's record had changed.
func TestAStreamEndsWhenItsReleaseRolesOrGuardDo(t *testing.T) {
	jon, arno := as(t, "jon"), as(t, "arno")
	var shown api.Shown
	jon.must("POST", "/api/use/tarnhorn/open", map[string]string{"address": "/drive-room?lift=1"}, &shown)
	stream := followed(t.Context(), t, jon, eventsOf("tarnhorn", shown))
	arno.must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []any{map[string]any{"op": "add", "path": "/s_drive/guard", "value": "record.f_name != \"Shut today\""}}}, nil)
	arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
	if last := endsWith(t, stream, 30*time.Second); last != "ended" {
		t.Errorf("after a release: %q", last)
	}
	jon.must("POST", "/api/use/tarnhorn/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &shown)
	stream = followed(t.Context(), t, jon, eventsOf("tarnhorn", shown))
	if err := up.Exec(`update tarnhorn.lifts set name = 'Shut today' where id = 1`); err != nil {
		t.Fatal(err)
	}
	defer func() {
		if err := up.Exec(`update tarnhorn.lifts set name = 'Upper Tarn' where id = 1`); err != nil {
			t.Error(err)
		}
		arno.must("POST", "/api/build/tarnhorn/undo", nil, nil)
		arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
	}()
	time.Sleep(3100 * time.Millisecond) // what was just opened is asked again after three seconds, when something was written
	sela := as(t, "sela")
	defect := sela.open("/defect?defect=107&~mode=edit")
	was := fieldWords(defect, "f_what")
	save := map[string]any{"values": map[string]string{"f_what": was + " "}, "base": map[string]string{"f_what": was}, "version": defect.View.Record.Version}
	if status, _, problem := sela.press(defect, "guard-changes-1", "e_save", save); status != http.StatusOK {
		t.Fatalf("%d %+v", status, problem)
	}
	if last := endsWith(t, stream, 30*time.Second); last != "refused" {
		t.Errorf("after the guard's record changed: %q", last)
	}
}

// Hardening, medium: a build stream outlived the sign-out.
func TestABuildStreamEndsWithItsSession(t *testing.T) {
	arno := as(t, "arno")
	stream := followed(t.Context(), t, arno, "/api/build/tarnhorn/events")
	arno.must("POST", "/api/sign-out", nil, nil)
	if last := endsWith(t, stream, 30*time.Second); last != "ended" {
		t.Errorf("it ends with %q", last)
	}
}

// Hardening, high 7: a stream whose first signal was overtaken by a listener hung for ever. 5,000 openings in
// bursts, while values come in, each of which has to end.
func TestStreamsOpenAndEndInBursts(t *testing.T) {
	n := 5000
	if testing.Short() {
		n = 400
	}
	p := as(t, "jon")
	var shown api.Shown
	p.must("POST", "/api/use/tarnhorn/open", map[string]string{"address": "/drive-room?lift=1"}, &shown)
	const at = 100
	for range n / at {
		var wait sync.WaitGroup
		ctx, cancel := context.WithTimeout(t.Context(), 60*time.Second)
		for range at {
			wait.Add(1)
			go func() {
				defer wait.Done()
				req, err := http.NewRequestWithContext(ctx, "GET", server(t).URL+eventsOf("tarnhorn", shown), nil)
				if err != nil {
					t.Error(err)
					return
				}
				resp, err := p.client.Do(req)
				if err != nil {
					t.Error(err)
					return
				}
				defer resp.Body.Close()
				if name, _, err := newEventReader(resp.Body).next(); err != nil || name == "" {
					t.Errorf("nothing comes in: %v", err)
				}
			}()
		}
		wait.Wait()
		cancel()
		if t.Failed() {
			return
		}
	}
}
