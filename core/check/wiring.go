package check

import (
	"encoding/json"
	"sort"
	"strings"

	"ambergate/core/nav"
	"ambergate/core/project"
)

var noWayBehind = &Check{Name: "no-way-behind", Doc: "a button that does nothing", run: func(ix *index, report func(Finding)) {
	for _, id := range sortedScreens(ix.app) {
		plan := ix.app.Screens[id]
		for _, e := range plan.Elements {
			if e.Kind != "button" {
				continue
			}
			empty := len(e.Gates) == 0
			for _, g := range e.Gates {
				empty = empty || len(g.Cases) == 0
				for _, c := range g.Cases {
					empty = empty || c.Move == nil && len(c.Effects) == 0
				}
			}
			if empty {
				report(Finding{Severity: Broken, Screen: id, Element: e.ID, Trigger: e.Spec.(*project.Button).TriggerName(), Words: "Nothing is wired to “" + ix.app.ElementWords(plan.Screen, e) + "”.", Mends: []Mend{{Words: "wire it", Chip: "target"}}})
			}
		}
	}
}}

var brokenTarget = &Check{Name: "broken-target", Doc: "a target, field, tag or expression that is gone", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		if w.of == nil || w.of.Move == nil {
			continue
		}
		if w.of.Move.Kind == "screen" && w.of.Move.Target == nil {
			f := w.finding(Broken, "The screen that “"+ix.app.ElementWords(w.screen, w.element)+"” led to is gone.")
			f.Mends = []Mend{{Words: "choose another", Chip: "target"}}
			report(f)
		}
		if t := w.of.Move.Target; t != nil {
			for _, input := range sortedKeys(w.of.Move.Bind) {
				if t.Inputs[input] == nil {
					f := w.finding(Broken, "“"+t.Title+"” no longer takes what this way brings.")
					f.Mends = []Mend{{Words: "bring it no more", Patch: []project.Op{{Op: "remove", Path: w.gatePath() + "/cases/" + w.of.ID + "/move/bind/" + input}}}}
					report(f)
				}
			}
		}
	}
	for _, p := range ix.app.Problems {
		if p.Screen != "" {
			report(Finding{Severity: Broken, Screen: p.Screen, Element: p.Element, Words: "The " + p.Where + " cannot be read: " + p.Problem.Message, Evidence: p.Text})
		}
	}
	for _, id := range sortedScreens(ix.app) {
		s := ix.app.Screens[id].Screen
		if s.Up != "" && ix.app.Project.Screens[s.Up] == nil {
			report(Finding{Severity: Broken, Screen: id, Words: "The screen that is “up” from here is gone.", Mends: []Mend{{Words: "let up mean home", Patch: []project.Op{{Op: "remove", Path: "/" + id + "/up"}}}}})
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
		m, t := w.target()
		if t == nil {
			continue
		}
		for _, in := range project.Ordered(t.Inputs) {
			if in.Required && m.Bind[in.ID] == nil && !(in.ID == t.Record && m.Mode == "add") {
				f := w.finding(Broken, "“"+t.Title+"” needs to know which "+strings.ToLower(in.Label)+"; nothing says which.")
				for _, p := range ix.app.Propose(w.screen.ID, w.element.ID, t.ID, in.ID) {
					if p.Binding != nil && len(f.Mends) < 2 {
						f.Mends = append(f.Mends, Mend{Words: p.Words, Patch: bindPatch(w, in.ID, p.Binding)})
					}
				}
				f.Mends = append(f.Mends, Mend{Words: "choose", Chip: "record"})
				report(f)
			}
		}
	}
}}

var wrongRecord = &Check{Name: "wrong-record", Doc: "a record of another table than the target takes", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		m, t := w.target()
		if t == nil {
			continue
		}
		for _, input := range sortedKeys(m.Bind) {
			in := t.Inputs[input]
			if in == nil || in.Table == "" {
				continue
			}
			got, known := w.tableOf(ix.app.Project, m.Bind[input], m, input)
			if known && got != in.Table {
				f := w.finding(Broken, "“"+t.Title+"” takes a record of "+label(ix.app.Project, in.Table)+"; this brings one of "+label(ix.app.Project, got)+".")
				f.Mends = []Mend{{Words: "choose another record", Chip: "record"}}
				report(f)
			}
		}
	}
}}

var mayBeNone = &Check{Name: "may-be-none", Doc: "a record that may be missing, and nothing says what then", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		m, t := w.target()
		if t == nil {
			continue
		}
		for _, input := range sortedKeys(m.Bind) {
			b := m.Bind[input]
			if t.Inputs[input] == nil || b.None != "" || b.Rule != "parent" || !w.mayBeNone(ix.app.Project, b) {
				continue
			}
			f := w.finding(Doubtful, "There may be no "+strings.ToLower(t.Inputs[input].Label)+", and nothing says what then.")
			with := *b
			with.None, with.Reason = "grey", "There is no "+strings.ToLower(t.Inputs[input].Label)+" here."
			f.Mends = []Mend{{Words: "grey it, with the reason", Patch: []project.Op{{Op: "replace", Path: w.gatePath() + "/cases/" + w.of.ID + "/move/bind/" + input, Value: encode(with)}}}}
			report(f)
		}
	}
}}

// target gives the move and the screen of a way that leads to a screen; nil otherwise.
func (w way) target() (*nav.MovePlan, *project.Screen) {
	if w.of == nil || w.of.Move == nil || w.of.Move.Kind != "screen" {
		return nil, nil
	}
	return w.of.Move, w.of.Move.Target
}

// tableOf gives the table of the record that a binding brings; false where that is not known.
func (w way) tableOf(p *project.Project, b *project.Binding, m *nav.MovePlan, input string) (string, bool) {
	switch b.Rule {
	case "this":
		return w.screen.RecordTable(), true
	case "row":
		if l, ok := w.element.Spec.(*project.List); ok {
			return l.Table, true
		}
		return "", true
	case "point":
		if c, ok := w.element.Spec.(*project.Chart); ok {
			if f, _ := p.FieldAt(c.Table, c.By); f != nil && f.References != "" {
				return f.References, true
			}
		}
		return "", true
	case "parent":
		if f, _ := p.FieldAt(w.from(b), b.Path); f != nil {
			return f.References, true
		}
		return "", true
	case "user":
		return p.Settings.UserTable, true
	case "input":
		if in := w.screen.Inputs[b.Value]; in != nil {
			return in.Table, true
		}
		return "", true
	case "expression":
		if e := m.Exprs[input]; e != nil {
			return e.Root.Type.Table, true
		}
	}
	return "", false
}

func (w way) from(b *project.Binding) string {
	if b.From != "row" {
		return w.screen.RecordTable()
	}
	if l, ok := w.element.Spec.(*project.List); ok {
		return l.Table
	}
	return ""
}

func (w way) mayBeNone(p *project.Project, b *project.Binding) bool {
	path := ""
	for _, part := range strings.Split(b.Path, ".") {
		if path != "" {
			path += "."
		}
		path += part
		if f, _ := p.FieldAt(w.from(b), path); f != nil && f.Nullable {
			return true
		}
	}
	return false
}

func bindPatch(w way, input string, b *project.Binding) []project.Op {
	path := w.gatePath() + "/cases/" + w.of.ID + "/move/bind"
	if w.of.Move.Bind == nil {
		return []project.Op{{Op: "add", Path: path, Value: encode(map[string]*project.Binding{input: b})}}
	}
	return []project.Op{{Op: "add", Path: path + "/" + input, Value: encode(b)}}
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

func sortedKeys[T any](m map[string]T) []string {
	keys := make([]string, 0, len(m))
	for k := range m {
		keys = append(keys, k)
	}
	sort.Strings(keys)
	return keys
}

func sortedScreens(app *nav.App) []string { return sortedKeys(app.Screens) }
