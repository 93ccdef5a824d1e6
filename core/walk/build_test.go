package walk_test

import (
	"encoding/json"
	"strconv"
	"strings"
	"testing"

	"ambergate/core/stand"
	"ambergate/core/walk"
)

// built goes a walk on which the application may be changed.
func built(t *testing.T, list string) walk.Result {
	t.Helper()
	s := stand.New(t, "")
	var entities map[string]json.RawMessage
	if err := json.Unmarshal([]byte(stand.Ropeway), &entities); err != nil {
		t.Fatal(err)
	}
	out, err := walk.Run(t.Context(), s.App, walkOf(t, `{"name":"Mira","roles":{"r_tech":true},"record":{"title":"Mira"}}`, list), walk.World{Records: s.Data, Entities: entities})
	if err != nil {
		t.Fatal(err)
	}
	return out
}

func changing(ops ...string) string {
	out := ""
	for i, op := range ops {
		if i > 0 {
			out += ","
		}
		out += `"c_` + string(rune('1'+i)) + `":` + `{"pos":` + string(rune('1'+i)) + "," + op[1:]
	}
	return `{"does":"build","changes":{` + out + `}}`
}

func TestTheApplicationIsChangedOnTheWay(t *testing.T) {
	renamed := changing(`{"op":"replace","path":"/s_list/title","value":"Faults"}`)
	removed := changing(`{"op":"remove","path":"/s_cabin"}`)
	finds := func(words string) string { return `{"does":"claim","is":"finds","words":"` + words + `"}` }
	kept(t, built(t, steps(renamed, mine, `{"does":"claim","is":"at","screen":"s_list","words":"Faults"}`, back, removed, finds("led to is gone"), defect1, `{"does":"claim","is":"greyed","element":"e_cabin"}`)), 8)
	breaks(t, built(t, finds("led to is gone")), "w_001", "the checks find “led to is gone”", "nothing that is broken", "")
	breaks(t, built(t, changing(`{"op":"remove","path":"/s_nowhere"}`)), "w_001", "that it can be changed so", "/s_nowhere: it is not there", "")
	breaks(t, built(t, changing(`{"op":"replace","path":"/s_list/type","value":"poem"}`)), "w_001", "that it can be changed so", "", "")
	r := built(t, steps(removed, changing(`{"op":"add","path":"/s_list/slug2","value":1}`)))
	if r.Differs == nil || r.Steps[0].Words != "takes out “Cabin”" {
		t.Errorf("%+v", r)
	}
	var many []string
	for i := range 22 {
		many = append(many, changing(`{"op":"replace","path":"/s_list/title","value":"`+strconv.Itoa(i)+`"}`), finds("is"))
	}
	if r := built(t, steps(append([]string{removed}, many...)...)); r.Differs == nil || !strings.Contains(r.Differs.Found, "So often nothing is checked") {
		t.Errorf("without a bound: %+v", r.Differs)
	}
	// Where nothing is given to be changed, nothing is.
	breaks(t, gone(t, "", renamed), "w_001", "that it can be changed so", "", "")
}

// A walk names screens, buttons and fields, not what they are called: renamed and moved they are found again. What is
// wired otherwise is told at the step where it shows, with the reason.
func TestAWalkOutlivesRenamingAndTellsOfAConditionThatTurned(t *testing.T) {
	all := steps(mine, openD1, `{"does":"claim","is":"at","screen":"s_defect","inputs":{"i_d":{"title":"D-1"}}}`, `{"does":"press","element":"e_close","yes":true}`, atList)
	other := `[{"op":"replace","path":"/s_defect/title","value":"Fault"},{"op":"replace","path":"/s_defect/heading","value":"Fault {record.f_code}"},{"op":"replace","path":"/s_list/slug","value":"faults"},
	 {"op":"replace","path":"/s_defect/elements/e_close/cell/row","value":9},{"op":"replace","path":"/s_defect/elements/e_close/words","value":"Finish"},
	 {"op":"replace","path":"/t_defects/fields/f_state/label","value":"Status"},{"op":"replace","path":"/t_defects/fields/f_state/alias","value":"status"}]`
	kept(t, gone(t, other, all), 5)
	turned := `[{"op":"replace","path":"/s_defect/elements/e_close/gate/while","value":"record.f_state == \"closed\""}]`
	breaks(t, gone(t, turned, all), "w_004", "that it is done", "", "state is “closed”")
}
