package server_test

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/check"
	"ambergate/core/kinds/element"
	"ambergate/server/answer"
)

func work(t *testing.T, p *person, body map[string]any) api.AtWork {
	t.Helper()
	var out api.AtWork
	p.must("POST", "/api/build/tarnhorn/work", body, &out)
	return out
}

func TestEveryScreenIsShownAtWorkForEverybody(t *testing.T) {
	p := as(t, "arno")
	var draft api.Draft
	p.must("GET", "/api/build/tarnhorn", nil, &draft)
	tried, refused := 0, 0
	for id, body := range draft.Entities {
		if kind, _ := body.(map[string]any)["kind"].(string); kind != "screen" {
			continue
		}
		for _, person := range draft.People {
			for _, as := range []string{person.Id, "role:r_visitor"} {
				w := work(t, p, map[string]any{"screen": id, "as": as})
				tried++
				if w.Refused != nil {
					refused++
				}
				if w.View == nil && w.Refused == nil && w.Needs == nil {
					t.Errorf("%s as %s shows nothing and does not say why", id, as)
				}
			}
		}
	}
	t.Logf("%d screens shown, %d refused", tried, refused)
	if refused == 0 || refused == tried {
		t.Errorf("%d of %d were refused", refused, tried)
	}
	for _, f := range toMend(draft) {
		t.Errorf("the demo has a finding: %+v", f)
	}
}

// toMend gives the findings of a draft that nobody lives with, what is only worth knowing apart.
func toMend(d api.Draft) (out []check.Finding) {
	for _, f := range check.Open(d.Findings) {
		if f.Severity != check.Note {
			out = append(out, f)
		}
	}
	return out
}

// drafted reads a draft when it has been checked: a busy machine shows for a moment what was found before.
func drafted(p *person, path string) (d api.Draft) {
	p.t.Helper()
	for deadline := time.Now().Add(30 * time.Second); ; time.Sleep(20 * time.Millisecond) {
		d = api.Draft{}
		p.must("GET", path, nil, &d)
		if !answer.Value(d.Checking) {
			return d
		}
		if time.Now().After(deadline) {
			p.t.Fatal("the draft is not checked in half a minute")
		}
	}
}

func TestEditsFindingsAndUndo(t *testing.T) {
	p := as(t, "arno")
	path := "/api/build/tarnhorn"
	p.must("POST", path+"/edits", map[string]any{"patch": []any{map[string]any{"op": "add", "path": "/s_cabin/elements/e_idle", "value": map[string]any{"kind": "button", "pos": 9, "cell": map[string]int{"row": 4, "col": 9, "w": 2}, "words": "Idle"}}}}, nil)
	draft := drafted(p, path)
	if found := toMend(draft); len(found) != 1 || found[0].Check != "no-way-behind" || found[0].Element != "e_idle" {
		t.Errorf("findings %+v", found)
	}
	w := work(t, p, map[string]any{"screen": "s_cabin", "as": "a_mira"})
	found := false
	for _, way := range w.Ways {
		found = found || way.Element == "e_idle" && way.Kind == "none"
	}
	if !found {
		t.Error("the button without a way has no plate")
	}
	p.must("POST", path+"/undo", nil, nil)
	draft = drafted(p, path)
	if found := toMend(draft); len(found) != 0 {
		t.Errorf("after undo: %+v", found)
	}
	p.refused("POST", path+"/edits", map[string]any{"patch": []any{}}, http.StatusBadRequest, "bad-patch")
	p.refused("POST", path+"/edits", map[string]any{"patch": []any{map[string]any{"op": "replace", "path": "/s_nowhere/title", "value": "x"}}}, http.StatusBadRequest, "bad-patch")
	p.refused("POST", path+"/edits", map[string]any{"patch": []any{map[string]any{"op": "add", "path": "/s_cabin/nonsense", "value": 1}}}, http.StatusBadRequest, "bad-patch")
	p.refused("POST", path+"/edits", map[string]any{"patch": []any{map[string]any{"op": "test", "path": "/s_cabin/title", "value": "Old"}}}, http.StatusConflict, "stale")
	p.refused("POST", path+"/work", map[string]any{"screen": "s_nowhere", "as": "a_mira"}, http.StatusNotFound, "no-screen")
	p.refused("POST", path+"/work", map[string]any{"screen": "s_cabin", "as": "a_nobody"}, http.StatusForbidden, "no-role")
}

func TestConditionsAreReadWithTheirPlace(t *testing.T) {
	p := as(t, "arno")
	var read api.ConditionRead
	p.must("POST", "/api/build/tarnhorn/condition", map[string]any{"screen": "s_defect", "text": `record.stat == "open"`}, &read)
	if read.Problem == nil || read.Problem.At != 7 || read.Problem.Proposal != "state" {
		t.Errorf("%+v", read.Problem)
	}
	read = api.ConditionRead{}
	p.must("POST", "/api/build/tarnhorn/condition", map[string]any{"screen": "s_cabin", "rows": map[string]any{"mode": "all", "rows": []any{
		map[string]string{"path": "record.state", "compare": "is", "value": "in service"}, map[string]string{"path": "record.grip_wear", "compare": "more", "value": "2"}}}}, &read)
	if read.Stored != `record.f_state == "in service" && record.f_wear > 2.0` || read.Phrase != "state is “in service” and grip wear is more than 2 mm" || read.Rows == nil {
		t.Errorf("%+v", read)
	}
	for name, text := range map[string]string{"deep": strings.Repeat("(", 500) + "true" + strings.Repeat(")", 500), "long": strings.Repeat("record.state != \"x\" && ", 400) + "true", "endless": `[1,2,3].all(a, [1,2,3].all(b, [1,2,3].all(c, a+b+c < record.id)))`} {
		began := time.Now()
		var out api.ConditionRead
		p.must("POST", "/api/build/tarnhorn/condition", map[string]any{"screen": "s_defect", "text": text}, &out)
		if name != "endless" && out.Problem == nil || time.Since(began) > 20*time.Second {
			t.Errorf("%s: %+v after %s", name, out.Problem, time.Since(began))
		}
	}
}

func TestPracticeReplaysAndKeepsNothing(t *testing.T) {
	p := as(t, "arno")
	place := map[string]any{"screen": "s_defect", "mode": "add", "set": map[string]string{"f_cabin": "87"}}
	body := map[string]any{"as": "a_mira", "place": place, "press": map[string]any{"press": "x", "trail": "", "n": 0, "release": 0, "element": "e_save", "values": map[string]string{"f_what": "Practised", "f_severity": "high", "f_state": "open", "f_component": "1"}}}
	var done api.Practised
	p.must("POST", "/api/build/tarnhorn/practise", body, &done)
	if done.Place == nil || done.Journal == "" {
		t.Fatalf("%+v", done)
	}
	w := work(t, p, map[string]any{"screen": "s_defect", "as": "a_mira", "inputs": done.Place.Inputs, "journal": done.Journal})
	if w.View == nil || !strings.HasPrefix(w.View.Heading, "Defect D-") {
		t.Fatalf("the practised record is not shown: %+v", w.Refused)
	}
	take := map[string]any{"as": "a_mira", "journal": done.Journal, "place": map[string]any{"screen": "s_defect", "mode": "view", "inputs": done.Place.Inputs}, "press": map[string]any{"press": "y", "trail": "", "n": 0, "release": 0, "element": "e_take"}}
	p.must("POST", "/api/build/tarnhorn/practise", take, &done)
	w = work(t, p, map[string]any{"screen": "s_defect", "as": "a_mira", "inputs": take["place"].(map[string]any)["inputs"], "journal": done.Journal})
	state := ""
	for _, e := range w.View.Elements {
		if shows[element.FieldView](e) && e.View.(*element.FieldView).Path == "f_state" {
			state = e.View.(*element.FieldView).Words
		}
	}
	if state != "assigned" {
		t.Errorf("after two practised presses the state is %q", state)
	}
	if list := as(t, "mira").open("/defects?~filter.what=is:Practised"); listRows(list) != 0 {
		t.Error("practice kept a record")
	}
	drive := map[string]any{"as": "a_jon", "place": map[string]any{"screen": "s_drive", "mode": "view", "inputs": map[string]string{"i_lift": "3"}}, "press": map[string]any{"press": "z", "trail": "", "n": 0, "release": 0, "element": "e_stop"}}
	p.must("POST", "/api/build/tarnhorn/practise", drive, &done)
	if done.Would == nil || !strings.Contains((*done.Would)[0], "would write true to stop command") {
		t.Errorf("a practised command says %+v", done.Would)
	}
	if log, _ := up.Store.Commands(t.Context(), "z"); len(log) != 0 {
		t.Error("practice reached the plant")
	}
}

func TestUsersRunTheReleaseBuildersTheDraft(t *testing.T) {
	arno, mira := as(t, "arno"), as(t, "mira")
	arno.must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []any{map[string]any{"op": "replace", "path": "/s_cabins/heading", "value": "All cabins"}}}, nil)
	if got := mira.open("/cabins").View.Heading; got != "Cabins" {
		t.Errorf("a user sees the draft: %q", got)
	}
	if w := work(t, arno, map[string]any{"screen": "s_cabins", "as": "a_mira"}); w.View.Heading != "All cabins" {
		t.Errorf("the builder sees %q", w.View.Heading)
	}
	old := mira.open("/cabins")
	arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
	time.Sleep(1100 * time.Millisecond)
	if got := mira.open("/cabins").View.Heading; got != "All cabins" {
		t.Errorf("after the release: %q", got)
	}
	// A press on the screen as it was drawn in the older release still goes through.
	if status, result, problem := mira.press(old, "older-000001", "e_list", map[string]any{"row": "87"}); status != 200 || result.Shown.View.Screen != "s_cabin" {
		t.Errorf("%d %+v", status, problem)
	}
	arno.must("POST", "/api/build/tarnhorn/undo", nil, nil)
	arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
}

// Last, since it takes the database away: a clear answer, and all goes on by itself.
func TestZDatabaseAway(t *testing.T) {
	p := as(t, "mira")
	shown := p.open("/cabin?cabin=87")
	up.Cluster.Kill()
	time.Sleep(1100 * time.Millisecond) // what is believed for a second is over
	p.refused("POST", "/api/use/tarnhorn/open", map[string]any{"trail": shown.Trail, "n": shown.N}, http.StatusServiceUnavailable, "database-away")
	var status api.Status
	p.must("GET", "/api/status", nil, &status)
	if status.Store || status.Sources["tarnhorn"] {
		t.Errorf("status %+v", status)
	}
	if err := up.Cluster.Restart(t.Context()); err != nil {
		t.Fatal(err)
	}
	var again api.Shown
	p.must("POST", "/api/use/tarnhorn/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &again)
	if again.View.Heading != "Cabin 087" {
		t.Errorf("afterwards it shows %q", again.View.Heading)
	}
}

// A column that is dropped behind the program's back is found, and the screens that read it say so.
func TestAColumnGoneFromTheDatabase(t *testing.T) {
	rename := func(from, to string) {
		t.Helper()
		if err := up.Exec(`alter table tarnhorn.parts rename column ` + from + ` to ` + to); err != nil {
			t.Fatal(err)
		}
	}
	rename("minimum", "least")
	defer rename("least", "minimum")
	p := as(t, "arno")
	draft := drafted(p, builds)
	if len(draft.Findings) == 0 || draft.Findings[0].Check != "gone-from-database" || draft.Findings[0].Words != "The column “minimum” of parts, shown as “Minimum”, is gone from the database." {
		t.Errorf("%+v", draft.Findings)
	}
	as(t, "mira").refused("POST", "/api/use/tarnhorn/open", map[string]any{"address": "/parts"}, http.StatusForbidden, "broken")
}

func TestADraftIsFetchedFromWhatOneHas(t *testing.T) {
	arno := as(t, "arno")
	var whole, since, after api.Draft
	arno.must("GET", builds, nil, &whole)
	arno.must("GET", fmt.Sprintf("%s?since=%d", builds, whole.Seq), nil, &since)
	if len(since.Entities) != 0 || len(since.Versions) != len(whole.Entities) {
		t.Errorf("nothing has changed, and %d of %d entities come", len(since.Entities), len(since.Versions))
	}
	patch := []map[string]any{
		{"op": "add", "path": "/v_since", "value": map[string]any{"kind": "variable", "pos": 9, "label": "Since", "alias": "since", "type": "text"}},
		{"op": "replace", "path": "/s_card/title", "value": "Card"},
	}
	arno.must("POST", builds+"/edits", map[string]any{"patch": patch}, nil)
	arno.must("GET", fmt.Sprintf("%s?since=%d", builds, whole.Seq), nil, &after)
	if len(after.Entities) != 2 || after.Entities["v_since"] == nil || after.Entities["s_card"] == nil {
		t.Errorf("two have changed, and %d come", len(after.Entities))
	}
	arno.must("POST", builds+"/undo", nil, nil)
	var undone api.Draft
	arno.must("GET", fmt.Sprintf("%s?since=%d", builds, after.Seq), nil, &undone)
	if _, there := undone.Versions["v_since"]; there || len(undone.Entities) != 1 || undone.Entities["s_card"] == nil {
		t.Errorf("after undoing: %d come, gone is told %v", len(undone.Entities), !there)
	}
}
