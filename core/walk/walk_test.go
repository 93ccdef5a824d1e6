package walk_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"ambergate/core/project"
	"ambergate/core/stand"
	"ambergate/core/walk"
)

// gone goes a walk of Mira, a technician, whose steps are written in JSON, through the ropeway with some changes.
func gone(t *testing.T, changes, steps string) walk.Result {
	t.Helper()
	return goneBy(t, changes, `{"name":"Mira","roles":{"r_tech":true},"record":{"title":"Mira"}}`, steps)
}

func goneBy(t *testing.T, changes, who, steps string) walk.Result {
	t.Helper()
	s := stand.New(t, changes)
	out, err := walk.Run(t.Context(), s.App, walkOf(t, who, steps), walk.World{Records: s.Data})
	if err != nil {
		t.Fatal(err)
	}
	return out
}

// walkOf reads a walk as a document has it: its steps are numbered as they stand.
func walkOf(t *testing.T, who, steps string) *project.Walk {
	t.Helper()
	var list []map[string]any
	if err := json.Unmarshal([]byte("["+steps+"]"), &list); err != nil {
		t.Fatal(err)
	}
	numbered := map[string]any{}
	for i, s := range list {
		s["pos"] = i + 1
		numbered[fmt.Sprintf("w_%03d", i+1)] = s
	}
	text, err := json.Marshal(map[string]any{"kind": "walk", "pos": 1, "name": "A walk", "at": "2026-11-24T10:00", "who": json.RawMessage(who), "steps": numbered, "plant": map[string]any{"so_p/UT.running": true, "so_p/UT.speed": 4.5}})
	if err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(map[string]json.RawMessage{"project": json.RawMessage(`{"kind":"project","title":"T","slug":"t","zone":"UTC"}`), "k_1": text})
	if err != nil {
		t.Fatal(err)
	}
	return p.Walks["k_1"]
}

const (
	mine     = `{"does":"press","element":"e_mine"}`
	openD1   = `{"does":"press","element":"e_list","row":{"title":"D-1"}}`
	itsCabin = `{"does":"press","element":"e_cabin"}`
	atList   = `{"does":"claim","is":"at","screen":"s_list"}`
	atD1     = `{"does":"claim","is":"at","screen":"s_defect","inputs":{"i_d":{"title":"D-1"}},"words":"Defect D-1"}`
	atCabin  = `{"does":"claim","is":"at","screen":"s_cabin"}`
	back     = `{"does":"go","to":"back"}`
)

func kept(t *testing.T, r walk.Result, steps int) {
	t.Helper()
	if r.Differs != nil {
		t.Fatalf("%s “%s”: %v (%s)", r.Differs.Step, r.Differs.Words, r.Differs, r.Differs.Why)
	}
	if len(r.Steps) != steps {
		t.Errorf("%d steps were gone, of %d", len(r.Steps), steps)
	}
}

func breaks(t *testing.T, r walk.Result, step, expected, found, why string) {
	t.Helper()
	if r.Differs == nil {
		t.Fatal("it goes through")
	}
	d := *r.Differs
	if d.Step != step || !strings.Contains(d.Expected, expected) || !strings.Contains(d.Found, found) || !strings.Contains(d.Why, why) {
		t.Errorf("at %s “%s”: expected %s, found %s, because %s", d.Step, d.Words, d.Expected, d.Found, d.Why)
	}
}

func TestAWalkGoesWhereUsersGo(t *testing.T) {
	r := gone(t, "", strings.Join([]string{
		mine, atList, `{"does":"claim","is":"rows","element":"e_list","count":1}`,
		openD1, atD1, itsCabin, `{"does":"claim","is":"at","screen":"s_cabin","words":"Cabin 007"}`,
		back, atD1, `{"does":"press","element":"e_close","yes":true}`,
		// Closing leads back to the list; what is closed is not among them any more.
		atList, `{"does":"claim","is":"rows","element":"e_list","count":0}`,
		`{"does":"go","to":"home"}`, `{"does":"claim","is":"at","screen":"s_board"}`, back, atList, `{"does":"go","to":"forward"}`, `{"does":"claim","is":"at","screen":"s_board"}`,
	}, ","))
	kept(t, r, 18)
	if got := r.Steps[3]; got.Words != "opens “D-1”, a row of defects" || got.Stands != "Defect D-1" || got.Screen != "s_defect" {
		t.Errorf("%+v", got)
	}
}

func TestWhatIsTypedIsSaved(t *testing.T) {
	kept(t, gone(t, "", strings.Join([]string{
		`{"does":"open","screen":"s_cabin","inputs":{"i_c":{"title":"007"}}}`, `{"does":"press","element":"e_add"}`,
		`{"does":"claim","is":"at","screen":"s_defect","mode":"add"}`,
		`{"does":"type","values":{"f_what":"A window","f_hours":"2"}}`, `{"does":"press","element":"e_save"}`,
		`{"does":"claim","is":"at","screen":"s_defect","mode":"view"}`, `{"does":"claim","is":"reads","element":"e_what","words":"A window"}`,
		back, atCabin,
	}, ",")), 9)
	breaks(t, gone(t, "", `{"does":"open","screen":"s_defect","mode":"edit","inputs":{"i_d":{"title":"D-1"}}},{"does":"type","values":{"f_code":"D-9"}}`),
		"w_002", "a field “Code”", "none that Mira may change here", "")
	breaks(t, gone(t, "", `{"does":"open","screen":"s_defect","mode":"edit","inputs":{"i_d":{"title":"D-1"}}},{"does":"type","values":{"f_hours":"many"}},{"does":"press","element":"e_save"}`),
		"w_003", "that it is done", "Hours", "")
}

func TestADialogLiesOverAndIsClosed(t *testing.T) {
	kept(t, gone(t, "", strings.Join([]string{
		`{"does":"open","screen":"s_cabin","inputs":{"i_c":{"title":"007"}}}`, `{"does":"press","element":"e_dlg"}`, atList,
		`{"does":"claim","is":"rows","element":"e_list","count":2}`, back, atCabin,
		`{"does":"press","element":"e_dlg"}`, openD1, atD1, back, atCabin,
	}, ",")), 11)
}

// A dialog comes back with what was chosen in it, and what opened it goes on with that.
func TestADialogComesBackWithSomething(t *testing.T) {
	changes := `[` + stand.Chooser + `,{"op":"add","path":"/s_defect/elements/e_ask","value":{"kind":"button","pos":9,"cell":{"row":5,"col":1,"w":2},"words":"Another cabin","gate":` +
		stand.Asks(`{"use":"g_put","give":{"i_it":{"rule":"result"}}}`) + `}}]`
	kept(t, gone(t, changes, strings.Join([]string{
		`{"does":"open","screen":"s_defect","inputs":{"i_d":{"title":"D-3"}}}`, `{"does":"claim","is":"greyed","element":"e_cabin","words":"On no cabin."}`,
		`{"does":"press","element":"e_ask"}`, `{"does":"claim","is":"at","screen":"s_choose"}`,
		`{"does":"press","element":"e_list","row":{"title":"007"}}`, `{"does":"claim","is":"at","screen":"s_defect"}`,
		`{"does":"claim","is":"open","element":"e_cabin"}`,
	}, ",")), 7)
}

func TestTheFirstDifferenceIsToldWithWhatDecided(t *testing.T) {
	breaks(t, gone(t, "", openD1), "w_001", "the record “D-1”", "nothing there is a record", "")
	breaks(t, gone(t, "", mine+","+openD1+`,{"does":"press","element":"e_close"}`), "w_003", "that it is done", "it asks: Close D-1?", "")
	breaks(t, gone(t, "", mine+`,{"does":"press","element":"e_list","row":{"title":"D-9"}}`), "w_002", "the defect “D-9”", "none of that title that Mira may see", "")
	breaks(t, gone(t, `[{"op":"replace","path":"/s_board/elements/e_mine/gate/cases/c_1/move","value":{"kind":"screen","target":"s_chart"}}]`, mine+","+atList),
		"w_002", "“Defects”", "“Chart”", "")
	// A condition was turned: the case that was taken is told, and why.
	turned := `[{"op":"replace","path":"/s_defect/elements/e_cabin/gate/cases","value":{"c_1":{"pos":1,"when":"record.f_state == \"open\"","move":{"kind":"home"}},"c_2":{"pos":2,"move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin"}}}}}}]`
	breaks(t, gone(t, turned, mine+","+openD1+","+itsCabin+","+atCabin), "w_004", "“Cabin”", "“Board”", "“state is “open”” holds")
	shut := `[{"op":"replace","path":"/s_defect/elements/e_close/gate/while","value":"record.f_state == \"closed\""}]`
	breaks(t, gone(t, shut, mine+","+openD1+`,{"does":"press","element":"e_close","yes":true}`), "w_003", "that it is done", "It is closed.", "“state is “closed”” does not hold")
	breaks(t, gone(t, "", `{"does":"open","screen":"s_cabin","inputs":{"i_c":{"key":"8"}}}`), "w_001", "that it is done", "", "“state is not “on hold”” does not hold")
	breaks(t, gone(t, "", `{"does":"claim","is":"open","element":"e_close"}`), "w_001", "“Close” is open", "it does not stand on “Board”", "")
	// Somebody else is refused what Mira may do.
	breaks(t, goneBy(t, "", `{"name":"Vera","roles":{"r_vis":true}}`, `{"does":"press","element":"e_mine"}`), "w_001", "that it is done", "You have no record.", "")
}

// A claim that does not hold can be taken as it is now, and then it holds.
func TestAClaimIsTakenAsItIsNow(t *testing.T) {
	for _, claim := range []string{
		`{"does":"claim","is":"at","screen":"s_cabin","inputs":{"i_c":{"title":"007"}},"words":"Cabin 007","mode":"view"}`,
		`{"does":"claim","is":"open","element":"e_cabin"}`, `{"does":"claim","is":"greyed","element":"e_cabin","words":"Whatever."}`, `{"does":"claim","is":"reads","element":"e_what","words":"Whatever"}`,
	} {
		before := `{"does":"open","screen":"s_defect","inputs":{"i_d":{"title":"D-3"}}},`
		r := gone(t, "", before+claim)
		if r.Differs == nil {
			t.Fatalf("it holds: %s", claim)
		}
		if r.Differs.Now == nil {
			if !strings.Contains(claim, "reads") { // a field shows more than one text
				t.Errorf("nothing can be taken: %s", claim)
			}
			continue
		}
		now, err := json.Marshal(r.Differs.Now)
		if err != nil {
			t.Fatal(err)
		}
		kept(t, gone(t, "", before+string(now)), 2)
	}
	r := gone(t, "", mine+`,{"does":"claim","is":"rows","element":"e_list","count":9}`)
	if r.Differs == nil || r.Differs.Now == nil || *r.Differs.Now.Count != 1 {
		t.Errorf("%+v", r.Differs)
	}
}

// What the plant says decides, and what is written to it is there for what follows.
func TestThePlantIsWhatTheWalkSays(t *testing.T) {
	drive := `{"does":"open","screen":"s_drive","inputs":{"i_l":{"title":"Upper Tarn"}}}`
	kept(t, gone(t, "", strings.Join([]string{
		drive, `{"does":"claim","is":"open","element":"e_faster"}`, `{"does":"claim","is":"hidden","element":"e_idle"}`, `{"does":"press","element":"e_faster"}`,
		`{"does":"plant","plant":{"so_p/UT.running":false}}`, `{"does":"claim","is":"open","element":"e_idle"}`, `{"does":"claim","is":"hidden","element":"e_faster"}`,
		`{"does":"press","element":"e_idle"}`, `{"does":"claim","is":"at","screen":"s_board"}`,
	}, ",")), 9)
	breaks(t, gone(t, "", `{"does":"plant","plant":{"so_p/UT.running":false}},`+drive+`,{"does":"press","element":"e_faster"}`), "w_003", "that it is done", "", "“drive running is yes” does not hold")
}

// A walk that has no end of its own is bounded.
func TestAWalkDoesNotGoOnForEver(t *testing.T) {
	loop := `[{"op":"add","path":"/s_board/ways","value":{"w_1":{"pos":1,"trigger":"entered","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_chart"}}}}}}},
		{"op":"add","path":"/s_chart/ways","value":{"w_2":{"pos":1,"trigger":"entered","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}}}}]`
	r := gone(t, loop, mine)
	if r.Differs == nil || !strings.Contains(r.Differs.Found, "without an end") {
		t.Errorf("%+v", r)
	}
	var steps []string
	for range 500 {
		steps = append(steps, mine, back)
	}
	began := time.Now()
	kept(t, gone(t, "", strings.Join(steps, ",")), 1000)
	t.Logf("1,000 steps in %s", time.Since(began))
	for _, hostile := range []string{
		`{"does":"claim","is":"reads","element":"e_mine","words":"` + strings.Repeat("x", 5000) + `"}`,
		`{"does":"dance"}`, `{"does":"press"}`, `{"does":"go","to":"nowhere"}`, `{"does":"claim","is":"rows","element":"e_list"}`, `{"does":"plant","plant":{"so_p/x":[1]}}`,
	} {
		text := `{"kind":"walk","pos":1,"name":"A","at":"2026-11-24T10:00","who":{"name":"M","roles":{"r_tech":true}},"steps":{"w_1":` + strings.Replace(hostile, "{", `{"pos":1,`, 1) + `}}`
		if err := project.CheckEntity("k_1", json.RawMessage(text)); err == nil {
			t.Errorf("taken: %.60s", hostile)
		}
	}
}
