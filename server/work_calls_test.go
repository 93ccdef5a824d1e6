package server_test

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/use"
)

const used = "/api/use/tarnhorn"

// at is the pointer of a place, with more.
func at(s api.Shown, more map[string]any) map[string]any {
	return with(more, map[string]any{"trail": s.Trail, "n": s.N})
}

func TestDraftsByTabAndWork(t *testing.T) {
	p := as(t, "mira")
	shown := p.open("/defect?defect=107&~mode=edit")
	keep := func(s api.Shown, id any, values map[string]string) api.DraftKept {
		var kept api.DraftKept
		p.must("POST", used+"/draft", at(s, map[string]any{"id": id, "version": "7", "base": map[string]string{"f_what": "was"}, "values": values}), &kept)
		return kept
	}
	first := keep(shown, "", map[string]string{"f_what": "half a", "f_code": "not mine to edit", "f_gone": "x"})
	found := p.open("/defect?defect=107&~mode=edit") // another tab
	if found.Trail == shown.Trail || found.Draft != nil || found.Others == nil || (*found.Others)[0].Values["f_what"] != "half a" || len((*found.Others)[0].Values) != 1 {
		t.Fatalf("another tab finds %+v, %+v", found.Draft, found.Others)
	}
	if again := keep(shown, first.Id, map[string]string{"f_what": "half a sen"}); *again.Id != *first.Id {
		t.Errorf("kept twice: %v, %v", first, again)
	}
	var taken api.Shown
	p.must("POST", used+"/draft/take", at(found, map[string]any{"id": *first.Id}), &taken)
	if taken.Draft == nil || taken.Draft.Values["f_what"] != "half a sen" || taken.Draft.Version != "7" || taken.Draft.Base["f_what"] != "was" {
		t.Fatalf("taken over: %+v", taken.Draft)
	}
	p.refused("POST", used+"/draft", at(shown, map[string]any{"id": *first.Id, "base": map[string]string{}, "values": map[string]string{"f_what": "more"}}), http.StatusConflict, "draft-taken")
	// It is nobody else's, and belongs to this work alone.
	other := as(t, "sela")
	theirs := other.open("/defect?defect=107&~mode=edit")
	if theirs.Draft != nil || theirs.Others != nil {
		t.Errorf("somebody else finds %+v", theirs.Others)
	}
	other.must("POST", used+"/draft/take", at(theirs, map[string]any{"id": *first.Id}), &theirs)
	if theirs.Draft != nil {
		t.Errorf("somebody else takes it: %+v", theirs.Draft)
	}
	if s := p.open("/defect?defect=60&~mode=edit"); s.Draft != nil || s.Others != nil {
		t.Errorf("another record finds %+v, %+v", s.Draft, s.Others)
	}
	// Saving ends it; so does forgetting it, and typing it away.
	status, result, problem := p.press(found, "draft-saves-it", "e_cancel", map[string]any{"values": map[string]string{"f_what": "half a sen"}})
	if status != http.StatusOK || result.Forgot == nil || p.open("/defect?defect=107&~mode=edit").Others != nil {
		t.Errorf("after cancelling: %d %+v %+v", status, result.Forgot, problem)
	}
	keep(shown, "", map[string]string{"f_what": "again"})
	keep(shown, "", map[string]string{})
	if s := p.open("/defect?defect=107&~mode=edit"); s.Others != nil {
		t.Errorf("typed away: %+v", s.Others)
	}
	viewed := p.open("/defect?defect=107")
	p.refused("POST", used+"/draft", at(viewed, map[string]any{"base": map[string]string{}, "values": map[string]string{"f_what": "x"}}), http.StatusBadRequest, "bad-mode")
	p.refused("POST", used+"/draft", at(shown, map[string]any{"base": map[string]string{}, "values": map[string]string{"f_what": strings.Repeat("x", 990_000)}}), http.StatusRequestEntityTooLarge, "too-large")
}

func TestADraftOutlivesItsSession(t *testing.T) {
	p := clerk(t, "drafty", "r_lead")
	shown := p.open("/defect?defect=105&~mode=edit")
	p.must("POST", used+"/draft", at(shown, map[string]any{"base": map[string]string{}, "values": map[string]string{"f_what": "half a"}}), nil)
	p.must("POST", "/api/me/sign-out-everywhere", nil, nil)
	p.refused("POST", used+"/open", map[string]any{"trail": shown.Trail, "n": shown.N}, http.StatusUnauthorized, "signed-out")
	var again api.Shown
	as(t, "drafty").must("POST", used+"/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &again)
	if again.Draft == nil || again.Draft.Values["f_what"] != "half a" {
		t.Errorf("signed in again: %+v, %+v", again.Draft, again.Others)
	}
}

func TestListsAreLeftAndFoundAgain(t *testing.T) {
	p := as(t, "sela")
	list := p.open("/inspections")
	rows := mainList(list).Rows
	var looked api.Looked
	p.must("POST", used+"/look", at(list, map[string]any{"look": map[string]place.Look{"e_list": {Start: rows[9].Cursor, Top: rows[14].Key, Row: rows[16].Key}}}), &looked)
	if len(looked.Elements) != 0 {
		t.Errorf("nothing there asks for the chosen row: %+v", looked.Elements)
	}
	var again api.Shown
	p.must("POST", used+"/open", map[string]any{"trail": list.Trail, "n": list.N}, &again)
	if l := mainList(again); l.Rows[0].Key != rows[10].Key || l.Before == "" || l.Top != rows[14].Key || l.Chosen != rows[16].Key || l.Count < 400 {
		t.Errorf("found again from %s, %q, %q, %q", l.Rows[0].Key, l.Before, l.Top, l.Chosen)
	}
	var above element.ListView
	p.must("POST", used+"/rows", at(list, map[string]any{"element": "e_list", "cursor": mainList(again).Before, "back": true}), &above)
	if len(above.Rows) != 10 || above.Rows[9].Key != rows[9].Key || above.Before != "" {
		t.Errorf("above it are %d rows", len(above.Rows))
	}
	var last element.ListView
	p.must("POST", used+"/rows", at(list, map[string]any{"element": "e_list", "back": true}), &last)
	if last.Next != "" || last.Before == "" || len(last.Rows) != 50 {
		t.Errorf("the end: %d rows, %q, %q", len(last.Rows), last.Before, last.Next)
	}
	p.refused("POST", used+"/look", at(list, map[string]any{"look": map[string]place.Look{"e_list": {Start: strings.Repeat("x", 5000)}}}), http.StatusBadRequest, "bad-request")
	// A cursor of another order begins the list anew.
	p.must("POST", used+"/look", at(list, map[string]any{"look": map[string]place.Look{"e_list": {Start: "bm90aGluZw"}}}), &looked)
	p.must("POST", used+"/open", map[string]any{"trail": list.Trail, "n": list.N}, &again)
	if l := mainList(again); l.Rows[0].Key != rows[0].Key {
		t.Errorf("with a wrong cursor it begins with %s", l.Rows[0].Key)
	}

	form := p.open("/inspection?inspection=" + rows[0].Key)
	points := elementOf(form, "e_points").View.(*element.ListView)
	p.must("POST", used+"/look", at(form, map[string]any{"look": map[string]place.Look{"e_points": {Row: points.Rows[len(points.Rows)-1].Key}}}), &looked)
	for _, e := range looked.Elements {
		if want := map[string]string{"e_pnext": "greyed", "e_pprev": "shown", "e_pdel": "shown"}[e.ID]; want != "" && string(e.State) != want {
			t.Errorf("on the last point %s is %s", e.ID, e.State)
		}
	}
}

func mainList(s api.Shown) *element.ListView {
	for _, e := range s.View.Elements {
		if shows[element.ListView](e) && e.View.(*element.ListView).Main {
			return e.View.(*element.ListView)
		}
	}
	return nil
}

func elementOf(s api.Shown, id string) use.ElementView {
	for _, e := range s.View.Elements {
		if e.ID == id {
			return e
		}
	}
	return use.ElementView{}
}

func TestChangingTheSameThingQuicklyIsOnePlace(t *testing.T) {
	p := as(t, "sela")
	list := p.open("/inspections")
	arrange := func(s api.Shown, find string, sort ...ask.Sort) (out api.Shown) {
		p.must("POST", used+"/arrange", at(s, map[string]any{"filters": []place.Filter{}, "sort": append([]ask.Sort{}, sort...), "find": find}), &out)
		return out
	}
	one := arrange(list, "fai")
	two := arrange(one, "failed")
	if one.N != list.N+1 || two.N != one.N || two.View.Address != "/inspections?~find=failed" {
		t.Errorf("places %d, %d, %d: %s", list.N, one.N, two.N, two.View.Address)
	}
	three := arrange(two, "failed", ask.Sort{Path: "f_done"})
	if three.N != two.N+1 {
		t.Errorf("another kind of change is no place of its own: %d, %d", two.N, three.N)
	}
	time.Sleep(2100 * time.Millisecond)
	if four := arrange(three, "failed", ask.Sort{Path: "f_done", Desc: true}); four.N != three.N+1 {
		t.Errorf("a change after a pause is no place of its own: %d, %d", three.N, four.N)
	}
	if back := p.goAlong(three, "back"); back.View.Find != "failed" || len(back.View.Place.Sort) != 0 {
		t.Errorf("back is %s", back.View.Address)
	}
}

func TestForksPlacesAndNewTabs(t *testing.T) {
	p := as(t, "mira")
	list := p.open("/parts?~sort=-code")
	part := p.pressed(list, "e_list", map[string]any{"row": "3"})
	var fork api.Shown
	p.must("POST", used+"/fork", at(part, nil), &fork)
	if fork.Trail == part.Trail || fork.N != part.N || fork.View.Address != part.View.Address || *fork.Back != *part.Back {
		t.Fatalf("the fork is at %s %d %s", fork.Trail, fork.N, fork.View.Address)
	}
	p.goAlong(fork, "back")
	var places []api.RecentPlace
	p.must("GET", used+"/places?trail="+part.Trail, nil, &places)
	if len(places) != 2 || !places[1].Here || places[0].Title != "Parts in store" {
		t.Errorf("the first tab’s places: %+v", places)
	}
	as(t, "sela").refused("POST", used+"/fork", at(part, nil), http.StatusNotFound, "no-place")
	as(t, "sela").refused("GET", used+"/places?trail="+part.Trail, nil, http.StatusNotFound, "no-place")

	var opened api.Shown
	p.must("POST", used+"/open", map[string]any{"address": "/part?part=5", "from": map[string]any{"trail": list.Trail, "n": list.N}}, &opened)
	if opened.Trail == list.Trail || opened.View.Place.From == nil || opened.View.Place.From.Screen != "s_parts" || opened.Back != nil {
		t.Errorf("a new tab stands at %+v", opened.View.Place.From)
	}
	var stranger api.Shown
	as(t, "sela").must("POST", used+"/open", map[string]any{"address": "/part?part=5", "from": map[string]any{"trail": list.Trail, "n": list.N}}, &stranger)
	if from := stranger.View.Place.From; from != nil && from.Screen != "" {
		t.Errorf("somebody else’s place is come from: %+v", from)
	}
}

func TestViewsOfAListAreOnesOwn(t *testing.T) {
	p := clerk(t, "views", "r_tech")
	url := used + "/views/s_parts/e_list"
	for _, choice := range []map[string]any{{"name": "", "widths": map[string]float64{"f_name": 2}}, {"name": " Low ", "find": "seal"}} {
		if status, answer := p.call("PUT", url, choice); status != http.StatusNoContent {
			t.Fatalf("%d %s", status, answer)
		}
	}
	var kept []api.ListChoice
	p.must("GET", url, nil, &kept)
	if len(kept) != 2 || kept[1].Name != "Low" || *kept[1].Find != "seal" || (*kept[0].Widths)["f_name"] != 2 {
		t.Errorf("%+v", kept)
	}
	as(t, "sela").must("GET", url, nil, &kept)
	for _, k := range kept {
		if k.Name == "Low" {
			t.Error("somebody else finds it")
		}
	}
	if status, _ := p.call("DELETE", url+"?name=Low", nil); status != http.StatusNoContent {
		t.Errorf("forgetting: %d", status)
	}
	for i := range 60 {
		status, _ := p.call("PUT", url, map[string]any{"name": fmt.Sprint("v", i)})
		if want := map[bool]int{true: http.StatusNoContent, false: http.StatusConflict}[i < 49]; status != want {
			t.Fatalf("view %d: %d, want %d", i, status, want)
		}
	}
	p.refused("PUT", url, map[string]any{"name": strings.Repeat("n", 100)}, http.StatusRequestEntityTooLarge, "too-large")
	p.refused("PUT", used+"/views/s_parts/e_gone", map[string]any{"name": "x"}, http.StatusNotFound, "no-element")
}

func TestADialogGivesItsRecordToTheFieldBelow(t *testing.T) {
	p := as(t, "sela")
	form := p.open("/defect?~mode=add&~set.cabin=20")
	var over api.Shown
	p.must("POST", used+"/add-parent", at(form, map[string]any{"field": "f_component"}), &over)
	if top := topmost(over); top == nil || top.Screen != "s_component" || top.Mode != "add" || *(*over.Overlays)[0].Into != "f_component" {
		t.Fatalf("%+v", over.Overlays)
	}
	p.refused("POST", used+"/add-parent", at(form, map[string]any{"field": "f_cabin"}), http.StatusForbidden, "no-grant")
	values := map[string]string{"f_code": "TST", "f_name": "Test bench", "f_area": "station"}
	status, result, problem := p.press(over, "adds-a-component", "e_save", map[string]any{"depth": 1, "values": values})
	if status != http.StatusOK || result.Given == nil || result.Given.Title != "Test bench" || result.Given.Depth != 0 || result.Shown.Overlays != nil {
		t.Fatalf("%d %+v %+v", status, result.Given, problem)
	}
	// Asked again, since the answer was lost: the same record, and the dialog stays closed.
	status, again, problem := p.press(over, "adds-a-component", "e_save", map[string]any{"depth": 1, "values": values})
	if status != http.StatusOK || again.Given == nil || again.Given.Key != result.Given.Key || again.Shown.Overlays != nil {
		t.Errorf("%d %+v %+v", status, again.Given, problem)
	}
	if err := up.Exec(`delete from tarnhorn.components where code = 'TST'`); err != nil {
		t.Error(err)
	}
}

func TestAListAsAFile(t *testing.T) {
	p := as(t, "mira")
	list := p.open("/defects?~filter.state=is:closed&~find=jaw")
	status, file := p.call("GET", fmt.Sprintf(used+"/csv?trail=%s&n=%d&element=e_list", list.Trail, list.N), nil)
	lines := strings.Split(strings.TrimSpace(string(file)), "\r\n")
	if status != http.StatusOK || lines[0] != "Code,What,Cabin,Component,Severity,State,Assigned to,Due" || len(lines) != mainList(list).Count+1 {
		t.Errorf("%d, %d lines, want %d: %s", status, len(lines), mainList(list).Count+1, lines[0])
	}
	p.refused("GET", fmt.Sprintf(used+"/csv?trail=%s&n=%d&element=e_new", list.Trail, list.N), nil, http.StatusNotFound, "no-element")
	as(t, "sela").refused("GET", fmt.Sprintf(used+"/csv?trail=%s&n=%d&element=e_list", list.Trail, list.N), nil, http.StatusNotFound, "no-place")
}

func TestOnlyQuestionsThatWerePutAreAnswered(t *testing.T) {
	if err := up.Exec(`update tarnhorn.defects set state = 'assigned', what = 'First words' where id = 150`); err != nil {
		t.Fatal(err)
	}
	p := as(t, "sela")
	shown := p.open("/defect?defect=150")
	ask := func(id string, more map[string]any) *press.Question {
		t.Helper()
		status, result, problem := p.press(shown, id, "e_close", more)
		if status != http.StatusOK {
			t.Fatalf("%d %+v", status, problem)
		}
		return result.Question
	}
	q := ask("asks-first-1", nil)
	if q == nil || q.Kind != "confirm" || q.Token == "" {
		t.Fatalf("%+v", q)
	}
	for name, more := range map[string]map[string]any{
		"no token":              {"confirmed": true},
		"a token of nobody":     {"confirmed": true, "tokens": []string{"0123.4567", "", "."}},
		"a token without a yes": {"tokens": []string{q.Token}},
	} {
		if again := ask("asks-first-1", more); again == nil {
			t.Errorf("with %s it is done", name)
		}
	}
	if again := ask("asks-other-1", map[string]any{"confirmed": true, "tokens": []string{q.Token}}); again == nil {
		t.Error("a token of another press is believed")
	}
	// The question is another by now: it is put again, in its new words.
	if err := up.Exec(`update tarnhorn.defects set what = 'Other words' where id = 150`); err != nil {
		t.Fatal(err)
	}
	again := ask("asks-first-1", map[string]any{"confirmed": true, "tokens": []string{q.Token}})
	if again == nil || !strings.Contains(again.Words, "Other words") {
		t.Fatalf("%+v", again)
	}
	if last := ask("asks-first-1", map[string]any{"confirmed": true, "tokens": []string{q.Token, again.Token}}); last != nil {
		t.Errorf("answered, it asks %+v", last)
	}
}
