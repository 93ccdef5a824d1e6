package server_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/patch"
	"ambergate/demo"
	"ambergate/store"
)

// A press on a screen drawn in an older release is judged by all that the newest one says, and does nothing
// that was wired otherwise when it was drawn (hardening, critical 1: old releases stayed pressable by anybody).
func TestAPressInAnOlderReleaseKeepsToTheNewest(t *testing.T) {
	server(t)
	const hold, stop = "/s_cabin/elements/e_hold", "/s_drive/elements/e_stop"
	for i, tc := range []struct {
		what, change           string
		login, screen, element string
		code, then             string // of the refusal
	}{
		{"a row rule", `{"op":"add","path":"/gr_lead_cabins/changes","value":"record.f_number == \"none\""}`, "sela", "/cabin?cabin=41", "e_hold", "greyed", "not change it"},
		{"the button is gone", `{"op":"remove","path":"` + hold + `"}`, "sela", "/cabin?cabin=41", "e_hold", "taken-out", "Nothing was done"},
		{"its condition", `{"op":"replace","path":"` + hold + `/gate/while","value":"record.f_number == \"none\""}`, "sela", "/cabin?cabin=41", "e_hold", "greyed", ""},
		{"its roles", `{"op":"replace","path":"` + hold + `/gate/roles","value":{"r_oper":true}}`, "sela", "/cabin?cabin=41", "e_hold", "hidden", ""},
		{"what it does", `{"op":"replace","path":"` + hold + `/gate/cases/c_1/do","value":{"d_1":{"kind":"delete","pos":1}}}`, "sela", "/cabin?cabin=41", "e_hold", "rewired", "Nothing was done"},
		{"the command is gone", `{"op":"remove","path":"` + stop + `"}`, "jon", "/drive-room?lift=1", "e_stop", "taken-out", "Nothing was done"},
		{"the command’s roles", `{"op":"replace","path":"` + stop + `/gate/roles","value":{"r_lead":true}}`, "jon", "/drive-room?lift=1", "e_stop", "hidden", ""},
		{"the command’s value", `{"op":"replace","path":"` + stop + `/gate/cases/c_1/do/d_1/value","value":"false"}`, "jon", "/drive-room?lift=1", "e_stop", "rewired", "Nothing was done"},
	} {
		slug := fmt.Sprintf("older%d", i)
		entities, err := demo.Project()
		if err != nil {
			t.Fatal(err)
		}
		entities["project"] = json.RawMessage(strings.Replace(string(entities["project"]), `"tarnhorn"`, `"`+slug+`"`, 1))
		id := "p_" + slug
		if err := up.Store.CreateProject(t.Context(), id, entities); err != nil {
			t.Fatal(err)
		}
		for who, role := range map[string]string{"a_sela": "r_lead", "a_jon": "r_oper"} {
			if err := up.Store.SetRoles(t.Context(), "a_arno", who, id, []string{role}, ""); err != nil {
				t.Fatal(err)
			}
		}
		release := func() {
			t.Helper()
			if _, err := up.Store.PutIntoUse(t.Context(), store.NewRelease{Project: id, By: "a_arno"}); err != nil {
				t.Fatal(err)
			}
		}
		release()
		p := as(t, tc.login)
		var shown api.Shown
		p.must("POST", "/api/use/"+slug+"/open", map[string]string{"address": tc.screen}, &shown)
		var ops []patch.Op
		if err := json.Unmarshal([]byte("["+tc.change+"]"), &ops); err != nil {
			t.Fatal(err)
		}
		if _, err := up.Store.Edit(t.Context(), store.Edit{Project: id, By: "a_arno", Patch: ops}); err != nil {
			t.Fatalf("%s: %v", tc.what, err)
		}
		release()
		time.Sleep(1100 * time.Millisecond) // the newest release is known within a second
		for told, release := range map[string]int{"as it was drawn": 1, "as if it were drawn anew": 2, "without a word": 0} {
			status, answer := p.call("POST", "/api/use/"+slug+"/press", map[string]any{"press": fmt.Sprintf("older-%d-%d", i, release), "trail": shown.Trail, "n": shown.N, "release": release, "element": tc.element, "confirmed": true})
			var problem api.Problem
			if err := json.Unmarshal(answer, &problem); err != nil || status < 400 || problem.Code != tc.code || tc.then != "" && !strings.Contains(*problem.Then, tc.then) {
				t.Errorf("%s, told %s: %d %s", tc.what, told, status, answer)
			}
		}
		// What was drawn anew is pressed as it is now: nothing is said of the older release any more.
		p.must("POST", "/api/use/"+slug+"/open", map[string]any{"trail": shown.Trail, "n": shown.N}, &shown)
		_, answer := p.call("POST", "/api/use/"+slug+"/press", map[string]any{"press": fmt.Sprintf("newer-%d-0", i), "trail": shown.Trail, "n": shown.N, "release": shown.Release, "element": tc.element})
		if text := string(answer); strings.Contains(text, "taken-out") || strings.Contains(text, "rewired") {
			t.Errorf("%s, drawn anew: %s", tc.what, answer)
		}
	}
}
