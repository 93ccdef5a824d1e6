package store_test

import (
	"errors"
	"testing"
	"time"

	"ambergate/core/place"
	"ambergate/store"
)

// Who asks, in which project, at which place of their trail: found at once, and nobody else's.
func TestAVisitFindsPersonProjectAndPlaceAtOnce(t *testing.T) {
	now := time.Now()
	token, mira, err := signIn("mira", "mira", "127.0.0.1", now)
	if err != nil {
		t.Fatal(err)
	}
	v, err := up.Store.Visit(ctx, token, "tarnhorn", "", 0, now)
	if err != nil || v.ID != mira.ID || v.Name != "Mira Holt" || v.Project != "p_tarnhorn" || v.Released < 1 || len(v.Roles) != 1 || v.Standing != nil {
		t.Fatalf("without a place: %+v %v", v, err)
	}
	trail := store.Trail{ID: "visit-trail", Account: mira.ID, Project: v.Project}
	if err := up.Store.NewTrail(ctx, trail); err != nil {
		t.Fatal(err)
	}
	at := 0
	for _, title := range []string{"Board", "Defects", "Defect"} {
		spot := store.Spot{Place: place.Place{Screen: "s_defects", Inputs: map[string]string{"i_cabin": title}}, Title: title}
		if at, err = up.Store.Append(ctx, trail.ID, at, spot, ""); err != nil {
			t.Fatal(err)
		}
	}
	v, err = up.Store.Visit(ctx, token, "tarnhorn", trail.ID, 2, now)
	if err != nil || v.Standing == nil {
		t.Fatalf("with a place: %+v %v", v, err)
	}
	if s := v.Standing; s.Title != "Defects" || s.Back != "Board" || s.Forward != "Defect" || s.At != 3 || s.N != 2 || s.Place.Inputs["i_cabin"] != "Defects" || !s.Fresh {
		t.Errorf("it stands at %+v", s)
	}
	alone, err := up.Store.Load(ctx, trail.ID, 2, mira.ID, v.Project)
	if err != nil || alone.Title != v.Standing.Title || alone.Back != v.Standing.Back || alone.At != v.Standing.At {
		t.Errorf("read by itself: %+v %v", alone, err)
	}
	for what, tc := range map[string]struct {
		slug, trail string
		n           int
		project     string
	}{
		"a number that is not there": {"tarnhorn", trail.ID, 9, v.Project},
		"a neighbour alone":          {"tarnhorn", trail.ID, 4, v.Project},
		"no such trail":              {"tarnhorn", "nothing", 1, v.Project},
		"another project":            {"stores", trail.ID, 2, "p_stores"},
		"no such project":            {"nowhere", trail.ID, 2, ""},
	} {
		got, err := up.Store.Visit(ctx, token, tc.slug, tc.trail, tc.n, now)
		if err != nil || got.Standing != nil || got.Project != tc.project {
			t.Errorf("%s: project %q, %+v %v", what, got.Project, got.Standing, err)
		}
	}
	other, _, err := signIn("sela", "sela", "127.0.0.1", now)
	if err != nil {
		t.Fatal(err)
	}
	if got, err := up.Store.Visit(ctx, other, "tarnhorn", trail.ID, 2, now); err != nil || got.Standing != nil {
		t.Errorf("somebody else's trail: %+v %v", got.Standing, err)
	}
	if err := up.Store.SignOut(ctx, token); err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.Visit(ctx, token, "tarnhorn", trail.ID, 2, now); !errors.Is(err, store.ErrNone) {
		t.Errorf("after signing out: %v", err)
	}
}
