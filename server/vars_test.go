package server_test

import (
	"net/http"
	"strings"
	"testing"

	"ambergate/api"
	"ambergate/core/kinds/element"
)

func TestATabKeepsItsVariables(t *testing.T) {
	jon := as(t, "jon")
	room := jon.open("/drive-room?lift=1")
	words := func(s api.Shown) string { return elementOf(s, "e_mine").View.(*element.ButtonView).Words }
	if words(room) != "Make it mine" {
		t.Fatalf("at first: %s", words(room))
	}
	status, done, problem := jon.press(room, "mine-once-1", "e_mine", nil)
	if status != http.StatusOK || done.Shown == nil || words(*done.Shown) != "It is mine: forget" {
		t.Fatalf("%d %+v %+v", status, done, problem)
	}
	// The same press again, since its answer was lost, comes to the same: it does not take it back.
	for range 2 {
		if _, again, _ := jon.press(room, "mine-once-1", "e_mine", nil); again.Shown == nil || words(*again.Shown) != "It is mine: forget" {
			t.Errorf("asked about again: %+v", again)
		}
	}
	var reloaded api.Shown
	jon.must("POST", "/api/use/tarnhorn"+"/open", map[string]any{"trail": room.Trail, "n": room.N}, &reloaded)
	if words(reloaded) != "It is mine: forget" {
		t.Error("lost by loading the page again")
	}
	// Another place of the same tab has it; a tab of its own does not.
	var next api.Shown
	jon.must("POST", "/api/use/tarnhorn"+"/open", map[string]any{"trail": room.Trail, "address": "/drive-room?lift=2"}, &next)
	if len(next.View.Rails) == 0 || !strings.Contains(railWords(next), "Mine: Upper Tarn") {
		t.Errorf("the rail says %s", railWords(next))
	}
	if own := jon.open("/drive-room?lift=1"); words(own) != "Make it mine" {
		t.Error("another tab has it too")
	}
	status, led, problem := jon.press(next, "mine-open-1", "e_rl_mine", nil)
	if status != http.StatusOK || led.Shown == nil || led.Shown.View.Address != "/drive-room?lift=1" {
		t.Errorf("%d %+v %+v", status, led, problem)
	}
	if _, forgot, _ := jon.press(*led.Shown, "mine-twice-1", "e_mine", nil); forgot.Shown == nil || words(*forgot.Shown) != "Make it mine" {
		t.Errorf("%+v", forgot)
	}
	// A duplicated tab goes its own way with what was kept.
	if _, lost, _ := jon.press(room, "mine-once-2", "e_gone", nil); lost.Shown != nil {
		t.Error("what is not there was pressed")
	}
}

func railWords(s api.Shown) string {
	var words []string
	for _, r := range s.View.Rails {
		for _, e := range r.Elements {
			if shows[element.ButtonView](e) {
				words = append(words, e.View.(*element.ButtonView).Words)
			}
		}
	}
	return strings.Join(words, ", ")
}

func TestAScreenKeepsItsOwnVariables(t *testing.T) {
	mira := as(t, "mira")
	figures := mira.open("/defects-by-component")
	has := func(s api.Shown) bool {
		for _, e := range s.View.Elements {
			if e.ID == "e_parts" {
				return true
			}
		}
		return false
	}
	if !has(figures) {
		t.Fatal("the parts are not shown at first")
	}
	_, done, _ := mira.press(figures, "without-1", "e_with", nil)
	if done.Shown == nil || has(*done.Shown) || done.Shown.N != figures.N {
		t.Fatalf("%+v", done)
	}
	if _, again, _ := mira.press(figures, "without-1", "e_with", nil); again.Shown == nil || has(*again.Shown) {
		t.Error("asked about again, it was switched over again")
	}
	var list, back api.Shown
	mira.must("POST", "/api/use/tarnhorn"+"/open", map[string]any{"trail": figures.Trail, "address": "/cabins"}, &list)
	mira.must("POST", "/api/use/tarnhorn"+"/go", map[string]any{"trail": figures.Trail, "n": list.N, "to": "back"}, &back)
	if back.View.Screen != "s_bycomp" || has(back) {
		t.Error("on the way back it is not as it was left")
	}
	if anew := mira.open("/defects-by-component"); !has(anew) {
		t.Error("opened anew it does not begin anew")
	}
}

func TestADialogComesBackWithWhatWasChosen(t *testing.T) {
	mira := as(t, "mira")
	defect := mira.open("/defect?defect=1")
	for _, key := range []string{"1", "2", "3", "4", "5", "6", "7", "8", "9"} { // one that she may change
		if defect = mira.open("/defect?defect=" + key); elementOf(defect, "e_oncab").State == "shown" {
			break
		}
	}
	status, opened, problem := mira.press(defect, "choose-1", "e_oncab", nil)
	if status != http.StatusOK || opened.Shown == nil || opened.Shown.Overlays == nil {
		t.Fatalf("%d %+v %+v", status, opened, problem)
	}
	status, chosen, problem := mira.press(*opened.Shown, "choose-2", "e_list", map[string]any{"depth": 1, "row": "12"})
	if status != http.StatusOK || chosen.Then == nil {
		t.Fatalf("%d %+v %+v", status, chosen, problem)
	}
	want := api.ThenPress{Depth: 0, Element: "e_oncab", Trigger: "release/c_1", Result: "12"}
	if got := *chosen.Then; got != want || chosen.Shown.Overlays != nil {
		t.Errorf("then %+v", got)
	}
	status, done, problem := mira.press(*chosen.Shown, "choose-3", "e_oncab", map[string]any{"trigger": want.Trigger, "result": want.Result})
	if status != http.StatusOK || done.Shown == nil || fieldWords(*done.Shown, "f_cabin") != "012" {
		t.Errorf("%d %+v: cabin %s", status, problem, fieldWords(*done.Shown, "f_cabin"))
	}
	if status, _, problem := mira.press(*done.Shown, "choose-4", "e_oncab", map[string]any{"trigger": want.Trigger, "result": "99999"}); status == http.StatusOK {
		t.Errorf("a cabin that is not there was taken: %+v", problem)
	}
}

func TestPracticeKeepsVariablesAndComesBack(t *testing.T) {
	arno := as(t, "arno")
	var done api.Practised
	press := func(element string, more map[string]any) map[string]any {
		body := map[string]any{"press": "practised-" + element, "trail": "", "n": 0, "release": 0, "element": element, "values": map[string]string{}, "base": map[string]string{}}
		for k, v := range more {
			body[k] = v
		}
		return body
	}
	room := map[string]any{"screen": "s_drive", "mode": "view", "inputs": map[string]string{"i_lift": "2"}}
	arno.must("POST", builds+"/practise", map[string]any{"as": "role:r_oper", "place": room, "press": press("e_mine", nil)}, &done)
	if done.Vars == nil || (*done.Vars)["v_lift"] != "2" {
		t.Fatalf("%+v", done)
	}
	var work api.AtWork
	arno.must("POST", builds+"/work", map[string]any{"screen": "s_drive", "as": "role:r_oper", "inputs": map[string]string{"i_lift": "2"}, "vars": *done.Vars}, &work)
	if work.View == nil || len(work.View.Vars) != 2 || work.View.Vars[0].Words != "Lower Tarn" {
		t.Errorf("%+v", work.View)
	}
	done = api.Practised{}
	list := map[string]any{"screen": "s_choose", "mode": "view"}
	arno.must("POST", builds+"/practise", map[string]any{"as": "role:r_lead", "place": list, "press": press("e_list", map[string]any{"row": "5"})}, &done)
	if value(done.Result) != "5" || value(done.Move) != "close" {
		t.Errorf("%+v", done)
	}
}
