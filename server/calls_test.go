package server_test

import (
	"fmt"
	"net/http"
	"strings"
	"testing"

	"ambergate/api"
	"ambergate/core/build"
	"ambergate/core/kinds/element"
)

func TestPickersGiveTwentyAndWhatIsTyped(t *testing.T) {
	p := as(t, "mira")
	var all, some []api.Title
	p.must("GET", "/api/use/tarnhorn/titles/t_cabins", nil, &all)
	p.must("GET", "/api/use/tarnhorn/titles/t_cabins?q=08", nil, &some)
	if len(all) != 20 {
		t.Errorf("%d at once", len(all))
	}
	if len(some) < 10 {
		t.Errorf("%d with 08", len(some))
	}
	for _, r := range some {
		if !strings.Contains(r.Title, "08") {
			t.Errorf("%s does not contain 08", r.Title)
		}
	}
	as(t, "jon").refused("GET", "/api/use/tarnhorn/titles/t_cabins", nil, http.StatusForbidden, "no-grant")
	p.refused("GET", "/api/use/tarnhorn/titles/t_nothing", nil, http.StatusForbidden, "no-grant")
	var hostile []api.Title
	p.must("GET", "/api/use/tarnhorn/titles/t_cabins?q=%25%27%3B--", nil, &hostile)
	if len(hostile) != 0 {
		t.Errorf("a hostile word finds %+v", hostile)
	}
}

func TestProposalsAndNamesOverHTTP(t *testing.T) {
	p := as(t, "arno")
	var proposals []api.Proposal
	p.must("POST", "/api/build/tarnhorn/proposals", map[string]string{"screen": "s_defect", "element": "e_cabin", "target": "s_cabin", "input": "i_cabin"}, &proposals)
	if len(proposals) == 0 || proposals[0].Words != "its cabin" {
		t.Errorf("%+v", proposals)
	}
	var names []build.NameInfo
	p.must("GET", "/api/build/tarnhorn/names?screen=s_drive&element=e_start", nil, &names)
	found := map[string]build.NameInfo{}
	for _, n := range names {
		found[n.Path] = n
	}
	if n := found["record.equip.wind.gust"]; n.Unit != "m/s" || n.Writable {
		t.Errorf("the gusts are %+v", n)
	}
	if n := found["record.equip.drive.set_speed"]; !n.Writable {
		t.Errorf("what can be written to is told as such: %+v", n)
	}
	var records []api.Title
	p.must("GET", "/api/build/tarnhorn/records/t_lifts?as=a_jon", nil, &records)
	if len(records) != 3 {
		t.Errorf("%+v", records)
	}
	p.must("GET", "/api/build/tarnhorn/records/t_lifts?as=a_jon&key=2", nil, &records)
	if len(records) != 1 || records[0].Title != "Lower Tarn" {
		t.Errorf("one by its key: %+v", records)
	}
	p.must("GET", "/api/build/tarnhorn/records/t_lifts?as=a_jon&key=99", nil, &records)
	if len(records) != 0 {
		t.Errorf("one that is not there: %+v", records)
	}
	p.refused("GET", "/api/build/tarnhorn/records/t_cabins?as=a_jon", nil, http.StatusForbidden, "no-grant")
	p.refused("GET", "/api/build/tarnhorn/records/t_cabins", nil, http.StatusBadRequest, "bad-request")
}

func TestPracticeHasItsLimits(t *testing.T) {
	p := as(t, "arno")
	body := map[string]any{"as": "a_mira", "place": map[string]any{"screen": "s_defect", "mode": "edit", "inputs": map[string]string{"i_defect": "70"}},
		"press": map[string]any{"press": "x", "trail": "", "n": 0, "release": 0, "element": "e_save", "keep": map[string]string{"f_detail": "mine"}, "values": map[string]string{"f_detail": "Practised again"}}}
	var done api.Practised
	for i := range 50 {
		body["press"].(map[string]any)["values"] = map[string]string{"f_detail": fmt.Sprintf("Practised %d", i)}
		p.must("POST", "/api/build/tarnhorn/practise", body, &done)
		body["journal"] = done.Journal
	}
	p.refused("POST", "/api/build/tarnhorn/practise", body, http.StatusForbidden, "practice-full")
	// The journal holds all fifty; without it the record is as it was.
	w := work(t, p, map[string]any{"screen": "s_defect", "as": "a_mira", "inputs": map[string]string{"i_defect": "70"}, "journal": done.Journal})
	if got := detail(w); got != "Practised 49" {
		t.Errorf("after fifty practised presses it says %q", got)
	}
	if got := detail(work(t, p, map[string]any{"screen": "s_defect", "as": "a_mira", "inputs": map[string]string{"i_defect": "70"}})); strings.HasPrefix(got, "Practised") {
		t.Errorf("without the journal it says %q", got)
	}
	wrong := map[string]any{"as": "a_mira", "place": map[string]any{"screen": "s_defect", "mode": "edit", "inputs": map[string]string{"i_defect": "70"}},
		"press": map[string]any{"press": "x", "trail": "", "n": 0, "release": 0, "element": "e_save", "values": map[string]string{"f_hours": "many"}}}
	problem := p.refused("POST", "/api/build/tarnhorn/practise", wrong, http.StatusUnprocessableEntity, "fields")
	if problem.Fields == nil || (*problem.Fields)["f_hours"] == "" {
		t.Errorf("%+v", problem)
	}
}

func detail(w api.AtWork) string {
	for _, e := range w.View.Elements {
		if shows[element.FieldView](e) && e.View.(*element.FieldView).Path == "f_detail" {
			return e.View.(*element.FieldView).Words
		}
	}
	return ""
}

func TestAtWorkTellsWaysAndWhoMayEnter(t *testing.T) {
	p := as(t, "arno")
	w := work(t, p, map[string]any{"screen": "s_cabin", "as": "a_mira", "inputs": map[string]string{"i_cabin": "87"}})
	if w.Entered != "Shift lead, Technician, Office or Builder" || w.Presses != 2 || w.User != "Mira Holt" || w.View.Record.Title != "087" {
		t.Errorf("%s, %d presses, %+v", w.Entered, w.Presses, w.View.Record)
	}
	states := map[string]string{}
	for _, way := range w.Ways {
		states[way.Element] = string(way.State)
		if way.Now == "" || len(way.Sentence) < 3 || way.Title == "" {
			t.Errorf("%+v", way)
		}
	}
	for element, want := range map[string]string{"e_report": "open", "e_edit": "open", "e_hold": "hidden", "e_defects": "open"} {
		if states[element] != want {
			t.Errorf("%s is %s, want %s", element, states[element], want)
		}
	}
	if len(w.WaysIn) != 5 {
		t.Errorf("ways in: %+v", w.WaysIn)
	}
	held := work(t, p, map[string]any{"screen": "s_cabin", "as": "a_sela", "inputs": map[string]string{"i_cabin": "23"}})
	for _, way := range held.Ways {
		if way.Element == "e_hold" && (way.State != "greyed" || way.Reason != "Only a cabin in service can be held." || way.Verdict.Part == nil || way.Verdict.Part.Deciding().Value != "on hold") {
			t.Errorf("%+v", way)
		}
	}
	none := work(t, p, map[string]any{"screen": "s_cabin", "as": "a_mira", "inputs": map[string]string{"i_cabin": "99999"}})
	if none.View != nil || none.Refused == nil || none.Refused.Code != "no-record" || len(none.Ways) == 0 {
		t.Errorf("a record that is not there: %+v", none.Refused)
	}
	anybody := work(t, p, map[string]any{"screen": "s_cabin", "as": "role:r_office"})
	if anybody.User != "Any Office" || anybody.View == nil {
		t.Errorf("anybody of the office: %+v", anybody.Refused)
	}
}

func TestConditionsInWordsOverHTTP(t *testing.T) {
	p := as(t, "arno")
	for _, tc := range []struct{ screen, element, text, phrase string }{
		{"s_defect", "e_edit", `record.state != "closed"`, "state is not “closed”"},
		{"s_defects", "e_list", `row.severity > "low" && row.cabin.lift != null`, "severity is more than “low” and cabin’s lift is not empty"},
		{"s_drive", "e_start", `record.equip.wind.gust < 12.5`, "wind gusts is less than 12.5 m/s"},
		{"s_defects", "e_new", `inputs.cabin.state == "in service"`, "cabin’s state is “in service”"},
		{"s_defect", "e_take", `record.assigned == user.record`, "assigned to is the user"},
	} {
		var read api.ConditionRead
		p.must("POST", "/api/build/tarnhorn/condition", map[string]any{"screen": tc.screen, "element": tc.element, "text": tc.text}, &read)
		if read.Problem != nil || read.Phrase != tc.phrase {
			t.Errorf("%s: %q %+v, want %q", tc.text, read.Phrase, read.Problem, tc.phrase)
		}
		var again api.ConditionRead
		p.must("POST", "/api/build/tarnhorn/condition", map[string]any{"screen": tc.screen, "element": tc.element, "text": read.Stored}, &again)
		if again.Shown != tc.text {
			t.Errorf("%s is shown again as %s", tc.text, again.Shown)
		}
	}
	var read api.ConditionRead
	p.must("POST", "/api/build/tarnhorn/condition", map[string]any{"screen": "s_cabin", "text": "Cabin {record.number} of {record.lift.name}", "template": true}, &read)
	if read.Stored != "Cabin {record.f_number} of {record.f_lift.f_name}" {
		t.Errorf("%+v", read)
	}
	p.refused("POST", "/api/build/tarnhorn/condition", map[string]string{"screen": "s_gone", "text": "true"}, http.StatusNotFound, "no-screen")
}
