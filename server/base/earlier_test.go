package base

import (
	"encoding/json"
	"testing"

	"ambergate/core/differ"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/stand"
	"ambergate/store"
)

func draftOf(t *testing.T) *Draft {
	t.Helper()
	var entities map[string]json.RawMessage
	if err := json.Unmarshal([]byte(stand.Ropeway), &entities); err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	return &Draft{Draft: &store.Draft{Entities: entities}, App: app}
}

func opsOf(t *testing.T, text string) []patch.Op {
	t.Helper()
	var ops []patch.Op
	if err := json.Unmarshal([]byte(text), &ops); err != nil {
		t.Fatal(err)
	}
	return ops
}

// One goes back edit by edit; of some entities alone, too.
func TestADraftIsGoneBackEditByEdit(t *testing.T) {
	d := draftOf(t)
	back := d.Back()
	if !back.Undo(opsOf(t, `[{"op":"test","path":"/s_list/title","value":"Defects"},{"op":"replace","path":"/s_list/title","value":"Faults"}]`)) {
		t.Fatal("the newest does not fit")
	}
	if !back.Undo(opsOf(t, `[{"op":"replace","path":"/s_list/title","value":"List"},{"op":"remove","path":"/s_chart"}]`)) {
		t.Fatal("the one before does not fit")
	}
	was, err := back.Side()
	if err != nil {
		t.Fatal(err)
	}
	if was.App.Project.Screens["s_list"].Title != "List" || was.App.Project.Screens["s_chart"] != nil || was.Entities["s_chart"] != nil {
		t.Errorf("it was %+v", was.App.Project.Screens)
	}
	some, err := back.Side("s_list")
	if err != nil || some.App.Project.Screens["s_chart"] == nil || some.App.Project.Screens["s_list"].Title != "List" {
		t.Errorf("of the list alone: %v", err)
	}
	if n := len(differ.Of(was, d.Side())); n != 2 {
		t.Errorf("%d differences", n)
	}
	if back.Undo(opsOf(t, `[{"op":"test","path":"/s_list/title","value":"Defects"}]`)) {
		t.Error("what does not fit is gone back before")
	}
	if d.App.Project.Screens["s_list"].Title != "Defects" {
		t.Error("the draft itself was changed")
	}
}

func TestADraftIsTheSameWithoutAnEditThatDoesNotFit(t *testing.T) {
	d := draftOf(t)
	if _, ok := d.Without(opsOf(t, `[{"op":"test","path":"/s_list/title","value":"Other"}]`)); ok {
		t.Error("it fits")
	}
	app, ok := d.Without(opsOf(t, `[{"op":"replace","path":"/s_list/title","value":"Other"}]`))
	if !ok || app.Project.Screens["s_list"].Title != "Other" {
		t.Error("it does not fit")
	}
}
