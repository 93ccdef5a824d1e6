package server_test

import (
	"bytes"
	"encoding/json"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"

	"ambergate/api"
	front "ambergate/server"
	"ambergate/server/fleet"
	"ambergate/store"
	"ambergate/store/hashing"
)

// What came of a press to the plant is in the log: any server tells it, also while none talks to the plant. What was not
// sent yet is sent by none of those.
func TestWhatCameOfACommandIsToldWhileNoServerLeads(t *testing.T) {
	p := as(t, "jon")
	shown := p.open("/drive-room?lift=2")
	if status, result, problem := p.press(shown, "plant-told-1", "e_creep", nil); status != http.StatusOK || (*result.Commands)[0].State != "done" {
		t.Fatalf("%d %+v %+v", status, result, problem)
	}
	// A server beside it that has never led, over the same store.
	st, err := store.Open(t.Context(), up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate"), hashing.Light, nil)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(st.Close)
	config := up.Server.Config
	config.Store = st
	config.Fleet = fleet.New(fleet.Options{Store: st, Log: slog.New(slog.DiscardHandler), Name: "beside", Address: "127.0.0.1:1", Key: bytes.Repeat([]byte{3}, store.KeySize)})
	beside, err := front.New(config)
	if err != nil {
		t.Fatal(err)
	}
	other := httptest.NewServer(beside.Handler())
	t.Cleanup(other.Close)
	ask := func(press string) (int, string, api.PressResult) {
		text, err := json.Marshal(map[string]any{"press": press, "trail": shown.Trail, "n": shown.N, "release": shown.Release, "element": "e_creep"})
		if err != nil {
			t.Fatal(err)
		}
		res, err := p.client.Post(other.URL+"/api/use/tarnhorn/press", "application/json", bytes.NewReader(text))
		if err != nil {
			t.Fatal(err)
		}
		defer res.Body.Close()
		var said bytes.Buffer
		if _, err := said.ReadFrom(res.Body); err != nil {
			t.Fatal(err)
		}
		var result api.PressResult
		if res.StatusCode == http.StatusOK {
			if err := json.Unmarshal(said.Bytes(), &result); err != nil {
				t.Fatal(err)
			}
		}
		return res.StatusCode, said.String(), result
	}
	if status, said, result := ask("plant-told-1"); status != http.StatusOK || result.Commands == nil || (*result.Commands)[0].State != "done" {
		t.Errorf("asked again: %d %s", status, said)
	}
	before := up.Sim.Taken("LT.drive.creep")
	if status, said, _ := ask("plant-told-2"); status != http.StatusConflict || !strings.Contains(said, "no-leader") {
		t.Errorf("a new press: %d %s", status, said)
	}
	if taken := up.Sim.Taken("LT.drive.creep") - before; taken != 0 {
		t.Errorf("the plant was written to %d times", taken)
	}
}
