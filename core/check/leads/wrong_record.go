package leads

import (
	"maps"
	"slices"

	"ambergate/core/check"
	"ambergate/core/patch"
)

var WrongRecord = &check.Check{Name: "wrong-record", Doc: "a record of another table than the target takes", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		for _, m := range w.Targets() {
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				in := m.Target.Inputs[input]
				if in == nil || in.Table == "" {
					continue
				}
				got, known, _ := ix.App.BindingTable(w.Way, m.Bind[input], m.Exprs[input])
				if known && got != in.Table {
					f := w.Finding(check.Broken, "“"+m.Target.Title+"” takes a record of "+check.Label(ix.App.Project, in.Table)+"; this brings one of "+check.Label(ix.App.Project, got)+".")
					f.Mends = []check.Mend{{Words: "choose another record", Chip: "record"}}
					report(f)
				}
			}
		}
		misfits(w, ix, report)
	}
}}

// misfits finds what a way gives a shared gate that the gate does not take.
func misfits(w check.Way, ix *check.Index, report func(check.Finding)) {
	g := w.Gate.Shared
	if g == nil || w.Of != nil && w.Of != w.Gate.Cases[0] {
		return
	}
	outer := w.Way
	outer.Gate = nil // what is given is said on the screen, not inside the gate
	for _, input := range slices.Sorted(maps.Keys(w.Gate.Given)) {
		in := g.Inputs[input]
		if in == nil {
			f := w.Finding(check.Broken, "“"+g.Name+"” no longer takes what this way gives it.")
			f.Mends = []check.Mend{{Words: "give it no more", Patch: []patch.Op{{Op: "remove", Path: w.At() + "/give/" + input}}}}
			report(f)
			continue
		}
		got, known, _ := ix.App.BindingTable(outer, w.Gate.Given[input], w.Gate.Exprs[input])
		if known && in.Table != "" && got != in.Table {
			f := w.Finding(check.Broken, "“"+g.Name+"” takes a record of "+check.Label(ix.App.Project, in.Table)+"; this gives one of "+check.Label(ix.App.Project, got)+".")
			f.Mends = []check.Mend{{Words: "choose another record", Chip: "give"}}
			report(f)
		}
	}
}
