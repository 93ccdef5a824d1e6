package store_test

import (
	"strings"
	"sync"
	"testing"

	"github.com/jackc/pgx/v5"

	"ambergate/store"
	"ambergate/store/hashing"
)

// Two programs that start at once bring the store up to date one after the other, and an older one leaves a newer
// store alone (hardening, low).
func TestStartingOnAStoreThatOthersHave(t *testing.T) {
	admin, err := pgx.Connect(ctx, up.Cluster.AdminDSN("postgres"))
	if err != nil {
		t.Fatal(err)
	}
	defer admin.Close(ctx)
	if _, err := admin.Exec(ctx, `create database fresh owner ambergate`); err != nil {
		t.Fatal(err)
	}
	dsn := up.Cluster.DSN("ambergate", up.Cluster.Password, "fresh")
	var wait sync.WaitGroup
	for range 3 {
		wait.Add(1)
		go func() {
			defer wait.Done()
			s, err := store.Open(ctx, dsn, hashing.Light, nil)
			if err != nil {
				t.Errorf("one of three that start at once: %v", err)
				return
			}
			defer s.Close()
			if err := s.Ping(ctx); err != nil {
				t.Error(err)
			}
		}()
	}
	wait.Wait()
	conn, err := pgx.Connect(ctx, dsn)
	if err != nil {
		t.Fatal(err)
	}
	defer conn.Close(ctx)
	if _, err := conn.Exec(ctx, `insert into goose_db_version (version_id, is_applied) values (99999, true)`); err != nil {
		t.Fatal(err)
	}
	if s, err := store.Open(ctx, dsn, hashing.Light, nil); err == nil || !strings.Contains(err.Error(), "newer program") {
		t.Errorf("an older program on a newer store: %v", err)
		if err == nil {
			s.Close()
		}
	}
}

// A press id that somebody else used means nothing on one's own trail (hardening, low).
func TestAPressIsKnownOnItsOwnTrailAlone(t *testing.T) {
	for _, who := range []string{"a_mira", "a_jon"} {
		trail := store.Trail{ID: "own-" + who, Account: who, Project: "p_tarnhorn"}
		if err := up.Store.NewTrail(ctx, trail); err != nil {
			t.Fatal(err)
		}
		if n, err := up.Store.Append(ctx, trail.ID, 0, store.Spot{Title: who}, "the-same-press"); err != nil || n != 1 {
			t.Errorf("%s: place %d, %v", who, n, err)
		}
		if at, err := up.Store.Load(ctx, trail.ID, 1, who, "p_tarnhorn"); err != nil || at.Title != who {
			t.Errorf("%s: %+v %v", who, at, err)
		}
	}
}
