package leads

import (
	"maps"
	"slices"

	"ambergate/core/check"
	"ambergate/core/english"
	"ambergate/core/project"
)

var ComesBack = &check.Check{Name: "comes-back", Doc: "a dialog that comes back with nothing, or with something else than is taken", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		tables, plain, back := ix.App.Results(w.Way)
		first := w.Of == nil || w.Of == w.Gate.Cases[0]
		switch {
		case !back:
		case w.Of == nil || w.Of.Move == nil && len(w.Of.Effects) == 0:
			f := w.Finding(check.Broken, "Nothing happens when the dialog comes back.")
			f.Mends = []check.Mend{{Words: "wire it", Chip: "target"}}
			report(f)
			continue
		case first && len(tables) == 0 && !plain:
			report(w.Finding(check.Doubtful, "The dialog never comes back with anything: none of its buttons closes it with a record."))
		}
		for _, input := range slices.Sorted(maps.Keys(w.Gate.Given)) {
			b := w.Gate.Given[input]
			if in := w.Gate.Shared.Inputs[input]; in != nil && first {
				takes(w, ix, in, b, tables, plain, back, report)
			}
		}
		for _, m := range w.Targets() {
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				if in := m.Target.Inputs[input]; in != nil {
					takes(w, ix, in, m.Bind[input], tables, plain, back, report)
				}
			}
		}
	}
}}

// takes finds an input that is to get what a dialog came back with, and cannot.
func takes(w check.Way, ix *check.Index, in *project.Input, b *project.Binding, tables map[string]bool, plain, back bool, report func(check.Finding)) {
	switch {
	case b.Rule != "result":
	case !back:
		f := w.Finding(check.Broken, "It takes what a dialog came back with, and is set off by none.")
		f.Mends = []check.Mend{{Words: "choose another record", Chip: "record"}}
		report(f)
	case in.Table != "" && len(tables) > 0 && !tables[in.Table] && !plain:
		var brings []string
		for _, t := range slices.Sorted(maps.Keys(tables)) {
			brings = append(brings, check.Label(ix.App.Project, t))
		}
		report(w.Finding(check.Broken, "It takes a record of "+check.Label(ix.App.Project, in.Table)+"; the dialog comes back with one of "+english.List(brings, "or")+"."))
	}
}
