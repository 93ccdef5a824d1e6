package store_test

import (
	"errors"
	"testing"
	"time"

	"ambergate/store"
)

func newDevice(t *testing.T, id string, now time.Time) (code string) {
	t.Helper()
	d := store.Device{ID: id, Name: id, Project: newProject(t, "p_"+id), Role: "r_visitor", Start: "s_1", Allows: []string{store.AllowsFiles}}
	code, err := up.Store.AddDevice(ctx, "a_somebody", d, now)
	if err != nil {
		t.Fatal(err)
	}
	return code
}

// A display may be off for a winter: it is in again when it is on, with its one role and what it may.
func TestADisplayIsNeverIdle(t *testing.T) {
	now := time.Now()
	code := newDevice(t, "d_winter", now)
	in, slug, err := up.Store.Enrol(ctx, code, store.Entering{Origin: "hall", Now: now})
	if err != nil {
		t.Fatal(err)
	}
	for _, days := range []int{0, 1, 200} {
		later := now.AddDate(0, 0, days)
		if err := up.Store.ForgetOld(ctx, later); err != nil {
			t.Fatal(err)
		}
		v, err := up.Store.Visit(ctx, in.Token, slug, "", 0, later)
		if err != nil {
			t.Fatalf("after %d days: %v", days, err)
		}
		if d := v.Device; d == nil || d.Start != "s_1" || len(d.Allows) != 1 || !v.Roles["r_visitor"] || len(v.Roles) != 1 {
			t.Errorf("after %d days it is %+v with %v", days, d, v.Roles)
		}
	}
	// Nobody touches it: its stream alone shows that it is there.
	later := now.AddDate(0, 0, 201)
	if _, err := up.Store.Session(ctx, in.Token, "", later); err != nil {
		t.Fatal(err)
	}
	devices, err := up.Store.Devices(ctx, later)
	if err != nil {
		t.Fatal(err)
	}
	for _, d := range devices {
		if d.ID == "d_winter" && (d.Enrolled == nil || d.Seen == nil || d.Seen.Before(later.Add(-time.Minute)) || d.CodeEnds != nil) {
			t.Errorf("it is listed as %+v", d)
		}
	}
}

// A code holds for an hour; wrong ones cannot be tried at will, not even before a right one.
func TestWrongCodesCannotBeTriedAtWill(t *testing.T) {
	now := time.Now()
	code := newDevice(t, "d_late", now)
	enter := func(code, origin string, at time.Time) error {
		_, _, err := up.Store.Enrol(ctx, code, store.Entering{Origin: origin, Now: at})
		return err
	}
	if err := enter(code, "late", now.Add(time.Hour+time.Second)); !errors.Is(err, store.ErrCode) {
		t.Errorf("after an hour: %v", err)
	}
	var blocked *store.Blocked
	for range 12 {
		if err := enter("AAAAA-AAAAA", "guesser", now); err == nil {
			t.Fatal("a wrong code holds")
		} else if errors.As(err, &blocked) {
			break
		}
	}
	if blocked == nil {
		t.Error("twelve wrong codes in a row were read")
	}
	if err := enter(code, "guesser", now); !errors.As(err, &blocked) {
		t.Errorf("the right one among them: %v", err)
	}
	if err := enter(code, "elsewhere", now); err != nil {
		t.Errorf("the right one from elsewhere: %v", err)
	}
	if err := enter(code, "elsewhere", now); !errors.Is(err, store.ErrCode) {
		t.Errorf("once more: %v", err)
	}
}
