package database_test

import (
	"context"
	"os"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/cluster"
	"ambergate/database"
)

// A statement that nobody waits for any more ends in the database too (hardening, critical 2), and its
// connection serves others.
func TestWhatIsCancelledEndsInTheDatabase(t *testing.T) {
	dir, err := os.MkdirTemp("", "ambergate-pool")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(dir) })
	if err := os.Chmod(dir, 0o711); err != nil {
		t.Fatal(err)
	}
	c, err := cluster.Start(t.Context(), dir)
	if err != nil {
		t.Fatal(err)
	}
	defer c.Stop()
	pool, err := database.Open(t.Context(), c.AdminDSN("postgres"), database.Limits{Connections: 1, Statement: "20s", Lock: "1s"}, nil, nil)
	if err != nil {
		t.Fatal(err)
	}
	defer pool.Close()
	watch, err := pgx.Connect(t.Context(), c.AdminDSN("postgres"))
	if err != nil {
		t.Fatal(err)
	}
	defer watch.Close(context.Background())
	running := func() (n int) {
		if err := watch.QueryRow(t.Context(), `select count(*) from pg_stat_activity where state = 'active' and query like '%pg_sleep(15)%' and pid <> pg_backend_pid()`).Scan(&n); err != nil {
			t.Fatal(err)
		}
		return n
	}
	await := func(want int) bool {
		for end := time.Now().Add(30 * time.Second); time.Now().Before(end); time.Sleep(20 * time.Millisecond) {
			if running() == want {
				return true
			}
		}
		return false
	}
	ctx, cancel := context.WithCancel(t.Context())
	ended := make(chan error, 1)
	go func() {
		_, err := pool.Exec(ctx, `select pg_sleep(15)`)
		ended <- err
	}()
	if !await(1) {
		t.Fatal("the statement does not run")
	}
	cancel()
	if err := <-ended; err == nil {
		t.Error("it ended as if it were done")
	}
	if !await(0) {
		t.Error("it goes on in the database for nobody")
	}
	within, done := context.WithTimeout(t.Context(), 30*time.Second)
	defer done()
	if _, err := pool.Exec(within, `select 1`); err != nil {
		t.Errorf("the only connection is of no use any more: %v", err)
	}
}
