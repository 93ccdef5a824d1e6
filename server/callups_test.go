package server_test

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"ambergate/api"
)

// callUps gives what a stream of a place tells of being called up, until the test ends.
func (p *person) callUps(t *testing.T, shown api.Shown) <-chan api.CallUp {
	t.Helper()
	ctx, cancel := context.WithCancel(t.Context())
	t.Cleanup(cancel)
	req, err := http.NewRequestWithContext(ctx, "GET", server(t).URL+eventsOf("tarnhorn", shown), nil)
	if err != nil {
		t.Fatal(err)
	}
	resp, err := p.client.Do(req)
	if err != nil {
		t.Fatal(err)
	}
	told := make(chan api.CallUp, 20)
	go func() {
		defer resp.Body.Close()
		d := newEventReader(resp.Body)
		for {
			name, data, err := d.next()
			if err != nil {
				return
			}
			var up api.CallUp
			if name == "callup" && json.Unmarshal([]byte(data), &up) == nil {
				told <- up
			}
		}
	}()
	return told
}

// A gust calls operators and shift leads up from everywhere but the drive room, each tab once; back leads to where they
// were, with what was typed; it is listed, and seen by each for themselves.
func TestThePlantCallsAScreenUp(t *testing.T) {
	ctx, cancel := context.WithCancel(t.Context())
	over := make(chan struct{})
	go func() { defer close(over); up.Server.WatchCallUps(ctx) }()
	t.Cleanup(func() { cancel(); <-over })

	jon, sela, priya, mira := as(t, "jon"), as(t, "sela"), as(t, "priya"), as(t, "mira")
	form, inDrive, office := jon.open("/stop?~mode=add"), sela.open("/drive-room?lift=2"), priya.open("/defects")
	if form.CallUps == nil || office.CallUps != nil {
		t.Fatalf("who may be called up: %v, %v", form.CallUps, office.CallUps)
	}
	toJon, toSela := jon.callUps(t, form), sela.callUps(t, inDrive)
	jon.must("POST", "/api/use/tarnhorn/draft", map[string]any{"trail": form.Trail, "n": form.N, "values": map[string]string{"f_report": "Half a report"}}, nil)
	watch := mira // whoever lets it blow
	if status, _, _ := watch.press(watch.open("/defects"), "gust-none", "e_try", nil); status < 300 {
		t.Error("a technician lets it blow")
	}
	sela2 := as(t, "sela")
	blow := sela2.open("/wind-watch?lift=2")
	began := time.Now()
	until(t, "it blows", func() bool {
		status, _, _ := sela2.press(blow, fmt.Sprintf("gust-%d", time.Now().UnixNano()), "e_try", nil)
		return status == http.StatusOK
	})
	// Whoever builds sees it hold before it has held for long enough to come.
	until(t, "it holds", func() bool {
		var now []api.CallUpNow
		as(t, "arno").must("GET", "/api/build/tarnhorn/callups", nil, &now)
		return len(now) == 1 && now[0].CallUp == "cu_gusts" && now[0].Of == 3 && len(now[0].On) == 1 && strings.Contains(now[0].On[0], "Lower Tarn")
	})
	var came api.CallUp
	select {
	case came = <-toJon:
	case <-time.After(40 * time.Second):
		t.Fatal("nobody is called up")
	}
	t.Logf("called up %s after the gust was let go (it has to hold for 5 s): “%s”", time.Since(began).Round(10*time.Millisecond), came.Words)
	if came.Words != "Gusts over 15 m/s at Lower Tarn" || came.Screen != "Wind watch" {
		t.Errorf("%+v", came)
	}
	call := map[string]any{"trail": form.Trail, "n": form.N, "occurrence": came.Occurrence}
	var there, again api.Shown
	jon.must("POST", "/api/use/tarnhorn/callup", call, &there)
	if there.View.Screen != "s_watch" || there.N != form.N+1 || there.View.Record == nil || there.View.Record.Key != "2" {
		t.Fatalf("he is at %s, place %d", there.View.Screen, there.N)
	}
	if problem := jon.refused("POST", "/api/use/tarnhorn/callup", call, http.StatusConflict, "place-left"); problem.What == "" {
		t.Error("from where he is not any more")
	}
	jon.must("POST", "/api/use/tarnhorn/callup", map[string]any{"trail": there.Trail, "n": there.N, "occurrence": came.Occurrence}, &again)
	if again.N != there.N {
		t.Errorf("called where he is: place %d", again.N)
	}
	back := jon.goAlong(there, "back")
	if back.View.Screen != "s_stop" || back.Draft == nil || back.Draft.Values["f_report"] != "Half a report" {
		t.Errorf("back at %s, with %+v", back.View.Screen, back.Draft)
	}
	select {
	case up := <-jon.callUps(t, back):
		t.Errorf("called up once more: %+v", up)
	case up := <-toSela:
		t.Errorf("called up from the drive room: %+v", up)
	case <-time.After(1500 * time.Millisecond):
	}
	// Elsewhere she is called up too, as long as it lasts.
	select {
	case <-sela.callUps(t, sela.goAlong(inDrive, "home")):
	case <-time.After(20 * time.Second):
		t.Error("she is not called up once she has left the drive room")
	}
	listed := func(p *person) (all []api.CallUpListed) {
		p.must("GET", "/api/use/tarnhorn/callups", nil, &all)
		return all
	}
	if all := listed(priya); len(all) != 0 {
		t.Errorf("the office sees %+v", all)
	}
	jon.must("POST", fmt.Sprintf("/api/use/tarnhorn/callups/%d/seen", came.Occurrence), nil, nil)
	for _, p := range []*person{jon, sela} {
		one := listed(p)[0]
		if seen := one.Seen != nil; one.Occurrence != came.Occurrence || one.Ended != nil || one.Address != "/wind-watch?lift=2" || seen != (p == jon) {
			t.Errorf("listed as %+v", one)
		}
	}
	until(t, "it is calm again", func() bool {
		sela2.press(blow, fmt.Sprintf("calm-%d", time.Now().UnixNano()), "e_calm", nil)
		return listed(jon)[0].Ended != nil
	})
	if after := jon.goAlong(back, "home"); after.View.Screen == "s_watch" {
		t.Error("called up by what is over")
	}
}
