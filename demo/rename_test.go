package demo

import (
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"
	"testing"

	"ambergate/core/check"
	"ambergate/core/checks"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// decoded reads one of the demo's projects.
func decoded(t *testing.T, id string) *project.Project {
	t.Helper()
	entities, err := Entities(id)
	if err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

// wired says of every way of a project where it leads and with what, by ids: no name is in it.
func wired(t *testing.T, p *project.Project) map[string]string {
	t.Helper()
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	for _, problem := range app.Problems {
		t.Errorf("%s %s %s %q: %s", problem.Screen, problem.Element, problem.Where, problem.Text, problem.Problem.Message)
	}
	out := map[string]string{}
	for screen, plan := range app.Screens {
		for _, w := range plan.Ways() {
			var says strings.Builder
			for _, c := range w.Gate.Cases {
				for _, m := range c.Move.Leads() {
					fmt.Fprintf(&says, "%s %v; ", m.Target.ID, m.Carried)
					for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
						b := m.Bind[input]
						table, known, none := app.BindingTable(w, b, m.Exprs[input])
						fmt.Fprintf(&says, "%s=%s %v %v, ", input, table, known, none)
					}
				}
			}
			out[screen+w.At()] = says.String()
		}
	}
	findings := 0
	for _, f := range checks.All.Run(app) {
		if f.Severity == check.Broken {
			findings++
			t.Errorf("%s %s: %s", f.Screen, f.Element, f.Words)
		}
	}
	out["findings"] = fmt.Sprint(findings)
	return out
}

// Whatever is called otherwise from now on, tables, fields, columns of lists, inputs, screens, gates,
// rails, conditions, roles, equipment, pictures: every way leads where it led.
func TestARenameBreaksNothing(t *testing.T) {
	renames := map[string]func(p *project.Project){
		"tables": func(p *project.Project) {
			for _, x := range p.Tables {
				x.Label, x.One = "Renamed "+x.Label, "renamed "+x.One
			}
		},
		"fields": func(p *project.Project) {
			for _, x := range p.Tables {
				for _, f := range x.Fields {
					f.Alias, f.Label = "x_"+f.Alias, "Renamed "+f.Label
				}
				for _, f := range x.Tallies {
					f.Alias, f.Label = "x_"+f.Alias, "Renamed "+f.Label
				}
			}
		},
		"inputs": func(p *project.Project) {
			for _, s := range p.Screens {
				for _, in := range s.Inputs {
					in.Alias, in.Label = "x_"+in.Alias, "Renamed "+in.Label
				}
			}
			for _, g := range p.Gates {
				g.Name = "Renamed " + g.Name
				for _, in := range g.Inputs {
					in.Alias = "y_" + in.Alias
				}
			}
		},
		"screens": func(p *project.Project) {
			for _, s := range p.Screens {
				s.OldSlugs = map[string]bool{s.Slug: true}
				s.Title, s.Slug, s.Area = "Renamed "+s.Title, "x-"+s.Slug, "Elsewhere"
			}
		},
		"the rest": func(p *project.Project) {
			for _, c := range p.Conditions {
				c.Alias, c.Name = "x_"+c.Alias, "renamed "+c.Name
			}
			for _, r := range p.Roles {
				r.Name = "Renamed " + r.Name
			}
			for _, r := range p.Rails {
				r.Name = "Renamed " + r.Name
			}
			for _, v := range p.Variables {
				v.Alias, v.Label = "x_"+v.Alias, "Renamed "+v.Label
			}
			for _, i := range p.Pictures {
				i.Name = "Renamed " + i.Name
			}
			for _, e := range p.Equipment {
				for _, part := range e.Parts {
					part.Alias = "x_" + part.Alias
					for _, tag := range part.Tags {
						tag.Alias, tag.Label = "x_"+tag.Alias, "renamed "+tag.Label
					}
				}
			}
		},
	}
	for id := range Projects {
		before := wired(t, decoded(t, id))
		for what, rename := range renames {
			p := decoded(t, id)
			var slugs []string
			for _, s := range p.Screens {
				slugs = append(slugs, s.Slug)
			}
			rename(p)
			after := wired(t, p)
			for way, said := range before {
				if after[way] != said {
					t.Errorf("%s renamed: %s was %s, is %s", what, way, said, after[way])
				}
			}
			for _, slug := range slugs {
				if p.ScreenBySlug(slug) == nil {
					t.Errorf("%s renamed: the address %s leads nowhere", what, slug)
				}
			}
		}
	}
}

// Each kind of move, rule, effect, presentation and policy stands somewhere in the demo.
func TestTheDemoUsesEveryKind(t *testing.T) {
	used := map[string]bool{}
	gates := func(g *project.Gate) {
		for _, b := range g.Give {
			used["rule "+b.Rule], used["none "+b.None] = true, true
		}
		for _, c := range g.Cases {
			for _, e := range c.Do {
				used["effect "+e.Kind] = true
			}
			m := c.Move
			if m == nil {
				continue
			}
			used["move "+m.Kind], used["as "+m.As], used["mode "+m.Mode], used["none "+m.None] = true, true, true, true
			parts := partsOf(t, m)
			for _, part := range []string{"spot", "carry", "spotRow", "result"} {
				used[part] = used[part] || parts[part] != nil
			}
			bindings(parts, func(b map[string]any) {
				used["rule "+fmt.Sprint(b["rule"])], used["none "+fmt.Sprint(b["none"])], used["pick "+fmt.Sprint(b["pick"])] = true, true, true
			})
		}
	}
	for id := range Projects {
		p := decoded(t, id)
		for _, s := range p.Screens {
			for _, e := range s.Elements {
				for trigger, g := range project.AllGates(e.Spec.Gates()) {
					if _, back := project.OpenedBy(trigger); back {
						trigger = "comes back"
					}
					what, _, _ := strings.Cut(trigger, ".")
					used["trigger "+what] = true
					gates(g)
				}
			}
			for _, w := range s.Ways {
				used["trigger "+w.Trigger] = true
				gates(w.Gate)
			}
		}
		for _, r := range p.Rails {
			for _, e := range r.Elements {
				for _, g := range project.AllGates(e.Spec.Gates()) {
					gates(g)
				}
			}
		}
		for _, g := range p.Gates {
			gates(g.Gate)
		}
	}
	want := []string{"spot", "spotRow", "result", "carry", "pick first", "pick last", "pick nearest"}
	for _, m := range project.Moves.Names() {
		want = append(want, "move "+m)
	}
	for _, r := range project.Rules.Names() {
		want = append(want, "rule "+r)
	}
	for _, e := range project.Effects.Names() {
		want = append(want, "effect "+e)
	}
	for _, a := range []string{"dialog", "drawer", "replace", "tab"} {
		want = append(want, "as "+a)
	}
	for _, n := range []string{"grey", "list", "add", "stay", "round"} {
		want = append(want, "none "+n)
	}
	for _, tr := range []string{"press", "release", "row", "point", "menu", "several", "changed", "swipe", "keys", "time", "entered", "comes back"} {
		want = append(want, "trigger "+tr)
	}
	for _, w := range want {
		if !used[w] {
			t.Errorf("nothing in the demo uses %s", w)
		}
	}
}

// partsOf gives a part of the document as it is written.
func partsOf(t *testing.T, part any) map[string]any {
	t.Helper()
	text, err := json.Marshal(part)
	if err != nil {
		t.Fatal(err)
	}
	var out map[string]any
	if err := json.Unmarshal(text, &out); err != nil {
		t.Fatal(err)
	}
	return out
}

// bindings calls a function with each binding in a part of the document.
func bindings(part map[string]any, each func(map[string]any)) {
	for name, v := range part {
		object, ok := v.(map[string]any)
		if !ok || name == "back" { // what follows on a dialog has a gate of its own
			continue
		}
		if _, is := object["rule"]; is {
			each(object)
			continue
		}
		bindings(object, each)
	}
}
