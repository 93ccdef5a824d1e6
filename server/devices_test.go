package server_test

import (
	"net/http"
	"strings"
	"testing"

	"ambergate/api"
)

// display enrols a browser as a new display of the ropeway; allows is what it may beyond going along its ways.
func display(t *testing.T, allows ...string) (p *person, id string) {
	t.Helper()
	runs := keyed(t)
	var added api.AddedDevice
	runs.must("POST", "/api/devices", map[string]any{"name": "Hall", "project": "p_tarnhorn", "role": "r_visitor", "start": "s_welcome", "allows": append([]string{}, allows...)}, &added)
	p = as(t, "")
	var in api.Enrolled
	p.must("POST", "/api/device", map[string]string{"code": " " + strings.ToLower(strings.ReplaceAll(added.Code, "-", " "))}, &in)
	if in.Project != "tarnhorn" {
		t.Fatalf("it belongs to %q", in.Project)
	}
	t.Cleanup(func() { runs.call("DELETE", "/api/devices/"+added.Id, nil) })
	return p, added.Id
}

// Whatever is typed as an address, a display is at its start; the drive room is nowhere within its reach.
func TestADisplayStaysWhereItsWaysLead(t *testing.T) {
	p, _ := display(t)
	for _, address := range []string{"", "/welcome", "/drive-room?lift=3", "/lift-status", "/workshop", "/nowhere"} {
		if shown := p.open(address); shown.View.Screen != "s_welcome" || shown.Display == nil || shown.IdleAfter == nil {
			t.Errorf("%q leads to %s, display %v", address, shown.View.Title, shown.Display)
		}
	}
	start := p.open("")
	status := p.pressed(start, "e_status", nil)
	if status.View.Screen != "s_status" {
		t.Fatalf("the way leads to %s", status.View.Title)
	}
	// Its place on the trail stays its own over a reload.
	var again api.Shown
	p.must("POST", "/api/use/tarnhorn/open", map[string]any{"address": "/drive-room?lift=3", "trail": status.Trail, "n": status.N}, &again)
	if again.View.Screen != "s_status" {
		t.Errorf("read again it is at %s", again.View.Title)
	}
	for path, code := range map[string]int{"/api/people": http.StatusForbidden, "/api/devices": http.StatusForbidden, "/api/build/tarnhorn": http.StatusForbidden, "/api/use/stores/open": http.StatusForbidden} {
		method := "GET"
		if strings.HasSuffix(path, "/open") {
			method = "POST"
		}
		if status, answer := p.call(method, path, map[string]any{}); status != code {
			t.Errorf("%s: %d %s", path, status, answer)
		}
	}
	free, _ := display(t, "addresses")
	if shown := free.open("/lift-status"); shown.View.Screen != "s_status" {
		t.Errorf("one that may be told addresses is at %s", shown.View.Title)
	}
}

// In a round the next stop follows, and the one before; one that is shut is passed over.
func TestARoundGoesOn(t *testing.T) {
	p, _ := display(t)
	at := p.open("")
	if at.Round == nil || at.Round.At != 0 || at.Round.Of != 2 || at.Round.Stay != 20 {
		t.Fatalf("the round: %+v", at.Round)
	}
	for i, to := range []string{"round", "round", "round-back", "round-back", "round"} {
		at = p.goAlong(at, to)
		if want := (i + 1) % 2; at.Round == nil || at.Round.At != want {
			t.Fatalf("%d: %s leads to %s, %+v", i, to, at.View.Title, at.Round)
		}
	}
	mira := as(t, "mira")
	if board := mira.open(""); board.Round != nil || board.Display != nil {
		t.Errorf("a person at work goes round: %+v", board.Round)
	} else if stays := mira.goAlong(board, "round"); stays.View.Screen != board.View.Screen {
		t.Errorf("who is in no round is led to %s", stays.View.Title)
	}
}

// A code holds once; a display that is removed is out.
func TestACodeHoldsOnce(t *testing.T) {
	runs := keyed(t)
	var added, second api.AddedDevice
	change := map[string]any{"name": "Counter", "project": "p_tarnhorn", "role": "r_visitor", "start": "s_welcome", "allows": []string{}}
	runs.must("POST", "/api/devices", change, &added)
	first := as(t, "")
	first.must("POST", "/api/device", map[string]string{"code": added.Code}, nil)
	as(t, "").refused("POST", "/api/device", map[string]string{"code": added.Code}, http.StatusForbidden, "no-code")
	runs.must("POST", "/api/devices/"+added.Id+"/code", nil, &second)
	first.refused("POST", "/api/use/tarnhorn/open", map[string]any{}, http.StatusUnauthorized, "signed-out")
	other := as(t, "")
	other.must("POST", "/api/device", map[string]string{"code": second.Code}, nil)
	other.open("")
	change["start"] = "s_status"
	runs.must("PUT", "/api/devices/"+added.Id, change, nil)
	until(t, "it starts elsewhere", func() bool { return other.open("").View.Screen == "s_status" })
	change["start"] = "s_defect"
	runs.refused("PUT", "/api/devices/"+added.Id, change, http.StatusUnprocessableEntity, "fields")
	change["start"] = "s_over"
	if p := runs.refused("PUT", "/api/devices/"+added.Id, change, http.StatusUnprocessableEntity, "fields"); !strings.Contains((*p.Fields)["start"], "not for Visitor") {
		t.Errorf("a start that is shut to it: %+v", p)
	}
	change["project"], change["role"], change["start"] = "p_stores", "r_buyer", "s_orders"
	if status, answer := runs.call("PUT", "/api/devices/"+added.Id, change); status < 400 {
		t.Errorf("it was moved to another application: %s", answer)
	}
	as(t, "mira").refused("DELETE", "/api/devices/"+added.Id, nil, http.StatusForbidden, "no-administrator")
	runs.must("DELETE", "/api/devices/"+added.Id, nil, nil)
	other.refused("POST", "/api/use/tarnhorn/open", map[string]any{}, http.StatusUnauthorized, "signed-out")
	runs.refused("POST", "/api/devices/"+added.Id+"/code", nil, http.StatusNotFound, "no-display")
	// Displays are no people: they are neither listed among them, nor changed as such.
	var page api.PeoplePage
	runs.must("GET", "/api/people", nil, &page)
	for _, one := range page.People {
		if strings.HasPrefix(one.Id, "d_") {
			t.Errorf("%s is listed as a person", one.Name)
		}
	}
	_, id := display(t)
	for method, path := range map[string]string{"PUT": "/api/people/" + id, "POST": "/api/people/" + id + "/link"} {
		runs.refused(method, path, map[string]any{"administers": true}, http.StatusNotFound, "no-person")
	}
}
