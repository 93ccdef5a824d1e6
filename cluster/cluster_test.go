package cluster

import (
	"context"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"
)

func folder(t *testing.T) string {
	t.Helper()
	dir, err := os.MkdirTemp("", "ambergate-cluster")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(dir) })
	if err := os.Chmod(dir, 0o711); err != nil {
		t.Fatal(err)
	}
	return dir
}

func count(t *testing.T, c *Cluster, sql string) int {
	t.Helper()
	ctx, cancel := context.WithTimeout(t.Context(), 30*time.Second)
	defer cancel()
	conn, err := pgx.Connect(ctx, c.AdminDSN("postgres"))
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(ctx)
	var n int
	if err := conn.QueryRow(ctx, sql).Scan(&n); err != nil {
		t.Fatal(err)
	}
	return n
}

func run(t *testing.T, c *Cluster, sql string) {
	t.Helper()
	conn, err := pgx.Connect(t.Context(), c.AdminDSN("postgres"))
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(t.Context())
	if _, err := conn.Exec(t.Context(), sql); err != nil {
		t.Fatal(err)
	}
}

func TestDataStaysOverStopsAndCrashes(t *testing.T) {
	dir := folder(t)
	c, err := Start(t.Context(), dir)
	if err != nil {
		t.Fatal(err)
	}
	run(t, c, `create table kept as select generate_series(1, 2) n`)
	c.Stop()
	select {
	case <-c.Ended():
	default:
		t.Error("it has not ended after Stop")
	}
	again, err := Start(t.Context(), dir)
	if err != nil {
		t.Fatal(err)
	}
	if n := count(t, again, `select count(*) from kept`); n != 2 {
		t.Errorf("%d rows after a stop", n)
	}
	again.Kill()
	if err := again.Restart(t.Context()); err != nil {
		t.Fatal(err)
	}
	if n := count(t, again, `select count(*) from kept`); n != 2 {
		t.Errorf("%d rows after a crash", n)
	}
	again.Stop()
}

func TestOnlyLoopbackAndOnlyWithAPassword(t *testing.T) {
	c, err := Start(t.Context(), folder(t))
	if err != nil {
		t.Fatal(err)
	}
	defer c.Stop()
	if n := count(t, c, `select count(*) from pg_settings where name = 'listen_addresses' and setting = '127.0.0.1' or name = 'unix_socket_directories' and setting = ''`); n != 2 {
		t.Error("it listens elsewhere too")
	}
	_, err = pgx.Connect(t.Context(), c.DSN("postgres", "wrong", "postgres"))
	if err == nil || !strings.Contains(err.Error(), "password") {
		t.Errorf("a wrong password: %v", err)
	}
}

func TestABrokenFolderSaysWhatToDo(t *testing.T) {
	dir := folder(t)
	if err := os.MkdirAll(filepath.Join(dir, "data", "half"), 0o700); err != nil {
		t.Fatal(err)
	}
	_, err := Start(t.Context(), dir)
	if err == nil || !strings.Contains(err.Error(), "make demo-reset") {
		t.Errorf("half a cluster: %v", err)
	}
	lost := folder(t)
	if err := os.MkdirAll(filepath.Join(lost, "data"), 0o700); err != nil {
		t.Fatal(err)
	}
	if err := os.WriteFile(filepath.Join(lost, "data", "PG_VERSION"), []byte("15\n"), 0o600); err != nil {
		t.Fatal(err)
	}
	_, err = Start(t.Context(), lost)
	if err == nil || !strings.Contains(err.Error(), "lost its password") {
		t.Errorf("a cluster without its password: %v", err)
	}
}

func TestKeptUpItComesBackByItself(t *testing.T) {
	c, err := Start(t.Context(), folder(t))
	if err != nil {
		t.Fatal(err)
	}
	ctx, stop := context.WithCancel(t.Context())
	kept := make(chan struct{})
	said := make(chan string, 10)
	go func() {
		defer close(kept)
		c.Keep(ctx, func(what string, _ error) { said <- what })
	}()
	run(t, c, `create table kept as select 1 n`)
	if err := c.process.Process.Signal(syscall.SIGQUIT); err != nil {
		t.Fatal(err)
	}
	select {
	case <-said:
	case <-time.After(60 * time.Second):
		t.Fatal("nobody noticed that it ended")
	}
	deadline := time.Now().Add(60 * time.Second)
	for !c.answers(t.Context()) {
		if time.Now().After(deadline) {
			t.Fatal("it did not come back")
		}
		time.Sleep(100 * time.Millisecond)
	}
	if n := count(t, c, `select count(*) from kept`); n != 1 {
		t.Errorf("%d rows are left", n)
	}
	stop()
	<-kept
	c.Stop()
}
