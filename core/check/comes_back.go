package check

import (
	"maps"
	"slices"

	"ambergate/core/project"
)

var comesBack = &Check{Name: "comes-back", Doc: "a dialog that comes back with nothing, or with something else than is taken", run: func(ix *index, report func(Finding)) {
	for _, w := range ix.ways {
		tables, plain, back := ix.app.Results(w.Way)
		first := w.of == nil || w.of == w.gate.Cases[0]
		switch {
		case !back:
		case w.of == nil || w.of.Move == nil && len(w.of.Effects) == 0:
			f := w.finding(Broken, "Nothing happens when the dialog comes back.")
			f.Mends = []Mend{{Words: "wire it", Chip: "target"}}
			report(f)
			continue
		case first && len(tables) == 0 && !plain:
			report(w.finding(Doubtful, "The dialog never comes back with anything: none of its buttons closes it with a record."))
		}
		for input, b := range w.gate.Given {
			if in := w.gate.Shared.Inputs[input]; in != nil && first {
				w.takes(ix, in, b, tables, plain, back, report)
			}
		}
		for _, m := range w.targets() {
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				if in := m.Target.Inputs[input]; in != nil {
					w.takes(ix, in, m.Bind[input], tables, plain, back, report)
				}
			}
		}
	}
}}

// takes finds an input that is to get what a dialog came back with, and cannot.
func (w way) takes(ix *index, in *project.Input, b *project.Binding, tables map[string]bool, plain, back bool, report func(Finding)) {
	switch {
	case b.Rule != "result":
	case !back:
		f := w.finding(Broken, "It takes what a dialog came back with, and is set off by none.")
		f.Mends = []Mend{{Words: "choose another record", Chip: "record"}}
		report(f)
	case in.Table != "" && len(tables) > 0 && !tables[in.Table] && !plain:
		got := ""
		for _, t := range slices.Sorted(maps.Keys(tables)) {
			got = label(ix.app.Project, t)
		}
		report(w.finding(Broken, "It takes a record of "+label(ix.app.Project, in.Table)+"; the dialog comes back with one of "+got+"."))
	}
}
