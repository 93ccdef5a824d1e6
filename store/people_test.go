package store_test

import (
	"errors"
	"testing"
	"time"

	"ambergate/demo"
	"ambergate/store"
)

func account(t *testing.T, login, password string) store.Account {
	t.Helper()
	a := store.Account{ID: "a_" + login, Login: login, Name: login}
	if err := up.Store.CreateAccount(ctx, a, password); err != nil {
		t.Fatal(err)
	}
	return a
}

// signIn tries to sign in from a browser that nobody knows.
func signIn(login, password, origin string, now time.Time) (token string, a store.Account, err error) {
	in, err := up.Store.SignIn(ctx, store.Entering{Login: login, Password: password, Origin: origin, Now: now})
	return in.Token, in.Account, err
}

func TestANewPasswordEndsAllOtherSessions(t *testing.T) {
	now := time.Now()
	a := account(t, "changes", "the-old-one")
	here, _, err := signIn(a.Login, "the-old-one", "desk", now)
	if err != nil {
		t.Fatal(err)
	}
	there, _, err := signIn(a.Login, "the-old-one", "phone", now)
	if err != nil {
		t.Fatal(err)
	}
	change := func(old, next string) error {
		return up.Store.ChangePassword(ctx, a.ID, old, next, "desk", here, now)
	}
	if err := change("guess", "a-longer-one"); !errors.Is(err, store.ErrSignIn) {
		t.Errorf("a wrong old one: %v", err)
	}
	if err := change("the-old-one", "a-longer-one"); err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.Session(ctx, here, "", now); err != nil {
		t.Errorf("the session it was changed in: %v", err)
	}
	if _, err := up.Store.Session(ctx, there, "", now); !errors.Is(err, store.ErrNone) {
		t.Errorf("another session: %v", err)
	}
	if _, _, err := signIn(a.Login, "the-old-one", "desk", now); !errors.Is(err, store.ErrSignIn) {
		t.Errorf("the old password: %v", err)
	}
	if _, _, err := signIn(a.Login, "a-longer-one", "desk", now); err != nil {
		t.Errorf("the new one: %v", err)
	}
	attempts, err := up.Store.Attempts(ctx, a.ID, 10)
	if err != nil || len(attempts) != 5 {
		t.Errorf("%+v %v", attempts, err)
	}
	failed := 0
	for _, one := range attempts {
		if !one.OK {
			failed++
		}
	}
	if failed != 2 {
		t.Errorf("%d failures are noted, want 2", failed)
	}
}

func TestWrongOldPasswordsAreSlowedToo(t *testing.T) {
	now := time.Now()
	a := account(t, "slowed", "the-right-one")
	var err error
	for range 6 {
		err = up.Store.ChangePassword(ctx, a.ID, "guess", "a-longer-one", "desk", "", now)
	}
	var blocked *store.Blocked
	if !errors.As(err, &blocked) {
		t.Errorf("after six guesses: %v", err)
	}
}

func TestSigningOutEverywhereAndForgettingWhatIsOld(t *testing.T) {
	now := time.Now()
	a := account(t, "many", "the-right-one")
	var tokens []string
	for range 3 {
		token, _, err := signIn(a.Login, "the-right-one", "desk", now)
		if err != nil {
			t.Fatal(err)
		}
		tokens = append(tokens, token)
	}
	if n, err := up.Store.Sessions(ctx, a.ID, now); err != nil || n != 3 {
		t.Errorf("%d sessions, %v", n, err)
	}
	if err := up.Store.SignOutEverywhere(ctx, a.ID, tokens[1]); err != nil {
		t.Fatal(err)
	}
	for i, token := range tokens {
		if _, err := up.Store.Session(ctx, token, "", now); (err == nil) != (i == 1) {
			t.Errorf("session %d: %v", i, err)
		}
	}
	if err := up.Store.ForgetOld(ctx, now.Add(100*24*time.Hour)); err != nil {
		t.Fatal(err)
	}
	if attempts, err := up.Store.Attempts(ctx, a.ID, 10); err != nil || len(attempts) != 0 {
		t.Errorf("old attempts: %+v %v", attempts, err)
	}
}

func TestRolesAreGivenAndTakenTogether(t *testing.T) {
	a := account(t, "roles", "the-right-one")
	for _, roles := range [][]string{{"r_tech", "r_office"}, {"r_office"}, {}} {
		if err := up.Store.SetRoles(ctx, "a_arno", a.ID, demo.ProjectID, roles, ""); err != nil {
			t.Fatal(err)
		}
		people, err := up.Store.Accounts(ctx, demo.ProjectID)
		if err != nil {
			t.Fatal(err)
		}
		for _, p := range people {
			if p.ID == a.ID && len(p.Roles) != len(roles) {
				t.Errorf("%v became %v", roles, p.Roles)
			}
		}
	}
	if err := up.Store.SetRoles(ctx, "a_arno", "a_nobody", demo.ProjectID, []string{"r_tech"}, ""); !errors.Is(err, store.ErrNone) {
		t.Errorf("nobody's roles: %v", err)
	}
}

func TestWalksAsRealPeopleAreLogged(t *testing.T) {
	builder, now := account(t, "walker", "the-right-one"), time.Now()
	for _, at := range []time.Time{now, now.Add(time.Minute), now.Add(2 * time.Hour)} {
		if err := up.Store.LogWalk(ctx, builder.ID, "a_mira", demo.ProjectID, at); err != nil {
			t.Fatal(err)
		}
	}
	walks, err := up.Store.Walks(ctx, demo.ProjectID)
	n := 0
	for _, w := range walks {
		if w.Builder == builder.ID && w.Person == "a_mira" {
			n++
		}
	}
	if err != nil || n != 2 {
		t.Errorf("%d walks of two are logged, %v", n, err)
	}
}

// An undoing of what is in a release is a change since that release; of what came after it, it is none.
func TestChangesSinceTheReleaseCountWhatWasTakenBack(t *testing.T) {
	id := newProject(t, "p_changes")
	edit := func(title string) {
		t.Helper()
		if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, rename(title))}); err != nil {
			t.Fatal(err)
		}
	}
	changes := func(want int) {
		t.Helper()
		if h, err := up.Store.History(ctx, id, "a_arno"); err != nil || h.Changes != want {
			t.Errorf("%d changes, want %d (%v)", h.Changes, want, err)
		}
	}
	back := func(do func() (store.Applied, error)) {
		t.Helper()
		if _, err := do(); err != nil {
			t.Fatal(err)
		}
	}
	undo := func() { back(func() (store.Applied, error) { return up.Store.Undo(ctx, id, "a_arno", "") }) }
	edit("One")
	if _, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno"}); err != nil {
		t.Fatal(err)
	}
	changes(0)
	edit("Two")
	changes(1)
	undo()
	changes(0)
	undo()
	changes(1)
	back(func() (store.Applied, error) { return up.Store.Redo(ctx, id, "a_arno", "") })
	changes(0)
}
