package near_test

import (
	"errors"
	"testing"
	"time"

	"ambergate/store/near"
)

var of = near.Owner{Account: "a_1", Project: "p_1"}

// alone is what a server knows of others; it begins long ago.
type alone struct {
	since time.Time
	is    bool
}

func (a *alone) now() (time.Time, bool) { return a.since, a.is }

// keeping gives what keeps two places of a trail, at the second of which it stands.
func keeping(t *testing.T) (*near.Kept, *alone) {
	t.Helper()
	a := &alone{is: true}
	k := near.New(a.now)
	k.Read("t")(1, of, near.Near{At: 2, Places: []near.Place{{N: 1, Title: "One"}, {N: 2, Title: "Two"}}})
	k.Read("t")(2, of, near.Near{At: 2, Places: []near.Place{{N: 1, Title: "One"}, {N: 2, Title: "Two"}}})
	for _, n := range []int{1, 2} {
		if _, ok := k.Find("t", n, of); !ok {
			t.Fatalf("place %d is not kept", n)
		}
	}
	return k, a
}

func gone(t *testing.T, k *near.Kept, what string) {
	t.Helper()
	for _, n := range []int{1, 2, 3} {
		if found, ok := k.Find("t", n, of); ok {
			t.Errorf("%s: %+v is still believed", what, found)
		}
	}
}

func done() error { return nil }

func TestAPlaceIsItsOwnersAlone(t *testing.T) {
	k, _ := keeping(t)
	for _, other := range []near.Owner{{Account: "a_2", Project: "p_1"}, {Account: "a_1", Project: "p_2"}} {
		if _, ok := k.Find("t", 1, other); ok {
			t.Errorf("%+v finds it", other)
		}
	}
	if _, ok := k.Find("t", 3, of); ok {
		t.Error("a place is found that was never read")
	}
}

func TestWhatIsWrittenIsForgotten(t *testing.T) {
	k, _ := keeping(t)
	_ = k.Write("t", done, nil)
	gone(t, k, "written")
}

func TestBesideOthersNothingIsBelieved(t *testing.T) {
	k, a := keeping(t)
	a.is = false
	gone(t, k, "beside another server")
	k, a = keeping(t)
	a.since = time.Now() // there was another one for a moment
	gone(t, k, "alone again")
	a.is = false
	k.Read("t")(1, of, near.Near{})
	a.is = true
	gone(t, k, "read beside another server")
}

// What was read before a write, or while one was under way, may be from before it.
func TestWhatWasReadBesideAWriteIsNotKept(t *testing.T) {
	k := near.New((&alone{is: true}).now)
	before := k.Read("t")
	_ = k.Write("t", func() error {
		during := k.Read("t")
		during(1, of, near.Near{})
		before(2, of, near.Near{})
		return nil
	}, nil)
	gone(t, k, "read during a write")
	before(2, of, near.Near{})
	gone(t, k, "read before a write, kept after it")
}

func TestAfterAWriteThatFailedNothingIsKept(t *testing.T) {
	k, _ := keeping(t)
	failed := errors.New("nobody answers")
	if err := k.Write("t", func() error { return failed }, func(was map[int]near.Near) map[int]near.Near { return was }); !errors.Is(err, failed) {
		t.Errorf("told %v", err)
	}
	gone(t, k, "it may go through later")
	k.Read("t")(1, of, near.Near{})
	gone(t, k, "read after it: that may go through still")
}

func TestOfTwoWritesAtOnceNeitherIsBelieved(t *testing.T) {
	k, _ := keeping(t)
	as := func(was map[int]near.Near) map[int]near.Near { return was }
	_ = k.Write("t", func() error { return k.Write("t", done, as) }, as)
	gone(t, k, "one write beside another")
}

func TestWhereATrailStandsIsKept(t *testing.T) {
	k, _ := keeping(t)
	_ = k.Write("t", done, func(was map[int]near.Near) map[int]near.Near { return near.Stood(was, 1) })
	for _, n := range []int{1, 2} {
		if found, ok := k.Find("t", n, of); !ok || found.At != 1 {
			t.Errorf("place %d: %+v %v", n, found, ok)
		}
	}
}

// A place that is put behind the first: the second is another one, and the first knows what lies ahead.
func TestAPlaceIsKnownAsItWasPut(t *testing.T) {
	k, _ := keeping(t)
	_ = k.Write("t", done, func(was map[int]near.Near) map[int]near.Near {
		return near.Appended(was, near.Place{N: 2, Title: "Another", Place: []byte(`{"screen":"s"}`)})
	})
	first, _ := k.Find("t", 1, of)
	second, ok := k.Find("t", 2, of)
	if !ok || first.At != 2 || second.At != 2 || len(first.Places) != 2 || first.Places[1].Title != "Another" {
		t.Errorf("%+v, %+v", first, second)
	}
	if len(second.Places) != 2 || second.Places[0].Title != "One" || string(second.Places[1].Place) != `{"screen":"s"}` {
		t.Errorf("%+v", second.Places)
	}
	_ = k.Write("t", done, func(was map[int]near.Near) map[int]near.Near { return near.Appended(was, near.Place{N: 5}) })
	gone(t, k, "put behind a place that is not known")
}

// Thirty steps on: only the last few places are kept, each with its neighbours.
func TestFewPlacesOfATrailAreKept(t *testing.T) {
	k, _ := keeping(t)
	for n := 3; n < 33; n++ {
		_ = k.Write("t", done, func(was map[int]near.Near) map[int]near.Near { return near.Appended(was, near.Place{N: n}) })
	}
	kept := 0
	for n := range 40 {
		if found, ok := k.Find("t", n, of); ok {
			if kept++; found.At != 32 || found.Places[0].N != n-1 {
				t.Errorf("%+v", found)
			}
		}
	}
	if kept == 0 || kept > 4 {
		t.Errorf("%d are kept", kept)
	}
}
