package store_test

import (
	"context"
	"encoding/json"
	"errors"
	"strings"
	"sync"
	"testing"
	"time"

	"ambergate/core/patch"
	"ambergate/core/place"
	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/demo/stage"
	"ambergate/demo/stage/stagetest"
	"ambergate/store"
)

var up *stage.Stage

func TestMain(m *testing.M) { stagetest.Main(m, &up) }

var ctx = context.Background()

// newProject keeps a copy of the demo's project under another id and slug.
func newProject(t *testing.T, id string) string {
	t.Helper()
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	entities[project.SettingsID] = json.RawMessage(`{"kind":"project","title":"Copy","slug":"` + strings.ReplaceAll(id, "_", "-") + `","zone":"UTC"}`)
	if err := up.Store.CreateProject(ctx, id, entities); err != nil {
		t.Fatal(err)
	}
	return id
}

func edited(t *testing.T, text string) []patch.Op {
	t.Helper()
	var ops []patch.Op
	if err := json.Unmarshal([]byte(text), &ops); err != nil {
		t.Fatal(err)
	}
	return ops
}

func title(t *testing.T, id, screen string) string {
	t.Helper()
	d, err := up.Store.Draft(ctx, id)
	if err != nil {
		t.Fatal(err)
	}
	var s struct{ Title string }
	_ = json.Unmarshal(d.Entities[screen], &s) // a screen that is gone has no title
	return s.Title
}

func rename(to string) string {
	return `[{"op":"replace","path":"/s_cabin/title","value":"` + to + `"}]`
}

func TestEditsUndoAndRedoOfOnesOwn(t *testing.T) {
	id := newProject(t, "p_undo")
	edit := func(by, text string) {
		t.Helper()
		if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: by, Patch: edited(t, text)}); err != nil {
			t.Fatal(err)
		}
	}
	edit("a_arno", rename("One"))
	edit("a_arno", rename("Two"))
	edit("a_mira", `[{"op":"replace","path":"/s_defect/title","value":"Hers"}]`)
	for _, want := range []string{"One", "Cabin"} {
		if _, err := up.Store.Undo(ctx, id, "a_arno", ""); err != nil {
			t.Fatal(err)
		}
		if got := title(t, id, "s_cabin"); got != want {
			t.Errorf("after undo it is %q, want %q", got, want)
		}
	}
	if got := title(t, id, "s_defect"); got != "Hers" {
		t.Errorf("an undo touched another builder's edit: %q", got)
	}
	if _, err := up.Store.Undo(ctx, id, "a_arno", ""); !errors.Is(err, store.ErrNothing) {
		t.Errorf("undo of nothing: %v", err)
	}
	for _, want := range []string{"One", "Two"} {
		if _, err := up.Store.Redo(ctx, id, "a_arno", ""); err != nil {
			t.Fatal(err)
		}
		if got := title(t, id, "s_cabin"); got != want {
			t.Errorf("after redo it is %q, want %q", got, want)
		}
	}
	if _, err := up.Store.Redo(ctx, id, "a_arno", ""); !errors.Is(err, store.ErrNothing) {
		t.Errorf("redo of nothing: %v", err)
	}
	if _, err := up.Store.Undo(ctx, id, "a_arno", ""); err != nil {
		t.Fatal(err)
	}
	edit("a_mira", rename("Mine now"))
	var stale *store.StaleEdit
	if _, err := up.Store.Undo(ctx, id, "a_arno", ""); !errors.As(err, &stale) || stale.By != "Mira Holt" {
		t.Errorf("undo over somebody else's change: %v", err)
	}
}

func TestEditsThatDoNotFit(t *testing.T) {
	id := newProject(t, "p_misfit")
	for _, tc := range []struct {
		text string
		is   func(error) bool
	}{
		{`[{"op":"test","path":"/s_cabin/title","value":"Old"},{"op":"replace","path":"/s_cabin/title","value":"New"}]`, isA[*store.StaleEdit]},
		{`[{"op":"replace","path":"/s_cabin/type","value":"poster"}]`, isA[*project.StructureError]},
		{`[{"op":"add","path":"/s_cabin/color","value":"red"}]`, isA[*project.StructureError]},
		{`[{"op":"add","path":"/s_cabin","value":{}}]`, isA[*patch.Error]},
		{`[{"op":"remove","path":"/project/title"},{"op":"remove","path":"/project"}]`, isA[*project.StructureError]},
	} {
		before := title(t, id, "s_cabin")
		_, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, tc.text)})
		if !tc.is(err) {
			t.Errorf("%s: %v", tc.text, err)
		}
		if title(t, id, "s_cabin") != before {
			t.Errorf("%s left something behind", tc.text)
		}
	}
	_, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, rename("X")), Versions: map[string]int64{"s_cabin": 7}})
	if !isA[*store.StaleEdit](err) {
		t.Errorf("a stale version: %v", err)
	}
}

func isA[T error](err error) bool {
	var as T
	return errors.As(err, &as)
}

func TestEditsByManyAtOnceAreAllThere(t *testing.T) {
	id := newProject(t, "p_many")
	var wait sync.WaitGroup
	for i := range 20 {
		wait.Add(1)
		go func() {
			defer wait.Done()
			el := `[{"op":"add","path":"/s_cabin/elements/e_new` + string(rune('a'+i)) + `","value":{"kind":"text","pos":1,"cell":{"row":20,"col":1,"w":3},"words":"x"}}]`
			var ops []patch.Op
			if err := json.Unmarshal([]byte(el), &ops); err != nil {
				t.Error(err)
				return
			}
			if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: ops}); err != nil {
				t.Error(err)
			}
		}()
	}
	wait.Wait()
	d, err := up.Store.Draft(ctx, id)
	if err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(d.Entities)
	if err != nil {
		t.Fatal(err)
	}
	added := 0
	for e := range p.Screens["s_cabin"].Elements {
		if len(e) == len("e_newa") && e[:5] == "e_new" {
			added++
		}
	}
	if added != 20 || d.Seq != 20 {
		t.Errorf("%d of 20 edits are there, seq %d", added, d.Seq)
	}
}

func TestReleasesDoNotChange(t *testing.T) {
	id := newProject(t, "p_release")
	first, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno"})
	if err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, rename("Later"))}); err != nil {
		t.Fatal(err)
	}
	h, err := up.Store.History(ctx, id, "a_arno")
	if err != nil || h.Changes != 1 || !h.Undo || h.Redo {
		t.Errorf("history %+v %v", h, err)
	}
	second, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno"})
	if err != nil || second != first+1 {
		t.Errorf("release %d after %d: %v", second, first, err)
	}
	r, err := up.Store.Release(ctx, id, first)
	if err != nil {
		t.Fatal(err)
	}
	var s struct{ Title string }
	if err := json.Unmarshal(r.Entities["s_cabin"], &s); err != nil || s.Title != "Cabin" {
		t.Errorf("release %d says %q", first, s.Title)
	}
}

func TestSignInAndItsLimits(t *testing.T) {
	now := time.Now()
	if err := up.Store.CreateAccount(ctx, store.Account{ID: "a_try", Login: "try", Name: "Try"}, "secret"); err != nil {
		t.Fatal(err)
	}
	if _, _, err := signIn("nobody", "x", "here", now); !errors.Is(err, store.ErrSignIn) {
		t.Errorf("an unknown name: %v", err)
	}
	token, a, err := signIn("try", "secret", "here", now)
	if err != nil || a.Name != "Try" {
		t.Fatal(err)
	}
	if _, err := up.Store.Session(ctx, token, "", now.Add(13*time.Hour)); !errors.Is(err, store.ErrNone) {
		t.Errorf("an old session: %v", err)
	}
	if err := up.Store.SignOut(ctx, token); err != nil {
		t.Fatal(err)
	}
	if _, err := up.Store.Session(ctx, token, "", now); !errors.Is(err, store.ErrNone) {
		t.Errorf("after signing out: %v", err)
	}
	for range 5 {
		if _, _, err := signIn("try", "wrong", "here", now); !errors.Is(err, store.ErrSignIn) {
			t.Errorf("a wrong password: %v", err)
		}
	}
	var blocked *store.Blocked
	if _, _, err := signIn("try", "secret", "here", now); !errors.As(err, &blocked) {
		t.Errorf("after five failures: %v", err)
	}
	if _, _, err := signIn("try", "secret", "here", now.Add(time.Hour)); err != nil {
		t.Errorf("an hour later: %v", err)
	}
}

func TestTrailForgetsWhatLayAheadAndAppendsOnce(t *testing.T) {
	trail := store.Trail{ID: "trail-1", Account: "a_mira", Project: demo.ProjectID}
	if err := up.Store.NewTrail(ctx, trail); err != nil {
		t.Fatal(err)
	}
	add := func(after int, screen, press string) int {
		t.Helper()
		n, err := up.Store.Append(ctx, trail.ID, after, store.Spot{Place: place.Place{Screen: screen}, Title: screen}, press)
		if err != nil {
			t.Fatal(err)
		}
		return n
	}
	add(0, "a", "")
	add(1, "b", "press-b")
	add(2, "c", "")
	if n := add(2, "b", "press-b"); n != 2 {
		t.Errorf("the same press was appended again as %d", n)
	}
	at, err := up.Store.Load(ctx, trail.ID, 2, "a_mira", demo.ProjectID)
	if err != nil || at.Back != "a" || at.Forward != "c" || at.At != 3 {
		t.Errorf("%+v %v", at, err)
	}
	add(1, "d", "")
	at, err = up.Store.Load(ctx, trail.ID, 2, "a_mira", demo.ProjectID)
	if err != nil || at.Title != "d" || at.Forward != "" {
		t.Errorf("after another way on: %+v %v", at, err)
	}
	if _, err := up.Store.Load(ctx, trail.ID, 2, "a_jon", demo.ProjectID); !errors.Is(err, store.ErrNone) {
		t.Errorf("somebody else's trail: %v", err)
	}
}

func TestPeopleAndProjectsAreListed(t *testing.T) {
	people, err := up.Store.Accounts(ctx, demo.ProjectID)
	if err != nil || len(people) < len(demo.People) {
		t.Fatalf("%d people, %v", len(people), err)
	}
	for i, a := range people {
		if i > 0 && people[i-1].Name > a.Name {
			t.Errorf("%s comes after %s", a.Name, people[i-1].Name)
		}
		if a.Builds != (a.Login == "arno") {
			t.Errorf("%+v", a)
		}
	}
	list, err := up.Store.Projects(ctx)
	if err != nil {
		t.Fatal(err)
	}
	found := false
	for _, p := range list {
		found = found || p.ID == demo.ProjectID && p.Slug == "tarnhorn" && p.Title == "Tarnhorn Ropeway" && p.Released >= 1
	}
	if !found {
		t.Errorf("%+v", list)
	}
	uses, err := up.Store.ProjectsOf(ctx, "a_mira")
	if err != nil || !uses[demo.ProjectID] || !uses[demo.StoresID] || len(uses) != 2 {
		t.Errorf("%v %v", uses, err)
	}
}

func TestWhatIsNotThereIsSaidToBeNotThere(t *testing.T) {
	if _, err := up.Store.ProjectState(ctx, "p_none"); !errors.Is(err, store.ErrNone) {
		t.Errorf("a project: %v", err)
	}
	if _, err := up.Store.Draft(ctx, "p_none"); !errors.Is(err, store.ErrNone) {
		t.Errorf("a draft: %v", err)
	}
	if _, err := up.Store.Release(ctx, demo.ProjectID, 999); !errors.Is(err, store.ErrNone) {
		t.Errorf("a release: %v", err)
	}
	if _, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: "p_none", By: "a_arno"}); !errors.Is(err, store.ErrNone) {
		t.Errorf("releasing: %v", err)
	}
	if _, err := up.Store.Edit(ctx, store.Edit{Project: "p_none", By: "a_arno", Patch: edited(t, rename("X"))}); !errors.Is(err, store.ErrNone) {
		t.Errorf("editing: %v", err)
	}
	if _, err := up.Store.TrailOf(ctx, "none", "a_mira", demo.ProjectID); !errors.Is(err, store.ErrNone) {
		t.Errorf("a trail: %v", err)
	}
	if _, err := up.Store.Session(ctx, "none", "", time.Now()); !errors.Is(err, store.ErrNone) {
		t.Errorf("a session: %v", err)
	}
}

func TestAnEditMakesSeveralEntitiesOrNone(t *testing.T) {
	id := newProject(t, "p_several")
	both := `[{"op":"add","path":"/s_new","value":{"kind":"screen","type":"menu","title":"New","slug":"new"}},
	  {"op":"add","path":"/s_cabin/elements/e_to","value":{"kind":"button","pos":1,"cell":{"row":9,"col":1,"w":2},"words":"To it","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_new"}}}}}}]`
	done, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, both)})
	if err != nil || len(done.Touched) != 2 || done.Versions["s_new"] != done.Seq {
		t.Fatalf("%+v %v", done, err)
	}
	if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: edited(t, `[{"op":"remove","path":"/s_new"},{"op":"remove","path":"/s_nothing"}]`)}); err == nil {
		t.Fatal("half an edit was made")
	}
	if title(t, id, "s_new") != "New" {
		t.Error("the half that fitted was kept")
	}
	if _, err := up.Store.Undo(ctx, id, "a_arno", ""); err != nil {
		t.Fatal(err)
	}
	if title(t, id, "s_new") != "" {
		t.Error("undo left the new screen")
	}
	// Made again with the same id it has a version that it never had before.
	again, err := up.Store.Redo(ctx, id, "a_arno", "")
	if err != nil || again.Versions["s_new"] <= done.Versions["s_new"] {
		t.Errorf("%+v after %+v: %v", again, done, err)
	}
}
