package check

import (
	"maps"
	"slices"

	"ambergate/core/plan"
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

// leadsOut is answered by moves to another project: its slug, that of its screen, and what is brought.
type leadsOut interface {
	LeadsOut() (slug, entry string, with map[string]string)
}

// Offers finds ways to screens of other projects that those do not offer like that any more. An
// app of another project is asked for by its slug; nil: it has no release.
func Offers(app *plan.App, others func(slug string) *plan.App) []Finding {
	var out []Finding
	for _, w := range newIndex(app).ways {
		if w.of == nil || w.of.Move == nil {
			continue
		}
		spec, leaves := w.of.Move.Spec.(leadsOut)
		if !leaves {
			continue
		}
		m := w.of.Move
		slug, entry, with := spec.LeadsOut()
		add := func(words string) {
			f := w.finding(Broken, words)
			f.Check, f.Mends = "offered-changed", []Mend{{Words: "choose another", Chip: "target"}}
			out = append(out, f)
		}
		other := others(slug)
		if other == nil {
			add("The project “" + slug + "” has no release, so nothing of it can be opened.")
			continue
		}
		title := other.Project.Settings.Title
		s := other.Project.ScreenBySlug(entry)
		if s == nil || !s.Offered {
			add("“" + title + "” does not offer “" + entry + "” any more.")
			continue
		}
		taken := map[string]bool{}
		for _, in := range project.Ordered(s.Inputs) {
			taken[in.Alias] = true
			if in.Required && with[in.Alias] == "" && (in.ID != s.Record || m.Mode != "add") {
				add("“" + s.Title + "” of “" + title + "” needs to know which " + in.Alias + " by now; nothing says which.")
			}
			if e := m.Exprs[in.Alias]; e != nil && in.Table == "" && !plan.Fits(in.TypeOf(), e.Root.Type) {
				add("“" + s.Title + "” of “" + title + "” takes " + in.Alias + " as another kind of value than this brings.")
			}
		}
		for _, name := range slices.Sorted(maps.Keys(with)) {
			if !taken[name] {
				add("“" + s.Title + "” of “" + title + "” takes nothing called “" + name + "” any more.")
			}
		}
	}
	return out
}
