package server_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
)

func (p *person) goAlong(s api.Shown, to string) api.Shown {
	p.t.Helper()
	var shown api.Shown
	p.must("POST", "/api/use/tarnhorn/go", map[string]any{"trail": s.Trail, "n": s.N, "to": to}, &shown)
	return shown
}

func (p *person) pressed(s api.Shown, element string, more map[string]any) api.Shown {
	p.t.Helper()
	status, result, problem := p.press(s, fmt.Sprintf("t-%s-%d", element, time.Now().UnixNano()), element, more)
	if status != 200 || result.Shown == nil {
		p.t.Fatalf("press %s: %d %+v", element, status, problem)
	}
	return *result.Shown
}

func TestBackStepByStepWithTheFilterKept(t *testing.T) {
	p := as(t, "mira")
	board := p.open("")
	list := p.pressed(board, "e_mine", nil)
	defect := p.pressed(list, "e_list", map[string]any{"row": "107"})
	cabin := p.pressed(defect, "e_cabin", nil)
	if cabin.View.Heading != "Cabin 087" || cabin.N != board.N+3 || *cabin.Back != "Defect D-2107" {
		t.Fatalf("%s at %d", cabin.View.Heading, cabin.N)
	}
	at := cabin
	for _, want := range []string{"Defect D-2107", "Defects", "Workshop board"} {
		at = p.goAlong(at, "back")
		if at.View.Heading != want {
			t.Errorf("back leads to %s, want %s", at.View.Heading, want)
		}
	}
	if *at.Forward != "Defects" {
		t.Errorf("forward leads to %v", at.Forward)
	}
	again := p.goAlong(at, "forward")
	if again.View.Address != list.View.Address {
		t.Errorf("forward opens %s, it was %s", again.View.Address, list.View.Address)
	}
	// A new way on forgets what lay ahead.
	other := p.pressed(p.goAlong(again, "back"), "e_cabins", nil)
	if other.Forward != nil || other.View.Screen != "s_cabins" {
		t.Errorf("%+v", other.Forward)
	}
}

func TestBackOnAnEmptyTrailLeadsUpElseHome(t *testing.T) {
	p := as(t, "mira")
	if up := p.goAlong(p.open("/cabin?cabin=87"), "back"); up.View.Screen != "s_cabins" {
		t.Errorf("up from a cabin is %s", up.View.Screen)
	}
	if home := p.goAlong(p.open("/cabins"), "back"); home.View.Screen != "s_wboard" {
		t.Errorf("back from a list without an up is %s", home.View.Screen)
	}
	start := p.open("")
	if still := p.goAlong(start, "back"); still.View.Screen != "s_wboard" || still.N != start.N {
		t.Errorf("back from the start goes to %s", still.View.Screen)
	}
}

func TestATypedAddressGoesOnTheTrailOnce(t *testing.T) {
	p := as(t, "mira")
	first := p.open("/cabins")
	open := func(address string) api.Shown {
		var shown api.Shown
		p.must("POST", "/api/use/tarnhorn/open", map[string]any{"trail": first.Trail, "address": address}, &shown)
		return shown
	}
	second := open("/cabin?cabin=87")
	if second.Trail != first.Trail || second.N != first.N+1 || *second.Back != "Cabins" {
		t.Errorf("%+v", second)
	}
	if same := open("/cabin?cabin=87"); same.N != second.N {
		t.Errorf("the address of where one stands became place %d", same.N)
	}
	// Somebody else's trail, or one that has ended: a new one from the address.
	sela := as(t, "sela")
	var own api.Shown
	sela.must("POST", "/api/use/tarnhorn/open", map[string]any{"trail": first.Trail, "n": first.N, "address": "/cabin?cabin=40"}, &own)
	if own.Trail == first.Trail || own.N != 1 || own.View.Heading != "Cabin 040" {
		t.Errorf("%+v", own)
	}
}

func TestPlacesThatAreGoneArePassedOver(t *testing.T) {
	p := as(t, "mira")
	list := p.open("/defects?cabin=60")
	add := p.pressed(list, "e_new", nil)
	saved := p.pressed(add, "e_save", map[string]any{"values": map[string]string{"f_what": "Soon gone", "f_severity": "low", "f_state": "open", "f_component": "2"}})
	cabin := p.pressed(saved, "e_cabin", nil)
	if err := removeDefect(saved.View.Record.Key); err != nil {
		t.Fatal(err)
	}
	back := p.goAlong(cabin, "back")
	if back.View.Screen != "s_defects" || back.Passed == nil || !strings.Contains(*back.Passed, "Defect D-") {
		t.Errorf("%s, passed over %v", back.View.Heading, back.Passed)
	}
}

func removeDefect(key string) error {
	return up.Exec("delete from tarnhorn.defects where id = " + key)
}

func TestAFilterIsAPlace(t *testing.T) {
	p := as(t, "mira")
	list := p.open("/defects")
	var narrowed api.Shown
	p.must("POST", "/api/use/tarnhorn/arrange", map[string]any{"trail": list.Trail, "n": list.N, "filters": []place.Filter{{Path: "f_severity", Compare: "is", Value: "high"}}, "sort": []ask.Sort{{Path: "f_due", Desc: true}}}, &narrowed)
	if narrowed.N != list.N+1 || narrowed.View.Address != "/defects?~filter.severity=is%3Ahigh&~sort=-due" {
		t.Errorf("%d %s", narrowed.N, narrowed.View.Address)
	}
	for _, e := range narrowed.View.Elements {
		if !shows[element.ListView](e) {
			continue
		}
		for _, r := range e.View.(*element.ListView).Rows {
			if r.Cells[4].Value != "high" {
				t.Errorf("row %s is %s", r.Title, r.Cells[4].Value)
			}
		}
	}
	var more element.ListView
	p.must("POST", "/api/use/tarnhorn/rows", map[string]any{"trail": list.Trail, "n": list.N, "element": "e_list", "cursor": next(list)}, &more)
	if len(more.Rows) == 0 || more.Rows[0].Key == firstKey(list) {
		t.Errorf("the second page begins with %+v", more.Rows)
	}
	if back := p.goAlong(narrowed, "back"); len(back.View.Context) != 0 {
		t.Errorf("back keeps %+v", back.View.Context)
	}
}

func next(s api.Shown) string {
	for _, e := range s.View.Elements {
		if shows[element.ListView](e) {
			return e.View.(*element.ListView).Next
		}
	}
	return ""
}

func firstKey(s api.Shown) string {
	for _, e := range s.View.Elements {
		if shows[element.ListView](e) && len(e.View.(*element.ListView).Rows) > 0 {
			return e.View.(*element.ListView).Rows[0].Key
		}
	}
	return ""
}

func TestSigningOutEndsStreamsWithinSeconds(t *testing.T) {
	p := as(t, "jon")
	shown := p.open("/drive-room?lift=3")
	resp, err := p.client.Get(server(t).URL + fmt.Sprintf("/api/use/tarnhorn/events?at=%s.%d.0", shown.Trail, shown.N))
	if err != nil {
		t.Fatal(err)
	}
	defer resp.Body.Close()
	ended := make(chan string, 1)
	go func() {
		r := newEventReader(resp.Body)
		for {
			name, _, err := r.next()
			if err != nil || name == "ended" {
				ended <- name
				return
			}
		}
	}()
	p.must("POST", "/api/sign-out", nil, nil)
	select {
	case name := <-ended:
		if name != "ended" {
			t.Errorf("the stream broke off instead of ending: %q", name)
		}
	case <-time.After(30 * time.Second):
		t.Error("the stream goes on after signing out")
	}
	p.refused("POST", "/api/use/tarnhorn/open", map[string]any{"trail": shown.Trail, "n": shown.N}, http.StatusUnauthorized, "signed-out")
}

func TestBuildersAreToldOfEachOthersEdits(t *testing.T) {
	p := as(t, "arno")
	resp, err := p.client.Get(server(t).URL + "/api/build/tarnhorn/events")
	if err != nil {
		t.Fatal(err)
	}
	defer resp.Body.Close()
	told := make(chan int64, 10)
	go func() {
		r := newEventReader(resp.Body)
		for {
			name, data, err := r.next()
			if err != nil {
				return
			}
			var edited struct{ Seq int64 }
			if name == "edited" && json.Unmarshal(data, &edited) == nil {
				told <- edited.Seq
			}
		}
	}()
	next := func() int64 {
		t.Helper()
		select {
		case seq := <-told:
			return seq
		case <-time.After(30 * time.Second):
			t.Fatal("nobody was told")
			return 0
		}
	}
	// First how many there are: what was edited before the stream was open is not missed.
	before := next()
	as(t, "arno").must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": []any{map[string]any{"op": "replace", "path": "/s_line/heading", "value": "All lifts"}}}, nil)
	if after := next(); after != before+1 {
		t.Errorf("told of %d after %d", after, before)
	}
	p.must("POST", "/api/build/tarnhorn/undo", nil, nil)
}

func TestHeadersAndTheClient(t *testing.T) {
	resp, err := http.Get(server(t).URL + "/use/tarnhorn/anything?x=1")
	if err != nil {
		t.Fatal(err)
	}
	defer resp.Body.Close()
	for name, want := range map[string]string{"Content-Security-Policy": "default-src 'self'", "Cache-Control": "no-store", "X-Content-Type-Options": "nosniff"} {
		if got := resp.Header.Get(name); !strings.HasPrefix(got, want) {
			t.Errorf("%s is %q", name, got)
		}
	}
	if strings.Contains(resp.Header.Get("Content-Security-Policy"), "script-src 'unsafe-inline'") {
		t.Error("inline script is allowed")
	}
	signIn, err := http.Post(server(t).URL+"/api/sign-in", "application/json", strings.NewReader(`{"login":"mira","password":"mira"}`))
	if err != nil {
		t.Fatal(err)
	}
	defer signIn.Body.Close()
	for _, c := range signIn.Cookies() {
		if !c.HttpOnly || c.SameSite != http.SameSiteLaxMode {
			t.Errorf("cookie %+v", c)
		}
	}
}

func TestADialogIsArrangedWhereItLies(t *testing.T) {
	p := as(t, "mira")
	shown := p.open("/defect?defect=107")
	over := p.pressed(shown, "e_others", nil)
	if topmost(over) == nil || over.N != shown.N || len(topmost(over).Context) != 1 {
		t.Fatalf("%+v", topmost(over))
	}
	var arranged api.Shown
	p.must("POST", "/api/use/tarnhorn/arrange", map[string]any{"trail": over.Trail, "n": over.N, "depth": 1, "filters": []place.Filter{{Path: "f_severity", Compare: "is", Value: "high"}}, "sort": []ask.Sort{}, "clear": []string{"i_cabin"}}, &arranged)
	if arranged.N != shown.N || arranged.View.Screen != "s_defect" || topmost(arranged) == nil || topmost(arranged).Address != "/defects?~filter.severity=is%3Ahigh" {
		t.Errorf("%d, %s over %s", arranged.N, topmost(arranged).Address, arranged.View.Screen)
	}
	if closed := p.goAlong(arranged, "close"); topmost(closed) != nil || closed.View.Heading != "Defect D-2107" {
		t.Errorf("after closing: %+v", topmost(closed))
	}
}
