package check

import (
	"maps"
	"slices"

	"ambergate/core/plan"
	"ambergate/core/project"
)

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
