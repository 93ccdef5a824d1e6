package store_test

import (
	"testing"
	"time"

	"ambergate/core/place"
	"ambergate/demo"
	"ambergate/store"
)

// A trail that is used all the time is noted as seen once a minute; its oldest places are forgotten one by one.
func TestALongTrailKeepsItsNewestPlacesAndWhenItWasSeen(t *testing.T) {
	const id = "t_long"
	if err := up.Store.NewTrail(ctx, store.Trail{ID: id, Account: "a_mira", Project: demo.ProjectID}); err != nil {
		t.Fatal(err)
	}
	admin, err := up.Admin("ambergate")
	if err != nil {
		t.Fatal(err)
	}
	add := func(after int) (seen time.Time, places int) {
		if _, err := up.Store.Append(ctx, id, after, store.Spot{Place: place.Place{Screen: "a"}}, ""); err != nil {
			t.Fatal(err)
		}
		if err := admin.QueryRow(ctx, `select seen_at, (select count(*) from place where trail = t.id) from trail t where id = $1`, id).Scan(&seen, &places); err != nil {
			t.Fatal(err)
		}
		return seen, places
	}
	first, _ := add(0)
	places := 0
	for n := 1; n < 210; n++ {
		if _, places = add(n); places > 201 {
			t.Fatalf("after %d places, %d are kept", n+1, places)
		}
	}
	if places < 200 {
		t.Errorf("%d places are kept of 210", places)
	}
	if _, err := admin.Exec(ctx, `update trail set seen_at = now() - interval '61 seconds' where id = $1`, id); err != nil {
		t.Fatal(err)
	}
	noted, _ := add(210)
	again, _ := add(211)
	if !noted.After(first) || !again.Equal(noted) {
		t.Errorf("seen at %v, then %v and %v", first, noted, again)
	}
}
