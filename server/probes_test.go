package server_test

import (
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	front "ambergate/server"
	"ambergate/server/base"
	"ambergate/server/bounds"
)

func TestItIsReadyUntilItLeaves(t *testing.T) {
	s, err := front.New(up.Server.Config)
	if err != nil {
		t.Fatal(err)
	}
	probe := func(path string) (int, api.Probe) {
		w := httptest.NewRecorder()
		s.Handler().ServeHTTP(w, httptest.NewRequest("GET", path, nil))
		var out api.Probe
		if err := json.Unmarshal(w.Body.Bytes(), &out); err != nil {
			t.Fatal(err)
		}
		return w.Code, out
	}
	if status, _ := probe("/healthz"); status != http.StatusOK {
		t.Errorf("it does not live: %d", status)
	}
	status, ready := probe("/readyz")
	if status != http.StatusOK || !ready.Ready || !ready.Store || !ready.Leads || ready.Plants != 1 || ready.Structure < 22 {
		t.Errorf("it is not ready: %d %+v", status, ready)
	}
	s.Leave()
	if status, ready := probe("/readyz"); status != http.StatusServiceUnavailable || ready.Ready || !ready.Ending {
		t.Errorf("it leaves, and is ready: %d %+v", status, ready)
	}
	if status, _ := probe("/healthz"); status != http.StatusOK {
		t.Errorf("it leaves, and does not live: %d", status)
	}
}

func TestWhatIsDoneIsCounted(t *testing.T) {
	sela := as(t, "sela")
	shown := sela.open("/defects?~sort=code")
	status, _, _ := sela.press(shown, fmt.Sprintf("counted-%d", time.Now().UnixNano()), "e_list", map[string]any{"row": "3"})
	if status != http.StatusOK {
		t.Fatalf("the press: %d", status)
	}
	w := httptest.NewRecorder()
	up.Server.Metrics.Handler().ServeHTTP(w, httptest.NewRequest("GET", "/metrics", nil))
	text, err := io.ReadAll(w.Result().Body)
	if err != nil {
		t.Fatal(err)
	}
	for _, want := range []string{
		`ambergate_request_seconds_count{call="/api/use/:project/press",method="POST",status="200"}`,
		`ambergate_presses_total{outcome="moved"}`, `ambergate_trail_places_total `, `ambergate_connections_used{database="store"}`, `ambergate_connections_open{database="tarnhorn"}`,
		`ambergate_leads 1`, `ambergate_answers_joined{database="tarnhorn"}`, `ambergate_plant_good{plant="ropeway"}`, `go_goroutines `, `process_resident_memory_bytes `,
	} {
		if !strings.Contains(string(text), want) {
			t.Errorf("nothing is told of %s", want)
		}
	}
	for _, secret := range []string{"sela", "Sela", "a_sela", shown.Trail} {
		if strings.Contains(string(text), secret) {
			t.Errorf("the metrics name %s", secret)
		}
	}
}

// Each request has a name, its own or one that is given, which the answer and the log tell.
func TestRequestsAreNamed(t *testing.T) {
	h := handlerWith(t, func(*base.Config) {})
	for given, kept := range map[string]bool{"": false, "0123456789abcdef": true, "a-request.of_4711": true, "short": false, "two lines\nof a log": false, strings.Repeat("x", 65): false} {
		req := httptest.NewRequest("GET", "/api/me", nil)
		req.Header["X-Request-Id"] = []string{given}
		w := httptest.NewRecorder()
		h.ServeHTTP(w, req)
		var problem api.Problem
		if err := json.Unmarshal(w.Body.Bytes(), &problem); err != nil {
			t.Fatal(err)
		}
		name := w.Header().Get("X-Request-Id")
		if len(name) < 8 || (name == given) != kept || problem.Request == nil || *problem.Request != name {
			t.Errorf("%q is named %q, and %v in the answer", given, name, problem.Request)
		}
	}
}

// Each limit, reached on purpose: a clear no, and what is within it goes on.
func TestLimitsAreSaidWhereTheyAre(t *testing.T) {
	h := handlerWith(t, func(c *base.Config) {
		c.Limits = bounds.Limits{Body: 2000, Streams: 2, Places: 3, Edits: 8, Answer: 5 * time.Second}
	})
	srv := httptest.NewServer(h)
	defer srv.Close()
	arno := as(t, "arno")
	ask := func(method, path, body string) (int, api.Problem, *http.Response) {
		req, err := http.NewRequest(method, srv.URL+path, strings.NewReader(body))
		if err != nil {
			t.Fatal(err)
		}
		resp, err := arno.client.Do(req)
		if err != nil {
			t.Fatal(err)
		}
		var problem api.Problem
		if resp.StatusCode >= 300 {
			if err := json.NewDecoder(resp.Body).Decode(&problem); err != nil {
				t.Fatal(err)
			}
			_ = resp.Body.Close()
		}
		return resp.StatusCode, problem, resp
	}
	if status, p, _ := ask("POST", "/api/build/tarnhorn/edits", `{"patch":[],"x":"`+strings.Repeat("x", 2000)+`"}`); status != http.StatusRequestEntityTooLarge || p.Code != "too-large" {
		t.Errorf("a large body: %d %+v", status, p)
	}
	edits := func(i int) (int, api.Problem) {
		status, p, resp := ask("POST", "/api/build/tarnhorn/edits", fmt.Sprintf(`{"patch":[{"op":"replace","path":"/s_parts/title","value":"Parts %d"}]}`, i))
		_ = resp.Body.Close()
		return status, p
	}
	made := 0
	for i := range 20 {
		status, p := edits(i)
		if status == http.StatusOK {
			made++
			continue
		}
		if status != http.StatusTooManyRequests || p.Code != "busy" || p.What == "" {
			t.Fatalf("edit %d: %d %+v", i, status, p)
		}
		break
	}
	if made == 0 || made > 6 {
		t.Errorf("%d edits were made at once where eight a minute may be", made)
	}
	for range made {
		arno.must("POST", "/api/build/tarnhorn/undo", nil, nil)
	}
	if status, p, _ := ask("GET", "/api/use/tarnhorn/events?at=a.1.0&at=b.1.0&at=c.1.0&at=d.1.0", ""); status != http.StatusBadRequest || !strings.Contains(p.What, "3 places") {
		t.Errorf("a stream of four places: %d %+v", status, p)
	}
	var open []*http.Response
	for range 2 {
		status, p, resp := ask("GET", "/api/build/tarnhorn/events", "")
		if status != http.StatusOK {
			t.Fatalf("a stream: %d %+v", status, p)
		}
		open = append(open, resp)
	}
	if status, p, _ := ask("GET", "/api/build/tarnhorn/events", ""); status != http.StatusTooManyRequests || p.Code != "busy" {
		t.Errorf("a third stream: %d %+v", status, p)
	}
	_ = open[0].Body.Close()
	until(t, "another stream can be opened", func() bool {
		status, _, resp := ask("GET", "/api/build/tarnhorn/events", "")
		_ = resp.Body.Close()
		return status == http.StatusOK
	})
	_ = open[1].Body.Close()
	if wrong := (bounds.Limits{Edits: -1, Answer: -time.Second}).Wrong(); len(wrong) != 2 {
		t.Errorf("%v", wrong)
	}
}
