package server_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/server/base"
	"ambergate/store"
)

// copied makes a copy of the demo’s application under another address, that Arno and Nora build and administer; Sela,
// Mira and Jon have the roles in it that they have there.
func copied(t *testing.T, slug string) (id, builds string) {
	t.Helper()
	server(t)
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	entities["project"] = json.RawMessage(strings.Replace(string(entities["project"]), `"tarnhorn"`, `"`+slug+`"`, 1))
	id = "p_" + slug
	if err := up.Store.CreateProject(t.Context(), id, entities); err != nil {
		t.Fatal(err)
	}
	for who, role := range map[string]string{"a_sela": "r_lead", "a_mira": "r_tech", "a_jon": "r_oper", "a_arno": "r_builder", "a_nora": "r_builder"} {
		if err := up.Store.SetRoles(t.Context(), "a_arno", who, id, []string{role}, ""); err != nil {
			t.Fatal(err)
		}
	}
	for _, who := range []string{"a_arno", "a_nora"} {
		if err := up.Store.SetRights(t.Context(), "a_arno", who, id, store.Rights{Builds: true, Administers: true}); err != nil {
			t.Fatal(err)
		}
	}
	return id, "/api/build/" + slug
}

func replaced(path string, value any) map[string]any {
	return map[string]any{"op": "replace", "path": path, "value": value}
}

func headingOf(t *testing.T, p *person, slug, address string) string {
	t.Helper()
	var shown api.Shown
	p.must("POST", "/api/use/"+slug+"/open", map[string]string{"address": address}, &shown)
	return shown.View.Heading
}

// A release is for some first, then for all, then brought back: each gets theirs, and the content is the same to the byte.
func TestAReleaseIsForSomeFirstThenForAllThenBroughtBack(t *testing.T) {
	id, builds := copied(t, "someday")
	arno, sela, mira := as(t, "arno"), as(t, "sela"), as(t, "mira")
	release := func(body map[string]any) int {
		t.Helper()
		var out api.Released
		arno.must("POST", builds+"/releases", body, &out)
		time.Sleep(1100 * time.Millisecond) // which is in use is believed for a second
		return out.Number
	}
	gets := func(what, lead, tech string) {
		t.Helper()
		if l, m := headingOf(t, sela, "someday", "/cabins"), headingOf(t, mira, "someday", "/cabins"); l != lead || m != tech {
			t.Errorf("%s: the lead gets %q, the technician %q", what, l, m)
		}
	}
	release(map[string]any{"note": "begin"})
	arno.must("POST", builds+"/edits", edits(replaced("/s_cabins/heading", "All cabins")), nil)
	arno.refused("POST", builds+"/releases", map[string]any{"first": map[string]any{"roles": []string{}, "people": []string{}}}, http.StatusBadRequest, "bad-request")
	release(map[string]any{"note": "for the leads", "first": map[string]any{"roles": []string{"r_lead"}, "people": []string{}}})
	gets("for some", "All cabins", "Cabins")
	var list api.ReleaseList
	arno.must("GET", builds+"/releases", nil, &list)
	if r := list.List[0]; len(list.List) != 2 || r.Use != "some" || r.Note != "for the leads" || r.By != "Arno Vey" || strings.Join(r.For, ",") != "Shift lead" || *r.Changes != 1 || list.List[1].Use != "all" {
		t.Errorf("%+v", list.List)
	}
	arno.must("POST", builds+"/releases/2/first", map[string]any{"all": true}, nil)
	time.Sleep(1100 * time.Millisecond)
	gets("for all", "All cabins", "All cabins")
	arno.refused("POST", builds+"/releases/2/first", map[string]any{"all": true}, http.StatusNotFound, "no-release")

	arno.must("POST", builds+"/releases/1/again", map[string]any{"note": "it was better"}, nil)
	time.Sleep(1100 * time.Millisecond)
	gets("brought back", "Cabins", "Cabins")
	one, err := up.Store.Release(t.Context(), id, 1)
	if err != nil {
		t.Fatal(err)
	}
	three, err := up.Store.Release(t.Context(), id, 3)
	if err != nil || three.CopyOf != 1 || fmt.Sprint(one.Entities) != fmt.Sprint(three.Entities) {
		t.Errorf("release 3 is not release 1 again: %v", err)
	}
	_, first := arno.call("GET", builds+"/releases/1/export", nil)
	_, third := arno.call("GET", builds+"/releases/3/export", nil)
	if len(first) < 1000 || string(first) != string(third) {
		t.Errorf("the files differ: %d and %d bytes", len(first), len(third))
	}
	if _, _, err := project.ReadFile(first); err != nil {
		t.Errorf("the file cannot be read: %v", err)
	}
	var draft api.Draft
	arno.must("GET", builds, nil, &draft)
	if draft.Released != 3 || draft.Changes != 1 {
		t.Errorf("after bringing back, the draft has %d changes since release %d", draft.Changes, draft.Released)
	}
	arno.refused("POST", builds+"/releases/9/again", map[string]any{}, http.StatusNotFound, "no-release")

	release(map[string]any{"first": map[string]any{"roles": []string{}, "people": []string{"a_mira"}}})
	gets("for Mira", "Cabins", "All cabins")
	arno.must("POST", builds+"/releases/4/first", map[string]any{"all": false}, nil)
	time.Sleep(1100 * time.Millisecond)
	gets("withdrawn", "Cabins", "Cabins")
}

// What is broken stops a release until somebody says why it is made all the same; that is kept with it.
func TestWhatIsBrokenStopsARelease(t *testing.T) {
	_, builds := copied(t, "stopped")
	arno := as(t, "arno")
	var ready api.Readiness
	arno.must("GET", builds+"/readiness", nil, &ready)
	if len(ready.Stops) != 0 || ready.Walks != 9 || ready.Expected == 0 {
		t.Fatalf("the demo is not ready: %+v", ready)
	}
	arno.must("POST", builds+"/edits", edits(replaced("/s_defect/elements/e_cabin/gate/cases/c_1/move", map[string]any{"kind": "home"})), nil)
	arno.must("POST", builds+"/edits", edits(map[string]any{"op": "add", "path": "/x_cabins", "value": map[string]any{"kind": "expectation", "pos": 99, "screen": "s_cabins", "what": "never", "roles": map[string]bool{"r_lead": true}}}), nil)
	arno.must("GET", builds+"/readiness", nil, &ready)
	what := map[api.ReleaseStopWhat]int{}
	accepted := []map[string]any{}
	for _, s := range ready.Stops {
		what[s.What]++
		accepted = append(accepted, map[string]any{"key": s.Key, "because": "the season begins"})
	}
	if what["walk"] == 0 || what["expectation"] != 1 {
		t.Fatalf("%+v", ready.Stops)
	}
	no := arno.refused("POST", builds+"/releases", map[string]any{}, http.StatusConflict, "not-ready")
	if !strings.Contains(no.What, "things stop this release") {
		t.Errorf("%+v", no)
	}
	arno.refused("POST", builds+"/releases", map[string]any{"accepted": accepted[1:]}, http.StatusConflict, "not-ready")
	arno.refused("POST", builds+"/releases", map[string]any{"accepted": accepted, "seq": ready.Seq - 1}, http.StatusConflict, "edited-meanwhile")
	arno.must("POST", builds+"/releases", map[string]any{"accepted": accepted, "seq": ready.Seq}, nil)
	var list api.ReleaseList
	arno.must("GET", builds+"/releases", nil, &list)
	if got := list.List[0].Accepted; len(got) != len(accepted) || got[0].Because != "the season begins" || got[0].Words == "" {
		t.Errorf("%+v", got)
	}
}

// What a release changes is told with who made it, and in who gets where.
func TestDifferencesAreToldWithWhoMadeThem(t *testing.T) {
	_, builds := copied(t, "differing")
	arno, nora := as(t, "arno"), as(t, "nora")
	arno.must("POST", builds+"/releases", map[string]any{}, nil)
	arno.must("POST", builds+"/edits", edits(replaced("/s_cabins/heading", "All cabins")), nil)
	nora.must("POST", builds+"/edits", edits(map[string]any{"op": "remove", "path": "/s_drive"}), nil)
	var told api.Differences
	arno.must("GET", builds+"/differences?was=1", nil, &told)
	said := map[string]string{}
	for _, c := range told.Changes {
		said[c.Whole] = strings.Join(c.By, ", ")
	}
	if len(said) != 2 || said["The heading of the screen “Cabins”: “All cabins” (was “Cabins”)."] != "Arno Vey" || said["The screen “Drive room” is gone."] != "Nora Lind" {
		t.Errorf("%+v", said)
	}
	if reach := strings.Join(told.Reach, " "); !strings.Contains(reach, "“Drive room”, which is gone.") {
		t.Errorf("of who gets where it says %q", told.Reach)
	}
	arno.must("GET", builds+"/differences?was=1&now=1", nil, &told)
	if len(told.Changes) != 0 || len(told.Reach) != 0 {
		t.Errorf("a release differs from itself: %+v", told)
	}
	arno.refused("GET", builds+"/differences?was=7", nil, http.StatusNotFound, "no-release")
}

// Who changed what is told edit by edit; one can be taken back where nobody has changed the same since.
func TestTheHistoryTellsEditsAndTakesThemBack(t *testing.T) {
	_, builds := copied(t, "history")
	arno, nora := as(t, "arno"), as(t, "nora")
	arno.must("POST", builds+"/releases", map[string]any{}, nil)
	arno.must("POST", builds+"/edits", edits(replaced("/s_cabins/heading", "All cabins")), nil)
	nora.must("POST", builds+"/edits", edits(replaced("/s_defects/title", "Faults")), nil)
	arno.must("POST", builds+"/edits", edits(replaced("/s_cabins/heading", "Each cabin")), nil)
	read := func(query string) []api.EditTold {
		t.Helper()
		var out api.EditHistory
		arno.must("GET", builds+"/history"+query, nil, &out)
		return out.Edits
	}
	all := read("")
	if len(all) != 3 || all[0].By != "Arno Vey" || all[1].By != "Nora Lind" || all[1].Changes[0].Whole != "The title of the screen “Defects”: “Faults” (was “Defects”)." || all[0].Changes[0].Was != "“All cabins”" {
		t.Fatalf("%+v", all)
	}
	if of := read("?entity=s_cabins"); len(of) != 2 || of[1].Changes[0].Now != "“All cabins”" {
		t.Errorf("of the screen: %+v", of)
	}
	if by := read("?by=a_nora"); len(by) != 1 || by[0].Seq != all[1].Seq {
		t.Errorf("of Nora: %+v", by)
	}
	if old := read(fmt.Sprintf("?before=%d", all[0].Seq)); len(old) != 2 {
		t.Errorf("older ones: %+v", old)
	}

	var then api.ScreenThen
	arno.must("POST", builds+"/history/screen", map[string]any{"screen": "s_cabins", "as": "role:r_lead", "before": all[2].Seq}, &then)
	if !then.There || then.View == nil || then.View.Heading != "Cabins" || len(then.Differences) != 1 || then.Differences[0].Now != "“Each cabin”" {
		t.Errorf("before all edits it was %+v", then)
	}
	arno.must("POST", builds+"/history/screen", map[string]any{"screen": "s_cabins", "as": "role:r_lead", "at": all[1].At.Add(time.Microsecond)}, &then)
	if then.View == nil || then.View.Heading != "All cabins" {
		t.Errorf("between the edits it was %+v", then.View)
	}

	arno.refused("POST", builds+"/history/screen", map[string]any{"screen": "s_cabins", "as": "role:r_lead"}, http.StatusBadRequest, "bad-request")
	back := func(p *person, seq int64) string { return fmt.Sprintf("%s/history/%d/back", builds, seq) }
	stale := arno.refused("POST", back(arno, all[2].Seq), nil, http.StatusConflict, "changed-since")
	if !strings.Contains(stale.What, "Arno Vey changed this at") {
		t.Errorf("%+v", stale)
	}
	arno.must("POST", back(arno, all[1].Seq), nil, nil)
	arno.refused("POST", back(arno, all[1].Seq), nil, http.StatusConflict, "taken-back")
	arno.refused("POST", back(arno, 999), nil, http.StatusNotFound, "no-edit")
	nora.refused("POST", builds+"/undo", nil, http.StatusConflict, "nothing")
	if now := read(""); len(now) != 4 || now[0].Undoes == nil || *now[0].Undoes != all[1].Seq || now[2].Undone == nil {
		t.Errorf("afterwards: %+v", now)
	}
}

// Builders see where the others are, as long as their tabs are open.
func TestBuildersSeeWhereOthersAre(t *testing.T) {
	_, builds := copied(t, "together")
	arno, nora := as(t, "arno"), as(t, "nora")
	follow := func(p *person, tab string) (<-chan []base.Present, func()) {
		t.Helper()
		resp, err := p.client.Get(server(t).URL + builds + "/events?tab=" + tab)
		if err != nil {
			t.Fatal(err)
		}
		here := make(chan []base.Present, 100)
		go func() {
			r := newEventReader(resp.Body)
			for {
				name, data, err := r.next()
				if err != nil {
					return
				}
				var all []base.Present
				if name == "here" && json.Unmarshal(data, &all) == nil {
					here <- all
				}
			}
		}()
		return here, func() { resp.Body.Close() }
	}
	until := func(here <-chan []base.Present, what string, is func([]base.Present) bool) {
		t.Helper()
		for {
			select {
			case all := <-here:
				if is(all) {
					return
				}
			case <-time.After(30 * time.Second):
				t.Fatalf("nobody was told that %s", what)
			}
		}
	}
	seen, stop := follow(arno, "tab-arno")
	defer stop()
	_, leave := follow(nora, "tab-nora")
	until(seen, "Nora came", func(all []base.Present) bool { return len(all) == 1 && all[0].Name == "Nora Lind" })
	nora.must("POST", builds+"/presence", map[string]any{"tab": "tab-nora", "view": "screen", "screen": "s_cabin"}, nil)
	until(seen, "Nora is on Cabin", func(all []base.Present) bool { return len(all) == 1 && all[0].Screen == "s_cabin" })
	arno.must("POST", builds+"/presence", map[string]any{"tab": "tab-nora", "view": "screen", "screen": "s_defect"}, nil) // not his tab
	leave()
	until(seen, "Nora left", func(all []base.Present) bool { return len(all) == 0 })
}
