package store_test

import (
	"encoding/json"
	"errors"
	"testing"

	"ambergate/core/patch"
	"ambergate/store"
)

func ops(t *testing.T, text string) (out []patch.Op) {
	t.Helper()
	if err := json.Unmarshal([]byte(text), &out); err != nil {
		t.Fatal(err)
	}
	return out
}

const aNotice = `{"kind":"screen","type":"notice","title":"A","slug":"a","elements":{}}`

// Edits, takings back and releases that are sent again after a crash are found, and done once.
func TestWhatABuilderSendsAgainIsDoneOnce(t *testing.T) {
	id := newProject(t, "p_again")
	edit := store.Edit{Project: id, By: "a_arno", Request: "first", Patch: ops(t, `[{"op":"add","path":"/s_a","value":`+aNotice+`}]`)}
	first, err := up.Store.Edit(ctx, edit)
	if err != nil {
		t.Fatal(err)
	}
	again, err := up.Store.Edit(ctx, edit)
	if err != nil || again.Seq != first.Seq || again.Versions["s_a"] != first.Versions["s_a"] {
		t.Errorf("sent again: %+v, at first %+v; %v", again, first, err)
	}
	// The same id of somebody else is another edit.
	edit.By = "a_other"
	edit.Patch = ops(t, `[{"op":"replace","path":"/s_a/title","value":"B"}]`)
	if other, err := up.Store.Edit(ctx, edit); err != nil || other.Seq == first.Seq {
		t.Errorf("of somebody else: %+v %v", other, err)
	}
	one, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno", Request: "release"})
	if err != nil {
		t.Fatal(err)
	}
	if same, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno", Request: "release"}); err != nil || same != one {
		t.Errorf("released again: %d, at first %d; %v", same, one, err)
	}
	if next, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno", Request: "another"}); err != nil || next != one+1 {
		t.Errorf("another release: %d %v", next, err)
	}
	undone, err := up.Store.Undo(ctx, id, "a_other", "undo")
	if err != nil {
		t.Fatal(err)
	}
	if same, err := up.Store.Undo(ctx, id, "a_other", "undo"); err != nil || same.Seq != undone.Seq {
		t.Errorf("taken back again: %+v, at first %+v; %v", same, undone, err)
	}
}

// Hardening, medium: taking back was stuck behind another's change of the newest own edit.
func TestAnOlderOwnEditIsTakenBackWhereTheNewestCannotBe(t *testing.T) {
	id := newProject(t, "p_older")
	edit := func(by, patch string) {
		t.Helper()
		if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: by, Patch: ops(t, patch)}); err != nil {
			t.Fatal(err)
		}
	}
	edit("a_arno", `[{"op":"add","path":"/s_a","value":`+aNotice+`}]`)
	edit("a_arno", `[{"op":"add","path":"/s_b","value":{"kind":"screen","type":"notice","title":"B","slug":"b","elements":{}}}]`)
	edit("a_arno", `[{"op":"replace","path":"/s_a/title","value":"Mine"}]`)
	edit("a_other", `[{"op":"replace","path":"/s_a/title","value":"Theirs"}]`)
	undone, err := up.Store.Undo(ctx, id, "a_arno", "")
	if err != nil || len(undone.Touched) != 1 || undone.Touched[0] != "s_b" {
		t.Errorf("taken back: %+v %v", undone, err)
	}
	// Nothing older goes: then it is told whose change stands in the way.
	var stale *store.StaleEdit
	if _, err := up.Store.Undo(ctx, id, "a_arno", ""); !errors.As(err, &stale) {
		t.Errorf("nothing can be taken back: %v", err)
	}
}

// Hardening, high 8: an application whose title is gone locked everybody out of all of them.
func TestAnApplicationWithoutATitleIsListedAndCannotBeMade(t *testing.T) {
	id := newProject(t, "p_untitled")
	for _, patch := range []string{
		`[{"op":"remove","path":"/project/title"}]`, `[{"op":"replace","path":"/project/title","value":""}]`,
		`[{"op":"add","path":"/p_second","value":{"kind":"project","title":"x","slug":"x"}}]`, `[{"op":"replace","path":"/project/kind","value":"role"}]`,
		`[{"op":"replace","path":"/project/title","value":null}]`, `[{"op":"replace","path":"/project/slug","value":"../x"}]`,
	} {
		if _, err := up.Store.Edit(ctx, store.Edit{Project: id, By: "a_arno", Patch: ops(t, patch)}); err == nil {
			t.Errorf("%s is taken", patch)
		}
	}
	var n int
	if err := kept(`with gone as (update entity set body = body - 'title' where project = 'p_untitled' and id = 'project' returning 1) select count(*) from gone`, &n); err != nil || n != 1 {
		t.Fatal(n, err)
	}
	list, err := up.Store.Projects(ctx)
	if err != nil {
		t.Fatal(err)
	}
	for _, p := range list {
		if p.ID == id && p.Title == "" {
			t.Errorf("it is listed as %+v", p)
		}
	}
}
