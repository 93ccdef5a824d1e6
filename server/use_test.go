package server_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/kinds/element"
	"ambergate/core/use"
)

func TestNobodyGetsInUnsigned(t *testing.T) {
	p := as(t, "")
	for _, call := range [][2]string{
		{"GET", "/api/me"}, {"POST", "/api/use/tarnhorn/open"}, {"POST", "/api/use/tarnhorn/press"}, {"POST", "/api/use/tarnhorn/go"}, {"POST", "/api/use/tarnhorn/arrange"},
		{"POST", "/api/use/tarnhorn/rows"}, {"GET", "/api/use/tarnhorn/titles/t_staff"}, {"GET", "/api/use/tarnhorn/trend?trail=x&n=1&element=e"}, {"GET", "/api/use/tarnhorn/events?at=x.1.0"},
		{"GET", "/api/build/tarnhorn"}, {"POST", "/api/build/tarnhorn/edits"}, {"POST", "/api/build/tarnhorn/undo"}, {"POST", "/api/build/tarnhorn/redo"}, {"POST", "/api/build/tarnhorn/work"},
		{"POST", "/api/build/tarnhorn/practise"}, {"POST", "/api/build/tarnhorn/condition"}, {"GET", "/api/build/tarnhorn/names?screen=s_cabin"}, {"POST", "/api/build/tarnhorn/proposals"},
		{"GET", "/api/build/tarnhorn/records/t_cabins?as=a_mira"}, {"POST", "/api/build/tarnhorn/releases"}, {"GET", "/api/build/tarnhorn/events"},
	} {
		p.refused(call[0], call[1], map[string]string{}, http.StatusUnauthorized, "signed-out")
	}
	p.refused("POST", "/api/sign-in", map[string]string{"login": "mira", "password": "no"}, http.StatusUnauthorized, "sign-in")
}

func TestUsersDoNotBuild(t *testing.T) {
	p := as(t, "mira")
	p.refused("GET", "/api/build/tarnhorn", nil, http.StatusForbidden, "no-builder")
	p.refused("POST", "/api/build/tarnhorn/releases", map[string]any{}, http.StatusForbidden, "no-builder")
	p.refused("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []any{}}, http.StatusForbidden, "no-builder")
}

func TestBadInputIsToldClearly(t *testing.T) {
	p := as(t, "mira")
	open := "/api/use/tarnhorn/open"
	p.refused("POST", open, map[string]string{"address": "/nowhere"}, http.StatusNotFound, "no-screen")
	p.refused("POST", open, map[string]string{"address": "/cabin"}, http.StatusBadRequest, "missing-input")
	p.refused("POST", open, map[string]string{"address": "/cabin?cabin=999999"}, http.StatusNotFound, "no-record")
	p.refused("POST", open, map[string]string{"address": "/cabin?cabin=1%27%3B--"}, http.StatusNotFound, "no-record")
	p.refused("POST", open, map[string]string{"address": "/cabin?wagon=1"}, http.StatusBadRequest, "bad-input")
	p.refused("POST", open, map[string]string{"address": "/drive-room?lift=1"}, http.StatusForbidden, "guard")
	p.refused("POST", open, map[string]string{"address": "/cabin?~mode=add"}, http.StatusForbidden, "no-grant")
	p.refused("POST", open, huge(), http.StatusRequestEntityTooLarge, "too-large")
	p.refused("POST", open, `{"address":`, http.StatusBadRequest, "bad-request")
	p.refused("POST", open, `{"address":7}`, http.StatusBadRequest, "bad-request")
	p.refused("POST", "/api/use/nothing/open", map[string]string{}, http.StatusNotFound, "no-project")
	p.refused("GET", "/api/nothing", nil, http.StatusMethodNotAllowed, "no-such-call")
	p.refused("DELETE", "/api/me", nil, http.StatusMethodNotAllowed, "no-such-call")
	p.refused("GET", "/api/use/tarnhorn/trend?trail=x&n=many&element=e", nil, http.StatusBadRequest, "bad-request")
	shown := p.open("/cabins")
	p.refused("POST", "/api/use/tarnhorn/arrange", map[string]any{"trail": shown.Trail, "n": shown.N, "filters": []any{map[string]string{"path": "f_wear", "compare": "atLeast", "value": "lots"}}, "sort": []any{}}, http.StatusBadRequest, "bad-filter")
	p.refused("POST", "/api/use/tarnhorn/rows", map[string]any{"trail": shown.Trail, "n": shown.N, "element": "e_list", "cursor": "zzz"}, http.StatusBadRequest, "bad-cursor")
	p.refused("POST", "/api/use/tarnhorn/go", map[string]any{"trail": shown.Trail, "n": shown.N, "to": "sideways"}, http.StatusBadRequest, "bad-request")
	other := as(t, "sela")
	other.refused("POST", "/api/use/tarnhorn/go", map[string]any{"trail": shown.Trail, "n": shown.N, "to": "place"}, http.StatusNotFound, "no-place")
}

func TestCallsFromAnotherSiteAreRefused(t *testing.T) {
	req, err := http.NewRequest("POST", server(t).URL+"/api/sign-in", strings.NewReader(`{"login":"mira","password":"mira"}`))
	if err != nil {
		t.Fatal(err)
	}
	req.Header.Set("Origin", "http://elsewhere.example")
	req.Header.Set("Sec-Fetch-Site", "cross-site")
	resp, err := http.DefaultClient.Do(req)
	if err != nil {
		t.Fatal(err)
	}
	defer resp.Body.Close()
	if resp.StatusCode != http.StatusForbidden {
		t.Errorf("answered with %d", resp.StatusCode)
	}
}

func TestAPressSentTwiceActsOnce(t *testing.T) {
	p := as(t, "mira")
	cabin := p.open("/defect?~mode=add&~set.cabin=40")
	add := map[string]any{"values": map[string]string{"f_what": "Sent twice", "f_severity": "low", "f_state": "open", "f_component": "1"}}
	status, first, problem := p.press(cabin, "twice-000001", "e_save", add)
	if status != 200 {
		t.Fatalf("%d %+v", status, problem)
	}
	_, second, _ := p.press(cabin, "twice-000001", "e_save", add)
	if second.Shown == nil || second.Shown.View.Record.Key != first.Shown.View.Record.Key || second.Shown.N != first.Shown.N {
		t.Errorf("the second answer shows %+v", second.Shown)
	}
	list := p.open("/defects?cabin=40&~filter.what=is:Sent+twice")
	if n := listRows(list); n != 1 {
		t.Errorf("there are %d records", n)
	}
	status, _, problem = as(t, "sela").press(as(t, "sela").open("/defects"), "twice-000001", "e_new", nil)
	if status == 200 && problem.Code != "" {
		t.Errorf("another user's press id: %d", status)
	}
}

func listRows(s api.Shown) int {
	for _, e := range s.View.Elements {
		if shows[element.ListView](e) {
			return len(e.View.(*element.ListView).Rows)
		}
	}
	return -1
}

func TestAHiddenButtonCannotBePressed(t *testing.T) {
	p := as(t, "mira")
	shown := p.open("/cabin?cabin=87")
	if status, _, problem := p.press(shown, "hidden-000001", "e_hold", map[string]any{"confirmed": true}); status != http.StatusForbidden || problem.Code != "hidden" {
		t.Errorf("%d %+v", status, problem)
	}
	if again := p.open("/cabin?cabin=87"); fieldWords(again, "f_state") != "in service" {
		t.Error("the cabin was held all the same")
	}
	if status, _, problem := p.press(shown, "hidden-000002", "e_gone", nil); status != http.StatusNotFound || problem.Code != "no-element" {
		t.Errorf("%d %+v", status, problem)
	}
	// Nor can a field be sent that the role may only read.
	edit := p.open("/cabin?cabin=87&~mode=edit")
	if status, _, problem := p.press(edit, "hidden-000003", "e_save", map[string]any{"values": map[string]string{"f_state": "scrapped"}}); status != http.StatusForbidden || problem.Code != "no-grant" {
		t.Errorf("%d %+v", status, problem)
	}
}

func TestAPressFromAPlaceThatWasLeftDoesNotWrite(t *testing.T) {
	p := as(t, "sela")
	shown := p.open("/cabin?cabin=41")
	p.must("POST", "/api/use/tarnhorn/go", map[string]any{"trail": shown.Trail, "n": shown.N, "to": "home"}, nil)
	if status, _, problem := p.press(shown, "left-0000001", "e_hold", map[string]any{"confirmed": true}); status != http.StatusConflict || problem.Code != "place-left" {
		t.Errorf("%d %+v", status, problem)
	}
}

func TestWhatIsOnlyReadAgainLeavesTheTrailWhereItStands(t *testing.T) {
	p := as(t, "sela")
	left := p.open("/cabin?cabin=41")
	var here api.Shown
	p.must("POST", "/api/use/tarnhorn/go", map[string]any{"trail": left.Trail, "n": left.N, "to": "home"}, &here)
	at := func() int {
		trail, err := up.Store.TrailOf(t.Context(), here.Trail, "a_sela", "p_tarnhorn")
		if err != nil {
			t.Fatal(err)
		}
		return trail.At
	}
	var late api.Shown
	pointer := map[string]any{"trail": left.Trail, "n": left.N, "again": true}
	p.must("POST", "/api/use/tarnhorn/open", pointer, &late)
	if late.N != left.N || at() != here.N {
		t.Errorf("place %d was read again, and the trail stands at %d, not %d", late.N, at(), here.N)
	}
	delete(pointer, "again")
	if p.must("POST", "/api/use/tarnhorn/open", pointer, &late); at() != left.N {
		t.Errorf("place %d was opened, and the trail stands at %d", left.N, at())
	}
}

func TestStaleVersionBecomesAQuestion(t *testing.T) {
	mira, sela := as(t, "mira"), as(t, "sela")
	hers := mira.open("/defect?defect=93&~mode=edit")
	theirs := sela.open("/defect?defect=93&~mode=edit")
	save := func(p *person, s api.Shown, id, what string) (int, api.PressResult, api.Problem) {
		return p.press(s, id, "e_save", map[string]any{"values": map[string]string{"f_what": what}, "base": map[string]string{"f_what": "Window seal worn"}, "version": s.View.Record.Version})
	}
	if status, result, problem := save(sela, theirs, "stale-000001", "Seal gone"); status != 200 || result.Kind != "moved" {
		t.Fatalf("%d %+v", status, problem)
	}
	_, result, _ := save(mira, hers, "stale-000002", "Seal hard")
	if result.Kind != "question" || result.Question.Kind != "conflict" || result.Question.Fields[0].Theirs != "Seal gone" {
		t.Errorf("%+v", result)
	}
	if now := mira.open("/defect?defect=93"); fieldWords(now, "f_what") != "Seal gone" {
		t.Errorf("it is %q", fieldWords(now, "f_what"))
	}
}

func TestDialogsLieOverTheirPlace(t *testing.T) {
	arno := as(t, "arno")
	arno.must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []any{map[string]any{"op": "add", "path": "/s_cabin/elements/e_dialog", "value": map[string]any{
		"kind": "button", "pos": 50, "cell": map[string]int{"row": 4, "col": 9, "w": 2}, "words": "Peek",
		"gate": map[string]any{"cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "screen", "target": "s_defects", "as": "dialog", "bind": map[string]any{"i_cabin": map[string]string{"rule": "this"}}}}}},
	}}, map[string]any{"op": "add", "path": "/s_defect/elements/e_shut", "value": map[string]any{
		"kind": "button", "pos": 50, "cell": map[string]int{"row": 40, "col": 1, "w": 2}, "words": "Close this",
		"gate": map[string]any{"cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "close"}}}},
	}}}}, nil)
	arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
	time.Sleep(1100 * time.Millisecond) // the newest release is looked up once a second
	p := as(t, "mira")
	// Standing in full, what closes goes back to where one came from; without that up.
	list := p.open("/defects")
	if closed := p.pressed(p.pressed(list, "e_list", map[string]any{"row": "107"}), "e_shut", nil); closed.N != list.N || closed.View.Screen != "s_defects" {
		t.Errorf("closed in full: place %d, %s", closed.N, closed.View.Screen)
	}
	if closed := p.pressed(p.open("/defect?defect=107"), "e_shut", nil); closed.View.Screen == "s_defect" {
		t.Errorf("closed in full without a place before: %s", closed.View.Screen)
	}
	shown := p.open("/cabin?cabin=87")
	_, result, _ := p.press(shown, "dialog-00001", "e_dialog", nil)
	if result.Shown == nil || topmost(*result.Shown) == nil || result.Shown.N != shown.N || result.Shown.View.Screen != "s_cabin" {
		t.Fatalf("%+v", result)
	}
	var again api.Shown
	p.must("POST", "/api/use/tarnhorn/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &again)
	if topmost(again) == nil {
		t.Error("a reload closed the dialog")
	}
	_, row, problem := p.press(*result.Shown, "dialog-00002", "e_list", map[string]any{"depth": 1, "row": "107"})
	if row.Shown == nil || row.Shown.View.Screen != "s_defect" || topmost(*row.Shown) != nil || row.Shown.N != shown.N+1 {
		t.Errorf("a full move from inside: %+v %+v", row.Shown, problem)
	}
	var back api.Shown
	p.must("POST", "/api/use/tarnhorn/go", map[string]any{"trail": shown.Trail, "n": shown.N + 1, "to": "back"}, &back)
	if topmost(back) != nil {
		t.Error("the dialog is open again after it was left by a full move")
	}
	arno.must("POST", "/api/build/tarnhorn/undo", nil, nil)
	arno.must("POST", "/api/build/tarnhorn/releases", map[string]any{}, nil)
}

func TestCommandsGoToThePlantAndTellTheirOutcome(t *testing.T) {
	p := as(t, "jon")
	shown := p.open("/drive-room?lift=2")
	status, result, problem := p.press(shown, "plant-000001", "e_creep", nil)
	if status != 200 || result.Commands == nil || (*result.Commands)[0].State != "done" {
		t.Fatalf("%d %+v %+v", status, result, problem)
	}
	_, again, _ := p.press(shown, "plant-000001", "e_creep", nil)
	if again.Commands == nil || (*again.Commands)[0].State != "done" {
		t.Errorf("sent again: %+v", again)
	}
	log, err := up.Store.Commands(t.Context(), "plant-000001")
	if err != nil || len(log) != 1 || log[0].Account != "a_jon" || log[0].Value != "true" {
		t.Errorf("the log says %+v %v", log, err)
	}
	// Its tag is free again at once: the next press goes through.
	if status, next, problem := p.press(shown, "plant-000003", "e_creep", nil); status != http.StatusOK || next.Commands == nil || (*next.Commands)[0].State != "done" {
		t.Errorf("the next press of it: %d %+v %+v", status, next, problem)
	}
	// Eight at once: no two are on their way together, and each is told what became of it.
	var wait sync.WaitGroup
	var done, refused atomic.Int64
	for i := range 8 {
		wait.Go(func() {
			status, result, problem := p.press(shown, fmt.Sprintf("plant-at-once-%d", i), "e_creep", nil)
			switch {
			case status == http.StatusOK && (*result.Commands)[0].State == "done":
				done.Add(1)
			case status == http.StatusOK && (*result.Commands)[0].State == "refused", status == http.StatusConflict && problem.Code == "pending":
				refused.Add(1)
			default:
				t.Errorf("one of eight: %d %+v %+v", status, result, problem)
			}
		})
	}
	wait.Wait()
	if t.Logf("of eight at once %d were done, %d refused", done.Load(), refused.Load()); done.Load() == 0 {
		t.Error("none of eight was done")
	}
	if status, _, problem := p.press(shown, "plant-000002", "e_start", nil); status != http.StatusForbidden || problem.Code != "greyed" || !strings.Contains(*problem.Then, "runs already") {
		t.Errorf("start while running: %d %+v", status, problem)
	}
}

func TestLiveValuesComeAsEvents(t *testing.T) {
	p := as(t, "jon")
	shown := p.open("/drive-room?lift=1")
	resp, err := p.client.Get(server(t).URL + fmt.Sprintf("/api/use/tarnhorn/events?at=%s.%d.0", shown.Trail, shown.N))
	if err != nil {
		t.Fatal(err)
	}
	defer resp.Body.Close()
	// The first tells of all that is live, changed or not: it may have changed before anybody listened.
	found := make(chan api.LiveEvent, 1)
	go func() {
		d := newEventReader(resp.Body)
		for {
			name, data, err := d.next()
			if err != nil {
				return
			}
			var e api.LiveEvent
			if name == "live" && json.Unmarshal(data, &e) == nil && len(e.Elements) > 0 {
				found <- e
				return
			}
		}
	}()
	select {
	case e := <-found:
		if e.N != shown.N || strings.Contains(fmt.Sprint(e), "UT.drive") {
			t.Errorf("event %+v", e)
		}
		told := map[string]bool{}
		for _, one := range e.Elements {
			told[one.Kind] = true
		}
		if !told["lamp"] || !told["gauge"] || told["image"] || told["tabs"] {
			t.Errorf("the first event tells of %v", told)
		}
	case <-time.After(30 * time.Second):
		t.Error("no live value came")
	}
}

// topmost gives the dialog or drawer that lies uppermost; nil for none.
func topmost(s api.Shown) *use.View {
	if s.Overlays == nil {
		return nil
	}
	return &(*s.Overlays)[len(*s.Overlays)-1].View
}
