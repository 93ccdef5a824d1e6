package fleet

import (
	"bytes"
	"context"
	"io"
	"net"
	"net/http"
	"net/http/httputil"
	"net/url"
	"strings"
	"time"

	"ambergate/plant"
)

var dialer = &net.Dialer{Timeout: connectWithin, KeepAlive: 5 * time.Second}

// fromHeader says between servers where a request came from at first.
const fromHeader = "Ambergate-From"

type passedKey struct{}

// Passed says whether another server passed a request on.
func Passed(ctx context.Context) bool { return ctx.Value(passedKey{}) != nil }

// Pass passes a request on to the server that leads, with a body that was read already, and answers what that does; away
// is called where it cannot be reached, and nothing was answered.
func (f *Fleet) Pass(w http.ResponseWriter, r *http.Request, body []byte, from string, away func(error)) {
	to := &url.URL{Scheme: "https", Host: f.Leader()}
	if to.Host == "" {
		away(plant.ErrNoLead)
		return
	}
	proxy := &httputil.ReverseProxy{
		Transport: f.client.Transport,
		Rewrite: func(p *httputil.ProxyRequest) {
			p.SetURL(to)
			p.Out.Host = p.In.Host
			p.Out.Header.Set(fromHeader, from)
			p.Out.Body, p.Out.ContentLength = io.NopCloser(bytes.NewReader(body)), int64(len(body))
		},
		ModifyResponse: func(resp *http.Response) error {
			for name := range w.Header() { // this server has said the same already
				resp.Header.Del(name)
			}
			return nil
		},
		ErrorHandler: func(_ http.ResponseWriter, _ *http.Request, err error) { away(err) },
		ErrorLog:     nil,
	}
	proxy.ServeHTTP(w, r)
}

// Taken gives the handler of what other servers pass on, over that of everybody’s requests.
func Taken(everybody http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		from := r.Header.Get(fromHeader)
		for _, name := range []string{fromHeader, "X-Forwarded-For", "X-Real-Ip"} {
			r.Header.Del(name)
		}
		if strings.Contains(from, ":") {
			from = "[" + from + "]"
		}
		r.RemoteAddr = from + ":0"
		everybody.ServeHTTP(w, r.WithContext(context.WithValue(r.Context(), passedKey{}, true)))
	})
}
