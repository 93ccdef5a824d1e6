package leads

import (
	"maps"
	"slices"

	"ambergate/core/check"
	"ambergate/core/patch"
	"ambergate/core/words"
)

var LostContext = &check.Check{Name: "lost-context", Doc: "a way carries what its target does not take", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		for _, m := range w.Targets() {
			if m.Carry == nil || m.Carry.All {
				continue
			}
			for _, id := range slices.Sorted(maps.Keys(m.Carry.Names)) {
				if _, carried := m.Carried[id]; carried {
					continue
				}
				said := "what is gone"
				if in := m.Target.Inputs[id]; in != nil {
					said = "“" + in.Label + "”"
				}
				f := w.Finding(check.Doubtful, "“"+words.Element(ix.App, w.Screen, w.Element)+"” carries "+said+" to “"+m.Target.Title+"”, and this screen has nothing of the kind.")
				if m.ID == "" {
					f.Mends = []check.Mend{{Words: "carry it no more", Patch: []patch.Op{{Op: "remove", Path: w.Wiring() + "/cases/" + w.Of.ID + "/move/carry/names/" + id}}}}
				}
				report(f)
			}
		}
	}
}}
