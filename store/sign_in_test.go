package store_test

import (
	"context"
	"errors"
	"fmt"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/store"
	"ambergate/store/hashing"
)

// kept reads one value of the program's own database.
func kept(sql string, into any) error {
	conn, err := pgx.Connect(ctx, up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate"))
	if err != nil {
		return err
	}
	defer conn.Close(ctx)
	return conn.QueryRow(ctx, sql).Scan(into)
}

func blocked(err error) bool {
	var b *store.Blocked
	return errors.As(err, &b)
}

// Sixty wrong passwords at once for one name: no more are tried than are free (hardening, critical 3).
func TestGuessesAreCountedBeforeTheyAreMade(t *testing.T) {
	now := time.Now()
	for _, login := range []string{account(t, "guessed", "the-right-one").Login, "nobody-at-all"} {
		var tried, refused, busy atomic.Int64
		var wait sync.WaitGroup
		for i := range 60 {
			wait.Add(1)
			go func() {
				defer wait.Done()
				_, _, err := signIn(login, fmt.Sprintf("guess %d", i), "from "+login, now)
				switch {
				case blocked(err):
					refused.Add(1)
				case errors.Is(err, hashing.ErrBusy):
					busy.Add(1)
				case errors.Is(err, store.ErrSignIn):
					tried.Add(1)
				default:
					t.Errorf("%v", err)
				}
			}()
		}
		wait.Wait()
		t.Logf("%s: %d tried, %d refused, %d told to wait", login, tried.Load(), refused.Load(), busy.Load())
		if tried.Load() > 5 || tried.Load() < 3 {
			t.Errorf("%s: %d of 60 were tried", login, tried.Load())
		}
		// A name that somebody has is told apart from none by nothing.
		if _, _, err := signIn(login, "one more", "from "+login, now); !blocked(err) {
			t.Errorf("%s: then %v", login, err)
		}
	}
}

// Whoever guesses at a name does not keep its owner out where the browser is known (hardening, high 9).
func TestTheRightPasswordFromAKnownBrowserIsNeverRefused(t *testing.T) {
	now := time.Now()
	a := account(t, "owner", "the-right-one")
	in, err := up.Store.SignIn(ctx, store.Entering{Login: a.Login, Password: "the-right-one", Origin: "desk", Now: now})
	if err != nil {
		t.Fatal(err)
	}
	for range 12 {
		_, _, _ = signIn(a.Login, "a guess", "far-away", now)
	}
	if _, _, err := signIn(a.Login, "the-right-one", "far-away", now); !blocked(err) {
		t.Errorf("from a stranger's browser: %v", err)
	}
	from := store.Entering{Login: a.Login, Password: "the-right-one", Origin: "far-away", Browser: in.Browser, Session: in.Token, Now: now}
	again, err := up.Store.SignIn(ctx, from)
	if err != nil || again.Browser != in.Browser {
		t.Fatalf("from the known one: %v", err)
	}
	if _, err := up.Store.Session(ctx, in.Token, "", now); !errors.Is(err, store.ErrNone) {
		t.Errorf("the session it had goes on: %v", err)
	}
	// What is known for one person is known for nobody else, and is slowed by itself.
	other := account(t, "neighbour", "another-one")
	for range 12 {
		_, _, _ = signIn(other.Login, "a guess", "elsewhere", now)
	}
	if _, err := up.Store.SignIn(ctx, store.Entering{Login: other.Login, Password: "another-one", Origin: "desk", Browser: in.Browser, Now: now}); !blocked(err) {
		t.Errorf("somebody else from there: %v", err)
	}
	from.Password, from.Session = "wrong", ""
	for range 8 {
		_, err = up.Store.SignIn(ctx, from)
	}
	if !blocked(err) {
		t.Errorf("eight wrong ones from the known browser: %v", err)
	}
}

func TestManyFailuresFromOneAddressAreSlowedWhateverTheName(t *testing.T) {
	now := time.Now()
	a := account(t, "bystander", "the-right-one")
	tries := 0
	for ; tries < 60; tries++ {
		_, _, err := signIn("guess"+strings.Repeat("x", tries), "x", "one-address", now)
		if blocked(err) {
			break
		}
		if !errors.Is(err, store.ErrSignIn) {
			t.Fatal(err)
		}
	}
	if tries < 20 || tries > 50 {
		t.Errorf("blocked after %d tries", tries)
	}
	if _, _, err := signIn(a.Login, "the-right-one", "one-address", now); !blocked(err) {
		t.Errorf("the right password from there: %v", err)
	}
	if _, _, err := signIn(a.Login, "the-right-one", "at-home", now); err != nil {
		t.Errorf("from elsewhere: %v", err)
	}
	if _, _, err := signIn(a.Login, "the-right-one", "one-address", now.Add(20*time.Minute)); err != nil {
		t.Errorf("later: %v", err)
	}
}

func TestALongNameIsKeptShort(t *testing.T) {
	if _, _, err := signIn(strings.Repeat("é", 450_000), "x", "desk", time.Now()); !errors.Is(err, store.ErrSignIn) {
		t.Errorf("%v", err)
	}
	var longest int
	if err := kept(`select max(length(login)) from attempt`, &longest); err != nil || longest > 101 {
		t.Errorf("a name of %d characters is kept, %v", longest, err)
	}
}

func TestPasswordsThatOthersWouldGuessAreNotTaken(t *testing.T) {
	now := time.Now()
	a := account(t, "chooser", "the-old-one")
	token, _, err := signIn(a.Login, "the-old-one", "desk", now)
	if err != nil {
		t.Fatal(err)
	}
	change := func(old, next string) error {
		return up.Store.ChangePassword(ctx, a.ID, old, next, "desk", token, now)
	}
	var weak *store.WeakPassword
	for _, bad := range []string{"", "short", strings.Repeat("x", 201), "        ", "  abcde  ", "aaaaaaaa", "abababab", "password", "Password123!", "12345678", "QWERTYUIOP", "chooser1"} {
		if err := change("the-old-one", bad); !errors.As(err, &weak) || weak.Why == "" {
			t.Errorf("%q: %v", bad, err)
		}
	}
	// Length is counted in characters, whatever they are written in.
	for i, good := range []string{"fünf Äxte ß", strings.Repeat("日本語の鍵", 40), "correct horse"} {
		old := []string{"the-old-one", "fünf Äxte ß", strings.Repeat("日本語の鍵", 40)}[i]
		if err := change(old, good); err != nil {
			t.Errorf("%q: %v", good, err)
		}
	}
}

// A session ends when nobody uses it, and not while somebody does.
func TestASessionEndsWhenItIsIdle(t *testing.T) {
	now := time.Now()
	a := account(t, "idle", "the-right-one")
	token, _, err := signIn(a.Login, "the-right-one", "desk", now)
	if err != nil {
		t.Fatal(err)
	}
	for _, hours := range []float64{1, 4.5, 8} {
		if _, err := up.Store.Session(ctx, token, "", now.Add(time.Duration(hours*float64(time.Hour)))); err != nil {
			t.Errorf("after %.1f hours, in use: %v", hours, err)
		}
	}
	if _, err := up.Store.Session(ctx, token, "", now.Add(12*time.Hour+time.Minute)); !errors.Is(err, store.ErrNone) {
		t.Errorf("after twelve hours: %v", err)
	}
	token, _, err = signIn(a.Login, "the-right-one", "desk", now)
	if err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.Session(ctx, token, "", now.Add(4*time.Hour+time.Minute)); !errors.Is(err, store.ErrNone) {
		t.Errorf("after four idle hours: %v", err)
	}
}

// A digest carries its own cost, is read by it, and is made anew at a sign-in where the cost was raised.
func TestTheCostOfAPasswordIsRaisedAtSignIn(t *testing.T) {
	now := time.Now()
	a := account(t, "raised", "the-right-one")
	hash := func() (out string) {
		if err := kept(`select password from account where id = 'a_raised'`, &out); err != nil {
			t.Fatal(err)
		}
		return out
	}
	if !strings.HasPrefix(hash(), "$argon2id$v=19$m=8192,t=1,p=1$") {
		t.Fatalf("it is kept as %s", hash())
	}
	dsn := up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate")
	dearer, err := store.Open(ctx, dsn, hashing.Cost{Time: 2, Memory: 16 * 1024, Threads: 2}, nil)
	if err != nil {
		t.Fatal(err)
	}
	defer dearer.Close()
	if _, err := dearer.SignIn(ctx, store.Entering{Login: a.Login, Password: "wrong", Origin: "desk", Now: now}); !errors.Is(err, store.ErrSignIn) {
		t.Errorf("a wrong one: %v", err)
	}
	if _, err := dearer.SignIn(context.Background(), store.Entering{Login: a.Login, Password: "the-right-one", Origin: "desk", Now: now}); err != nil {
		t.Fatal(err)
	}
	if !strings.HasPrefix(hash(), "$argon2id$v=19$m=16384,t=2,p=2$") {
		t.Errorf("after a sign-in it is %s", hash())
	}
	if _, _, err := signIn(a.Login, "the-right-one", "desk", now); err != nil {
		t.Errorf("and where the cost is lower: %v", err)
	}
}
