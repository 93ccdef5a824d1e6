package leads

import (
	"ambergate/core/check"
	"ambergate/core/kinds/rule"
	"ambergate/core/plan"
	"ambergate/core/words"
)

var SelfLink = &check.Check{Name: "self-link", Doc: "a way that leads to where it stands, with what is there already", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		if w.Rail != nil || w.Of == nil || len(w.Of.Effects) > 0 || w.Element.Kind == "way" {
			continue // a rail marks where one is; what comes by itself looks again
		}
		m := w.Of.Move.Only()
		if modes := w.Element.Modes; modes != nil && !modes["view"] {
			continue // from another mode back to viewing
		}
		if m == nil || m.Target == nil || m.Target.ID != w.Screen.ID || !sameAgain(w, m) {
			continue
		}
		f := w.Finding(check.Doubtful, "“"+words.Element(ix.App, w.Screen, w.Element)+"” leads to where it stands.")
		f.Mends = []check.Mend{{Words: "choose another screen", Chip: "target"}}
		report(f)
	}
}}

// sameAgain says whether a lead brings just what its own screen was opened with.
func sameAgain(w check.Way, m *plan.Lead) bool {
	if m.Mode == "add" || m.Mode == "edit" || m.As == "dialog" || m.As == "drawer" || m.As == "tab" || m.Spot != "" || m.Arrive != nil || len(m.Set) > 0 {
		return false
	}
	for id := range m.Target.Inputs {
		b := m.Bind[id]
		if b == nil {
			if _, carried := m.Carried[id]; !carried && m.Target.Inputs[id].Filter != "" {
				return false // it takes a filter off
			}
			continue
		}
		switch spec := b.Spec.(type) {
		case *rule.This:
			if id != w.Screen.Record {
				return false
			}
		case *rule.Input:
			if spec.Value != id {
				return false
			}
		default:
			return false
		}
	}
	return true
}
