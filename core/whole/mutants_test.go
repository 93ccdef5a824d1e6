package whole_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"maps"
	"os"
	"slices"
	"strings"
	"testing"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/checks"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/whole"
	"ambergate/demo"
)

// A mutant is the demo with one thing changed that may change who gets where.
type mutant struct {
	kind, at string
	id       string // of the entity
	body     []byte // nil: it is taken out
}

// mutants takes each way out in turn, turns each condition round, swaps each target, and drops each grant.
func mutants(t *testing.T, entities map[string]json.RawMessage, p *project.Project) []mutant {
	t.Helper()
	var out []mutant
	for _, id := range slices.Sorted(maps.Keys(entities)) {
		var body map[string]any
		if err := json.Unmarshal(entities[id], &body); err != nil {
			t.Fatal(err)
		}
		kind := body["kind"]
		if kind == "grant" {
			out = append(out, mutant{"grant", id, id, nil})
		}
		if kind != "screen" && kind != "rail" && kind != "gate" {
			continue
		}
		put := func(what, at string) {
			text, err := json.Marshal(body)
			if err != nil {
				t.Fatal(err)
			}
			out = append(out, mutant{what, id + at, id, text})
		}
		var visit func(v map[string]any, at string)
		visit = func(v map[string]any, at string) {
			for _, key := range slices.Sorted(maps.Keys(v)) {
				switch of := v[key].(type) {
				case string:
					switch {
					case key == "while" || key == "when" || key == "guard" || key == "shown":
						v[key] = "!(" + of + ")"
						put("condition", at+"/"+key)
						v[key] = of
					case key == "target":
						if other := another(p, of); other != "" {
							v[key] = other
							put("target", at+"/"+key)
							v[key] = of
						}
					}
				case map[string]any:
					if of["cases"] != nil && kind != "gate" {
						delete(v, key)
						put("way", at+"/"+key)
						v[key] = of
					}
					visit(of, at+"/"+key)
				}
			}
		}
		visit(body, "")
	}
	return out
}

// another gives a screen that takes what a screen takes; "" for none.
func another(p *project.Project, screen string) string {
	s := p.Screens[screen]
	if s == nil {
		return ""
	}
	for _, id := range slices.Sorted(maps.Keys(p.Screens)) {
		if o := p.Screens[id]; id != screen && (o.Alone() || o.RecordTable() == s.RecordTable()) && o.Type != "menu" {
			return id
		}
	}
	return ""
}

// plainly gives where each role could get over the ways that are for them, whatever the conditions: an oracle that knows
// nothing of proofs.
func plainly(app *plan.App) string {
	var out strings.Builder
	for _, r := range project.Ordered(app.Project.Roles) {
		seen := map[string]bool{r.Start: true}
		for queue := []string{r.Start}; len(queue) > 0; queue = queue[1:] {
			screen := app.Screens[queue[0]]
			if screen == nil {
				continue
			}
			for _, w := range screen.Ways() {
				if w.Gate.Roles != nil && !w.Gate.Roles[r.ID] || w.Rail != nil && w.Rail.Placed.Roles != nil && !w.Rail.Placed.Roles[r.ID] || w.Gate.Broken {
					continue
				}
				for _, c := range w.Gate.Cases {
					for _, m := range c.Move.Leads() {
						if m.Target == nil || seen[m.Target.ID] || app.Behind(m).Roles != nil && !app.Behind(m).Roles[r.ID] {
							continue
						}
						if table := m.Target.RecordTable(); table != "" && !app.Project.GrantOf(map[string]bool{r.ID: true}, table).View {
							continue
						}
						seen[m.Target.ID] = true
						queue = append(queue, m.Target.ID)
					}
				}
			}
		}
		fmt.Fprintln(&out, r.ID, slices.Sorted(maps.Keys(seen)))
	}
	return out.String()
}

// cells tells all of who gets where, with what is left to hold on the way.
func cells(g *reach.Graph) map[string]string {
	out := map[string]string{}
	for _, w := range whole.Sets(g.App.Project, nil) {
		r := g.For(w.Set())
		for _, id := range g.Screens {
			steps := ""
			for _, s := range r.Path(id) {
				by, while := check.StepWords(g, s)
				steps += by + while + s.To()
			}
			out[w.Key+" "+id] = fmt.Sprintf("%+v %s", r.Cells[id], steps)
		}
	}
	return out
}

// Every mutant of the demo that changes what somebody could get to is noticed: by a finding, an expectation, or a cell.
func TestWhatChangesReachIsNoticed(t *testing.T) {
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	g := tarnhorn(t)
	app, p := g.App, g.App.Project
	base, err := checks.All.RunAfter(t.Context(), g, nil, nil)
	if err != nil {
		t.Fatal(err)
	}
	was, reached := cells(g), plainly(app)
	found := map[string]bool{}
	for _, f := range base.Findings {
		found[f.Check+f.Words] = true
	}
	all := mutants(t, entities, p)
	step := 3
	if os.Getenv("AMBERGATE_MUTANTS") == "all" {
		step = 1
	}
	type tally struct{ tried, byCell, byFinding, both, survived int }
	counts := map[string]*tally{}
	var survivors []string
	for i := 0; i < len(all); i += step {
		m := all[i]
		if bytes.Equal(m.body, entities[m.id]) {
			continue
		}
		next, err := project.Redecode(p, map[string]json.RawMessage{m.id: m.body})
		if err != nil {
			continue // it is refused, which is noticed
		}
		changed, err := plan.Recompile(app, next, []string{m.id})
		if err != nil {
			t.Fatal(m.at, err)
		}
		mg := reach.Of(changed, g)
		after, err := checks.All.RunAfter(t.Context(), mg, nil, base)
		if err != nil {
			t.Fatal(err)
		}
		byFinding := slices.ContainsFunc(after.Findings, func(f check.Finding) bool { return !found[f.Check+f.Words] })
		byCell := !maps.Equal(cells(mg), was)
		n := counts[m.kind]
		if n == nil {
			n = &tally{}
			counts[m.kind] = n
		}
		n.tried++
		switch {
		case byCell && byFinding:
			n.both++
		case byCell:
			n.byCell++
		case byFinding:
			n.byFinding++
		default:
			n.survived++
			survivors = append(survivors, m.kind+" "+m.at)
			if plainly(changed) != reached {
				t.Errorf("%s %s changes who gets where, and nothing tells of it", m.kind, m.at)
			}
		}
	}
	for _, kind := range slices.Sorted(maps.Keys(counts)) {
		n := counts[kind]
		t.Logf("%s: %d tried, %d noticed by a cell, %d by a finding, %d by both, %d by neither", kind, n.tried, n.byCell, n.byFinding, n.both, n.survived)
	}
	if os.Getenv("AMBERGATE_MUTANTS") == "all" {
		t.Logf("survivors: %s", strings.Join(survivors, "\n"))
	}
}
