package server_test

import (
	"encoding/base64"
	"net/http"
	"strings"
	"testing"

	"ambergate/api"
	"ambergate/core/build"
	"ambergate/core/kinds/element"
)

func TestPicturesOfAProject(t *testing.T) {
	arno := as(t, "arno")
	svg := `<svg xmlns="http://www.w3.org/2000/svg" width="2" height="2"/>`
	add := func(data string) string {
		return "data:x;base64," + base64.StdEncoding.EncodeToString([]byte(data))
	}
	var kept api.PictureKept
	arno.must("POST", builds+"/pictures", map[string]any{"data": add(svg)}, &kept)
	if kept.Media != "image/svg+xml" || len(kept.Digest) != 64 {
		t.Fatalf("%+v", kept)
	}
	for _, wrong := range []string{"data:x;base64,%%%", add("no picture at all"), add(""), add("<html><svg>")} {
		arno.refused("POST", builds+"/pictures", map[string]any{"data": wrong}, http.StatusForbidden, "bad-value")
	}
	as(t, "mira").refused("POST", builds+"/pictures", map[string]any{"data": add(svg)}, http.StatusForbidden, "no-builder")
	// Kept is not shown: only what the project names is.
	arno.refused("GET", "/api/project-pictures/tarnhorn/"+kept.Digest, nil, http.StatusNotFound, "no-record")
	gauge := "/api/project-pictures/tarnhorn/" + gaugeDigest(t, arno)
	for _, login := range []string{"arno", "mira"} {
		if status, data := as(t, login).call("GET", gauge, nil); status != http.StatusOK || !strings.Contains(string(data), "<svg") {
			t.Errorf("%s is sent %d, %d bytes", login, status, len(data))
		}
	}
}

// A clip is kept by what its bytes are, and sent in the parts that a browser asks for.
func TestClipsOfAProject(t *testing.T) {
	arno := as(t, "arno")
	add := func(data string) map[string]any {
		return map[string]any{"data": "data:video/webm;base64," + base64.StdEncoding.EncodeToString([]byte(data))}
	}
	webm := "\x1a\x45\xdf\xa3\x9f\x42\x82\x84webm" + strings.Repeat("x", 100)
	var kept api.PictureKept
	arno.must("POST", builds+"/clips", add(webm), &kept)
	if kept.Media != "video/webm" {
		t.Errorf("%+v", kept)
	}
	for _, wrong := range []string{"", "no clip", "\x89PNG\r\n\x1a\n", "\x1a\x45\xdf\xa3 matroska", strings.Repeat("\x00\x00\x00 ftyp", 1_000_001)} {
		arno.refused("POST", builds+"/clips", add(wrong), http.StatusForbidden, "bad-value")
	}
	arno.refused("POST", builds+"/pictures", add(webm), http.StatusForbidden, "bad-value")
	as(t, "mira").refused("POST", builds+"/clips", add(webm), http.StatusForbidden, "no-builder")
	at := "/api/project-pictures/tarnhorn/" + kept.Digest
	arno.refused("GET", at, nil, http.StatusNotFound, "no-record")
	arno.must("POST", builds+"/edits", map[string]any{"patch": []any{map[string]any{"op": "add", "path": "/cl_test", "value": map[string]any{"kind": "clip", "name": "Test", "digest": kept.Digest}}}}, nil)
	defer arno.must("POST", builds+"/undo", nil, nil)
	r, err := http.NewRequest("GET", server(t).URL+at, nil)
	if err != nil {
		t.Fatal(err)
	}
	r.Header.Set("Range", "bytes=10-19")
	part, err := arno.client.Do(r)
	if err != nil {
		t.Fatal(err)
	}
	defer part.Body.Close()
	if part.StatusCode != http.StatusPartialContent || part.Header.Get("Content-Type") != "video/webm" || part.Header.Get("Content-Range") != "bytes 10-19/112" {
		t.Errorf("%d %v", part.StatusCode, part.Header)
	}
}

func gaugeDigest(t *testing.T, p *person) string {
	t.Helper()
	var draft api.Draft
	p.must("GET", builds, nil, &draft)
	body, _ := draft.Entities["im_gauge"].(map[string]any)
	digest, _ := body["digest"].(string)
	if digest == "" {
		t.Fatal("the demo has lost its picture")
	}
	return digest
}

func TestOtherProjectsOfferScreensAndAreLedTo(t *testing.T) {
	arno, mira := as(t, "arno"), as(t, "mira")
	var offers []api.OfferedScreen
	arno.must("GET", builds+"/offers", nil, &offers)
	found := false
	for _, o := range offers {
		found = found || o.Project == "stores" && o.Entry == "part-orders" && len(o.Inputs) == 1 && o.Inputs[0].Alias == "part"
	}
	if !found {
		t.Errorf("%+v", offers)
	}
	part := mira.open("/part?part=2")
	if got := elementOf(part, "e_orders").View.(*element.ButtonView); got == nil || got.Leave != "/use/stores/part-orders?part=P-107" {
		t.Errorf("%+v", got)
	}
	status, result, problem := mira.press(part, "to-stores-1", "e_orders", nil)
	if status != http.StatusOK || result.Leave == nil || *result.Leave != "/use/stores/part-orders?part=P-107" {
		t.Fatalf("%d %+v %+v", status, result, problem)
	}
	status, result, _ = mira.press(part, "to-mail-1", "e_ask", nil)
	if status != http.StatusOK || result.Leave == nil || *result.Leave != "mailto:parts@corrin.example?subject=Part%20P-107&body=We%20need%20more%20of%3A%20Window%20seal" || value(result.As) != "tab" {
		t.Errorf("%d %+v", status, result)
	}
	// The way stays where it was: nothing is moved on the trail.
	if result.Shown == nil || result.Shown.N != part.N {
		t.Errorf("the trail went on: %+v", result.Shown)
	}
	as(t, "jon").refused("POST", "/api/use/stores/open", map[string]any{"address": "/part-orders"}, http.StatusForbidden, "no-role")
}

func value[T any](p *T) T {
	var none T
	if p == nil {
		return none
	}
	return *p
}

func TestARecordIsPickedWithinThePress(t *testing.T) {
	mira := as(t, "mira")
	cabin := mira.open("/cabin?cabin=87")
	status, asked, _ := mira.press(cabin, "pick-one-01", "e_other", nil)
	if status != http.StatusOK || asked.Question == nil || asked.Question.Kind != "pick" || asked.Question.Pick == nil || asked.Question.Pick.Table != "t_cabins" {
		t.Fatalf("%d %+v", status, asked)
	}
	status, done, _ := mira.press(cabin, "pick-one-01", "e_other", map[string]any{"picked": map[string]string{asked.Question.Pick.Input: "5"}})
	if status != http.StatusOK || done.Shown == nil || done.Shown.Overlays == nil || (*done.Shown.Overlays)[0].View.Record.Title != "005" {
		t.Errorf("%d %+v", status, done)
	}
	status, _, problem := mira.press(mira.open("/cabin?cabin=87"), "pick-one-02", "e_other", map[string]any{"picked": map[string]string{"i_cabin": "99999"}})
	if status != http.StatusNotFound || problem.Code != "no-record" {
		t.Errorf("a record that is not there: %d %+v", status, problem)
	}
}

func TestEffectsOnWhatIsLookedAtArePlaces(t *testing.T) {
	mira := as(t, "mira")
	list := mira.open("/defects")
	high := mira.pressed(list, "e_high", nil)
	if high.N == list.N || !strings.Contains(high.View.Address, "filter.severity=is") {
		t.Errorf("%s at %d", high.View.Address, high.N)
	}
	for _, row := range rowsOf(high) {
		if row.Cells[4].Words != "high" {
			t.Errorf("%s is there", row.Title)
		}
	}
	all := mira.pressed(mira.pressed(high, "e_doors", nil), "e_all", nil)
	if all.View.Find != "" || len(all.View.Place.Filters) != 0 {
		t.Errorf("%+v", all.View.Place)
	}
	back := mira.goAlong(all, "back")
	if back.View.Find != "door" {
		t.Errorf("back is at %s", back.View.Address)
	}
	status, result, _ := mira.press(list, "as-a-file-1", "e_file", nil)
	if status != http.StatusConflict && (result.Does == nil || (*result.Does)[0].What != "export") {
		t.Errorf("%d %+v", status, result)
	}
}

func rowsOf(s api.Shown) []element.RowView {
	for _, e := range s.View.Elements {
		if shows[element.ListView](e) && e.View.(*element.ListView).Main {
			return e.View.(*element.ListView).Rows
		}
	}
	return nil
}

func TestRailsAreSentAndPressed(t *testing.T) {
	mira := as(t, "mira")
	cabin := mira.open("/cabin?cabin=87")
	names := map[string]int{}
	for _, r := range cabin.View.Rails {
		names[r.Name] = len(r.Elements)
	}
	if names["Main"] < 6 || names["Workshop tools"] != 3 {
		t.Errorf("%v", names)
	}
	if board := mira.open("/workshop"); len(board.View.Rails) != 0 {
		t.Errorf("the board has %d rails", len(board.View.Rails))
	}
	if list := mira.pressed(cabin, "e_ra_stops", nil); list.View.Screen != "s_stops" {
		t.Errorf("a rail leads to %s", list.View.Screen)
	}
	// Where a rail does not stand its buttons cannot be pressed, whatever is sent.
	spare := mira.open("/cabin?cabin=29")
	if status, _, problem := mira.press(spare, "no-rail-here", "e_rt_gauge", nil); status != http.StatusNotFound || problem.Code != "no-element" {
		t.Errorf("%d %+v", status, problem)
	}
}

func TestProposalsInsideAndOutsideOfASharedGate(t *testing.T) {
	arno := as(t, "arno")
	ask := func(more map[string]any) []string {
		body := map[string]any{"screen": "s_cabin", "element": "e_worst", "trigger": "release"}
		for k, v := range more {
			body[k] = v
		}
		var out []build.Proposal
		arno.must("POST", builds+"/proposals", body, &out)
		var words []string
		for _, p := range out {
			words = append(words, p.Words)
		}
		return words
	}
	inside := strings.Join(ask(map[string]any{"target": "s_defect", "input": "i_defect", "inside": true}), "; ")
	if !strings.HasPrefix(inside, "the defect given") || strings.Contains(inside, "this cabin") {
		t.Errorf("inside: %s", inside)
	}
	outside := strings.Join(ask(map[string]any{"target": "g_defect", "input": "i_defect"}), "; ")
	if !strings.Contains(outside, "this cabin’s last defect") || strings.Contains(outside, "given") {
		t.Errorf("outside: %s", outside)
	}
	if nothing := ask(map[string]any{"element": "e_gone", "target": "s_defect", "input": "i_defect"}); len(nothing) != 0 {
		t.Errorf("for what is gone: %v", nothing)
	}
	var read api.ConditionRead
	arno.must("POST", builds+"/condition", map[string]any{"screen": "g_defect", "text": "inputs.defect.state == \"open\""}, &read)
	if read.Problem != nil || read.Stored != `inputs.i_defect.f_state == "open"` {
		t.Errorf("%+v", read)
	}
	arno.must("POST", builds+"/condition", map[string]any{"screen": "s_cabin", "text": "record.grip_wear + 1.0", "value": true}, &read)
	if read.Problem != nil {
		t.Errorf("a value that is worked out: %+v", read.Problem)
	}
}
