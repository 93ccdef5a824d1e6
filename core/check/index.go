package check

import (
	"encoding/json"
	"maps"
	"slices"
	"sort"

	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// index is what the checks share: every way of the project, in a stable order, and what was found
// out of things that many ways have in common.
type index struct {
	app    *plan.App
	ways   []way
	stated []stated // every condition; nil until it is asked for
	grants map[[2]string]project.Grant
	hidden map[hiddenAsk]string
	turns  map[turn]bool
}

// grant gives what a role alone may do with a table.
func (ix *index) grant(role, table string) project.Grant {
	key := [2]string{role, table}
	g, known := ix.grants[key]
	if !known {
		g = ix.app.Project.GrantOf(map[string]bool{role: true}, table)
		if ix.grants == nil {
			ix.grants = map[[2]string]project.Grant{}
		}
		ix.grants[key] = g
	}
	return g
}

func newIndex(app *plan.App) *index {
	ix := &index{app: app}
	ids := make([]string, 0, len(app.Screens))
	for id := range app.Screens {
		ids = append(ids, id)
	}
	sort.Strings(ids)
	for _, id := range ids {
		plan := app.Screens[id]
		for _, out := range plan.Ways() {
			w := way{Way: out, screen: plan.Screen, plan: plan, element: out.Element, trigger: out.Trigger, gate: out.Gate}
			if len(w.gate.Cases) == 0 {
				ix.ways = append(ix.ways, w)
			}
			for _, c := range w.gate.Cases {
				w.of = c
				ix.ways = append(ix.ways, w)
			}
		}
	}
	return ix
}

// way is one case of one gate.
type way struct {
	plan.Way
	screen  *project.Screen
	plan    *plan.Screen
	element *plan.Element
	trigger string
	gate    *plan.Gate
	of      *plan.Case // nil when the gate has no case
}

func (w way) finding(s Severity, words string) Finding {
	return Finding{Severity: s, Screen: w.screen.ID, Element: w.element.ID, Trigger: w.trigger, Words: words}
}

// gatePath gives the JSON Pointer of what says where the way leads, for patches.
func (w way) gatePath() string { return w.Wiring() }

// targets gives the screens of this project that a way may lead to, each with what it brings.
func (w way) targets() []*plan.Lead {
	if w.of == nil {
		return nil
	}
	var out []*plan.Lead
	for _, m := range w.of.Move.Leads() {
		if m.Target != nil {
			out = append(out, m)
		}
	}
	return out
}

// bindPath gives where in the document a target's bindings stand.
func (w way) bindPath(m *plan.Lead) string {
	path := w.gatePath() + "/cases/" + w.of.ID + "/move"
	if m.ID != "" {
		path += "/among/" + m.ID
	}
	return path + "/bind"
}

func bindPatch(w way, m *plan.Lead, input string, b *project.Binding) []patch.Op {
	path := w.bindPath(m)
	if m.Bind == nil {
		return []patch.Op{{Op: "add", Path: path, Value: encode(map[string]*project.Binding{input: b})}}
	}
	return []patch.Op{{Op: "add", Path: path + "/" + input, Value: encode(b)}}
}

func label(p *project.Project, table string) string {
	if t := p.Tables[table]; t != nil {
		return t.Label
	}
	return "no table"
}

// encode writes a part of the document, which always can be.
func encode(v any) json.RawMessage {
	text, err := json.Marshal(v)
	if err != nil {
		panic("a part of the document does not encode: " + err.Error())
	}
	return text
}

func sortedScreens(app *plan.App) []string { return slices.Sorted(maps.Keys(app.Screens)) }
