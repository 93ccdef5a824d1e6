package server_test

import (
	"testing"

	"ambergate/api"
	"ambergate/core/kinds/element"
)

// A task that was begun at a cabin is told there, and at no other, until it is given up.
func TestABegunTaskIsToldWhereItWasBegun(t *testing.T) {
	mira := as(t, "mira")
	states := func(cabin string) (state string, step int) {
		t.Helper()
		for _, e := range mira.open("/cabin?cabin=" + cabin).View.Elements {
			if v, is := e.View.(*element.TasksView); is {
				return v.Tasks[0].State, v.Tasks[0].Step
			}
		}
		t.Fatal("no tasks are listed")
		return "", 0
	}
	if state, _ := states("87"); state != "open" {
		t.Fatalf("before it is %s", state)
	}
	report := mira.pressed(mira.open("/cabin?cabin=87"), "e_todo", map[string]any{"trigger": "task.i_1"})
	if report.View.Screen != "s_report" || report.View.Mode != "add" {
		t.Fatalf("the task leads to %s", report.View.Title)
	}
	var kept api.DraftKept
	mira.must("POST", "/api/use/tarnhorn/draft", map[string]any{"trail": report.Trail, "n": report.N, "depth": 0, "values": map[string]string{"f_what": "A door does not shut"}, "base": map[string]string{}}, &kept)
	if state, step := states("87"); state != "begun" || step != 1 {
		t.Errorf("begun, it is %s at step %d", state, step)
	}
	if state, _ := states("88"); state != "open" {
		t.Errorf("at another cabin it is %s", state)
	}
	sela := as(t, "sela")
	for _, e := range sela.open("/cabin?cabin=87").View.Elements {
		if v, is := e.View.(*element.TasksView); is && v.Tasks[0].State != "open" {
			t.Errorf("for somebody else it is %s", v.Tasks[0].State)
		}
	}
	mira.must("POST", "/api/use/tarnhorn/draft/forget", map[string]any{"trail": report.Trail, "n": report.N, "depth": 0, "id": *kept.Id}, nil)
	if state, _ := states("87"); state != "open" {
		t.Errorf("given up, it is %s", state)
	}
}
