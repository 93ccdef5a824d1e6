package server_test

import (
	"bytes"
	"net/http"
	"net/http/httptest"
	"net/url"
	"strings"
	"testing"

	front "ambergate/server"
	"ambergate/server/base"
)

// Hardening, low: addresses and bodies with NUL or what is no text were faults of the program.
func TestWhatIsNoTextIsAWrongRequest(t *testing.T) {
	p := as(t, "mira")
	for _, path := range []string{"/api/use/tarnhorn/titles/t_cabins?q=%00", "/api/use/tarnhorn/titles/t_cabins?q=%ff%fe", "/api/use/tarnhorn/titles/%00", "/use/tarnhorn/%c3%28"} {
		if status, body := p.call("GET", path, nil); status != http.StatusBadRequest {
			t.Errorf("%s: %d %s", path, status, body)
		}
	}
	for _, address := range []string{`/defects?~find=\u0000`, `/defects?~find=a\\\u0000`, "/cabin?cabin=\\u0000"} {
		if status, body := p.call("POST", "/api/use/tarnhorn/open", `{"address":"`+address+`"}`); status != http.StatusBadRequest {
			t.Errorf("%s: %d %s", address, status, body)
		}
	}
	// A backslash before those letters is just that.
	if status, body := p.call("POST", "/api/use/tarnhorn/open", `{"address":"/defects?~find=\\u0000"}`); status != http.StatusOK {
		t.Errorf("an escaped backslash: %d %s", status, body)
	}
}

// handlerWith gives a server of its own over the same databases, started otherwise.
func handlerWith(t *testing.T, change func(*base.Config)) http.Handler {
	t.Helper()
	c := up.Server.Config
	change(&c)
	s, err := front.New(c)
	if err != nil {
		t.Fatal(err)
	}
	return s.Handler()
}

// signInAt signs in at a handler, from an address that a proxy tells.
func signInAt(h http.Handler, login, password, forwarded string, cookies ...*http.Cookie) *http.Response {
	req, _ := http.NewRequest("POST", "http://localhost/api/sign-in", bytes.NewReader([]byte(`{"login":"`+login+`","password":"`+password+`"}`))) // these can be read
	req.RemoteAddr = "192.0.2.7:4000"
	req.Header.Set("X-Forwarded-For", forwarded)
	for _, c := range cookies {
		req.AddCookie(c)
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, req)
	return w.Result()
}

// Hardening, high 9: where a request comes from was believed from anybody.
func TestWhereARequestComesFromIsBelievedOfTrustedProxiesAlone(t *testing.T) {
	plain := handlerWith(t, func(*base.Config) {})
	behind := handlerWith(t, func(c *base.Config) { c.Proxies = []string{"192.0.2.0/24"} })
	for _, tc := range []struct {
		handler http.Handler
		from    string // as it is noted
	}{{plain, "192.0.2.7"}, {behind, "198.51.100.9"}} {
		if resp := signInAt(tc.handler, "jon", "jon", "198.51.100.9"); resp.StatusCode != http.StatusOK {
			t.Fatalf("sign in: %d", resp.StatusCode)
		}
		attempts, err := up.Store.Attempts(t.Context(), "a_jon", 1)
		if err != nil || len(attempts) != 1 || attempts[0].Origin != tc.from {
			t.Errorf("noted as %+v, want %s; %v", attempts, tc.from, err)
		}
	}
}

// Hardening, medium: cookies are bound to the host and sent over TLS alone where that is configured, never by
// what a request says of its host.
func TestCookiesAreAsConfigured(t *testing.T) {
	for _, secure := range []bool{false, true} {
		h := handlerWith(t, func(c *base.Config) { c.Cookies.Secure = secure })
		resp := signInAt(h, "mira", "mira", "")
		if resp.StatusCode != http.StatusOK || len(resp.Cookies()) != 2 {
			t.Fatalf("%d, %d cookies", resp.StatusCode, len(resp.Cookies()))
		}
		for _, c := range resp.Cookies() {
			if c.Secure != secure || strings.HasPrefix(c.Name, "__Host-") != secure || !c.HttpOnly || c.SameSite != http.SameSiteLaxMode || c.Path != "/" || c.Domain != "" {
				t.Errorf("behind TLS %v: %+v", secure, c)
			}
		}
		if got := resp.Header.Get("Strict-Transport-Security") != ""; got != secure {
			t.Errorf("behind TLS %v: HSTS %v", secure, got)
		}
		// A new sign-in in the same browser ends the session that it had.
		again := signInAt(h, "mira", "mira", "", resp.Cookies()...)
		if again.StatusCode != http.StatusOK {
			t.Fatalf("again: %d", again.StatusCode)
		}
		me := func(cookies []*http.Cookie) int {
			req, _ := http.NewRequest("GET", "http://localhost/api/me", nil)
			for _, c := range cookies {
				req.AddCookie(c)
			}
			w := httptest.NewRecorder()
			h.ServeHTTP(w, req)
			return w.Result().StatusCode
		}
		if old, new := me(resp.Cookies()), me(again.Cookies()); old != http.StatusUnauthorized || new != http.StatusOK {
			t.Errorf("behind TLS %v: the old session %d, the new one %d", secure, old, new)
		}
	}
}

func mustURL(t *testing.T, text string) *url.URL {
	t.Helper()
	u, err := url.Parse(text)
	if err != nil {
		t.Fatal(err)
	}
	return u
}
