package store_test

import (
	"errors"
	"testing"
	"time"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/store"
)

// Whoever begins to use an application does not wait for who edits it, however long that takes.
func TestATrailBeginsWhileAnEditIsUnderWay(t *testing.T) {
	id := newProject(t, "p_editing")
	conn, err := pgx.Connect(ctx, up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate"))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = conn.Close(ctx) }()
	tx, err := conn.Begin(ctx)
	if err != nil {
		t.Fatal(err)
	}
	if _, err := tx.Exec(ctx, `select from entity where project = $1 and id = 's_cabin' for update`, id); err != nil {
		t.Fatal(err)
	}
	done := make(chan error, 1)
	go func() {
		_, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, rename("Later"))})
		done <- err
	}()
	for began := time.Now(); !locked(t, id); {
		if time.Since(began) > 20*time.Second {
			t.Fatal("the edit does not begin")
		}
		time.Sleep(5 * time.Millisecond)
	}
	if err := up.Store.NewTrail(ctx, store.Trail{ID: "t_editing", Account: "a_mira", Project: id}); err != nil {
		t.Error(err)
	}
	select {
	case err := <-done:
		t.Fatalf("the edit was to wait: %v", err)
	default:
	}
	if err := tx.Rollback(ctx); err != nil {
		t.Fatal(err)
	}
	if err := <-done; err != nil {
		t.Error(err)
	}
}

// locked says whether somebody changes a project just now.
func locked(t *testing.T, id string) bool {
	t.Helper()
	conn, err := pgx.Connect(ctx, up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate"))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = conn.Close(ctx) }()
	_, err = conn.Exec(ctx, `select from project where id = $1 for no key update nowait`, id)
	var no *pgconn.PgError
	if errors.As(err, &no) && no.Code == pgerrcode.LockNotAvailable {
		return true
	}
	if err != nil {
		t.Fatal(err)
	}
	return false
}
