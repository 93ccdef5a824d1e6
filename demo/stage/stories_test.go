package stage_test

import (
	"context"
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/demo"
)

// ropeway is the demo's project over its real records, without any web.
type ropeway struct {
	t   *testing.T
	app *plan.App
}

func open(t *testing.T) *ropeway {
	t.Helper()
	p, err := demo.Decoded()
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	return &ropeway{t: t, app: app}
}

func user(name, role, record string) *ask.User {
	return &ask.User{ID: "a_" + strings.ToLower(name), Name: name, Login: strings.ToLower(name), Roles: map[string]bool{role: true}, Record: record}
}

func (r *ropeway) place(u *ask.User, p place.Place) *use.Opening {
	r.t.Helper()
	o, err := use.Open(context.Background(), r.app, u, p, use.Sources{Records: up.Records.Reader(r.app.Project), Now: time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC)})
	if err != nil {
		r.t.Fatalf("%s: %v", p.Screen, err)
	}
	return o
}

func (r *ropeway) press(u *ask.User, o *use.Opening, p press.Press) place.Place {
	r.t.Helper()
	out, err := press.Follow(context.Background(), o, p, readOnly{up.Records.Reader(r.app.Project)})
	if err != nil || out.To == nil {
		r.t.Fatalf("press %s: %+v %v", p.Element, out, err)
	}
	return *out.To
}

type readOnly struct{ ask.Records }

func (readOnly) Insert(context.Context, *project.Table, map[string]cond.Value) (string, error) {
	panic("a press that only moves adds nothing")
}
func (readOnly) Update(context.Context, *project.Table, string, map[string]cond.Value) error {
	panic("a press that only moves changes nothing")
}

func (readOnly) Delete(context.Context, *project.Table, string) error {
	panic("a press that only moves deletes nothing")
}
func (readOnly) Hanging(context.Context, *project.Table, string, ask.RowRules) ([]ask.Hanging, error) {
	panic("nothing is to be deleted")
}

func list(t *testing.T, v *use.View) *element.ListView {
	t.Helper()
	for _, e := range v.Elements {
		if l, ok := e.View.(*element.ListView); ok && l.Main {
			return l
		}
	}
	t.Fatal("there is no list")
	return nil
}

// The first story, press by press: board, my open defects, the worst, its cabin.
func TestMiraFindsHerWorstDefectAndItsCabin(t *testing.T) {
	r := open(t)
	mira := user("Mira", "r_tech", "1")
	board := r.place(mira, place.Place{Screen: r.app.Project.StartOf(mira.Roles)})
	mine := r.place(mira, r.press(mira, board, press.Press{Element: "e_mine"}))
	rows := list(t, mine.View()).Rows
	if len(rows) < 4 || rows[0].Title != "D-2107" {
		t.Fatalf("her worst is %+v", rows)
	}
	for i, row := range rows {
		if row.Cells[6].Value != "1" || row.Cells[5].Words == "closed" {
			t.Errorf("row %d is not hers and open: %+v", i, row.Cells)
		}
	}
	defect := r.place(mira, r.press(mira, mine, press.Press{Element: "e_list", Row: rows[0].Key}))
	if h := defect.View().Heading; h != "Defect D-2107" {
		t.Errorf("it opens %s", h)
	}
	cabin := r.place(mira, r.press(mira, defect, press.Press{Element: "e_cabin"}))
	if h := cabin.View().Heading; h != "Cabin 087" {
		t.Errorf("its cabin is %s", h)
	}
}

// Every way of the demo that leads to a screen opens it, for everybody who is shown the way, on
// the first records of every table: no button of the demo is a dead end.
func TestEveryWayThatIsOpenLeadsSomewhere(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	r := open(t)
	followed, opened := 0, map[string]error{}
	for _, u := range []*ask.User{user("Mira", "r_tech", "1"), user("Sela", "r_lead", "3"), user("Jon", "r_oper", "2"), user("Priya", "r_office", "4")} {
		for id, s := range r.app.Project.Screens {
			keys := []string{""}
			if s.Record != "" {
				keys = []string{"1", "2", "3", "40", "87"}
			}
			for _, key := range keys {
				p := place.Place{Screen: id, Inputs: map[string]string{}}
				if s.Record != "" {
					p.Inputs[s.Record] = key
				}
				src := use.Sources{Records: up.Records.Reader(r.app.Project), Now: time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC)}
				o, err := use.Open(context.Background(), r.app, u, p, src)
				if err != nil {
					continue // refused, which other tests look at
				}
				for _, w := range build.Ways(o) {
					if w.State != "open" || w.Verdict.To == nil {
						continue
					}
					followed++
					to := *w.Verdict.To
					whose := fmt.Sprintf("%s %+v", u.Name, to)
					err, was := opened[whose]
					if !was {
						_, err = use.Open(context.Background(), r.app, u, to, src)
						opened[whose] = err
					}
					if err != nil {
						t.Errorf("%s on %s %s presses %q and gets: %v", u.Name, s.Title, key, w.Words, err)
					}
				}
			}
		}
	}
	t.Logf("%d ways followed", followed)
	if followed < 100 {
		t.Errorf("only %d ways were followed", followed)
	}
}

// Renaming every alias, label, title and slug of the demo breaks no expression and no way.
func TestRenamingEverythingBreaksNothing(t *testing.T) {
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	for id, body := range entities {
		var e map[string]any
		if err := json.Unmarshal(body, &e); err != nil {
			t.Fatal(err)
		}
		rename(e)
		text, err := json.Marshal(e)
		if err != nil {
			t.Fatal(err)
		}
		entities[id] = text
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	for _, problem := range app.Problems {
		t.Errorf("%s %s %s: %s", problem.Screen, problem.Element, problem.Text, problem.Problem.Message)
	}
	if p.Screens["s_cabin"].Title != "Cabin renamed" || p.Tables["t_defects"].Fields["f_state"].Alias != "state_renamed" {
		t.Error("nothing was renamed")
	}
}

// rename changes every name that people give, at any depth; nodes of the plant are made from aliases and stay.
func rename(v map[string]any) {
	for key, item := range v {
		switch x := item.(type) {
		case map[string]any:
			rename(x)
		case string:
			_, isTag := v["node"]
			switch {
			case key == "alias" && !isTag && x != "code":
				v[key] = x + "_renamed"
			case key == "label", key == "one", key == "name":
				v[key] = x + " renamed"
			case key == "title" && !strings.Contains(x, "{"):
				v[key] = x + " renamed"
			case key == "slug":
				v[key] = x + "-renamed"
			}
		}
	}
}
