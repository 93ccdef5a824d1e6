package server

import (
	"context"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
	"time"

	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/core/ask"
	"ambergate/core/press"
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
		{&project.PatchError{Path: "/x", Reason: "no"}, http.StatusBadRequest, "bad-patch"},
		{&project.StructureError{Entity: "s_x", Reason: "no"}, http.StatusBadRequest, "bad-patch"},
		{store.ErrNothing, http.StatusConflict, "nothing"},
		{&store.Blocked{Until: time.Now()}, http.StatusTooManyRequests, "blocked"},
		{store.ErrSignIn, http.StatusUnauthorized, "sign-in"},
		{errSignedOut, http.StatusUnauthorized, "signed-out"},
		{&http.MaxBytesError{Limit: 1}, http.StatusRequestEntityTooLarge, "too-large"},
		{fmt.Errorf("find: %w", store.ErrNone), http.StatusNotFound, "no-place"},
		{fmt.Errorf("read: %w", context.DeadlineExceeded), http.StatusServiceUnavailable, "database-away"},
		{fmt.Errorf("read: %w", io.ErrUnexpectedEOF), http.StatusServiceUnavailable, "database-away"},
		{&net.OpError{Op: "dial", Err: os.ErrDeadlineExceeded}, http.StatusServiceUnavailable, "database-away"},
		{&pgconn.PgError{Code: "57P01"}, http.StatusServiceUnavailable, "database-away"},
		{&pgconn.PgError{Code: "42P01", Message: "relation secret does not exist"}, http.StatusInternalServerError, "internal"},
		{errors.New("secret detail"), http.StatusInternalServerError, "internal"},
	} {
		status, p := describe(tc.err)
		if status != tc.status || p.Code != tc.code || p.What == "" {
			t.Errorf("%v: %d %+v, want %d %s", tc.err, status, p, tc.status, tc.code)
		}
		if strings.Contains(p.What, "secret") {
			t.Errorf("%v is told to users", tc.err)
		}
	}
}

// The documents list every code that the program can give.
func TestTheDocumentsListEveryCode(t *testing.T) {
	text, err := os.ReadFile("../docs/errors.md")
	if err != nil {
		t.Fatal(err)
	}
	quoted := regexp.MustCompile(`(?:Refuse\("|Code: ")([a-z-]+)"`)
	codes := map[string]bool{}
	for _, dir := range []string{"../core", "../records", "."} {
		err := filepath.WalkDir(dir, func(path string, _ fs.DirEntry, err error) error {
			if err != nil || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
				return err
			}
			source, err := os.ReadFile(path)
			for _, m := range quoted.FindAllStringSubmatch(string(source), -1) {
				codes[m[1]] = true
			}
			return err
		})
		if err != nil {
			t.Fatal(err)
		}
	}
	if len(codes) < 30 {
		t.Errorf("only %d codes were found", len(codes))
	}
	for code := range codes {
		if !strings.Contains(string(text), "`"+code+"`") {
			t.Errorf("docs/errors.md does not list %s", code)
		}
	}
}

func TestPendingCommandsAreRefusedUntilTheyEnd(t *testing.T) {
	p := newPending()
	ref := ask.TagRef{Source: "s", Node: "n"}
	writes := []press.TagWrite{{Ref: ref}}
	if err := p.free(writes); err != nil {
		t.Error(err)
	}
	p.set(ref, true)
	var refusal *ask.Refusal
	if err := p.free(writes); !errors.As(err, &refusal) || refusal.Code != "pending" {
		t.Errorf("%v", err)
	}
	if err := p.free([]press.TagWrite{{Ref: ask.TagRef{Source: "s", Node: "other"}}}); err != nil {
		t.Errorf("another tag: %v", err)
	}
	p.set(ref, false)
	if err := p.free(writes); err != nil {
		t.Error(err)
	}
}

func TestJournalsBelongToTheirBuilder(t *testing.T) {
	j := newJournals()
	id := j.add("", "a", practised{press: press.Press{Element: "e_1"}})
	if again := j.add(id, "a", practised{press: press.Press{Element: "e_2"}}); again != id {
		t.Errorf("the journal became %s", again)
	}
	if got := j.of(id, "a"); len(got) != 2 || got[1].press.Element != "e_2" {
		t.Errorf("%+v", got)
	}
	if got := j.of(id, "b"); got != nil {
		t.Errorf("another builder reads %+v", got)
	}
	if other := j.add(id, "b", practised{}); other == id || len(j.of(id, "a")) != 2 {
		t.Error("another builder goes on with it")
	}
	if got := j.of("", "a"); got != nil {
		t.Errorf("no journal holds %+v", got)
	}
}

func TestWatchersGetTheNewestNumber(t *testing.T) {
	w := newWatchers()
	one, stop := w.add("p")
	other, stopOther := w.add("q")
	defer stopOther()
	for seq := range int64(5) {
		w.tell("p", seq)
	}
	if got := <-one; got != 4 {
		t.Errorf("told %d, the newest is 4", got)
	}
	select {
	case got := <-other:
		t.Errorf("told of another project: %d", got)
	default:
	}
	stop()
	w.tell("p", 9)
	select {
	case got := <-one:
		t.Errorf("told after it stopped: %d", got)
	default:
	}
}
