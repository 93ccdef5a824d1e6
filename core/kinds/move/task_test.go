package move_test

import (
	"errors"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

// guide is a guided task over defects: what, how long (only while the code begins a certain way), and who.
const guide = `[{"op":"add","path":"/s_guide","value":{"kind":"screen","type":"form","title":"Report","slug":"report","record":"i_d","inputs":{"i_d":{"pos":1,"alias":"defect","label":"Defect","type":"record","table":"t_defects","required":true}},"elements":{
 "e_steps":{"kind":"steps","pos":1,"cell":{"row":1,"col":1,"w":12},"label":"Report a defect","steps":{"t_1":{"pos":1,"label":"What"},"t_2":{"pos":2,"label":"How long"},"t_3":{"pos":3,"label":"Where"}},"while":{"t_2":"record.f_state == \"open\""}},
 "e_code":{"kind":"field","pos":2,"cell":{"row":2,"col":1,"w":4},"path":"f_code","tab":"e_steps.t_1","required":true},
 "e_what":{"kind":"field","pos":3,"cell":{"row":2,"col":5,"w":4},"path":"f_what","tab":"e_steps.t_1"},
 "e_state":{"kind":"field","pos":4,"cell":{"row":3,"col":1,"w":4},"path":"f_state","tab":"e_steps.t_1"},
 "e_hours":{"kind":"field","pos":5,"cell":{"row":2,"col":1,"w":4},"path":"f_hours","tab":"e_steps.t_2","required":true},
 "e_cabin":{"kind":"field","pos":6,"cell":{"row":2,"col":1,"w":4},"path":"f_cabin","tab":"e_steps.t_3"},
 "e_next":{"kind":"button","pos":7,"cell":{"row":4,"col":3,"w":2},"words":"Next","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"task","to":"next"}}}}},
 "e_back":{"kind":"button","pos":8,"cell":{"row":4,"col":1,"w":2},"words":"Back","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"task","to":"back"}}}}},
 "e_done":{"kind":"button","pos":9,"cell":{"row":4,"col":5,"w":2},"words":"Finish","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"save","pos":1}},"move":{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"saved"}}}}}}}}}},
 {"op":"add","path":"/gr_add","value":{"kind":"grant","role":"r_tech","table":"t_defects","view":true,"edit":true,"add":true}}]`

type guided struct {
	t  *testing.T
	s  *stand.Stand
	at string
}

func (g *guided) open(typed map[string]string) *use.Opening {
	g.t.Helper()
	return g.s.MustOpenTyped(g.t, g.s.Mira, g.at, typed)
}

func (g *guided) press(element string, typed map[string]string) (press.Outcome, error) {
	g.t.Helper()
	out, err := stand.Press(g.t, g.open(typed), g.s, press.Press{Element: element, Values: typed})
	if err == nil && out.To != nil {
		g.at = strings.TrimPrefix(out.To.Address(g.s.App.Project), "/")
	}
	return out, err
}

func (g *guided) steps(typed map[string]string) *element.StepsView {
	g.t.Helper()
	return stand.Element(g.t, g.open(typed).View(), "e_steps").View.(*element.StepsView)
}

func TestStepsAreGoneThroughInOrder(t *testing.T) {
	g := &guided{t, stand.New(t, guide), "report?~mode=add"}
	var wrong *ask.FieldErrors
	if _, err := g.press("e_next", nil); !errors.As(err, &wrong) || wrong.Fields["f_code"] == "" || wrong.Fields["f_hours"] != "" {
		t.Errorf("from a step in which something is missing: %v", err)
	}
	if v := g.steps(nil); v.At != 1 || len(v.Steps) != 2 || v.Steps[0].Done || !v.Steps[1].Shut {
		t.Errorf("at first: %+v", v)
	}
	typed := map[string]string{"f_code": "D-9", "f_what": "Door", "f_state": "open"}
	if v := g.steps(typed); len(v.Steps) != 3 || !v.Steps[0].Done || v.Steps[1].Shut || !v.Steps[2].Shut {
		t.Errorf("with a step more: %+v", v)
	}
	if _, err := g.press("e_next", typed); err != nil || g.steps(typed).At != 2 {
		t.Errorf("to the second: %v", err)
	}
	if _, err := g.press("e_next", typed); !errors.As(err, &wrong) || wrong.Fields["f_hours"] == "" {
		t.Errorf("from the second: %v", err)
	}
	if _, err := g.press("e_back", typed); err != nil || g.steps(typed).At != 1 {
		t.Errorf("back: %v", err)
	}
	for _, e := range g.open(typed).View().Elements {
		if e.ID == "e_back" {
			t.Errorf("back from the first step: %+v", e)
		}
	}
}

// A step that is no part of the task is gone past, and what it asks for is neither needed nor kept.
func TestAStepThatIsNoPartIsSkipped(t *testing.T) {
	g := &guided{t, stand.New(t, guide), "report?~mode=add"}
	typed := map[string]string{"f_code": "D-9", "f_what": "Door", "f_state": "closed", "f_hours": "3"}
	if _, err := g.press("e_next", typed); err != nil || g.steps(typed).Open != "t_3" || g.steps(typed).At != 2 {
		t.Fatalf("past the second: %+v, %v", g.steps(typed), err)
	}
	out, err := g.press("e_done", typed)
	if err != nil || out.Saved == "" || out.To == nil || out.To.Screen != "s_defect" || out.To.Inputs["i_d"] != out.Saved {
		t.Fatalf("finished: %+v, %v", out, err)
	}
	row := g.s.Data.Rows["t_defects"][out.Saved]
	if row["f_code"].Wire() != "D-9" || row["f_hours"].Known() && !row["f_hours"].IsNull() {
		t.Errorf("kept: %v", row)
	}
}

// What finishes a task is there at its last step alone, whichever that is by what was typed; a press before is refused.
func TestWhatFinishesIsThereAtTheLastStep(t *testing.T) {
	g := &guided{t, stand.New(t, strings.Replace(guide, `"while":{"t_2":"record.f_state == \"open\""}`, `"while":{"t_3":"record.f_state == \"open\""}`, 1)), "report?~mode=add&~tab.e_steps=t_2"}
	there := func(typed map[string]string) (next, finish bool) {
		for _, e := range g.open(typed).View().Elements {
			next, finish = next || e.ID == "e_next", finish || e.ID == "e_done"
		}
		return next, finish
	}
	all := map[string]string{"f_code": "D-9", "f_what": "Door", "f_state": "closed", "f_hours": "3"}
	if next, finish := there(all); next || !finish {
		t.Errorf("at what is the last step now: next %v, finish %v", next, finish)
	}
	all["f_state"] = "open" // and there is one more
	if next, finish := there(all); !next || finish {
		t.Errorf("with a step to come: next %v, finish %v", next, finish)
	}
	if _, err := g.press("e_done", all); stand.Code(err) != "hidden" {
		t.Errorf("finished before a step to come: %v", err)
	}
}

// Builders look into a step that is no part of the task now too; it does not count.
func TestBuildersSeeStepsThatAreNoPart(t *testing.T) {
	g := &guided{t, stand.New(t, guide), "report?~mode=add"}
	src := g.s.Sources()
	src.Ghosts = true
	o, err := use.Open(t.Context(), g.s.App, g.s.Mira, g.open(nil).Place(), src)
	if err != nil {
		t.Fatal(err)
	}
	v := stand.Element(t, o.View(), "e_steps").View.(*element.StepsView)
	if len(v.Steps) != 3 || !v.Steps[1].Apart || v.Steps[2].Apart || v.At != 1 {
		t.Errorf("%+v", v)
	}
}

func TestFinishTellsWhatIsMissingInWhicheverStep(t *testing.T) {
	g := &guided{t, stand.New(t, guide), "report?~mode=add&~tab.e_steps=t_3"}
	var wrong *ask.FieldErrors
	if _, err := g.press("e_done", map[string]string{"f_state": "open"}); !errors.As(err, &wrong) || wrong.Fields["f_code"] == "" || wrong.Fields["f_hours"] == "" {
		t.Errorf("finished with steps missing: %v", err)
	}
}
