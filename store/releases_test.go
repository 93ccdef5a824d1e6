package store_test

import (
	"encoding/json"
	"errors"
	"fmt"
	"reflect"
	"testing"
	"time"

	"ambergate/store"
)

func made(t *testing.T, r store.NewRelease) int {
	t.Helper()
	if r.By == "" {
		r.By = "a_arno"
	}
	n, err := up.Store.PutIntoUse(ctx, r)
	if err != nil {
		t.Fatal(err)
	}
	return n
}

func state(t *testing.T, id string) store.State {
	t.Helper()
	s, err := up.Store.ProjectState(ctx, id)
	if err != nil {
		t.Fatal(err)
	}
	return s
}

// Some use a release first, then all do, or nobody any more; the newest of all is not touched meanwhile.
func TestSomeUseAReleaseFirst(t *testing.T) {
	id := newProject(t, "p_first")
	if _, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno", CopyOf: 3}); !errors.Is(err, store.ErrNone) {
		t.Errorf("a release that there is none of is brought back: %v", err)
	}
	made(t, store.NewRelease{Project: id, Note: "begin"})
	some := &store.Some{Roles: []string{"r_lead"}, People: []string{"a_mira"}}
	second := made(t, store.NewRelease{Project: id, First: some, Accepted: []store.Lived{{Key: "k", Words: "It is broken.", Because: "it is late"}}})
	if s := state(t, id); s.Released != 1 || s.TrialNumber() != second || !reflect.DeepEqual(s.Trial.For, *some) {
		t.Errorf("%+v", s)
	}
	if d, err := up.Store.Draft(ctx, id); err != nil || d.Released != 1 || d.Trial != second {
		t.Errorf("the draft has %d and %d, %v", d.Released, d.Trial, err)
	}
	if err := up.Store.EndTrial(ctx, id, "a_arno", 1, true); !errors.Is(err, store.ErrNone) {
		t.Errorf("one that nobody uses first is ended: %v", err)
	}
	if err := up.Store.EndTrial(ctx, id, "a_arno", second, false); err != nil {
		t.Fatal(err)
	}
	if s := state(t, id); s.Released != 1 || s.Trial != nil {
		t.Errorf("taken back: %+v", s)
	}
	third := made(t, store.NewRelease{Project: id, First: some})
	if err := up.Store.EndTrial(ctx, id, "a_arno", third, true); err != nil {
		t.Fatal(err)
	}
	if s := state(t, id); s.Released != third || s.Trial != nil {
		t.Errorf("for all: %+v", s)
	}
	made(t, store.NewRelease{Project: id, First: some})
	last := made(t, store.NewRelease{Project: id}) // for all: nobody uses another one any more
	if s := state(t, id); s.Released != last || s.Trial != nil {
		t.Errorf("one for all: %+v", s)
	}
	list, more, err := up.Store.Releases(ctx, id, 0)
	if err != nil || more || len(list) != 5 || list[0].Number != 5 || list[4].Note != "begin" || list[3].Accepted[0].Because != "it is late" {
		t.Fatalf("%+v %v", list, err)
	}
	for number, forAll := range map[int]bool{1: true, 2: false, 3: true, 4: false, 5: true} {
		if r := list[5-number]; (r.ForAllAt != nil) != forAll {
			t.Errorf("release %d: all got it at %v", number, r.ForAllAt)
		}
	}
	if older, _, err := up.Store.Releases(ctx, id, 3); err != nil || len(older) != 2 {
		t.Errorf("older than 3: %+v %v", older, err)
	}
}

func TestWhoIsAmongSome(t *testing.T) {
	some := &store.Some{Roles: []string{"r_lead"}, People: []string{"a_mira"}}
	for _, tc := range []struct {
		who  store.Account
		some *store.Some
		is   bool
	}{
		{store.Account{ID: "a_mira"}, some, true},
		{store.Account{ID: "a_sela", Roles: map[string]bool{"r_lead": true}}, some, true},
		{store.Account{ID: "a_jon", Roles: map[string]bool{"r_oper": true}}, some, false},
		{store.Account{}, some, false},
		{store.Account{ID: "a_mira"}, nil, false},
	} {
		if got := tc.some.Has(tc.who); got != tc.is {
			t.Errorf("%+v is among %+v: %v", tc.who, tc.some, got)
		}
	}
}

// What is released is what was looked at; what is brought back ends with the edit that it ended with then.
func TestAReleaseIsOfWhatWasLookedAt(t *testing.T) {
	id := newProject(t, "p_looked")
	made(t, store.NewRelease{Project: id})
	for i := range 2 {
		if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, rename(fmt.Sprint("Later ", i)))}); err != nil {
			t.Fatal(err)
		}
	}
	if _, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno", Seq: 1}); !errors.Is(err, store.ErrMoved) {
		t.Errorf("a draft that was edited since is released: %v", err)
	}
	second := made(t, store.NewRelease{Project: id, Seq: 2})
	third := made(t, store.NewRelease{Project: id, CopyOf: 1, Seq: 2})
	first, err := up.Store.Release(ctx, id, 1)
	if err != nil {
		t.Fatal(err)
	}
	again, err := up.Store.Release(ctx, id, third)
	if err != nil || again.CopyOf != 1 || again.Seq != first.Seq || !reflect.DeepEqual(again.Entities, first.Entities) {
		t.Errorf("%+v, %v", again.ReleaseInfo, err)
	}
	if h, err := up.Store.History(ctx, id, "a_arno"); err != nil || h.Changes != 2 {
		t.Errorf("since what was brought back %d changes, %v", h.Changes, err)
	}
	list, _, err := up.Store.Releases(ctx, id, 0)
	if err != nil || list[1].Number != second || list[1].Changes != 2 || list[1].By != "Arno Vey" {
		t.Errorf("%+v %v", list, err)
	}
}

// Edits are found by what they touch, by who made them, and by when.
func TestTheHistoryIsAskedInParts(t *testing.T) {
	id := newProject(t, "p_history")
	edit := func(by, ops string) int64 {
		t.Helper()
		done, err := up.Store.Edit(ctx, store.Edit{Project: id, By: by, Patch: edited(t, ops)})
		if err != nil {
			t.Fatal(err)
		}
		return done.Seq
	}
	one := edit("a_arno", rename("One"))
	two := edit("a_sela", `[{"op":"replace","path":"/s_defects/title","value":"Two"}]`)
	three := edit("a_arno", `[{"op":"replace","path":"/s_cabin/title","value":"Three"},{"op":"replace","path":"/s_stops/title","value":"Three"}]`)
	found := func(q store.HistoryQuery) []int64 {
		t.Helper()
		q.Project = id
		list, err := up.Store.Edits(ctx, q)
		if err != nil {
			t.Fatal(err)
		}
		out := []int64{}
		for _, e := range list {
			out = append(out, e.Seq)
		}
		return out
	}
	all, err := up.Store.Edits(ctx, store.HistoryQuery{Project: id})
	if err != nil || len(all) != 3 || all[1].Name != "Sela Brandt" || len(all[0].Patch) != 2 || len(all[0].Inverse) == 0 {
		t.Fatalf("%+v %v", all, err)
	}
	for what, tc := range map[string]struct {
		q    store.HistoryQuery
		want []int64
	}{
		"all":              {store.HistoryQuery{}, []int64{three, two, one}},
		"of an entity":     {store.HistoryQuery{Touch: []string{"s_cabin"}}, []int64{three, one}},
		"of several":       {store.HistoryQuery{Touch: []string{"s_stops", "s_defects"}}, []int64{three, two}},
		"of none":          {store.HistoryQuery{Touch: []string{"s_nothing"}}, []int64{}},
		"of somebody":      {store.HistoryQuery{By: "a_sela"}, []int64{two}},
		"older":            {store.HistoryQuery{Before: three}, []int64{two, one}},
		"newer":            {store.HistoryQuery{After: one}, []int64{three, two}},
		"later":            {store.HistoryQuery{Later: all[1].At}, []int64{three}},
		"later than now":   {store.HistoryQuery{Later: time.Now().Add(time.Hour)}, []int64{}},
		"the newest alone": {store.HistoryQuery{Limit: 1}, []int64{three}},
	} {
		if got := found(tc.q); !reflect.DeepEqual(got, tc.want) {
			t.Errorf("%s: %v, want %v", what, got, tc.want)
		}
	}
}

// One edit is taken back, of whomever it was, unless what it changed was changed since.
func TestOneEditIsTakenBack(t *testing.T) {
	id := newProject(t, "p_back")
	for i, by := range []string{"a_arno", "a_sela"} {
		path := []string{"/s_cabin/title", "/s_defects/title"}[i]
		if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: by, Patch: edited(t, `[{"op":"replace","path":"`+path+`","value":"Otherwise"}]`)}); err != nil {
			t.Fatal(err)
		}
	}
	e := store.Edit{Project: id, By: "a_arno", Request: "back-1"}
	done, err := up.Store.TakeBack(ctx, e, 2)
	if err != nil || done.Seq != 3 {
		t.Fatalf("%+v %v", done, err)
	}
	if same, err := up.Store.TakeBack(ctx, e, 2); err != nil || same.Seq != 3 {
		t.Errorf("sent again it comes to %+v %v", same, err)
	}
	e.Request = ""
	if _, err := up.Store.TakeBack(ctx, e, 2); !errors.Is(err, store.ErrNothing) {
		t.Errorf("taken back twice: %v", err)
	}
	if _, err := up.Store.TakeBack(ctx, e, 9); !errors.Is(err, store.ErrNone) {
		t.Errorf("one that there is none of: %v", err)
	}
	var stale *store.StaleEdit
	if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_sela", Patch: edited(t, rename("Once more"))}); err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.TakeBack(ctx, e, 1); !errors.As(err, &stale) || stale.By != "Sela Brandt" {
		t.Errorf("what was changed since is taken back: %v", err)
	}
	d, err := up.Store.Draft(ctx, id)
	if err != nil {
		t.Fatal(err)
	}
	var s struct{ Title string }
	if err := json.Unmarshal(d.Entities["s_defects"], &s); err != nil || s.Title != "Defects" {
		t.Errorf("afterwards it is called %q", s.Title)
	}
	if _, err := up.Store.Undo(ctx, id, "a_sela", ""); err != nil { // her newest; the one before was taken back
		t.Error(err)
	}
	if _, err := up.Store.Undo(ctx, id, "a_sela", ""); !errors.Is(err, store.ErrNothing) {
		t.Errorf("what was taken back is undone: %v", err)
	}
}
