package answer

import (
	"context"
	"errors"
	"fmt"
	"io"
	"net"
	"net/http"
	"os"
	"strings"
	"testing"
	"time"

	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/core/ask"
	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/store"
)

func TestEveryErrorHasItsCodeAndWords(t *testing.T) {
	for _, tc := range []struct {
		err    error
		status int
		code   string
	}{
		{&ask.Refusal{Code: "guard", What: "No."}, http.StatusForbidden, "guard"},
		{fmt.Errorf("wrapped: %w", &ask.Refusal{Code: "no-record", What: "No."}), http.StatusNotFound, "no-record"},
		{&ask.FieldErrors{Fields: map[string]string{"f": "x"}}, http.StatusUnprocessableEntity, "fields"},
		{&store.StaleEdit{By: "Bea", At: time.Now()}, http.StatusConflict, "stale"},
		{&store.StaleEdit{}, http.StatusConflict, "stale"},
		{&patch.Error{Path: "/x", Reason: "no"}, http.StatusBadRequest, "bad-patch"},
		{&project.StructureError{Entity: "s_x", Reason: "no"}, http.StatusBadRequest, "bad-patch"},
		{store.ErrNothing, http.StatusConflict, "nothing"},
		{&store.Blocked{Until: time.Now()}, http.StatusTooManyRequests, "blocked"},
		{store.ErrSignIn, http.StatusUnauthorized, "sign-in"},
		{ErrSignedOut, http.StatusUnauthorized, "signed-out"},
		{&http.MaxBytesError{Limit: 1}, http.StatusRequestEntityTooLarge, "too-large"},
		{fmt.Errorf("find: %w", store.ErrNone), http.StatusNotFound, "no-place"},
		{fmt.Errorf("read: %w", context.DeadlineExceeded), http.StatusServiceUnavailable, "database-away"},
		{fmt.Errorf("read: %w", io.ErrUnexpectedEOF), http.StatusServiceUnavailable, "database-away"},
		{&net.OpError{Op: "dial", Err: os.ErrDeadlineExceeded}, http.StatusServiceUnavailable, "database-away"},
		{&pgconn.PgError{Code: "57P01"}, http.StatusServiceUnavailable, "database-away"},
		{&pgconn.PgError{Code: "57014"}, http.StatusGatewayTimeout, "too-slow"},
		{&pgconn.PgError{Code: "55P03"}, http.StatusServiceUnavailable, "held"},
		{&pgconn.PgError{Code: "42P01", Message: "relation secret does not exist"}, http.StatusInternalServerError, "internal"},
		{errors.New("secret detail"), http.StatusInternalServerError, "internal"},
	} {
		status, p := Describe(tc.err)
		if status != tc.status || p.Code != tc.code || p.What == "" {
			t.Errorf("%v: %d %+v, want %d %s", tc.err, status, p, tc.status, tc.code)
		}
		if strings.Contains(p.What, "secret") {
			t.Errorf("%v is told to users", tc.err)
		}
	}
}

// Of a database that is asked too much nothing else is known than that it was late.
func TestLateIsNotAway(t *testing.T) {
	for err, want := range map[error]string{
		fmt.Errorf("wait for a connection: %w", context.DeadlineExceeded): "The database did not answer in time.",
		&net.OpError{Op: "dial", Err: errors.New("refused")}:              "The database does not answer.",
		&pgconn.PgError{Code: "57P01"}:                                    "The database does not answer.",
	} {
		if _, p := Describe(err); p.What != want {
			t.Errorf("%v is told as “%s”", err, p.What)
		}
	}
}
