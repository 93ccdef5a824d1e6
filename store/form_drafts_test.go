package store_test

import (
	"errors"
	"testing"

	"ambergate/demo"
	"ambergate/store"
)

// What somebody typed is theirs: nobody else finds it, takes it over or forgets it.
func TestADraftIsItsPersons(t *testing.T) {
	for _, tab := range []string{"draft-own", "draft-other"} {
		if err := up.Store.NewTrail(ctx, store.Trail{ID: tab, Account: "a_mira", Project: demo.ProjectID}); err != nil {
			t.Fatal(err)
		}
	}
	d := store.FormDraft{ID: "d-own", Account: "a_mira", Project: demo.ProjectID, Tab: "draft-own", Work: "s_x view 1", Screen: "s_x", Base: map[string]string{}, Values: map[string]string{"a": "mine"}}
	id, err := up.Store.KeepFormDraft(ctx, d, "")
	if err != nil {
		t.Fatal(err)
	}
	found := func(account string) int {
		t.Helper()
		drafts, err := up.Store.FormDraftsOf(ctx, account, demo.ProjectID, []string{d.Work})
		if err != nil {
			t.Fatal(err)
		}
		return len(drafts)
	}
	if n := found("a_sela"); n != 0 {
		t.Errorf("somebody else finds %d", n)
	}
	if err := up.Store.TakeFormDraft(ctx, id, "a_sela", "draft-other"); !errors.Is(err, store.ErrNone) {
		t.Errorf("somebody else takes it over: %v", err)
	}
	if err := up.Store.ForgetFormDraft(ctx, id, "a_sela"); err != nil {
		t.Fatal(err)
	}
	if found("a_mira") != 1 {
		t.Error("somebody else’s forgetting forgot it")
	}
	if err := up.Store.TakeFormDraft(ctx, id, "a_mira", "draft-other"); err != nil {
		t.Errorf("her own other tab takes it over: %v", err)
	}
	if err := up.Store.ForgetFormDraft(ctx, id, "a_mira"); err != nil || found("a_mira") != 0 {
		t.Errorf("her own forgetting: %v", err)
	}
}
