package stage_test

import (
	"context"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/jackc/pgx/v5"

	"ambergate/api"
	"ambergate/cluster"
	"ambergate/demo"
)

// As by a loss of power: PostgreSQL's folder as it is at one moment, while people press. What was acknowledged before
// that moment is in it, once, with what it came to; what was not is there whole or not at all.
func TestALossOfPowerTakesNothingThatWasAcknowledged(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	p := built(t)
	countChanges(t)
	p.start("")
	const users = 3
	var mu sync.Mutex
	begun, told := map[string]string{}, map[string]string{} // a press's id → its record
	stop := make(chan struct{})
	var work sync.WaitGroup
	for i := range users {
		b := p.browser("sela")
		work.Add(1)
		go func() {
			defer work.Done()
			for round := 0; ; round++ {
				select {
				case <-stop:
					return
				default:
				}
				key, id := fmt.Sprint(40+i*3+round%3), fmt.Sprintf("power-%d-%d", i, round)
				assign(t, key)
				// While its folder is copied, PostgreSQL says nothing: that can take longer than anybody is let wait.
				var shown api.Shown
				insist(t, func() (err error) { shown, err = b.openDefect(key); return err })
				mu.Lock()
				begun[id] = key
				mu.Unlock()
				insist(t, func() error { return b.call("POST", usePath+"/press", change(shown, id), &api.PressResult{}) })
				mu.Lock()
				told[id] = key
				mu.Unlock()
			}
		}()
	}
	for deadline := time.Now().Add(time.Minute); time.Now().Before(deadline); time.Sleep(20 * time.Millisecond) {
		mu.Lock()
		enough := len(told) >= 3*users
		mu.Unlock()
		if enough {
			break
		}
	}
	copied, before := powerLoss(t, func() map[string]string {
		mu.Lock()
		defer mu.Unlock()
		known := map[string]string{}
		for id, key := range told {
			known[id] = key
		}
		return known
	})
	close(stop)
	work.Wait()
	if len(before) < 5 {
		t.Fatalf("only %d presses were acknowledged before", len(before))
	}

	c, err := cluster.Start(t.Context(), copied)
	if err != nil {
		t.Fatal(err)
	}
	defer c.Stop()
	conn, err := pgx.Connect(t.Context(), c.AdminDSN(demo.Database))
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(context.Background())
	one := func(sql string, args ...any) (n int) {
		t.Helper()
		if err := conn.QueryRow(t.Context(), sql, args...).Scan(&n); err != nil {
			t.Fatalf("%s: %v", sql, err)
		}
		return n
	}
	if n := one(`select count(*) from pg_settings where name in ('fsync', 'synchronous_commit', 'full_page_writes') and setting = 'on'`); n != 3 {
		t.Error("the cluster does not wait for its disk")
	}
	for id := range before {
		if n := one(`select count(*) from ambergate.press where id = $1 and outcome is not null`, id); n != 1 {
			t.Errorf("%s was acknowledged and is not there", id)
		}
	}
	if n := one(`select count(*) from ambergate.press where id like 'power-%' and outcome is null`); n != 0 {
		t.Errorf("%d presses are there by half", n)
	}
	// A press and what it changed are one: as many changes of a record as presses of it since it was last counted from.
	if n := one(`select count(*) from (select defect, count(*) n from tarnhorn.changed where defect between 40 and 48 group by defect) c where n > 1`); n != 0 {
		t.Errorf("%d records were changed twice", n)
	}
	if n := one(`select count(*) from tarnhorn.defects d join tarnhorn.changed c on c.defect = d.id where d.id between 40 and 48 and d.state <> 'closed'`); n != 0 {
		t.Errorf("%d changes are there by half", n)
	}
	t.Logf("%d presses begun, %d acknowledged when the power went", len(begun), len(before))
}

// powerLoss freezes the stage's PostgreSQL with all its processes, asks what is known by then, copies its folder and
// lets it go on. It gives the copy's folder.
func powerLoss(t *testing.T, known func() map[string]string) (copied string, before map[string]string) {
	t.Helper()
	conn, err := connect(demo.Database)
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(context.Background())
	var data string
	if err := conn.QueryRow(t.Context(), `select current_setting('data_directory')`).Scan(&data); err != nil {
		t.Fatal(err)
	}
	text, err := os.ReadFile(filepath.Join(data, "postmaster.pid"))
	if err != nil {
		t.Fatal(err)
	}
	pid, err := strconv.Atoi(strings.SplitN(string(text), "\n", 2)[0])
	if err != nil {
		t.Fatal(err)
	}
	if copied, err = os.MkdirTemp("", "ambergate-power"); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = os.RemoveAll(copied) })
	if err := os.Chmod(copied, 0o711); err != nil {
		t.Fatal(err)
	}
	before = known()
	frozen := signalAll(t, pid, syscall.SIGSTOP)
	defer func() {
		for _, p := range frozen {
			_ = syscall.Kill(p, syscall.SIGCONT)
		}
	}()
	if out, err := exec.Command("cp", "-a", data, filepath.Join(filepath.Dir(data), "password"), copied).CombinedOutput(); err != nil {
		t.Fatalf("copy the folder: %v: %s", err, out)
	}
	if err := os.Remove(filepath.Join(copied, "data", "postmaster.pid")); err != nil { // of a process that a machine without power has not
		t.Fatal(err)
	}
	return copied, before
}

// signalAll sends a signal to a process and to all that it started, and gives their numbers.
func signalAll(t *testing.T, pid int, signal syscall.Signal) []int {
	t.Helper()
	all := []int{pid}
	if err := syscall.Kill(pid, signal); err != nil { // first: it starts no more of them
		t.Fatal(err)
	}
	stats, err := filepath.Glob("/proc/[0-9]*/stat")
	if err != nil {
		t.Fatal(err)
	}
	for _, file := range stats {
		text, err := os.ReadFile(file)
		if err != nil {
			continue // it has ended meanwhile
		}
		var parent int
		after := string(text[strings.LastIndexByte(string(text), ')')+1:])
		if _, err := fmt.Sscanf(after, " %s %d", new(string), &parent); err != nil || parent != pid {
			continue
		}
		child, err := strconv.Atoi(filepath.Base(filepath.Dir(file)))
		if err == nil && syscall.Kill(child, signal) == nil {
			all = append(all, child)
		}
	}
	return all
}
