package records_test

import (
	"crypto/tls"
	"errors"
	"io"
	"net"
	"net/http"
	"net/http/httptest"
	"strconv"
	"testing"

	"ambergate/core/ask"
	"ambergate/records"
)

// A server that speaks TLS as a database does, with a certificate of nobody this machine trusts; it gets no further.
func untrusted(t *testing.T) (port int) {
	t.Helper()
	made := httptest.NewTLSServer(http.NotFoundHandler())
	t.Cleanup(made.Close)
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = l.Close() })
	go func() {
		for {
			conn, err := l.Accept()
			if err != nil {
				return
			}
			request := make([]byte, 8) // SSLRequest, PostgreSQL’s frontend/backend protocol
			if _, err := io.ReadFull(conn, request); err == nil {
				_, _ = conn.Write([]byte("S"))
				_ = tls.Server(conn, &tls.Config{Certificates: made.TLS.Certificates, MinVersion: tls.VersionTLS12}).Handshake()
			}
			_ = conn.Close()
		}
	}()
	return l.Addr().(*net.TCPAddr).Port
}

func TestACertificateThatNobodyTrustsIsSaid(t *testing.T) {
	port := strconv.Itoa(untrusted(t))
	for what, c := range map[string]struct{ host, mode, code string }{
		"checked":                {"127.0.0.1", "verify-full", "no-trust"},
		"whatever it is":         {"127.0.0.1", "require", "no-connection"}, // it gets through the handshake, and nothing answers then
		"a host of another name": {"localhost", "verify-full", "no-trust"},
	} {
		_, err := records.Try(t.Context(), "postgres://somebody:planted-5ecret@"+c.host+":"+port+"/works?sslmode="+c.mode+"&connect_timeout=5")
		var refusal *ask.Refusal
		if !errors.As(err, &refusal) || refusal.Then == "" {
			t.Errorf("%s: %v", what, err)
			continue
		}
		if refusal.Code != c.code && c.code == "no-trust" {
			t.Errorf("%s: %s %s", what, refusal.Code, refusal.What)
		}
	}
}
