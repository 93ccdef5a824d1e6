package stage_test

import (
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"ambergate/demo"
)

// before is the structure of the store that the version before several servers knew.
const before = 21

// A store of the version before comes to the structure of today while statements of that version go on over it: none of
// them fails, and what they write is there.
func TestAVersionBeforeGoesOnBesideANewOne(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	ctx := t.Context()
	c := up.Cluster
	dsn, err := c.Database(ctx, "rolling", true)
	if err != nil {
		t.Fatal(err)
	}
	run := func(database, sql string) (string, error) {
		out, err := exec.Command("psql", "--quiet", "--tuples-only", "--no-align", "--set=ON_ERROR_STOP=1", "--command", sql, database).CombinedOutput()
		return strings.TrimSpace(string(out)), err
	}
	p := built(t)
	p.over = dsn
	// The structure of before: that of today, taken back step by step as the migrations themselves say.
	p.start("")
	p.ready()
	p.kill()
	for _, file := range []string{"00023_age.sql", "00022_servers.sql"} {
		_, back, _ := strings.Cut(read(t, filepath.Join("..", "..", "store", "migrations", file)), "-- +goose Down")
		if out, err := run(dsn, back); err != nil {
			t.Fatalf("take %s back: %v %s", file, err, out)
		}
	}
	if out, err := run(dsn, `delete from goose_db_version where version_id > 21; select max(version_id) from goose_db_version`); err != nil || out != "21" {
		t.Fatalf("the structure is %s: %v", out, err)
	}
	// What the version before does all the time, as it does it.
	if out, err := run(dsn, `insert into account (id, login, name, password) values ('a_old', 'old', 'Old', ''); insert into project (id, slug) values ('p_old', 'old'); insert into trail (id, account, project) values ('t_old', 'a_old', 'p_old');
		insert into callup (project, callup, record, words, began) values ('p_old', 'cu', '1', 'first', now()), ('p_old', 'cu', '1', 'first, noted twice', now())`); err != nil {
		t.Fatal(out)
	}
	old := []string{
		`insert into place (trail, n, place, title) values ('t_old', coalesce((select max(n) from place where trail = 't_old'), 0) + 1, '{"screen":"s"}', 'A place')`,
		`update project set seq = seq + 1 where id = 'p_old'`,
		`insert into session (token_hash, account, ends_at) values (decode(md5(random()::text), 'hex'), 'a_old', now() + interval '1 hour')`,
		`delete from session where account = 'a_old'`,
		`insert into account_role (account, project, role) values ('a_old', 'p_old', 'r') on conflict do nothing`,
		`insert into plant_hold (press, plant, node, account) values (md5(random()::text), 'p', 'n', 'a_old')`,
		`update callup set ended = now() where project = 'p_old' and ended is null; insert into callup (project, callup, record, words, began) values ('p_old', 'cu', '1', 'again', now())`,
	}
	var stop atomic.Bool
	done := make(chan int)
	go func() {
		n := 0
		for !stop.Load() {
			for _, sql := range old {
				if out, err := run(dsn, sql); err != nil {
					t.Errorf("%s: %s", sql, out)
				}
				n++
			}
		}
		done <- n
	}()
	time.Sleep(300 * time.Millisecond)
	p.start("") // the new one, which brings the store to its structure
	p.ready()
	time.Sleep(300 * time.Millisecond)
	stop.Store(true)
	n := <-done
	if out, _ := run(dsn, `select max(version_id) from goose_db_version`); out == "21" {
		t.Error("the new one did not bring the store to its structure")
	}
	if out, _ := run(dsn, `select count(*) from place where trail = 't_old'`); out == "0" {
		t.Error("what the version before wrote is lost")
	}
	if out, _ := run(dsn, `select count(*) from callup where project = 'p_old' and ended is null`); out != "1" {
		t.Errorf("%s occurrences are open", out)
	}
	t.Logf("%d statements of structure %d while it became that of today", n, before)
	p.kill()
	if out, err := run(c.AdminDSN(demo.Database), `drop database rolling with (force)`); err != nil {
		t.Error(out)
	}
}

func read(t *testing.T, file string) string {
	t.Helper()
	text, err := os.ReadFile(file)
	if err != nil {
		t.Fatal(err)
	}
	return string(text)
}
