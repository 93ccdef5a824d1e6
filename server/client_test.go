package server_test

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"os"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/getkin/kin-openapi/openapi3"
	"github.com/getkin/kin-openapi/openapi3filter"
	"github.com/getkin/kin-openapi/routers"
	"github.com/getkin/kin-openapi/routers/gorillamux"

	"ambergate/api"
	"ambergate/core/kinds/element"
	"ambergate/core/use"
	"ambergate/demo/stage"
	"ambergate/demo/stage/stagetest"
)

var (
	up      *stage.Stage
	web     = sync.OnceValue(func() *httptest.Server { return httptest.NewServer(up.Server.Handler()) })
	routing routers.Router
)

func TestMain(m *testing.M) {
	document, err := openapi3.NewLoader().LoadFromData(api.Document)
	if err == nil {
		routing, err = gorillamux.NewRouter(document)
	}
	if err != nil {
		panic("the API document cannot be read: " + err.Error())
	}
	os.Setenv("GIN_MODE", "release")
	stagetest.Main(m, &up)
}

// server gives the one server of the tests, up on loopback.
func server(t testing.TB) *httptest.Server {
	t.Helper()
	return web()
}

// person is a signed-in client. Its answers are held against the API document.
type person struct {
	t      testing.TB
	client *http.Client
}

func as(t testing.TB, login string) *person {
	t.Helper()
	jar, err := cookiejar.New(nil)
	if err != nil {
		t.Fatal(err)
	}
	p := &person{t: t, client: &http.Client{Jar: jar}}
	if login != "" {
		p.must("POST", "/api/sign-in", map[string]string{"login": login, "password": login}, nil)
	}
	return p
}

// call sends a request and gives the status and the body, which is to be what the document says.
func (p *person) call(method, path string, body any) (int, []byte) {
	p.t.Helper()
	var text []byte
	switch b := body.(type) {
	case nil:
	case string:
		text = []byte(b)
	default:
		var err error
		if text, err = json.Marshal(b); err != nil {
			p.t.Fatal(err)
		}
	}
	req, err := http.NewRequest(method, server(p.t).URL+path, bytes.NewReader(text))
	if err != nil {
		p.t.Fatal(err)
	}
	req.Header.Set("Content-Type", "application/json")
	resp, err := p.client.Do(req)
	if err != nil {
		p.t.Fatal(err)
	}
	defer resp.Body.Close()
	answer, err := io.ReadAll(resp.Body)
	if err != nil {
		p.t.Fatal(err)
	}
	// No secret is in any answer, whatever was asked.
	if head := fmt.Sprint(resp.Header); strings.Contains(string(answer), up.Cluster.Password) || strings.Contains(head, up.Cluster.Password) {
		p.t.Errorf("%s %s: the password of the database is in the answer", method, path)
	}
	p.holdAgainstDocument(req, resp, answer)
	return resp.StatusCode, answer
}

// What is handed over as a file is text to the document.
func init() {
	for _, kind := range []string{"image/svg+xml", "application/scxml+xml"} {
		openapi3filter.RegisterBodyDecoder(kind, openapi3filter.FileBodyDecoder)
	}
}

// heldAgainst counts the answers to each operation, by their status.
var heldAgainst sync.Map

// Of what is asked thousands of times, one answer of five is held against the document after the first fifty.
const (
	allHeld   = 50
	oneHeldOf = 5
)

func (p *person) holdAgainstDocument(req *http.Request, resp *http.Response, body []byte) {
	p.t.Helper()
	route, params, err := routing.FindRoute(req)
	if err != nil {
		return // a call that the document does not know is tested for its refusal
	}
	count, _ := heldAgainst.LoadOrStore(fmt.Sprint(req.Method, route.Path, resp.StatusCode), new(atomic.Int64))
	if n := count.(*atomic.Int64).Add(1); n > allHeld && n%oneHeldOf != 0 {
		return
	}
	input := &openapi3filter.RequestValidationInput{Request: req, PathParams: params, Route: route}
	err = openapi3filter.ValidateResponse(context.Background(), &openapi3filter.ResponseValidationInput{
		RequestValidationInput: input, Status: resp.StatusCode, Header: resp.Header, Body: io.NopCloser(bytes.NewReader(body)),
	})
	if err != nil {
		p.t.Errorf("%s %s: the answer is not what the document says: %v", req.Method, req.URL.Path, err)
	}
}

// must sends a request that has to be answered with a yes, and reads the answer. A machine that is too busy to answer in
// time says so, and is asked again, as the browser does.
func (p *person) must(method, path string, body, into any) {
	p.t.Helper()
	status, answer := p.call(method, path, body)
	for range 5 {
		if status != http.StatusServiceUnavailable {
			break
		}
		time.Sleep(time.Second)
		status, answer = p.call(method, path, body)
	}
	if status >= 300 {
		p.t.Fatalf("%s %s: %d %s", method, path, status, answer)
	}
	if into != nil {
		if err := json.Unmarshal(answer, into); err != nil {
			p.t.Fatalf("%s %s: %v", method, path, err)
		}
	}
}

// refused sends a request that has to be answered with a no of a code.
func (p *person) refused(method, path string, body any, status int, code string) api.Problem {
	p.t.Helper()
	got, answer := p.call(method, path, body)
	var problem api.Problem
	if err := json.Unmarshal(answer, &problem); err != nil || got != status || problem.Code != code || problem.What == "" {
		p.t.Errorf("%s %s: %d %s, want %d %s", method, path, got, answer, status, code)
	}
	return problem
}

func (p *person) open(address string) api.Shown {
	p.t.Helper()
	var shown api.Shown
	p.must("POST", "/api/use/tarnhorn/open", map[string]any{"address": address}, &shown)
	return shown
}

// press presses an element of a shown place.
func (p *person) press(shown api.Shown, id, element string, more map[string]any) (int, api.PressResult, api.Problem) {
	p.t.Helper()
	body := map[string]any{"press": id, "trail": shown.Trail, "n": shown.N, "release": shown.Release, "element": element}
	for k, v := range more {
		body[k] = v
	}
	status, answer := p.call("POST", "/api/use/tarnhorn/press", body)
	var result api.PressResult
	var problem api.Problem
	target := any(&result)
	if status >= 300 {
		target = &problem
	}
	if err := json.Unmarshal(answer, target); err != nil {
		p.t.Fatalf("press %s: %v: %s", element, err, answer)
	}
	return status, result, problem
}

func fieldWords(s api.Shown, path string) string {
	for _, e := range s.View.Elements {
		if shows[element.FieldView](e) && e.View.(*element.FieldView).Path == path {
			return e.View.(*element.FieldView).Words
		}
	}
	return ""
}

func huge() string { return `{"address":"` + strings.Repeat("x", 2<<20) + `"}` }

// shows says whether an element is of the kind that is drawn like that.
func shows[V any](e use.ElementView) bool {
	_, is := e.View.(*V)
	return is
}
