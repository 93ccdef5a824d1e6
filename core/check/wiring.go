package check

import (
	"encoding/json"
	"maps"
	"slices"
	"strings"

	"ambergate/core/build"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

var noWayBehind = &Check{Name: "no-way-behind", Doc: "a button that does nothing", run: func(ix *index, report func(Finding)) {
	for _, id := range sortedScreens(ix.app) {
		plan := ix.app.Screens[id]
		for _, e := range plan.Elements {
			trigger := project.UnwiredTrigger(e.Element)
			if trigger != "" && (len(e.Gates) == 0 || emptyGate(e)) {
				report(Finding{Severity: Broken, Screen: id, Element: e.ID, Trigger: trigger, Words: "Nothing is wired to “" + words.Element(ix.app, plan.Screen, e) + "”.", Mends: []Mend{{Words: "wire it", Chip: "target"}}})
			}
		}
		for _, e := range plan.Off {
			way := project.WayOf(e.Element)
			if way == nil || !emptyGate(e) {
				continue
			}
			f := Finding{Severity: Broken, Screen: id, Element: e.ID, Trigger: way.Trigger, Words: "“When " + words.Element(ix.app, plan.Screen, e) + "” does nothing yet.", Mends: []Mend{{Words: "wire it", Chip: "target"}}}
			if way.OnLeaving() {
				f.Mends[0].Chip = "do"
			}
			report(f)
		}
	}
}}

// emptyGate says whether one of an element's gates neither does anything nor leads anywhere.
func emptyGate(e *plan.Element) bool {
	for trigger, g := range e.Gates {
		if _, back := project.OpenedBy(trigger); back || g.Gone {
			continue // said as such
		}
		if len(g.Cases) == 0 {
			return true
		}
		for _, c := range g.Cases {
			if c.Move == nil && len(c.Effects) == 0 {
				return true
			}
		}
	}
	return false
}

var brokenTarget = &Check{Name: "broken-target", Doc: "a target, field, tag or expression that is gone", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		if w.of == nil || w.of.Move == nil {
			continue
		}
		gone := false
		for _, m := range w.of.Move.Leads() {
			gone = gone || m.Target == nil
		}
		if gone {
			f := w.finding(Broken, "The screen that “"+words.Element(ix.app, w.screen, w.element)+"” led to is gone.")
			f.Mends = []Mend{{Words: "choose another", Chip: "target"}}
			report(f)
		}
		for _, m := range w.of.Move.Leads() {
			if m.Target == nil {
				continue
			}
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				if m.Target.Inputs[input] == nil {
					f := w.finding(Broken, "“"+m.Target.Title+"” no longer takes what this way brings.")
					f.Mends = []Mend{{Words: "bring it no more", Patch: []patch.Op{{Op: "remove", Path: w.bindPath(m) + "/" + input}}}}
					report(f)
				}
			}
			if m.Spot != "" {
				if _, ok := words.Spot(ix.app, m.Target, m.Spot); !ok {
					f := w.finding(Broken, "The spot of “"+m.Target.Title+"” that this way leads to is gone.")
					f.Mends = []Mend{{Words: "lead to the whole screen", Patch: []patch.Op{{Op: "remove", Path: w.gatePath() + "/cases/" + w.of.ID + "/move/spot"}}}}
					report(f)
				}
			}
		}
	}
	said := map[string]bool{}
	for _, p := range ix.app.Problems {
		if p.Screen == "" && p.Entity != "" && ix.app.Project.Rails[p.Entity] != nil && !said[p.Entity+p.Element+p.Where+p.Text] {
			said[p.Entity+p.Element+p.Where+p.Text] = true
			report(Finding{Severity: Broken, Entity: p.Entity, Element: p.Element, Words: "On the rail “" + ix.app.Project.Rails[p.Entity].Name + "” the " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
		if p.Screen != "" {
			report(Finding{Severity: Broken, Screen: p.Screen, Element: p.Element, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
	for _, id := range sortedScreens(ix.app) {
		s := ix.app.Screens[id].Screen
		if s.Up != "" && ix.app.Project.Screens[s.Up] == nil {
			report(Finding{Severity: Broken, Screen: id, Words: "The screen that is “up” from here is gone.", Mends: []Mend{{Words: "let up mean home", Patch: []patch.Op{{Op: "remove", Path: "/" + id + "/up"}}}}})
		}
	}
	for _, r := range project.Ordered(ix.app.Project.Roles) {
		if ix.app.Project.Screens[r.Start] == nil {
			report(Finding{Severity: Broken, Screen: "", Words: "The start screen of " + r.Name + " is gone."})
		}
	}
}}

var missingInput = &Check{Name: "missing-input", Doc: "a required input that nothing is bound to", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		for _, m := range w.targets() {
			for _, in := range project.Ordered(m.Target.Inputs) {
				if in.Required && m.Bind[in.ID] == nil && m.Carried[in.ID] == "" && !(in.ID == m.Target.Record && m.Mode == "add") {
					report(w.lacks(ix, m, in))
				}
			}
		}
		if g := w.gate.Shared; g != nil && (w.of == nil || w.of == w.gate.Cases[0]) {
			for _, in := range project.Ordered(g.Inputs) {
				if in.Required && w.gate.Given[in.ID] == nil {
					f := w.finding(Broken, "“"+g.Name+"” needs to know which "+strings.ToLower(in.Label)+"; nothing says which.")
					f.Mends = []Mend{{Words: "choose", Chip: "give"}}
					report(f)
				}
			}
		}
	}
}}

// lacks finds an input of a target that nothing is bound to, with what could be.
func (w way) lacks(ix *index, m *plan.Lead, in *project.Input) Finding {
	f := w.finding(Broken, "“"+m.Target.Title+"” needs to know which "+strings.ToLower(in.Label)+"; nothing says which.")
	if w.gate.Shared == nil {
		for _, p := range build.Propose(ix.app, w.Way, m.Target.ID, in.ID) {
			if p.Binding != nil && len(f.Mends) < 2 {
				f.Mends = append(f.Mends, Mend{Words: p.Words, Patch: bindPatch(w, m, in.ID, p.Binding)})
			}
		}
	}
	f.Mends = append(f.Mends, Mend{Words: "choose", Chip: "record"})
	return f
}

var wrongRecord = &Check{Name: "wrong-record", Doc: "a record of another table than the target takes", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		for _, m := range w.targets() {
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				in := m.Target.Inputs[input]
				if in == nil || in.Table == "" {
					continue
				}
				got, known, _ := ix.app.BindingTable(w.Way, m.Bind[input], m.Exprs[input])
				if known && got != in.Table {
					f := w.finding(Broken, "“"+m.Target.Title+"” takes a record of "+label(ix.app.Project, in.Table)+"; this brings one of "+label(ix.app.Project, got)+".")
					f.Mends = []Mend{{Words: "choose another record", Chip: "record"}}
					report(f)
				}
			}
		}
		w.misfits(ix, report)
	}
}}

// misfits finds what a way gives a shared gate that the gate does not take.
func (w way) misfits(ix *index, report func(Finding)) {
	g := w.gate.Shared
	if g == nil || w.of != nil && w.of != w.gate.Cases[0] {
		return
	}
	outer := w.Way
	outer.Gate = nil // what is given is said on the screen, not inside the gate
	for _, input := range slices.Sorted(maps.Keys(w.gate.Given)) {
		in := g.Inputs[input]
		if in == nil {
			f := w.finding(Broken, "“"+g.Name+"” no longer takes what this way gives it.")
			f.Mends = []Mend{{Words: "give it no more", Patch: []patch.Op{{Op: "remove", Path: w.At() + "/give/" + input}}}}
			report(f)
			continue
		}
		got, known, _ := ix.app.BindingTable(outer, w.gate.Given[input], w.gate.Exprs[input])
		if known && in.Table != "" && got != in.Table {
			f := w.finding(Broken, "“"+g.Name+"” takes a record of "+label(ix.app.Project, in.Table)+"; this gives one of "+label(ix.app.Project, got)+".")
			f.Mends = []Mend{{Words: "choose another record", Chip: "give"}}
			report(f)
		}
	}
}

var mayBeNone = &Check{Name: "may-be-none", Doc: "a record that may be missing, and nothing says what then", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		for _, m := range w.targets() {
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				b, in := m.Bind[input], m.Target.Inputs[input]
				if in == nil || b.None != "" {
					continue
				}
				if _, _, none := ix.app.BindingTable(w.Way, b, m.Exprs[input]); !none || !in.Required && passesOn(b) {
					continue
				}
				f := w.finding(Doubtful, "There may be no "+strings.ToLower(in.Label)+", and nothing says what then.")
				changes := []patch.Op{{Op: "add", Path: w.bindPath(m) + "/" + input + "/none", Value: encode("grey")}}
				if b.Reason == "" {
					changes = append(changes, patch.Op{Op: "add", Path: w.bindPath(m) + "/" + input + "/reason", Value: encode("There is no " + strings.ToLower(in.Label) + " here.")})
				}
				f.Mends = []Mend{{Words: "grey it, with the reason", Patch: changes}}
				report(f)
			}
		}
	}
}}

// passesOn says whether a binding passes on what was given: then it is missing only where it was.
func passesOn(b *project.Binding) bool {
	_, does := b.Spec.(interface{ PassesOn() string })
	return does
}

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
