package store_test

import (
	"maps"
	"testing"

	"ambergate/core/place"
	"ambergate/store"
)

func TestATabsVariablesAndWhatTheyWereBefore(t *testing.T) {
	p := newProject(t, "vars")
	me := account(t, "vars-me", "vars-me")
	tab := store.Trail{ID: "trail-vars", Account: me.ID, Project: p}
	if err := up.Store.NewTrail(ctx, tab); err != nil {
		t.Fatal(err)
	}
	n, err := up.Store.Append(ctx, tab.ID, 0, store.Spot{Place: place.Place{Screen: "s_drive", Mode: "view", Vars: map[string]string{"v_own": "true"}}}, "")
	if err != nil {
		t.Fatal(err)
	}
	set := func(press string, vars, before map[string]string) {
		t.Helper()
		if err := up.Store.SetVars(ctx, tab.ID, press, vars, store.Kept{Tab: before}); err != nil {
			t.Fatal(err)
		}
	}
	holds := func(trail, press string, vars, before map[string]string) {
		t.Helper()
		at, err := up.Store.Load(ctx, trail, n, me.ID, p)
		if err != nil {
			t.Fatal(err)
		}
		if !maps.Equal(at.Vars, vars) || at.VarsPress != press || !maps.Equal(at.VarsBefore.Tab, before) {
			t.Errorf("kept %v by %q, before %v; want %v by %q, before %v", at.Vars, at.VarsPress, at.VarsBefore.Tab, vars, press, before)
		}
		if at.Place.Vars["v_own"] != "true" {
			t.Errorf("the place has lost its own: %v", at.Place.Vars)
		}
	}
	one, two := map[string]string{"v_n": "1"}, map[string]string{"v_n": "2"}
	holds(tab.ID, "", nil, nil)
	set("press-one", one, nil)
	holds(tab.ID, "press-one", one, nil)
	set("press-two", two, one)
	holds(tab.ID, "press-two", two, one)
	set("press-two", two, two) // the same again leaves what was before it
	holds(tab.ID, "press-two", two, one)
	if err := up.Store.Fork(ctx, "trail-vars-2", tab.ID, me.ID, p); err != nil {
		t.Fatal(err)
	}
	set("press-three", one, two)
	holds("trail-vars-2", "", two, nil) // a duplicated tab has a copy, and goes its own way
	known, err := up.Store.TrailOf(ctx, tab.ID, me.ID, p)
	if err != nil || !maps.Equal(known.Vars, one) {
		t.Errorf("%v %v", known.Vars, err)
	}
	if _, err := up.Store.TrailOf(ctx, tab.ID, "somebody else", p); err == nil {
		t.Error("somebody else’s tab is told")
	}
}
