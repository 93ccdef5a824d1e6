package store_test

import (
	"fmt"
	"math/rand/v2"
	"testing"
	"time"

	"ambergate/core/place"
	"ambergate/demo"
	"ambergate/store"
	"ambergate/store/hashing"
)

// keeping opens the store as the only server would, which compares every place that it believes.
func keeping(t *testing.T) *store.Store {
	t.Helper()
	s, err := store.Open(t.Context(), up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate"), hashing.Light, nil)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(s.Close)
	s.KeepPlaces(func() (time.Time, bool) { return time.Time{}, true })
	s.Doubt(1)
	return s
}

// Whatever is done to a trail, in whatever order: what is believed of it is how it is.
func TestWhatIsBelievedOfATrailIsHowItIs(t *testing.T) {
	s, ctx := keeping(t), t.Context()
	r := rand.New(rand.NewPCG(7, 8))
	const trail, account = "t_believed", "a_mira"
	if err := s.NewTrail(ctx, store.Trail{ID: trail, Account: account, Project: demo.ProjectID}); err != nil {
		t.Fatal(err)
	}
	put := func(after int, press string) (int, error) {
		spot := store.Spot{Place: place.Place{Screen: fmt.Sprintf("s_%d", r.IntN(100)), Mode: "view"}, Title: fmt.Sprint("Title ", r.IntN(100)), Release: r.IntN(5)}
		return s.Append(ctx, trail, after, spot, press)
	}
	last, err := put(0, "")
	if err != nil {
		t.Fatal(err)
	}
	for i := range 400 {
		at := 1 + r.IntN(last)
		standing, err := s.Load(ctx, trail, at, account, demo.ProjectID)
		if err != nil || standing.N != at {
			t.Fatalf("after %d steps, place %d of %d: %+v, %v", i, at, last, standing, err)
		}
		switch r.IntN(8) {
		case 0, 1:
			last, err = put(at, fmt.Sprint("press ", i))
		case 2: // sent again, it comes to what it came to
			_, err = put(at, fmt.Sprint("press ", i-1))
			if known, found := s.Load(ctx, trail, at+1, account, demo.ProjectID); found == nil {
				last = max(last, known.N)
			}
			for n := last; n > 0; n-- { // how far it goes now is asked for, not known
				if _, none := s.Load(ctx, trail, n, account, demo.ProjectID); none == nil {
					last = n
					break
				}
			}
		case 3:
			err = s.Stand(ctx, trail, at)
		case 4:
			standing.Title, standing.Place.Inputs = fmt.Sprint("Changed ", i), map[string]string{"i_x": fmt.Sprint(i)}
			err = s.Change(ctx, standing.Spot)
		case 5:
			err = s.SetVars(ctx, trail, fmt.Sprint("vars ", i), map[string]string{"v_x": fmt.Sprint(i)}, store.Kept{Tab: standing.Vars})
		case 6:
			err = s.KeepLook(ctx, trail, at, 0, map[string]place.Look{})
		}
		if err != nil {
			t.Fatal(err)
		}
	}
	if wrong := s.Wrong(); wrong != "" {
		t.Error(wrong)
	}
	if s.Believed() < 100 {
		t.Errorf("only %d places were believed", s.Believed())
	}
}

// Somebody writes to the store past the server: what was believed is noticed to be wrong, and nothing is believed any more.
func TestAWrongBeliefIsNoticedAndEndsThem(t *testing.T) {
	s, ctx := keeping(t), t.Context()
	const trail, account = "t_wrong", "a_mira"
	if err := s.NewTrail(ctx, store.Trail{ID: trail, Account: account, Project: demo.ProjectID}); err != nil {
		t.Fatal(err)
	}
	if _, err := s.Append(ctx, trail, 0, store.Spot{Place: place.Place{Screen: "s_day"}, Title: "Day"}, ""); err != nil {
		t.Fatal(err)
	}
	load := func() string {
		at, err := s.Load(ctx, trail, 1, account, demo.ProjectID)
		if err != nil {
			t.Fatal(err)
		}
		return at.Title
	}
	load()
	pool, err := up.Admin("ambergate")
	if err != nil {
		t.Fatal(err)
	}
	if _, err := pool.Exec(ctx, `update place set title = 'Another' where trail = $1`, trail); err != nil {
		t.Fatal(err)
	}
	if load(); s.Wrong() == "" {
		t.Error("it is not noticed")
	}
	if title := load(); title != "Another" {
		t.Errorf("%q is believed still", title)
	}
}
