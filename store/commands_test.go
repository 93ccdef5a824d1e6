package store_test

import (
	"errors"
	"fmt"
	"sync"
	"sync/atomic"
	"testing"

	"github.com/jackc/pgx/v5"

	"ambergate/store"
)

func TestCommandsAreSentOnceAndSettled(t *testing.T) {
	c := store.Command{Press: "cmd-1", Source: "p", Node: "n", Label: "stop", Value: "true", Account: "a_jon"}
	if added, err := up.Store.Intend(ctx, []store.Command{c}, false); err != nil || !added {
		t.Fatal(added, err)
	}
	if added, err := up.Store.Intend(ctx, []store.Command{c}, false); err != nil || added {
		t.Error("the same press was logged twice", err)
	}
	if ok, err := up.Store.MarkSent(ctx, "cmd-1", 0); err != nil || !ok {
		t.Fatal(ok, err)
	}
	if ok, _ := up.Store.MarkSent(ctx, "cmd-1", 0); ok {
		t.Error("a command may be sent twice")
	}
	c.Press, c.Node = "cmd-2", "m"
	if _, err := up.Store.Intend(ctx, []store.Command{c}, false); err != nil {
		t.Fatal(err)
	}
	if err := up.Store.SettleCommands(ctx); err != nil {
		t.Fatal(err)
	}
	for press, want := range map[string]string{"cmd-1": "unknown", "cmd-2": "expired"} {
		log, err := up.Store.Commands(ctx, press)
		if err != nil || len(log) != 1 || log[0].State != want {
			t.Errorf("%s: %+v %v, want %s", press, log, err, want)
		}
	}
}

func command(press, node string) store.Command {
	return store.Command{Press: press, Plant: "p", Source: "p", Node: node, Label: "creep", Value: "true", Account: "a_jon"}
}

// Eight presses of one button at once: one is sent, the others are refused before anything is (hardening, high 10).
func TestOneOfManyPressesHasTheTag(t *testing.T) {
	var sent atomic.Int64
	var wait sync.WaitGroup
	for i := range 8 {
		wait.Add(1)
		go func() {
			defer wait.Done()
			c := command(fmt.Sprintf("creep-%d", i), "creep")
			added, err := up.Store.Intend(ctx, []store.Command{c}, false)
			if err != nil {
				t.Error(err)
			}
			if added {
				sent.Add(1)
			}
			log, err := up.Store.Commands(ctx, c.Press)
			want := map[bool]string{true: "intended", false: "refused"}[added]
			if err != nil || len(log) != 1 || log[0].State != want || !added && log[0].Reason == "" {
				t.Errorf("%+v %v, want %s", log, err, want)
			}
		}()
	}
	wait.Wait()
	if sent.Load() != 1 {
		t.Errorf("%d of 8 are sent", sent.Load())
	}
}

func TestATagIsFreeWhenItsCommandHasEnded(t *testing.T) {
	intend := func(press string, nodes ...string) bool {
		t.Helper()
		var all []store.Command
		for i, node := range nodes {
			c := command(press, node)
			c.Pos = i
			all = append(all, c)
		}
		added, err := up.Store.Intend(ctx, all, false)
		if err != nil {
			t.Fatal(err)
		}
		return added
	}
	pending := func(node string) bool {
		return errors.Is(up.Store.Pending(ctx, "p", []string{node}), store.ErrPending)
	}
	if !intend("free-1", "a", "b", "a") || !pending("a") || !pending("b") || pending("c") {
		t.Error("a press writes two tags, one of them twice")
	}
	// All or none: what the second got of its own is free again.
	if intend("free-2", "c", "b") || pending("c") {
		t.Error("a press that shares a tag with another is sent")
	}
	if err := up.Store.GiveBack(ctx, "free-1"); err != nil || pending("a") || pending("b") {
		t.Error("what has ended has its tags still", err)
	}
	if !intend("free-3", "b") {
		t.Error("a tag that is free is refused")
	}
	// Nobody gave it back: it ends by itself.
	var n int
	if err := kept(`with old as (update plant_claim set until = now() - interval '1 second' where press = 'free-3' returning 1) select count(*) from old`, &n); err != nil || n != 1 {
		t.Fatal(n, err)
	}
	if pending("b") || !intend("free-4", "b") {
		t.Error("a claim never ends")
	}
}

// Never late: a command that has waited for longer than two seconds is not sent any more.
func TestACommandThatWaitedTooLongIsNotSent(t *testing.T) {
	for age, want := range map[string]string{"1.5 seconds": "sent", "2.1 seconds": "expired"} {
		press := "late-" + age
		if added, err := up.Store.Intend(ctx, []store.Command{command(press, press)}, false); err != nil || !added {
			t.Fatal(added, err)
		}
		var n int
		if err := kept(`with old as (update plant_command set at = now() - interval '`+age+`' where press = '`+press+`' returning 1) select count(*) from old`, &n); err != nil || n != 1 {
			t.Fatal(n, err)
		}
		send, err := up.Store.MarkSent(ctx, press, 0)
		log, _ := up.Store.Commands(ctx, press)
		if err != nil || send != (want == "sent") || log[0].State != want {
			t.Errorf("after %s: sent %v, logged %s, %v", age, send, log[0].State, err)
		}
	}
	// A press that was done before and not sent then is logged as expired.
	if added, err := up.Store.Intend(ctx, []store.Command{command("late-again", "late")}, true); err != nil || added {
		t.Errorf("sent late: %v %v", added, err)
	}
	if log, err := up.Store.Commands(ctx, "late-again"); err != nil || log[0].State != "expired" || up.Store.Pending(ctx, "p", []string{"late"}) != nil {
		t.Errorf("%+v %v", log, err)
	}
}

// Who comes while another claims the tag does not wait until that is committed: where the database stalls, that took as
// long as one waits for a lock, and then the press failed.
func TestNobodyWaitsForATag(t *testing.T) {
	conn, err := pgx.Connect(ctx, up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate"))
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(ctx)
	tx, err := conn.Begin(ctx)
	if err != nil {
		t.Fatal(err)
	}
	for _, sql := range []string{`select pg_advisory_xact_lock(` + store.Claiming("'p'", "'still'") + `)`,
		`insert into plant_claim (plant, node, press, until) values ('p', 'still', 'slow', now() + interval '1 minute')`} {
		if _, err := tx.Exec(ctx, sql); err != nil {
			t.Fatal(err)
		}
	}
	added, err := up.Store.Intend(ctx, []store.Command{command("quick", "still")}, false)
	log, _ := up.Store.Commands(ctx, "quick")
	if err != nil || added || len(log) != 1 || log[0].State != "refused" {
		t.Errorf("beside one that is not committed: %v %v %+v", added, err, log)
	}
	if err := tx.Rollback(ctx); err != nil {
		t.Fatal(err)
	}
	if added, err := up.Store.Intend(ctx, []store.Command{command("after", "still")}, false); err != nil || !added {
		t.Errorf("after one that came to nothing: %v %v", added, err)
	}
}
